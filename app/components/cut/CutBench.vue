<script setup lang="ts">
import { barWords } from '#core/cutting'
import { fillPolicy } from '#core/joints'
import { printedEvery, type FinishBody, type JobRecord } from '#core/record'

/**
 * Cut: pieces of one pipe nested into stock and offcuts, proved or with its bound, then cut one by one at the bench.
 */
const props = defineProps<{ job: JobRecord }>()
const job = toRef(props, 'job')
const {
  elsewhere,
  readElsewhere,
  sheet,
  system,
  wanted,
  pieces,
  rack,
  plan,
  done,
  rows,
  sum,
  progress,
  stale,
  problem,
  search,
  row,
  at,
  next,
  piece,
  lastCut,
  slips,
  planAgain,
  change,
  addSheet,
  dropSheet,
  look,
  tick,
  enterTyped,
  takeBack,
} = useCut(job)
const store = useJobStore()
const narrow = useNarrow()

const panel = ref<'order' | 'pieces' | 'stock' | 'rack' | 'waste'>('order')
const PANELS = [
  ['order', 'Order'],
  ['pieces', 'Pieces'],
  ['stock', 'Stock'],
  ['rack', 'Rack'],
  ['waste', 'Waste'],
] as const
watch(panel, (now) => {
  if (now === 'pieces') void readElsewhere()
})
const isPanelOpen = ref(false)
function openPieces() {
  panel.value = 'pieces'
  isPanelOpen.value = true
}
const isReversed = ref(false)
watch(
  () => row.value?.piece.key,
  () => {
    isReversed.value = false
  },
)
const school = computed(() => fillPolicy(props.job.policy).bendMark)

const printUrl = computed(() => (sheet.value ? `/api/jobs/${props.job.slug}/cuts/${sheet.value.id}/bench.pdf` : ''))
const print = () => {
  if (plan.value) window.open(printUrl.value, '_blank', 'noopener')
}
const barOf = computed(() => (row.value && plan.value ? barWords(row.value.bar, plan.value, props.job.rack) : ''))

const isWrongOpen = ref(false)
const rowKey = computed(() => row.value && `${row.value.bar.id} ${row.value.piece.key}`)
function openWrong() {
  if (row.value && !row.value.done && !sheet.value?.result) isWrongOpen.value = true
}
watch(rowKey, () => {
  isWrongOpen.value = false
})

const { finishProblem, rackProblem, finish: finishSheet, put, drop } = useRests(job)
const isFinishOpen = ref(false)
function openFinish() {
  if (!sheet.value || sheet.value.result || done.value.length === 0) return
  finishProblem.value = null
  isFinishOpen.value = true
}
function finish(body: FinishBody) {
  if (!finishSheet(sheet.value!.id, body)) return
  isFinishOpen.value = false
  panel.value = 'waste'
}
const sheetFor = (pipe: string) =>
  addSheet(
    pipe,
    props.job.lines
      .filter(({ id }) => wanted.value.find((one) => one.pipe === pipe)?.lines.includes(id))
      .map(({ id }) => id),
  )
const newSheet = () => {
  void addSheet(sheet.value?.pipe ?? props.job.lines.at(-1)?.pipe ?? USUAL_PIPE[props.job.region], [])
}
/** What of this sheet came back from the server, such as an offcut that was promised meanwhile. */
const cameBack = computed(() => store.refused.find(({ record }) => record === sheet.value?.id))
/** The rack as the server has it now, then a plan from that. */
async function replan() {
  const back = cameBack.value
  if (back?.act.name === 'cut/plan') store.letGo(back.key)
  await Promise.all([store.loadJob(props.job.slug), store.loadRack()])
  await planAgain()
}
/** A wrong cut that is not planned around yet: what the plan says of its rests is not so any more. */
const isOpen = computed(() => slips.value.some(({ id }) => !plan.value?.slips.includes(id)))

useKeys({
  j: () => look(at.value + 1),
  k: () => look(at.value - 1),
  ' ': () => tick(),
  w: openWrong,
  p: print,
  c: () => {
    void planAgain()
  },
  r: () => {
    isReversed.value = !isReversed.value
  },
  n: () => {
    if (wanted.value[0]) void sheetFor(wanted.value[0].pipe)
  },
  Enter: () => {
    if (next.value < 0) openFinish()
  },
  Escape: () => {
    isWrongOpen.value = false
  },
})
</script>

<template>
  <CutTabs
    v-if="job.cuts.length > 0"
    :job="job"
    :current="sheet?.id"
    :wanted="wanted"
    @cut="sheetFor"
    @new="newSheet" />
  <CutStart v-if="!sheet" :wanted="wanted" @cut="sheetFor" @new="newSheet" />
  <div v-else class="bench" :class="{ 'no-strip': !piece }">
    <div class="table">
      <CutNow
        v-if="narrow && row && progress"
        :row="row"
        :from="barOf"
        :made="progress.made"
        :of="progress.of"
        :system="system"
        :every="printedEvery(job, sheet)" />
      <CutBands
        :is-looking="search.isLooking.value"
        :news="search.news.value"
        :came-back="cameBack?.issue?.message ?? null"
        :problem="problem"
        :stale="stale"
        @stop="search.stop()"
        @replan="replan"
        @plan="planAgain" />
      <CutDrawing
        :sheet="sheet"
        :plan="plan"
        :pieces="pieces"
        :done="done"
        :rows="rows"
        :at="at"
        :next="next"
        :rack="job.rack"
        :on-rack="rack.length"
        :system="system"
        :is-phone="narrow"
        @plan="planAgain"
        @pieces="openPieces"
        @look="look" />
      <div v-if="plan && sum && !isOpen" class="foot">
        <CutClaim
          :sheet="sheet"
          :plan="plan"
          :kept-mm="sum.kept"
          :waiting="pieces?.waiting.length ?? 0"
          :slips="slips"
          :system="system"
          @waiting="panel = 'pieces'" />
        <CutSum :sum="sum" :plan="plan" :result="sheet.result" :system="system" />
      </div>
    </div>
    <component :is="narrow ? 'div' : 'aside'" class="beside">
      <div class="panels" role="group" aria-label="Beside the bars">
        <button
          v-for="[name, words] in PANELS"
          :key="name"
          type="button"
          class="choice"
          :aria-pressed="panel === name"
          :data-panel="name"
          @click="panel = name">
          {{ words }}
        </button>
      </div>
      <template v-if="panel === 'order'">
        <CutOrder
          v-if="plan"
          :sheet="sheet"
          :rows="rows"
          :at="at"
          :next="next"
          :system="system"
          :every="printedEvery(job, sheet)"
          :can-take-back="lastCut !== undefined"
          :print-url="printUrl"
          :is-phone="narrow"
          @look="look"
          @tick="tick"
          @wrong="openWrong"
          @take-back="takeBack"
          @finish="openFinish" />
        <p v-else class="note t15">The order of cuts stands here once they are planned.</p>
        <WrongCut
          v-if="isWrongOpen && row && !narrow"
          :key="rowKey ?? undefined"
          v-model:open="isWrongOpen"
          :row="row"
          :system="system"
          :enter="enterTyped" />
      </template>
      <CutPieces
        v-else-if="panel === 'pieces' && pieces"
        :job="job"
        :jobs="[job, ...store.jobs.filter(({ id }) => id !== job.id)]"
        :elsewhere="elsewhere"
        :sheet="sheet"
        :pieces="pieces"
        :system="system"
        @change="change"
        @new-sheet="sheetFor" />
      <CutStock
        v-else-if="panel === 'stock'"
        :job="job"
        :sheet="sheet"
        :plan="plan"
        :system="system"
        @change="change"
        @drop="dropSheet" />
      <RackList
        v-else-if="panel === 'rack'"
        :job="job"
        :sheet="sheet"
        :system="system"
        :problem="rackProblem"
        @change="change"
        @put="put"
        @drop="drop" />
      <CutWaste v-else :job="job" :sheet="sheet" :system="system" />
    </component>
    <CutStrip
      v-if="piece && row && !narrow"
      v-model:reversed="isReversed"
      class="strip"
      :name="row.piece.name"
      :pipe="sheet.pipe"
      :piece="piece"
      :system="system"
      :school="school" />
    <CutThumb
      v-if="narrow && plan && !sheet.result"
      class="thumb"
      :row="row"
      :next="next"
      :is-asking="isWrongOpen && row !== null"
      @tick="tick"
      @wrong="openWrong"
      @finish="openFinish"
      @look="look"
      ><WrongCut
        v-if="row"
        :key="rowKey ?? undefined"
        v-model:open="isWrongOpen"
        :row="row"
        :system="system"
        :enter="enterTyped"
    /></CutThumb>
    <FinishDialog
      v-model:open="isFinishOpen"
      :sheet="sheet"
      :rack="job.rack"
      :system="system"
      :problem="finishProblem"
      @finish="finish" />
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 430px;
  grid-template-rows: minmax(0, 1fr) 178px;
  height: calc(100dvh - 134px - var(--band, 0px));
  min-height: 560px;
}
.bench.no-strip {
  grid-template-rows: minmax(0, 1fr);
}
.table {
  grid-area: 1 / 1;
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
}
.foot {
  border-top: 2px solid var(--hair);
  padding-bottom: 2px;
}
.beside {
  grid-area: 1 / 2;
  border-left: 1px solid var(--rule);
  padding: 4px 22px 10px 24px;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.beside > section {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
}
.panels {
  display: flex;
  gap: 18px;
  margin-bottom: 6px;
  flex-wrap: wrap;
}
.strip {
  grid-area: 2 / 1 / 3 / 3;
  border-top: 1px solid var(--rule);
}
@media (max-width: 1199px) {
  .bench {
    grid-template-columns: minmax(0, 1fr) 360px;
  }
  .beside {
    padding: 4px 14px;
  }
}
@media (max-width: 899px) {
  .bench,
  .bench.no-strip {
    display: flex;
    flex-direction: column;
    height: auto;
  }
  .table {
    display: contents;
  }
  .beside {
    border-left: 0;
    border-top: 1px solid var(--rule);
    padding: 4px 12px 14px;
    display: block;
    order: 2;
  }
  .foot {
    order: 3;
  }
  .thumb {
    order: 4;
  }
}
</style>
