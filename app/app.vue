<script setup lang="ts">
import { useEventListener } from '@vueuse/core'

const { theme } = useTheme()
const store = useJobStore()
useHead({ htmlAttrs: { 'data-theme': theme } })
useEventListener(window, 'pagehide', () => store.flushOnLeave())
</script>

<template>
  <UApp>
    <MaterialDefs />
    <NuxtPage />
    <WorkingSheet />
  </UApp>
</template>
