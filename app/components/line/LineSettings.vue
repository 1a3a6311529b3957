<script setup lang="ts">
import { bendOf, getPipe } from '#core/catalogue'
import { findWays, type Method, type Verdict } from '#core/joints'
import type { Survey } from '#core/line'
import { kitOf, minutesFrom, otherCorners, workOf, type JobRecord, type LineRecord } from '#core/record'
import { formatDecimal, type Region } from '#core/units'
import { run, speak } from '#core/speech'
import { methodWords } from '~/wording/en'
import { csvLink } from '~/reading/csv'
import { countText } from '~/reading/format'

/**
 * What a line is of: pipe, how it is joined and turned, where it begins, walls it passes; what that costs in parts and
 * minutes.
 */
const props = defineProps<{
  job: JobRecord
  line: LineRecord
  survey: Survey | null
  issues: readonly string[]
  region: Region
}>()
const emit = defineEmits<{ change: [changes: Partial<Omit<LineRecord, 'id'>>]; drop: [] }>()
const isDropping = ref(false)
watch(
  () => props.line.id,
  () => {
    isDropping.value = false
  },
)

const isPicking = ref(false)
const pipe = computed(() => getPipe(props.line.pipe))
const bend = computed(() => bendOf(pipe.value))

/** What the corners the other way would save or cost; worked out once the line is drawn. */
const isDue = useInTurn()
const other = computed(() => (isDue.value ? otherCorners(props.job, props.line) : null))
const measured = useOwnMinutes(() => props.job.region)
/** Minutes at one end of this line: the user's own, else ours. */
function minutesAt(method: Method): { work: number; isOwn: boolean } {
  const found = minutesFrom({ method, nominal: pipe.value.nominal }, props.job.minutes, measured.value)
  return { work: workOf(method, found), isOwn: found.from !== 'ours' }
}
const otherWords = computed(() => {
  if (!other.value) return ''
  const { to, fittings, ends, cannot } = other.value
  const name = to === 'bends' ? 'bends in the pipe' : 'fittings'
  if (cannot !== null) return `By ${name} instead: ${cannot}`
  const count = (n: number, words: string) => `${Math.abs(n)} ${words}${Math.abs(n) === 1 ? '' : 's'}`
  const spent = ends.reduce((sum, { method, fewer }) => sum + fewer * minutesAt(method).work, 0)
  const less = fittings > 0 ? 'fewer' : 'more'
  const all = ends.reduce((sum, { fewer }) => sum + fewer, 0)
  return `By ${name} instead: ${count(fittings, 'fitting')} and ${count(all, 'joint')} ${less}, about ${formatDecimal(Math.abs(spent), 0)} min ${spent > 0 ? 'less' : 'more'} of joints; pulling not counted. Every piece can be made.`
})

/** Each method by the joint engine: the same pipe joined to itself by a coupling, under this job's rules. */
const methods = computed(() => {
  const answer = findWays({
    region: props.job.region,
    a: { pipe: props.line.pipe },
    b: { pipe: props.line.pipe },
    policy: props.job.policy,
    kit: kitOf(props.job),
  })
  if (!answer.ok) return { can: [], refused: [] }
  const can = new Map<Method, { verdict: Verdict; because: string }>()
  for (const { joints, parts, verdict, because } of answer.value.ways) {
    const [one] = joints
    if (
      joints.length !== 2 ||
      !one ||
      joints.some(({ method }) => method !== one.method) ||
      !parts.some(({ kind }) => kind === 'coupling') ||
      can.has(one.method)
    )
      continue
    can.set(one.method, { verdict, because: because[0]?.text ?? '' })
  }
  return {
    can: [...can].map(([method, rest]) => ({ method, ...rest })),
    refused: answer.value.refused.filter(
      ({ on, method }) => on === 'a' && !can.has(method) && method !== 'thread' && method !== 'union',
    ),
  }
})

/** Ends that enter something, by method: what each takes by hand. */
const minutes = computed(() => {
  const ends = (props.survey?.runs ?? []).flatMap(({ piece }) =>
    piece.ok ? piece.value.ends.filter(({ into }) => into !== 'free').map(({ method }) => method) : [],
  )
  const counted = new Map<Method, number>()
  for (const method of ends) counted.set(method, (counted.get(method) ?? 0) + 1)
  return [...counted].map(([method, count]) => ({
    method,
    count,
    ...minutesAt(method),
    minutes: count * minutesAt(method).work,
  }))
})
const { show } = useWorking()
const showMinutes = () =>
  show({
    title: 'Minutes of this line',
    source: minutes.value.some(({ isOwn }) => isOwn)
      ? 'yours where it says so, else ours'
      : 'ours: the middle of what is met at one reachable end, cutting and marking counted in',
    lines: [
      ...minutes.value.map((one) => ({
        text: `${one.count} ends by ${methodWords(one.method)}${one.isOwn ? ', yours' : ''}`,
        op: '+' as const,
        value: one.minutes,
        unit: 'min',
      })),
      { text: 'hands on', op: '=' as const, value: total.value, unit: 'min' },
    ],
    notes: [],
  })
const total = computed(() => minutes.value.reduce((sum, one) => sum + one.minutes, 0))
const length = computed(() =>
  (props.survey?.runs ?? []).reduce((sum, { piece }) => sum + (piece.ok ? (piece.value.cut ?? 0) : 0), 0),
)
const unknown = computed(
  () => (props.survey?.runs ?? []).filter(({ piece }) => !piece.ok || piece.value.cut === null).length,
)
const order = computed(() =>
  (props.survey?.fittings ?? []).map((one) => ({ ...one, name: speak(one.name, props.region) })),
)
const csv = computed(() => csvLink(order.value, ['quantity', 'name', 'nominal']))

const walls = ref(props.line.walls.join(', '))
watch(
  () => props.line.walls.join(', '),
  (now) => {
    walls.value = now
  },
)
const setWalls = () =>
  emit('change', {
    walls: walls.value
      .split(/[,;]/)
      .map((wall) => wall.trim())
      .filter(Boolean),
  })
</script>

<template>
  <section aria-label="What the line is of" class="settings">
    <label class="row"
      ><span class="note t14">called</span
      ><KeptField
        class="t17"
        :value="line.name"
        maxlength="120"
        placeholder="hot to the sinks"
        data-test="line-name"
        @keep="emit('change', { name: $event })"
    /></label>
    <div class="row">
      <span class="note t14">pipe</span
      ><button type="button" class="endpick t17 w7" data-test="line-pipe" @click="isPicking = true">
        {{ pipe.label }}
      </button>
    </div>
    <label class="row"
      ><span class="note t14">begins at</span
      ><KeptField
        class="t17"
        :value="line.start"
        maxlength="100"
        :placeholder="
          region === 'us' ? 'free, stop, valve take-out 1 1/2 = stop' : 'free, stop, valve take-out 38 = stop tap'
        "
        data-test="line-start"
        @keep="emit('change', { start: $event.trim() || 'free' })"
    /></label>
    <label class="row"
      ><span class="note t14">walls</span
      ><input
        v-model="walls"
        class="plain-input t15"
        maxlength="400"
        :placeholder="region === 'us' ? 'e 36 4: 36 east of A, 4 thick' : 'e 900 100: 900 east of A, 100 thick'"
        data-test="line-walls"
        @change="setWalls"
    /></label>
    <p v-for="issue in issues" :key="issue" class="brick t14 flex gap-2" role="alert">
      <StatusShape status="refused" :size="14" /> {{ issue }}
    </p>
    <div class="row">
      <span class="note t14">corners</span>
      <div class="answers">
        <button
          type="button"
          class="answer"
          :aria-pressed="line.corners === 'fittings'"
          data-test="corners-fittings"
          @click="emit('change', { corners: 'fittings' })">
          fittings</button
        ><button
          type="button"
          class="answer"
          :aria-pressed="line.corners === 'bends'"
          :disabled="!bend"
          data-test="corners-bends"
          @click="emit('change', { corners: 'bends' })">
          bends in the pipe
        </button>
      </div>
    </div>
    <p v-if="otherWords" class="t14" data-test="other-corners">{{ otherWords }}</p>
    <p class="note t13">{{ bend ? `Bends: ${bend.how}.` : 'This pipe is not bent on site.' }}</p>
    <h3 class="zone-heading mt-3">Joined by <span class="right">by the rules of Joint</span></h3>
    <ul>
      <li v-for="one in methods.can" :key="one.method">
        <button
          type="button"
          class="method"
          :aria-pressed="line.method === one.method"
          :data-method="one.method"
          @click="emit('change', { method: one.method })">
          <VerdictShape :verdict="one.verdict" :size="18" /><b class="t17">{{ methodWords(one.method) }}</b
          ><span class="note t13 flex-1">{{ speak(one.because, region) }}</span
          ><span class="t14">{{ formatDecimal(minutesAt(one.method).work, 1) }} min an end</span>
        </button>
      </li>
    </ul>
    <details class="t14">
      <summary class="min-h-9 underline">{{ methods.refused.length }} refused for this pipe</summary>
      <ul class="note">
        <li v-for="one in methods.refused" :key="one.method">
          {{ methodWords(one.method) }}: {{ speak(one.reason, region) }}
        </li>
      </ul>
    </details>
    <h3 class="zone-heading mt-3">To order</h3>
    <ul class="t15">
      <li v-for="one in order" :key="one.name + one.nominal" class="order">
        <span
          >{{ one.name }} <b>{{ one.nominal }}</b></span
        ><span>{{ countText(one.quantity, region) }}</span>
      </li>
      <li class="order">
        <span
          >{{ pipe.label
          }}<template v-if="unknown"
            >, {{ unknown }} {{ unknown === 1 ? 'piece' : 'pieces' }} not known yet</template
          ></span
        ><span>{{ speak(run(length), region) }}</span>
      </li>
    </ul>
    <p class="t14 mt-1 flex gap-4 items-center">
      <button type="button" class="figure-button t17 w7" data-test="line-minutes" @click="showMinutes">
        {{ formatDecimal(total, 1) }}<span class="visually-hidden"> minutes, show the working</span>
      </button>
      minutes hands on, ours
      <a :href="csv" download="line-order.csv" class="underline min-h-9 inline-flex items-center">Table file (CSV)</a>
    </p>
    <p class="t14 mt-3 flex gap-4 items-center flex-wrap">
      <button
        v-if="!isDropping"
        type="button"
        class="underline note min-h-9"
        data-test="drop-line"
        @click="isDropping = true">
        Take this line out</button
      ><template v-else
        ><span class="w6"
          >L{{ line.number }} with its {{ line.legs.length }} {{ line.legs.length === 1 ? 'leg' : 'legs' }} goes for
          good.</span
        ><button type="button" class="underline brick min-h-9" data-test="drop-line-yes" @click="emit('drop')">
          Take it out</button
        ><button type="button" class="underline min-h-9" @click="isDropping = false">Keep it</button></template
      >
    </p>
    <PipePicker
      v-model:open="isPicking"
      :job="job"
      on="a"
      pipes-only
      @pick="
        (end) => {
          if ('pipe' in end) emit('change', { pipe: end.pipe })
        }
      " />
  </section>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 74px 1fr;
  gap: 8px;
  align-items: baseline;
  padding: 4px 0;
}
.endpick {
  border-bottom: 2px solid var(--ink);
  padding-bottom: 3px;
  min-height: 32px;
}
.endpick:hover {
  color: var(--copper);
}
.method {
  display: flex;
  width: 100%;
  gap: 10px;
  align-items: center;
  min-height: 40px;
  padding: 4px 8px;
  border-bottom: 1px solid var(--hair);
}
.method:hover {
  background: var(--paper2);
}
.method[aria-pressed='true'] {
  background: var(--paper2);
  box-shadow: inset 5px 0 0 var(--copper);
  padding-left: 14px;
}
.order {
  display: flex;
  justify-content: space-between;
  border-bottom: 1px solid var(--hair);
  padding: 3px 0;
}
@media (max-width: 899px) {
  .method,
  .endpick {
    min-height: 48px;
  }
}
</style>
