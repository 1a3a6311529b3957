<script setup lang="ts">
import { useEventListener } from '@vueuse/core'

const { theme } = useTheme()
const store = useJobStore()
/** Figures are asked for their working on some visits: until then nothing of its sheet is brought. */
const { working } = useWorking()
const isWorkingAsked = useEver(() => working.value !== null)
useHead({ htmlAttrs: { 'data-theme': theme } })
// A page that closes or sleeps sends what it can; one that wakes sends the rest.
useEventListener(document, 'visibilitychange', () => {
  void store.flush()
})
useEventListener(window, ['pagehide', 'online'], () => {
  void store.flush()
})
// What this browser could not keep is lost with the page: it asks before it is left.
useEventListener(window, 'beforeunload', (event) => {
  if (!store.isKept && store.entries.length > 0) event.preventDefault()
})
</script>

<template>
  <MaterialDefs />
  <NuxtPage />
  <LazyWorkingSheet v-if="isWorkingAsked" />
</template>
