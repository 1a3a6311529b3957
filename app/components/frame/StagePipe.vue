<script setup lang="ts">
import type { StationView } from '~/composables/useStations'

/** The job as one run of pipe through its stations: hatched behind, dashed ahead, an open gap where you are. */
const props = defineProps<{ stations: readonly StationView[] }>()
const here = computed(() => props.stations.findIndex(({ state }) => state === 'here'))
/** With no gap the whole run is behind: the job is done. */
const isBehind = (i: number) => here.value < 0 || i < here.value
</script>

<template>
  <div class="pipe" aria-hidden="true">
    <div v-for="(station, i) in stations" :key="station.id" class="cell">
      <span class="run"
        ><svg width="100%" height="14">
          <rect v-if="isBehind(i) || i === here" width="100%" height="14" fill="url(#hatch-copper)" />
          <path class="edge" :class="{ ahead: !(isBehind(i) || i === here) }" d="M0 1H2000M0 13H2000" /></svg
        ><span v-if="i === here" class="cut right"
      /></span>
      <span v-if="i === here" class="gap"><slot :station="station" /></span>
      <span v-else class="collar" :class="station.state"
        ><StatusShape v-if="station.held" status="held" :size="15"
      /></span>
      <span class="run"
        ><svg width="100%" height="14">
          <rect v-if="isBehind(i)" width="100%" height="14" fill="url(#hatch-copper)" />
          <path class="edge" :class="{ ahead: !isBehind(i) }" d="M0 1H2000M0 13H2000" /></svg
        ><span v-if="i === here" class="cut left"
      /></span>
    </div>
  </div>
</template>

<style scoped>
.pipe {
  display: flex;
  width: 100%;
  height: 28px;
}
.cell {
  flex: 1;
  display: flex;
  align-items: center;
  min-width: 0;
}
.run {
  position: relative;
  flex: 1;
  min-width: 0;
}
.run svg {
  overflow: hidden;
}
.edge {
  stroke: var(--ink);
  stroke-width: 2;
}
.edge.ahead {
  stroke: var(--rule);
  stroke-width: 1.25;
  stroke-dasharray: 6 4;
}
.collar {
  width: 18px;
  height: 20px;
  flex: none;
  border: 1.5px solid var(--rule);
  background: var(--paper);
  display: grid;
  place-items: center;
}
.collar.behind {
  background: var(--ink);
  border-color: var(--ink);
}
.gap {
  flex: none;
  min-width: 62px;
  /* The name stands between the ends that are cut, never over them. */
  padding: 0 8px;
  display: grid;
  place-items: center;
}
.cut {
  position: absolute;
  top: -5px;
  bottom: -5px;
  width: 3.5px;
  background: var(--copper);
}
.cut.right {
  right: 10px;
}
.cut.left {
  left: 10px;
}
.cut::after {
  content: '';
  position: absolute;
  top: 5px;
  bottom: 5px;
  width: 2px;
  background: var(--ink);
}
.cut.right::after {
  left: 11.5px;
}
.cut.left::after {
  right: 11.5px;
}
@media (max-width: 899px) {
  .gap {
    min-width: 34px;
    padding: 0;
  }
}
</style>
