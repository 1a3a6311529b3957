<script setup lang="ts">
/**
 * Draws what is in it in a task of its own, once what stands before it is on the screen: a page of many parts never keeps
 * a slow phone from answering a tap.
 */
const props = withDefaults(defineProps<{ after?: number }>(), { after: 1 })
const left = ref(props.after)
let timer: ReturnType<typeof setTimeout> | undefined
function wait() {
  timer = setTimeout(() => {
    left.value--
    if (left.value > 0) wait()
  })
}
onMounted(wait)
onBeforeUnmount(() => clearTimeout(timer))
</script>

<template>
  <slot v-if="left <= 0" />
</template>
