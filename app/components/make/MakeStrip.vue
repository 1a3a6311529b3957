<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import { isAtFace } from '#core/joints'
import type { MakeCard } from '#core/making'
import { formatLength, type UnitSystem } from '#core/units'
import { materialOf } from '~/drawing/materials'
import type { Mouth } from '~/drawing/joint-layout'
import { baseline } from '~/drawing/labels'
import { layOutMakeStrip } from '~/drawing/make-strip'
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
const isScrewed = computed(() => props.card.joint.method === 'thread')
const markWords = computed(() => {
  if (atFace.value) return ['seals at its face: nothing goes in', 'seals at its face']
  return isScrewed.value ? ['made up to here', 'to here'] : ['mark, right round', 'mark']
})
const notesAt = (k: number) => {
  const scale = scaleText(k, props.system)
  return [`${scale}${props.isMeasured ? '; your own measure' : ''}`, scale]
}
const laid = computed(() =>
  layOutMakeStrip({
    ...{ od: od.value, mm: props.mm, atFace: atFace.value, isNarrow: narrow.value, markWords: markWords.value },
    ...{ system: props.system, width: props.width, height: props.height },
    pushWords: atFace.value || isScrewed.value ? 'screw' : 'push',
    notes: notesAt,
  }),
)
const k = computed(() => laid.value.k)
const cy = computed(() => laid.value.cy)
const r = computed(() => laid.value.r)
const endX = computed(() => laid.value.endX)
const markX = computed(() => laid.value.markX)
const socketX = computed(() => laid.value.socketX)
const colour = computed(() => (props.done ? 'var(--ink)' : 'var(--copper)'))
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
const hatch = computed(() => (pipe.value ? materialOf(pipe.value.family) : null))
const words = computed(() => {
  if (atFace.value) return 'sealed at its face, no mark'
  return props.mm === null
    ? 'depth not known: measure the socket'
    : `insertion mark ${formatLength(props.mm, props.system)} from the end`
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
    <text :x="laid.mark.x" :y="baseline(laid.mark)" class="t15 w6" data-label>{{ laid.mark.text }}</text>
    <template v-if="laid.figure">
      <path
        v-if="laid.figure.isOver"
        :d="`M${endX} ${cy - r}V${laid.lineY - 5}M${markX} ${cy - r - 12}V${laid.lineY - 5}`"
        class="l-dim2" />
      <DimensionLine :x1="markX" :x2="endX" :y="laid.lineY" :tone="done ? 'ink' : 'copper'" />
      <foreignObject
        :x="laid.figure.x"
        :y="laid.figure.y"
        :width="Math.ceil(laid.figure.width) + 1"
        :height="laid.figure.height">
        <div
          class="big w7"
          :style="{ fontSize: `${laid.figure.size}px`, color: colour }"
          data-test="depth-figure"
          data-label>
          <TapeFigure :mm="mm" :system="system" with-mm /><small v-if="system === 'metric' && mm !== null" class="note"
            >mm</small
          >
        </div>
      </foreignObject>
    </template>
    <g v-if="!narrow || width > 340">
      <path :d="`M${endX + 6} ${cy}H${socketX - 8}m-9 -5l9 5l-9 5`" class="l-sel" />
      <text v-if="laid.push" :x="laid.push.x" :y="baseline(laid.push)" class="t17 w7 copper" data-label>
        {{ laid.push.text }}
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
        <DimensionLine v-if="laid.stop" :x1="0" :x2="depth * k" :y="cy + r * 0.32" />
      </g>
      <text v-if="laid.stop" :x="laid.stop.x" :y="baseline(laid.stop)" class="t15 halo" data-label>
        {{ laid.stop.text }}
      </text>
    </g>
    <text :x="laid.note.x" :y="baseline(laid.note)" class="t13 note" data-label>{{ laid.note.text }}</text>
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
  white-space: nowrap;
}
.big small {
  font-size: 14px;
  font-weight: 400;
  letter-spacing: 0;
  margin-left: calc(4px + 0.12em);
  align-self: flex-end;
}
foreignObject {
  overflow: visible;
}
</style>
