<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import type { BenchPlan, CutRow, DoneCut } from '#core/cutting'
import type { CutRecord, OffcutRecord, SheetPieces } from '#core/record'
import type { UnitSystem } from '#core/units'
import { cutterText } from '~/wording/cut'

/** The bars of a plan to scale with their cuts; what there is to plan while there is none. */
defineProps<{
  sheet: CutRecord
  plan: BenchPlan | null
  pieces: SheetPieces | null
  done: readonly DoneCut[]
  rows: readonly CutRow[]
  at: number
  next: number
  rack: readonly OffcutRecord[]
  /** How many offcuts of the rack may be taken. */
  onRack: number
  system: UnitSystem
  isPhone: boolean
}>()
const emit = defineEmits<{ plan: []; pieces: []; look: [index: number] }>()
const bars = useTemplateRef<HTMLElement>('bars')
const { width } = useElementSize(bars)
</script>

<template>
  <div ref="bars" class="bars">
    <template v-if="plan">
      <p v-if="!isPhone" class="t13 note w6 head">
        <span>Lengths to scale, thickness not. {{ cutterText(sheet.cutter, plan.kerf, system) }}</span
        ><button v-if="!sheet.result" type="button" class="underline" data-test="plan" @click="emit('plan')">
          plan again <kbd>C</kbd>
        </button>
      </p>
      <CutBars
        v-if="width > 0"
        :plan="plan"
        :done="done"
        :rows="rows"
        :at="at"
        :next="next"
        :rack="rack"
        :system="system"
        :width="Math.floor(width)"
        :only-bar="isPhone ? rows[at]?.bar.id : undefined"
        @look="emit('look', $event)" />
    </template>
    <CutUnplanned
      v-else-if="pieces"
      :sheet="sheet"
      :pieces="pieces"
      :on-rack="onRack"
      :system="system"
      @plan="emit('plan')"
      @pieces="emit('pieces')" />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  padding: 6px 18px 4px;
}
.bars {
  flex: 1;
  overflow-y: auto;
  overflow-x: hidden;
  min-height: 0;
}
@media (max-width: 899px) {
  .bars {
    overflow: visible;
    flex: none;
    order: 1;
  }
}
</style>
