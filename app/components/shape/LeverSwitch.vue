<script setup lang="ts">
/** A condition as a quarter-turn lever: in line with the pipe is on, across is off. */
defineProps<{ label: string }>()
const on = defineModel<boolean>({ required: true })
</script>

<template>
  <button type="button" role="switch" :aria-checked="on" class="lever" :class="{ on }" @click="on = !on">
    <svg width="38" height="22" viewBox="0 0 38 22" aria-hidden="true">
      <path d="M0 12H10M28 12H38" class="l-thin" />
      <circle cx="19" cy="12" r="6" class="l-thin" />
      <rect v-if="on" x="14" y="9.5" width="22" height="5" fill="var(--copper)" />
      <rect v-else x="16.5" y="-1" width="5" height="15" fill="var(--ink2)" />
    </svg>
    <span>{{ label }}</span>
  </button>
</template>

<style scoped>
.lever {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
  color: var(--ink2);
  white-space: nowrap;
}
.lever.on {
  color: var(--ink);
  font-weight: 700;
}
</style>
