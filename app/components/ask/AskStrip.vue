<script setup lang="ts">
import { onClickOutside } from '@vueuse/core'
import { shapesOf } from '#core/ask'
import type { JobRecord } from '#core/record'
import { REGION_WORDS } from '~/wording/en'
import { REGIONS, unitSystemOf } from '#core/units'

/** Ask: one line of trade shorthand at the top of every screen, its answer below it. */
const props = defineProps<{ job?: JobRecord }>()
const { text, region, chosen, words, filled, result, suggestions, becomes, swap, take } = useAsk(toRef(props, 'job'))
const isOpen = ref(false)
const root = useTemplateRef<HTMLElement>('root')
const field = useTemplateRef<HTMLInputElement>('field')
onClickOutside(root, () => {
  isOpen.value = false
})

async function open() {
  isOpen.value = true
  await nextTick()
  field.value?.focus()
}
function close() {
  isOpen.value = false
  field.value?.blur()
}
/** Focus gone elsewhere by Tab shuts the panel, which lies over the screen. */
function onLeave({ relatedTarget }: FocusEvent) {
  if (relatedTarget instanceof Node && !root.value?.contains(relatedTarget)) isOpen.value = false
}
useKeys({ '/': open })
async function suggest(line: string) {
  text.value = line
  await nextTick()
  field.value?.focus()
}
function onTab(event: KeyboardEvent) {
  const [first] = suggestions.value
  if (event.shiftKey || !first || text.value.trim() === '') return
  event.preventDefault()
  text.value = first
}
async function onEnter() {
  if (!becomes.value) return
  await take()
  close()
}
/** The suggestion without what is typed already. */
const rest = (line: string) =>
  line.slice(text.value.length > 0 ? line.slice(0, -1).lastIndexOf(' ') + 1 : 0).trim() || line.trim()
</script>

<template>
  <div ref="root" class="ask" :class="{ open: isOpen }" @focusout="onLeave">
    <button type="button" class="only-narrow key" aria-label="Ask" @click="open"><kbd class="slash">/</kbd></button>
    <div class="line">
      <kbd class="only-wide">/</kbd>
      <input
        ref="field"
        v-model="text"
        aria-label="Ask"
        :placeholder="unitSystemOf(region) === 'inch' ? '3/4 copper to 1/2 pex' : '22 copper to 15 copper'"
        maxlength="200"
        autocomplete="off"
        autocapitalize="off"
        spellcheck="false"
        role="combobox"
        :aria-expanded="isOpen"
        aria-controls="ask-panel"
        data-test="ask"
        @click="isOpen = true"
        @input="isOpen = true"
        @keydown.tab="onTab"
        @keydown.enter.prevent="onEnter"
        @keydown.esc.stop="close" />
      <button type="button" class="only-narrow key" aria-label="Close" @click="close">close</button>
    </div>
    <div v-if="isOpen" id="ask-panel" class="panel">
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
      <UButton v-if="becomes" data-test="ask-take" @click="onEnter">{{ becomes }} <kbd>Enter</kbd></UButton>
    </div>
  </div>
</template>

<style scoped>
.ask {
  position: relative;
  flex: 0 0 300px;
}
.line {
  display: flex;
  align-items: center;
  gap: 8px;
  border-bottom: 2px solid var(--ink);
  height: 34px;
}
input {
  flex: 1;
  min-width: 0;
  background: transparent;
  border: 0;
  font: inherit;
  color: var(--ink);
}
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
.key {
  min-width: 44px;
  min-height: 44px;
}
@media (max-width: 1100px) {
  .ask {
    flex-basis: 200px;
  }
}
@media (max-width: 899px) {
  .ask {
    flex: 0 0 auto;
  }
  .line {
    display: none;
  }
  .slash {
    display: inline-block;
  }
  .ask.open .line {
    display: flex;
    position: fixed;
    top: 0;
    left: 0;
    right: 0;
    height: 48px;
    padding: 0 12px;
    background: var(--paper);
    z-index: 31;
  }
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
