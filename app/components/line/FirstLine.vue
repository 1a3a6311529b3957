<script setup lang="ts">
/** A job without a line: what a line is, and the first one to draw. */
const emit = defineEmits<{ add: [] }>()
</script>

<template>
  <div class="p-6 space-y-4">
    <svg width="320" height="120" role="img" aria-label="No line yet">
      <path d="M10 40L90 86V20L250 110" class="l-hidden" />
    </svg>
    <p class="t20 w7">No line yet. A line is a run of pipe: legs, corners, branches.</p>
    <RuledButton data-test="first-line" @click="emit('add')">Draw the first line</RuledButton>
  </div>
</template>
