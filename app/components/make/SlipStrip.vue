<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import type { Slip } from '#core/making'
import type { UnitSystem } from '#core/units'
import { scaleText } from '~/reading/format'
import { tapeText } from '~/reading/tape'

/**
 * Both pipe ends with the gap between them, to scale: the coupling without a stop stands dashed over them, its one mark
 * twice, and how far the pipe is bare that it slides onto.
 */
const props = defineProps<{
  slip: Slip
  pipe: string
  system: UnitSystem
  width: number
  height: number
  done: boolean
}>()
const own = computed(() => getPipe(props.pipe))
const isKnown = computed(() => props.slip.mark !== null && props.slip.mark > 0)
const gap = computed(() => props.slip.gap ?? own.value.od / 2)
const mark = computed(() => (isKnown.value ? props.slip.mark! : (props.slip.length ?? 3 * own.value.od) / 3))
const bare = computed(() => props.slip.bare ?? 3 * own.value.od)
const isLeft = computed(() => props.slip.on === 'a')
/** mm of pipe drawn on the side that it is not slid onto. */
const short = computed(() => mark.value + 1.6 * own.value.od)
const long = computed(() => bare.value + 0.9 * own.value.od)
const k = computed(() => {
  const across = (props.height - 128) / own.value.od
  const fit = Math.min(props.width / (short.value + long.value + gap.value), across)
  return Math.max(0.3, Math.floor(fit * 10) / 10)
})
const cy = computed(() => props.height / 2 + 2)
const r = computed(() => (own.value.od / 2) * k.value)
const leftEnd = computed(() => {
  const used = (short.value + long.value + gap.value) * k.value
  return (props.width - used) / 2 + (isLeft.value ? long.value : short.value) * k.value
})
const rightEnd = computed(() => leftEnd.value + gap.value * k.value)
const marks = computed(() => [leftEnd.value - mark.value * k.value, rightEnd.value + mark.value * k.value] as const)
const bareAt = computed(() =>
  isLeft.value ? leftEnd.value - bare.value * k.value : rightEnd.value + bare.value * k.value,
)
const text = (mm: number | null) => tapeText(mm, props.system)
const figures = computed(() => [(marks.value[0] + leftEnd.value) / 2, (rightEnd.value + marks.value[1]) / 2])
const size = computed(() => Math.max(22, Math.min(72, (mark.value * k.value) / 1.5, 1.7 * r.value)))
const colour = computed(() => (props.done ? 'var(--ink)' : 'var(--copper)'))
const label = computed(() =>
  isKnown.value
    ? `A coupling of ${text(props.slip.length)} without a stop over a gap of ${text(props.slip.gap)}: both marks ${text(props.slip.mark)} from the ends`
    : 'A coupling without a stop: its marks are not known yet',
)
</script>

<template>
  <svg :width="width" :height="height" :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="label">
    <path :d="`M0 ${cy}H${width}`" class="l-centre" />
    <template v-for="(side, i) in [0, 1]" :key="side">
      <WallBand
        v-for="y in [cy - r, cy + r - 8]"
        :key="y"
        :family="own.family"
        :x="i === 0 ? 0 : rightEnd"
        :y="y"
        :width="Math.max(1, i === 0 ? leftEnd : width - rightEnd)"
        :height="8" />
      <path
        :d="i === 0 ? `M0 ${cy - r}H${leftEnd}V${cy + r}H0` : `M${width} ${cy - r}H${rightEnd}V${cy + r}H${width}`"
        class="l-edge" />
      <path
        :d="`M${marks[i]} ${cy - r - 22}V${cy + r + 22}`"
        class="l-sel3"
        :style="{ stroke: colour, strokeDasharray: isKnown ? 'none' : '6 5' }" />
      <text
        :x="figures[i]"
        :y="cy + size * 0.35"
        class="mid w7 halo"
        :style="{ fontSize: `${size}px`, fill: isKnown ? colour : 'var(--ochre)' }"
        :data-test="i === 0 ? 'slip-mark' : undefined">
        {{ isKnown ? text(slip.mark) : '?' }}
      </text>
    </template>
    <rect
      :x="marks[0]"
      :y="cy - r - 8"
      :width="marks[1] - marks[0]"
      :height="2 * r + 16"
      class="l-hidden"
      fill="none" />
    <rect
      v-if="bareAt > 0 && bareAt < width"
      :x="isLeft ? 0 : bareAt"
      :y="cy - r"
      :width="isLeft ? bareAt : width - bareAt"
      :height="2 * r"
      fill="var(--paper2)"
      opacity=".8" />
    <DimensionLine :x1="marks[0]" :x2="marks[1]" :y="26" />
    <text :x="(marks[0] + marks[1]) / 2" y="18" class="mid t17 w7">{{ text(slip.length) }}</text>
    <text :x="marks[1] + 10" y="31" class="t14 only-wide">slip coupling, no stop inside</text>
    <text v-if="marks[0] > 150" :x="marks[0] - 10" :y="cy - r - 12" class="end t14 w6">mark, right round</text>
    <DimensionLine :x1="leftEnd" :x2="rightEnd" :y="cy + r + 26" />
    <text :x="(leftEnd + rightEnd) / 2" :y="cy + r + 46" class="mid t15 w7 halo">gap {{ text(slip.gap) }}</text>
    <template v-if="slip.bare !== null">
      <DimensionLine
        :x1="isLeft ? Math.max(0, bareAt) : rightEnd"
        :x2="isLeft ? leftEnd : Math.min(width, bareAt)"
        :y="cy + r + 52" />
      <text
        :x="isLeft ? (Math.max(0, bareAt) + leftEnd) / 2 - 30 : (rightEnd + Math.min(width, bareAt)) / 2 + 30"
        :y="cy + r + 46"
        class="mid t14 halo">
        {{ text(slip.bare) }} bare, bright and round
      </text>
    </template>
    <text :x="8" :y="height - 6" class="t13 note">{{ scaleText(k, system) }}; wall not</text>
  </svg>
</template>
