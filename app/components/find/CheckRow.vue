<script setup lang="ts">
import { tellingWords } from '~/wording/find'
/** Head of one check: whether it is answered, with what, or how much doubt it would take away. */
defineProps<{
  name: string
  label: string
  answer: string | null
  hint: string
  bits: number
  most: number
  isBest: boolean
  isOpen: boolean
  /** What it is for, where it does not tell which pipe it is. */
  aside?: string
  isBarred?: boolean
}>()
const emit = defineEmits<{ toggle: [] }>()
</script>

<template>
  <button type="button" class="check" :aria-expanded="isOpen" :data-check="name" @click="emit('toggle')">
    <span class="flex items-center gap-2"
      ><StatusShape :status="answer === null ? 'planned' : 'made'" :size="14" /><span :class="{ w7: isBest }">{{
        label
      }}</span
      ><b v-if="answer !== null" class="ml-auto">{{ answer }}</b
      ><kbd v-else-if="hint" class="ml-auto only-wide">{{ hint }}</kbd></span
    >
    <svg v-if="answer === null" width="240" height="13" aria-hidden="true" class="ml-[22px] mt-1">
      <text v-if="isBarred" x="0" y="11" class="t13 note">cannot be checked here</text>
      <text v-else-if="aside" x="0" y="11" class="t13 note">{{ aside }}</text>
      <template v-else>
        <rect
          x="0"
          y="2"
          :width="Math.max(3, (bits / most) * 170)"
          height="8"
          :fill="isBest ? 'url(#hatch-selected)' : 'var(--paper)'"
          :stroke="isBest ? 'var(--copper)' : 'var(--ink)'"
          stroke-width="1.25" />
        <text :x="(bits / most) * 170 + 8" y="11" class="t13 note">
          {{ tellingWords(bits, most) }}
        </text>
      </template>
    </svg>
  </button>
</template>

<style scoped>
.check {
  width: 100%;
  min-height: 44px;
  padding: 7px 18px 6px;
  font-size: 16px;
}
.check:hover {
  background: var(--paper2);
}
</style>
