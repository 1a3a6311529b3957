<script setup lang="ts">
const store = useJobStore()
onMounted(() => store.load())
</script>

<template>
  <div class="min-h-dvh flex flex-col">
    <AppTop title="what is this pipe, what joins it, how deep does it go" />
    <JobList :jobs="store.jobs" :is-loaded="store.isLoaded" />
  </div>
</template>
