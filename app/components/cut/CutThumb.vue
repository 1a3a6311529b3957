<script setup lang="ts">
import type { CutRow } from '#core/cutting'

/** What the thumb does next on the phone; the question of a wrong cut stands in its place while it is asked. */
defineProps<{ row: CutRow | null; next: number; isAsking: boolean }>()
const emit = defineEmits<{ tick: []; wrong: []; finish: []; look: [row: number] }>()
</script>

<template>
  <div class="thumb">
    <slot v-if="isAsking" />
    <template v-else-if="row && !row.done"
      ><RuledButton size="xl" class="flex-1" data-test="tick-cut" @click="emit('tick')"
        >{{ row.piece.name }} is cut</RuledButton
      ><RuledButton size="xl" variant="outline" data-test="wrong-cut" @click="emit('wrong')"
        >Wrong</RuledButton
      ></template
    >
    <RuledButton v-else-if="next < 0" size="xl" class="flex-1" data-test="finish" @click="emit('finish')"
      >Rests to the rack</RuledButton
    >
    <RuledButton v-else size="xl" class="flex-1" @click="emit('look', next)">To the next cut</RuledButton>
  </div>
</template>

<style scoped>
.thumb {
  position: sticky;
  bottom: var(--foot, 0px);
  background: var(--paper);
  border-top: 1px solid var(--rule);
  display: flex;
  gap: 12px;
  padding: 10px 12px;
  z-index: 2;
}
.thumb :deep(.wrong) {
  border: 0;
  margin: 0;
  padding: 0;
  width: 100%;
}
</style>
