<script setup lang="ts">
import type { Result } from '#core/base'
import type { LineFlow } from '#core/flow'
import type { FixedLine } from '#core/supports'
import type { UnitSystem } from '#core/units'
import { legNameOf } from '~/wording/fix'
import { bare, formatReading, inUnits, unitName, unitOf } from '~/reading/format'

/** Speed and pressure along a line at its flow, leg by leg. */
const props = defineProps<{ fixed: FixedLine; flow: Result<LineFlow | null> | null; system: UnitSystem }>()
const legName = (index: number) => legNameOf(props.fixed, index)
const { show } = useWorking()
const cautions = computed(() => {
  if (!props.flow?.ok || !props.flow.value) return []
  const all = props.flow.value.legs.flatMap(({ answer }) => answer.cautions)
  return all.filter((one, i) => all.findIndex(({ code }) => code === one.code) === i)
})
function showFlow(index: number) {
  if (!props.flow?.ok || !props.flow.value) return
  const { answer, leg } = props.flow.value.legs[index]!
  show({
    title: `Flow, ${legName(leg)}`,
    source: answer.limitSource,
    lines: answer.working,
    notes: answer.cautions.map(({ text }) => text),
  })
}
</script>

<template>
  <template v-if="flow && !flow.ok"
    ><p class="brick t15" role="status">{{ flow.error.message }}</p></template
  >
  <template v-else-if="flow?.value">
    <h2 class="zone-heading">
      Flow, {{ inUnits('flow', flow.value.flow, system) }}: lost
      <b data-test="flow-drop">{{ inUnits('pressure', flow.value.drop, system) }}</b> in all
    </h2>
    <table data-test="flow-legs">
      <thead>
        <tr>
          <th class="l">leg</th>
          <th>bore, {{ unitOf(system) }}</th>
          <th>speed, {{ unitName('speed', system) }}</th>
          <th>limit</th>
          <th>lost, {{ unitName('pressure', system) }}</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="(one, i) in flow.value.legs" :key="one.leg">
          <td class="l">
            <button type="button" class="figure-button" @click="showFlow(i)">{{ legName(one.leg) }}</button>
          </td>
          <td>{{ formatReading(one.answer.boreUsed, system) }}</td>
          <td class="w7">{{ bare('speed', one.answer.velocity, system) }}</td>
          <td>{{ bare('speed', one.answer.limit, system) }}</td>
          <td class="w7">{{ bare('pressure', one.answer.drop, system) }}</td>
          <td>
            <StatusShape
              :status="one.answer.verdict === 'within' ? 'proved' : 'refused'"
              :size="15"
              :label="one.answer.verdict" />
          </td>
        </tr>
      </tbody>
    </table>
    <ul class="t14">
      <li v-for="one in cautions" :key="one.code" class="problem" :data-flow-caution="one.code">
        <StatusShape status="held" :size="14" /> <span>{{ one.text }}</span>
      </li>
    </ul>
  </template>
</template>

<style scoped src="./figure-table.css"></style>

<style scoped>
.zone-heading {
  margin-top: 8px;
}
.problem {
  display: flex;
  gap: 8px;
  align-items: baseline;
  padding: 2px 0;
}
</style>
