<script setup lang="ts">
import type { FixSettings } from '#core/record'
import { ARM_CONSTANT, EXPANSION, type FixedLine } from '#core/supports'
import { formatDecimal, type UnitSystem } from '#core/units'
import { legNameOf, spacingText } from '~/wording/fix'
import { diameterText, inUnits, rangeText } from '~/reading/format'

/** How much each corner moves, and whether its free arm is long enough for that. */
const props = defineProps<{ fixed: FixedLine; settings: FixSettings; system: UnitSystem }>()
const legName = (index: number) => legNameOf(props.fixed, index)
const length = (mm: number) => spacingText(mm, props.system)
const growthUnit = computed(() => (props.system === 'inch' ? 'in/(100 ft \u00b0F)' : 'mm/(m K)'))
const growthText = (alpha: number) =>
  props.system === 'inch' ? formatDecimal((alpha * 1.2) / 1.8, 3) : formatDecimal(alpha, 3)
const { show } = useWorking()
function showGrowth(leg: number) {
  const one = props.fixed.expansion.find((expansion) => expansion.leg === leg)!
  const { pipe, length: long } = props.fixed.survey.laid[leg]!
  const alpha = EXPANSION[pipe.family]!
  const constant = ARM_CONSTANT[pipe.family]
  const warmer = props.settings.temperature - props.settings.installedAt
  show({
    title: `Growth, ${legName(leg)}`,
    source: `${alpha.source}: ${growthText(alpha.lo)} to ${growthText(alpha.hi)} ${growthUnit.value}${constant ? `; arm ${constant.source}: C ${constant.lo} to ${constant.hi}` : ''}`,
    lines: [
      { text: pipe.label, op: '=', value: long / 1000, unit: 'm' },
      { text: 'expansion', op: 'x', value: alpha.value, unit: 'mm/(m K)', source: alpha.source },
      {
        text: `${inUnits('temperature', props.settings.installedAt, props.system)} to ${inUnits('temperature', props.settings.temperature, props.system)}`,
        op: 'x',
        value: warmer,
        unit: 'K',
      },
      { text: 'grows, in all', op: '=', value: one.change, unit: 'mm' },
      ...(constant && one.arm !== null
        ? [
            {
              text: `free arm, ${constant.value} \u00D7 root of ${diameterText(pipe.od, props.system)} outside \u00D7 that`,
              op: '=' as const,
              value: one.arm,
              unit: 'mm',
              source: constant.source,
            },
          ]
        : []),
    ],
    notes: [
      `By the ranges it grows ${rangeText(one.changeLo, one.changeHi, props.system)}.`,
      one.lo !== null && one.hi !== null
        ? `The arm is then ${rangeText(one.lo, one.hi, props.system)}.`
        : 'No arm constant is held for it.',
      'A free cantilever arm. An anchor on the leg shares its growth between both ends.',
    ],
  })
}
</script>

<template>
  <template v-if="fixed.arms.length">
    <h2 class="zone-heading">Growth at the corners, and its free arm</h2>
    <table data-test="arms">
      <thead>
        <tr>
          <th class="l">end</th>
          <th>grows</th>
          <th>arm needs</th>
          <th>arm has</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="arm in fixed.arms" :key="`${arm.leg}${arm.end}`">
          <td class="l">
            <button type="button" class="figure-button" @click="showGrowth(arm.leg)">
              {{ legName(arm.leg) }}, {{ arm.end === 'end' ? 'far' : 'near' }} end
            </button>
          </td>
          <td class="w7">{{ length(arm.grows) }}</td>
          <td class="w7">{{ length(arm.needs) }}</td>
          <td class="w7">{{ length(arm.has) }}</td>
          <td>
            <StatusShape
              :status="arm.has >= arm.needs ? 'proved' : 'held'"
              :size="15"
              :label="arm.has >= arm.needs ? 'free' : 'short'" />
          </td>
        </tr>
      </tbody>
    </table>
  </template>
  <p v-else class="note t14">Nothing moves by more than 1 mm between these temperatures, or no corner shares it.</p>
</template>

<style scoped src="./figure-table.css"></style>

<style scoped>
.zone-heading {
  margin-top: 8px;
}
</style>
