<script setup lang="ts">
import type { Family } from '#core/catalogue'
import { materialOf, spreadMarks } from '~/drawing/materials'

/** One wall of a tube cut lengthways, as a band; px. Under 3 px it is an edge only. */
const props = defineProps<{ family: Family; x: number; y: number; width: number; height: number; selected?: boolean }>()

const material = computed(() => materialOf(props.family))
const middle = computed(() => props.y + props.height / 2)
const rows = computed(() =>
  material.value.foil ? [props.y + props.height * 0.22, props.y + props.height * 0.78] : [middle.value],
)
const marks = computed(() =>
  material.value.mark ? spreadMarks(props.x + 2, props.x + props.width - 2, material.value.pitch) : [],
)
const size = computed(() => Math.min(1, props.height / (material.value.foil ? 11 : 7)))
const fill = computed(() =>
  material.value.hatch ? `url(#${props.selected ? 'hatch-selected' : material.value.hatch})` : 'var(--paper)',
)
</script>

<template>
  <rect
    v-if="height < 3"
    :x="x"
    :y="y + height / 2 - 1"
    :width="width"
    height="2"
    :fill="selected ? 'var(--copper)' : 'var(--ink)'" />
  <g v-else>
    <rect :x="x" :y="y" :width="width" :height="height" fill="var(--paper)" />
    <rect
      :x="x"
      :y="y"
      :width="width"
      :height="height"
      :fill="fill"
      :stroke="selected ? 'var(--copper)' : 'var(--ink)'"
      :stroke-width="material.edge * 0.7" />
    <path v-if="material.foil" :d="`M${x} ${middle}H${x + width}`" stroke="var(--ink)" stroke-width="2" />
    <template v-for="row in rows" :key="row">
      <g
        v-for="at in marks"
        :key="at"
        :transform="`translate(${at} ${row}) scale(${size})`"
        stroke="var(--ink)"
        fill="none">
        <path v-if="material.mark === 'cross'" d="M-2.2-2.2L2.2 2.2M-2.2 2.2L2.2-2.2" stroke-width="1.3" />
        <circle v-else-if="material.mark === 'dot'" r="1.25" fill="var(--ink)" stroke="none" />
        <circle v-else-if="material.mark === 'ring'" r="2.3" stroke-width="1.1" />
        <path v-else-if="material.mark === 'dash'" d="M-4.5 0H4.5" stroke-width="1.6" />
        <path v-else-if="material.mark === 'dash-dot'" d="M-7 0H1M5 0H6.4" stroke-width="1.6" />
        <path v-else d="M-6 0Q-3-4 0 0T6 0" stroke-width="1.3" />
      </g>
    </template>
  </g>
</template>
