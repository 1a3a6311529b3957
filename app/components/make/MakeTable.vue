<script setup lang="ts">
import { bentSteps, type JobRecord } from '#core/record'

/** What is on the bench: a joint, or a piece with bends, by the address. */
const props = defineProps<{ job: JobRecord }>()
const route = useRoute()
const known = useSteps(() => props.job, bentSteps)
const bent = computed(() => known.value?.value ?? [])
const at = computed(() => bent.value.findIndex(({ key }) => key === route.query.bend))
</script>

<template>
  <template v-if="at >= 0">
    <JointTabs
      :slug="job.slug"
      :joints="job.joints.filter(({ way }) => way !== null)"
      :current="undefined"
      :bent="bent"
      :bend="bent[at]!.key" />
    <BendBench :key="bent[at]!.key" :job="job" :bent="bent[at]!" :next="bent[at + 1]" />
  </template>
  <MakeBench v-else-if="known || !route.query.bend" :job="job" :bent="bent" />
</template>
