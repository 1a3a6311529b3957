<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { getPipe } from '#core/catalogue'
import { benderFor, kitOf, type JobRecord, type LineBody, type LineInput } from '#core/record'
import { findWaysOut, pointLetter, workPiece } from '#core/run'

/** Line: the run typed or dragged, drawn in isometric to scale, with every cut and mark it comes to. */
const props = defineProps<{ job: JobRecord }>()
const store = useJobStore()
const job = toRef(props, 'job')
const {
  line,
  system,
  draft,
  survey,
  laid,
  rows,
  pieces,
  row,
  shown,
  warnings,
  issues,
  change,
  save,
  addLegs,
  setLeg,
  setLegs,
  dropLeg,
  stretch,
  pull,
  joinEnd,
  addLine,
  dropLine,
  look,
  undo,
  redo,
  canUndo,
  canRedo,
} = useLine(job)
const narrow = useNarrow()

const panel = ref<'working' | 'line' | 'guides' | 'files'>('working')
const isPanelOpen = ref(false)

const sheet = useTemplateRef<HTMLElement>('sheet')
const { width, height } = useElementSize(sheet)
const iso = useTemplateRef<{ zoomIn: () => void; zoomOut: () => void; fit: () => void }>('iso')
const list = useTemplateRef<{
  focusField: () => void
  focusList: () => void
  edit: () => void
  beginFrom: (words: string) => void
}>('list')

const isReversed = ref(false)
watch([() => line.value?.id, () => shown.value?.legs[0]], () => {
  isReversed.value = false
})
const { school, flip: flipSchool } = useBendSchool(job)
const bender = computed(() => (line.value ? benderFor(props.job, line.value.pipe) : undefined))
const lines = computed(() =>
  draft.value && shown.value?.piece ? workPiece(draft.value, shown.value.piece, props.job.region) : [],
)
const waysOut = computed(() => {
  if (!line.value || !shown.value?.issue) return []
  const at = shown.value.rows.find((i) => issues.value[i]) ?? shown.value.rows[0]!
  return findWaysOut({ ...line.value, region: props.job.region }, line.value.legs, at, {
    bender: bender.value,
    kit: kitOf(props.job),
  })
})
const startName = computed(() => /=\s*(.+)$/.exec(line.value?.start ?? '')?.[1]?.trim() ?? '')
const pipeWords = computed(() => {
  const pipe = shown.value?.piece?.pipe ?? line.value?.pipe
  return pipe ? getPipe(pipe).label : ''
})
const caution = computed(() =>
  warnings.value.filter(
    ({ piece, leg }) => piece === shown.value?.piece?.id || (leg !== undefined && shown.value?.legs.includes(leg)),
  ),
)

/** Types the way on from a point: at the end of the run, or a branch from where one stood. */
function from(point: number) {
  list.value?.beginFrom(point === rows.value.length ? '' : `from ${pointLetter(point).toLowerCase()} `)
}
const stripUrl = computed(() => (line.value ? `/api/jobs/${props.job.slug}/lines/${line.value.id}/strips.pdf` : ''))
const print = () => {
  if (rows.value.length > 0) window.open(stripUrl.value, '_blank', 'noopener')
}
const nextPiece = () => {
  const now = pieces.value.findIndex((one) => one === shown.value)
  const next = pieces.value[(now + 1) % Math.max(1, pieces.value.length)]
  if (next) look(next.rows[0]!)
}

const beside = computed(() => ({
  job: props.job,
  line: line.value!,
  shown: shown.value,
  row: rows.value[row.value],
  rows: rows.value,
  lines: lines.value,
  warnings: warnings.value,
  issue: issues.value[shown.value?.rows.find((i) => issues.value[i]) ?? -1] ?? null,
  headIssues: (draft.value?.issues ?? []).map(({ message }) => message),
  waysOut: waysOut.value,
  school: school.value,
  system: system.value,
  bender: bender.value,
  survey: survey.value,
  startName: startName.value,
}))
/** A name is no step of the drawing, so it is not undone with it. */
const changeLine = (changes: Partial<LineBody>) => ('name' in changes ? save(changes) : change(changes))
async function begin(body: LineInput) {
  isPanelOpen.value = false
  panel.value = 'working'
  await addLine(body)
}
function append(legs: readonly string[]) {
  addLegs(legs.join('\n'))
  panel.value = 'working'
}
function replace({ name: _, ...body }: LineInput) {
  change(body)
  look(0)
  panel.value = 'working'
}

useKeys({
  j: () => look(row.value + 1),
  k: () => look(row.value - 1),
  n: () => list.value?.focusField(),
  l: () => list.value?.focusList(),
  Enter: () => list.value?.edit(),
  Delete: () => {
    if (rows.value.length) dropLeg(row.value)
  },
  u: () => (canUndo.value ? undo() : void store.takeBack(props.job.slug)),
  U: redo,
  r: () => {
    isReversed.value = !isReversed.value
  },
  g: () => {
    flipSchool()
  },
  p: print,
  w: () => {
    panel.value = 'working'
    isPanelOpen.value = true
  },
  f: () => iso.value?.fit(),
  '+': () => iso.value?.zoomIn(),
  '=': () => iso.value?.zoomIn(),
  '-': () => iso.value?.zoomOut(),
})
</script>

<template>
  <LineTabs
    v-if="job.lines.length > 0"
    :job="job"
    :current="line?.id"
    :can-undo="canUndo"
    :can-redo="canRedo"
    @add="addLine()"
    @undo="undo"
    @redo="redo" />
  <FirstLine v-if="!line" @add="addLine()" />
  <div v-else class="bench">
    <div ref="sheet" class="sheet" :class="{ phone: narrow }">
      <IsoRun
        v-if="width > 0"
        ref="iso"
        :key="line.id"
        :laid="laid"
        :rows="rows"
        :pieces="pieces"
        :shown="shown"
        :row="row"
        :radius="bender?.radius ?? null"
        :walls="draft?.question?.walls ?? []"
        :system="system"
        :width="Math.floor(width)"
        :height="narrow ? 214 : Math.max(300, Math.floor(height))"
        :pipe-words="pipeWords"
        :is-phone="narrow"
        :start-words="startName"
        @look="look"
        @stretch="stretch"
        @pull="pull"
        @from="from" />
      <p v-if="rows.length === 0" class="empty t17" data-test="first-words">
        No legs yet. Type the first: <b>{{ system === 'inch' ? 'right 24' : 'right 640' }}</b>, or short
        <b>{{ system === 'inch' ? 'e 24' : 'e 640' }}</b>.
      </p>
      <div class="zoom">
        <button type="button" class="only-wide" aria-label="Larger" @click="iso?.zoomIn()">+</button
        ><button type="button" class="only-wide" aria-label="Smaller" @click="iso?.zoomOut()">&#8722;</button
        ><button type="button" data-test="fit" @click="iso?.fit()">fit</button>
      </div>
      <p v-if="narrow && shown" class="phone-figure copper">
        <b class="t64"><TapeFigure :mm="shown.piece?.cut ?? null" :system="system" /></b
        ><span class="t14"
          >{{ shown.isGuess ? '~ not measured yet,' : '' }}
          {{ shown.piece ? `cut, ${shown.from} to ${shown.to}` : 'no cut so' }}</span
        >
      </p>
    </div>
    <p v-if="narrow && caution.length" class="caution">
      <StatusShape status="held" :size="18" /><span class="t15">{{ caution[0]!.text }}</span
      ><span v-if="caution.length > 1" class="note t13">1 of {{ caution.length }}</span>
    </p>
    <LineStrip
      v-model:reversed="isReversed"
      class="strip"
      :shown="shown"
      :pipe-words="pipeWords"
      :system="system"
      :school="school"
      :print-url="rows.length > 0 ? stripUrl : null" />
    <InTurn
      ><LegList
        ref="list"
        class="list"
        :rows="rows"
        :issues="issues"
        :pieces="pieces"
        :row="row"
        :system="system"
        :is-phone="narrow"
        @look="look"
        @add="addLegs"
        @set="setLeg"
        @drop="dropLeg"
    /></InTurn>
    <aside v-if="!narrow" class="working">
      <InTurn :after="2"
        ><LinePanels
          v-model:panel="panel"
          v-bind="beside"
          @set-legs="setLegs"
          @flip-school="flipSchool"
          @change="changeLine"
          @begin="begin"
          @append="append"
          @replace="replace"
          @join="joinEnd"
          @drop-line="dropLine"
      /></InTurn>
    </aside>
    <template v-else>
      <div class="thumb">
        <RuledButton size="xl" class="flex-1" data-test="next-piece" @click="nextPiece">Next piece</RuledButton
        ><RuledButton size="xl" variant="outline" data-test="open-working" @click="isPanelOpen = true"
          >Working</RuledButton
        >
      </div>
      <FrameSheet
        v-model:open="isPanelOpen"
        side="bottom"
        :title="`L${line.number} ${line.name}`"
        description="Sum, settings, tasks, files"
        ><template #body
          ><LinePanels
            v-model:panel="panel"
            v-bind="beside"
            @set-legs="setLegs"
            @flip-school="flipSchool"
            @change="changeLine"
            @begin="begin"
            @append="append"
            @replace="replace"
            @join="joinEnd"
            @drop-line="dropLine" /></template
      ></FrameSheet>
    </template>
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: 222px minmax(0, 1fr) 430px;
  grid-template-rows: minmax(0, 1fr) 182px;
  height: calc(100dvh - 134px - var(--band, 0px));
  min-height: 560px;
}
.list {
  grid-area: 1 / 1;
  border-right: 1px solid var(--rule);
  min-height: 0;
}
.sheet {
  grid-area: 1 / 2;
  position: relative;
  min-width: 0;
  min-height: 0;
  overflow: hidden;
}
.working {
  grid-area: 1 / 3;
  border-left: 1px solid var(--rule);
  padding: 4px 22px 14px 24px;
  overflow-y: auto;
  min-height: 0;
}
.panels {
  display: flex;
  gap: 18px;
  margin-bottom: 6px;
}
.strip {
  grid-area: 2 / 1 / 3 / 4;
  border-top: 1px solid var(--rule);
}
.empty {
  position: absolute;
  left: 24px;
  top: 16px;
}
.zoom {
  position: absolute;
  right: 10px;
  top: 6px;
  display: flex;
  gap: 4px;
}
.zoom button {
  min-width: 34px;
  min-height: 34px;
  border: 1px solid var(--rule);
  background: var(--paper);
  text-align: center;
  font-size: 16px;
}
.zoom button:hover {
  background: var(--paper2);
}
.caution {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 8px 12px;
  border: 0 solid var(--rule);
  border-top: 3px solid var(--ochre);
  border-bottom-width: 1px;
}
.caution span:nth-child(2) {
  flex: 1;
}
.phone-figure {
  position: absolute;
  right: 12px;
  top: 4px;
  display: flex;
  flex-direction: column;
  align-items: flex-end;
  pointer-events: none;
}
.phone-figure b {
  font-size: 44px;
}
.thumb {
  position: sticky;
  bottom: var(--foot, 0px);
  background: var(--paper);
  border-top: 1px solid var(--rule);
  display: flex;
  gap: 12px;
  padding: 10px 12px;
}
@media (max-width: 1199px) {
  .bench {
    grid-template-columns: 200px minmax(0, 1fr) 350px;
  }
}
@media (max-width: 899px) {
  .bench {
    display: flex;
    flex-direction: column;
    height: auto;
  }
  .sheet {
    height: 214px;
    flex: none;
    border-bottom: 1px solid var(--rule);
  }
  .list {
    border-right: 0;
    border-top: 1px solid var(--rule);
  }
  .zoom {
    top: auto;
    bottom: 4px;
  }
  .zoom button {
    min-width: 44px;
    min-height: 44px;
  }
}
</style>
