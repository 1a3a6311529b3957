<script setup lang="ts">
import type { Pipe } from '#core/catalogue'
import type { UnitSystem } from '#core/units'
import { ringPath } from '~/drawing/ring'
import { materialOf } from '~/drawing/materials'
import { formatReading, scaleText, unitOf } from '~/reading/format'

/** Two pipe ends at one scale, and laid one on the other between them: the second in copper. */
const props = defineProps<{ a: Pipe; b: Pipe; system: UnitSystem; width: number }>()

const most = computed(() => Math.max(props.a.od, props.b.od))
/** Whole tenths of a px per mm, so that the stated scale is the drawn one. */
const k = computed(() => Math.floor(Math.min(props.width / 3.7 / most.value, 200 / most.value) * 10) / 10)
const cy = computed(() => (most.value / 2) * k.value + 34)
const height = computed(() => most.value * k.value + 96)
const r = (mm: number) => (mm / 2) * k.value
const ring = (cx: number, outer: number, inside: number) => ringPath(cx, cy.value, outer, inside)
const ends = computed(() => [
  { pipe: props.a, cx: props.width / 6, name: 'a' },
  { pipe: props.b, cx: (props.width * 5) / 6, name: 'b' },
])
const middle = computed(() => props.width / 2)
const hatch = (pipe: Pipe) => materialOf(pipe.family).hatch ?? 'hatch-thin'
const figure = (mm: number | null) => (mm === null ? '?' : formatReading(mm, props.system))
const y = computed(() => cy.value + (most.value / 2) * k.value + 28)
const words = computed(
  () =>
    `${props.a.label}, ${figure(props.a.od)} outside, and ${props.b.label}, ${figure(props.b.od)} outside, ${unitOf(props.system)}`,
)
</script>

<template>
  <svg :width="width" :height="height" role="img" :aria-label="words">
    <text x="18" y="14" class="t13 note">{{ scaleText(k, system) }}</text>
    <g v-for="{ pipe, cx, name } in ends" :key="name">
      <path
        v-if="pipe.bore"
        :d="ring(cx, r(pipe.od), r(pipe.bore))"
        :fill="`url(#${hatch(pipe)})`"
        fill-rule="evenodd" />
      <circle :cx="cx" :cy="cy" :r="r(pipe.od)" class="l-edge" :style="name === 'b' ? 'stroke: var(--copper)' : ''" />
      <circle v-if="pipe.bore" :cx="cx" :cy="cy" :r="r(pipe.bore)" class="l-thin" />
      <path :d="`M${cx - r(pipe.od)} ${cy + 6}V${y + 8}M${cx + r(pipe.od)} ${cy + 6}V${y + 8}`" class="l-dim" />
      <DimensionLine :x1="cx - r(pipe.od)" :x2="cx + r(pipe.od)" :y="y" />
      <text :x="cx" :y="y + 26" class="mid t20 w7" :class="{ copper: name === 'b' }">{{ figure(pipe.od) }}</text>
    </g>
    <g>
      <circle :cx="middle" :cy="cy" :r="r(a.od)" class="l-edge" />
      <circle v-if="a.bore" :cx="middle" :cy="cy" :r="r(a.bore)" class="l-thin" />
      <circle :cx="middle" :cy="cy" :r="r(b.od)" class="l-sel" />
      <circle
        v-if="b.bore"
        :cx="middle"
        :cy="cy"
        :r="r(b.bore)"
        style="stroke: var(--copper); stroke-width: 1.25; fill: none" />
      <text :x="middle" :y="y + 26" class="mid t14 note">one on the other</text>
    </g>
  </svg>
</template>
