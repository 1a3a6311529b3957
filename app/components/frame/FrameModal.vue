<script setup lang="ts">
import { toFirstField } from '~/reading/first-field'

/** A question before the screen. The UI library's part is brought when one is first asked; its first field has focus. */
defineOptions({ inheritAttrs: false })
const open = defineModel<boolean>('open')
const wasOpen = useEver(() => open.value === true)
</script>

<template>
  <LazyUModal v-if="wasOpen" v-model:open="open" v-bind="$attrs" :transition="false" :content="toFirstField">
    <template v-for="(_, name) in $slots" #[name]="scope"><slot :name="name" v-bind="scope ?? {}" /></template>
  </LazyUModal>
</template>
