<script setup lang="ts">
const { job, missing } = useJobPage()
</script>

<template>
  <JobFrame :job="job" here="find" :missing="missing"><FindBench v-if="job" :job="job" /></JobFrame>
</template>
