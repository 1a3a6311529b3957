<script setup lang="ts">
import { fillPolicy } from '#core/joints'
import { reusesOf, type JobRecord, type JointRecord } from '#core/record'
import { speak } from '#core/speech'
import { dayTime } from '~/wording/times'

/** The checks that failed at one end, with what was done, and how often its fitting was used again. */
const props = defineProps<{ job: JobRecord; joint: JointRecord; entry: number }>()
/** What the remedy does not say itself: the step whose check failed, or that it wept. */
const SAYS_ITSELF: ReadonlySet<string> = new Set(['apart', 'broken-off'])
const nameOf = (code: string) => (code === 'weep' ? 'it wept' : code)
const faults = computed(() => props.joint.faults.filter(({ entry }) => entry === props.entry))
const reuses = computed(() => reusesOf(props.joint, props.entry))
</script>

<template>
  <div v-if="faults.length" data-test="faults">
    <h2 class="zone-heading">
      What went wrong here
      <span v-if="reuses" class="right"
        >fitting used again {{ reuses }} of {{ fillPolicy(job.policy).reuseLimit }}</span
      >
    </h2>
    <ul class="t15">
      <li v-for="fault in faults" :key="fault.id">
        <b v-if="!SAYS_ITSELF.has(fault.code)">{{ nameOf(fault.code) }}</b> {{ dayTime(fault.at, job.region)
        }}{{ fault.by ? `, ${fault.by}` : '' }}:
        {{ speak(fault.remedy, job.region) }}
      </li>
    </ul>
  </div>
</template>
