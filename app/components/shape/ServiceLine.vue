<script setup lang="ts">
import type { Service } from '#core/joints'

/** Cold is one plain line, hot a line with a tick, heating a double line. The word stands beside. */
defineProps<{ service: Service }>()
</script>

<template>
  <svg width="22" height="12" viewBox="0 0 22 12" aria-hidden="true" class="shrink-0">
    <path v-if="service === 'heating'" d="M0 3.5H22M0 8.5H22" class="l-edge" />
    <path v-else-if="service === 'hot' || service === 'recirculation'" d="M0 6H22M11 1V11" class="l-edge" />
    <path v-else d="M0 6H22" class="l-edge" />
  </svg>
</template>
