<script setup lang="ts">
/**
 * A field that gives what was typed once it is left: what comes from elsewhere meanwhile never goes over it. What `check`
 * has words against stays as it was typed, with them below.
 */
defineOptions({ inheritAttrs: false })
const props = defineProps<{ value: string | number; check?: (text: string) => string | null }>()
const emit = defineEmits<{ keep: [text: string] }>()
const text = ref(String(props.value))
const isHeld = ref(false)
const wrong = computed(() => props.check?.(text.value) ?? null)
watch(
  () => props.value,
  (value) => {
    if (!isHeld.value && wrong.value === null) text.value = String(value)
  },
)
function leave() {
  isHeld.value = false
  if (wrong.value !== null) return
  if (text.value !== String(props.value)) emit('keep', text.value)
  // What was kept may be set right, such as spaces at its end.
  void nextTick(() => {
    if (!isHeld.value) text.value = String(props.value)
  })
}
</script>

<template>
  <span class="kept"
    ><input
      v-bind="$attrs"
      v-model="text"
      class="plain-input"
      :aria-invalid="wrong !== null || $attrs['aria-invalid'] === true"
      @focus="isHeld = true"
      @blur="leave"
      @keydown.enter.prevent="($event.target as HTMLInputElement).blur()" /><span
      v-if="wrong"
      class="brick t13"
      role="status"
      >{{ wrong }}</span
    ></span
  >
</template>

<style scoped>
.kept {
  display: block;
  min-width: 0;
}
@media (max-width: 899px), (pointer: coarse) {
  .kept input {
    min-height: 44px;
  }
}
</style>
