<script setup lang="ts">
/** Two keys that make a thing smaller and larger, and two that do it in larger steps; held down, they go on. */
defineProps<{ what: string }>()
const emit = defineEmits<{ step: [by: number] }>()
let timer: ReturnType<typeof setInterval> | undefined
const HELD_AFTER_MS = 350
const EVERY_MS = 60
function begin(by: number) {
  emit('step', by)
  clearTimeout(timer)
  timer = setTimeout(() => {
    timer = setInterval(() => emit('step', by), EVERY_MS)
  }, HELD_AFTER_MS)
}
const end = () => clearTimeout(timer)
onBeforeUnmount(end)
const KEYS = [
  [-10, '\u2212 \u2212', 'much smaller'],
  [-1, '\u2212', 'smaller'],
  [1, '+', 'larger'],
  [10, '+ +', 'much larger'],
] as const
</script>

<template>
  <div class="steps" role="group" :aria-label="what">
    <button
      v-for="[by, sign, words] in KEYS"
      :key="by"
      type="button"
      class="step"
      :aria-label="`${what}: ${words}`"
      :data-step-by="by"
      @pointerdown="begin(by)"
      @pointerup="end"
      @pointerleave="end"
      @pointercancel="end"
      @keydown.enter.prevent="emit('step', by)"
      @keydown.space.prevent="emit('step', by)">
      {{ sign }}
    </button>
  </div>
</template>

<style scoped>
.steps {
  display: flex;
  gap: 10px;
}
.step {
  min-width: 64px;
  height: 56px;
  border: 1px solid var(--rule);
  font-size: 20px;
  font-weight: 700;
  text-align: center;
  touch-action: manipulation;
  user-select: none;
}
.step:hover {
  background: var(--paper2);
}
</style>
