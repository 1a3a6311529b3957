<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import type { PipeWanted } from '#core/record'

/** Before the first sheet: what there is to cut. */
defineProps<{ wanted: readonly PipeWanted[] }>()
const emit = defineEmits<{ cut: [pipe: string]; new: [] }>()
</script>

<template>
  <div class="p-6 space-y-4">
    <svg width="420" height="60" role="img" aria-label="No cut sheet yet">
      <path d="M2 14H418V44H2Z" class="l-hidden" />
      <path d="M160 8V50M300 8V50" class="l-sel" stroke-dasharray="6 4" />
    </svg>
    <p class="t20 w7">Nothing to cut yet.</p>
    <p v-if="wanted.length === 0" class="t17">Draw a line and its pieces stand here; or type pieces at the bench.</p>
    <div class="flex gap-3 flex-wrap">
      <RuledButton
        v-for="one in wanted"
        :key="one.pipe"
        size="lg"
        :data-wanted="one.pipe"
        @click="emit('cut', one.pipe)"
        >Cut {{ one.pieces }} {{ one.pieces === 1 ? 'piece' : 'pieces' }} of {{ getPipe(one.pipe).label }}</RuledButton
      ><RuledButton
        size="lg"
        :variant="wanted.length ? 'outline' : 'solid'"
        data-test="first-sheet"
        @click="emit('new')"
        >Type pieces</RuledButton
      >
    </div>
  </div>
</template>
