<script setup lang="ts">
import { getPipe, seriesOf } from '#core/catalogue'
import type { End, PipeEnd } from '#core/joints'

/** What else of a pipe end decides its joints: temper of copper, kind of PEX, oxygen barrier of plastic. */
const props = defineProps<{ end: End | null; disabled: boolean }>()
const emit = defineEmits<{ change: [end: PipeEnd] }>()
const pipe = computed(() => (props.end && 'pipe' in props.end ? getPipe(props.end.pipe) : null))
interface Detail {
  name: 'temper' | 'pexType' | 'barrier'
  words: string
  choices: readonly { value: PipeEnd['temper'] | PipeEnd['pexType'] | boolean | undefined; words: string }[]
}
const details = computed<Detail[]>(() => {
  if (!pipe.value) return []
  const { family, series } = pipe.value
  return [
    ...(family === 'copper'
      ? [
          {
            name: 'temper' as const,
            words: 'temper',
            choices: [
              { value: undefined, words: 'hard' },
              { value: 'soft' as const, words: 'soft' },
            ],
          },
        ]
      : []),
    ...(family === 'pex' && seriesOf(series).sizing === 'cts'
      ? [
          {
            name: 'pexType' as const,
            words: 'printed PEX',
            choices: [
              { value: 'a' as const, words: 'a' },
              { value: undefined, words: 'b' },
              { value: 'c' as const, words: 'c' },
            ],
          },
        ]
      : []),
    ...(['pex', 'pert', 'bs7291'].includes(family)
      ? [
          {
            name: 'barrier' as const,
            words: 'oxygen barrier',
            choices: [
              { value: true, words: 'yes' },
              { value: false, words: 'no' },
              { value: undefined, words: 'not read' },
            ],
          },
        ]
      : []),
  ]
})
const valueOf = (name: Detail['name']) => {
  const value = (props.end as PipeEnd)[name]
  // Hard, and b, are what no word of it counts as.
  return value === 'hard' || value === 'b' ? undefined : value
}
function set(name: Detail['name'], value: Detail['choices'][number]['value']) {
  const { [name]: _, ...others } = props.end as PipeEnd
  emit('change', value === undefined ? others : ({ ...others, [name]: value } as PipeEnd))
}
</script>

<template>
  <div v-if="details.length" class="details">
    <div v-for="{ name, words, choices } in details" :key="name" role="group" :aria-label="words" class="detail">
      <span class="note t13">{{ words }}</span><button
        v-for="choice in choices"
        :key="choice.words"
        type="button"
        class="choice"
        :aria-pressed="valueOf(name) === choice.value"
        :disabled="disabled"
        :data-detail="`${name}:${choice.words}`"
        @click="set(name, choice.value)">
        {{ choice.words }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.details {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
}
.detail {
  display: flex;
  gap: 9px;
  align-items: baseline;
}
.detail .choice {
  padding: 2px 0;
  font-size: 13px;
}
</style>
