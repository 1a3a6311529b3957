<script setup lang="ts">
import { isClosed, alongOf, drawApart, fillConditions, type End, type EndPlay, type Way } from '#core/joints'
import { conditionsNow, playOfEnd, type JointBody, type JointRecord } from '#core/record'
import type { UnitSystem } from '#core/units'
import { tapeWords } from '~/reading/format'

/** How far both ends move, under their drawing, and whether that lets the way looked at in. */
const props = defineProps<{ joint: JointRecord; way: Way | null; system: UnitSystem; isSigned: boolean }>()
const emit = defineEmits<{ change: [changes: Partial<JointBody>] }>()
const typedOf = (on: 'a' | 'b'): EndPlay => {
  const { play } = props.joint.conditions
  return typeof play === 'object' && play !== null ? (play[on] ?? {}) : playOfEnd({ ...props.joint, flex: {} }, on)
}
const ends = computed(() => ({ a: props.joint.a!, b: props.joint.b as End }))
const have = computed(() => alongOf(fillConditions(conditionsNow(props.joint))))
const need = computed(() => (props.way ? drawApart(props.way).need : null))
const words = computed(() => {
  const there = have.value === null ? 'free' : tapeWords(have.value, props.system)
  if (!props.way) return `drawn apart ${there}`
  if (need.value === null) return `a depth is to be measured; drawn apart ${there}`
  if (need.value === 0) return `nothing to draw apart; there is ${there}`
  return `to draw apart ${tapeWords(need.value, props.system)}; there is ${there}`
})
const isShort = computed(() => need.value !== null && have.value !== null && have.value < need.value)
function setPlay(on: 'a' | 'b', play: EndPlay) {
  const both = { a: typedOf('a'), b: typedOf('b'), [on]: play }
  const isEmpty = [both.a, both.b].every((one) => Object.keys(one).length === 0)
  const { play: _, ...others } = props.joint.conditions
  emit('change', { conditions: isEmpty ? others : { ...others, play: both } })
}
</script>

<template>
  <div v-if="joint.a && joint.b && !isClosed(joint.b)" class="both">
    <EndRoom
      v-for="on in ['a', 'b'] as const"
      :key="on"
      :class="on"
      :on="on"
      :end="ends[on]"
      :typed="typedOf(on)"
      :play="playOfEnd(joint, on)"
      :flex="joint.flex[on]"
      :system="system"
      :disabled="isSigned"
      @play="(play) => setPlay(on, play)"
      @flex="(flex) => emit('change', { flex: { ...joint.flex, ...flex } })" />
    <p class="sum t14" :class="isShort ? 'brick w6' : 'note'" data-test="draw-apart">{{ words }}</p>
  </div>
</template>

<style scoped>
.both {
  display: grid;
  grid-template-columns: 1fr auto 1fr;
  gap: 4px 16px;
  align-items: baseline;
  padding: 0 18px 8px;
}
.a {
  grid-column: 1;
}
.b {
  grid-column: 3;
  justify-content: flex-end;
}
.sum {
  grid-column: 2;
  grid-row: 1;
}
@media (max-width: 899px) {
  .both {
    grid-template-columns: 1fr;
    padding: 0 12px 8px;
  }
  .a,
  .b,
  .sum {
    grid-column: 1;
    grid-row: auto;
    justify-content: flex-start;
  }
}
</style>
