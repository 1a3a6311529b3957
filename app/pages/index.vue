<script setup lang="ts">
const list = useListStore()
const store = useJobStore()
onMounted(() => list.load())
/** Nothing is there yet: a pipe can be measured at once. */
const isFirst = computed(
  () => list.isLoaded && list.isAnswered && list.all === 0 && store.unsent.length === 0 && list.query.q === '',
)
</script>

<template>
  <div class="min-h-dvh flex flex-col">
    <AppTop title="what is this pipe, what joins it, how deep does it go" />
    <LazyJobsFirst v-if="isFirst" />
    <InTurn v-else><JobList /></InTurn>
  </div>
</template>
