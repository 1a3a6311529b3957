<script setup lang="ts">
import { toItself } from '~/reading/first-field'

/** A sheet at the side, or from below on a phone. The UI library's part is brought when one is first opened. */
defineOptions({ inheritAttrs: false })
const open = defineModel<boolean>('open')
const wasOpen = useEver(() => open.value === true)
</script>

<template>
  <LazyUSlideover v-if="wasOpen" v-model:open="open" v-bind="$attrs" :transition="false" :content="toItself">
    <template v-for="(_, name) in $slots" #[name]="scope"><slot :name="name" v-bind="scope ?? {}" /></template>
  </LazyUSlideover>
</template>
