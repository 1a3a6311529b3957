<script setup lang="ts">
import type { Verdict } from '#core/joints'

/** Verdict on a way: solid diamond fits, half diamond fits with care, triangle held. */
withDefaults(defineProps<{ verdict: Verdict; size?: number }>(), { size: 22 })
const WORDS: Record<Verdict, string> = { fits: 'fits', care: 'fits with care', held: 'held' }
</script>

<template>
  <svg :width="size" :height="size" viewBox="-8.5 -8.5 17 17" role="img" :aria-label="WORDS[verdict]" class="shrink-0">
    <path v-if="verdict === 'fits'" d="M0-7.5L7.5 0L0 7.5L-7.5 0Z" fill="var(--verd)" />
    <g v-else-if="verdict === 'care'">
      <path d="M0-7L7 0L0 7L-7 0Z" fill="var(--paper)" stroke="var(--ochre)" stroke-width="1.75" />
      <path d="M0-7V7L-7 0Z" fill="var(--ochre)" />
    </g>
    <path v-else d="M0-6.5L7 6H-7Z" fill="var(--paper)" stroke="var(--ochre)" stroke-width="2" />
  </svg>
</template>
