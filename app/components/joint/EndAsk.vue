<script setup lang="ts">
import type { EndFacts } from '#core/catalogue'
import type { End, OtherEnd, Way } from '#core/joints'
import { ASKED_FACTS } from '~/wording/facts'
import type { Region } from '#core/units'
import { speak } from '#core/speech'

/** What a way is held for and only a look at the pipe can answer: asked once, its answers as keys. */
const props = defineProps<{
  ways: readonly Way[]
  a: End | null
  b: OtherEnd | null
  labels: Readonly<Record<'a' | 'b', string>>
  region: Region
}>()
const emit = defineEmits<{ answer: [on: 'a' | 'b', says: EndFacts] }>()
const asked = computed(() =>
  ASKED_FACTS.filter(({ code }) => props.ways.some(({ because }) => because.some((note) => note.code === code))),
)
/** How many of the ways hang on a fact, in words. */
function waitsFor(code: string): string {
  const count = props.ways.filter(({ because }) => because.some((note) => note.code === code)).length
  if (count < props.ways.length) return `${count} of ${props.ways.length} ways hang on it.`
  return count === 1 ? 'The only way hangs on one fact.' : `All ${count} ways hang on one fact.`
}
/** Ends that a fact is still open of. */
const open = computed(() =>
  asked.value.flatMap((fact) =>
    (['a', 'b'] as const).flatMap((on) => {
      const end = props[on]
      return end && 'pipe' in end && fact.isOpen(end)
        ? [
            {
              fact,
              on,
              waits: waitsFor(fact.code),
              text: props.ways.flatMap(({ because }) => because).find((note) => note.code === fact.code)!.text,
            },
          ]
        : []
    }),
  ),
)
</script>

<template>
  <div v-for="{ fact, on, waits, text } in open" :key="`${fact.code} ${on}`" class="ask" :data-ask="fact.code">
    <StatusShape status="held" :size="18" class="flex-none" />
    <p class="t15">
      <b>{{ waits }}</b> {{ labels[on] }}: {{ speak(text, region) }}
    </p>
    <span class="keys"
      ><button
        v-for="key in fact.keys"
        :key="key.words"
        type="button"
        class="answer"
        :data-answer="`${fact.code}:${key.words}`"
        @click="emit('answer', on, key.says)">
        {{ key.words }}
      </button></span
    >
  </div>
</template>

<style scoped>
.ask {
  border-top: 3px solid var(--ochre);
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 6px 18px;
  border-bottom: 1px solid var(--rule);
}
.ask p {
  flex: 1;
}
.keys {
  display: flex;
  gap: 8px;
  flex: none;
}
@media (max-width: 899px) {
  .ask {
    flex-wrap: wrap;
    padding: 6px 12px;
  }
  .ask p {
    flex: 1 1 80%;
  }
}
</style>
