<script setup lang="ts">
import { useSwipe } from '@vueuse/core'
import { getPipe } from '#core/catalogue'
import { brokenOff, doubtsOf, isAt, statusOf, weepsOf, type BentPiece, type JobRecord } from '#core/record'
import { remedyOf, weepOf } from '#core/making'
import { methodWords } from '~/wording/en'
import { dayTime } from '~/wording/times'
import { endLabel } from '~/wording/way'
import { stepAloud } from '~/reading/aloud'
import { endOfWait } from '~/reading/waits'
import { unitSystemOf } from '#core/units'
import { speak } from '#core/speech'

/** Make: the pipe end to scale above, cautions, the steps to tick, the wait, the gauge, and the sign-off. */
const props = defineProps<{ job: JobRecord; bent: readonly BentPiece[] }>()
const {
  joints,
  joint,
  shifted,
  follow,
  isSigned,
  cards,
  card,
  chosen,
  current,
  left,
  depth,
  slip,
  move,
  changeSlip,
  stepsOf,
  tickOf,
  stateOf,
  heldAt,
  suspects,
  answerSuspect,
  leftNow,
  openSteps,
  typedDepth,
  typed,
  setAir,
  setTorch,
  tick,
  fail,
  setTimer,
  setDepth,
  setOrientation,
  setFixture,
  sign,
} = useMake(toRef(props, 'job'))
const router = useRouter()
const { showDepth } = useWorking()
const narrow = useNarrow()
const system = computed(() => unitSystemOf(props.job.region))
const isSigning = ref(false)

const steps = computed(() => stepsOf(card.value))
/** Place of the end on the table in the order they are made. */
const place = computed(() =>
  Math.max(
    0,
    cards.value.findIndex(({ entry }) => entry === card.value?.entry),
  ),
)
/** How it was left, until somebody goes on with it. */
const stopped = computed(() => (joint.value ? brokenOff(joint.value) : null))
const isReopening = ref(false)
const gauge = computed(() => (card.value?.answer.ok ? card.value.answer.value.gauge : undefined))
const waitStep = computed(() => {
  const now = steps.value[current.value]
  return now?.seconds === undefined
    ? null
    : { step: current.value, seconds: now.seconds, label: speak(now.do, props.job.region) }
})
const timerOf = (step: number) =>
  joint.value?.timers.find(isAt({ entry: card.value!.entry, step: steps.value[step]!.id }))
/** What a failed check of a step asks for; with the water on, by how often the end has wept. */
function remedyFor(step: number) {
  const { entry, joint: made } = card.value!
  const { code, isUnderWater } = steps.value[step]!
  return isUnderWater
    ? weepOf(made.method, weepsOf(joint.value!, entry), props.job.region)
    : remedyOf(made.method, code, props.job.region)
}
const heldBy = (step: number) => (card.value && steps.value[step] ? heldAt(card.value, steps.value[step]) : null)
const canSign = computed(() => left.value === 0 && depth.value.mm !== null)
const next = computed(() => joints.value.find((one) => one.id !== joint.value?.id && statusOf(one) !== 'made'))
const isHeatOpen = ref(false)
const isApartOpen = ref(false)
/** With the water on any end may be the one that weeps: it is asked which. */
function failStep(step: number) {
  if (steps.value[step]?.isUnderWater) isApartOpen.value = true
  else void fail(step)
}
const isCountOpen = ref(false)
/** Sheets are brought when they are first opened. */
const wasOpen = reactive({
  heat: useEver(() => isHeatOpen.value),
  apart: useEver(() => isApartOpen.value),
  count: useEver(() => isCountOpen.value),
  reopening: useEver(() => isReopening.value),
  signing: useEver(() => isSigning.value),
})
const gist = useGist(() => props.job)
const doubts = computed(() => (joint.value && gist.value ? doubtsOf(gist.value, joint.value) : []))

// One step at a time, for gloves and bad light: next and back by wide zones, arrows and swipes.
const { isSingle, viewed, turn } = useOneStep(
  () => `${joint.value?.id} ${card.value?.entry}`,
  () => current.value,
  () => steps.value.length,
)
const stepArea = useTemplateRef<HTMLElement>('stepArea')
useSwipe(stepArea, {
  threshold: 60,
  onSwipeEnd: (_, direction) => {
    if (isSingle.value && direction === 'left') turn(1)
    else if (isSingle.value && direction === 'right') turn(-1)
  },
})
useStayLit()
const canHeat = computed(
  () =>
    card.value?.joint.method === 'solder' &&
    card.value.joint.pipe !== null &&
    getPipe(card.value.joint.pipe).family === 'copper' &&
    getPipe(card.value.joint.pipe).bore !== null,
)
function tickCurrent() {
  if (!isSigned.value && current.value >= 0 && heldBy(current.value) === null) void tick(current.value)
}
function showDepthWorking() {
  if (!card.value) return
  const { method, insertion } = card.value.joint
  showDepth(`Depth: ${methodWords(method)}`, insertion, system.value, depth.value.isMeasured ? depth.value.mm : null)
}
async function afterSigning() {
  await (next.value
    ? router.push({ query: { joint: next.value.id } })
    : router.push(`/jobs/${props.job.slug}/handover`))
}
const { offset } = useServerClock()
/** What one key does that a foot or a page turner presses: starts the wait, ticks the step, goes to the next end. */
function stepOn() {
  if (isSigned.value) return
  if (current.value < 0) {
    if (left.value > 0) chosen.value = null
    return
  }
  const wait = waitStep.value
  const timer = wait && timerOf(wait.step)
  if (wait && !timer) void setTimer(wait.step, true)
  else if (!timer || endOfWait(timer) <= Date.now() + offset.value) tickCurrent()
}

const aloud = computed(() => stepAloud(steps.value[current.value], current.value, left.value, props.job.region))
const { canRead, isOn: isAloud, flip: flipAloud } = useReadAloud(aloud, () => props.job.region)

useLetGo()
useKeys({
  ' ': tickCurrent,
  PageDown: stepOn,
  Enter: stepOn,
  a: () => {
    if (canRead) flipAloud()
  },
  ArrowRight: () => {
    if (isSingle.value) turn(1)
  },
  ArrowLeft: () => {
    if (isSingle.value) turn(-1)
  },
  q: () => {
    isCountOpen.value = true
  },
  o: () => {
    isSingle.value = !isSingle.value
  },
  h: () => {
    if (canHeat.value) isHeatOpen.value = true
  },
  j: () => {
    chosen.value = Math.min(cards.value.length - 1, place.value + 1)
  },
  k: () => {
    chosen.value = Math.max(0, place.value - 1)
  },
  w: showDepthWorking,
})
</script>

<template>
  <div v-if="!joint || !card" class="p-6 space-y-4">
    <p class="t20 w7">Nothing to make yet.</p>
    <p>Take a way on Joint and its steps stand here.</p>
    <p v-if="bent.length">
      Pieces to bend:
      <NuxtLink
        v-for="one in bent"
        :key="one.key"
        :to="{ query: { bend: one.key } }"
        class="underline mr-4"
        :data-bend="one.key"
        >L{{ one.line.number }} {{ one.piece.id }}</NuxtLink
      >
    </p>
    <RuledButton :to="`/jobs/${job.slug}/joint`">Choose a joint</RuledButton>
  </div>
  <template v-else>
    <JointTabs :slug="job.slug" :joints="joints" :current="joint.id" :bent="bent" />
    <ShiftedBand :job="job" :shifted="shifted" :is-signed="isSigned" @follow="follow" />
    <SuspectBand
      :suspects="suspects"
      :ends="{ a: endLabel(joint.a), b: endLabel(joint.b) }"
      :job="job"
      @answer="answerSuspect" />
    <AsideBand v-if="!isSigned" :job="job" :joint="joint" />
    <MakeHead
      :job="job"
      :joint="joint"
      :card="card"
      :depth="depth"
      :typed-depth="typedDepth(card.entry)"
      :is-signed="isSigned"
      :slip="slip"
      @depth="setDepth"
      @working="showDepthWorking" />
    <MakeCautions :job="job" :joint="joint" :card="card" :is-signed="isSigned" :is-depth-known="depth.mm !== null" />
    <SlipBand
      v-if="slip"
      :job="job"
      :joint="joint"
      :slip="slip"
      :move="move"
      :is-signed="isSigned"
      @change="changeSlip" />
    <p v-if="stopped" class="broken t17" role="status" data-test="broken-off">
      <StatusShape status="held" :size="20" class="flex-none" />
      <span>{{ dayTime(stopped.at, job.region) }}{{ stopped.by ? `, ${stopped.by}` : '' }}: {{ stopped.remedy }}</span>
    </p>
    <FixtureBand :job="job" :joint="joint" :is-signed="isSigned" @change="setFixture" />
    <DoubtBand v-if="doubts.length" :job="job" :joint="joint" :doubts="doubts" @reopen="isReopening = true" />
    <RunningWaits :job="job" :joint="joint" />
    <MakeEnds
      v-model:single="isSingle"
      :is-aloud="canRead ? isAloud : null"
      :joint="joint"
      :cards="cards"
      :card="card"
      :system="system"
      :open-steps="openSteps"
      :is-signed="isSigned"
      @aloud="flipAloud"
      @choose="(at: number) => (chosen = at)"
      @air="setAir"
      @torch="setTorch"
      @orientation="setOrientation" />
    <div class="bench">
      <div ref="stepArea">
        <InTurn
          ><StepList
            v-model:typed="typed"
            :steps="steps"
            :current="current"
            :only="isSingle ? viewed : null"
            :tick-of="(step) => tickOf(card!.entry, steps[step]!.id)"
            :changed="(step) => stateOf(card!, steps[step]!) === 'changed'"
            :held="heldBy"
            :locked="isSigned"
            :region="job.region"
            :system="system"
            :remedy="remedyFor"
            @tick="tick"
            @fail="failStep">
            <template #wait="{ step }"
              ><WaitTimer
                v-if="narrow && waitStep && waitStep.step === step"
                :timer="timerOf(step)"
                :seconds="waitStep.seconds"
                :label="waitStep.label"
                :locked="isSigned"
                @start="setTimer(step, true)"
                @stop="setTimer(step, false)"
                @early="tick(step)"
            /></template> </StepList
        ></InTurn>
        <StepTurn v-if="isSingle && !narrow" :at="viewed" :of="steps.length" @turn="turn" />
      </div>
      <!-- Below the steps on a phone: it comes after them, so that it is not pushed down. -->
      <InTurn :after="2"
        ><div class="side">
          <WaitTimer
            v-if="!narrow && waitStep"
            :timer="timerOf(waitStep.step)"
            :seconds="waitStep.seconds"
            :label="waitStep.label"
            :locked="isSigned"
            @start="setTimer(waitStep.step, true)"
            @stop="setTimer(waitStep.step, false)"
            @early="tick(waitStep.step)" />
          <TapeTurn v-if="steps.some(({ code }) => code === 'tape')" />
          <RingGauge v-if="gauge" :gauge="gauge" :pipe="card.joint.pipe" :system="system" />
          <p v-if="canHeat">
            <button type="button" class="link-verb min-h-9" data-test="open-heat" @click="isHeatOpen = true">
              Is what is near safe from the heat? <kbd>H</kbd>
            </button>
          </p>
          <TakeForEnd :card="card" :region="job.region" :depth-mm="depth.mm" />
          <p>
            <button type="button" class="underline t15 min-h-9" data-test="open-count" @click="isCountOpen = true">
              Count parts out and back <kbd>Q</kbd>
            </button>
          </p>
          <p>
            <button type="button" class="underline t15 min-h-9" data-test="open-apart" @click="isApartOpen = true">
              It weeps, comes apart, or is broken off
            </button>
          </p>
          <FailedChecks :job="job" :joint="joint" :entry="card.entry" />
          <SignedEntry :joint="joint" :region="job.region" @reopen="isReopening = true" />
          <MakeVerbs
            v-if="!isSigned && !narrow"
            :joint="joint"
            :next="next"
            :current="current"
            :left="left"
            :is-held="heldBy(current) !== null"
            :can-sign="canSign"
            @tick="tickCurrent"
            @next-end="chosen = null"
            @sign="isSigning = true" />
          <p class="note t13">Local code, the fitting's own paper and a licensed person come first.</p>
        </div></InTurn
      >
    </div>
    <MakeThumb
      v-if="narrow && !isSigned"
      :joint="joint"
      :current="current"
      :left="left"
      :is-held="heldBy(current) !== null"
      :can-sign="canSign"
      :is-single="isSingle"
      :viewed="viewed"
      :steps="steps.length"
      @tick="tickCurrent"
      @next-end="chosen = null"
      @sign="isSigning = true"
      @turn="turn" />
    <LazyHeatSheet
      v-if="canHeat && wasOpen.heat"
      v-model:open="isHeatOpen"
      :pipe="card.joint.pipe!"
      :region="job.region"
      :system="system" />
    <LazyReopenDialog v-if="wasOpen.reopening" v-model:open="isReopening" :job="job" :joint="joint" :cards="cards" />
    <LazyApartSheet
      v-if="wasOpen.apart"
      v-model:open="isApartOpen"
      :job="job"
      :joint="joint"
      :cards="cards"
      :card="card" />
    <LazyCountSheet v-if="wasOpen.count" v-model:open="isCountOpen" :job="job" />
    <LazySignDialog
      v-if="wasOpen.signing"
      v-model:open="isSigning"
      :name="`J${joint.number}`"
      :region="job.region"
      :left="leftNow"
      :sign="sign"
      @signed="afterSigning" />
  </template>
</template>

<style scoped>
.broken {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 8px 18px;
  border-bottom: 3px solid var(--ochre);
}
.bench {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 520px;
}
.side {
  border-left: 1px solid var(--rule);
  padding: 16px 24px;
  display: flex;
  flex-direction: column;
  gap: 16px;
}
@media (max-width: 1100px) {
  .bench {
    grid-template-columns: minmax(0, 1fr) 380px;
  }
}
@media (max-width: 899px) {
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
