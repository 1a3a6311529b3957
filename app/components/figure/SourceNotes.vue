<script setup lang="ts">
import { aboutSource, sourcesNamed } from '#core/catalogue'

/**
 * What is known of each standard that the words beside a figure name: what it is about, its edition, how it was checked.
 */
const props = defineProps<{ of: readonly (string | undefined)[] }>()
const sources = computed(() => [...new Set(props.of.flatMap((text) => (text ? sourcesNamed(text) : [])))])
</script>

<template>
  <p v-for="source in sources" :key="source.id" class="note t13" data-test="source">{{ aboutSource(source) }}.</p>
</template>
