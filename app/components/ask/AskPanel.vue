<script setup lang="ts">
import { shapesOf } from '#core/ask'
import type { JobRecord } from '#core/record'
import { REGION_WORDS } from '~/wording/en'
import { REGIONS } from '#core/units'

/** What a line of shorthand was understood as, its answer, and how it may go on. */
const props = defineProps<{ job?: JobRecord }>()
const emit = defineEmits<{ typed: []; taken: [] }>()
const text = defineModel<string>({ required: true })
const { region, chosen, words, filled, result, suggestions, becomes, swap, take } = useAsk(text, toRef(props, 'job'))

function suggest(line: string) {
  text.value = line
  emit('typed')
}
/** Takes the first suggestion for what is typed; false where there is none. */
function goOn(): boolean {
  const [first] = suggestions.value
  if (!first || text.value.trim() === '') return false
  text.value = first
  return true
}
async function keep() {
  if (!becomes.value) return
  await take()
  emit('taken')
}
defineExpose({ goOn, take: keep })
/** The suggestion without what is typed already. */
const rest = (line: string) =>
  line.slice(text.value.length > 0 ? line.slice(0, -1).lastIndexOf(' ') + 1 : 0).trim() || line.trim()
</script>

<template>
  <div class="panel">
    <div v-if="!job" role="group" aria-label="Region" class="flex gap-5">
      <button
        v-for="one in REGIONS"
        :key="one"
        type="button"
        class="choice"
        :aria-pressed="region === one"
        @click="chosen = one">
        {{ REGION_WORDS[one] }}
      </button>
    </div>
    <p v-if="words.length" class="echo" data-test="ask-words">
      <span v-for="(word, i) in words" :key="i" class="word"
        ><b>{{ word.text }}</b
        ><span class="note t13">{{ word.as }}</span
        ><span v-if="word.others" class="t13"
          >or
          <button
            v-for="other in word.others"
            :key="other"
            type="button"
            class="underline other"
            @click="swap(i, other)">
            {{ other }}
          </button></span
        ></span
      >
    </p>
    <p v-if="filled.length" class="note t14" data-test="ask-filled">From the job: {{ filled.join(', ') }}.</p>
    <template v-if="result && 'issue' in result">
      <p
        class="t15"
        :class="text.endsWith(' ') || words.length ? 'note' : 'brick w6'"
        role="status"
        data-test="ask-issue">
        {{ result.issue.message.replace(/^text: /, '') }}
      </p>
      <div
        v-if="result.issue.meanings"
        class="answers"
        role="group"
        aria-label="Which is meant"
        data-test="ask-meanings">
        <button
          v-for="meaning in result.issue.meanings"
          :key="meaning.text"
          type="button"
          class="answer"
          @click="suggest(meaning.text)">
          {{ meaning.as }}
        </button>
      </div>
      <div v-else-if="words.length === 0" class="answers">
        <button v-for="shape in shapesOf(region)" :key="shape" type="button" class="answer" @click="suggest(shape)">
          {{ shape }}
        </button>
      </div>
    </template>
    <AskAnswer v-else-if="result" :asked="result.asked" :region="region" />
    <div v-if="suggestions.length" class="answers" role="group" aria-label="Goes on with">
      <button v-for="(line, i) in suggestions" :key="line" type="button" class="answer" @click="suggest(line)">
        {{ rest(line) }} <kbd v-if="i === 0 && text.trim()">Tab</kbd>
      </button>
    </div>
    <RuledButton v-if="becomes" data-test="ask-take" @click="keep">{{ becomes }} <kbd>Enter</kbd></RuledButton>
  </div>
</template>

<style scoped>
.panel {
  position: absolute;
  top: 43px;
  right: -8px;
  width: 560px;
  max-height: calc(100dvh - 60px);
  overflow: auto;
  background: var(--paper);
  border: 1px solid var(--rule);
  padding: 12px 16px 16px;
  z-index: 30;
  display: flex;
  flex-direction: column;
  gap: 12px;
  white-space: normal;
}
.echo {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
}
.word {
  display: flex;
  flex-direction: column;
  border-bottom: 1px solid var(--rule);
  padding-bottom: 2px;
}
.other {
  margin-right: 6px;
  min-height: 24px;
}
@media (max-width: 899px) {
  .panel {
    position: fixed;
    top: 48px;
    left: 0;
    right: 0;
    width: auto;
    max-height: calc(100dvh - 48px);
    border-width: 1px 0;
  }
}
</style>
