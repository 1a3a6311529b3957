<script setup lang="ts">
import type { End, PipeEnd } from '#core/joints'
import type { KnownFact } from '#core/record'
import { shownFacts, sourcesOf, type EndFact } from '~/wording/end-facts'

/**
 * What is known of a pipe end beside its size, under it: each with its value, which a tap opens to be changed, and where
 * it comes from. What nobody knows is dashed.
 */
const props = defineProps<{ end: End | null; known: readonly KnownFact[]; disabled: boolean; on: 'a' | 'b' }>()
const emit = defineEmits<{ change: [end: PipeEnd] }>()
const all = ref(false)
const open = ref<EndFact['name'] | null>(null)
const end = computed(() => (props.end && 'pipe' in props.end ? props.end : null))
const facts = computed(() => (end.value ? shownFacts(end.value.pipe, props.known, all.value) : []))
const more = computed(() => (end.value ? shownFacts(end.value.pipe, props.known, true).length - facts.value.length : 0))
const sources = computed(() => sourcesOf(props.known))
const opened = computed(() => facts.value.find(({ fact }) => fact.name === open.value)?.fact)
const valueOf = (fact: EndFact) => props.known.find(({ name }) => name === fact.name)?.value
const listed = computed(() => (valueOf({ name: 'listing' } as EndFact) ?? []) as readonly string[])

const isChosen = (fact: EndFact, { value, words }: EndFact['choices'][number]) => {
  if (fact.isMany) return listed.value.includes(words)
  return valueOf(fact) === value || (valueOf(fact) === undefined && fact.usual === words)
}
/** The same one again is taken back: what the find says, or the usual, counts again. */
function choose(fact: EndFact, choice: EndFact['choices'][number]) {
  const { [fact.name]: own, ...others } = end.value!
  if (fact.isMany) {
    const without = listed.value.filter((one) => one !== choice.words)
    const next = listed.value.includes(choice.words) ? without : [...without, choice.words]
    emit('change', next.length > 0 ? { ...others, [fact.name]: next } : others)
    return
  }
  emit('change', own === choice.value ? others : { ...others, [fact.name]: choice.value })
  open.value = null
}
</script>

<template>
  <div v-if="facts.length || more > 0" class="facts" :data-facts="on">
    <p class="row">
      <button
        v-for="{ fact, words, isKnown } in facts"
        :key="fact.name"
        type="button"
        class="fact"
        :aria-expanded="open === fact.name"
        :disabled="disabled"
        :data-fact="fact.name"
        @click="open = open === fact.name ? null : fact.name">
        <StatusShape v-if="!isKnown" status="held" :size="13" class="inline" />
        <span class="note">{{ fact.words }}</span>
        <b :class="isKnown ? 'known' : 'open'">{{ words }}</b>
      </button>
      <span v-if="sources" class="note t13">{{ sources }}</span>
      <button
        v-if="more > 0 && !disabled"
        type="button"
        class="note t13 underline"
        :data-more-facts="on"
        @click="all = true">
        {{ facts.length ? `${more} more` : 'what is known of it' }}
      </button>
    </p>
    <p v-if="opened" class="row" role="group" :aria-label="opened.words">
      <button
        v-for="choice in opened.choices"
        :key="choice.words"
        type="button"
        class="answer"
        :aria-pressed="isChosen(opened, choice)"
        :data-detail="`${opened.name}:${choice.words}`"
        @click="choose(opened, choice)">
        {{ choice.words }}
      </button>
    </p>
  </div>
</template>

<style scoped>
.facts {
  min-width: 0;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  align-items: baseline;
}
.fact {
  display: inline-flex;
  gap: 6px;
  align-items: baseline;
  min-height: 30px;
  font-size: 15px;
  white-space: nowrap;
}
.known {
  border-bottom: 2px solid var(--copper);
}
.open {
  border-bottom: 2px dashed var(--ochre);
  color: var(--ochre);
}
@media (pointer: coarse), (max-width: 899px) {
  .fact {
    min-height: 44px;
  }
}
</style>
