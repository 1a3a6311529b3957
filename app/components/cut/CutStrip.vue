<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { getPipe } from '#core/catalogue'
import type { Policy } from '#core/joints'
import type { RunPiece } from '#core/run'
import type { UnitSystem } from '#core/units'

/** The piece to cut as it lies on the bench, with its marks. */
defineProps<{ name: string; pipe: string; piece: RunPiece; system: UnitSystem; school: Policy['bendMark'] }>()
const isReversed = defineModel<boolean>('reversed', { required: true })
const strip = useTemplateRef<HTMLElement>('strip')
const { width: stripWidth } = useElementSize(strip)
</script>

<template>
  <div ref="strip" class="strip">
    <p class="t13 strip-head">
      <span class="note w6">Strip: {{ name }}, {{ piece.from }} to {{ piece.to }}, {{ getPipe(pipe).label }}</span
      ><button type="button" class="underline" :aria-pressed="isReversed" @click="isReversed = !isReversed">
        {{ isReversed ? 'from the other end' : 'reverse' }} <kbd>R</kbd>
      </button>
    </p>
    <PieceStrip
      v-if="stripWidth > 0"
      :piece="piece.piece"
      :from="piece.from"
      :to="piece.to"
      :system="system"
      :width="Math.floor(stripWidth)"
      :is-reversed="isReversed"
      :is-phone="false"
      :school="school" />
  </div>
</template>

<style scoped>
.strip {
  min-width: 0;
  overflow: hidden;
}
.strip-head {
  display: flex;
  justify-content: space-between;
  padding: 5px 18px 0;
  min-height: 26px;
}
</style>
