<script setup lang="ts">
import type { RouteLocationRaw } from 'vue-router'
import { NuxtLink } from '#components'

/** A button in the sheet's language: ruled edges, no fill, no rounding. With an address it is a link. */
const {
  to = undefined,
  size = 'md',
  variant = 'solid',
  loading = false,
} = defineProps<{
  to?: RouteLocationRaw
  size?: 'sm' | 'md' | 'lg' | 'xl'
  variant?: 'solid' | 'outline' | 'ghost' | 'danger'
  block?: boolean
  loading?: boolean
  disabled?: boolean
}>()
</script>

<template>
  <component :is="NuxtLink" v-if="to" :to="to" class="ruled" :class="[size, variant, { block }]"><slot /></component>
  <button
    v-else
    type="button"
    class="ruled"
    :class="[size, variant, { block }]"
    :disabled="disabled || loading"
    :aria-busy="loading || undefined">
    <slot />
  </button>
</template>
