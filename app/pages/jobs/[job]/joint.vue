<script setup lang="ts">
const { job, missing } = useJobPage()
</script>

<template>
  <JobFrame :job="job" here="joint" :missing="missing"><JointBench v-if="job" :job="job" /></JobFrame>
</template>
