<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import { isAtFace } from '#core/joints'
import type { MakeCard } from '#core/making'
import { formatLength, formatMm, type UnitSystem } from '#core/units'
import { materialOf } from '~/drawing/materials'
import type { Mouth } from '~/drawing/joint-layout'
import { scaleText } from '~/reading/format'

/** The pipe end to scale with its insertion mark as the one big dimension, facing the mouth it goes into. */
const props = defineProps<{
  card: MakeCard
  mm: number | null
  isMeasured: boolean
  system: UnitSystem
  width: number
  height: number
  done: boolean
  /** What it goes into closes the line. */
  isShut?: boolean
}>()

const pipe = computed(() => (props.card.joint.pipe ? getPipe(props.card.joint.pipe) : null))
/** Made at a face: no mark, no depth. */
const atFace = computed(() => isAtFace(props.card.joint))
const narrow = computed(() => props.width < 600)
const od = computed(() => pipe.value?.od ?? 21)
const depth = computed(() => props.mm || od.value)
const endX = computed(() => (narrow.value ? props.width * 0.66 : Math.min(props.width * 0.52, 540)))
const k = computed(() => {
  const across = (narrow.value ? 104 : 160) / od.value
  const along = (endX.value - 60) / depth.value
  return Math.max(0.5, Math.floor(Math.min(across, along) * 10) / 10)
})
const cy = computed(() => (narrow.value ? props.height / 2 + 8 : props.height / 2 + 6))
const r = computed(() => (od.value / 2) * k.value)
const markX = computed(() => (atFace.value ? endX.value : endX.value - depth.value * k.value))
const colour = computed(() => (props.done ? 'var(--ink)' : 'var(--copper)'))
const letters = computed(() => {
  if (props.mm === null) return 1
  return props.system === 'inch' ? 1.4 : formatMm(props.mm).length
})
/**
 * The figure stands on the pipe between mark and end, as large as it fits there; a stacked fraction is taller than wide.
 */
const fits = computed(() => (depth.value * k.value) / (letters.value * 0.66))
/** Too large for a short depth, it stands left of the mark instead, on the pipe. */
const isBeside = computed(() => fits.value < (narrow.value ? 44 : 56))
const size = computed(() =>
  Math.max(
    narrow.value ? 40 : 56,
    Math.min(
      narrow.value ? 72 : 112,
      isBeside.value ? markX.value / (letters.value * 0.62) : fits.value,
      props.system === 'inch' ? (2 * r.value - 56) / 1.25 : 112,
    ),
  ),
)
const figureWidth = computed(() => (isBeside.value ? size.value * letters.value * 0.6 : depth.value * k.value))
const figureX = computed(() =>
  isBeside.value ? markX.value - figureWidth.value - 10 : (markX.value + endX.value) / 2 - figureWidth.value / 2,
)
const ring = computed(() =>
  props.card.answer.ok ? props.card.answer.value.marks.find(({ what }) => what === 'ring') : undefined,
)
/** A copper ring is about this wide, mm; it is drawn to stand where it goes, not to be measured. */
const RING_WIDTH = 8
const mouth = computed<Mouth>(() => ({
  method: props.card.joint.method,
  from: 0,
  to: depth.value,
  opens: 'left',
  radius: od.value / 2,
  bore: (pipe.value?.bore ?? od.value * 0.8) / 2,
  on: props.card.joint.on,
}))
const socketX = computed(() => endX.value + (narrow.value ? 34 : 96))
const hatch = computed(() => (pipe.value ? materialOf(pipe.value.family) : null))
const markAnchor = computed(() => {
  if (atFace.value) return 'end'
  return markX.value > 90 ? 'mid' : ''
})
const words = computed(() => {
  if (atFace.value) return 'sealed at its face, no mark'
  return props.mm === null
    ? 'depth not known: measure the socket'
    : `insertion mark ${formatLength(props.mm, props.system)} from the end`
})
const markWords = computed(() => {
  if (atFace.value) return 'seals at its face: nothing goes in'
  return props.card.joint.method === 'thread' ? 'made up to here' : 'mark, right round'
})
</script>

<template>
  <svg
    :width="width"
    :height="height"
    :viewBox="`0 0 ${width} ${height}`"
    role="img"
    :aria-label="`Pipe end, ${words}`">
    <path :d="`M0 ${cy}H${width}`" class="l-centre" />
    <rect x="0" :y="cy - r" :width="endX" :height="2 * r" fill="var(--paper)" />
    <rect x="0" :y="cy - r" :width="markX" :height="2 * r" fill="var(--paper2)" />
    <template v-if="pipe && hatch">
      <WallBand :family="pipe.family" :x="0" :y="cy - r" :width="endX" :height="9" />
      <WallBand :family="pipe.family" :x="0" :y="cy + r - 9" :width="endX" :height="9" />
    </template>
    <path :d="`M0 ${cy - r}H${endX}V${cy + r}H0`" class="l-edge" style="stroke-width: 3" />
    <g v-if="ring?.fromEnd">
      <rect
        v-for="side in [cy - r - 9, cy + r]"
        :key="side"
        :x="endX - (ring.fromEnd + RING_WIDTH) * k"
        :y="side"
        :width="RING_WIDTH * k"
        height="9"
        fill="var(--copper)" />
    </g>
    <path v-if="!atFace" :d="`M${markX} ${cy - r - 12}V${cy + r + 12}`" class="l-sel3" :style="{ stroke: colour }" />
    <text :x="atFace ? markX : Math.max(6, markX)" :y="cy - r - 20" :class="markAnchor" class="t15 w6">
      {{ markWords }}
    </text>
    <template v-if="!atFace">
      <DimensionLine :x1="markX" :x2="endX" :y="cy + r - 18" :tone="done ? 'ink' : 'copper'" />
      <foreignObject :x="figureX" :y="cy - r + 10" :width="figureWidth" :height="Math.max(1, 2 * r - 34)">
        <div class="big w7" :style="{ fontSize: `${size}px`, color: colour }" data-test="depth-figure">
          <TapeFigure :mm="mm" :system="system" />
        </div>
      </foreignObject>
      <text :x="endX + 8" :y="cy + r - 12" class="t17 w7" :style="{ fill: colour }">
        {{ system === 'inch' ? 'in' : 'mm' }}
        <tspan v-if="system === 'inch' && mm !== null" class="t14" font-weight="400" fill="var(--ink2)">
          &#160;{{ formatMm(mm) }} mm
        </tspan>
      </text>
    </template>
    <g v-if="!narrow || width > 340">
      <path :d="`M${endX + 6} ${cy}H${socketX - 8}m-9 -5l9 5l-9 5`" class="l-sel" />
      <text v-if="!narrow" :x="(endX + socketX) / 2" :y="cy - 14" class="mid t17 w7 copper">
        {{ atFace || card.joint.method === 'thread' ? 'screw' : 'push' }}
      </text>
      <g :transform="`translate(${socketX} 0)`">
        <FittingMouth :mouth="mouth" :k="k" :cy="cy" />
        <template v-for="side in [-1, 1]" :key="side">
          <rect
            :x="depth * k"
            :y="side < 0 ? cy - r * 1.24 : cy + r * 0.74"
            width="46"
            :height="r * 0.5"
            fill="var(--paper)" />
          <rect
            :x="depth * k"
            :y="side < 0 ? cy - r * 1.24 : cy + r * 0.74"
            width="46"
            :height="r * 0.5"
            fill="url(#hatch-brass)"
            stroke="var(--ink)"
            stroke-width="1.5" />
        </template>
        <template v-if="isShut">
          <rect :x="depth * k" :y="cy - r * 1.24" width="46" :height="r * 2.48" fill="var(--paper)" />
          <rect
            :x="depth * k"
            :y="cy - r * 1.24"
            width="46"
            :height="r * 2.48"
            fill="url(#hatch-brass)"
            stroke="var(--ink)"
            stroke-width="1.5" />
        </template>
        <g v-if="!narrow && !atFace">
          <DimensionLine :x1="0" :x2="depth * k" :y="cy + r * 0.32" />
          <text :x="(depth * k) / 2" :y="cy + r * 0.32 - 8" class="mid t15 halo">to the stop</text>
        </g>
      </g>
    </g>
    <text :x="narrow ? 8 : width - 12" :y="height - 6" :class="narrow ? '' : 'end'" class="t13 note">
      {{ scaleText(k, system) }}{{ isMeasured ? '; your own measure' : '' }}
    </text>
  </svg>
</template>

<style scoped>
.big {
  display: flex;
  justify-content: center;
  align-items: center;
  height: 100%;
  line-height: 1;
  letter-spacing: -0.03em;
}
foreignObject {
  overflow: visible;
}
</style>
