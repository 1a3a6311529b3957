<script setup lang="ts">
/**
 * A measure on a drawing: a line with oblique ticks at its ends, in ink, secondary ink, or copper where it is the one to
 * work to. px.
 */
withDefaults(
  defineProps<{ x1: number; x2: number; y: number; tone?: 'ink' | 'ink2' | 'copper'; overshoot?: number }>(),
  { tone: 'ink', overshoot: 0 },
)
</script>

<template>
  <g :stroke="`var(--${tone})`" fill="none">
    <path :d="`M${x1 - overshoot} ${y}H${x2 + overshoot}`" :stroke-width="tone === 'copper' ? 2 : 1" />
    <path :d="`M${x1 - 5} ${y + 5}l10 -10M${x2 - 5} ${y + 5}l10 -10`" stroke-width="1.75" />
  </g>
</template>
