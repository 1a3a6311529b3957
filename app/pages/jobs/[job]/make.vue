<script setup lang="ts">
const { job, missing } = useJobPage()
</script>

<template>
  <JobFrame :job="job" here="make" :missing="missing"><MakeTable v-if="job" :job="job" /></JobFrame>
</template>
