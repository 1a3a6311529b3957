<script setup lang="ts">
const count = ref(0)
</script>

<template>
  <UApp>
    <main>
      <h1>Bare page</h1>
      <UButton @click="count += 1">Tapped {{ count }} times</UButton>
    </main>
  </UApp>
</template>
