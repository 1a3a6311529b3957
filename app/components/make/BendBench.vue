<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import type { ActOn, InputOf } from '#core/acts'
import { getPipe } from '#core/catalogue'
import { bendRemedy, isPulledOtherwise, nextPull, pulledAt, type BendStepCode } from '#core/line'
import { formatLength, unitSystemOf } from '#core/units'
import { benderFor, bendersFor, useBender, type BenderRecord, type BentPiece, type JobRecord } from '#core/record'

/** A bent piece on the bench: its strip with every mark, and the steps of its bends to tick. */
const props = defineProps<{ job: JobRecord; bent: BentPiece; next: BentPiece | undefined }>()
const store = useJobStore()
const narrow = useNarrow()
const system = computed(() => unitSystemOf(props.job.region))
const { school, flip } = useBendSchool(toRef(props, 'job'))
const bender = computed(() => benderFor(props.job, props.bent.piece.pipe))
/** Another bender on the day: what is still to be pulled is marked anew for it. */
const benders = computed(() => bendersFor(props.job, props.bent.piece.pipe))
const use = (one: BenderRecord) =>
  store.do(props.job.slug, 'kit/change', null, { benders: useBender(props.job.benders, one) })
const drawing = useTemplateRef<HTMLElement>('drawing')
const { width } = useElementSize(drawing)
const steps = computed(() => props.bent.card.steps)
const current = computed(() => nextPull(props.bent))
const { isSingle, viewed, turn } = useOneStep(
  () => props.bent.key,
  () => current.value,
  () => steps.value.length,
)

const act = <N extends ActOn<'lines'>>(name: N, body: InputOf<N>) =>
  store.do(props.job.slug, name, props.bent.line.id, body)
const place = (step: number) => ({ piece: props.bent.piece.id, step: step + 1 })
const tick = (step: number) =>
  pulledAt(props.bent, step) === undefined
    ? act('line/bend-step', { ...place(step), marks: props.bent.card.marks })
    : act('line/unbend-step', place(step))
const fail = (step: number) => act('line/fail-bend', place(step))
/** What the hand needs next, the largest thing on the screen. */
const figure = computed(() =>
  current.value < 0 ? undefined : steps.value[isSingle.value ? viewed.value : current.value]?.figure,
)
const tickCurrent = () => {
  if (current.value >= 0) tick(current.value)
}
useLetGo()
useKeys({
  ' ': tickCurrent,
  PageDown: tickCurrent,
  Enter: tickCurrent,
  o: () => {
    isSingle.value = !isSingle.value
  },
  g: flip,
  ArrowRight: () => {
    if (isSingle.value) turn(1)
  },
  ArrowLeft: () => {
    if (isSingle.value) turn(-1)
  },
})
</script>

<template>
  <div ref="drawing" class="strip">
    <PieceStrip
      v-if="width > 0"
      :piece="bent.piece"
      :from="bent.from"
      :to="bent.to"
      :system="system"
      :width="Math.floor(width)"
      :is-reversed="false"
      :is-phone="narrow"
      :school="school" />
  </div>
  <div class="head">
    <p class="t26 w7">L{{ bent.line.number }} {{ bent.piece.id }}, {{ bent.from }} to {{ bent.to }}</p>
    <p class="t15 note">{{ getPipe(bent.piece.pipe).label }}; {{ bent.line.name }}</p>
    <BendFigure v-if="narrow && figure" :figure="figure" :system="system" />
    <button type="button" class="choice" data-test="bend-school" @click="flip">
      mark: {{ school === 'hook' ? 'at the hook edge' : 'the corner, sighted' }}; change <kbd>G</kbd>
    </button>
    <span v-if="benders.length > 1" class="flex gap-3 items-baseline" role="group" aria-label="Bent with">
      <span class="note t14">bent with</span>
      <button
        v-for="(one, i) in benders"
        :key="one.name ?? ''"
        type="button"
        class="choice"
        :aria-pressed="i === 0"
        :data-bender="one.name ?? ''"
        @click="use(one)">
        {{ one.name ?? 'the first' }}, R {{ formatLength(one.radius, system) }}
      </button></span
    >
    <button type="button" class="choice" :aria-pressed="isSingle" data-test="one-step" @click="isSingle = !isSingle">
      {{ isSingle ? 'all steps' : 'one step at a time' }} <kbd>O</kbd>
    </button>
    <NuxtLink :to="{ path: `/jobs/${job.slug}/line`, query: { line: bent.line.id } }" class="underline t15"
      >the line</NuxtLink
    >
  </div>
  <p v-if="isPulledOtherwise(bent)" class="stale t15" role="status" data-test="stale">
    <StatusShape status="held" :size="20" /> Its figures have changed since it was begun. What was pulled to the old
    marks does not count: measure what lies there.
  </p>
  <div class="bench">
    <div>
      <StepList
        :steps="steps"
        :current="current"
        :only="isSingle ? viewed : null"
        :tick-of="(step) => (pulledAt(bent, step) === undefined ? undefined : { at: pulledAt(bent, step)! })"
        :locked="false"
        :region="job.region"
        :system="system"
        :remedy="(step) => bendRemedy(steps[step]!.code as BendStepCode)"
        @tick="tick"
        @fail="fail" />
    </div>
    <div class="side">
      <BendFigure v-if="!narrow && figure" :figure="figure" :system="system" />
      <template v-if="!narrow">
        <RuledButton v-if="current >= 0" size="xl" block data-test="tick-current" @click="tickCurrent"
          >Done: step {{ current + 1 }} <kbd>Space</kbd></RuledButton
        >
        <p v-else class="t20 w7 flex gap-2 items-center" data-test="bent">
          <StatusShape status="made" :size="22" /> {{ bent.piece.id }} is bent
        </p>
        <RuledButton v-if="current < 0 && next" size="xl" block :to="{ query: { bend: next.key } }"
          >Next: L{{ next.line.number }} {{ next.piece.id }}</RuledButton
        >
      </template>
      <p class="note t14">
        Marks are made on the straight tube, before the first pull.
        {{
          bender
            ? `Radius ${formatLength(bender.radius, system)}, by your bender.`
            : 'Radius typical: make a test bend and enter it in Kit.'
        }}
      </p>
      <p class="note t13">Hard-drawn tube (R290, inch tube from 1/2) is not bent: it kinks. A kink is scrap.</p>
    </div>
  </div>
  <div v-if="narrow" class="thumb">
    <button v-if="isSingle" type="button" class="step" :disabled="viewed === 0" data-test="step-back" @click="turn(-1)">
      Back
    </button>
    <RuledButton v-if="current >= 0" size="xl" class="flex-1" data-test="tick-current" @click="tickCurrent"
      >Done: step {{ current + 1 }}</RuledButton
    >
    <RuledButton v-else-if="next" size="xl" class="flex-1" :to="{ query: { bend: next.key } }"
      >Next: L{{ next.line.number }} {{ next.piece.id }}</RuledButton
    >
    <p v-else class="t20 w7 flex-1" data-test="bent">{{ bent.piece.id }} is bent</p>
    <button
      v-if="isSingle"
      type="button"
      class="step"
      :disabled="viewed >= steps.length - 1"
      data-test="step-next"
      @click="turn(1)">
      Next
    </button>
  </div>
</template>

<style scoped>
.strip {
  padding: 8px 0 4px;
  border-bottom: 1px solid var(--rule);
  overflow: hidden;
  min-height: 162px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  align-items: baseline;
  padding: 8px 18px;
  border-bottom: 1px solid var(--rule);
}
.stale {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 8px 18px;
  border-bottom: 3px solid var(--ochre);
}
.bench {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 420px;
}
.side {
  border-left: 1px solid var(--rule);
  padding: 16px 24px;
  display: flex;
  flex-direction: column;
  gap: 16px;
}
.thumb {
  position: sticky;
  bottom: var(--foot, 0px);
  background: var(--paper);
  border-top: 1px solid var(--rule);
  display: flex;
  gap: 10px;
  padding: 10px 12px;
  align-items: center;
}
.step {
  min-height: 72px;
  min-width: 76px;
  border: 1px solid var(--rule);
  font-size: 20px;
  font-weight: 700;
}
.step:disabled {
  color: var(--ink2);
  border-style: dashed;
}
@media (max-width: 899px) {
  .head {
    padding: 6px 12px;
  }
  .bench {
    display: flex;
    flex-direction: column;
  }
  .side {
    border-left: 0;
    padding: 12px;
  }
}
</style>
