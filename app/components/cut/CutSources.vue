<script setup lang="ts">
import type { LinesElsewhere } from '#core/acts'
import { getPipe } from '#core/catalogue'
import type { CutBody, CutRecord, JobRecord, SheetPieces } from '#core/record'
import { formatLength, type UnitSystem } from '#core/units'

/** Lines of this job and of others that are cut on a sheet; what of them waits, and why. */
const props = defineProps<{
  job: JobRecord
  jobs: readonly JobRecord[]
  elsewhere: readonly LinesElsewhere[]
  sheet: CutRecord
  pieces: SheetPieces
  system: UnitSystem
  isClosed: boolean
}>()
const emit = defineEmits<{ change: [changes: Partial<CutBody>]; newSheet: [pipe: string] }>()

const isOn = (job: string, line: string) =>
  props.sheet.sources.some((source) => source.job === job && source.line === line)
const toggle = (job: string, line: string) =>
  emit('change', {
    sources: isOn(job, line)
      ? props.sheet.sources.filter((source) => source.job !== job || source.line !== line)
      : [...props.sheet.sources, { job, line }],
  })
const isElsewhere = ref(false)
const countOf = (line: string) => props.pieces.pieces.filter((piece) => piece.line === line).length

const sourceIssues = computed(() => props.pieces.issues.filter(({ path }) => path.startsWith('sources')))
const missing = computed(() =>
  props.sheet.sources.filter(
    ({ job, line }) => !props.jobs.some((one) => one.id === job && one.lines.some(({ id }) => id === line)),
  ),
)
</script>

<template>
  <p class="zone-heading">
    Lines of this job
    <span class="right"
      >{{ pieces.pieces.length }} pieces,
      {{
        formatLength(
          pieces.pieces.reduce((sum, { length }) => sum + length, 0),
          system,
        )
      }}</span
    >
  </p>
  <p v-if="job.lines.length === 0" class="note t14">
    None drawn. <NuxtLink :to="`/jobs/${job.slug}/line`" class="underline">Draw one</NuxtLink>, or type pieces below.
  </p>
  <ul>
    <li v-for="line in job.lines" :key="line.id">
      <button
        type="button"
        class="source"
        :aria-pressed="isOn(job.id, line.id)"
        :disabled="isClosed"
        :data-source="line.number"
        @click="toggle(job.id, line.id)">
        <StatusShape :status="isOn(job.id, line.id) ? 'made' : 'planned'" :size="16" /><b>L{{ line.number }}</b>
        {{ line.name }}<span class="note right">{{ isOn(job.id, line.id) ? `${countOf(line.id)} here` : '' }}</span>
      </button>
    </li>
  </ul>
  <template v-if="elsewhere.length">
    <button
      type="button"
      class="underline t14 min-h-9"
      :aria-expanded="isElsewhere"
      data-test="other-jobs"
      @click="isElsewhere = !isElsewhere">
      {{ isElsewhere ? 'only this job' : 'cut for another job beside it' }}
    </button>
    <ul v-if="isElsewhere">
      <template v-for="{ job: other, lines } in elsewhere" :key="other.id"
        ><li v-for="line in lines" :key="line.id">
          <button
            type="button"
            class="source"
            :aria-pressed="isOn(other.id, line.id)"
            :disabled="isClosed"
            @click="toggle(other.id, line.id)">
            <StatusShape :status="isOn(other.id, line.id) ? 'made' : 'planned'" :size="16" /><b
              >{{ other.name }} L{{ line.number }}</b
            >
            {{ line.name
            }}<span class="note right">{{ isOn(other.id, line.id) ? `${countOf(line.id)} here` : '' }}</span>
          </button>
        </li></template
      >
    </ul>
  </template>
  <p v-for="one in sourceIssues" :key="one.path" class="brick t14 flex gap-2">
    <StatusShape status="refused" :size="14" class="mt-[3px] flex-none" /> {{ one.message.replace(/^[\w.]+: /, '') }}
  </p>
  <button
    v-if="missing.length"
    type="button"
    class="underline t14 min-h-9"
    @click="emit('change', { sources: sheet.sources.filter((source) => !missing.includes(source)) })">
    take it off this sheet
  </button>
  <ul v-if="pieces.waiting.length" class="mt-1">
    <li v-for="(one, i) in pieces.waiting" :key="i" class="t14 flex gap-2">
      <StatusShape status="held" :size="14" class="mt-[3px] flex-none" /><span
        ><b>{{ one.name }}</b> waits: {{ one.why }}</span
      >
    </li>
  </ul>
  <p v-if="pieces.others.length" class="t14 mt-1">
    Of other pipe in these lines:
    <template v-for="pipe in pieces.others" :key="pipe"
      ><button type="button" class="underline min-h-9" @click="emit('newSheet', pipe)">
        {{ getPipe(pipe).label }}, a sheet of its own
      </button>
    </template>
  </p>
</template>

<style scoped>
.source {
  display: flex;
  gap: 8px;
  align-items: center;
  width: 100%;
  min-height: 36px;
  border-bottom: 1px solid var(--hair);
  text-align: left;
}
.source:hover {
  background: var(--paper2);
}
.right {
  margin-left: auto;
}
@media (max-width: 899px), (pointer: coarse) {
  .source {
    min-height: 44px;
  }
}
</style>
