<script setup lang="ts">
import type { JointRecord } from '#core/record'

/**
 * The same on a phone, under the thumb: one step at a time with back and next beside it, or the step and the signature.
 */
defineProps<{
  joint: JointRecord
  current: number
  left: number
  isHeld: boolean
  canSign: boolean
  isSingle: boolean
  /** The step in view, where one stands alone. */
  viewed: number
  steps: number
}>()
const emit = defineEmits<{ tick: []; nextEnd: []; sign: []; turn: [by: number] }>()
</script>

<template>
  <StepTurn v-if="isSingle && left > 0" class="thumb" :at="viewed" :of="steps" @turn="emit('turn', $event)"
    ><RuledButton
      size="xl"
      data-test="tick-current"
      :disabled="current >= 0 && isHeld"
      @click="current >= 0 ? emit('tick') : emit('nextEnd')"
      >{{ current >= 0 ? `Done: ${current + 1}` : 'Next end' }}</RuledButton
    ></StepTurn
  >
  <div v-else class="thumb">
    <RuledButton
      v-if="left > 0"
      size="xl"
      class="flex-1"
      data-test="tick-current"
      :disabled="current >= 0 && isHeld"
      @click="current >= 0 ? emit('tick') : emit('nextEnd')"
      >{{ current >= 0 ? `Done: step ${current + 1}` : 'Next end' }}</RuledButton
    >
    <RuledButton
      size="xl"
      :class="left > 0 ? '' : 'flex-1'"
      :variant="left > 0 ? 'outline' : 'solid'"
      :disabled="!canSign"
      data-test="open-sign"
      @click="emit('sign')"
      >Sign J{{ joint.number }}</RuledButton
    >
  </div>
</template>

<style scoped>
.thumb {
  position: sticky;
  bottom: var(--foot, 0px);
  background: var(--paper);
  border-top: 1px solid var(--rule);
}
div.thumb:not(.turn) {
  display: flex;
  gap: 12px;
  padding: 10px 12px;
}
</style>
