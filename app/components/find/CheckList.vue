<script setup lang="ts">
import type { CheckName, NextCheck } from '#core/identify'
import {
  LENGTH_ANSWERS,
  MEANS,
  type FindRecord,
  type JobRecord,
  type LengthAnswer,
  type LengthReading,
  type Means,
  type Reading,
} from '#core/record'
import { ASIDE, CHOICES, isChoice, type AnswerName, type Choice } from '~/reading/answers'
import { answerWords, CHECK_WORDS, MEANS_WORDS, type AskedName } from '~/wording/en'
import { type UnitSystem, unitSystemOf } from '#core/units'
import { speak } from '#core/speech'
import { formatReading, unitOf } from '~/reading/format'

/** The checks a person can make, the most telling first, each a key and an answer; what is answered stays on top. */
const props = defineProps<{
  job: JobRecord
  find: FindRecord
  reading: Reading
  lengths: Readonly<Record<LengthAnswer, LengthReading>>
  next: readonly NextCheck[]
  best: CheckName | undefined
  spread: number
  cannot: ReadonlySet<string>
}>()
const emit = defineEmits<{
  typed: [text: string]
  by: [by: Means]
  bar: [name: AskedName, isBarred: boolean]
  answer: [name: AnswerName, value: string | boolean | undefined]
}>()

const open = ref<Choice | null>(null)
const field = useTemplateRef<HTMLInputElement>('field')
const list = useTemplateRef<HTMLElement>('list')

const bitsOf = (name: AnswerName) => props.next.find(({ check }) => check === name)?.bits ?? 0
const names = computed(() =>
  (Object.keys(CHOICES) as Choice[]).sort(
    (a, b) =>
      Number(props.cannot.has(a)) - Number(props.cannot.has(b)) ||
      Number(props.find.answers[b] !== undefined) - Number(props.find.answers[a] !== undefined) ||
      Number(a in ASIDE) - Number(b in ASIDE) ||
      bitsOf(b) - bitsOf(a),
  ),
)
const most = computed(() => Math.max(1, ...props.next.map(({ bits }) => bits)))
const system = computed(() => unitSystemOf(props.job.region))
const words = (text: string) => speak(text, props.job.region)

function pick(name: Choice, value: string | boolean) {
  const same = props.find.answers[name] === value
  emit('answer', name, same ? undefined : value)
  if (!same) open.value = null
}
useKeys({
  c: () => list.value?.querySelector('button')?.focus(),
  p: () => list.value?.querySelector<HTMLButtonElement>('[data-check="print"]')?.click(),
})
function pickByDigit(event: KeyboardEvent) {
  const name = names.value[Number(event.key) - 1]
  if (!/^[1-9]$/.test(event.key) || !name || event.target instanceof HTMLInputElement) return
  event.preventDefault()
  open.value = open.value === name ? null : name
}
function onInput(event: Event) {
  emit('typed', (event.target as HTMLInputElement).value)
}
/** Brings one check up to be made again. */
async function openCheck(name: AskedName) {
  if (name === 'outside-diameter') return field.value?.focus()
  if (isChoice(name)) open.value = name
  await nextTick()
  const row = list.value?.querySelector<HTMLButtonElement>(`[data-check="${name}"]`)
  if (row?.getAttribute('aria-expanded') === 'false') row.click()
  row?.focus()
}
defineExpose({ openCheck })
const READING_SHAPES = { read: 'made', wrong: 'refused', empty: 'planned' } as const
/** Where the figure is read, by means. */
const WHERE: Readonly<Partial<Record<Means, string>>> = { 'tape-round': 'round it', strip: 'at the arrow' }
const SAMPLES: Readonly<Record<UnitSystem, string>> = {
  inch: 'Type 7/8, 0.875 or 22.2 mm.',
  metric: 'Type 21.5, 21,5 mm or 7/8 in.',
}
</script>

<template>
  <section class="checks" aria-label="Checks">
    <h2 class="zone-heading px-[18px] pt-3 pb-2">
      Checks, the most telling first <span class="right only-wide"><kbd>C</kbd></span>
    </h2>
    <div class="diameter row-selected">
      <div class="flex items-center gap-2 t17">
        <StatusShape :status="READING_SHAPES[reading.state]" /><label for="diameter" class="w7">Outside diameter</label>
      </div>
      <div class="means" role="group" aria-label="Measured by">
        <button
          v-for="by in MEANS"
          :key="by"
          type="button"
          class="choice"
          :aria-pressed="find.by === by"
          :data-by="by"
          @click="emit('by', by)">
          {{ words(MEANS_WORDS[by]) }}
        </button>
      </div>
      <div class="flex items-baseline gap-2 field">
        <input
          id="diameter"
          ref="field"
          class="plain-input t26 w7"
          :value="find.typed"
          inputmode="text"
          autocomplete="off"
          spellcheck="false"
          maxlength="200"
          :placeholder="WHERE[find.by] ?? 'across'"
          :aria-invalid="reading.state === 'wrong'"
          aria-describedby="diameter-note"
          @input="onInput" />
        <span class="note t15 whitespace-nowrap">{{ unitOf(system) }} &#177; {{ formatReading(spread, system) }}</span>
      </div>
      <div id="diameter-note" class="t14 under" role="status">
        <template v-if="reading.state === 'wrong'">
          <p class="brick w6" data-test="diameter-error">{{ reading.message }}</p>
          <button
            v-if="reading.guess"
            type="button"
            class="answer"
            data-test="diameter-guess"
            @click="reading.guess.by ? emit('by', reading.guess.by) : emit('typed', reading.guess.typed)">
            {{ reading.guess.words }}
          </button>
        </template>
        <p v-else-if="reading.state === 'read' && reading.working" class="note">{{ reading.working }}</p>
        <p v-else-if="find.by === 'gauge'" class="note">
          Type what the gauge says, or
          <NuxtLink
            :to="{ path: '/gauge', query: { job: job.slug, find: find.id } }"
            class="link-verb ink"
            data-test="screen-gauge"
            >hold it to the screen</NuxtLink
          >.
        </p>
        <p v-else-if="find.by === 'strip'" class="note">
          Wrap the printed strip round, type what its arrow shows.
          <a
            :href="`/api/print/wrap-strip.pdf?region=${job.region}`"
            target="_blank"
            class="link-verb ink"
            data-test="print-strip"
            >Print one</a
          >
        </p>
        <p v-else-if="reading.state !== 'read'" class="note">
          {{ find.by === 'tape-round' ? 'Wrap a tape once round and type what it reads.' : SAMPLES[system] }}
        </p>
      </div>
    </div>
    <ul ref="list" class="rows" @keydown="pickByDigit">
      <li>
        <PrintCheck
          :text="find.answers.print ?? ''"
          :bits="bitsOf('print')"
          :most="most"
          :is-best="best === 'print'"
          :is-barred="cannot.has('print')"
          @change="(text) => emit('answer', 'print', text)"
          @bar="(isSo) => emit('bar', 'print', isSo)" />
      </li>
      <li v-for="(name, i) in names" :key="name">
        <CheckRow
          :name="name"
          :label="words(CHECK_WORDS[name])"
          :answer="find.answers[name] === undefined ? null : words(answerWords(String(find.answers[name]), name))"
          :hint="i < 9 ? String(i + 1) : ''"
          :bits="bitsOf(name)"
          :most="most"
          :is-best="best === name"
          :is-open="open === name"
          :aside="ASIDE[name]"
          :is-barred="cannot.has(name)"
          @toggle="open = open === name ? null : name" />
        <div v-if="open === name" class="answers options" role="group" :aria-label="words(CHECK_WORDS[name])">
          <button
            v-for="value in CHOICES[name]"
            :key="String(value)"
            type="button"
            class="answer"
            :aria-pressed="find.answers[name] === value"
            :data-answer="`${name}:${value}`"
            @click="pick(name, value)">
            {{ words(answerWords(String(value), name)) }}
          </button>
          <button
            v-if="find.answers[name] === undefined"
            type="button"
            class="answer bar"
            :data-bar="name"
            :aria-pressed="cannot.has(name)"
            @click="emit('bar', name, !cannot.has(name))">
            {{ cannot.has(name) ? 'it can be checked after all' : 'cannot be checked here' }}
          </button>
        </div>
      </li>
      <li v-for="name in LENGTH_ANSWERS" :key="name">
        <LengthCheck
          :name="name"
          :label="words(CHECK_WORDS[name])"
          :text="find.answers[name] ?? ''"
          :reading="lengths[name]"
          :system="system"
          :bits="bitsOf(name)"
          :most="most"
          :is-best="best === name"
          :is-barred="cannot.has(name)"
          @change="(text) => emit('answer', name, text)"
          @bar="(isSo) => emit('bar', name, isSo)" />
      </li>
    </ul>
    <p class="note t13 px-[18px] py-2 only-wide">Bar: how much of the doubt the check would take away.</p>
  </section>
</template>

<style scoped>
.diameter {
  padding: 10px 18px 8px;
  border-bottom: 1px solid var(--hair);
}
.means {
  display: flex;
  gap: 0 12px;
  margin: 4px 0 0 22px;
  flex-wrap: wrap;
}
.field {
  margin: 6px 0 4px 22px;
  border-bottom: 2px solid var(--ink);
}
.field .plain-input {
  border: 0;
  min-width: 0;
}
.field:focus-within {
  outline: 2px solid var(--copper);
  outline-offset: 2px;
}
.field .plain-input:focus-visible {
  outline: none;
}
.field:has([aria-invalid='true']) {
  border-color: var(--brick);
}
.under {
  margin-left: 22px;
  min-height: 40px;
}
@media (max-width: 899px) {
  .under {
    min-height: 22px;
  }
  .diameter {
    padding: 4px 12px;
  }
}
li {
  border-bottom: 1px solid var(--hair);
}
.options {
  padding: 2px 18px 10px 40px;
}
.bar {
  border-style: dashed;
  color: var(--ink2);
}
.ink {
  color: var(--ink);
}
</style>
