<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import { solderByVolume, SOLDER_GAP_MM } from '#core/joints'
import type { MakeCard } from '#core/making'
import { formatLength, type Region, unitSystemOf } from '#core/units'
import { speak } from '#core/speech'
import { diameterText } from '~/reading/format'

/** What is used up at one end; solder wire by the rule of the trade and by the volume of its gap. */
const props = defineProps<{ card: MakeCard; region: Region; depthMm: number | null }>()
const system = computed(() => unitSystemOf(props.region))
const consumables = computed(() => (props.card.answer.ok ? props.card.answer.value.consumables : []))
const byVolume = computed(() => {
  const { method, pipe } = props.card.joint
  return method === 'solder' && pipe !== null && props.depthMm !== null
    ? solderByVolume(getPipe(pipe).od, props.depthMm, system.value)
    : null
})
function quantity(n: number, unit: string): string {
  if (unit !== 'mm') return `${n} ${unit}`
  // Wire is fed by the eye: whole millimetres.
  return formatLength(Math.round(n), system.value)
}
</script>

<template>
  <div v-if="consumables.length">
    <h2 class="zone-heading">Take for this end</h2>
    <ul class="t15">
      <li v-for="one in consumables" :key="one.item">
        {{ speak(one.item, region) }}: <b>{{ quantity(one.quantity, one.unit) }}</b><template
          v-if="byVolume !== null && one.item.includes('solder wire')">
          by the rule of the trade, as long as its nominal size;
          <b data-test="solder-volume">{{ quantity(byVolume, 'mm') }}</b> by a gap of
          {{ diameterText(SOLDER_GAP_MM.value, system) }} each side, twice for fillet and waste</template
        >
      </li>
    </ul>
  </div>
</template>
