<script setup lang="ts">
const { job, missing } = useJobPage()
</script>

<template>
  <JobFrame :job="job" here="cut" :missing="missing"><CutBench v-if="job" :job="job" /></JobFrame>
</template>
