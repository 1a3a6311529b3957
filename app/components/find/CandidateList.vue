<script setup lang="ts">
import { getPipe, shortName } from '#core/catalogue'
import type { Candidate, CheckName, IdentifyAnswer, Meaning, NextCheck } from '#core/identify'
import type { FindRecord } from '#core/record'
import { formatDecimal, type UnitSystem, type Region } from '#core/units'
import { speak } from '#core/speech'
import { materialOf } from '~/drawing/materials'
import { formatReading, inHundred, mmBeside, unitOf } from '~/reading/format'
import { isChoice, type AnswerName, type Settling } from '~/reading/answers'
import { CHECK_WORDS } from '~/wording/en'
import { checksToGo } from '~/wording/find'

/** What the pipe could be, likeliest first, with what speaks for and against; one of them is kept as an end. */
const props = defineProps<{
  answer: IdentifyAnswer
  checks: readonly CheckName[]
  next: readonly NextCheck[]
  settling: Settling | null
  find: FindRecord
  region: Region
  system: UnitSystem
  isSettled: boolean
}>()
const emit = defineEmits<{
  keep: [pipe: string | null]
  answer: [name: AnswerName, value: string | boolean]
  again: [check: CheckName]
}>()
const { show } = useWorking()

/** Under 1 in 100 is shown as refused; more than these would be a list nobody reads. */
const MOST = 3
/** Below this it is shown as refused, without an offer to keep it. */
const LEAST = 0.005
const shown = computed<Candidate[]>(() => {
  const standing = props.answer.candidates
    .filter(({ probability }, i) => i === 0 || probability >= LEAST)
    .slice(0, MOST)
  // Of those that do not stand, the nearest: it is what a hand would else have taken it for.
  const refused = props.answer.candidates[standing.length]
  return refused ? [...standing, refused] : standing
})
const sizes = (id: string) => {
  const { od, wall, bore } = getPipe(id)
  const part = (name: string, mm: number | null) => `${name} ${mm === null ? '?' : formatReading(mm, props.system)}`
  return `${part('outside', od)}, ${part('wall', wall)}, ${part('bore', bore)} ${unitOf(props.system)}${mmBeside(od, props.system).replace('(', '(outside ')}`
}
const words = (text: string) => speak(text, props.region)
/** What an answer would make of it: the pipe that would lead, and how far. */
const meaning = ({ pipe, probability }: Meaning) =>
  `${pipe === null ? 'none of these' : shortName(getPipe(pipe))} ${inHundred(probability)}`

/** The two likeliest beside each other. */
const pair = computed(() =>
  props.answer.candidates.length > 1
    ? { path: '/sizes', query: { a: props.answer.candidates[0]!.pipe, b: props.answer.candidates[1]!.pipe } }
    : null,
)
const router = useRouter()
useKeys({
  x: () => {
    if (pair.value) void router.push(pair.value)
  },
})

function explain(candidate: Candidate) {
  const { standard, typical } = getPipe(candidate.pipe)
  show({
    title: candidate.label,
    source: `${typical ? 'typical, ' : ''}${standard}, for the diameter. How often a pipe is met and how far instruments err are ours.`,
    lines: [],
    notes: [
      `${formatDecimal(candidate.probability * 100, 1)} in 100 after ${props.answer.candidates.length} pipes and none of them were weighed together.`,
      sizes(candidate.pipe),
      ...candidate.for.map(({ text }) => `For: ${text}`),
      ...candidate.against.map(({ text }) => `Against: ${text}`),
    ],
  })
}
</script>

<template>
  <section class="candidates" aria-label="What it could be">
    <h2 class="zone-heading">
      What it could be <span class="right" data-test="to-go">{{ checksToGo(answer.entropy, next[0]?.bits) }}</span>
    </h2>
    <div
      v-for="one in answer.contradictions.slice(0, 2)"
      :key="one.checks.join()"
      class="doubt"
      data-test="contradiction">
      <StatusShape status="held" :size="18" />
      <p class="t14">
        <b>{{ words(one.text.split(/(?<=\.) /)[0]!) }}</b>
        {{
          words(
            one.text
              .split(/(?<=\.) /)
              .slice(1)
              .join(' '),
          )
        }}
        <button type="button" class="underline" @click="emit('again', checks[one.again]!)">Open it</button>
      </p>
    </div>
    <ol>
      <li
        v-for="(candidate, i) in shown"
        :key="candidate.pipe"
        :data-candidate="candidate.pipe"
        :class="{ kept: find.pipe === candidate.pipe }">
        <div class="flex items-baseline gap-2">
          <StatusShape v-if="candidate.probability < LEAST" status="refused" class="self-center" />
          <b :class="i === 0 ? 't20' : 't17'">{{ candidate.label }}</b>
          <button type="button" class="figure-button ml-auto whitespace-nowrap" @click="explain(candidate)">
            <b :class="i === 0 ? 't26' : 't17'">{{ inHundred(candidate.probability) }}</b><span class="visually-hidden">
              in 100, show the working</span
            ></button
          ><span class="note t14 whitespace-nowrap">in 100</span>
        </div>
        <svg v-if="candidate.probability >= LEAST" width="100%" height="11" aria-hidden="true" style="overflow: hidden">
          <path d="M0 6H2000" class="l-hair" />
          <rect
            v-if="candidate.probability >= LEAST"
            x="1"
            y="2"
            :width="`${candidate.probability * 99}%`"
            height="8"
            :fill="
              i === 0 ? `url(#${materialOf(getPipe(candidate.pipe).family).hatch ?? 'hatch-thin'})` : 'var(--paper)'
            "
            stroke="var(--ink)"
            stroke-width="1.25" />
        </svg>
        <p v-if="candidate.probability >= LEAST" class="note t13">{{ sizes(candidate.pipe) }}</p>
        <p v-if="candidate.for.length && candidate.probability >= LEAST" class="t14 why">
          <span class="note">for</span><span>{{ candidate.for.map(({ text }) => text).join(' ') }}</span>
        </p>
        <p v-if="candidate.against.length && i < 3" class="t14 why">
          <span class="note">against</span><span>{{ candidate.against.map(({ text }) => text).join(' ') }}</span>
        </p>
        <button
          v-if="find.pipe !== candidate.pipe && candidate.probability >= LEAST"
          type="button"
          class="link-verb t14"
          :data-keep="candidate.pipe"
          @click="emit('keep', candidate.pipe)">
          Keep as {{ candidate.label }}
        </button>
        <p v-else-if="find.pipe === candidate.pipe" class="verd w7 t14">
          Kept as this.
          <button type="button" class="underline font-normal note" @click="emit('keep', null)">not this</button>
        </p>
      </li>
    </ol>
    <p class="t14 note foot">
      None of these sizes: {{ inHundred(answer.unknown) }} in 100.
      <NuxtLink v-if="pair" :to="pair" class="link-verb ink" data-test="compare">Compare the first two</NuxtLink>
      {{ ' ' }}
      <kbd v-if="pair">X</kbd>
    </p>
    <template v-if="!isSettled && next[0]">
      <h3 class="zone-heading mt-3">The most telling check left</h3>
      <p class="t20 w7">{{ words(CHECK_WORDS[next[0].check]) }}</p>
      <p v-if="next[0].check === 'print'" class="t14 note">
        Where a line can still be read: type it at the checks, ? for a worn letter.
      </p>
      <ul v-if="next[0].means.length && !isChoice(next[0].check)" class="t14" data-test="means">
        <li v-for="one in next[0].means" :key="one.answer" class="mean">
          <b>{{ formatReading(Number(one.answer), system) }}</b><span class="note">{{ meaning(one) }}</span>
        </li>
      </ul>
      <p v-if="settling && settling.check !== next[0].check" class="t15 w6 mt-2">
        Else: {{ words(CHECK_WORDS[settling.check]).toLowerCase() }}
      </p>
      <div v-if="settling" class="keys mt-2" role="group" :aria-label="words(CHECK_WORDS[settling.check])">
        <AnswerKey
          v-for="one in settling.keys"
          :key="String(one.value)"
          :check="settling.check"
          :answer="one"
          @answer="(name, value) => emit('answer', name, value)" />
      </div>
    </template>
  </section>
</template>

<style scoped>
.candidates {
  padding: 12px 22px 12px 24px;
}
ol > li {
  padding: 9px 0 8px;
  border-bottom: 1px solid var(--hair);
}
.doubt {
  display: flex;
  gap: 10px;
  align-items: flex-start;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
.foot {
  padding-top: 8px;
}
.ink {
  color: var(--ink);
}
.mean {
  display: grid;
  grid-template-columns: 64px 1fr;
  padding: 2px 0;
}
.keys {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(116px, 1fr));
  gap: 6px;
}
@media (max-width: 899px) {
  .candidates {
    padding: 12px;
  }
}
.kept {
  box-shadow: inset 5px 0 0 var(--verd);
  padding-left: 12px;
}
.why {
  display: grid;
  grid-template-columns: 56px 1fr;
}
</style>
