<script setup lang="ts">
import type { Valve } from '#core/catalogue'

/** A valve's body between its stops, cut through and open; px. `flow`: which side the water comes from, where it is known. */
const props = defineProps<{
  valve: Valve
  x1: number
  x2: number
  cy: number
  /** Half of the body's height at its mouths, and of its bore. */
  radius: number
  bore: number
  /** Length of its lever or half of its wheel, px; null where it has none. */
  reach: number | null
  /** Top of what stands over it. */
  top: number
  flow?: 'left' | 'right' | null
  compact?: boolean
}>()
const cx = computed(() => (props.x1 + props.x2) / 2)
const width = computed(() => props.x2 - props.x1)
const bulge = computed(() => props.radius * 1.22)
/** One half, seen from the centre line outward. */
const half = computed(() => {
  const [a, b, w] = [props.x1, props.x2, width.value]
  return `M${a} ${props.bore}V${props.radius}H${a + 0.2 * w}L${a + 0.32 * w} ${bulge.value}H${b - 0.32 * w}L${b - 0.2 * w} ${props.radius}H${b}V${props.bore}Z`
})
const ball = computed(() => Math.min(width.value * 0.3, props.bore * 1.5))
const stroke = computed(() => (props.compact ? 1 : 1.5))
const byLever = computed(() => props.valve === 'ball')
const byWheel = computed(() => props.valve === 'gate' || props.valve === 'stop')
/** What is shut in a ball: two parts of a circle beside its bore. */
const ballCap = computed(() => {
  const half = Math.sqrt(Math.max(0, ball.value ** 2 - props.bore ** 2))
  return `M${cx.value - half} ${props.bore}A${ball.value} ${ball.value} 0 0 0 ${cx.value + half} ${props.bore}Z`
})
</script>

<template>
  <g>
    <g v-for="side in [-1, 1]" :key="side" :transform="`translate(0 ${cy}) scale(1 ${side})`">
      <path :d="half" fill="var(--paper)" />
      <path :d="half" fill="url(#hatch-brass)" stroke="var(--ink)" :stroke-width="stroke" />
      <path
        v-if="valve === 'ball' && ball > bore"
        :d="ballCap"
        fill="var(--paper)"
        stroke="var(--ink)"
        :stroke-width="stroke" />
    </g>
    <template v-if="!compact">
      <path v-if="byLever || byWheel" :d="`M${cx - 4} ${cy - bulge}V${top + 6}h8V${cy - bulge}`" class="l-edge paper" />
      <rect
        v-if="byLever && reach !== null"
        :x="cx - 7"
        :y="top - 1"
        :width="reach + 7"
        height="8"
        class="l-edge paper"
        data-lever />
      <rect
        v-if="byWheel && reach !== null"
        :x="cx - reach"
        :y="top - 1"
        :width="2 * reach"
        height="8"
        rx="4"
        class="l-edge paper"
        data-wheel />
      <rect
        v-if="valve === 'gate'"
        :x="cx - 6"
        :y="cy - bulge + 3"
        width="12"
        :height="Math.max(4, bulge - bore - 3)"
        class="l-edge paper" />
      <path
        v-if="valve === 'stop' || valve === 'angle' || valve === 'straight'"
        :d="`M${x1 + 0.2 * width} ${cy + bore}L${cx - 10} ${cy}H${cx + 10}L${x2 - 0.2 * width} ${cy - bore}M${cx - 12} ${cy - bore * 0.5}H${cx + 12}`"
        class="l-edge" />
      <path
        v-if="valve === 'check'"
        :d="`M${cx - 3} ${cy - bore}L${cx + bore * 0.75} ${cy + bore * 0.2}M${cx - 6} ${cy + bore}V${cy + bore * 0.5}`"
        class="l-edge" />
      <path
        v-if="valve === 'drain'"
        :d="`M${cx - 6} ${cy + bulge}v12h12v-12M${cx - 3} ${cy + bulge + 12}v6M${cx + 3} ${cy + bulge + 12}v6`"
        class="l-edge paper" />
      <path
        v-if="valve === 'regulator'"
        :d="`M${cx - bulge * 0.7} ${cy - bulge}Q${cx} ${top - 8} ${cx + bulge * 0.7} ${cy - bulge}M${cx} ${cy - bulge}l-5 -3 10 -4 -10 -4 10 -4`"
        class="l-edge paper" />
      <path v-if="valve === 'service'" :d="`M${cx - 9} ${cy}h18`" class="l-edge" stroke-width="4" />
      <path
        v-if="flow"
        :d="flow === 'left' ? `M${x1 + 6} ${cy}H${x2 - 6}m-9 -6l9 6l-9 6` : `M${x2 - 6} ${cy}H${x1 + 6}m9 -6l-9 6l9 6`"
        class="l-edge"
        stroke-width="2.5"
        data-flow />
    </template>
  </g>
</template>

<style scoped>
.paper {
  fill: var(--paper);
}
</style>
