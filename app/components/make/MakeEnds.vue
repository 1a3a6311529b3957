<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import { ALL_METHODS } from '#core/joints'
import type { MakeCard } from '#core/making'
import type { JointRecord, JointStatus } from '#core/record'
import { methodWords } from '~/wording/en'
import { degreesOf, degreesSpoken, readAir, temperatureField } from '~/reading/air'
import type { UnitSystem } from '#core/units'

/**
 * The ends of a joint in the order they are made, and what is asked of the place: its air, the torch, how the pipe runs.
 */
const props = defineProps<{
  joint: JointRecord
  cards: readonly MakeCard[]
  card: MakeCard
  openSteps: (card: MakeCard) => number
  isSigned: boolean
  system: UnitSystem
  /** Whether the next step is read aloud; null where the browser has no voice. */
  isAloud: boolean | null
}>()
const emit = defineEmits<{
  choose: [place: number]
  aloud: []
  air: [degC: JointRecord['ambient']]
  torch: [gas: NonNullable<JointRecord['torch']>]
  orientation: [runs: JointRecord['orientation']]
}>()
/** Whether the steps stand one at a time. */
const isSingle = defineModel<boolean>('single', { required: true })
const methods = computed(() => new Set(props.cards.map(({ joint: { method } }) => method)))
const hasAir = computed(() => [...methods.value].some((method) => ALL_METHODS[method].goesByAir))
const airProblem = (text: string) => readAir(text, props.system).problem
const what = (pipe: string | null, size?: string) => (pipe ? getPipe(pipe).label : `${size} thread`)
function statusOfEnd(card: MakeCard): JointStatus {
  const open = props.openSteps(card)
  if (open === 0) return 'made'
  return card.answer.ok && open < card.answer.value.steps.length ? 'dry-fitted' : 'planned'
}
</script>

<template>
  <div class="entries" role="group" aria-label="Ends of this joint">
    <button
      v-for="(one, i) in cards"
      :key="one.entry"
      type="button"
      class="choice"
      :aria-pressed="one.entry === card.entry"
      :data-entry="one.entry"
      :data-done="openSteps(one) === 0"
      @click="emit('choose', i)">
      <StatusShape :status="statusOfEnd(one)" :size="14" class="inline" />
      {{ i + 1 }} of {{ cards.length }}: {{ what(one.joint.pipe, one.joint.thread?.size) }},
      {{ methodWords(one.joint.method) }}
    </button>
    <label v-if="hasAir" class="air t14"
      >air
      <KeptField
        class="w7"
        :value="temperatureField(joint.ambient, system)"
        :placeholder="temperatureField(20, system)"
        :check="airProblem"
        :disabled="isSigned"
        inputmode="text"
        maxlength="12"
        :aria-label="`Air, ${degreesSpoken(system)}`"
        data-test="air"
        @keep="(text) => emit('air', readAir(text, system).value)" />
      {{ degreesOf(system) }}</label
    >
    <button
      v-if="methods.has('solder')"
      type="button"
      class="choice"
      :disabled="isSigned"
      data-test="torch"
      @click="emit('torch', joint.torch === 'propylene' ? 'propane' : 'propylene')">
      torch: {{ joint.torch ?? 'propane' }}; change
    </button>
    <button
      v-if="methods.has('solder')"
      type="button"
      class="choice"
      :disabled="isSigned"
      data-test="orientation"
      @click="emit('orientation', joint.orientation === 'horizontal' ? 'vertical' : 'horizontal')">
      the pipe runs {{ joint.orientation }}; turn
    </button>
    <button type="button" class="choice" :aria-pressed="isSingle" data-test="one-step" @click="isSingle = !isSingle">
      {{ isSingle ? 'all steps' : 'one step at a time' }} <kbd>O</kbd>
    </button>
    <button
      v-if="isAloud !== null"
      type="button"
      class="choice"
      :aria-pressed="isAloud"
      data-test="aloud"
      @click="emit('aloud')">
      read aloud <kbd class="only-wide">A</kbd>
    </button>
  </div>
</template>

<style scoped>
.entries {
  display: flex;
  gap: 0 22px;
  padding: 4px 18px;
  border-bottom: 1px solid var(--hair);
  /* More than goes into a line stands below it: nothing runs off the edge. */
  flex-wrap: wrap;
}
.entries > :deep(*) {
  max-width: 100%;
}
.air {
  display: inline-flex;
  gap: 6px;
  align-items: baseline;
}
.air :deep(input) {
  width: 52px;
  text-align: center;
}
@media (max-width: 899px) {
  .entries {
    padding: 4px 12px;
  }
}
</style>
