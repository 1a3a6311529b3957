<script setup lang="ts">
import type { JobRecord, Suspect } from '#core/record'
import { speak } from '#core/speech'

/** Pipe that may be gas, lead or failed polybutylene: nothing is cut there until somebody has answered it. */
defineProps<{ suspects: readonly Suspect[]; ends: Readonly<Record<'a' | 'b', string>>; job: JobRecord }>()
const ANSWERS = {
  gas: 'I traced it: water',
  lead: 'I scratched it: no lead',
  polybutylene: 'I read it: not that one',
} as const
const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)
const emit = defineEmits<{ traced: [one: Suspect] }>()
</script>

<template>
  <div
    v-for="one in suspects"
    :key="one.on + one.code"
    class="suspect"
    role="alert"
    :data-suspect="`${one.on}:${one.code}`">
    <StatusShape status="stop" :size="40" class="flex-none" />
    <p class="t17">
      <b>{{ ends[one.on] }}: {{ lowerFirst(one.text.split(/(?<=[?.]) /)[0]!) }}</b>
      {{
        speak(
          one.text
            .split(/(?<=[?.]) /)
            .slice(1)
            .join(' '),
          job.region,
        )
      }}
      Until then its cut is held.
    </p>
    <span class="keys">
      <UButton size="lg" :data-test="one.code === 'gas' ? 'traced-water' : 'ruled-out'" @click="emit('traced', one)">{{
        ANSWERS[one.code]
      }}</UButton>
      <UButton
        v-if="one.find"
        size="lg"
        variant="outline"
        :to="{ path: `/jobs/${job.slug}/find`, query: { find: one.find } }"
        >See the find</UButton
      >
    </span>
  </div>
</template>

<style scoped>
.suspect {
  display: flex;
  gap: 16px;
  align-items: center;
  padding: 8px 18px;
  border-bottom: 3px solid var(--brick);
}
.suspect p {
  flex: 1;
}
.keys {
  display: flex;
  gap: 10px;
  flex: none;
}
@media (max-width: 899px) {
  .suspect {
    flex-wrap: wrap;
    padding: 8px 12px;
    gap: 10px;
  }
  .suspect p {
    flex: 1 1 70%;
  }
  .keys {
    width: 100%;
  }
}
</style>
