<script setup lang="ts">
import type { CheckName } from '#core/identify'
import type { Choice, Settling } from '~/reading/answers'
import { CHECK_WORDS } from '~/wording/en'
import type { Region } from '#core/units'
import { speak } from '#core/speech'

/** On a phone: the likeliest answers of the next check under the thumb. */
const props = defineProps<{ settling: Settling; region: Region }>()
const emit = defineEmits<{ answer: [name: Choice, value: string | boolean]; more: [name: CheckName] }>()
const MOST = 3
const likeliest = computed(() =>
  [...props.settling.keys].sort((a, b) => (b.means?.share ?? 0) - (a.means?.share ?? 0)).slice(0, MOST),
)
const more = computed(() => props.settling.keys.length - MOST)
</script>

<template>
  <div>
    <p class="t14 flex items-center justify-between">
      <b>{{ speak(CHECK_WORDS[settling.check], region) }}</b><button
        v-if="more > 0"
        type="button"
        class="underline note min-h-9"
        @click="emit('more', settling.check)">
        {{ more }} more answer{{ more === 1 ? '' : 's' }}
      </button>
    </p>
    <div class="keys">
      <AnswerKey
        v-for="one in likeliest"
        :key="String(one.value)"
        :check="settling.check"
        :answer="one"
        @answer="(name, value) => emit('answer', name, value)" />
    </div>
  </div>
</template>

<style scoped>
.keys {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
.keys :deep(.two) {
  min-height: 64px;
  justify-content: center;
  border-width: 2px;
  border-color: var(--ink);
}
</style>
