<script setup lang="ts">
import type { UnitSystem } from '#core/units'

/** A size or a measured diameter to look pipe up by; says so where there is none. */
defineProps<{ system: UnitSystem; isMissing: boolean; test: string; autofocus?: boolean }>()
const wanted = defineModel<string>({ required: true })
const emit = defineEmits<{ enter: [] }>()
</script>

<template>
  <div>
    <label class="block"
      ><span class="note t13">size, or what it measures outside</span
      ><input
        v-model="wanted"
        class="plain-input t17 w6"
        maxlength="40"
        autocomplete="off"
        spellcheck="false"
        :autofocus="autofocus"
        :placeholder="system === 'inch' ? '3/4 or 0.875' : '22 or 21.5'"
        :data-test="test"
        @keydown.enter.prevent="emit('enter')"
    /></label>
    <p v-if="wanted.trim() && isMissing" class="t15 my-3" role="status" data-test="no-size">
      No pipe here is called or measures {{ wanted.trim() }}. Write it like
      {{ system === 'inch' ? '3/4, 7/8 in or 22.2 mm' : '22, 21.5 or 3/4' }}.
    </p>
  </div>
</template>
