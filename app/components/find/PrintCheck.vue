<script setup lang="ts">
import { readPrint } from '#core/identify'

/** The print along the pipe, typed as it is found: each piece that is understood stands with what it means. */
const props = defineProps<{ text: string, bits: number, most: number, isBest: boolean }>()
const emit = defineEmits<{ change: [text: string | undefined] }>()
const isOpen = ref(props.text !== '')
const reading = computed(() => readPrint(props.text))
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
  <CheckRow name="print" label="Print along it" :answer="text ? `${reading.tokens.length} read` : null" hint="P" :bits="bits" :most="most" :is-best="isBest" :is-open="isOpen" @toggle="toggle" />
  <div v-if="isOpen" class="body">
    <input ref="field" class="plain-input t17 w6" :value="text" maxlength="300" autocomplete="off" autocapitalize="characters" spellcheck="false" placeholder="EN 10?7 R250 22 x 0,9" aria-label="Print along the pipe" aria-describedby="print-note" data-test="print" @input="onInput">
    <p id="print-note" class="note t13">{{ text ? '' : 'As it is found, in any order. ? for a letter that is worn away.' }}</p>
    <ul v-if="reading.tokens.length" class="t14" data-test="print-tokens"><li v-for="token in reading.tokens" :key="token.at"><b>{{ token.text.trim() }}</b><span>{{ token.meaning }}</span></li></ul>
    <p v-if="text && reading.unread.length" class="note t14">Not understood: {{ reading.unread.join(', ') }}</p>
  </div>
</template>

<style scoped>
.body { padding: 2px 18px 10px 40px; display: flex; flex-direction: column; gap: 4px; }
.body li { display: grid; grid-template-columns: minmax(70px, auto) 1fr; gap: 10px; padding: 3px 0; border-bottom: 1px solid var(--hair); }
</style>
