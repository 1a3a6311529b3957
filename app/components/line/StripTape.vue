<script setup lang="ts">
import { MM_PER_INCH, type TickRank, type UnitSystem } from '#core/units'
import { isOverGap } from '~/drawing/strip-labels'
import type { StripFrame } from '~/drawing/strip-layout'

/**
 * The tape under a strip: ticks by their rank, a figure at each so many long ones, the gap where the middle is left out.
 */
const props = defineProps<{ frame: StripFrame; system: UnitSystem }>()
const TICKS: Readonly<Record<TickRank, number>> = { long: 26, middle: 12, short: 7 }
/** Room that figures on the tape take, px. */
const room = computed(() => (props.system === 'inch' ? 22 : 42))
/** Distance between the figures, mm: so many long ticks that they can be read. */
const step = computed(() => {
  const { scale } = props.frame.layout
  const longMetric = scale >= 4 ? 10 : 100
  const long = props.system === 'inch' ? MM_PER_INCH : longMetric
  return long * ([1, 2, 5, 10, 20].find((times) => times * long * scale >= room.value) ?? 50)
})
const figure = (mm: number) => String(Math.round(props.system === 'inch' ? mm / MM_PER_INCH : mm))
const isLabelled = (mm: number) =>
  mm > 0 &&
  !isOverGap(figure(mm), props.frame.x(mm) + 3, props.frame) &&
  Math.abs(mm / step.value - Math.round(mm / step.value)) < 1e-6 &&
  props.frame.x(mm) < props.frame.left + props.frame.layout.width - (mm >= 1000 ? 44 : 34)
</script>

<template>
  <rect :x="frame.left" :y="frame.tapeY" :width="frame.layout.width" height="26" fill="var(--paper2)" />
  <path :d="`M${frame.left} ${frame.tapeY}H${frame.left + frame.layout.width}`" class="l-thin" />
  <g v-for="tick in frame.layout.ticks" :key="tick.mm">
    <path
      :d="`M${frame.x(tick.mm)} ${frame.tapeY}v${TICKS[tick.rank]}`"
      :class="tick.rank === 'long' ? 'l-thin' : 'l-dim2'" />
    <text
      v-if="tick.rank === 'long' && isLabelled(tick.mm)"
      :x="frame.x(tick.mm) + 3"
      :y="frame.tapeY + 22"
      class="t14 w7">
      {{ figure(tick.mm) }}
    </text>
  </g>
  <rect
    v-if="frame.layout.gap"
    :x="frame.left + frame.layout.gap[0]"
    :y="frame.tapeY - 1"
    :width="frame.layout.gap[1] - frame.layout.gap[0]"
    height="28"
    fill="var(--paper)" />
</template>
