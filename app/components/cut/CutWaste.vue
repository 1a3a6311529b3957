<script setup lang="ts">
import type { FinishedSheet } from '#core/acts'
import { trueSum, type CutSum } from '#core/cutting'
import { compareText } from '#core/base'
import type { CutRecord, JobRecord } from '#core/record'
import { formatLength, type UnitSystem } from '#core/units'
import { dayTime } from '~/wording/times'

/** Waste as it was planned and as it came out, of this sheet and of the last ones on every job. */
const props = defineProps<{ job: JobRecord; sheet: CutRecord; system: UnitSystem }>()
const store = useJobStore()

/** Sheets beside each other at most. */
const MOST_SHEETS = 8
const share = ({ taken, scrap }: CutSum) => (taken > 0 ? Math.round((1000 * scrap) / taken) / 10 : 0)
/** Of other jobs, as the server has them; of this one as it stands here. */
const others = shallowRef<readonly FinishedSheet[]>([])
onMounted(async () => {
  const answer = await store.read<{ sheets: FinishedSheet[] }>('/api/waste')
  if (answer.ok) others.value = answer.value.sheets.filter(({ job }) => job.id !== props.job.id)
})
const finished = computed(() =>
  [
    ...others.value,
    ...props.job.cuts.flatMap(({ number, result }) => (result ? [{ job: props.job, number, result }] : [])),
  ]
    .sort((a, b) => compareText(b.result.at, a.result.at))
    .slice(0, MOST_SHEETS),
)
const shown = computed(() => {
  const open =
    props.sheet.plan && !props.sheet.result
      ? [{ name: `C${props.sheet.number}, planned`, planned: share(props.sheet.plan.first), actual: null }]
      : []
  return [
    ...open,
    ...finished.value.map(({ job, number, result }) => ({
      name: `${job.name.split(' ').slice(0, 2).join(' ')} C${number}`,
      planned: share(result.first),
      actual: share(result.sum),
    })),
  ]
})
const mean = computed(() => {
  const [taken, scrap] = finished.value.reduce(
    ([t, s], { result }) => [t + result.sum.taken, s + result.sum.scrap],
    [0, 0],
  )
  return taken > 0 ? Math.round((1000 * scrap) / taken) / 10 : null
})
const say = (mm: number) => formatLength(mm, props.system)
const sofar = computed(() =>
  props.sheet.plan && props.sheet.done.length > 0 && !props.sheet.result
    ? trueSum(props.sheet.plan, props.sheet.done, 0)
    : null,
)
</script>

<template>
  <section aria-label="Waste">
    <p class="zone-heading">Scrap, planned and as it came out</p>
    <template v-if="sheet.result">
      <p class="t17" data-test="true-waste">
        This sheet: <b class="brick">{{ say(sheet.result.sum.scrap) }}</b> scrap, {{ share(sheet.result.sum) }} in 100;
        planned were {{ say(sheet.result.first.scrap) }}, {{ share(sheet.result.first) }} in 100.
      </p>
      <p class="note t14">
        Finished {{ dayTime(sheet.result.at, job.region) }}{{ sheet.result.by ? ` by ${sheet.result.by}` : '' }};
        {{ sheet.result.kept.length }} {{ sheet.result.kept.length === 1 ? 'rest' : 'rests' }} on the rack<template
          v-if="sheet.result.uncut"
          >; {{ sheet.result.uncut }} {{ sheet.result.uncut === 1 ? 'piece' : 'pieces' }} not cut</template
        >.
      </p>
    </template>
    <p v-else-if="sofar" class="t15">{{ say(sofar.taken) }} begun, {{ say(sofar.pieces) }} cut so far.</p>
    <LazyWasteChart v-if="shown.length" :sheets="shown" class="mt-2" />
    <p v-if="finished.length === 0" class="note t14">
      No sheet is finished yet. When one is, its true waste stands here beside the plan's, and beside those before.
    </p>
    <p v-else-if="mean !== null" class="t14">Of the last {{ finished.length }}, {{ mean }} in 100 went to scrap.</p>
  </section>
</template>
