<script setup lang="ts">
import { select } from 'd3-selection'
import { zoom, zoomIdentity, type ZoomTransform } from 'd3-zoom'
import { typeLength, type RunRow } from '#core/run'
import { centreLine, dot, pointAlong, radiusOf, vectorOf, type LaidLeg, type Vector, type Wall } from '#core/line'
import { formatLength, type UnitSystem } from '#core/units'
import type { ShownPiece } from '~/composables/useLine'
import { tapeText } from '~/reading/tape'
import { drop, move, press, type Drag, type Grip } from '~/editor/drag'
import { fitSheet, onSheet, project, type Point, type Sheet } from '~/drawing/iso'
import { clearPlace, extensions, layMeasure, letterPlace, toPath, type Stretch } from '~/drawing/run-drawing'

/** The run in isometric, to scale along its axes, with its dimensions; legs are stretched and pulled out here. */
const props = defineProps<{
  laid: readonly LaidLeg[]
  rows: readonly RunRow[]
  pieces: readonly ShownPiece[]
  shown: ShownPiece | null
  row: number
  radius: number | null
  walls: readonly Wall[]
  system: UnitSystem
  width: number
  height: number
  pipeWords: string
  isPhone: boolean
  startWords: string
}>()
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
const view = shallowRef<ZoomTransform>(zoomIdentity)
const sheet = computed<Sheet>(() => ({
  scale: base.value.scale * view.value.k,
  x: base.value.x * view.value.k + view.value.x,
  y: base.value.y * view.value.k + view.value.y,
}))
const behaviour = zoom<SVGSVGElement, unknown>()
  .scaleExtent([0.4, 12])
  .filter((event) => !(event.target as Element).closest('[data-grip]') && !event.button)
  .on('zoom', ({ transform }) => {
    view.value = transform
  })
onMounted(() => {
  select(svg.value!).call(behaviour).on('dblclick.zoom', null)
})
const zoomBy = (by: number) => select(svg.value!).call(behaviour.scaleBy, by)
const fit = () => select(svg.value!).call(behaviour.transform, zoomIdentity)
defineExpose({ zoomIn: () => zoomBy(1.4), zoomOut: () => zoomBy(1 / 1.4), fit })

const at = (place: Vector): Point => onSheet(sheet.value, place)
const stretches = computed<Stretch[]>(() => props.laid.map(({ begin, end }) => [at(begin), at(end)]))
const middle = computed<Point>(() => {
  const all = points.value.map(at)
  return [all.reduce((sum, [x]) => sum + x, 0) / all.length, all.reduce((sum, [, y]) => sum + y, 0) / all.length]
})
/** Pipe is drawn to scale where that can be seen, else as thin as shows both edges. */
const thick = (od: number) => Math.min(26, Math.max(props.isPhone ? 4 : 5.5, od * sheet.value.scale))

const tubes = computed(() =>
  props.pieces.map((piece) => {
    const legs = piece.legs.map((leg) => props.laid[leg]!)
    return {
      piece,
      isShown: piece === props.shown,
      path: toPath(
        centreLine(
          legs,
          radiusOf(legs[0]!.pipe, props.radius === null ? undefined : { radius: props.radius })?.value ?? 0,
        ).map(at),
      ),
      width: thick(legs[0]!.pipe.od),
    }
  }),
)

/** A socket drawn where a tube enters a fitting: as long as its depth reaches from the centre. */
const sockets = computed(() =>
  props.laid.flatMap((leg) =>
    (
      [
        [leg.mouths[0], leg.begin, 1],
        [leg.mouths[1], leg.end, -1],
      ] as const
    ).flatMap(([mouth, place, way], i) => {
      if (!mouth || mouth.kind === 'free') return []
      const reach =
        mouth.kind === 'stop' || mouth.kind === 'face'
          ? 6 / sheet.value.scale
          : Math.max((mouth.takeOut.value ?? 10) + (mouth.insertion.value ?? 10), 5 / sheet.value.scale)
      const to = pointAlong(place, leg.along, way * reach)
      return [{ key: `${leg.index}${i}`, kind: mouth.kind, from: at(place), to: at(to), width: thick(leg.pipe.od) + 4 }]
    }),
  ),
)

/** Points that have a letter: where the run begins and where each row ends. */
const letters = computed(() => {
  const of = (letter: string, place: Vector, name: string | null, isEnd: boolean) => {
    const here = at(place)
    const near = props.laid.flatMap(({ begin, end }) =>
      begin === place || isSame(begin, place) ? [at(end)] : isSame(end, place) ? [at(begin)] : [],
    )
    return { letter, name, isEnd, here, text: letterPlace(here, near, isEnd && name ? 20 : 18) }
  }
  if (props.laid.length === 0) return []
  const start = of('A', [0, 0, 0], props.startWords || null, true)
  return [
    start,
    ...props.rows.flatMap(({ to, leg, legs }) => {
      if (!legs) return []
      const last = props.laid[legs[1]]!
      return [of(to, last.end, leg?.name ?? null, last.children.length === 0)]
    }),
  ]
})
const isSame = (a: Vector, b: Vector) => Math.abs(a[0] - b[0]) + Math.abs(a[1] - b[1]) + Math.abs(a[2] - b[2]) < 0.01
const isFree = (index: number) => props.laid[index]!.mouths[1]?.kind === 'free'

/** Where most rows are, measures of the others would only run into each other. */
const MOST_MEASURED = 40
const LEAST_PX = 30
const measures = computed(() =>
  props.rows.flatMap((row, i) => {
    if (!row.legs || !row.leg) return []
    const isOn = props.shown?.rows.includes(i) ?? false
    if (props.isPhone && !isOn) return []
    if (props.rows.length > MOST_MEASURED && !isOn) return []
    const [first, last] = [props.laid[row.legs[0]]!, props.laid[row.legs[1]]!]
    // A step aside leaves the leg's own line: the measure runs along the leg.
    const end =
      row.leg.offset || row.leg.over
        ? pointAlong(
            first.begin,
            row.leg.to.vector,
            row.leg.length.mm - (row.leg.wall.begin ?? 0) - (row.leg.wall.end ?? 0),
          )
        : last.end
    const ends: Stretch = [at(first.begin), at(end)]
    if (Math.hypot(ends[1][0] - ends[0][0], ends[1][1] - ends[0][1]) < LEAST_PX) return []
    const others = stretches.value.filter((_, k) => k < row.legs![0] || k > row.legs![1])
    const measure = layMeasure(first.begin, end, sheet.value, others, middle.value)
    return [{ i, measure, ext: extensions(ends, measure), text: figure(row.leg.length.mm), isOn }]
  }),
)
const figure = (mm: number) => typeLength(Math.round(mm * 10) / 10, props.system)

const wallPaths = computed(() =>
  props.walls.flatMap((wall) => {
    const way = vectorOf(wall.to)
    const half = (props.isPhone ? 18 : 40) / sheet.value.scale
    return props.laid.flatMap((leg) => {
      const [from, to] = [dot(leg.begin, way), dot(leg.end, way)]
      if (Math.max(from, to) < wall.at || Math.min(from, to) > wall.at + wall.thick || Math.abs(to - from) < 1)
        return []
      const crossing = pointAlong(leg.begin, leg.along, (leg.length * (wall.at - from)) / (to - from))
      const [u, v]: [Vector, Vector] =
        Math.abs(way[2]) > 0.5
          ? [
              [1, 0, 0],
              [0, 1, 0],
            ]
          : Math.abs(way[0]) > 0.5
            ? [
                [0, 1, 0],
                [0, 0, 1],
              ]
            : [
                [1, 0, 0],
                [0, 0, 1],
              ]
      const corner = (a: number, b: number, off: number) =>
        at(pointAlong(pointAlong(pointAlong(crossing, u, a * half), v, b * half * 1.5), way, off))
      return [0, wall.thick].map(
        (off) => `${toPath([corner(-1, -1, off), corner(1, -1, off), corner(1, 1, off), corner(-1, 1, off)])}Z`,
      )
    })
  }),
)

/** The one figure: the piece's cut, on a leader, where the sheet is clear. */
const BLOCK = { width: 190, height: 104 }
const figureBlock = computed(() => {
  if (!props.shown || props.isPhone) return null
  const legs = props.shown.legs.map((leg) => props.laid[leg]!)
  const longest = legs.reduce((a, b) => (b.length > a.length ? b : a))
  const [a, b] = [at(longest.begin), at(longest.end)]
  const from: Point = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
  const taken: Stretch[] = [
    ...stretches.value,
    ...measures.value.map(({ measure }) => measure.line),
    ...measures.value.map(({ measure }): Stretch => [
      [measure.figure[0] - 22, measure.figure[1]],
      [measure.figure[0] + 22, measure.figure[1]],
    ]),
    ...letters.value.map(({ text, name, here }): Stretch => [
      text,
      [text[0] + (name ? (text[0] < here[0] ? -1 : 1) * (14 + name.length * 8) : 0), text[1]],
    ]),
    [
      [8, props.height - 100],
      [100, props.height - 100],
    ],
    [
      [8, props.height - 30],
      [250, props.height - 30],
    ],
    [
      [props.width - 124, 22],
      [props.width, 22],
    ],
  ]
  const [x, y] = clearPlace(props.width, props.height, BLOCK, taken, from)
  return {
    x,
    y,
    from,
    to: [Math.min(Math.max(from[0], x + 10), x + BLOCK.width - 10), from[1] < y ? y + 6 : y + BLOCK.height] as Point,
  }
})

// Dragging: pointer moves become steps of the drag, which knows nothing of pointers.
const drag = shallowRef<Drag>({ state: 'idle' })
const place = (event: PointerEvent): Point => {
  const box = svg.value!.getBoundingClientRect()
  return [event.clientX - box.left, event.clientY - box.top]
}
function grip(event: PointerEvent, what: Grip) {
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  drag.value = press(what, place(event))
  event.stopPropagation()
}
const onMove = (event: PointerEvent) => {
  if (drag.value.state !== 'idle')
    drag.value = move(drag.value, place(event), { scale: sheet.value.scale, system: props.system })
}
function onUp() {
  const done = drop(drag.value)
  drag.value = { state: 'idle' }
  if (done?.do === 'stretch') emit('stretch', done.row, done.mm)
  else if (done?.do === 'pull') emit('pull', done.point, done.letter, done.mm)
  else if (done?.do === 'press' && done.grip.kind === 'pull') emit('from', done.grip.point)
}
useKeys({
  Escape: () => {
    drag.value = { state: 'idle' }
  },
})

/** How far beyond a point the handle for a new leg stands: past the point's letter. */
const PULL_PX = 44
const selected = computed(() => props.rows[props.row])
const stretchGrip = computed(() => {
  const row = selected.value
  if (!row?.legs || !row.leg) return null
  const last = props.laid[row.legs[1]]!
  return {
    at: at(last.end),
    grip: { kind: 'stretch' as const, row: props.row, length: row.leg.length.mm, along: row.leg.to.vector },
  }
})
const pullGrip = computed(() => {
  const row = selected.value
  if (props.laid.length === 0) return { at: at([0, 0, 0]), grip: { kind: 'pull' as const, point: 0 } }
  if (!row?.legs) return null
  const last = props.laid[row.legs[1]]!
  const [x, y] = at(last.end)
  const [dx, dy] = project(last.along)
  const length = Math.hypot(dx, dy) || 1
  return {
    at: [x + (dx / length) * PULL_PX, y + (dy / length) * PULL_PX] as Point,
    grip: { kind: 'pull' as const, point: props.row + 1 },
  }
})
const ghost = computed(() => {
  const now = drag.value
  if (now.state === 'stretching') {
    const from = props.laid[props.rows[now.grip.row]!.legs![0]]!.begin
    return {
      from: at(from),
      to: at(pointAlong(from, now.grip.along, now.mm)),
      text: formatLength(now.mm, props.system),
    }
  }
  if (now.state !== 'pulling') return null
  const from =
    points.value.length > 1 && now.grip.point > 0
      ? props.laid[props.rows[now.grip.point - 1]!.legs![1]]!.end
      : ([0, 0, 0] as Vector)
  return {
    from: at(from),
    to: at(pointAlong(from, now.vector, now.mm)),
    text: `${now.letter} ${formatLength(now.mm, props.system)}`,
  }
})
const scaleWords = computed(() => {
  const scale = sheet.value.scale
  return `${props.isPhone ? '' : 'isometric, '}1 mm drawn ${scale >= 0.1 ? Math.round(scale * 100) / 100 : Math.round(scale * 1000) / 1000}${props.isPhone ? '' : ' along each axis'}`
})
const words = computed(
  () =>
    props.rows
      .filter(({ legs }) => legs)
      .map(({ from, to, text }) => `${from} to ${to}: ${text}`)
      .join('; ') || 'no legs yet',
)
const shownFigure = computed(() => props.shown?.piece?.cut ?? null)
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
          :stroke="tube.isShown ? (tube.piece.issue ? 'var(--brick)' : 'var(--copper)') : 'var(--ink)'"
          :stroke-width="tube.width"
          fill="none"
          stroke-linejoin="round" />
        <path
          v-if="!tube.isShown"
          :d="tube.path"
          stroke="var(--paper)"
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
        <text
          :x="figureBlock.x + 8"
          :y="figureBlock.y + 62"
          class="t64 w7 halo"
          :class="shown.issue ? 'brick' : 'copper'">
          {{ tapeText(shownFigure, system) }}
        </text>
        <path
          :d="`M${figureBlock.x + 8} ${figureBlock.y + 72}h160`"
          :class="shownFigure === null ? 'l-hidden' : 'l-sel'" />
        <text :x="figureBlock.x + 8" :y="figureBlock.y + 90" class="t15 w7 halo">
          {{
            shown.issue
              ? 'no cut: it cannot be made so'
              : shownFigure === null
                ? 'no cut: measure the fitting'
                : `${system === 'inch' ? 'in' : 'mm'}, cut this piece`
          }}
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
      <g v-if="!isPhone" :transform="`translate(34 ${height - 62})`">
        <path d="M0 0V-28m-4 7l4-7l4 7M0 0l24-14m-8 1l8-1l-3 7M0 0l24 14m-8-1l8 1l-3-7" class="l-thin" />
        <text x="0" y="-33" class="mid t14">u</text>
        <text x="34" y="-12" class="t14">n</text>
        <text x="34" y="20" class="t14">e</text>
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
