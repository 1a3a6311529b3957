<script setup lang="ts">
/** A check answered by typing: its head, the field that opens under it, and what was made of the text. */
const props = defineProps<{
  name: string
  label: string
  fieldLabel: string
  text: string
  answer: string | null
  hint: string
  bits: number
  most: number
  isBest: boolean
  longest: number
  isWrong?: boolean
  isBarred?: boolean
  placeholder?: string
  capitals?: boolean
}>()
const emit = defineEmits<{ change: [text: string | undefined]; bar: [isBarred: boolean] }>()
const isOpen = ref(props.text !== '')
// What was typed on another page, or comes after the copy that was shown first, is not hidden.
watch(
  () => props.text === '',
  (isEmpty) => {
    if (!isEmpty) isOpen.value = true
  },
)
defineExpose({
  open: () => {
    if (!isOpen.value) void toggle()
  },
})
const field = useTemplateRef<HTMLInputElement>('field')
async function toggle() {
  isOpen.value = !isOpen.value
  await nextTick()
  field.value?.focus()
}
function onInput(event: Event) {
  const typed = (event.target as HTMLInputElement).value
  emit('change', typed === '' ? undefined : typed)
}
</script>

<template>
  <CheckRow
    :name="name"
    :label="label"
    :answer="answer"
    :hint="hint"
    :bits="bits"
    :most="most"
    :is-best="isBest"
    :is-open="isOpen"
    :is-barred="isBarred"
    @toggle="toggle" />
  <div v-if="isOpen" class="body">
    <input
      ref="field"
      class="plain-input t17 w6"
      :value="text"
      :maxlength="longest"
      autocomplete="off"
      :autocapitalize="capitals ? 'characters' : undefined"
      spellcheck="false"
      :placeholder="placeholder"
      :aria-label="fieldLabel"
      :aria-invalid="isWrong"
      :aria-describedby="`${name}-note`"
      :data-test="name"
      @input="onInput" />
    <slot />
    <button
      v-if="text === ''"
      type="button"
      class="note t14 underline self-start min-h-9"
      :data-bar="name"
      @click="emit('bar', !isBarred)">
      {{ isBarred ? 'it can be checked after all' : 'cannot be checked here' }}
    </button>
  </div>
</template>

<style scoped>
.body {
  padding: 2px 18px 10px 40px;
  display: flex;
  flex-direction: column;
  gap: 4px;
}
</style>
