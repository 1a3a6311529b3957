<script setup lang="ts">
import { firstOf, namedDiameters } from '#core/catalogue'
import { DIAMETER_RANGE } from '#core/identify'
import type { UnitSystem, Region } from '#core/units'
import { diameterText, formatReading, mmBeside, scaleText, unitOf } from '~/reading/format'

/** A disc at true size to hold a pipe end against: made to vanish under it, it has the pipe's diameter. */
const props = defineProps<{
  pxPerMm: number
  width: number
  height: number
  region: Region
  system: UnitSystem
  from: number
  canTake: boolean
}>()
const emit = defineEmits<{ take: [mm: number]; scale: [] }>()

const LEAST_MM = DIAMETER_RANGE.lo
const STEP_MM = 0.1
/** Fewer known sizes than this are named beside the circle. */
const NEAREST = 3
const most = computed(() =>
  Math.min(DIAMETER_RANGE.hi, Math.floor(((Math.min(props.width, props.height) - 16) / props.pxPerMm) * 10) / 10),
)
const mm = ref(Math.min(props.from, most.value))
const toStep = (value: number) => Math.round(value / STEP_MM) * STEP_MM
function step(by: number) {
  mm.value = Math.min(most.value, Math.max(LEAST_MM, toStep(mm.value + by * STEP_MM)))
}
const known = computed(() => namedDiameters(props.region).filter(({ od }) => od <= most.value))
const near = computed(() =>
  [...known.value]
    .sort((a, b) => Math.abs(a.od - mm.value) - Math.abs(b.od - mm.value))
    .slice(0, NEAREST)
    .sort((a, b) => a.od - b.od),
)
function jump(direction: 1 | -1) {
  const next =
    direction > 0
      ? known.value.find(({ od }) => od > mm.value + 0.001)
      : known.value.findLast(({ od }) => od < mm.value - 0.001)
  if (next) mm.value = next.od
}
const off = (od: number) => {
  const by = mm.value - od
  return Math.abs(by) < 0.05
    ? 'as drawn'
    : `${formatReading(Math.abs(by), props.system)} ${by > 0 ? 'smaller' : 'larger'}`
}
const cx = computed(() => props.width / 2)
const cy = computed(() => props.height / 2)
const r = computed(() => (mm.value / 2) * props.pxPerMm)
const take = () => {
  if (props.canTake) emit('take', mm.value)
}
useKeys({
  ArrowLeft: () => step(-1),
  ArrowRight: () => step(1),
  ArrowDown: () => step(-10),
  ArrowUp: () => step(10),
  j: () => jump(1),
  k: () => jump(-1),
  Enter: take,
})
</script>

<template>
  <div class="gauge">
    <svg
      :width="width"
      :height="height"
      role="img"
      :aria-label="`Disc of ${formatReading(mm, system)} ${unitOf(system)} at true size`"
      data-test="disc"
      :data-diameter-px="(2 * r).toFixed(2)">
      <path :d="`M0 ${cy}H${width}M${cx} 0V${height}`" class="l-centre" />
      <circle :cx="cx" :cy="cy" :r="r" fill="var(--ink)" />
      <path :d="`M${cx - 6} ${cy}H${cx + 6}M${cx} ${cy - 6}V${cy + 6}`" stroke="var(--paper)" stroke-width="1.5" />
    </svg>
    <div class="side">
      <p>
        <b class="t64 copper" data-test="gauge-figure">{{ formatReading(mm, system) }}</b> {{ ' ' }}
        <span class="t17">{{ unitOf(system) }}{{ mmBeside(mm, system) }}</span>
      </p>
      <p class="t15">
        Hold the clean, square end on the cross. Make the disc so large that it just vanishes under the pipe.
      </p>
      <StepKeys what="disc" @step="step" />
      <ul class="t15">
        <li v-for="one in near" :key="one.od">
          <button type="button" class="row" :data-known="one.od" @click="mm = one.od">
            <b>{{ formatReading(one.od, system) }}</b><span>{{ firstOf(one.names) }}</span
            ><span class="note">{{ off(one.od) }}</span>
          </button>
        </li>
      </ul>
      <RuledButton v-if="canTake" size="xl" data-test="take-gauge" @click="take"
        >Take {{ formatReading(mm, system) }} {{ unitOf(system) }} <kbd>Enter</kbd></RuledButton
      >
      <p class="note t14">
        Good to about {{ diameterText(0.35, system) }} (ours). Goes to {{ diameterText(most, system) }} on this screen.
        Scale: {{ scaleText(pxPerMm, system) }}.
        <button type="button" class="underline min-h-9" data-test="set-anew" @click="emit('scale')">
          Set the screen anew
        </button>
      </p>
    </div>
  </div>
</template>

<style scoped>
.gauge {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 430px;
  flex: 1;
}
.side {
  border-left: 1px solid var(--rule);
  padding: 16px 22px 18px 24px;
  display: flex;
  flex-direction: column;
  gap: 14px;
}
.row {
  display: grid;
  grid-template-columns: 64px 1fr auto;
  gap: 10px;
  width: 100%;
  min-height: 44px;
  align-items: center;
  border-bottom: 1px solid var(--hair);
}
.row:hover {
  background: var(--paper2);
}
@media (max-width: 899px) {
  .gauge {
    display: flex;
    flex-direction: column;
  }
  .side {
    border-left: 0;
    border-top: 1px solid var(--rule);
    padding: 10px 12px;
    gap: 10px;
  }
}
</style>
