<script setup lang="ts">
import type { JointRecord } from '#core/record'

/** What a hand does next at an end: the step is done, the next end, the joint is signed. */
defineProps<{
  joint: JointRecord
  /** The joint that is made after this one. */
  next: JointRecord | undefined
  /** The step to do now; -1 where the end is done. */
  current: number
  /** Steps to go of the whole joint. */
  left: number
  isHeld: boolean
  canSign: boolean
}>()
const emit = defineEmits<{ tick: []; nextEnd: []; sign: [] }>()
</script>

<template>
  <RuledButton v-if="current >= 0" size="xl" block data-test="tick-current" :disabled="isHeld" @click="emit('tick')"
    >Done: step {{ current + 1 }} <kbd>Space</kbd></RuledButton
  >
  <RuledButton v-else-if="left > 0" size="xl" block data-test="next-entry" @click="emit('nextEnd')"
    >Next end</RuledButton
  >
  <RuledButton size="xl" block :disabled="!canSign" data-test="open-sign" @click="emit('sign')"
    ><span>Sign J{{ joint.number }}{{ next ? `, then J${next.number}` : '' }}</span
    ><span v-if="left > 0" class="t15 font-normal">{{ left }} step{{ left === 1 ? '' : 's' }} to go</span></RuledButton
  >
</template>
