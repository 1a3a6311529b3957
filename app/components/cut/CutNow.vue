<script setup lang="ts">
import type { CutRow } from '#core/cutting'
import type { UnitSystem } from '#core/units'

/** The cut to make now, the largest thing on the phone. */
defineProps<{
  row: CutRow
  from: string
  made: number
  of: number
  system: UnitSystem
  /** How far apart the marks printed on the pipe are, mm; null where it has none. */
  every: number | null
}>()
</script>

<template>
  <div class="now" data-test="phone-cut">
    <template v-if="!row.done"
      ><span class="t17 w6">{{ row.piece.name }}, off {{ from }}</span
      ><b class="big copper"><TapeFigure :mm="row.length" :system="system" /></b
      ><span class="t15"
        >mark at <b><TapeFigure :mm="row.to" :system="system" /></b> from its left end; {{ made }} of {{ of }} cut</span
      ><PrintedMark v-if="every !== null" :place="row.to" :every="every" :system="system"
    /></template>
    <template v-else
      ><span class="t17 w6">{{ row.piece.name }} {{ row.isSlip ? 'came out at' : 'is cut' }}</span
      ><b class="big"><TapeFigure :mm="row.length" :system="system" /></b
      ><span class="t15">{{ made }} of {{ of }} cut</span></template
    >
  </div>
</template>

<style scoped>
.now {
  display: flex;
  flex-direction: column;
  align-items: center;
  padding: 10px 12px 4px;
  text-align: center;
}
.big {
  font-size: 72px;
  line-height: 1;
  letter-spacing: -0.03em;
}
</style>
