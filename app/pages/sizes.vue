<script setup lang="ts">
useHead({ title: 'Sizes: Jolvet' })
</script>

<template>
  <div class="min-h-dvh flex flex-col">
    <AppTop title="sizes of pipe, two beside each other" />
    <SizesBench />
  </div>
</template>
