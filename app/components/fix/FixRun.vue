<script setup lang="ts">
import { bendOf } from '#core/catalogue'
import { centreLine, pointAlong, type Vector } from '#core/line'
import type { FixedLine } from '#core/supports'

import type { UnitSystem } from '#core/units'
import { fitSheet, onSheet, project, type Point } from '~/drawing/iso'
import { clearance, letterPlace, toPath } from '~/drawing/run-drawing'
import { tapeText } from '~/reading/tape'
import { scaleText } from '~/reading/format'

/** How a figure stands to a place that lies so many px from it: beyond it, before it, or over it. */
function anchorOf(off: number): 'start' | 'middle' | 'end' {
  if (off < -8) return 'end'
  return off > 8 ? 'start' : 'middle'
}

/**
 * The line in isometric with its supports by their kind, how far each is from the left end of its piece, and what the
 * corners move.
 */
const props = defineProps<{
  fixed: FixedLine
  at: number
  radius: number | null
  system: UnitSystem
  width: number
  height: number
  isPhone: boolean
}>()
const emit = defineEmits<{ look: [index: number] }>()
const laid = computed(() => props.fixed.survey.laid)
const points = computed<Vector[]>(() => [[0, 0, 0], ...laid.value.map(({ end }) => end)])
const sheet = computed(() =>
  fitSheet(
    points.value,
    props.width,
    props.height,
    props.isPhone ? { left: 40, right: 40, top: 34, bottom: 34 } : { left: 70, right: 190, top: 34, bottom: 40 },
  ),
)
const place = (mm: Vector): Point => onSheet(sheet.value, mm)
const middle = computed<Point>(() => {
  const all = points.value.map(place)
  return [all.reduce((sum, [x]) => sum + x, 0) / all.length, all.reduce((sum, [, y]) => sum + y, 0) / all.length]
})
const tubes = computed(() =>
  props.fixed.survey.runs.map(({ legs: indexes }) => {
    const legs = indexes.map((index) => laid.value[index]!)
    const radius = props.radius ?? bendOf(legs[0]!.pipe)?.radius.value ?? 0
    return {
      key: indexes[0],
      path: toPath(centreLine(legs, radius).map(place)),
      width: Math.max(5.5, legs[0]!.pipe.od * sheet.value.scale),
    }
  }),
)
const joints = computed(() =>
  laid.value.flatMap(({ index, begin, end, mouths }) =>
    (
      [
        [mouths[0], begin],
        [mouths[1], end],
      ] as const
    ).flatMap(([mouth, at], i) => (mouth && mouth.kind !== 'free' ? [{ key: `${index}${i}`, at: place(at) }] : [])),
  ),
)

const marks = computed(() =>
  props.fixed.supports.map((support, index) => {
    const leg = laid.value[support.leg]!
    const at = place(pointAlong(leg.begin, leg.along, support.at))
    const [dx, dy] = project(leg.along)
    const size = Math.hypot(dx, dy) || 1
    // Beside the pipe, where most is clear.
    const [nx, ny] = [-dy / size, dx / size]
    const others = laid.value
      .filter(({ index: own }) => own !== support.leg)
      .map(({ begin, end }) => [place(begin), place(end)] as const)
    const worth = (way: number) =>
      Math.min(60, clearance([at[0] + nx * way * 30 + Math.sign(nx * way) * 22, at[1] + ny * way * 30], others)) +
      0.05 * Math.hypot(at[0] + nx * way * 26 - middle.value[0], at[1] + ny * way * 26 - middle.value[1])
    const side = worth(1) >= worth(-1) ? 1 : -1
    const tilt = (Math.atan2(dy, dx) * 180) / Math.PI
    const text: Point = [at[0] + nx * side * 26, at[1] + ny * side * 26]
    return {
      index,
      support,
      at,
      tilt: Math.abs(tilt) > 90 ? tilt - 180 : tilt,
      text,
      anchor: anchorOf(text[0] - at[0]),
      isOn: index === props.at,
    }
  }),
)
/** Figures that would run into one already written are left to the list; the one at hand is always written. */
const written = computed(() => {
  const done: { x: number; y: number }[] = []
  return new Set(
    [...marks.value]
      .sort((a, b) => Number(b.isOn) - Number(a.isOn))
      .filter(({ text: [x, y] }) => {
        if (done.some((one) => Math.abs(one.x - x) < 52 && Math.abs(one.y - y) < 18)) return false
        done.push({ x, y })
        return true
      })
      .map(({ index }) => index),
  )
})
/** What each end of a leg moves, as an arrow beyond it. */
const growths = computed(() =>
  props.isPhone
    ? []
    : props.fixed.arms.map(({ leg, end, grows }) => {
        const { begin, end: to, along } = laid.value[leg]!
        const way = (end === 'end' ? 1 : -1) * Math.sign(grows || 1)
        const [x, y] = place(end === 'end' ? to : begin)
        const [dx, dy] = project(along).map((one) => one * way) as [number, number]
        const size = Math.hypot(dx, dy) || 1
        const [ux, uy] = [dx / size, dy / size]
        const from = way * (end === 'end' ? 1 : -1) > 0 ? 12 : 34
        return {
          key: `${leg}${end}`,
          x1: x + ux * from,
          y1: y + uy * from,
          x2: x + ux * (from + 24),
          y2: y + uy * (from + 24),
          tilt: (Math.atan2(uy, ux) * 180) / Math.PI,
          text: tapeText(Math.abs(grows), props.system),
          tx: x + ux * (from + 36),
          ty: y + uy * (from + 36) + 5,
        }
      }),
)
const letters = computed(() => {
  const of = (letter: string, at: Vector) => {
    const here = place(at)
    const isHere = (point: Vector) => Math.hypot(...point.map((mm, i) => mm - at[i]!)) < 0.01
    const near = laid.value.flatMap(({ begin, end }) => {
      if (isHere(begin)) return [place(end)]
      return isHere(end) ? [place(begin)] : []
    })
    return { letter, at: letterPlace(here, near, 16) }
  }
  return [
    of('A', [0, 0, 0]),
    ...props.fixed.draft.rows.flatMap(({ to, legs }) => (legs ? [of(to, laid.value[legs[1]]!.end)] : [])),
  ]
})
const words = computed(
  () =>
    `${props.fixed.supports.length} supports: ${props.fixed.supports.map(({ name, kind, piece, fromLeft }) => `${name} ${kind} ${piece} ${tapeText(fromLeft, props.system)}`).join(', ')}`,
)
const scaleWords = computed(() => `lengths ${scaleText(sheet.value.scale, props.system)}; thickness not`)
function colourOf({ support, isOn }: (typeof marks.value)[number]): string {
  if (support.broken.length > 0) return 'var(--brick)'
  return isOn ? 'var(--copper)' : 'var(--ink)'
}
</script>

<template>
  <svg
    :width="width"
    :height="height"
    :viewBox="`0 0 ${width} ${height}`"
    role="img"
    :aria-label="words"
    data-test="fix-run">
    <g v-for="tube in tubes" :key="tube.key">
      <path :d="tube.path" fill="none" stroke="var(--ink)" :stroke-width="tube.width + 2.5" stroke-linejoin="round" />
      <path :d="tube.path" fill="none" stroke="var(--paper)" :stroke-width="tube.width - 1" stroke-linejoin="round" />
    </g>
    <circle v-for="joint in joints" :key="joint.key" :cx="joint.at[0]" :cy="joint.at[1]" r="6" fill="var(--ink)" />
    <g v-for="letter in letters" :key="letter.letter">
      <text :x="letter.at[0]" :y="letter.at[1] + 5" class="mid t14 w7 note halo">{{ letter.letter }}</text>
    </g>
    <g v-for="one in growths" :key="one.key">
      <path :d="`M${one.x1} ${one.y1}L${one.x2} ${one.y2}`" stroke="var(--ink)" stroke-width="2" />
      <path
        :transform="`translate(${one.x2} ${one.y2}) rotate(${one.tilt})`"
        d="M-7 -4L0 0L-7 4"
        fill="none"
        stroke="var(--ink)"
        stroke-width="2" />
      <text :x="one.tx" :y="one.ty" class="mid t15 w7 halo">{{ one.text }}</text>
    </g>
    <g
      v-for="mark in marks"
      :key="mark.support.key"
      class="support"
      :data-support="mark.support.name"
      @click="emit('look', mark.index)">
      <circle :cx="mark.at[0]" :cy="mark.at[1]" r="18" fill="transparent" />
      <g :transform="`translate(${mark.at[0]} ${mark.at[1]}) rotate(${mark.tilt})`" :style="{ color: colourOf(mark) }">
        <path v-if="mark.support.kind === 'anchor'" d="M-9 -12h18v6h-18ZM-9 6h18v6h-18Z" fill="currentColor" />
        <path
          v-else-if="mark.support.kind === 'guide'"
          d="M-8 -5v-6h16v6M-8 5v6h16v-6"
          fill="none"
          stroke="currentColor"
          :stroke-width="mark.isOn ? 3.5 : 2.25" />
        <path v-else d="M-6 -10h12v20h-12Z" fill="none" stroke="currentColor" :stroke-width="mark.isOn ? 3.5 : 2.25" />
      </g>
      <text
        v-if="written.has(mark.index) && !isPhone"
        :x="mark.text[0]"
        :y="mark.text[1] + 6"
        :text-anchor="mark.anchor"
        class="halo"
        :class="mark.isOn ? 't20 w7 copper' : 't17 w6'">
        {{ tapeText(mark.support.fromLeft ?? mark.support.at, system) }}
        <tspan class="t13" dx="4">{{ mark.support.name }}{{ mark.support.fixedAt ? ', fixed' : '' }}</tspan>
      </text>
      <circle v-if="mark.support.fixedAt" :cx="mark.at[0]" :cy="mark.at[1]" r="4" fill="var(--ink)" />
    </g>
    <text :x="isPhone ? 8 : 18" :y="height - 8" class="t13 note">{{ scaleWords }}</text>
  </svg>
</template>

<style scoped>
.support {
  cursor: pointer;
}
</style>
