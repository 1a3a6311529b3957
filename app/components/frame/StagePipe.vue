<script setup lang="ts">
import type { StationView } from '~/composables/useStations'

/** The job as one run of pipe through its stations: hatched behind, dashed ahead, an open gap where you are. */
defineProps<{ stations: readonly StationView[], height?: number }>()
</script>

<template>
  <div class="pipe" aria-hidden="true">
    <div v-for="(station, i) in stations" :key="station.id" class="cell">
      <span class="run" :class="station.state === 'ahead' ? 'dashed' : station.state === 'here' && i > 0 && stations[i - 1]!.state === 'ahead' ? 'dashed' : 'hatched'">
        <span v-if="station.state === 'here'" class="cut right" />
      </span>
      <span v-if="station.state === 'here'" class="gap"><slot :station="station" /></span>
      <span v-else class="collar" :class="station.state"><StatusShape v-if="station.held" status="held" :size="15" /></span>
      <span class="run" :class="station.state === 'behind' && stations[i + 1]?.state !== 'ahead' ? 'hatched' : station.state === 'behind' ? 'hatched' : 'dashed'">
        <span v-if="station.state === 'here'" class="cut left" />
      </span>
    </div>
  </div>
</template>

<style scoped>
.pipe { display: flex; width: 100%; height: 28px; }
.cell { flex: 1; display: flex; align-items: center; min-width: 0; }
.run { position: relative; flex: 1; height: 14px; border: 0 solid var(--ink); border-width: 2px 0; min-width: 0; }
.hatched { background: repeating-linear-gradient(135deg, var(--ink) 0 1.8px, transparent 1.8px 5px); }
.dashed { border-color: var(--rule); border-style: dashed; border-width: 1.25px 0; }
.collar { width: 18px; height: 20px; flex: none; border: 1.5px solid var(--rule); background: var(--paper); display: grid; place-items: center; }
.collar.behind { background: var(--ink); border-color: var(--ink); }
.gap { flex: none; width: min(124px, 46%); display: grid; place-items: center; }
.cut { position: absolute; top: -5px; bottom: -5px; width: 3.5px; background: var(--copper); }
.cut.right { right: 10px; }
.cut.left { left: 10px; }
.cut::after { content: ""; position: absolute; top: 3px; bottom: 3px; width: 2px; background: var(--ink); }
.cut.right::after { left: 12px; }
.cut.left::after { right: 12px; }
@media (max-width: 899px) { .gap { width: 40px; } }
</style>
