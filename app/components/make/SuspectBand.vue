<script setup lang="ts">
import type { JobRecord, Suspect } from '#core/record'
import { inRegion } from '~/wording/en'

/** Pipe that may be gas: nothing is cut there until somebody traced it. */
defineProps<{ suspects: readonly Suspect[], ends: Readonly<Record<'a' | 'b', string>>, job: JobRecord }>()
const emit = defineEmits<{ traced: [one: Suspect] }>()
</script>

<template>
  <div v-for="one in suspects" :key="one.on" class="suspect" role="alert" :data-suspect="one.on">
    <StatusShape status="stop" :size="40" class="flex-none" />
    <p class="t17"><b>{{ one.text.split(/(?<=[?]) /)[0] }} {{ ends[one.on] }}.</b> {{ inRegion(one.text.split(/(?<=[?]) /).slice(1).join(' '), job.region) }} Until then its cut is held.</p>
    <span class="keys">
      <UButton size="lg" data-test="traced-water" @click="emit('traced', one)">I traced it: water</UButton>
      <UButton v-if="one.find" size="lg" variant="outline" :to="{ path: `/jobs/${job.slug}/find`, query: { find: one.find } }">See the find</UButton>
    </span>
  </div>
</template>

<style scoped>
.suspect { display: flex; gap: 16px; align-items: center; padding: 8px 18px; border-bottom: 3px solid var(--brick); }
.suspect p { flex: 1; }
.keys { display: flex; gap: 10px; flex: none; }
@media (max-width: 899px) { .suspect { flex-wrap: wrap; padding: 8px 12px; gap: 10px; } .suspect p { flex: 1 1 70%; } .keys { width: 100%; } }
</style>
