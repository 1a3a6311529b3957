<script setup lang="ts">
import { arcOfBend, LITTLE_STRAIGHT_MM, tangentOf } from '#core/line'
import { formatLength, type UnitSystem } from '#core/units'
import { scaleText } from '~/reading/format'
import { tapeText } from '~/reading/tape'

/**
 * A step aside seen square on: set, travel, both bends to scale, and the straight left between them, or how much they
 * overlap.
 */
const props = defineProps<{
  set: number
  angle: number
  radius: number
  od: number
  width: number
  height: number
  system: UnitSystem
}>()

const rad = computed(() => (props.angle * Math.PI) / 180)
const travel = computed(() => props.set / Math.sin(rad.value))
const covers = computed(() => (props.angle === 90 ? 0 : props.set / Math.tan(rad.value)))
const tangent = computed(() => tangentOf(props.radius, props.angle))
const straight = computed(() => travel.value - 2 * tangent.value)
const tail = computed(() => tangent.value + props.od * 1.5)
const k = computed(() =>
  Math.max(
    0.05,
    Math.floor(
      Math.min((props.width - 96) / (covers.value + 2 * tail.value), (props.height - 84) / (props.set + props.od * 2)) *
        50,
    ) / 50,
  ),
)
/** Centre line: from the left, the first corner, the second, to the right; y down. */
const origin = computed(() => ({ x: 18, y: 34 + (props.od * k.value) / 2 }))
const at = (x: number, y: number) => `${origin.value.x + x * k.value} ${origin.value.y + y * k.value}`
const first = computed(() => [tail.value, 0] as const)
const second = computed(() => [tail.value + covers.value, props.set] as const)
const along = computed(() => [Math.cos(rad.value), Math.sin(rad.value)] as const)
const path = computed(() => {
  const [a, b, [c, s], t] = [first.value, second.value, along.value, Math.min(tangent.value, travel.value / 2)]
  const r = props.radius * k.value * (t / tangent.value)
  return `M${at(0, 0)}L${at(a[0] - t, 0)}A${r} ${r} 0 0 1 ${at(a[0] + c * t, s * t)}L${at(b[0] - c * t, b[1] - s * t)}A${r} ${r} 0 0 0 ${at(b[0] + t, b[1])}L${at(b[0] + tail.value, b[1])}`
})
const middle = computed(() => [(first.value[0] + second.value[0]) / 2, props.set / 2] as const)
const px = (x: number) => origin.value.x + x * k.value
const py = (y: number) => origin.value.y + y * k.value
const text = (mm: number) => tapeText(mm, props.system)
const isOver = computed(() => straight.value < -1e-9)
const arc = computed(() => arcOfBend({ at: 0, corner: tangent.value, angle: props.angle }))
const straightClass = computed(() => {
  if (isOver.value) return 'brick'
  return straight.value < LITTLE_STRAIGHT_MM ? 'ochre' : ''
})
</script>

<template>
  <svg
    :width="width"
    :height="height"
    :viewBox="`0 0 ${width} ${height}`"
    role="img"
    :aria-label="`Step aside seen square on: set ${formatLength(set, system)}, travel ${formatLength(travel, system)}, ${isOver ? `the bends overlap by ${formatLength(-straight, system)}` : `${formatLength(straight, system)} straight between the bends`}`">
    <path :d="path" stroke="var(--ink)" :stroke-width="od * k" fill="none" />
    <path :d="path" stroke="var(--paper)" :stroke-width="Math.max(1, od * k - 4)" fill="none" />
    <path :d="`M${at(0, 0)}L${at(...first)}L${at(...second)}L${at(second[0] + tail, set)}`" class="l-centre" />
    <g v-if="isOver" :transform="`translate(${px(middle[0])} ${py(middle[1])}) rotate(${angle})`">
      <rect
        :x="-8"
        :y="(-od * k) / 2 - 3"
        width="16"
        :height="od * k + 6"
        fill="url(#hatch-brick)"
        stroke="var(--brick)"
        stroke-width="2" />
    </g>
    <g>
      <path
        :d="`M${px(second[0]) + 6} ${py(0)}H${px(second[0] + tail) + 12}M${px(second[0] + tail) + 6} ${py(0)}V${py(set)}`"
        class="l-dim2" />
      <path
        :d="`M${px(second[0] + tail) + 1} ${py(0) + 5}l10 -10M${px(second[0] + tail) + 1} ${py(set) + 5}l10 -10`"
        stroke="var(--ink)"
        stroke-width="1.75" />
      <text :x="px(second[0] + tail) + 16" :y="py(set / 2) + 2" class="t17 w7">{{ text(set) }}</text>
      <text :x="px(second[0] + tail) + 16" :y="py(set / 2) + 17" class="t13 note">set</text>
      <text :x="px(middle[0]) - (od * k) / 2 - 12" :y="py(middle[1]) + (od * k) / 2 + 14" class="end t17 w7 halo">
        {{ text(travel) }}
      </text>
      <text :x="px(middle[0]) - (od * k) / 2 - 12" :y="py(middle[1]) + (od * k) / 2 + 29" class="end t13 note">
        travel
      </text>
    </g>
    <text x="0" :y="height - 22" class="t13 note">
      square on, {{ scaleText(k, system) }}; each arc {{ formatLength(arc, system) }}
    </text>
    <text x="0" :y="height - 5" class="t14 w7" :class="straightClass">
      {{
        isOver
          ? `${formatLength(-straight, system)} too much: the bends overlap`
          : `${formatLength(straight, system)} straight between the bends`
      }}
    </text>
  </svg>
</template>
