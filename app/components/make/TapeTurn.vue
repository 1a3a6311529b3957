<script setup lang="ts">
import { useStorage } from '@vueuse/core'

/** Which way thread tape is wound, drawn for the hand: over the top away from you with the open end to the right. */
const isLeft = useStorage('jolvet-open-end-left', false)
const words = computed(() =>
  isLeft.value
    ? 'Open end to your left: over the top, towards you.'
    : 'Open end to your right: over the top, away from you.',
)
const threads = Array.from({ length: 9 }, (_, i) => 92 + i * 12)
</script>

<template>
  <figure class="tape-turn" data-test="tape-turn">
    <svg
      width="320"
      height="112"
      viewBox="0 0 320 112"
      role="img"
      :aria-label="`${words} Clockwise seen from the open end.`">
      <g :transform="isLeft ? 'translate(220 0) scale(-1 1)' : ''">
        <path d="M2 36H76M2 80H76" class="l-edge" />
        <path d="M76 28H196V88H76Z" fill="var(--paper)" class="l-edge" />
        <path v-for="x in threads" :key="x" :d="`M${x} 28l-7 60`" class="l-dim2" />
        <rect x="96" y="28" width="64" height="60" fill="url(#hatch-selected)" opacity=".5" />
        <ellipse cx="196" cy="58" rx="11" ry="30" fill="var(--paper2)" class="l-edge" />
        <path d="M128 88C146 78 146 38 128 28" fill="none" stroke="var(--copper)" stroke-width="5" />
        <path
          d="M128 28C112 36 112 80 128 88"
          fill="none"
          stroke="var(--copper)"
          stroke-width="2"
          stroke-dasharray="5 4" />
        <path
          v-if="!isLeft"
          d="M127 18l-1 11l13 4"
          transform="rotate(-28 128 28)"
          fill="none"
          stroke="var(--copper)"
          stroke-width="3.5" />
        <path
          v-else
          d="M139 83l-12 5l2 12"
          transform="rotate(28 128 88)"
          fill="none"
          stroke="var(--copper)"
          stroke-width="3.5" />
      </g>
      <text :x="isLeft ? 218 : 2" y="18" class="t13 note">the pipe</text>
      <text :x="isLeft ? 2 : 210" y="18" class="t13 note">{{ isLeft ? '' : 'open end' }}</text>
      <text v-if="isLeft" x="2" y="106" class="t13 note">open end</text>
    </svg>
    <figcaption class="t15">
      <b>{{ words }}</b> Clockwise seen from the open end: screwing on then draws it tight.
      <button type="button" class="underline min-h-9" data-test="tape-hand" @click="isLeft = !isLeft">
        Open end to your {{ isLeft ? 'right' : 'left' }}
      </button>
    </figcaption>
  </figure>
</template>

<style scoped>
.tape-turn {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.tape-turn svg {
  max-width: 100%;
}
@media (max-width: 899px), (pointer: coarse) {
  .tape-turn button {
    min-height: 44px;
  }
}
</style>
