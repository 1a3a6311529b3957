<script setup lang="ts">
import type { WorkingLine } from '#core/base'
import type { Bender, LineWarning, Survey } from '#core/line'
import type { JobRecord, LineBody, LineInput, LineRecord } from '#core/record'
import type { RunRow, WayOut } from '#core/run'
import type { UnitSystem } from '#core/units'
import type { ShownPiece } from '~/composables/useLine'

/** What stands beside the drawing: the sum of a piece, what the line is of, tasks to start from, files. */
defineProps<{
  job: JobRecord
  line: LineRecord
  shown: ShownPiece | null
  row: RunRow | undefined
  rows: readonly RunRow[]
  lines: readonly WorkingLine[]
  warnings: readonly LineWarning[]
  issue: string | null
  headIssues: readonly string[]
  waysOut: readonly WayOut[]
  school: 'hook' | 'corner'
  system: UnitSystem
  bender: Bender | undefined
  survey: Survey | null
  startName: string
}>()
const emit = defineEmits<{
  setLegs: [legs: string[]]
  flipSchool: []
  change: [changes: Partial<LineBody>]
  begin: [body: LineInput]
  append: [legs: string[]]
  replace: [body: LineInput]
  join: [pipe: string, place: string]
  dropLine: []
}>()
const panel = defineModel<'working' | 'line' | 'guides' | 'files'>('panel', { required: true })
const PANELS = [
  ['working', 'Working'],
  ['line', 'The line'],
  ['guides', 'Start from'],
  ['files', 'In and out'],
] as const
</script>

<template>
  <div>
    <div class="panels" role="group" aria-label="Beside the drawing">
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
    <PieceWorking
      v-if="panel === 'working' && shown"
      :shown="shown"
      :row="row"
      :rows="rows"
      :lines="lines"
      :warnings="warnings"
      :issue="issue"
      :ways-out="waysOut"
      :school="school"
      :system="system"
      :region="job.region"
      :has-bender="bender !== undefined"
      :radius="bender?.radius ?? null"
      :slug="job.slug"
      :pipe="line.pipe"
      :start-name="startName"
      :line-name="line.name || `L${line.number}`"
      @join="(pipe, place) => emit('join', pipe, place)"
      @take="(legs) => emit('setLegs', legs)"
      @flip-school="emit('flipSchool')" />
    <p v-else-if="panel === 'working'" class="note t15">The sum of a piece stands here once it has a leg.</p>
    <LazyLineSettings
      v-else-if="panel === 'line'"
      :job="job"
      :line="line"
      :survey="survey"
      :issues="headIssues"
      :region="job.region"
      @change="(changes) => emit('change', changes)"
      @drop="emit('dropLine')" />
    <LazyGuidePanel
      v-else-if="panel === 'guides'"
      :job="job"
      :line="line"
      :bender="bender"
      :system="system"
      :region="job.region"
      @begin="(body) => emit('begin', body)"
      @append="(legs) => emit('append', legs)" />
    <LazyFilePanel
      v-else
      :job="job"
      :line="line"
      :is-empty="survey === null"
      @begin="(body) => emit('begin', body)"
      @replace="(body) => emit('replace', body)" />
  </div>
</template>

<style scoped>
.panels {
  display: flex;
  gap: 18px;
  margin-bottom: 6px;
  flex-wrap: wrap;
}
</style>
