<script setup lang="ts">
import type { TimerRecord } from '#core/record'

/** A wait by the clock: figure, and a bar that empties; it may be ended early by hand. */
const props = defineProps<{ timer: TimerRecord | undefined; seconds: number; label: string; locked: boolean }>()
const emit = defineEmits<{ start: []; stop: []; early: [] }>()
const left = useWait(() => props.timer)
const share = computed(() => (left.value === null ? 1 : left.value / props.seconds))
const words = computed(() => {
  if (left.value === null) return 'to wait, typical'
  return left.value === 0 ? 'over; feel it before you go on' : `left of ${formatClock(props.seconds)}`
})
</script>

<template>
  <div class="wait" role="timer" :aria-label="label">
    <div class="line">
      <b class="clock" :class="{ copper: left !== null && left > 0, verd: left === 0 }" data-test="clock">{{
        formatClock(left ?? seconds)
      }}</b>
      <span class="t17"
        >{{ words }}<span class="note t15 only-wide"><br />{{ label }}</span></span
      >
      <span class="keys">
        <RuledButton v-if="left === null" size="lg" :disabled="locked" data-test="start-wait" @click="emit('start')"
          >Start</RuledButton
        >
        <RuledButton
          v-else-if="left > 0"
          size="lg"
          variant="outline"
          :disabled="locked"
          data-test="early"
          @click="emit('early')"
          >Cold now</RuledButton
        >
        <button v-if="left !== null && left > 0" type="button" class="underline note min-h-11" @click="emit('stop')">
          stop
        </button>
      </span>
    </div>
    <svg width="100%" height="22" aria-hidden="true" preserveAspectRatio="none">
      <rect x="0" y="2" width="100%" height="18" fill="var(--paper2)" stroke="var(--rule)" />
      <rect x="0" y="2" :width="`${share * 100}%`" height="18" fill="url(#hatch-wait)" />
      <rect :x="`${share * 100}%`" y="0" width="3.5" height="22" fill="var(--copper)" />
    </svg>
  </div>
</template>

<style scoped>
.wait {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.line {
  display: flex;
  align-items: center;
  gap: 18px;
}
.clock {
  font-size: 72px;
  line-height: 1;
  letter-spacing: -0.03em;
}
.keys {
  margin-left: auto;
  display: flex;
  flex-direction: column;
  align-items: flex-end;
}
@media (max-width: 899px) {
  .clock {
    font-size: 52px;
  }
  .line {
    gap: 12px;
  }
}
</style>
