<script setup lang="ts">
import type { End, OtherEnd, Way, WaysAnswer } from '#core/joints'
import type { JobRecord, JointRecord } from '#core/record'
import { orderWords } from '~/wording/policy'
import { endLabel } from '~/wording/way'
import { unitSystemOf } from '#core/units'
import { othersWords, type Fold } from '~/reading/fold'

/**
 * Every way that works, the first few before the rest is asked for, and every one refused; or what would have to change.
 */
const props = defineProps<{
  job: JobRecord
  joint: JointRecord
  a: End
  b: OtherEnd
  /** Ends as the ways were asked for: with what is known of them. */
  asked: { a: End | null; b: OtherEnd | null }
  answer: WaysAnswer
  ways: readonly Way[]
  /** The same, one fold a pair of methods, and the rows that are shown of them. */
  folds: readonly Fold[]
  rows: readonly Way[]
  /** Rows that are not shown until they are asked for. */
  hidden: number
  way: Way | null
  isSigned: boolean
}>()
const emit = defineEmits<{
  look: [way: string]
  open: [pair: string]
  all: []
  change: [changes: { a?: End; b?: End }]
}>()
const system = computed(() => unitSystemOf(props.job.region))
const shown = computed(() => props.rows.map((one) => ({ one, fold: foldOf(one) })))
/** The fold at whose head a way stands, with others that are not shown yet. */
function foldOf(one: Way): Fold | null {
  const fold = props.folds.find(({ best }) => best.id === one.id)
  return fold && fold.others.length > 0 && !props.rows.includes(fold.others[0]!) ? fold : null
}
const liked = computed(() => orderWords(props.job.policy))
const isCharted = ref(false)
/** As many ways as a chart can be read of. */
const CHARTED = 8
</script>

<template>
  <div v-if="ways.length === 0" class="p-5 space-y-2" data-test="no-way">
    <p class="t20 w7 flex gap-2 items-center">
      <StatusShape status="refused" :size="20" /> No way is right as it stands.
    </p>
    <p class="note">What would have to change:</p>
    <ul>
      <li v-for="text in answer.instead" :key="text" class="t17">{{ text }}</li>
    </ul>
  </div>
  <EndAsk
    v-if="!isSigned"
    :ways="ways"
    :a="asked.a"
    :b="asked.b"
    :labels="{ a: endLabel(a), b: endLabel(b) }"
    :region="job.region"
    @answer="(on, says) => emit('change', { [on]: { ...(on === 'a' ? a : b), ...says } })" />
  <p v-if="liked" class="t14 liked" data-test="order-words">
    <b>{{ liked }}.</b> <NuxtLink :to="`/jobs/${job.slug}/kit`" class="underline">By the job's policy</NuxtLink>
  </p>
  <TransitionGroup name="row">
    <WayRow
      v-for="({ one, fold }, index) in shown"
      :key="one.id"
      :way="one"
      :a="a"
      :b="b"
      :region="job.region"
      :system="system"
      :selected="one.id === way?.id"
      :taken="one.id === joint.wayId"
      :index="index"
      :is-head="folds.some(({ best }) => best.id === one.id)"
      :more="fold && othersWords(fold)"
      @look="emit('look', one.id)"
      @open="fold && emit('open', fold.pair)" />
  </TransitionGroup>
  <button v-if="hidden > 0" type="button" class="more" data-test="more-ways" @click="emit('all')">
    {{ hidden }} more pairs, with more joints or more care
  </button>
  <p v-if="ways.length > 1" class="note t14 count" data-test="folded">
    {{ ways.length }} ways in {{ folds.length }} {{ folds.length === 1 ? 'pair' : 'pairs' }} of methods:
    {{ rows.length }} shown.
  </p>
  <div v-if="ways.length > 1" class="compare">
    <button type="button" class="more" :aria-expanded="isCharted" data-test="chart" @click="isCharted = !isCharted">
      {{ isCharted ? 'Close the chart' : 'Minutes and cost of the first ways, as a chart' }}</button><LazyWaysChart
      v-if="isCharted"
      :ways="ways.slice(0, CHARTED)"
      :region="job.region" />
  </div>
  <RefusedList :refused="answer.refused" :region="job.region" :end-words="{ a: endLabel(a), b: endLabel(b) }" />
</template>

<style scoped>
/* Rows change places in sight, so that the eye keeps the one it was on. */
.row-move {
  transition: transform 120ms ease-out;
}
@media (prefers-reduced-motion: reduce) {
  .row-move {
    transition: none;
  }
}
.liked {
  padding: 6px 18px;
  border-bottom: 1px solid var(--hair);
}
.count {
  padding: 6px 18px;
}
.more {
  width: 100%;
  min-height: 44px;
  padding: 0 18px;
  border-bottom: 1px solid var(--hair);
  color: var(--ink2);
  text-decoration: underline;
}
</style>
