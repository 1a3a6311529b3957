<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import type { JobRecord, PipeWanted } from '#core/record'

/** The job's cut sheets, one to look at; pipes that its lines still want cut. */
defineProps<{ job: JobRecord; current: string | undefined; wanted: readonly PipeWanted[] }>()
const emit = defineEmits<{ cut: [pipe: string]; new: [] }>()
</script>

<template>
  <nav class="tabs" aria-label="Cut sheets">
    <NuxtLink
      v-for="one in job.cuts"
      :key="one.id"
      :to="{ query: { cut: one.id } }"
      class="choice"
      :aria-current="one.id === current"
      :data-sheet="one.number"
      >C{{ one.number }} {{ one.name || getPipe(one.pipe).label
      }}<StatusShape v-if="one.result" status="made" :size="13"
    /></NuxtLink>
    <button
      v-for="one in wanted"
      :key="one.pipe"
      type="button"
      class="choice"
      :data-wanted="one.pipe"
      @click="emit('cut', one.pipe)">
      cut {{ getPipe(one.pipe).label }}, {{ one.pieces }}
    </button>
    <button type="button" class="choice" data-test="new-sheet" @click="emit('new')">new sheet</button>
  </nav>
</template>

<style scoped src="../frame/tab-row.css"></style>
