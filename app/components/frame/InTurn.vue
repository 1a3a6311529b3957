<script setup lang="ts">
/**
 * Draws what is in it in a task of its own, once what stands before it is on the screen: a page of many parts never keeps
 * a slow phone from answering a tap.
 */
const props = withDefaults(defineProps<{ after?: number }>(), { after: 1 })
const isDue = useInTurn(props.after)
</script>

<template>
  <slot v-if="isDue" />
  <slot v-else name="before" />
</template>
