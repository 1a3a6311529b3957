<script setup lang="ts">
import type { JobRecord, Suspect } from '#core/record'
import { speak } from '#core/speech'
import { SUSPECT_ANSWERS, type SuspectAnswer } from '~/wording/suspects'

/** What holds a cut, such as pipe that may be gas or has water in it: each with its answers as keys. */
defineProps<{ suspects: readonly Suspect[]; ends: Readonly<Record<'a' | 'b', string>>; job: JobRecord }>()
/** Held for what is in it or on it, not for what it may be. */
const isOpen = ({ code }: Suspect): boolean => code === 'live' || code === 'wet' || code === 'earth'
const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)
const emit = defineEmits<{ answer: [one: Suspect, answer: SuspectAnswer] }>()
</script>

<template>
  <div
    v-for="one in suspects"
    :key="one.on + one.code"
    class="suspect"
    :class="{ open: isOpen(one) }"
    role="alert"
    :data-suspect="`${one.on}:${one.code}`">
    <StatusShape :status="isOpen(one) ? 'held' : 'stop'" :size="40" class="flex-none" />
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
      <RuledButton
        v-for="(answer, i) in SUSPECT_ANSWERS[one.code]"
        :key="answer.test"
        size="lg"
        :variant="i === 0 ? 'solid' : 'outline'"
        :data-test="answer.test"
        @click="emit('answer', one, answer)"
        >{{ answer.words }}</RuledButton
      >
      <RuledButton
        v-if="one.find"
        size="lg"
        variant="outline"
        :to="{ path: `/jobs/${job.slug}/find`, query: { find: one.find } }"
        >See the find</RuledButton
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
.suspect.open {
  border-color: var(--ochre);
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
