<script setup lang="ts">
useHead({ title: 'Order for the counter: Jolvet' })
</script>

<template>
  <div class="min-h-dvh flex flex-col">
    <AppTop title="one order for the counter" />
    <DayOrder />
  </div>
</template>
