<script setup lang="ts">
import type { Pipe } from '#core/catalogue'

/** A pipe end with one hand's insertion mark, mm, at a scale shared by both, px per mm. */
const props = defineProps<{ pipe: Pipe; mm: number; k: number; width: number; unit: string; words: string }>()
const r = computed(() => (props.pipe.od / 2) * props.k)
const height = computed(() => 2 * r.value + 70)
const cy = computed(() => r.value + 14)
const endX = computed(() => Math.round(props.width * 0.78))
const markX = computed(() => endX.value - props.mm * props.k)
const size = computed(() =>
  Math.max(32, Math.min(88, 2 * r.value * 0.62, (props.mm * props.k) / (props.words.length * 0.58))),
)
</script>

<template>
  <svg :width="width" :height="height" role="img" :aria-label="`Mark at ${words} ${unit} from the end`">
    <rect
      :x="markX"
      :y="cy - r + 9"
      :width="endX - markX"
      :height="2 * r - 18"
      fill="url(#hatch-selected)"
      opacity=".35" />
    <WallBand :family="pipe.family" :x="0" :y="cy - r" :width="endX" :height="9" />
    <WallBand :family="pipe.family" :x="0" :y="cy + r - 9" :width="endX" :height="9" />
    <path :d="`M0 ${cy - r}H${endX}V${cy + r}H0`" class="l-edge" />
    <path :d="`M${markX} ${cy - r - 10}V${cy + r + 10}`" class="l-sel3" />
    <text
      :x="(markX + endX) / 2"
      :y="cy + size * 0.36"
      class="mid w7 copper halo"
      :style="{ fontSize: `${size}px`, letterSpacing: '-.03em' }">
      {{ words }}
    </text>
    <DimensionLine :x1="markX" :x2="endX" :y="cy + r + 30" tone="copper" />
    <text :x="endX + 10" :y="cy + r + 36" class="t15 w7 copper">{{ unit }}</text>
  </svg>
</template>
