<script setup lang="ts">
import { useElementSize, useStorage, useSwipe, useWakeLock } from '@vueuse/core'
import { getPipe, unitSystemOf } from '#core/catalogue'
import { fillPolicy, solderByVolume, SOLDER_GAP_MM } from '#core/joints'
import { doubtsOf, isAt, overdue, reusesOf, statusOf, type BentPiece, type JobRecord } from '#core/record'
import { remedyOf } from '#core/making'
import { formatDecimal } from '#core/units'
import { inRegion, methodWords, STATUS_WORDS } from '~/wording/en'
import { endLabel, wayTitle } from '~/wording/way'
import { formatReading, unitOf } from '~/reading/format'
import { readAir } from '~/reading/air'
import { today } from '~/reading/today'
import { dayTime } from '~/wording/entry'

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
  stepsOf,
  tickOf,
  stateOf,
  heldAt,
  suspects,
  traced,
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
  sign,
} = useMake(toRef(props, 'job'))
const router = useRouter()
const { showDepth } = useWorking()
const drawing = useTemplateRef<HTMLElement>('drawing')
const { width } = useElementSize(drawing)
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
const methods = computed(() => new Set(cards.value.map(({ joint: { method } }) => method)))
const hasAir = computed(() =>
  (['solder', 'expansion', 'solvent-cement'] as const).some((method) => methods.value.has(method)),
)
const airProblem = (text: string) => readAir(text).problem
const isReopening = ref(false)
/** A tool over its check date holds the joint until a trial one is gauged. */
const late = computed(() => overdue(props.job.tools, today()).find(({ method }) => method === card.value?.joint.method))
const cautions = computed(() =>
  card.value?.answer.ok
    ? [
        ...(late.value && !isSigned.value
          ? [
              {
                code: 'tool-check',
                text: `The check of this ${methodWords(late.value.method)} tool ended ${late.value.due}. Make a trial joint and gauge it first, or have the tool checked.`,
              },
            ]
          : []),
        ...card.value.answer.value.cautions.filter(
          ({ code }) => code !== 'gas' && !stops.value.some((stop) => stop.code === code),
        ),
      ]
    : [],
)
const gauge = computed(() => (card.value?.answer.ok ? card.value.answer.value.gauge : undefined))
const consumables = computed(() => (card.value?.answer.ok ? card.value.answer.value.consumables : []))
const waitStep = computed(() => {
  const now = steps.value[current.value]
  return now?.seconds === undefined
    ? null
    : { step: current.value, seconds: now.seconds, label: inRegion(now.do, props.job.region) }
})
const timerOf = (step: number) =>
  joint.value?.timers.find(isAt({ entry: card.value!.entry, step: steps.value[step]!.id }))
const heldBy = (step: number) => (card.value ? heldAt(card.value, steps.value[step]!) : null)
/** What is seen to before anything is cut; a depth that is measured is known. */
const stops = computed(() =>
  card.value?.answer.ok && !isSigned.value
    ? card.value.answer.value.stop.filter(
        ({ code }) => code !== 'gas' && (code !== 'measure' || depth.value.mm === null),
      )
    : [],
)
const next = computed(() => joints.value.find((one) => one.id !== joint.value?.id && statusOf(one) !== 'made'))
const what = (pipe: string | null, size?: string) => (pipe ? getPipe(pipe).label : `${size} thread`)
const caution = ref(0)
const isHeatOpen = ref(false)
const isCountOpen = ref(false)
const doubts = computed(() => (joint.value ? doubtsOf(props.job, joint.value) : []))

// One step at a time, for gloves and bad light: next and back by wide zones, arrows and swipes.
const isSingle = useStorage('jolvet-one-step', false)
const viewed = ref(0)
watch(
  [() => joint.value?.id, () => card.value?.entry, current, isSingle],
  () => {
    viewed.value = Math.max(0, current.value)
  },
  { immediate: true },
)
const turn = (by: number) => {
  viewed.value = Math.min(Math.max(0, viewed.value + by), Math.max(0, steps.value.length - 1))
}
const stepArea = useTemplateRef<HTMLElement>('stepArea')
useSwipe(stepArea, {
  threshold: 60,
  onSwipeEnd: (_, direction) => {
    if (isSingle.value && direction === 'left') turn(1)
    else if (isSingle.value && direction === 'right') turn(-1)
  },
})
// The screen stays lit while hands are busy, where the browser allows it; it goes dark again with the page.
const { isSupported: canStayLit, request: stayLit, release } = useWakeLock()
onMounted(() => {
  if (canStayLit.value) void stayLit('screen').catch(() => undefined)
})
onBeforeUnmount(() => {
  void release().catch(() => undefined)
})
/** Wire by the gap's volume, beside the rule of the trade. */
const byVolume = computed(() => {
  const own = card.value?.joint
  return own?.method === 'solder' && own.pipe !== null && depth.value.mm !== null
    ? solderByVolume(getPipe(own.pipe).od, depth.value.mm, system.value)
    : null
})
const canHeat = computed(
  () =>
    card.value?.joint.method === 'solder' &&
    card.value.joint.pipe !== null &&
    getPipe(card.value.joint.pipe).family === 'copper' &&
    getPipe(card.value.joint.pipe).bore !== null,
)
const quantity = (n: number, unit: string) =>
  unit === 'mm'
    ? system.value === 'inch'
      ? `${formatReading(n, 'inch')} in`
      : `${formatDecimal(n, 0)} mm`
    : `${n} ${unit}`

function tickCurrent() {
  if (!isSigned.value && current.value >= 0 && heldBy(current.value) === null) void tick(current.value)
}
async function afterSigning() {
  await (next.value
    ? router.push({ query: { joint: next.value.id } })
    : router.push(`/jobs/${props.job.slug}/handover`))
}
useKeys({
  ' ': tickCurrent,
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
  w: () => {
    if (card.value)
      showDepth(
        `Depth: ${methodWords(card.value.joint.method)}`,
        card.value.joint.insertion,
        depth.value.isMeasured ? depth.value.mm : null,
      )
  },
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
    <UButton :to="`/jobs/${job.slug}/joint`">Choose a joint</UButton>
  </div>
  <template v-else>
    <JointTabs :job="{ ...job, joints }" :current="joint.id" :bent="bent" />
    <ShiftedBand :job="job" :shifted="shifted" :is-signed="isSigned" @follow="follow" />
    <SuspectBand
      :suspects="suspects"
      :ends="{ a: endLabel(joint.a), b: endLabel(joint.b) }"
      :job="job"
      @traced="traced" />
    <AsideBand v-if="!isSigned" :job="job" :joint="joint" />
    <div class="top">
      <div ref="drawing" class="drawing">
        <MakeStrip
          v-if="width > 0"
          :card="card"
          :mm="depth.mm"
          :is-measured="depth.isMeasured"
          :system="system"
          :width="Math.floor(width)"
          :height="narrow ? 186 : 232"
          :done="isSigned" />
      </div>
      <div class="about">
        <p class="t40 w7 flex items-center gap-3">
          J{{ joint.number }}
          <StatusShape :status="statusOf(joint)" :size="28" :label="STATUS_WORDS[statusOf(joint)]" />
        </p>
        <p class="t17 w7">{{ endLabel(joint.a) }} to {{ endLabel(joint.b) }}</p>
        <p class="note t14">{{ joint.place }}; {{ wayTitle(joint.way!, job.region) }}</p>
        <p class="t14">
          <button
            type="button"
            class="figure-button w7"
            data-test="depth-working"
            @click="
              showDepth(
                `Depth: ${methodWords(card.joint.method)}`,
                card.joint.insertion,
                depth.isMeasured ? depth.mm : null,
              )
            ">
            {{ depth.mm === null ? 'no figure held' : `${formatDecimal(depth.mm, 1)} mm deep` }}
          </button>
          <span class="note">{{
            depth.isMeasured
              ? 'your own measure'
              : card.joint.insertion.source.startsWith('typical') && card.joint.insertion.lo !== null
                ? `typical ${formatDecimal(card.joint.insertion.lo, 1)} to ${formatDecimal(card.joint.insertion.hi ?? 0, 1)}`
                : card.joint.insertion.source
          }}</span>
        </p>
        <label class="measure"
          ><span class="t14 note">your measure, {{ unitOf(system) }}</span
          ><input
            class="plain-input t17 w7"
            :value="typedDepth(card.entry)"
            :disabled="isSigned"
            maxlength="40"
            autocomplete="off"
            :aria-invalid="depth.problem !== null"
            aria-describedby="depth-problem"
            data-test="measured-depth"
            @input="setDepth(($event.target as HTMLInputElement).value)"
        /></label>
        <p id="depth-problem" class="brick t13" role="alert">{{ depth.problem }}</p>
        <ComeBack v-if="joint.conditions.temporary || joint.comeBack" :joint="joint" :slug="job.slug" />
      </div>
    </div>
    <div v-if="!card.answer.ok" class="stops" role="alert" data-test="card-refused">
      <p>
        <StatusShape status="stop" :size="26" />
        <span
          ><b>Stop.</b> {{ inRegion(card.answer.error.message.replace(/^[\w-]+: /, ''), job.region) }}
          <NuxtLink :to="{ path: `/jobs/${job.slug}/joint`, query: { joint: joint.id } }" class="underline"
            >Choose another way</NuxtLink
          ></span
        >
      </p>
    </div>
    <div v-if="stops.length" class="stops" role="alert">
      <p v-for="one in stops" :key="one.code" :data-stop="one.code">
        <StatusShape status="stop" :size="26" /> <span><b>Stop.</b> {{ inRegion(one.text, job.region) }}</span>
      </p>
    </div>
    <aside v-if="cautions.length" class="cautions" aria-label="Cautions">
      <template v-for="(one, i) in cautions" :key="one.code"
        ><p v-if="!narrow ? i < 3 : i === caution % cautions.length" :data-caution="one.code">
          <StatusShape status="held" :size="20" /> <span>{{ inRegion(one.text, job.region) }}</span>
        </p></template
      >
      <button
        v-if="narrow && cautions.length > 1"
        type="button"
        class="note whitespace-nowrap min-h-11"
        @click="caution++">
        {{ (caution % cautions.length) + 1 }} of {{ cautions.length }}
      </button>
    </aside>
    <DoubtBand v-if="doubts.length" :job="job" :joint="joint" :doubts="doubts" @reopen="isReopening = true" />
    <RunningWaits :job="job" :joint="joint" />
    <div class="entries" role="group" aria-label="Ends of this joint">
      <button
        v-for="(one, i) in cards"
        :key="one.entry"
        type="button"
        class="choice"
        :aria-pressed="one.entry === card.entry"
        :data-entry="one.entry"
        :data-done="openSteps(one) === 0"
        @click="chosen = i">
        <StatusShape
          :status="openSteps(one) === 0 ? 'made' : openSteps(one) < stepsOf(one).length ? 'dry-fitted' : 'planned'"
          :size="14"
          class="inline" />
        {{ i + 1 }} of {{ cards.length }}: {{ what(one.joint.pipe, one.joint.thread?.size) }},
        {{ methodWords(one.joint.method) }}
      </button>
      <label v-if="hasAir" class="air t14"
        >air
        <KeptField
          class="w7"
          :value="joint.ambient ?? ''"
          placeholder="20"
          :check="airProblem"
          :disabled="isSigned"
          inputmode="text"
          maxlength="6"
          aria-label="Air, degrees Celsius"
          data-test="air"
          @keep="(text) => setAir(readAir(text).value)" />
        &#176;C</label
      >
      <button
        v-if="methods.has('solder')"
        type="button"
        class="choice"
        :disabled="isSigned"
        data-test="torch"
        @click="setTorch(joint.torch === 'propylene' ? 'propane' : 'propylene')">
        torch: {{ joint.torch ?? 'propane' }}; change
      </button>
      <button
        v-if="methods.has('solder')"
        type="button"
        class="choice"
        :disabled="isSigned"
        data-test="orientation"
        @click="setOrientation(joint.orientation === 'horizontal' ? 'vertical' : 'horizontal')">
        the pipe runs {{ joint.orientation }}; turn
      </button>
      <button type="button" class="choice" :aria-pressed="isSingle" data-test="one-step" @click="isSingle = !isSingle">
        {{ isSingle ? 'all steps' : 'one step at a time' }} <kbd>O</kbd>
      </button>
    </div>
    <div class="bench">
      <div ref="stepArea">
        <StepList
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
          :remedy="(step) => remedyOf(card!.joint.method, steps[step]!.code)"
          @tick="tick"
          @fail="fail">
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
          /></template>
        </StepList>
        <div v-if="isSingle && !narrow" class="turn">
          <button type="button" :disabled="viewed === 0" data-test="step-back" @click="turn(-1)">Back</button
          ><span class="t15 note">{{ viewed + 1 }} of {{ steps.length }}</span
          ><button type="button" :disabled="viewed >= steps.length - 1" data-test="step-next" @click="turn(1)">
            Next
          </button>
        </div>
      </div>
      <div class="side">
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
        <div v-if="gauge" class="flex gap-4 items-center">
          <svg width="96" height="46" viewBox="0 0 96 46" aria-hidden="true">
            <path
              d="M2 2H26V14H18V32H26V44H2ZM94 2H70V12H80V34H70V44H94Z"
              fill="var(--paper2)"
              stroke="var(--ink)"
              stroke-width="1.5" />
            <circle cx="48" cy="23" r="14" class="l-edge" />
            <circle cx="48" cy="23" r="10" class="l-thin" />
          </svg>
          <p class="t15">
            <b>Gauge, finished ring.</b> Go {{ formatReading(gauge.go, system) }} slips over all round. No-go
            {{ formatReading(gauge.noGo, system) }} stops. {{ unitOf(system) }}
          </p>
        </div>
        <p v-if="canHeat">
          <button type="button" class="link-verb min-h-9" data-test="open-heat" @click="isHeatOpen = true">
            Is what is near safe from the heat? <kbd>H</kbd>
          </button>
        </p>
        <div v-if="consumables.length">
          <h2 class="zone-heading">Take for this end</h2>
          <ul class="t15">
            <li v-for="one in consumables" :key="one.item">
              {{ inRegion(one.item, job.region) }}: <b>{{ quantity(one.quantity, one.unit) }}</b><template
                v-if="byVolume !== null && one.item.includes('solder wire')">
                by the rule of the trade, as long as the tube is wide;
                <b data-test="solder-volume">{{ quantity(byVolume, 'mm') }}</b> by a gap of {{ SOLDER_GAP_MM.value }} mm
                each side, twice for fillet and waste</template
              >
            </li>
          </ul>
        </div>
        <p>
          <button type="button" class="underline t15 min-h-9" data-test="open-count" @click="isCountOpen = true">
            Count parts out and back <kbd>Q</kbd>
          </button>
        </p>
        <div v-if="joint.faults.some(({ entry }) => entry === card!.entry)" data-test="faults">
          <h2 class="zone-heading">
            Checks that failed here
            <span v-if="reusesOf(joint, card.entry)" class="right"
              >fitting used again {{ reusesOf(joint, card.entry) }} of {{ fillPolicy(job.policy).reuseLimit }}</span
            >
          </h2>
          <ul class="t15">
            <li v-for="fault in joint.faults.filter(({ entry }) => entry === card!.entry)" :key="fault.id">
              <b>{{ fault.code }}</b> {{ dayTime(fault.at) }}{{ fault.by ? `, ${fault.by}` : '' }}:
              {{ inRegion(fault.remedy, job.region) }}
            </li>
          </ul>
        </div>
        <p v-if="isSigned" class="t17 w7 flex gap-2 items-center">
          <StatusShape status="made" :size="20" /> Signed {{ joint.signoffs.at(-1)!.initials }},
          {{
            new Date(joint.signoffs.at(-1)!.at).toLocaleString('en-GB', {
              day: 'numeric',
              month: 'short',
              hour: '2-digit',
              minute: '2-digit',
            })
          }}
          <button
            type="button"
            class="underline t15 font-normal min-h-11"
            data-test="open-reopen"
            @click="isReopening = true">
            Open it again
          </button>
        </p>
        <ul v-if="isSigned && joint.signoffs.at(-1)!.remarks.length" class="t15" data-test="remarks">
          <li v-for="one in joint.signoffs.at(-1)!.remarks" :key="one.code" class="flex gap-2">
            <StatusShape status="held" :size="14" class="mt-1 flex-none" /> {{ inRegion(one.text, job.region) }}
          </li>
        </ul>
        <ul v-if="joint.reopenings.length" class="t15" data-test="reopenings">
          <li v-for="one in joint.reopenings" :key="one.id">
            Opened again {{ dayTime(one.at) }}{{ one.by ? `, ${one.by}` : '' }}: {{ one.reason }}
          </li>
        </ul>
        <template v-if="!isSigned && !narrow">
          <UButton
            v-if="current >= 0"
            size="xl"
            block
            data-test="tick-current"
            :disabled="heldBy(current) !== null"
            @click="tickCurrent"
            >Done: step {{ current + 1 }} <kbd>Space</kbd></UButton
          >
          <UButton v-else-if="left > 0" size="xl" block data-test="next-entry" @click="chosen = null">Next end</UButton>
          <UButton
            size="xl"
            block
            :disabled="left > 0 || depth.mm === null"
            data-test="open-sign"
            @click="isSigning = true"
            ><span>Sign J{{ joint.number }}{{ next ? `, then J${next.number}` : '' }}</span
            ><span v-if="left > 0" class="t15 font-normal"
              >{{ left }} step{{ left === 1 ? '' : 's' }} to go</span
            ></UButton
          >
        </template>
        <p class="note t13">Local code, the fitting's own paper and a licensed person come first.</p>
      </div>
    </div>
    <div v-if="narrow && !isSigned && isSingle && left > 0" class="thumb turn">
      <button type="button" :disabled="viewed === 0" data-test="step-back" @click="turn(-1)">Back</button
      ><UButton
        size="xl"
        data-test="tick-current"
        :disabled="current >= 0 && heldBy(current) !== null"
        @click="current >= 0 ? tickCurrent() : (chosen = null)"
        >{{ current >= 0 ? `Done: ${current + 1}` : 'Next end' }}</UButton
      ><button type="button" :disabled="viewed >= steps.length - 1" data-test="step-next" @click="turn(1)">Next</button>
    </div>
    <div v-else-if="narrow && !isSigned" class="thumb">
      <UButton
        v-if="left > 0"
        size="xl"
        class="flex-1"
        data-test="tick-current"
        :disabled="current >= 0 && heldBy(current) !== null"
        @click="current >= 0 ? tickCurrent() : (chosen = null)"
        >{{ current >= 0 ? `Done: step ${current + 1}` : 'Next end' }}</UButton
      >
      <UButton
        size="xl"
        :class="left > 0 ? '' : 'flex-1'"
        :variant="left > 0 ? 'outline' : 'solid'"
        :disabled="left > 0 || depth.mm === null"
        data-test="open-sign"
        @click="isSigning = true"
        >Sign J{{ joint.number }}</UButton
      >
    </div>
    <HeatSheet
      v-if="canHeat"
      v-model:open="isHeatOpen"
      :pipe="card.joint.pipe!"
      :region="job.region"
      :system="system" />
    <ReopenDialog v-model:open="isReopening" :job="job" :joint="joint" :cards="cards" />
    <CountSheet v-model:open="isCountOpen" :job="job" />
    <SignDialog
      v-model:open="isSigning"
      :name="`J${joint.number}`"
      :region="job.region"
      :left="leftNow"
      :sign="sign"
      @signed="afterSigning" />
  </template>
</template>

<style scoped>
.top {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 290px;
  border-bottom: 3px solid var(--ochre);
}
.drawing {
  min-width: 0;
  overflow: hidden;
}
.about {
  padding: 10px 18px;
  display: flex;
  flex-direction: column;
  gap: 5px;
}
.measure {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 10px;
  align-items: baseline;
}
.stops {
  border-bottom: 3px solid var(--brick);
  padding: 8px 18px;
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.stops p {
  display: flex;
  gap: 12px;
  align-items: center;
  font-size: 17px;
}
.cautions {
  display: flex;
  gap: 26px;
  padding: 8px 18px;
  border-bottom: 1px solid var(--rule);
  min-height: 50px;
  align-items: center;
}
.cautions p {
  display: flex;
  gap: 8px;
  align-items: center;
  flex: 1;
  font-size: 15px;
  line-height: 1.25;
}
.air {
  display: inline-flex;
  gap: 6px;
  align-items: baseline;
}
.air :deep(input) {
  width: 52px;
  text-align: center;
}
.entries {
  display: flex;
  gap: 22px;
  padding: 4px 18px;
  border-bottom: 1px solid var(--hair);
  overflow-x: auto;
  white-space: nowrap;
}
.bench {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 520px;
}
.turn {
  display: grid;
  grid-template-columns: 1fr auto 1fr;
  gap: 18px;
  align-items: center;
  padding: 10px 18px;
}
.turn button {
  min-height: 72px;
  border: 1px solid var(--rule);
  text-align: center;
  font-size: 20px;
  font-weight: 700;
}
.turn button:disabled {
  color: var(--ink2);
  border-style: dashed;
}
.side {
  border-left: 1px solid var(--rule);
  padding: 16px 24px;
  display: flex;
  flex-direction: column;
  gap: 16px;
}
.thumb.turn {
  display: grid;
  gap: 10px;
  padding: 8px 12px;
}
.thumb {
  position: sticky;
  bottom: 0;
  background: var(--paper);
  border-top: 1px solid var(--rule);
  display: flex;
  gap: 12px;
  padding: 10px 12px;
}
@media (max-width: 1100px) {
  .bench {
    grid-template-columns: minmax(0, 1fr) 380px;
  }
}
@media (max-width: 899px) {
  .top {
    grid-template-columns: 1fr;
  }
  .about {
    padding: 4px 12px 6px;
    gap: 2px;
  }
  .about .t40 {
    font-size: 26px;
  }
  .cautions,
  .entries,
  .stops {
    padding: 4px 12px;
  }
  .bench {
    display: flex;
    flex-direction: column;
  }
  .turn {
    display: grid;
    grid-template-columns: 1fr auto 1fr;
    gap: 18px;
    align-items: center;
    padding: 10px 18px;
  }
  .turn button {
    min-height: 72px;
    border: 1px solid var(--rule);
    text-align: center;
    font-size: 20px;
    font-weight: 700;
  }
  .turn button:disabled {
    color: var(--ink2);
    border-style: dashed;
  }
  .side {
    border-left: 0;
    padding: 12px;
  }
}
</style>
