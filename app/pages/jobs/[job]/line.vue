<script setup lang="ts">
const { job, missing } = useJobPage()
</script>

<template>
  <JobFrame :job="job" here="line" :missing="missing"><LineBench v-if="job" :job="job" /></JobFrame>
</template>
