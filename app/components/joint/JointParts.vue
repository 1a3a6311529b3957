<script setup lang="ts">
import { isClosed, isOneWay } from '#core/joints'
import { appliancesIn, getPipe, isSmallTube, type Valve } from '#core/catalogue'
import type { JobRecord, JointBody, JointRecord } from '#core/record'
import { VALVE_NAMES, valvesOf } from '~/wording/valve'

/** What the other end is, and what stands between the two. */
const props = defineProps<{ job: JobRecord; joint: JointRecord; isSigned: boolean }>()
const emit = defineEmits<{ change: [changes: Partial<JointBody>]; pick: [what: 'pipe' | 'thread'] }>()

const other = computed(() => {
  const { b } = props.joint
  if (b === null) return null
  if (isClosed(b)) return 'cap'
  return 'pipe' in b ? 'pipe' : 'thread'
})
const close = () => {
  if (other.value !== 'cap') emit('change', { b: { cap: true }, findB: null })
}
const valves = computed(() => valvesOf(props.job.region))
const kind = computed(() => props.joint.valve.kind)
function put(valve: Valve | undefined) {
  if (valve === kind.value) return
  // What was measured of another valve is not of this one; the room round it stays.
  const { wall, other: far } = props.joint.valve
  const room = { ...(wall === undefined ? {} : { wall }), ...(far === undefined ? {} : { other: far }) }
  emit('change', { valve: { ...room, ...(valve ? { kind: valve } : {}) } })
}
const next = () => put(kind.value === undefined ? valves.value[0] : valves.value[valves.value.indexOf(kind.value) + 1])
const ifOpen = (then: () => void) => () => {
  if (!props.isSigned) then()
}
useKeys({
  x: ifOpen(() => emit('pick', 'pipe')),
  t: ifOpen(() => emit('pick', 'thread')),
  c: ifOpen(close),
  b: ifOpen(next),
})
const OTHER = [
  { name: 'pipe', words: 'a pipe', key: 'X' },
  { name: 'thread', words: 'a thread', key: 'T' },
  { name: 'cap', words: 'a cap', key: 'C' },
] as const
const choose = (name: (typeof OTHER)[number]['name']) => (name === 'cap' ? close() : emit('pick', name))
const arrow = (on: 'a' | 'b') =>
  emit('change', { valve: { ...props.joint.valve, arrow: props.joint.valve.arrow === on ? undefined : on } })
/** At a fixture, or on tube that goes to one: what it is screwed on by. */
const isAtFixture = computed(() => {
  const isSmall = (end: JointRecord['b']) => end !== null && 'pipe' in end && isSmallTube(getPipe(end.pipe))
  return ['angle', 'straight'].includes(kind.value ?? '') || isSmall(props.joint.a) || isSmall(props.joint.b)
})
const appliances = computed(() => (isAtFixture.value ? appliancesIn(props.job.region) : []))
</script>

<template>
  <div class="parts">
    <span class="row between" role="group" aria-label="Between them"
      ><span class="note t13">between <kbd class="only-wide">B</kbd></span>
      <button
        type="button"
        class="choice"
        :aria-pressed="kind === undefined"
        :disabled="isSigned"
        data-valve="none"
        @click="put(undefined)">
        nothing
      </button>
      <button
        v-for="valve in valves"
        :key="valve"
        type="button"
        class="choice"
        :aria-pressed="kind === valve"
        :disabled="isSigned"
        :data-valve="valve"
        @click="put(valve)">
        {{ VALVE_NAMES[valve] }}
      </button></span
    ><span class="row other" role="group" aria-label="The other end is">
      <button
        v-for="one in OTHER"
        :key="one.name"
        type="button"
        class="choice"
        :aria-pressed="other === one.name"
        :disabled="isSigned"
        :data-other="one.name"
        @click="choose(one.name)">
        {{ one.words }} <kbd class="only-wide">{{ one.key }}</kbd>
      </button></span
    ><span v-if="kind && isOneWay(kind)" class="row" role="group" aria-label="The arrow on its body points away from"
      ><span class="note t13">arrow on its body</span>
      <button
        v-for="on in ['a', 'b'] as const"
        :key="on"
        type="button"
        class="choice"
        :aria-pressed="joint.valve.arrow === on"
        :disabled="isSigned"
        :data-arrow="on"
        @click="arrow(on)">
        {{ on === 'a' ? 'from the first end' : 'from the other end' }}
      </button></span
    >
    <details v-if="appliances.length" class="fixtures" data-test="appliances">
      <summary class="t14">What fixtures are screwed on by <span class="note t13">typical: look first</span></summary>
      <table class="t14">
        <tbody>
          <tr v-for="one in appliances" :key="one.what">
            <td>{{ one.what }}</td>
            <td class="w7">{{ one.screwed }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </div>
</template>

<style scoped>
.parts {
  display: flex;
  flex-wrap: wrap;
  gap: 0 20px;
  padding: 2px 18px 4px;
}
.row {
  display: flex;
  gap: 0 9px;
  align-items: baseline;
  flex-wrap: wrap;
}
/* Takes its own line: what stands beside it is chosen, this is read. */
.fixtures {
  flex-basis: 100%;
}
.fixtures summary {
  min-height: 34px;
  cursor: pointer;
}
.fixtures td {
  padding: 3px 18px 3px 0;
}
.other {
  margin-left: auto;
}
.choice {
  min-height: 34px;
  font-size: 14px;
  white-space: nowrap;
}
@media (max-width: 899px), (pointer: coarse) {
  .other {
    order: -1;
    margin-left: 0;
  }
  .parts {
    padding: 2px 12px 4px;
  }
  .choice {
    min-height: 44px;
  }
  .row > .note {
    white-space: nowrap;
  }
}
</style>
