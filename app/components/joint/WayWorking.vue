<script setup lang="ts">
import type { Note } from '#core/base'
import { getPipe } from '#core/catalogue'
import { isAtFace, isByThread, JOINT_METHODS, orderList, orderName, type Joint, type Way } from '#core/joints'
import { hotWorkSum, minutesFrom, workOf, type JobRecord, type MeasuredMinutes, type MinutesFrom } from '#core/record'
import { formatDecimal, formatLength, type UnitSystem } from '#core/units'
import { speak } from '#core/speech'
import { CURRENCY, methodWords, VERDICT_WORDS } from '~/wording/en'
import { schoolsOf } from '~/wording/policy'
import { csvLink } from '~/reading/csv'
import { countText, inUnits, rangeText } from '~/reading/format'

/** Working of the way looked at: depths with their sources, what is weakest, parts to order, cautions, schools. */
const props = defineProps<{
  way: Way
  job: JobRecord
  /** Own minutes by the joints signed last. */
  measured: readonly MeasuredMinutes[]
  system: UnitSystem
  index: number
  isSigned: boolean
  taken: boolean
  /** A cap for a time, without the day it comes off again. */
  needsDay?: boolean
  /** The first end is closed: nothing is at the other. */
  isClosed?: boolean
}>()
const emit = defineEmits<{ take: [] }>()
const { show, showDepth } = useWorking()
const { isOut, flip } = useStock()
const region = computed(() => props.job.region)
const words = (text: string) => speak(text, props.job.region)
function place(i: number): string {
  if (i === 0) return 'first end'
  if (props.isClosed) return i === props.way.joints.length - 1 ? 'what closes it' : 'between'
  return i === props.way.joints.length - 1 ? 'other end' : 'between'
}
const schools = computed(() => schoolsOf(props.way, props.job.policy).slice(0, 3))
/** What decides stands first; a way keeps it among its cautions too. */
const decides = (note: Note) =>
  props.way.verdict !== 'fits' && props.way.because.some(({ code, text }) => code === note.code && text === note.text)
const notes = computed(() => [
  ...(props.way.verdict === 'fits' ? [] : props.way.because),
  ...props.way.cautions.filter((note) => !decides(note)),
])

/** The order list as the supplier reads it: how many, what, which size. */
const order = computed(() =>
  orderList(props.way, props.job.region).map(({ name, ...line }) => ({ ...line, name: words(name) })),
)
const isCopied = ref(false)
async function copyOrder() {
  await navigator.clipboard.writeText(
    order.value.map(({ quantity, name, size }) => `${quantity} x ${name} ${size}`).join('\n'),
  )
  isCopied.value = true
}
watch(
  () => props.way.id,
  () => {
    isCopied.value = false
  },
)
const csv = computed(() => csvLink(order.value, ['quantity', 'name', 'size']))

const OURS = 'ours: the middle of what is met at one reachable end of a usual size, cutting and marking counted in'
function whoseWords(found: MinutesFrom): string {
  if (found.from === 'ours') return 'ours'
  if (found.from === 'typed') return 'yours, typed in Kit'
  const { lo, hi, ends: signed } = found.measured
  return `yours: the middle of ${signed} signed, half of them ${formatDecimal(lo, 1)} to ${formatDecimal(hi, 1)}`
}
/** Minutes at one end of this way, with whose they are in words. */
function minutesAt({ method, pipe, thread }: Joint) {
  const nominal = thread?.size ?? (pipe === null ? '' : getPipe(pipe).nominal)
  const found = minutesFrom({ method, nominal }, props.job.minutes, props.measured)
  return { work: workOf(method, found), whose: whoseWords(found) }
}
const ends = computed(() => props.way.joints.map((joint) => ({ joint, ...minutesAt(joint) })))
const isAllOurs = computed(() => ends.value.every(({ whose }) => whose === 'ours'))
/** What the flame of this way takes beside its joints, by the user's own figures. */
const hotWork = computed(() =>
  props.way.joints.some(({ method }) => !isByThread(method) && JOINT_METHODS[method].needsFlame)
    ? hotWorkSum(props.job.hotWork)
    : { minutes: 0, price: 0 },
)
/** Every part has a price of the user's own: the cost is no guess. */
const isPriced = computed(() => props.job.prices.length > 0 && props.way.cost.low === props.way.cost.high)

function showMinutes() {
  show({
    title: `Minutes of way ${props.index + 1}`,
    source: isAllOurs.value ? OURS : 'yours where it says so, else ours',
    lines: [
      ...ends.value.map(({ joint, work, whose }) => ({
        text: whose === 'ours' ? methodWords(joint.method) : `${methodWords(joint.method)}, ${whose}`,
        op: '+' as const,
        value: work,
        unit: 'min',
      })),
      ...(hotWork.value.minutes > 0
        ? [
            {
              text: 'hot work, yours: permit, watch, mat and the rest',
              op: '+' as const,
              value: hotWork.value.minutes,
              unit: 'min',
            },
          ]
        : []),
      { text: 'hands on', op: '=' as const, value: props.way.minutes.work, unit: 'min' },
    ],
    notes: props.way.minutes.wait
      ? [`Then ${formatDecimal(props.way.minutes.wait, 0)} minutes to cool, once: joints cool side by side.`]
      : [],
  })
}

function showMargin() {
  show({
    title: `Margin of way ${props.index + 1}`,
    source: 'Each pipe and joint at the next temperature its table has; the least decides.',
    lines: props.way.working,
    notes: props.way.working.length ? [] : ["No rating is held for any part of it. Read the fitting's own."],
  })
}
</script>

<template>
  <section aria-label="Working">
    <h2 class="zone-heading">
      Working of way {{ index + 1 }}, {{ VERDICT_WORDS[way.verdict] }} <span class="right only-wide"><kbd>W</kbd></span>
    </h2>
    <table class="sum">
      <tbody>
        <tr v-for="(joint, i) in way.joints" :key="i">
          <td>{{ methodWords(joint.method) }}, {{ place(i) }}</td>
          <td class="v">
            <button
              type="button"
              class="figure-button"
              :data-depth="i"
              @click="showDepth(`Depth: ${methodWords(joint.method)}, ${place(i)}`, joint.insertion, system)">
              <TapeFigure :mm="joint.insertion.value" :system="system" :at-face="isAtFace(joint)" /><span
                class="visually-hidden"
                >, show the working</span
              >
            </button>
          </td>
          <td class="src">
            {{
              !isAtFace(joint) &&
              joint.insertion.source.startsWith('typical') &&
              joint.insertion.lo !== joint.insertion.hi
                ? `typical ${rangeText(joint.insertion.lo ?? 0, joint.insertion.hi ?? 0, system)}`
                : joint.insertion.source
            }}
          </td>
        </tr>
        <tr class="sub">
          <td>hands on</td>
          <td class="v">
            <button type="button" class="figure-button" @click="showMinutes">
              {{ formatDecimal(way.minutes.work, 1) }}<span class="visually-hidden"> minutes, show the working</span>
            </button>
          </td>
          <td class="src" data-test="whose-minutes">minutes, {{ isAllOurs ? 'ours' : 'yours' }}</td>
        </tr>
        <tr v-if="way.minutes.wait">
          <td>wait till cold</td>
          <td class="v">{{ formatDecimal(way.minutes.wait, 0) }}</td>
          <td class="src">minutes, {{ isAllOurs ? 'ours' : 'yours' }}</td>
        </tr>
        <tr>
          <td>{{ isPriced ? 'parts' : 'parts, a guess' }}</td>
          <td class="v" data-test="parts-cost">
            {{ isPriced ? way.cost.low.toFixed(2) : `${way.cost.low.toFixed(0)} to ${way.cost.high.toFixed(0)}` }}
          </td>
          <td class="src">{{ CURRENCY[region] }}, {{ isPriced ? 'your prices' : 'ours' }}</td>
        </tr>
        <tr class="sub">
          <td>margin: {{ way.margin.at }}</td>
          <td class="v">
            <button type="button" class="figure-button" @click="showMargin">
              {{ way.margin.bar === null ? '?' : inUnits('pressure', way.margin.bar, system)
              }}<span class="visually-hidden">, show the working</span>
            </button>
          </td>
          <td class="src">over the line</td>
        </tr>
      </tbody>
    </table>
    <h3 class="zone-heading mt-3">To order</h3>
    <p v-if="way.parts.length === 0" class="note t15 py-1">Nothing: one goes straight into the other.</p>
    <ul class="t15">
      <li
        v-for="part in way.parts"
        :key="part.name + part.size"
        class="flex justify-between gap-3 border-b border-[var(--hair)] py-1">
        <span
          >{{ words(orderName(part)) }} <b>{{ part.kind === 'tail' ? '' : part.size }}</b></span
        ><span class="whitespace-nowrap"
          >{{ part.length ? `cut ${formatLength(part.length, system)}` : countText(part.quantity, region)
          }}<button
            v-if="part.kind !== 'tail'"
            type="button"
            class="stock"
            :class="{ 'ochre w6': isOut(part) }"
            :aria-pressed="isOut(part)"
            :aria-label="`${words(part.name)} ${part.size} is not in stock`"
            data-test="out-of-stock"
            @click="flip(part)">
            {{ isOut(part) ? 'not in stock' : 'in stock' }}
          </button></span
        >
      </li>
    </ul>
    <p class="t14 mt-1 flex gap-4">
      <button type="button" class="underline min-h-9" data-test="copy-order" @click="copyOrder">
        {{ isCopied ? 'Copied' : 'Copy the list' }}</button><a
        :href="csv"
        download="order.csv"
        class="underline min-h-9 inline-flex items-center"
        data-test="order-csv"
        >Table file (CSV)</a
      ><NuxtLink
        :to="`/jobs/${job.slug}/order`"
        class="underline min-h-9 inline-flex items-center"
        data-test="whole-order"
        >The whole job's order</NuxtLink
      >
    </p>
    <slot name="first" />
    <ul class="mt-3 space-y-2">
      <li v-for="note in notes" :key="note.code + note.text" class="flex gap-2 t14" :data-note="note.code">
        <StatusShape :status="decides(note) ? 'held' : 'planned'" :size="14" class="mt-[2px]" /><span>{{
          words(note.text)
        }}</span>
      </li>
    </ul>
    <div v-for="school in schools" :key="school.name" class="mt-3" data-test="school">
      <h3 class="zone-heading">
        Where practitioners differ: {{ words(school.name) }}
        <NuxtLink v-if="school.policy" :to="`/jobs/${job.slug}/kit`" class="right underline"
          >by the job's policy</NuxtLink
        >
      </h3>
      <ul class="flex gap-4 flex-wrap t14">
        <li v-for="one in school.schools" :key="one.words">
          {{ words(one.words) }} <b v-if="one.isInUse" class="copper">In use.</b>
        </li>
      </ul>
    </div>
    <div class="take">
      <RuledButton v-if="!isSigned" :disabled="taken || needsDay" data-test="take-way" @click="emit('take')"
        >{{ taken ? `Way ${index + 1} is taken` : `Take way ${index + 1}` }} <kbd v-if="!taken">Enter</kbd></RuledButton
      >
      <p v-else class="note">Signed off: its way stays as it was made.</p>
      <slot />
    </div>
    <p v-if="needsDay && !isSigned" class="ochre t14" data-test="needs-day">
      A cap for a time: first say when you come back, under the ends.
    </p>
    <p class="note t13 mt-3">Local code, the fitting's own paper and a licensed person come first.</p>
  </section>
</template>

<style scoped>
.sum {
  width: 100%;
  margin-top: 6px;
}
.sum td {
  padding: 3px 0;
  vertical-align: baseline;
}
.sum .v {
  text-align: right;
  font-weight: 700;
  font-size: 17px;
  padding: 3px 10px;
  white-space: nowrap;
}
.sum .v :deep(.fraction) {
  font-size: 15px;
}
.sum .src {
  font-size: 13px;
  color: var(--ink2);
  width: 132px;
}
.sub td {
  border-top: 1px solid var(--rule);
}
.stock {
  min-height: 28px;
  margin-left: 12px;
  font-size: 13px;
  color: var(--ink2);
  text-decoration: underline;
}
@media (max-width: 899px) {
  .stock {
    min-height: 44px;
  }
}
.stock.ochre {
  color: var(--ochre);
}
.take {
  display: flex;
  gap: 12px;
  margin-top: 14px;
  align-items: center;
}
</style>
