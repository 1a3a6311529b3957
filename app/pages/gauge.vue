<script setup lang="ts">
useHead({ title: 'Screen gauge: Jolvet' })
</script>

<template>
  <div class="min-h-dvh flex flex-col">
    <AppTop title="screen gauge: hold the pipe end to it" />
    <GaugeBench />
  </div>
</template>
