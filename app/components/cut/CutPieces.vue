<script setup lang="ts">
import type { LinesElsewhere } from '#core/acts'
import type { CutBody, CutRecord, JobRecord, SheetPieces } from '#core/record'
import { BEND_SPARE } from '#core/line'
import type { UnitSystem } from '#core/units'
import { tapeText } from '~/reading/tape'

/** What is cut: lines of this job and of others, and pieces typed at the bench; what waits, and why. */
const props = defineProps<{
  job: JobRecord
  jobs: readonly JobRecord[]
  elsewhere: readonly LinesElsewhere[]
  sheet: CutRecord
  pieces: SheetPieces
  system: UnitSystem
}>()
const emit = defineEmits<{ change: [changes: Partial<CutBody>]; newSheet: [pipe: string] }>()
const isClosed = computed(() => props.sheet.result !== null)
</script>

<template>
  <section aria-label="Pieces">
    <CutSources
      :job="job"
      :jobs="jobs"
      :elsewhere="elsewhere"
      :sheet="sheet"
      :pieces="pieces"
      :system="system"
      :is-closed="isClosed"
      @change="emit('change', $event)"
      @new-sheet="emit('newSheet', $event)" />

    <p class="zone-heading mt-3">Pieces typed here</p>
    <CutExtras
      :sheet="sheet"
      :pieces="pieces"
      :system="system"
      :is-closed="isClosed"
      @change="emit('change', $event)" />
    <label class="spare"
      ><span class="t14">Bent pieces longer by, to trim after the bend</span
      ><KeptField
        class="w7"
        :value="sheet.spare"
        maxlength="40"
        :placeholder="tapeText(BEND_SPARE, system)"
        :disabled="isClosed"
        data-test="spare"
        @keep="emit('change', { spare: $event })"
    /></label>
    <p class="note t13">
      Two schools: cut to length and bend to the marks, which is 0 here, or bend first in a longer piece and trim, which
      Make does where nothing is typed. The second forgives a hook set wrong; a piece can be shortened, not grown.
    </p>
  </section>
</template>

<style scoped>
.spare {
  display: grid;
  grid-template-columns: 1fr 92px;
  gap: 10px;
  align-items: baseline;
  margin-top: 14px;
}
</style>
