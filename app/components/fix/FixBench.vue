<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { getPipe } from '#core/catalogue'
import { benderFor, type JobRecord } from '#core/record'
import { fillPolicy } from '#core/joints'
import { parseLength } from '#core/units'
import { speak, w } from '#core/speech'
import { dayTime } from '~/wording/times'
import { tapeText } from '~/reading/tape'
import { unitOf } from '~/reading/format'
import { KIND_WORDS } from '~/wording/fix'

/**
 * Fix: the line with its supports, what it grows and how fast it runs; the next support's distance is the largest
 * figure.
 */
const props = defineProps<{ job: JobRecord }>()
const { say } = useSpeech()
const job = toRef(props, 'job')
const { line, system, settings, fixed, supports, flow, support, zones, at, look, set, fixIt, move, takeBack } =
  useFix(job)
const narrow = useNarrow()
const sheet = useTemplateRef<HTMLElement>('sheet')
const { width } = useElementSize(sheet)
const strip = useTemplateRef<HTMLElement>('strip')
const { width: stripWidth } = useElementSize(strip)
const left = useTemplateRef<HTMLElement>('left')
const { height: leftHeight } = useElementSize(left)
const hasChart = computed(() => flow.value?.ok === true && (flow.value.value?.flow ?? 0) > 0)
const runHeight = computed(() =>
  narrow.value ? 220 : Math.max(210, Math.floor(leftHeight.value) - (hasChart.value ? 212 : 60)),
)
const isPanelOpen = ref(false)
const radius = computed(() => (line.value ? (benderFor(props.job, line.value.pipe)?.radius ?? null) : null))
const school = computed(() => fillPolicy(props.job.policy).bendMark)
const tube = computed(
  () => fixed.value?.tubes.find(({ piece }) => piece.id === support.value?.piece) ?? fixed.value?.tubes[0],
)
const done = computed(() => supports.value.filter(({ fixedAt }) => fixedAt !== null).length)
const counts = computed(() =>
  (['guide', 'clip', 'anchor'] as const)
    .map((kind) => [supports.value.filter((one) => one.kind === kind).length, KIND_WORDS[kind]] as const)
    .filter(([n]) => n > 0)
    .map(([n, words]) => `${n} ${words}${n === 1 ? '' : 's'}`)
    .join(', '),
)
const legFrom = computed(
  () =>
    fixed.value?.draft.rows.find(
      ({ legs }) => legs && support.value && support.value.leg >= legs[0] && support.value.leg <= legs[1],
    )?.from ?? 'A',
)
/** Where the support's distance is measured from. */
const fromWords = computed(() => {
  const own = support.value
  if (!own) return ''
  if (own.fromLeft === null) return say(`from the ${w.centre} of ${legFrom.value}: its piece's length is not known yet`)
  return `from the left end of ${own.piece}${tube.value ? `, ${tube.value.from} to ${tube.value.to}` : ''}`
})
const moveProblem = (text: string) => {
  const read = parseLength(text, system.value, 'distance')
  return read.ok ? null : read.error.message
}
function moveTo(text: string) {
  const read = parseLength(text, system.value, 'distance')
  if (read.ok) move(read.value.mm)
}
const stripUrl = computed(() =>
  line.value ? `/api/jobs/${props.job.slug}/lines/${line.value.id}/fixed-strips.pdf` : '',
)
useKeys({
  j: () => look(at.value + 1),
  k: () => look(at.value - 1),
  ' ': fixIt,
  p: () => {
    if (fixed.value) window.open(stripUrl.value, '_blank', 'noopener')
  },
  w: () => {
    isPanelOpen.value = true
  },
})
</script>

<template>
  <nav v-if="job.lines.length > 0" class="tabs" aria-label="Lines">
    <NuxtLink
      v-for="one in job.lines"
      :key="one.id"
      :to="{ query: { line: one.id } }"
      class="choice"
      :aria-current="one.id === line?.id ? 'true' : undefined"
      :data-line="one.number"
      >L{{ one.number }} {{ one.name }}</NuxtLink
    >
  </nav>
  <div v-if="!line || !fixed || !settings" class="p-6 space-y-4">
    <svg width="320" height="60" role="img" aria-label="Nothing to fix yet">
      <path d="M4 24H316M4 36H316M60 14v32M180 14v32M280 14v32" class="l-hidden" />
    </svg>
    <p class="t20 w7">{{ line ? 'This line has no leg that can be laid yet.' : 'Nothing to fix yet.' }}</p>
    <p>Draw a line and its supports stand here by the code.</p>
    <RuledButton :to="{ path: `/jobs/${job.slug}/line`, query: line ? { line: line.id } : {} }"
      >Draw the line</RuledButton
    >
  </div>
  <div v-else class="bench">
    <div ref="left" class="left">
      <div ref="sheet" class="sheet">
        <p class="zone-heading pad">
          L{{ line.number }} {{ line.name }}: {{ counts || 'no supports' }}; {{ done }} fixed
          <span class="right only-wide"><kbd>J</kbd> <kbd>K</kbd></span>
        </p>
        <FixRun
          v-if="width > 0"
          :fixed="fixed"
          :at="at"
          :radius="radius"
          :system="system"
          :width="Math.floor(width)"
          :height="runHeight"
          :is-phone="narrow"
          @look="look" />
        <NextSupport v-if="support && !narrow" :support="support" :from="fromWords" :system="system" />
      </div>
      <NextSupport v-if="narrow && support" :support="support" :from="fromWords" :system="system" />
      <ClientOnly
        ><LazyFlowChart v-if="flow?.ok && flow.value && hasChart && !narrow" :flow="flow.value" :system="system"
      /></ClientOnly>
      <p v-if="!line.fix.flow && !narrow" class="note t14 pad">
        Enter a flow beside, and speed and pressure along the line stand here.
      </p>
    </div>
    <aside class="working">
      <div v-if="support" class="hand">
        <label class="row"
          ><span class="note t14"
            >{{ support.name }},
            {{
              support.fromLeft === null
                ? say(`from the ${w.centre} of ${legFrom}`)
                : `from the left end of ${support.piece}`
            }}, {{ unitOf(system) }}</span
          ><KeptField
            class="t20 w7"
            :value="tapeText(support.fromLeft ?? support.at, system)"
            :check="moveProblem"
            maxlength="30"
            data-test="move-support"
            @keep="moveTo"
        /></label>
        <p v-if="support.isMoved && !support.fixedAt" class="note t14">
          Moved by hand.
          <button type="button" class="underline min-h-9" data-test="take-back" @click="takeBack">
            back to where the code has it <kbd>U</kbd>
          </button>
        </p>
        <p v-for="rule in support.broken" :key="rule.code" class="broken t15" data-test="broken">
          <StatusShape status="refused" :size="16" /> <span>{{ speak(rule.text, job.region) }}</span>
        </p>
        <p v-if="support.fixedAt" class="t15 flex gap-2 items-center">
          <StatusShape status="made" :size="16" /> fixed {{ dayTime(support.fixedAt, job.region) }}
          <button type="button" class="underline min-h-9" data-test="unfix" @click="takeBack">
            not fixed after all
          </button>
        </p>
        <RuledButton v-if="!support.fixedAt && !narrow" size="lg" block data-test="fix-it" @click="fixIt"
          >{{ support.name }} is fixed <kbd>Space</kbd></RuledButton
        >
        <p v-else-if="done === supports.length" class="verd w7 flex gap-2 items-center">
          <StatusShape status="proved" :size="18" /> Every support of this line is fixed.
        </p>
      </div>
      <InTurn v-if="!narrow" :after="2"
        ><FixPanels
          :job="job"
          :line="line"
          :fixed="fixed"
          :settings="settings"
          :flow="flow"
          :system="system"
          @set="set"
      /></InTurn>
    </aside>
    <div ref="strip" class="strip">
      <p class="t13 strip-head">
        <span class="note w6">{{
          tube ? `Strip: ${tube.piece.id} ${tube.from} to ${tube.to}, ${getPipe(tube.piece.pipe).label}` : 'Strip'
        }}</span><a :href="stripUrl" target="_blank" rel="noopener" class="underline" data-test="print-fixed"
          >Print strips with clips <kbd>P</kbd></a
        >
      </p>
      <PieceStrip
        v-if="stripWidth > 0 && tube"
        :piece="tube.piece"
        :from="tube.from"
        :to="tube.to"
        :system="system"
        :width="Math.floor(stripWidth)"
        :is-reversed="false"
        :is-phone="narrow"
        :school="school"
        :zones="zones"
        :held="support?.fromLeft ?? null" />
      <p v-if="narrow && tube" class="t14 pad w6">
        clips
        {{
          tube.piece.marks
            .filter(({ what }) => what === 'clip')
            .map((mark) => tapeText(mark.at, system))
            .join(', ')
        }}
      </p>
    </div>
    <template v-if="narrow">
      <div class="thumb">
        <RuledButton size="xl" variant="outline" :disabled="at <= 0" data-test="support-back" @click="look(at - 1)"
          >Back</RuledButton
        ><RuledButton
          size="xl"
          class="flex-1"
          :disabled="!support || support.fixedAt !== null"
          data-test="fix-it"
          @click="fixIt"
          >{{ support?.name }} is fixed</RuledButton
        ><RuledButton size="xl" variant="outline" data-test="open-fix-panels" @click="isPanelOpen = true"
          >More</RuledButton
        >
      </div>
      <FrameSheet
        v-model:open="isPanelOpen"
        side="bottom"
        :title="`L${line.number}: how it is held`"
        description="Settings, growth, codes, flow, order"
        ><template #body
          ><FixPanels
            :job="job"
            :line="line"
            :fixed="fixed"
            :settings="settings"
            :flow="flow"
            :system="system"
            @set="set" /></template
      ></FrameSheet>
    </template>
  </div>
</template>

<style scoped src="../frame/tab-row.css"></style>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 430px;
  grid-template-rows: minmax(0, 1fr) 182px;
  height: calc(100dvh - 134px - var(--band, 0px));
  min-height: 560px;
}
.left {
  min-width: 0;
  overflow: auto;
}
.sheet {
  position: relative;
  border-bottom: 1px solid var(--rule);
  min-width: 0;
  overflow: hidden;
}
.pad {
  padding: 6px 18px 0;
}
.working {
  border-left: 1px solid var(--rule);
  padding: 8px 22px 14px 24px;
  overflow-y: auto;
  min-height: 0;
}
.hand {
  display: flex;
  flex-direction: column;
  gap: 6px;
  border-bottom: 1px solid var(--rule);
  padding-bottom: 10px;
  margin-bottom: 4px;
}
.hand .row {
  display: grid;
  grid-template-columns: 1fr 120px;
  gap: 10px;
  align-items: baseline;
}
.broken {
  display: flex;
  gap: 8px;
  align-items: baseline;
  color: var(--brick);
}
.strip {
  grid-column: 1 / 3;
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
.thumb {
  position: sticky;
  bottom: var(--foot, 0px);
  background: var(--paper);
  border-top: 1px solid var(--rule);
  display: flex;
  gap: 10px;
  padding: 10px 12px;
}
@media (max-width: 1199px) {
  .bench {
    grid-template-columns: minmax(0, 1fr) 350px;
  }
}
@media (max-width: 899px) {
  .bench {
    display: flex;
    flex-direction: column;
    height: auto;
  }
  .left {
    overflow: visible;
  }
  .working {
    border-left: 0;
    padding: 8px 12px;
    overflow: visible;
  }
  .pad {
    padding: 6px 12px;
  }
  .strip-head {
    padding: 4px 12px 0;
  }
  .strip-head a {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
}
</style>
