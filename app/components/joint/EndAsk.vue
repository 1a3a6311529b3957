<script setup lang="ts">
import type { End, PipeEnd, Way } from '#core/joints'
import { ASKED_FACTS } from '~/wording/facts'
import type { Region } from '#core/units'
import { speak } from '#core/speech'

/** What a way is held for and only a look at the pipe can answer: asked once, its answers as keys. */
const props = defineProps<{
  ways: readonly Way[]
  a: End | null
  b: End | null
  labels: Readonly<Record<'a' | 'b', string>>
  region: Region
}>()
const emit = defineEmits<{ answer: [on: 'a' | 'b', end: PipeEnd] }>()
const asked = computed(() =>
  ASKED_FACTS.filter(({ code }) => props.ways.some(({ because }) => because.some((note) => note.code === code))),
)
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
              end,
              text: props.ways.flatMap(({ because }) => because).find((note) => note.code === fact.code)!.text,
            },
          ]
        : []
    }),
  ),
)
</script>

<template>
  <div v-for="{ fact, on, end, text } in open" :key="`${fact.code} ${on}`" class="ask" :data-ask="fact.code">
    <StatusShape status="held" :size="18" class="flex-none" />
    <p class="t15">
      <b>{{ labels[on] }}:</b> {{ speak(text, region) }}
    </p>
    <span class="keys"
      ><button
        v-for="key in fact.keys"
        :key="key.words"
        type="button"
        class="answer"
        :data-answer="`${fact.code}:${key.words}`"
        @click="emit('answer', on, { ...end, ...key.says })">
        {{ key.words }}
      </button></span
    >
  </div>
</template>

<style scoped>
.ask {
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
