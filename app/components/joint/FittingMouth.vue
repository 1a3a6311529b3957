<script setup lang="ts">
import { ALL_METHODS } from '#core/joints'
import { crestsPath, wallOf, type Mouth } from '~/drawing/joint-layout'

/**
 * One mouth of a fitting cut through, upper and lower half alike; px from the drawing's left edge and the centre line.
 */
const props = defineProps<{ mouth: Mouth; k: number; cy: number }>()

const x = computed(() => props.mouth.from * props.k)
const w = computed(() => (props.mouth.to - props.mouth.from) * props.k)
const r = computed(() => props.mouth.radius * props.k)
const t = computed(() => Math.max(2, wallOf(props.mouth.method) * 2 * props.mouth.radius * props.k))
const opens = computed(() => props.mouth.opens)
/** Distance from the open face of the mouth, as x. */
const at = (share: number) => (opens.value === 'left' ? x.value + w.value * share : x.value + w.value * (1 - share))
const span = (from: number, to: number) => ({ x: Math.min(at(from), at(to)), width: Math.abs(at(to) - at(from)) })
const sides = [-1, 1] as const
const drawing = computed(() => ALL_METHODS[props.mouth.method].drawing)
/** What holds a tube that goes over a barb: a ring over part of it, or a sleeve over all. */
const overBarb = computed(() => /^barb-(\w+)$/.exec(drawing.value.mouth)?.[1])
const isNut = computed(() => ['nut', 'sealed-nut', 'flared-nut'].includes(drawing.value.mouth))
const isFlared = computed(() => drawing.value.mouth === 'flared-nut')
const FILLS = { plastic: 'var(--paper2)', copper: 'url(#hatch-copper)', brass: 'url(#hatch-brass)' } as const
</script>

<template>
  <g v-for="side in sides" :key="side" :transform="`translate(0 ${cy}) scale(1 ${side})`">
    <template v-if="overBarb">
      <!-- The tube goes over a barb; ring or sleeve outside it. -->
      <rect :x="x" :y="mouth.bore * k - t" :width="w" :height="t" fill="var(--paper)" />
      <rect
        :x="x"
        :y="mouth.bore * k - t"
        :width="w"
        :height="t"
        fill="url(#hatch-brass)"
        stroke="var(--ink)"
        stroke-width="1.25" />
      <rect
        v-if="overBarb === 'ring'"
        v-bind="span(0.32, 0.72)"
        :y="r"
        :height="Math.max(3, t * 0.9)"
        fill="url(#hatch-selected)"
        stroke="var(--ink)"
        stroke-width="1.5" />
      <rect
        v-else-if="overBarb === 'nut'"
        v-bind="span(-0.02, 0.7)"
        :y="r"
        :height="Math.max(4, t * 1.6)"
        fill="var(--paper)"
        stroke="var(--ink)"
        stroke-width="1.75" />
      <template v-else-if="overBarb === 'expanded'">
        <!-- The tube, widened, has shrunk back on a plain barb; its ring covers it up to the shoulder. No seal. -->
        <rect
          v-bind="span(0, 1)"
          :y="r"
          :height="Math.max(4, t * 1.1)"
          fill="var(--paper2)"
          stroke="var(--ink)"
          stroke-width="1.5" />
        <path
          :d="`M${at(0.25)} ${mouth.bore * k - t}l0 ${t}M${at(0.5)} ${mouth.bore * k - t}l0 ${t}M${at(0.75)} ${mouth.bore * k - t}l0 ${t}`"
          class="l-thin" />
      </template>
      <template v-else>
        <rect v-bind="span(0.02, 0.9)" :y="r" :height="Math.max(3, t * 0.8)" fill="var(--paper)" />
        <rect
          v-bind="span(0.02, 0.9)"
          :y="r"
          :height="Math.max(3, t * 0.8)"
          fill="url(#hatch-stainless)"
          stroke="var(--ink)"
          stroke-width="1.25" />
        <circle :cx="at(0.35)" :cy="mouth.bore * k - t * 0.2" :r="Math.max(1.5, t * 0.4)" fill="var(--ink)" />
        <circle :cx="at(0.65)" :cy="mouth.bore * k - t * 0.2" :r="Math.max(1.5, t * 0.4)" fill="var(--ink)" />
      </template>
    </template>
    <template v-else>
      <rect :x="x" :y="r" :width="w" :height="t" fill="var(--paper)" />
      <rect
        :x="x"
        :y="r"
        :width="w"
        :height="t"
        :fill="FILLS[drawing.material]"
        stroke="var(--ink)"
        stroke-width="1.5" />
      <template v-if="drawing.mouth === 'bead'">
        <path
          :d="`M${at(0.04)} ${r + t}Q${at(0.17)} ${r + t + Math.max(6, t * 1.6)} ${at(0.3)} ${r + t}`"
          class="l-edge"
          style="fill: var(--paper)" />
        <ellipse
          :cx="at(0.17)"
          :cy="r + t * 0.9"
          :rx="Math.max(2.5, w * 0.09)"
          :ry="Math.max(2, t * 0.7)"
          fill="var(--ink)" />
      </template>
      <template v-else-if="drawing.mouth === 'grip'">
        <circle :cx="at(0.5)" :cy="r + Math.max(2, t * 0.25)" :r="Math.max(2, t * 0.3)" fill="var(--ink)" />
        <path
          :d="`M${at(0.24)} ${r + t * 0.7}L${at(0.32)} ${r}L${at(0.34)} ${r + t * 0.7}`"
          class="l-thin"
          style="fill: var(--paper)" />
        <path :d="`M${at(0.1)} ${r}V${r + t}`" class="l-thin" />
      </template>
      <template v-else-if="isNut">
        <rect
          v-bind="span(-0.02, 0.55)"
          :y="r"
          :height="t * 1.35"
          fill="var(--paper)"
          stroke="var(--ink)"
          stroke-width="1.75" />
        <path
          :d="`M${at(0.18)} ${r + t * 0.7}V${r + t * 1.35}M${at(0.36)} ${r + t * 0.7}V${r + t * 1.35}`"
          class="l-thin" />
        <path v-if="isFlared" :d="`M${at(0.3)} ${r}L${at(0.62)} ${r + Math.max(4, t * 0.7)}`" class="l-edge" />
        <path
          v-else
          :d="`M${at(0.42)} ${r}L${at(0.52)} ${r + Math.max(3, t * 0.55)}L${at(0.64)} ${r}Z`"
          fill="url(#hatch-selected)"
          stroke="var(--ink)"
          stroke-width="1" />
        <circle
          v-if="drawing.mouth === 'sealed-nut'"
          :cx="at(0.74)"
          :cy="r + Math.max(2, t * 0.25)"
          :r="Math.max(2, t * 0.28)"
          fill="var(--ink)" />
      </template>
      <path v-else-if="drawing.mouth === 'crests'" :d="crestsPath(x, x + w, r, Math.min(3, t * 0.4))" class="l-thin" />
    </template>
  </g>
</template>
