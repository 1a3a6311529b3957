<script setup lang="ts">
import { gistOfJob, nextAction } from '#core/record'

const { job, slug, missing } = useJobPage()
watch(
  job,
  (now) => {
    if (now) void navigateTo(`/jobs/${slug.value}/${nextAction(gistOfJob(now)).station}`, { replace: true })
  },
  { immediate: true },
)
</script>

<template>
  <JobFrame :job="undefined" here="find" :missing="missing" />
</template>
