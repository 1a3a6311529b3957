<script setup lang="ts">
import { getPipe, type Region } from '#core/catalogue'
import type { Candidate, IdentifyAnswer, NextCheck } from '#core/identify'
import type { FindRecord } from '#core/record'
import { formatDecimal, type UnitSystem } from '#core/units'
import { materialOf } from '~/drawing/materials'
import { formatReading, mmBeside, unitOf } from '~/reading/format'
import { CHOICES, isChoice, type AnswerName } from '~/reading/answers'
import { answerWords, CHECK_WORDS, inRegion } from '~/wording/en'

/** What the pipe could be, likeliest first, with what speaks for and against; one of them is kept as an end. */
const props = defineProps<{ answer: IdentifyAnswer, next: readonly NextCheck[], find: FindRecord, region: Region, system: UnitSystem, isSettled: boolean }>()
const emit = defineEmits<{ keep: [pipe: string | null], answer: [name: AnswerName, value: string | boolean] }>()
const { show } = useWorking()

/** Under 1 in 100 is shown as refused; more than these would be a list nobody reads. */
const MOST = 4
/** Below this it is shown as refused, without an offer to keep it. */
const LEAST = 0.005
const shown = computed<Candidate[]>(() => props.answer.candidates.slice(0, MOST))
const inHundred = (probability: number) => (probability < LEAST ? 'under 1' : String(Math.round(probability * 100)))
const sizes = (id: string) => {
  const { od, wall, bore } = getPipe(id)
  const part = (name: string, mm: number | null) => `${name} ${mm === null ? '?' : formatReading(mm, props.system)}`
  return `${part('outside', od)}, ${part('wall', wall)}, ${part('bore', bore)} ${unitOf(props.system)}${mmBeside(od, props.system).replace('(', '(outside ')}`
}
const words = (text: string) => inRegion(text, props.region)
/** The answers of the most telling check that has a few; a length or a print is typed instead. */
const settling = computed(() => {
  const check = props.next.map(({ check }) => check).find(isChoice)
  return check === undefined ? null : { check, values: CHOICES[check] }
})

/** The two likeliest beside each other. */
const pair = computed(() => (props.answer.candidates.length > 1 ? { path: '/sizes', query: { a: props.answer.candidates[0]!.pipe, b: props.answer.candidates[1]!.pipe } } : null))
const router = useRouter()
useKeys({ x: () => { if (pair.value) void router.push(pair.value) } })

function explain(candidate: Candidate) {
  const { standard, typical } = getPipe(candidate.pipe)
  show({
    title: candidate.label,
    source: `${typical ? 'typical, ' : ''}${standard}, for the diameter. How often a pipe is met and how far instruments err are ours.`,
    lines: [],
    notes: [`${formatDecimal(candidate.probability * 100, 1)} in 100 after ${props.answer.candidates.length} pipes and none of them were weighed together.`, sizes(candidate.pipe), ...candidate.for.map(({ text }) => `For: ${text}`), ...candidate.against.map(({ text }) => `Against: ${text}`)],
  })
}
</script>

<template>
  <section class="candidates" aria-label="What it could be">
    <h2 class="zone-heading">What it could be <span class="right">{{ formatDecimal(answer.entropy, 2) }} bits of doubt</span></h2>
    <ol>
      <li v-for="(candidate, i) in shown" :key="candidate.pipe" :data-candidate="candidate.pipe" :class="{ kept: find.pipe === candidate.pipe }">
        <div class="flex items-baseline gap-2">
          <StatusShape v-if="candidate.probability < LEAST" status="refused" class="self-center" />
          <b :class="i === 0 ? 't20' : 't17'">{{ candidate.label }}</b>
          <button type="button" class="figure-button ml-auto whitespace-nowrap" @click="explain(candidate)"><b :class="i === 0 ? 't26' : 't17'">{{ inHundred(candidate.probability) }}</b><span class="visually-hidden"> in 100, show the working</span></button><span class="note t14 whitespace-nowrap">in 100</span>
        </div>
        <svg width="100%" height="11" aria-hidden="true" style="overflow: hidden"><path d="M0 6H2000" class="l-hair" /><rect v-if="candidate.probability >= LEAST" x="1" y="2" :width="`${candidate.probability * 99}%`" height="8" :fill="i === 0 ? `url(#${materialOf(getPipe(candidate.pipe).family).hatch ?? 'hatch-thin'})` : 'var(--paper)'" stroke="var(--ink)" stroke-width="1.25" /></svg>
        <p class="note t13">{{ sizes(candidate.pipe) }}</p>
        <p v-if="candidate.for.length && candidate.probability >= LEAST" class="t14 why"><span class="note">for</span><span>{{ candidate.for.map(({ text }) => text).join(' ') }}</span></p>
        <p v-if="candidate.against.length && i < 3" class="t14 why"><span class="note">against</span><span>{{ candidate.against.map(({ text }) => text).join(' ') }}</span></p>
        <button v-if="find.pipe !== candidate.pipe && candidate.probability >= LEAST" type="button" class="link-verb t14" :data-keep="candidate.pipe" @click="emit('keep', candidate.pipe)">Keep as {{ candidate.label }}</button>
        <p v-else-if="find.pipe === candidate.pipe" class="verd w7 t14">Kept as this. <button type="button" class="underline font-normal note" @click="emit('keep', null)">not this</button></p>
      </li>
    </ol>
    <p v-if="pair"><NuxtLink :to="pair" class="link-verb t14" data-test="compare">Compare the first two, drawn</NuxtLink> <kbd>X</kbd></p>
    <p class="t14 note">None of the catalogue's: {{ inHundred(answer.unknown) }} in 100.</p>
    <template v-if="!isSettled && next[0]">
      <h3 class="zone-heading mt-3">The most telling check left <span class="right"><b class="copper t17">{{ formatDecimal(next[0].bits, 2) }}</b> of {{ formatDecimal(answer.entropy, 2) }} bits</span></h3>
      <p class="t20 w7">{{ words(CHECK_WORDS[next[0].check]) }}</p>
      <p v-if="next[0].check === 'print'" class="t14 note">Where a line can still be read: type it at the checks, ? for a worn letter.</p>
      <p v-if="settling && settling.check !== next[0].check" class="t15 w6 mt-2">Else: {{ words(CHECK_WORDS[settling.check]).toLowerCase() }}</p>
      <div v-if="settling" class="answers mt-2" role="group" :aria-label="words(CHECK_WORDS[settling.check])">
        <button v-for="value in settling.values" :key="String(value)" type="button" class="answer" :data-settle="String(value)" @click="emit('answer', settling.check, value)">{{ answerWords(String(value), settling.check) }}</button>
      </div>
    </template>
  </section>
</template>

<style scoped>
.candidates { padding: 12px 22px 12px 24px; }
li { padding: 9px 0 8px; border-bottom: 1px solid var(--hair); }
.kept { box-shadow: inset 5px 0 0 var(--verd); padding-left: 12px; }
.why { display: grid; grid-template-columns: 56px 1fr; }
</style>
