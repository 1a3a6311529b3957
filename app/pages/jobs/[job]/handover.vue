<script setup lang="ts">
const { job, missing } = useJobPage()
</script>

<template>
  <JobFrame :job="job" here="handover" :missing="missing"><RegisterBench v-if="job" :job="job" /></JobFrame>
</template>
