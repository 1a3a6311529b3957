<script setup lang="ts">
import { getPipe, shortName } from '#core/catalogue'
import type { Choice, SettlingKey } from '~/reading/answers'
import { inHundred } from '~/reading/format'
import { answerWords } from '~/wording/en'

/** One answer of a check as a key, with what it would make of the pipe. */
const props = defineProps<{ check: Choice; answer: SettlingKey }>()
const { say } = useSpeech()
const emit = defineEmits<{ answer: [name: Choice, value: string | boolean] }>()
const meaning = computed(() => {
  const { means } = props.answer
  if (!means) return 'hardly'
  return `${means.pipe === null ? 'none of these' : shortName(getPipe(means.pipe))} ${inHundred(means.probability)}`
})
</script>

<template>
  <button
    type="button"
    class="answer two"
    :data-settle="String(answer.value)"
    @click="emit('answer', check, answer.value)">
    <b>{{ say(answerWords(String(answer.value), check)) }}</b><span class="t13 note">{{ meaning }}</span>
  </button>
</template>

<style scoped>
.two {
  display: flex;
  flex-direction: column;
  min-height: 46px;
  padding: 3px 8px;
  line-height: 1.2;
}
</style>
