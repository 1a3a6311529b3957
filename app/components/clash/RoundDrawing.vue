<script setup lang="ts">
/**
 * A pipe end as one hand measured it, mm across, at a scale shared by both, px per mm; `most` is the larger of the two,
 * mm.
 */
const props = defineProps<{ mm: number; most: number; k: number; width: number; unit: string; words: string }>()
const r = computed(() => (props.mm / 2) * props.k)
const cy = computed(() => (props.most / 2) * props.k + 14)
const cx = computed(() => props.width / 2)
</script>

<template>
  <svg :width="width" :height="most * k + 64" role="img" :aria-label="`Measured ${words} ${unit} across`">
    <circle :cx="cx" :cy="cy" :r="r" class="l-edge" />
    <path :d="`M${cx - r - 14} ${cy}H${cx + r + 14}M${cx} ${cy - r - 10}V${cy + r + 10}`" class="l-centre" />
    <text :x="cx" :y="cy + 14" class="mid t40 w7 copper halo">{{ words }}</text>
    <DimensionLine :x1="cx - r" :x2="cx + r" :y="cy + (most / 2) * k + 30" tone="copper" />
    <text :x="cx + r + 10" :y="cy + (most / 2) * k + 36" class="t15 w7 copper">{{ unit }}</text>
  </svg>
</template>
