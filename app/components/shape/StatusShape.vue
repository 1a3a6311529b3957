<script setup lang="ts">
import type { JointStatus } from '#core/record'

/** Where a piece of work stands, by shape; the word stands beside it or in its label. */
withDefaults(
  defineProps<{ status: JointStatus | 'held' | 'refused' | 'stop' | 'proved'; size?: number; label?: string }>(),
  { size: 16, label: undefined },
)
</script>

<template>
  <svg
    :width="size"
    :height="size"
    viewBox="-8 -8 16 16"
    :role="label ? 'img' : undefined"
    :aria-label="label"
    :aria-hidden="label ? undefined : true"
    class="shrink-0">
    <circle v-if="status === 'planned'" r="6" fill="var(--paper)" stroke="var(--ink)" stroke-width="1.75" />
    <g v-else-if="status === 'dry-fitted'">
      <circle r="6" fill="var(--paper)" stroke="var(--ink)" stroke-width="1.75" />
      <path d="M0-6A6 6 0 0 0 0 6Z" fill="var(--ink)" />
    </g>
    <circle v-else-if="status === 'made'" r="6.75" fill="var(--ink)" />
    <g v-else-if="status === 'proved'">
      <circle r="7" fill="var(--paper)" stroke="var(--verd)" stroke-width="1.75" />
      <circle r="3.9" fill="var(--verd)" />
    </g>
    <path v-else-if="status === 'held'" d="M0-6.5L7 6H-7Z" fill="var(--paper)" stroke="var(--ochre)" stroke-width="2" />
    <g v-else-if="status === 'stop'">
      <path d="M0-6.5L7 6H-7Z" fill="var(--paper)" stroke="var(--brick)" stroke-width="1.8" />
      <path d="M0-2.5V2" stroke="var(--brick)" stroke-width="1.6" />
      <circle cy="4" r=".9" fill="var(--brick)" />
    </g>
    <g v-else>
      <path d="M-7.5 0H7.5" stroke="var(--brick)" stroke-width="4" />
      <path d="M-5 6.5L5-6.5" stroke="var(--brick)" stroke-width="2" />
    </g>
  </svg>
</template>
