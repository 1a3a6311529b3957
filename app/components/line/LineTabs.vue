<script setup lang="ts">
import type { JobRecord } from '#core/record'

/** The job's lines, one to look at, and what was done last taken back or done again. */
defineProps<{ job: JobRecord; current: string | undefined; canUndo: boolean; canRedo: boolean }>()
const emit = defineEmits<{ add: []; undo: []; redo: [] }>()
</script>

<template>
  <nav class="tabs" aria-label="Lines">
    <NuxtLink
      v-for="one in job.lines"
      :key="one.id"
      :to="{ query: { line: one.id } }"
      class="choice"
      :aria-current="one.id === current"
      :data-line="one.number"
      >L{{ one.number }} {{ one.name }}</NuxtLink
    >
    <button type="button" class="choice" data-test="add-line" @click="emit('add')">new line</button>
    <span class="tools">
      <button type="button" class="choice" :disabled="!canUndo" data-test="undo" @click="emit('undo')">
        undo <kbd>U</kbd>
      </button>
      <button type="button" class="choice" :disabled="!canRedo" data-test="redo" @click="emit('redo')">
        redo <kbd>&#8679;U</kbd>
      </button>
    </span>
  </nav>
</template>

<style scoped src="../frame/tab-row.css"></style>

<style scoped>
.tools {
  margin-left: auto;
  display: flex;
  gap: 18px;
}
</style>
