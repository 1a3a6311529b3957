<script setup lang="ts">
import type { StopQuestion } from '~/reading/stops'
import type { FindBody } from '#core/record'

/** The answers to what stops the work at a find, as keys. */
defineProps<{ question: StopQuestion; size?: 'lg' | 'xl' }>()
const emit = defineEmits<{ answer: [answers: Partial<FindBody['answers']>] }>()
</script>

<template>
  <RuledButton
    v-for="(key, i) in question.keys"
    :key="key.test"
    :size="size ?? 'lg'"
    :variant="i === 0 ? 'solid' : 'outline'"
    :class="{ stopkey: key.isStop }"
    :data-test="key.test"
    @click="emit('answer', key.answers)"
    >{{ key.words }} <kbd v-if="i === 0 && size !== 'xl'">Y</kbd></RuledButton
  >
</template>

<style scoped>
.stopkey {
  color: var(--brick);
  border-color: var(--brick);
}
</style>
