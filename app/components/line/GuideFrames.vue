<script setup lang="ts">
import type { Pipe } from '#core/catalogue'
import type { GuideAnswer, Solid } from '#core/run'
import type { UnitSystem } from '#core/units'
import { tapeText } from '~/reading/tape'
import { materialOf } from '~/drawing/materials'

/**
 * A guide put together, one frame a move, all at one scale: where every part stands once the move is made, and which way
 * it went.
 */
const props = defineProps<{
  assembly: NonNullable<GuideAnswer['assembly']>
  pipe: Pipe
  system: UnitSystem
  width: number
}>()
const HEIGHT = 92
const hatch = computed(() => materialOf(props.pipe.family).hatch)
/** What is drawn: the cut with a length of pipe on either side; mm. */
const span = computed(() => {
  const [first] = props.assembly.places
  const right = first?.right?.x ?? 100
  const longest = Math.max(...props.assembly.solids.filter(({ kind }) => kind === 'slip').map(lengthOf), props.pipe.od)
  return { from: -longest - props.pipe.od, to: right + longest + props.pipe.od }
})
function lengthOf({ shells }: Solid): number {
  return Math.max(...shells.map(({ to }) => to))
}
const k = computed(() => Math.min(props.width / (span.value.to - span.value.from), 34 / props.pipe.od))
/** Far aside is out of the picture; near it stands as far aside as it is. */
const isIn = (y: number) => Math.abs(y) < 3 * props.pipe.od
/** Kinds by how thick their body is drawn beyond the tube, in diameters. */
const WALL: Readonly<Record<Solid['kind'], number>> = { tube: 0, tee: 0.16, coupling: 0.16, slip: 0.16 }
interface Drawn {
  id: string
  kind: Solid['kind']
  x: number
  y: number
  width: number
  height: number
  isMoved: boolean
}
const ORDER: Readonly<Record<Solid['kind'], number>> = { tube: 0, tee: 1, coupling: 1, slip: 2 }
const frames = computed(() =>
  props.assembly.moves.map((move, i) => {
    const places = props.assembly.places[i + 1]!
    const parts = props.assembly.solids
      .filter(({ id }) => isIn(places[id]!.y))
      .sort((one, other) => ORDER[one.kind] - ORDER[other.kind])
      .map((solid): Drawn => {
        const { x, y } = places[solid.id]!
        const height = props.pipe.od * (1 + 2 * WALL[solid.kind]) * k.value
        return {
          id: solid.id,
          kind: solid.kind,
          x: (x - span.value.from) * k.value,
          y: HEIGHT / 2 + 6 + y * k.value - height / 2,
          width: lengthOf(solid) * k.value,
          height,
          isMoved: move.parts.includes(solid.id),
        }
      })
    const moved = parts.filter(({ isMoved }) => isMoved)
    const middle = moved.length ? (moved[0]!.x + Math.max(...moved.map(({ x, width }) => x + width))) / 2 : 0
    const by = 'along' in move.by ? move.by.along : 0
    return { move, parts, middle: Math.min(props.width - 30, Math.max(30, middle)), by }
  }),
)
const arrow = (x: number, by: number): string => {
  if (by === 0) return `M${x} 4V20m-5 -6l5 6l5 -6`
  const way = Math.sign(by)
  return `M${x - 24 * way} 12H${x + 24 * way}m${-7 * way} -5l${7 * way} 5l${-7 * way} 5`
}
const far = ({ by }: { by: number }) => {
  const mm = Math.abs(by)
  return mm === 0 ? '' : tapeText(mm, props.system)
}
</script>

<template>
  <ol class="frames" data-test="guide-frames">
    <li v-for="(frame, i) in frames" :key="i" class="frame" :data-frame="i + 1">
      <p class="t14">
        <b class="copper">{{ i + 1 }}</b>&ensp;<b>{{ frame.move.words }}</b> <span class="note">{{ far(frame) }}</span>
      </p>
      <svg
        :width="width"
        :height="HEIGHT"
        :viewBox="`0 0 ${width} ${HEIGHT}`"
        role="img"
        :aria-label="frame.move.words">
        <template v-for="part in frame.parts" :key="part.id">
          <rect
            :x="part.x"
            :y="part.y"
            :width="part.width"
            :height="part.height"
            fill="var(--paper)"
            :stroke="part.isMoved ? 'var(--copper)' : 'var(--ink)'"
            stroke-width="1.5" />
          <rect
            v-if="part.kind === 'tube' && hatch"
            :x="part.x"
            :y="part.y"
            :width="part.width"
            :height="part.height"
            :fill="`url(#${hatch})`"
            opacity=".55" />
          <rect
            v-if="part.kind === 'tee'"
            :x="part.x + part.width / 2 - part.height * 0.28"
            :y="part.y - part.height * 0.5"
            :width="part.height * 0.56"
            :height="part.height * 0.5"
            fill="var(--paper)"
            :stroke="part.isMoved ? 'var(--copper)' : 'var(--ink)'"
            stroke-width="1.5" />
        </template>
        <path :d="arrow(frame.middle, frame.by)" class="l-sel" />
      </svg>
    </li>
  </ol>
</template>

<style scoped>
svg {
  overflow: hidden;
}
.frame {
  border-bottom: 1px solid var(--hair);
  padding: 4px 0;
}
</style>
