<script setup lang="ts">
import type { Conditions } from '#core/joints'
import { parsePressure, type UnitSystem } from '#core/units'
import { degreesOf, degreesSpoken, readAir, temperatureField } from '~/reading/air'
import { bare, unitName } from '~/reading/format'

/** How warm the line runs and under what pressure, typed in either unit; left empty, the service's usual. */
const props = defineProps<{ conditions: Conditions; system: UnitSystem }>()
const emit = defineEmits<{ set: [name: 'temperature' | 'pressure', value: number | undefined] }>()
const RANGE = { least: -20, most: 150 }
/** bar: what a way can be asked for. */
const MOST_BAR = 100

function pressureProblem(text: string): string | null {
  if (text.trim() === '') return null
  const read = parsePressure(text, props.system)
  if (!read.ok) return read.error.message
  return read.value > MOST_BAR
    ? `Up to ${bare('pressure', MOST_BAR, props.system)} ${unitName('pressure', props.system)}.`
    : null
}
function setPressure(text: string) {
  const read = text.trim() === '' ? null : parsePressure(text, props.system)
  emit('set', 'pressure', read?.ok ? read.value : undefined)
}
</script>

<template>
  <span class="fields"
    ><KeptField
      class="t17 w7 field"
      :value="temperatureField(conditions.temperature, system)"
      :check="(text) => readAir(text, system, RANGE).problem"
      maxlength="12"
      :aria-label="`Water temperature, ${degreesSpoken(system)}`"
      data-test="service-temperature"
      @keep="(text) => emit('set', 'temperature', readAir(text, system, RANGE).value ?? undefined)" /><span
      class="note t14"
      >{{ degreesOf(system) }}</span
    ><KeptField
      class="t17 w7 field"
      :value="bare('pressure', conditions.pressure, system)"
      :check="pressureProblem"
      maxlength="12"
      :aria-label="`Pressure, ${unitName('pressure', system)}`"
      data-test="service-pressure"
      @keep="setPressure" /><span class="note t14">{{ unitName('pressure', system) }}</span></span
  >
</template>

<style scoped>
.fields {
  display: flex;
  gap: 6px;
  align-items: baseline;
}
.fields :deep(.field) {
  width: 52px;
  text-align: center;
  border-bottom: 2px solid var(--ink);
}
</style>
