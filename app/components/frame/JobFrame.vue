<script setup lang="ts">
import type { JobRecord, Station } from '#core/record'

/** Frame of a job's screens: top strip, stage line, the drawing table below. */
const props = defineProps<{ job: JobRecord | undefined, here: Station, detail?: string, missing: string | null }>()
const stations = computed(() => (props.job ? stationViews(props.job, props.here, props.detail) : []))
</script>

<template>
  <div class="frame">
    <AppTop :job="job" />
    <StageLine v-if="job" :key="job.slug" :stations="stations" />
    <div v-else class="stage-empty" />
    <main class="work">
      <slot v-if="job" />
      <div v-else-if="missing" class="p-6 space-y-4">
        <p class="t20 flex items-center gap-2"><StatusShape status="refused" :size="20" /> {{ missing }}</p>
        <UButton to="/" variant="outline">All jobs</UButton>
      </div>
    </main>
  </div>
</template>

<style scoped>
.frame { min-height: 100dvh; display: flex; flex-direction: column; }
.stage-empty { height: 56px; border-bottom: 1px solid var(--rule); }
.work { flex: 1; display: flex; flex-direction: column; min-height: 0; }
</style>
