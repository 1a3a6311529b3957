<script setup lang="ts">
import type { letPan, View } from '~/drawing/pan'
import type { Vector } from '#core/line'
import type { RunShown } from '../../composables/useRunDrawing'
import { tapeText } from '~/reading/tape'
import { fitSheet, type Sheet } from '~/drawing/iso'
import { toPath } from '~/drawing/run-drawing'
import { scaleText } from '~/reading/format'

/** The run in isometric, to scale along its axes, with its dimensions; legs are stretched and pulled out here. */
const props = defineProps<RunShown>()
const emit = defineEmits<{
  look: [row: number]
  stretch: [row: number, mm: number]
  pull: [point: number, letter: string, mm: number]
  from: [point: number]
}>()

const points = computed<Vector[]>(() => [[0, 0, 0], ...props.laid.map(({ end }) => end)])
const margins = computed(() =>
  props.isPhone ? { left: 34, right: 34, top: 60, bottom: 36 } : { left: 62, right: 62, top: 52, bottom: 62 },
)
const base = computed(() =>
  fitSheet(
    points.value.length > 1
      ? points.value
      : [
          [0, 0, 0],
          [600, 0, 0],
          [600, 0, 500],
        ],
    props.width,
    props.height,
    margins.value,
  ),
)

const svg = useTemplateRef<SVGSVGElement>('svg')
const view = shallowRef<View>({ k: 1, x: 0, y: 0 })
const sheet = computed<Sheet>(() => ({
  scale: base.value.scale * view.value.k,
  x: base.value.x * view.value.k + view.value.x,
  y: base.value.y * view.value.k + view.value.y,
}))
// What moves the sheet comes once it is drawn.
let pan: ReturnType<typeof letPan> | undefined
onMounted(async () => {
  const { letPan } = await import('~/drawing/pan')
  if (svg.value) pan = letPan(svg.value, (now) => (view.value = now))
})
defineExpose({ zoomIn: () => pan?.by(1.4), zoomOut: () => pan?.by(1 / 1.4), fit: () => pan?.fit() })

const { at, tubes, sockets, letters, measures, wallPaths, figureBlock, isFree } = useRunDrawing(props, sheet, points)
const { grip, onMove, onUp, stretchGrip, pullGrip, ghost } = useRunDrag(props, svg, sheet, points, at, {
  stretch: (row, mm) => emit('stretch', row, mm),
  pull: (point, letter, mm) => emit('pull', point, letter, mm),
  from: (point) => emit('from', point),
})
const scaleWords = computed(() => {
  const scale = sheet.value.scale
  return `${props.isPhone ? '' : 'isometric, '}${scaleText(scale, props.system)}${props.isPhone ? '' : ' along each axis'}`
})
const words = computed(
  () =>
    props.rows
      .filter(({ legs }) => legs)
      .map(({ from, to, text }) => `${from} to ${to}: ${text}`)
      .join('; ') || 'no legs yet',
)
const shownFigure = computed(() => props.shown?.piece?.cut ?? null)
const figureWords = computed(() => {
  if (props.shown?.issue) return 'no cut: it cannot be made so'
  if (shownFigure.value === null) return 'no cut: measure the fitting'
  if (props.shown?.isGuess) return 'no cut yet: a length of it is not measured'
  return `${props.system === 'inch' ? 'in' : 'mm'}, cut this piece`
})
const figureColour = computed(() => {
  if (props.shown?.issue) return 'brick'
  return props.shown?.isGuess ? 'ochre' : 'copper'
})
function strokeOf({ isShown, piece }: (typeof tubes.value)[number]): string {
  if (!isShown) return 'var(--ink)'
  return piece.issue ? 'var(--brick)' : 'var(--copper)'
}
</script>

<template>
  <svg
    ref="svg"
    :width="width"
    :height="height"
    :viewBox="`0 0 ${width} ${height}`"
    role="group"
    :aria-label="`The run, ${words}`"
    class="iso"
    @pointermove="onMove"
    @pointerup="onUp"
    @pointercancel="onUp">
    <g aria-hidden="true">
      <g v-for="(path, i) in wallPaths" :key="`w${i}`">
        <path :d="path" fill="url(#hatch-wall)" stroke="var(--rule)" stroke-width="1" />
      </g>
      <path
        v-if="laid.length === 0"
        :d="toPath([at([0, 0, 0]), at([600, 0, 0]), at([600, 0, 500])])"
        class="l-hidden" />
      <g v-for="{ measure, ext, text, isOn, i } in measures" :key="`m${i}`">
        <path v-for="(one, k) in ext" :key="k" :d="toPath(one)" class="l-dim2" />
        <path :d="toPath(measure.line)" :class="isOn ? 'l-dim' : 'l-dim2'" />
        <path
          v-for="(end, k) in measure.line"
          :key="k"
          :d="`M${end[0] - 5} ${end[1] + 5}l10 -10`"
          :stroke="isOn ? 'var(--ink)' : 'var(--ink2)'"
          stroke-width="1.75" />
        <text :x="measure.figure[0]" :y="measure.figure[1] + 6" class="mid halo" :class="isPhone ? 't14 w7' : 't17 w7'">
          {{ text }}
        </text>
      </g>
      <path
        v-for="one in sockets"
        :key="one.key"
        :d="toPath([one.from, one.to])"
        :stroke-width="one.kind === 'stop' || one.kind === 'face' ? one.width + 6 : one.width"
        stroke="var(--ink)"
        fill="none" />
      <g v-for="(tube, i) in tubes" :key="i">
        <path
          :d="tube.path"
          :stroke="strokeOf(tube)"
          :stroke-width="tube.width"
          :stroke-dasharray="tube.dash"
          fill="none"
          stroke-linejoin="round"
          :data-guess="tube.dash ? '' : undefined" />
        <path
          v-if="!tube.isShown"
          :d="tube.path"
          stroke="var(--paper)"
          :stroke-dasharray="tube.dash"
          :stroke-width="Math.max(1.5, tube.width - 3.4)"
          fill="none"
          stroke-linejoin="round" />
      </g>
      <path
        v-for="one in sockets"
        :key="`s${one.key}`"
        :d="toPath([one.from, one.to])"
        :stroke-width="one.kind === 'stop' || one.kind === 'face' ? one.width + 6 : one.width"
        stroke="var(--ink)"
        fill="none" />
      <template v-for="one in rows" :key="`e${one.to}`">
        <path
          v-if="one.legs && isFree(one.legs[1])"
          :d="`M${at(laid[one.legs[1]]!.end)[0] - 8} ${at(laid[one.legs[1]]!.end)[1] + 3}h16M${at(laid[one.legs[1]]!.end)[0] - 5} ${at(laid[one.legs[1]]!.end)[1] + 7}h10`"
          class="l-thin" />
      </template>
      <g v-for="one in letters" :key="one.letter">
        <text :x="one.text[0]" :y="one.text[1] + 6" class="mid halo w7" :class="isPhone ? 't14' : 't17'">
          {{ one.letter }}
        </text>
        <text
          v-if="one.name && !isPhone"
          :x="one.text[0] + (one.text[0] < one.here[0] ? -10 : 12)"
          :y="one.text[1] + 6"
          class="halo t15"
          :class="{ end: one.text[0] < one.here[0] }">
          {{ one.name }}
        </text>
      </g>
      <path
        v-for="(one, i) in rows"
        :key="`h${i}`"
        :d="one.legs ? toPath([at(laid[one.legs[0]]!.begin), at(laid[one.legs[1]]!.end)]) : ''"
        stroke="transparent"
        stroke-width="22"
        fill="none"
        class="hit"
        @click="emit('look', i)" />
      <g v-if="figureBlock && shown" class="block">
        <path :d="toPath([figureBlock.from, figureBlock.to])" class="l-sel" />
        <text :x="figureBlock.x + 8" :y="figureBlock.y + 62" class="t64 w7 halo" :class="figureColour">
          {{ shown.isGuess ? '~' : '' }}{{ tapeText(shownFigure, system) }}
        </text>
        <path
          :d="`M${figureBlock.x + 8} ${figureBlock.y + 72}h160`"
          :class="shownFigure === null || shown.isGuess ? 'l-hidden' : 'l-sel'" />
        <text :x="figureBlock.x + 8" :y="figureBlock.y + 90" class="t15 w7 halo">
          {{ figureWords }}
        </text>
        <text :x="figureBlock.x + 8" :y="figureBlock.y + 108" class="t14 halo">
          {{ shown.from }} to {{ shown.to }}, {{ pipeWords }}
        </text>
      </g>
      <g v-if="ghost">
        <path
          :d="toPath([ghost.from, ghost.to])"
          stroke="var(--copper)"
          stroke-width="3"
          stroke-dasharray="6 4"
          fill="none" />
        <text :x="ghost.to[0]" :y="ghost.to[1] - 14" class="mid t20 w7 copper halo">{{ ghost.text }}</text>
      </g>
      <g v-if="!isPhone || rows.length === 0" data-test="rose" :transform="`translate(34 ${height - 62})`">
        <path d="M0 0V-28m-4 7l4-7l4 7M0 0l24-14m-8 1l8-1l-3 7M0 0l24 14m-8-1l8 1l-3-7" class="l-thin" />
        <text x="-5" y="-35" class="t14 halo">
          <tspan class="w7">u</tspan>
          up
        </text>
        <text x="30" y="-14" class="t14 halo">
          <tspan class="w7">n</tspan>
          away
        </text>
        <text x="30" y="22" class="t14 halo">
          <tspan class="w7">e</tspan>
          right
        </text>
      </g>
      <text :x="isPhone ? 12 : 22" :y="height - 10" class="t13 note halo">{{ scaleWords }}</text>
    </g>
    <circle
      v-if="stretchGrip && !isPhone"
      :cx="stretchGrip.at[0]"
      :cy="stretchGrip.at[1]"
      r="7"
      class="grip"
      data-grip="stretch"
      @pointerdown="grip($event, stretchGrip.grip)">
      <title>Drag to make this leg longer or shorter</title>
    </circle>
    <g
      v-if="pullGrip"
      class="grip"
      data-grip="pull"
      :transform="`translate(${pullGrip.at[0]} ${pullGrip.at[1]})`"
      @pointerdown="grip($event, pullGrip.grip)">
      <title>Drag a new leg out of this point</title>
      <circle r="22" fill="transparent" stroke="none" />
      <circle r="10" />
      <path d="M-5 0H5M0-5V5" />
    </g>
  </svg>
</template>

<style scoped>
.iso {
  touch-action: none;
  cursor: grab;
  user-select: none;
}
.iso:active {
  cursor: grabbing;
}
.hit {
  cursor: pointer;
}
.block {
  pointer-events: none;
}
.grip {
  fill: var(--paper);
  stroke: var(--copper);
  stroke-width: 2;
  cursor: move;
  touch-action: none;
}
</style>
