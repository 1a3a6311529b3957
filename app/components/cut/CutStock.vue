<script setup lang="ts">
import { v4 as uuid } from 'uuid'
import { getPipe, soldAs } from '#core/catalogue'
import { CUTTER_KERF, CUTTERS, type BenchPlan } from '#core/cutting'
import {
  mayBePrinted,
  printedEvery,
  readSheet,
  USUAL_KEEP_MM,
  type CutBody,
  type CutRecord,
  type JobRecord,
} from '#core/record'
import { formatDecimal, formatLength, type UnitSystem } from '#core/units'
import { CURRENCY } from '~/wording/en'
import { CUTTER_WORDS } from '~/wording/cut'
import { diameterText, formatReading, unitOf } from '~/reading/format'
import { speak } from '#core/speech'

/** What it is cut from and with: lengths on hand or to be bought, kerf, the shortest rest worth keeping. */
const props = defineProps<{ job: JobRecord; sheet: CutRecord; plan: BenchPlan | null; system: UnitSystem }>()
const emit = defineEmits<{ change: [changes: Partial<CutBody>]; drop: [] }>()

const read = computed(() => readSheet(props.job, props.sheet))
const issueAt = (path: string) =>
  !read.value.ok && read.value.error.path === path ? read.value.error.message.replace(/^[\w.]+: /, '') : null
const set = (id: string, changes: Partial<CutRecord['stock'][number]>) =>
  emit('change', { stock: props.sheet.stock.map((row) => (row.id === id ? { ...row, ...changes } : row)) })
const numberOf = (text: string): number | null => (text.trim() === '' ? null : Number(text.replace(',', '.')))
const checkCount = (text: string) =>
  text.trim() === '' || (/^\d+$/.test(text.trim()) && Number(text) <= 10_000)
    ? null
    : 'A whole number to 10,000, or empty.'
const checkPrice = (text: string) =>
  text.trim() === '' || (Number.isFinite(numberOf(text)) && numberOf(text)! >= 0 && numberOf(text)! <= 100_000)
    ? null
    : 'A price such as 12.50, or empty.'
const printedProblem = computed(() =>
  props.sheet.printed.trim() !== '' && printedEvery(props.job, props.sheet) === null
    ? `"${props.sheet.printed.trim()}" is no distance. A length over 0 is accepted, or nothing.`
    : null,
)
const kerf = computed(() => CUTTER_KERF[props.sheet.cutter])
const sold = computed(() => soldAs(getPipe(props.sheet.pipe), props.job.region))
const isClosed = computed(() => props.sheet.result !== null)
const cost = computed(() => {
  if (!props.plan || !read.value.ok) return null
  const rows = read.value.value.stock
  const taken = props.plan.bars
    .filter(({ from }) => from === 'new')
    .map((bar) => rows.find(({ id }) => id === bar.stock)?.price ?? null)
  return taken.length > 0 && taken.every((price) => price !== null)
    ? taken.reduce((sum, price) => sum + price!, 0)
    : null
})
const isDropping = ref(false)
watch(
  () => props.sheet.id,
  () => {
    isDropping.value = false
  },
)
const say = (mm: number) => formatLength(mm, props.system)
const kerfText = (mm: number) => `${formatReading(mm, props.system)} ${unitOf(props.system)}`
</script>

<template>
  <section aria-label="Stock and tool">
    <p class="zone-heading">Stock of {{ getPipe(sheet.pipe).label }}</p>
    <div class="row head note t13">
      <span>length</span><span>on hand</span><span>price of one, {{ CURRENCY[job.region] }}</span
      ><span />
    </div>
    <div v-for="(one, i) in sheet.stock" :key="one.id" class="row">
      <KeptField
        class="w7"
        :value="one.length"
        maxlength="40"
        aria-label="Stock length"
        :aria-invalid="issueAt(`stock.${i}.length`) !== null"
        :disabled="isClosed"
        :data-stock-length="i"
        @keep="set(one.id, { length: $event })" />
      <KeptField
        :value="one.quantity ?? ''"
        maxlength="6"
        inputmode="numeric"
        placeholder="no limit"
        aria-label="How many are on hand"
        :disabled="isClosed"
        :data-stock-quantity="i"
        :check="checkCount"
        @keep="set(one.id, { quantity: numberOf($event) })" />
      <KeptField
        :value="one.price ?? ''"
        maxlength="10"
        inputmode="decimal"
        placeholder="none"
        aria-label="Price of one"
        :disabled="isClosed"
        :data-stock-price="i"
        :check="checkPrice"
        @keep="set(one.id, { price: numberOf($event) })" />
      <button
        type="button"
        class="underline note min-h-9"
        :disabled="isClosed"
        :aria-label="`Take out ${one.length}`"
        @click="emit('change', { stock: sheet.stock.filter(({ id }) => id !== one.id) })">
        out
      </button>
      <span v-if="issueAt(`stock.${i}.length`)" class="brick t14 wide">{{ issueAt(`stock.${i}.length`) }}</span>
    </div>
    <button
      v-if="!isClosed && sheet.stock.length < 20"
      type="button"
      class="underline t14 min-h-9"
      data-test="add-stock"
      @click="emit('change', { stock: [...sheet.stock, { id: uuid(), length: '', quantity: null, price: null }] })">
      another length or coil
    </button>
    <p class="note t13">
      Most often sold in {{ say(sold.length.value!) }}{{ sold.isCoil ? ' coils' : '' }} ({{ say(sold.length.lo!) }} to
      {{ say(sold.length.hi!) }}, {{ sold.length.source }}). On hand left empty: as many as are wanted.
      <template v-if="cost !== null"
        >New lengths of this plan: <b>{{ CURRENCY[job.region] }}{{ formatDecimal(cost, 2) }}</b
        >.</template
      >
    </p>

    <p class="zone-heading mt-3">Cut with</p>
    <div class="answers" role="group" aria-label="Cut with">
      <button
        v-for="one in CUTTERS"
        :key="one"
        type="button"
        class="answer"
        :aria-pressed="sheet.cutter === one"
        :disabled="isClosed"
        :data-cutter="one"
        @click="emit('change', { cutter: one })">
        {{ CUTTER_WORDS[one] }}
      </button>
    </div>
    <label class="field"
      ><span class="t15">A cut takes away</span
      ><KeptField
        class="w7"
        :value="sheet.kerf"
        maxlength="40"
        :placeholder="kerfText(kerf.value!)"
        :aria-invalid="issueAt('kerf') !== null"
        :disabled="isClosed"
        data-test="kerf"
        @keep="emit('change', { kerf: $event })"
    /></label>
    <p class="note t13">
      {{
        kerf.lo === kerf.hi
          ? diameterText(kerf.value!, system)
          : `${diameterText(kerf.lo!, system)} to ${diameterText(kerf.hi!, system)}`
      }}, {{ kerf.source }}: {{ speak(kerf.leaves, job.region) }}. Yours, measured, wins.
    </p>
    <p v-if="issueAt('kerf')" class="brick t14">{{ issueAt('kerf') }}</p>

    <template v-if="mayBePrinted(sheet.pipe)">
      <label class="field"
        ><span class="t15">Marks printed on it every</span
        ><KeptField
          class="w7"
          :value="sheet.printed"
          maxlength="40"
          placeholder="none"
          :aria-invalid="printedProblem !== null"
          :disabled="isClosed"
          data-test="printed"
          @keep="emit('change', { printed: $event })"
      /></label>
      <p class="note t13">
        Read off the pipe: makers differ. With the left end cut on a mark, each cut is offered the nearest one.
      </p>
      <p v-if="printedProblem" class="brick t14" role="alert">{{ printedProblem }}</p>
    </template>
    <label class="field"
      ><span class="t15">A rest goes to the rack from</span
      ><KeptField
        class="w7"
        :value="sheet.keep"
        maxlength="40"
        :placeholder="say(USUAL_KEEP_MM)"
        :aria-invalid="issueAt('keep') !== null"
        :disabled="isClosed"
        data-test="keep"
        @keep="emit('change', { keep: $event })"
    /></label>
    <p v-if="issueAt('keep')" class="brick t14">{{ issueAt('keep') }}</p>
    <p class="t15 mt-2">Of plans with as few lengths, the one that</p>
    <div class="answers" role="group" aria-label="Which plan">
      <button
        type="button"
        class="answer"
        :aria-pressed="sheet.prefer === 'longest-left'"
        :disabled="isClosed"
        data-test="prefer-longest"
        @click="emit('change', { prefer: 'longest-left' })">
        keeps the longest rest</button
      ><button
        type="button"
        class="answer"
        :aria-pressed="sheet.prefer === 'least-waste'"
        :disabled="isClosed"
        data-test="prefer-waste"
        @click="emit('change', { prefer: 'least-waste' })">
        wastes least
      </button>
    </div>

    <label class="field mt-3"
      ><span class="t15">This sheet is called</span
      ><KeptField
        :value="sheet.name"
        maxlength="120"
        :disabled="isClosed"
        data-test="sheet-name"
        @keep="emit('change', { name: $event.trim() })"
    /></label>
    <p class="mt-3 t14">
      <button
        v-if="!isDropping"
        type="button"
        class="underline min-h-9"
        data-test="drop-sheet"
        @click="isDropping = true">
        take this sheet out</button
      ><template v-else
        >C{{ sheet.number }} with its {{ sheet.done.length }} cut entries goes for good; offcuts promised to it are free
        again.
        <button type="button" class="link-verb" data-test="drop-sheet-yes" @click="emit('drop')">Take it out</button>
        {{ ' ' }}
        <button type="button" class="underline min-h-9 ml-3" @click="isDropping = false">keep it</button></template
      >
    </p>
  </section>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 1fr 1.2fr 1fr 40px;
  gap: 4px 12px;
  align-items: baseline;
  padding: 3px 0;
  border-bottom: 1px solid var(--hair);
}
.row.head {
  border-bottom-color: var(--rule);
}
.wide {
  grid-column: 1 / -1;
}
.field {
  display: grid;
  grid-template-columns: 1fr 110px;
  gap: 10px;
  align-items: baseline;
  margin-top: 8px;
}
@media (max-width: 899px), (pointer: coarse) {
  .row input,
  .field input,
  .row button {
    min-height: 44px;
  }
}
</style>
