<script setup lang="ts">
const { job, missing } = useJobPage()
</script>

<template>
  <JobFrame :job="job" :here="null" :missing="missing"><OrderBench v-if="job" :job="job" /></JobFrame>
</template>
