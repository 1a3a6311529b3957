<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import type { CutRecord, SheetPieces } from '#core/record'
import { formatLength, type UnitSystem } from '#core/units'

/** A sheet without a plan: what there is to cut, from what, and which pieces wait for a figure. */
const props = defineProps<{ sheet: CutRecord; pieces: SheetPieces; onRack: number; system: UnitSystem }>()
const emit = defineEmits<{ plan: []; pieces: [] }>()
const counted = computed(() => {
  const { pieces, waiting } = props.pieces
  const many = pieces.length || (waiting.length > 0 ? 'No' : 0)
  return `${many} ${pieces.length === 1 ? 'piece' : 'pieces'}`
})
const words = computed(() => {
  const { pieces, waiting } = props.pieces
  if (pieces.length === 0)
    return waiting.length > 0 ? 'None of them can be cut yet.' : 'Take in a line, or type pieces, under Pieces.'
  const sum = pieces.reduce((all, { length }) => all + length, 0)
  const stock = props.sheet.stock.map((one) => one.length).join(', ') || 'no stock yet'
  return `${formatLength(sum, props.system)} in all, from ${stock}${props.onRack > 0 ? ` and ${props.onRack} on the rack` : ''}.`
})
</script>

<template>
  <div class="p-5 space-y-3">
    <p class="t20 w7">{{ counted }} of {{ getPipe(sheet.pipe).label }}</p>
    <p class="t15">
      {{ words }}
    </p>
    <ul v-if="pieces.waiting.length" data-test="waiting">
      <li v-for="(one, i) in pieces.waiting.slice(0, 8)" :key="i" class="t15 flex gap-2">
        <StatusShape status="held" :size="15" class="mt-[3px] flex-none" /><span
          ><b>{{ one.name }}</b> waits: {{ one.why }}</span
        >
      </li>
    </ul>
    <div class="flex gap-3">
      <RuledButton v-if="pieces.pieces.length" size="lg" data-test="plan" @click="emit('plan')"
        >Plan the cuts <kbd>C</kbd></RuledButton
      ><RuledButton v-else size="lg" data-test="to-pieces" @click="emit('pieces')">To the pieces</RuledButton>
    </div>
  </div>
</template>
