<script setup lang="ts">
import { readPrint } from '#core/identify'

/** The print along the pipe, typed as it is found: each piece that is understood stands with what it means. */
const props = defineProps<{ text: string, bits: number, bar: number, isBest: boolean }>()
const emit = defineEmits<{ change: [text: string | undefined] }>()
const open = ref(props.text !== '')
const reading = computed(() => readPrint(props.text))
const field = useTemplateRef<HTMLInputElement>('field')
async function toggle() {
  open.value = !open.value
  await nextTick()
  field.value?.focus()
}
function onInput(event: Event) {
  const typed = (event.target as HTMLInputElement).value
  emit('change', typed === '' ? undefined : typed)
}
</script>

<template>
  <button type="button" class="check" :aria-expanded="open" data-check="print" @click="toggle">
    <span class="flex items-center gap-2"><StatusShape :status="text ? 'made' : 'planned'" :size="14" /><span class="w7">Print along it</span><b v-if="text" class="ml-auto t14">{{ reading.tokens.length }} read</b><kbd v-else class="ml-auto only-wide">P</kbd></span>
    <svg v-if="!text" width="240" height="13" aria-hidden="true" class="ml-[22px] mt-1">
      <rect x="0" y="2" :width="Math.max(3, bar * 170)" height="8" :fill="isBest ? 'url(#hatch-selected)' : 'var(--paper)'" :stroke="isBest ? 'var(--copper)' : 'var(--ink)'" stroke-width="1.25" />
      <text :x="bar * 170 + 8" y="11" class="t13 note">{{ bits < 0.01 ? 'tells nothing more' : `${bits.toFixed(2)} bits` }}</text>
    </svg>
  </button>
  <div v-if="open" class="body">
    <input ref="field" class="plain-input t17 w6" :value="text" maxlength="300" autocomplete="off" autocapitalize="characters" spellcheck="false" placeholder="EN 10?7 R250 22 x 0,9" aria-label="Print along the pipe" aria-describedby="print-note" data-test="print" @input="onInput">
    <p id="print-note" class="note t13">{{ text ? '' : 'As it is found, in any order. ? for a letter that is worn away.' }}</p>
    <ul v-if="reading.tokens.length" class="t14" data-test="print-tokens"><li v-for="token in reading.tokens" :key="token.at"><b>{{ token.text.trim() }}</b><span>{{ token.meaning }}</span></li></ul>
    <p v-if="text && reading.unread.length" class="note t14">Not understood: {{ reading.unread.join(', ') }}</p>
  </div>
</template>

<style scoped>
.check { width: 100%; min-height: 44px; padding: 7px 18px 6px; font-size: 16px; }
.check:hover { background: var(--paper2); }
.body { padding: 2px 18px 10px 40px; display: flex; flex-direction: column; gap: 4px; }
.body li { display: grid; grid-template-columns: minmax(70px, auto) 1fr; gap: 10px; padding: 3px 0; border-bottom: 1px solid var(--hair); }
</style>
