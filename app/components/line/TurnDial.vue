<script setup lang="ts">
/**
 * Where the next bend turns, as seen from the bender looking along the tube: the bend before lies upwards, dashed; the
 * arrow is the way this one goes, turned clockwise by so many degrees.
 */
defineProps<{ turn: number; isFirst: boolean }>()
</script>

<template>
  <svg width="34" height="34" viewBox="-17 -17 34 34" aria-hidden="true">
    <circle r="5" class="l-edge" />
    <circle r="2" class="l-thin" />
    <path v-if="!isFirst" d="M0 -6V-16" stroke="var(--rule)" stroke-width="2" stroke-dasharray="3 2" fill="none" />
    <g :transform="`rotate(${isFirst ? 0 : turn})`"><path d="M0 -6V-15m-4 5l4 -5l4 5" class="l-sel" /></g>
  </svg>
</template>
