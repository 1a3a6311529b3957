<script setup lang="ts">
import type { Pipe } from '#core/catalogue'
import { ringPath } from '~/drawing/ring'
import { materialOf } from '~/drawing/materials'

/** A measured pipe from its end: the circle to a scale of k px a mm, the wall dashed until it is seen. */
const props = defineProps<{ cx: number; cy: number; mm: number; k: number; pipe: Pipe | null }>()
const r = computed(() => (props.mm / 2) * props.k)
const inner = computed(() => (props.pipe?.bore ? (props.pipe.bore / 2) * props.k * (props.mm / props.pipe.od) : null))
const hatch = computed(() => (props.pipe ? (materialOf(props.pipe.family).hatch ?? 'hatch-thin') : 'hatch-thin'))
</script>

<template>
  <g>
    <path v-if="inner" :d="ringPath(cx, cy, r, inner)" :fill="`url(#${hatch})`" fill-rule="evenodd" opacity=".3" />
    <circle :cx="cx" :cy="cy" :r="r" class="l-edge" style="stroke-width: 3" />
    <circle v-if="inner" :cx="cx" :cy="cy" :r="inner" class="l-hidden" />
    <path :d="`M${cx - r - 14} ${cy}H${cx + r + 14}M${cx} ${cy - r - 10}V${cy + r + 10}`" class="l-centre" />
  </g>
</template>
