<script setup lang="ts">
import type { Way } from '#core/joints'
import type { JobRecord, JointBody, JointRecord } from '#core/record'
import type { UnitSystem } from '#core/units'

/** Under the working: the valve in the pipe, where one is, and what has to be on each pipe first. */
defineProps<{ job: JobRecord; joint: JointRecord; way: Way; system: UnitSystem; isSigned: boolean }>()
const emit = defineEmits<{ change: [changes: Partial<JointBody>] }>()
</script>

<template>
  <ValveSum
    v-if="joint.valve.kind"
    :way="way"
    :valve="joint.valve"
    :system="system"
    :is-signed="isSigned"
    @change="(valve) => emit('change', { valve })" /><OnFirst
    :job="job"
    :joint="joint"
    :way="way"
    :is-signed="isSigned"
    @change="(changes) => emit('change', changes)" />
</template>
