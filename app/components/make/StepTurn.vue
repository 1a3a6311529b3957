<script setup lang="ts">
/** One step at a time, turned by wide zones; what stands between them is the slot's. */
defineProps<{ at: number; of: number }>()
const emit = defineEmits<{ turn: [by: number] }>()
</script>

<template>
  <div class="turn">
    <button type="button" :disabled="at === 0" data-test="step-back" @click="emit('turn', -1)">Back</button
    ><slot
      ><span class="t15 note">{{ at + 1 }} of {{ of }}</span></slot
    ><button type="button" :disabled="at >= of - 1" data-test="step-next" @click="emit('turn', 1)">Next</button>
  </div>
</template>

<style scoped>
.turn {
  display: grid;
  grid-template-columns: 1fr auto 1fr;
  gap: 18px;
  align-items: center;
  padding: 10px 18px;
}
.turn > button {
  min-height: 72px;
  border: 1px solid var(--rule);
  text-align: center;
  font-size: 20px;
  font-weight: 700;
}
.turn > button:disabled {
  color: var(--ink2);
  border-style: dashed;
}
.turn.thumb {
  gap: 10px;
  padding: 8px 12px;
}
</style>
