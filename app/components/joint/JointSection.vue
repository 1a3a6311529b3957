<script setup lang="ts">
import { isAtFace, type End, type EndPlay, type Joint, type OtherEnd, type Way } from '#core/joints'
import type { JointBody } from '#core/record'
import { formatLength, type UnitSystem } from '#core/units'
import type { Pipe } from '#core/catalogue'
import { crestsPath, layOutWay } from '~/drawing/joint-layout'
import { materialOf } from '~/drawing/materials'
import { scaleText } from '~/reading/format'

/**
 * A way cut through: both ends facing each other with the fittings between, along and across at one scale.
 * Compact draws the same without dimensions, for a row.
 */
const props = withDefaults(
  defineProps<{
    way: Way
    a: End
    b: OtherEnd
    system: UnitSystem
    width: number
    height?: number
    compact?: boolean
    /** How far each end moves, mm; what is put on each pipe before its end is closed. */
    play?: Readonly<Record<'a' | 'b', EndPlay>>
    onFirst?: JointBody['onFirst']
    /** Of the valve, measured from its middle to its stop, mm. */
    takeOut?: number
    /** Length of the valve's lever or half of its wheel, mm. */
    reach?: number | null
    /** The end the water comes from, where it is known. */
    flowFrom?: 'a' | 'b'
  }>(),
  {
    height: 246,
    compact: false,
    play: undefined,
    takeOut: undefined,
    reach: null,
    flowFrom: undefined,
    onFirst: () => [],
  },
)

const layout = computed(() =>
  layOutWay(props.way, props.a, props.b, { ...(props.compact ? { bare: 4 } : {}), takeOut: props.takeOut }),
)
const room = computed(() => (props.compact ? props.height - 2 : props.height - 88))
const k = computed(() => {
  const fit = Math.min((props.width - 16) / layout.value.length, room.value / (2.15 * layout.value.radius))
  return props.compact ? fit : Math.max(0.2, Math.floor(fit * 10) / 10)
})
const shift = computed(() => (props.compact ? 0 : Math.max(8, (props.width - layout.value.length * k.value) / 2)))
const cy = computed(() => (props.compact ? props.height / 2 : 70 + room.value / 2))
const top = computed(() => cy.value - layout.value.radius * 1.15 * k.value)
/** How deep a joint is, in words. */
function depthWords(joint: Joint): string {
  if (isAtFace(joint)) return 'sealed at its face'
  const { value } = joint.insertion
  return value === null ? 'depth to be measured' : `${formatLength(value, props.system)} deep`
}
/** The figures of the ends are large; over a short depth smaller, so that two beside each other do not run together. */
const SHORT_PX = 76
function figureClass({ isEnd, x1, x2 }: { isEnd: boolean; x1: number; x2: number }): string {
  if (!isEnd) return 't17 w7'
  return x2 - x1 < SHORT_PX && props.width < 600 ? 'copper t26 w7' : 'copper t40 w7'
}
const dims = computed(() =>
  layout.value.depths
    .filter(({ joint }) => !isAtFace(joint))
    .map((depth) => ({
      ...depth,
      isEnd: depth.joint.on !== 'between',
      x1: depth.from * k.value,
      x2: depth.to * k.value,
    })),
)
const SIDE_OF = { a: 'left', b: 'right' } as const
const flowSide = computed(() => (props.flowFrom ? SIDE_OF[props.flowFrom] : null))
/** Where a closed end is solid, px. */
const shutAt = computed(() => {
  const shut = layout.value.bodies.find(({ isShut }) => isShut)
  return shut && !props.compact ? shut.to * k.value : null
})
const text = computed(() =>
  props.way.joints
    .map((joint) => `${joint.method} ${joint.on === 'between' ? 'between' : `at ${joint.on}`}, ${depthWords(joint)}`)
    .join('; '),
)

/** Wall to scale, never thinner than a line that can be seen; px. */
const wallPx = ({ wall }: Pipe): number => Math.max(props.compact ? 1 : 2, (wall ?? 1) * k.value)

/** Where each end can go, as far as there is room to draw it; px. */
const ghosts = computed(() =>
  layout.value.tubes.flatMap((tube) => {
    if (props.compact || tube.on === 'tail') return []
    const { along, aside } = props.play?.[tube.on] ?? {}
    const [dx, dy] = [Math.min(along ?? 0, tube.pipe.od), Math.min(aside ?? 0, tube.pipe.od)]
    if (!dx && !dy) return []
    const long = 2 * tube.pipe.od
    const at = tube.on === 'a' ? tube.to - long - dx : tube.from + dx
    return [
      {
        on: tube.on,
        x: at * k.value,
        y: cy.value - (tube.pipe.od / 2 + dy) * k.value,
        width: long * k.value,
        height: tube.pipe.od * k.value,
      },
    ]
  }),
)
/** What is on each pipe, behind its mark, the first put on the farthest back; px. */
const collars = computed(() =>
  layout.value.tubes.flatMap((tube) => {
    if (props.compact || tube.on === 'tail') return []
    const { od } = tube.pipe
    return props.onFirst
      .filter(({ on }) => on === tube.on)
      .map(({ what }, i) => {
        const at = (0.35 + 0.3 * i) * od
        const isPlate = what === 'flange' || what === 'cover'
        const [width, reach] = isPlate ? [0.1 * od, 0.85 * od] : [0.22 * od, 0.68 * od]
        const x = tube.on === 'a' ? tube.from + at : tube.to - at - width
        return {
          what,
          x: x * k.value,
          width: width * k.value,
          y: cy.value - reach * k.value,
          height: 2 * reach * k.value,
        }
      })
  }),
)

/** A wavy break across a tube that is drawn shorter than it is. */
const breakPath = (x: number, r: number) =>
  `M${x} ${cy.value - r - 5}q-5 ${r * 0.5} 0 ${r + 5}t0 ${r + 5}M${x + 7} ${cy.value - r - 5}q-5 ${r * 0.5} 0 ${r + 5}t0 ${r + 5}`
</script>

<template>
  <svg
    :width="width"
    :height="height"
    :viewBox="`0 0 ${width} ${height}`"
    :role="compact ? undefined : 'img'"
    :aria-label="compact ? undefined : 'The way, cut through'"
    :aria-hidden="compact ? true : undefined">
    <desc v-if="!compact">{{ text }}</desc>
    <text v-if="!compact" :x="width - 10" :y="height - 4" class="end t13 note">
      {{ scaleText(k, system) }}; fittings {{ width < 600 ? 'typical' : 'drawn to typical figures'
      }}{{ layout.hasTail ? ', tail broken' : '' }}
    </text>
    <g :transform="`translate(${shift} 0)`">
      <g v-for="(body, i) in layout.bodies" :key="`body${i}`">
        <FittingMouth v-for="(mouth, m) in body.mouths" :key="m" :mouth="mouth" :k="k" :cy="cy" />
        <ValveBody
          v-if="body.valve"
          :valve="body.valve"
          :x1="body.web.from * k"
          :x2="body.web.to * k"
          :cy="cy"
          :radius="body.radius * k"
          :bore="body.bore * k"
          :reach="reach === null ? null : Math.min(reach * k, (layout.length - body.web.from) * k)"
          :top="62"
          :flow="flowSide"
          :compact="compact" />
        <template v-for="y in body.valve ? [] : [cy - body.radius * k, cy + body.bore * k]" :key="y">
          <rect
            :x="body.web.from * k"
            :y="y"
            :width="(body.web.to - body.web.from) * k"
            :height="(body.radius - body.bore) * k"
            fill="var(--paper)" />
          <rect
            :x="body.web.from * k"
            :y="y"
            :width="(body.web.to - body.web.from) * k"
            :height="(body.radius - body.bore) * k"
            fill="url(#hatch-brass)"
            stroke="var(--ink)"
            :stroke-width="compact ? 1 : 1.5" />
        </template>
      </g>
      <g v-for="(tube, i) in layout.tubes" :key="`tube${i}`">
        <WallBand
          v-for="y in [cy - (tube.pipe.od / 2) * k, cy + (tube.pipe.od / 2) * k - wallPx(tube.pipe)]"
          :key="y"
          :family="tube.pipe.family"
          :x="tube.from * k"
          :y="y"
          :width="(tube.to - tube.from) * k"
          :height="wallPx(tube.pipe)" />
        <path
          v-if="tube.on !== 'b'"
          :d="`M${tube.to * k} ${cy - (tube.pipe.od / 2) * k}V${cy + (tube.pipe.od / 2) * k}`"
          class="l-thin" />
        <path
          v-if="tube.on !== 'a'"
          :d="`M${tube.from * k} ${cy - (tube.pipe.od / 2) * k}V${cy + (tube.pipe.od / 2) * k}`"
          class="l-thin" />
        <path
          v-if="tube.broken"
          :d="breakPath(((tube.from + tube.to) / 2) * k, (tube.pipe.od / 2) * k)"
          class="l-thin"
          stroke="var(--ink)" />
        <rect
          v-if="compact && materialOf(tube.pipe.family).hatch"
          :x="tube.from * k"
          :y="cy - (tube.pipe.od / 2) * k"
          :width="(tube.to - tube.from) * k"
          :height="tube.pipe.od * k"
          :fill="`url(#${materialOf(tube.pipe.family).hatch})`"
          opacity=".55" />
      </g>
      <path
        v-for="(thread, i) in layout.threads"
        :key="`thread${i}`"
        :d="
          crestsPath(thread.from * k, thread.to * k, cy - thread.radius * k, 3) +
          crestsPath(thread.from * k, thread.to * k, cy + thread.radius * k, -3)
        "
        class="l-thin" />
      <rect
        v-for="(collar, i) in collars"
        :key="`collar${i}`"
        :x="collar.x"
        :y="collar.y"
        :width="collar.width"
        :height="collar.height"
        fill="var(--paper)"
        stroke="var(--ink)"
        stroke-width="1.5"
        data-collar />
      <rect
        v-for="ghost in ghosts"
        :key="`ghost${ghost.on}`"
        :x="ghost.x"
        :y="ghost.y"
        :width="ghost.width"
        :height="ghost.height"
        class="l-hidden"
        fill="none"
        :data-ghost="ghost.on" />
      <template v-if="!compact">
        <path :d="`M0 ${cy}H${shutAt ?? layout.length * k}`" class="l-centre" />
        <template v-if="shutAt !== null">
          <path :d="`M${shutAt + 34} ${cy}H${shutAt + 6}m9 -6l-9 6l9 6`" class="l-edge" />
          <text :x="shutAt + 40" :y="cy + 5" class="t14 w6" data-shut>shut here</text>
        </template>
        <g v-for="dim in dims" :key="dim.at">
          <path
            :d="`M${dim.x1} ${top - 2}V${dim.isEnd ? 50 : 60}M${dim.x2} ${top - 2}V${dim.isEnd ? 50 : 60}`"
            :class="dim.isEnd ? 'l-sel' : 'l-dim2'"
            :stroke-width="1" />
          <DimensionLine
            :x1="dim.x1"
            :x2="dim.x2"
            :y="dim.isEnd ? 56 : 66"
            :tone="dim.isEnd ? 'copper' : 'ink2'"
            :overshoot="5" />
          <foreignObject
            :x="(dim.x1 + dim.x2) / 2 - 60"
            :y="dim.isEnd ? 2 : 36"
            width="120"
            :height="dim.isEnd ? 50 : 26">
            <div class="figure" :class="figureClass(dim)">
              <TapeFigure :mm="dim.joint.insertion.value" :system="system" :with-mm="dim.isEnd" />
            </div>
          </foreignObject>
        </g>
      </template>
    </g>
  </svg>
</template>

<style scoped>
.figure {
  display: flex;
  justify-content: center;
  align-items: flex-end;
  height: 100%;
  line-height: 1;
}
</style>
