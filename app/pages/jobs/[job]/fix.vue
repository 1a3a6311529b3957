<script setup lang="ts">
const { job, missing } = useJobPage()
</script>

<template>
  <JobFrame :job="job" here="fix" :missing="missing"><FixBench v-if="job" :job="job" /></JobFrame>
</template>
