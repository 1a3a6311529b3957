<script setup lang="ts">
import { isAtFace, type End, type EndPlay, type Joint, type OtherEnd, type Way } from '#core/joints'
import type { JointBody } from '#core/record'
import { formatLength, type UnitSystem } from '#core/units'
import type { Pipe } from '#core/catalogue'
import { crestsPath } from '~/drawing/joint-layout'
import { baseline } from '~/drawing/labels'
import { materialOf } from '~/drawing/materials'
import { layOutSection } from '~/drawing/section'
import { TIERS } from '~/drawing/section-labels'

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

const section = computed(() => layOutSection(props.way, props.a, props.b, props))
const layout = computed(() => section.value.layout)
const k = computed(() => section.value.k)
const cy = computed(() => section.value.cy)
const labels = computed(() => section.value.labels)
/** How deep a joint is, in words. */
function depthWords(joint: Joint): string {
  if (isAtFace(joint)) return 'sealed at its face'
  const { value } = joint.insertion
  return value === null ? 'depth to be measured' : `${formatLength(value, props.system)} deep`
}
const tierOf = ({ isEnd }: { isEnd: boolean }) => (isEnd ? TIERS.end : TIERS.between)
const SIDE_OF = { a: 'left', b: 'right' } as const
const flowSide = computed(() => (props.flowFrom ? SIDE_OF[props.flowFrom] : null))
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
    <text v-if="!compact" :x="labels.note.x" :y="baseline(labels.note)" class="t13 note" data-label>
      {{ labels.note.text }}
    </text>
    <g :transform="`translate(${section.shift} 0)`">
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
        <path :d="`M0 ${cy}H${section.shutAt ?? layout.length * k}`" class="l-centre" />
        <template v-if="section.shutAt !== null">
          <path :d="`M${section.shutAt + 34} ${cy}H${section.shutAt + 6}m9 -6l-9 6l9 6`" class="l-edge" />
        </template>
      </template>
    </g>
    <template v-if="!compact">
      <text v-if="labels.shut" :x="labels.shut.x" :y="baseline(labels.shut)" class="t14 w6" data-shut data-label>
        {{ labels.shut.text }}
      </text>
      <g v-for="dim in section.dims" :key="dim.at">
        <path
          :d="`M${dim.x1} ${section.top - 2}V${tierOf(dim).line - 6}M${dim.x2} ${section.top - 2}V${tierOf(dim).line - 6}`"
          :class="dim.isEnd ? 'l-sel' : 'l-dim2'"
          :stroke-width="1" />
        <DimensionLine
          :x1="dim.x1"
          :x2="dim.x2"
          :y="tierOf(dim).line"
          :tone="dim.isEnd ? 'copper' : 'ink2'"
          :overshoot="5" />
      </g>
      <template v-for="figure in labels.figures" :key="`figure${figure.at}`">
        <path v-if="figure.leader" :d="figure.leader" :class="figure.isEnd ? 'l-sel' : 'l-dim2'" stroke-width="1" />
        <foreignObject :x="figure.x" :y="figure.y" :width="Math.ceil(figure.width) + 1" :height="figure.height">
          <div class="figure w7" :class="{ copper: figure.isEnd }" :style="{ fontSize: `${figure.size}px` }" data-label>
            <TapeFigure :mm="figure.mm" :system="system" :with-mm="figure.withUnit" />
          </div>
        </foreignObject>
      </template>
    </template>
  </svg>
</template>

<style scoped>
.figure {
  display: flex;
  justify-content: center;
  align-items: flex-end;
  height: 100%;
  line-height: 1;
  letter-spacing: -0.02em;
  white-space: nowrap;
  background: var(--paper);
}
</style>
