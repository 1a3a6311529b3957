<script setup lang="ts">
import { v4 as uuid } from 'uuid'
import { barWords, openPieces, restsOf, trueSum } from '#core/cutting'
import type { CutRecord, FinishBody, OffcutRecord } from '#core/record'
import { formatDecimal, formatLength, formatTape, parseLength, type UnitSystem } from '#core/units'

/** The work stopped: each rest measured, kept with its place or thrown away; the true waste comes of it. */
const props = defineProps<{
  sheet: CutRecord
  rack: readonly OffcutRecord[]
  system: UnitSystem
  problem: string | null
}>()
const open = defineModel<boolean>('open', { required: true })
const emit = defineEmits<{ finish: [body: FinishBody] }>()

interface Row {
  rest: string
  words: string
  most: number
  length: string
  place: string
  isKept: boolean
}
const rows = ref<Row[]>([])
const say = (mm: number) => formatLength(mm, props.system)
watch(
  open,
  (isOpen) => {
    const { plan, done } = props.sheet
    if (!isOpen || !plan) return
    rows.value = restsOf(plan, done)
      .sort((a, b) => b.length - a.length)
      .map(({ id, of, length }) => {
        const bar = plan.bars.find((one) => one.id === id)
        return {
          rest: id,
          words: of === 'slip' || !bar ? 'wrong cut' : barWords(bar, plan, props.rack),
          most: length,
          length: props.system === 'metric' ? formatDecimal(length, 1) : formatTape(length),
          place: 'rack',
          isKept: length >= plan.keep,
        }
      })
  },
  { immediate: true },
)
const issues = computed(() =>
  rows.value.map((row) => {
    if (!row.isKept) return null
    const read = parseLength(row.length, props.system, 'length')
    if (!read.ok) return read.error.message
    return read.value.mm > row.most + 10 ? `No more than ${say(row.most)} can be left there. Measure it again.` : null
  }),
)
const kept = computed(() =>
  rows.value.flatMap((row) => {
    const read = parseLength(row.length, props.system, 'length')
    return row.isKept && read.ok
      ? [{ rest: row.rest, length: Math.round(read.value.mm * 10) / 10, place: row.place.trim() }]
      : []
  }),
)
const sum = computed(() =>
  props.sheet.plan
    ? trueSum(
        props.sheet.plan,
        props.sheet.done,
        kept.value.reduce((all, { length }) => all + length, 0),
      )
    : null,
)
const uncut = computed(() => (props.sheet.plan ? openPieces(props.sheet.plan.pieces, props.sheet.done) : []))
function finish() {
  if (issues.value.some(Boolean)) return
  emit('finish', { kept: kept.value.map((one) => ({ id: uuid(), ...one })) })
}
</script>

<template>
  <FrameModal
    v-model:open="open"
    title="Rests to the rack"
    description="Measure each; what is kept is offered first to the next sheet.">
    <template #body>
      <p v-if="uncut.length" class="ochre t15 flex gap-2 mb-2">
        <StatusShape status="held" :size="16" class="mt-1 flex-none" /> Not cut:
        {{
          uncut
            .slice(0, 6)
            .map(({ name }) => name)
            .join(', ')
        }}{{ uncut.length > 6 ? ` and ${uncut.length - 6} more` : '' }}. They want another sheet.
      </p>
      <ul>
        <li v-for="(row, i) in rows" :key="row.rest" class="rest">
          <label class="keep"
            ><input v-model="row.isKept" type="checkbox" :data-keep="i" /> <span>{{ row.words }}</span></label
          >
          <input
            v-model="row.length"
            class="plain-input w7 t20"
            maxlength="30"
            :aria-label="`Length left of ${row.words}`"
            :disabled="!row.isKept"
            :aria-invalid="issues[i] !== null"
            :data-rest="i" />
          <input
            v-model="row.place"
            class="plain-input"
            maxlength="80"
            :aria-label="`Where it lies, ${row.words}`"
            :disabled="!row.isKept"
            :data-place="i" />
          <span v-if="!row.isKept" class="note t13">scrap</span>
          <span v-if="issues[i]" class="brick t14 wide">{{ issues[i] }}</span>
        </li>
      </ul>
      <p v-if="rows.length === 0" class="note">Nothing is left over.</p>
      <p v-if="sum" class="t17 mt-3">
        {{ say(sum.taken) }} begun, {{ say(sum.pieces) }} in pieces, {{ say(sum.kept) }} kept:
        <b class="brick">{{ say(Math.max(0, sum.scrap)) }} scrap</b>. Planned: {{ say(sheet.plan!.first.scrap) }}.
      </p>
      <p v-if="problem" class="brick t15" role="status">{{ problem }}</p>
      <div class="flex gap-3 mt-4">
        <RuledButton size="lg" data-test="finish-yes" :disabled="issues.some(Boolean)" @click="finish"
          >Rack them, close the sheet</RuledButton
        ><RuledButton size="lg" variant="outline" @click="open = false">Not yet</RuledButton>
      </div>
    </template>
  </FrameModal>
</template>

<style scoped>
.rest {
  display: grid;
  grid-template-columns: 1.3fr 90px 1fr 44px;
  gap: 2px 12px;
  align-items: baseline;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
.keep {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 44px;
}
.keep input {
  width: 20px;
  height: 20px;
  accent-color: var(--copper);
}
.wide {
  grid-column: 1 / -1;
}
</style>
