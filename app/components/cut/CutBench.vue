<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { getPipe } from '#core/catalogue'
import { barWords } from '#core/cutting'
import { fillPolicy } from '#core/joints'
import type { FinishBody, JobRecord, OffcutBody } from '#core/record'
import { formatDecimal, formatLength } from '#core/units'
import { claimOf, CUTTER_WORDS } from '~/wording/cut'
import { tapeText } from '~/reading/tape'

/** Cut: pieces of one pipe nested into stock and offcuts, proved or with its bound, then cut one by one at the bench. */
const props = defineProps<{ job: JobRecord }>()
const job = toRef(props, 'job')
const {
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
const isPanelOpen = ref(false)
function openPieces() {
  panel.value = 'pieces'
  isPanelOpen.value = true
}
watch(panel, (now) => {
  if (now === 'waste') void store.load()
})

const bars = useTemplateRef<HTMLElement>('bars')
const strip = useTemplateRef<HTMLElement>('strip')
const { width } = useElementSize(bars)
const { width: stripWidth } = useElementSize(strip)
const isReversed = ref(false)
watch(
  () => row.value?.piece.key,
  () => {
    isReversed.value = false
  },
)
const school = computed(() => fillPolicy(props.job.policy).bendMark)

const claim = computed(() => (plan.value ? claimOf(plan.value, system.value) : null))
const kept = computed(() =>
  plan.value && sum.value && sum.value.kept > 0
    ? `${formatLength(sum.value.kept, system.value)} ${sheet.value?.result ? 'is on the rack.' : 'to the rack.'}`
    : '',
)
const toolWords = computed(() =>
  sheet.value && plan.value
    ? `Cut by ${CUTTER_WORDS[sheet.value.cutter]}, ${plan.value.kerf > 0 ? `${formatDecimal(plan.value.kerf, 1)} mm a cut` : 'no kerf'}`
    : '',
)
const newsWords = computed(() => {
  const best = search.news.value?.best
  return best
    ? `${best.used} new ${best.used === 1 ? 'length' : 'lengths'} so far, at least ${search.news.value!.bound}`
    : 'no plan yet'
})
const printUrl = computed(() => (sheet.value ? `/api/jobs/${props.job.slug}/cuts/${sheet.value.id}/bench.pdf` : ''))
const print = () => {
  if (plan.value) window.open(printUrl.value, '_blank', 'noopener')
}
const barOf = computed(() => (row.value && plan.value ? barWords(row.value.bar, plan.value, props.job.rack) : ''))

// A cut that came out wrong: the length it has, asked at the row it was wanted for.
const isWrongOpen = ref(false)
const wrongText = ref('')
const wrongIssue = ref<string | null>(null)
const wrongField = useTemplateRef<HTMLInputElement>('wrongField')
function openWrong() {
  if (!row.value || row.value.done || sheet.value?.result) return
  isWrongOpen.value = true
  wrongText.value = ''
  wrongIssue.value = null
  void nextTick(() => wrongField.value?.focus())
}
watch(
  () => row.value && `${row.value.bar.id} ${row.value.piece.key}`,
  () => {
    isWrongOpen.value = false
  },
)
async function keepWrong() {
  wrongIssue.value = await enterTyped(wrongText.value)
  if (wrongIssue.value === null) isWrongOpen.value = false
}

const isFinishOpen = ref(false)
const finishProblem = ref<string | null>(null)
function openFinish() {
  if (!sheet.value || sheet.value.result || done.value.length === 0) return
  finishProblem.value = null
  isFinishOpen.value = true
}
function finish(body: FinishBody) {
  const made = store.finishCut(props.job.slug, sheet.value!.id, body)
  finishProblem.value = made.ok ? null : made.error.message
  if (!made.ok) return
  isFinishOpen.value = false
  panel.value = 'waste'
}
const rackProblem = ref<string | null>(null)
function put(body: OffcutBody, id?: string) {
  const made = store.putOffcut(props.job.slug, body, id)
  rackProblem.value = made.ok ? null : made.error.message
}
function drop(id: string) {
  const made = store.dropOffcut(props.job.slug, id)
  rackProblem.value = made.ok ? null : made.error.message
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
  if (back?.act.do === 'plan-cut') store.letGo(back.key)
  await store.loadJob(props.job.slug)
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
  u: takeBack,
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
  <nav v-if="job.cuts.length > 0" class="tabs" aria-label="Cut sheets">
    <NuxtLink
      v-for="one in job.cuts"
      :key="one.id"
      :to="{ query: { cut: one.id } }"
      class="choice"
      :aria-current="one.id === sheet?.id"
      :data-sheet="one.number"
      >C{{ one.number }} {{ one.name || getPipe(one.pipe).label
      }}<StatusShape v-if="one.result" status="made" :size="13"
    /></NuxtLink>
    <button
      v-for="one in wanted"
      :key="one.pipe"
      type="button"
      class="choice"
      :data-wanted="one.pipe"
      @click="sheetFor(one.pipe)">
      cut {{ getPipe(one.pipe).label }}, {{ one.pieces }}
    </button>
    <button type="button" class="choice" data-test="new-sheet" @click="newSheet">new sheet</button>
  </nav>
  <div v-if="!sheet" class="p-6 space-y-4">
    <svg width="420" height="60" role="img" aria-label="No cut sheet yet">
      <path d="M2 14H418V44H2Z" class="l-hidden" />
      <path d="M160 8V50M300 8V50" class="l-sel" stroke-dasharray="6 4" />
    </svg>
    <p class="t20 w7">Nothing to cut yet.</p>
    <p v-if="wanted.length === 0" class="t17">Draw a line and its pieces stand here; or type pieces at the bench.</p>
    <div class="flex gap-3 flex-wrap">
      <UButton v-for="one in wanted" :key="one.pipe" size="lg" :data-wanted="one.pipe" @click="sheetFor(one.pipe)"
        >Cut {{ one.pieces }} {{ one.pieces === 1 ? 'piece' : 'pieces' }} of {{ getPipe(one.pipe).label }}</UButton
      ><UButton size="lg" :variant="wanted.length ? 'outline' : 'solid'" data-test="first-sheet" @click="newSheet"
        >Type pieces</UButton
      >
    </div>
  </div>
  <div v-else class="bench" :class="{ 'no-strip': !piece }">
    <div class="table">
      <div v-if="narrow && row" class="now" data-test="phone-cut">
        <template v-if="!row.done"
          ><span class="t17 w6">{{ row.piece.name }}, off {{ barOf }}</span
          ><b class="big copper"><TapeFigure :mm="row.length" :system="system" /></b
          ><span class="t15"
            >mark at <b><TapeFigure :mm="row.to" :system="system" /></b> from its left end; {{ progress?.made }} of
            {{ progress?.of }} cut</span
          ></template
        >
        <template v-else
          ><span class="t17 w6">{{ row.piece.name }} {{ row.isSlip ? 'came out at' : 'is cut' }}</span
          ><b class="big"><TapeFigure :mm="row.length" :system="system" /></b
          ><span class="t15">{{ progress?.made }} of {{ progress?.of }} cut</span></template
        >
      </div>
      <div v-if="search.isLooking.value" class="band" role="status">
        <span class="t15"
          ><b>Looking.</b> {{ newsWords
          }}<span v-if="search.news.value" class="note"
            >, {{ Math.round(search.news.value.ms / 100) / 10 }} s</span
          ></span
        ><UButton
          size="sm"
          variant="outline"
          data-test="stop-search"
          :disabled="!search.news.value?.best"
          @click="search.stop()"
          >Stop, take this</UButton
        >
      </div>
      <div v-if="cameBack" class="band held" role="status">
        <StatusShape status="refused" :size="18" /><span class="t15">{{ cameBack.issue?.message }}</span
        ><UButton size="sm" data-test="replan" @click="replan">Plan again</UButton>
      </div>
      <div v-if="problem" class="band held" role="status" data-test="cut-problem">
        <StatusShape status="refused" :size="18" /><span class="t15">{{ problem }}</span>
      </div>
      <div v-if="stale.length && !search.isLooking.value" class="band held" role="status" data-test="stale">
        <StatusShape status="held" :size="18" /><span class="t15"
          >{{ stale.slice(0, 3).join('; ') }}{{ stale.length > 3 ? `; and ${stale.length - 3} more` : '' }}.</span
        ><UButton size="sm" data-test="replan-stale" @click="planAgain">Plan the rest again <kbd>C</kbd></UButton>
      </div>
      <div ref="bars" class="bars">
        <template v-if="plan">
          <p v-if="!narrow" class="t13 note w6 head">
            <span>Lengths to scale, thickness not. {{ toolWords }}</span
            ><button v-if="!sheet.result" type="button" class="underline" data-test="plan" @click="planAgain">
              plan again <kbd>C</kbd>
            </button>
          </p>
          <CutBars
            v-if="width > 0"
            :plan="plan"
            :done="done"
            :rows="rows"
            :at="at"
            :next="next"
            :rack="job.rack"
            :system="system"
            :width="Math.floor(width)"
            :only-bar="narrow ? row?.bar.id : undefined"
            @look="look" />
        </template>
        <div v-else class="p-5 space-y-3">
          <p class="t20 w7">
            {{ pieces?.pieces.length || (pieces?.waiting.length ? 'No' : 0) }}
            {{ pieces?.pieces.length === 1 ? 'piece' : 'pieces' }} of {{ getPipe(sheet.pipe).label }}
          </p>
          <p class="t15">
            {{
              pieces?.pieces.length
                ? `${formatLength(
                    pieces.pieces.reduce((all, { length }) => all + length, 0),
                    system,
                  )} in all, from ${sheet.stock.map((one) => one.length).join(', ') || 'no stock yet'}${rack.length ? ` and ${rack.length} on the rack` : ''}.`
                : pieces?.waiting.length
                  ? 'None of them can be cut yet.'
                  : 'Take in a line, or type pieces, under Pieces.'
            }}
          </p>
          <ul v-if="pieces?.waiting.length" data-test="waiting">
            <li v-for="(one, i) in pieces.waiting.slice(0, 8)" :key="i" class="t15 flex gap-2">
              <StatusShape status="held" :size="15" class="mt-[3px] flex-none" /><span
                ><b>{{ one.name }}</b> waits: {{ one.why }}</span
              >
            </li>
          </ul>
          <div class="flex gap-3">
            <UButton v-if="pieces?.pieces.length" size="lg" data-test="plan" @click="planAgain"
              >Plan the cuts <kbd>C</kbd></UButton
            ><UButton v-else size="lg" data-test="to-pieces" @click="openPieces">To the pieces</UButton>
          </div>
        </div>
      </div>
      <div v-if="plan && claim && sum && !isOpen" class="foot">
        <div class="claim" data-test="claim">
          <VerdictShape :verdict="claim.isProved ? 'fits' : 'care'" :size="20" />
          <div>
            <p>
              <b class="t17">{{ claim.title }}.</b> <span class="t15">{{ claim.text }} {{ kept }}</span>
              <button
                v-if="pieces?.waiting.length && !sheet.result"
                type="button"
                class="t15 ochre underline"
                data-test="see-waiting"
                @click="panel = 'pieces'">
                {{ pieces.waiting.length }} more {{ pieces.waiting.length === 1 ? 'waits' : 'wait' }}
              </button>
              <span v-if="slips.length" class="t15 brick"
                >{{ slips.length }} cut wrong:
                {{ slips.map(({ length }) => tapeText(length, system)).join(', ') }}.</span
              >
            </p>
          </div>
        </div>
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
          :can-take-back="lastCut !== undefined"
          :print-url="printUrl"
          :is-phone="narrow"
          @look="look"
          @tick="tick"
          @wrong="openWrong"
          @take-back="takeBack"
          @finish="openFinish" />
        <p v-else class="note t15">The order of cuts stands here once they are planned.</p>
        <form v-if="isWrongOpen && row && !narrow" class="wrong" @submit.prevent="keepWrong">
          <label class="t15"
            ><span
              ><b>{{ row.piece.name }}</b> came out at</span
            >
            <input
              ref="wrongField"
              v-model="wrongText"
              class="plain-input t20 w7"
              maxlength="30"
              :aria-invalid="wrongIssue !== null"
              data-test="wrong-length"
              @keydown.esc="isWrongOpen = false"
          /></label>
          <UButton type="submit" data-test="wrong-keep">Enter it</UButton>
          <p class="t14 wide" :class="wrongIssue ? 'brick' : 'note'" role="status">
            {{
              wrongIssue ??
              `Within 1 mm of ${tapeText(row.length, system)} it counts as cut. Else it is stock for another piece, and the rest is planned again.`
            }}
          </p>
        </form>
      </template>
      <CutPieces
        v-else-if="panel === 'pieces' && pieces"
        :job="job"
        :jobs="[job, ...store.jobs.filter(({ id }) => id !== job.id)]"
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
      <CutWaste v-else :job="job" :jobs="store.jobs" :sheet="sheet" :system="system" />
    </component>
    <div v-if="piece && row && !narrow" ref="strip" class="strip">
      <p class="t13 strip-head">
        <span class="note w6"
          >Strip: {{ row.piece.name }}, {{ piece.from }} to {{ piece.to }}, {{ getPipe(sheet.pipe).label }}</span
        ><button type="button" class="underline" :aria-pressed="isReversed" @click="isReversed = !isReversed">
          {{ isReversed ? 'from the other end' : 'reverse' }} <kbd>R</kbd>
        </button>
      </p>
      <PieceStrip
        v-if="stripWidth > 0"
        :piece="piece.piece"
        :from="piece.from"
        :to="piece.to"
        :system="system"
        :width="Math.floor(stripWidth)"
        :is-reversed="isReversed"
        :is-phone="false"
        :school="school" />
    </div>
    <div v-if="narrow && plan && !sheet.result" class="thumb">
      <template v-if="isWrongOpen && row">
        <form class="wrong" @submit.prevent="keepWrong">
          <label class="t15"
            ><span>{{ row.piece.name }} came out at</span>
            <input
              ref="wrongField"
              v-model="wrongText"
              class="plain-input t26 w7"
              inputmode="decimal"
              maxlength="30"
              :aria-invalid="wrongIssue !== null"
              data-test="wrong-length" /></label
          ><UButton type="submit" size="xl">Enter</UButton
          ><UButton size="xl" variant="outline" @click="isWrongOpen = false">Not so</UButton>
          <p v-if="wrongIssue" class="brick t14 wide" role="status">{{ wrongIssue }}</p>
        </form>
      </template>
      <template v-else-if="row && !row.done"
        ><UButton size="xl" class="flex-1" data-test="tick-cut" @click="tick">{{ row.piece.name }} is cut</UButton
        ><UButton size="xl" variant="outline" data-test="wrong-cut" @click="openWrong">Wrong</UButton></template
      >
      <UButton v-else-if="next < 0" size="xl" class="flex-1" data-test="finish" @click="openFinish"
        >Rests to the rack</UButton
      >
      <UButton v-else size="xl" class="flex-1" @click="look(next)">To the next cut</UButton>
    </div>
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
.tabs {
  display: flex;
  gap: 18px;
  align-items: center;
  padding: 2px 18px;
  border-bottom: 1px solid var(--hair);
  min-height: 32px;
  overflow-x: auto;
  white-space: nowrap;
}
.bench {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 430px;
  grid-template-rows: minmax(0, 1fr) 178px;
  height: calc(100dvh - 134px);
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
.bars {
  flex: 1;
  overflow-y: auto;
  overflow-x: hidden;
  min-height: 0;
}
.head {
  display: flex;
  justify-content: space-between;
  padding: 6px 18px 4px;
}
.foot {
  border-top: 2px solid var(--hair);
  padding-bottom: 2px;
}
.claim {
  display: flex;
  gap: 10px;
  padding: 8px 18px 0;
}
.claim > div {
  flex: 1;
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
  min-width: 0;
  overflow: hidden;
}
.strip-head {
  display: flex;
  justify-content: space-between;
  padding: 5px 18px 0;
  min-height: 26px;
}
.band {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 6px 18px;
  min-height: 44px;
  border-bottom: 1px solid var(--rule);
}
.band.held {
  border-bottom: 3px solid var(--ochre);
}
.band span {
  flex: 1;
}
.wrong {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: flex-end;
  border-top: 2px solid var(--copper);
  margin-top: 10px;
  padding-top: 8px;
}
.wrong label {
  flex: 1;
  display: flex;
  flex-direction: column;
  gap: 5px;
}
.wrong .wide {
  flex-basis: 100%;
}
.now {
  display: flex;
  flex-direction: column;
  align-items: center;
  padding: 10px 12px 4px;
  text-align: center;
}
.big {
  font-size: 72px;
  line-height: 1;
  letter-spacing: -0.03em;
}
.thumb {
  position: sticky;
  bottom: 0;
  background: var(--paper);
  border-top: 1px solid var(--rule);
  display: flex;
  gap: 12px;
  padding: 10px 12px;
  z-index: 2;
}
.thumb .wrong {
  border: 0;
  margin: 0;
  padding: 0;
  width: 100%;
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
  .bars {
    overflow: visible;
    flex: none;
    order: 1;
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
  .claim {
    padding: 8px 12px 0;
  }
}
</style>
