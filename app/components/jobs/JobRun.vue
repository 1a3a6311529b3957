<script setup lang="ts">
import { STATION_IDS, type JobSummary } from '#core/record'

/**
 * A job as one run of pipe through its stations, drawn for a list: hatched behind, dashed ahead, the next figure in the gap
 * between.
 */
const props = defineProps<{ job: JobSummary }>()
const COUNT = STATION_IDS.length
const HATCHES: Readonly<Record<string, string>> = { copper: 'copper', steel: 'steel', stainless: 'stainless' }
const hatch = computed(() => {
  const { pipe, family } = props.job
  return pipe === null ? 'copper' : (HATCHES[family ?? ''] ?? 'thin')
})
/** Station the gap stands at; none where all is behind. */
const at = computed(() => (props.job.next.done ? -1 : STATION_IDS.indexOf(props.job.next.station)))
const centreOf = (index: number) => `${((index + 0.5) / COUNT) * 100}%`
</script>

<template>
  <span
    class="job-run"
    :class="{ done: at < 0, first: at === 0, last: at === COUNT - 1 }"
    :style="{ '--centre': centreOf(Math.max(at, 0)) }"
    aria-hidden="true">
    <svg class="behind" height="14">
      <rect width="100%" height="14" :fill="`url(#hatch-${hatch})`" />
      <path d="M0 1H2000M0 13H2000" />
    </svg>
    <template v-if="at >= 0">
      <span class="cut end" />
      <span class="gap"><slot /></span>
      <span class="cut begin" />
      <svg class="ahead" height="14"><path d="M0 1H2000M0 13H2000" /></svg>
    </template>
    <template v-for="(station, i) in STATION_IDS" :key="station">
      <span
        v-if="i !== at"
        class="collar"
        :class="{ full: job.stations[station].isBehind, near: at >= 0 && Math.abs(i - at) === 1 }"
        :style="{ left: centreOf(i) }"
        ><StatusShape v-if="job.stations[station].isHeld" status="held" :size="14"
      /></span>
    </template>
  </span>
</template>

<style scoped>
.job-run {
  --gap: 112px;
  --left: clamp(10px, calc(var(--centre) - var(--gap) / 2), calc(100% - var(--gap) - 6px));
  position: relative;
  display: block;
  height: 44px;
  overflow: hidden;
}
svg,
.collar,
.gap,
.cut {
  position: absolute;
}
svg {
  top: 15px;
  overflow: hidden;
}
.behind {
  left: 0;
  width: var(--left);
}
.first {
  --gap: 88px;
}
.last {
  --gap: 76px;
}
.done .behind {
  width: 100%;
}
.ahead {
  left: calc(var(--left) + var(--gap));
  width: calc(100% - var(--left) - var(--gap));
}
.behind path {
  stroke: var(--ink);
  stroke-width: 2;
}
.ahead path {
  stroke: var(--rule);
  stroke-width: 1.25;
  stroke-dasharray: 6 4;
}
.collar {
  top: 12px;
  width: 14px;
  height: 20px;
  margin-left: -7px;
  border: 1.5px solid var(--rule);
  background: var(--paper);
  display: grid;
  place-items: center;
}
.collar.full {
  background: var(--ink);
  border-color: var(--ink);
}
.gap {
  left: var(--left);
  width: var(--gap);
  top: 0;
  height: 44px;
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 4px;
  white-space: nowrap;
}
.cut {
  top: 10px;
  height: 24px;
  width: 3.5px;
  background: var(--copper);
}
.cut.end {
  left: calc(var(--left) - 8px);
}
.cut.begin {
  left: calc(var(--left) + var(--gap) + 5px);
}
.cut::after {
  content: '';
  position: absolute;
  top: 5px;
  bottom: 5px;
  width: 2px;
  background: var(--ink);
}
.cut.end::after {
  left: 8px;
}
.cut.begin::after {
  right: 8px;
}
@media (max-width: 899px) {
  /* Their place is taken by the figure. */
  .near {
    display: none;
  }
}
</style>
