<script setup lang="ts">
/** Over plain HTTP from another machine a browser keeps no page: said on each, until there is a certificate. */
const isPlain = !window.isSecureContext
</script>

<template>
  <p v-if="isPlain" class="plain-band t14" role="note" data-test="plain-http">
    <StatusShape status="held" :size="16" />
    <span
      ><b>Plain HTTP: no reload in a cellar.</b> Without the server this page is here only while it is open. What is
      typed is kept. Ask for the https address.</span
    >
  </p>
</template>

<style>
/* Benches that fill the page leave it its room. */
:root:has(.plain-band) {
  --band: 34px;
}
</style>
<style scoped>
.plain-band {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 6px 18px;
  border-bottom: 3px solid var(--ochre);
}
</style>
