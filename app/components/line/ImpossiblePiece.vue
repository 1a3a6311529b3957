<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import { radiusOf, tangentOf } from '#core/line'
import { plainMessage, type RunRow, type WayOut } from '#core/run'
import { formatDecimal, formatLength, type UnitSystem } from '#core/units'
import type { ShownPiece } from '~/composables/useLine'

/** A piece that cannot be made: why, where its bends overlap, and ways out. */
const props = defineProps<{
  shown: ShownPiece
  row: RunRow | undefined
  issue: string | null
  waysOut: readonly WayOut[]
  hasBender: boolean
  radius: number | null
  pipe: string
  system: UnitSystem
}>()
const emit = defineEmits<{ take: [legs: string[]] }>()
const step = computed(() => props.row?.leg?.offset ?? null)
const clash = computed(() => {
  if (!step.value || step.value.by === 'elbows') return null
  const pipe = getPipe(props.row?.leg?.pipe ?? props.pipe)
  const radius = props.radius ?? radiusOf(pipe, undefined)?.value
  if (radius == null) return null
  const { angle } = step.value
  const set = Math.hypot(step.value.set.mm, step.value.roll?.mm ?? 0)
  return {
    set,
    angle,
    radius,
    od: pipe.od,
    travel: set / Math.sin((angle * Math.PI) / 180),
    tangent: tangentOf(radius, angle),
  }
})
const mm = (value: number) =>
  value < 0 ? `\u2212${formatLength(-value, props.system)}` : formatLength(value, props.system)
</script>

<template>
  <h2 class="t20 w7 flex gap-2 items-center"><StatusShape status="refused" :size="20" /> Impossible so</h2>
  <p class="t15 mt-1" data-test="impossible">{{ issue ?? plainMessage(shown.issue!) }}</p>
  <template v-if="clash">
    <table class="sum">
      <tbody>
        <tr>
          <td class="op" />
          <td>travel, {{ mm(clash.set) }} ÷ sin {{ formatDecimal(clash.angle, 1) }}°</td>
          <td class="v">{{ mm(clash.travel) }}</td>
          <td class="src">the step aside</td>
        </tr>
        <tr v-for="i in [1, 2]" :key="i">
          <td class="op">−</td>
          <td>bend {{ i }}, {{ mm(clash.radius) }} × tan {{ formatDecimal(clash.angle / 2, 1) }}°</td>
          <td class="v">{{ mm(clash.tangent) }}</td>
          <td class="src">{{ hasBender ? 'your test bend' : 'typical' }}</td>
        </tr>
        <tr class="total">
          <td class="op" />
          <td>straight between</td>
          <td class="v brick">{{ mm(clash.travel - 2 * clash.tangent) }}</td>
          <td class="src">0 or more</td>
        </tr>
      </tbody>
    </table>
    <OffsetDetail
      :set="clash.set"
      :angle="clash.angle"
      :radius="clash.radius"
      :od="clash.od"
      :system="system"
      :width="380"
      :height="160" />
  </template>
  <h3 v-if="waysOut.length" class="zone-heading mt-3">Ways out, each tried on the whole run</h3>
  <ul>
    <li v-for="way in waysOut" :key="way.name" class="way" data-test="way-out">
      <div>
        <b class="t17">{{ way.name }}</b>
        <p class="t14">{{ way.text }}</p>
      </div>
      <div class="text-right">
        <b class="t26 copper"><TapeFigure :mm="way.cut" :system="system" /></b> <span class="note t13">cut</span>
      </div>
      <RuledButton variant="outline" @click="emit('take', way.legs)">Take it</RuledButton>
    </li>
  </ul>
</template>

<style scoped src="./sum-table.css"></style>

<style scoped>
.way {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 12px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
