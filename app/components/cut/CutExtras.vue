<script setup lang="ts">
import { v4 as uuid } from 'uuid'
import { MOST_CUT_PIECES, type CutBody, type CutRecord, type SheetPieces } from '#core/record'
import { parseLength, type UnitSystem } from '#core/units'

/** Pieces typed at the bench: name, length, how many. */
const props = defineProps<{ sheet: CutRecord; pieces: SheetPieces; system: UnitSystem; isClosed: boolean }>()
const emit = defineEmits<{ change: [changes: Partial<CutBody>] }>()

const checkCount = (text: string) =>
  /^\d+$/.test(text.trim()) && Number(text) >= 1 && Number(text) <= MOST_CUT_PIECES ? null : '1 to 2,000.'
const typed = reactive({ name: '', length: '', quantity: '1' })
const wrong = computed(() => {
  if (typed.length.trim() === '') return null
  const read = parseLength(typed.length, props.system, 'length')
  if (!read.ok) return read.error.message
  return checkCount(typed.quantity) === null ? null : 'How many: 1 to 2,000 are accepted.'
})
const field = useTemplateRef<HTMLInputElement>('field')
const refused = ref<string | null>(null)
watch(typed, () => {
  refused.value = null
})
function add() {
  if (typed.length.trim() === '' || wrong.value) {
    refused.value = wrong.value ?? 'The length is missing.'
    return
  }
  emit('change', {
    extras: [
      ...props.sheet.extras,
      { id: uuid(), name: typed.name.trim(), length: typed.length.trim(), quantity: Number(typed.quantity) },
    ],
  })
  Object.assign(typed, { name: '', length: '', quantity: '1' })
  field.value?.focus()
}
const set = (id: string, changes: Partial<CutRecord['extras'][number]>) =>
  emit('change', { extras: props.sheet.extras.map((one) => (one.id === id ? { ...one, ...changes } : one)) })
const issueOf = (index: number) =>
  props.pieces.issues.find(({ path }) => path === `extras.${index}.length`)?.message ?? null
</script>

<template>
  <ul>
    <li v-for="(one, i) in sheet.extras" :key="one.id" class="extra">
      <KeptField
        :value="one.name"
        maxlength="40"
        aria-label="Name"
        placeholder="piece"
        :disabled="isClosed"
        @keep="set(one.id, { name: $event })" />
      <KeptField
        class="w7"
        :value="one.length"
        maxlength="40"
        aria-label="Length"
        :aria-invalid="issueOf(i) !== null"
        :disabled="isClosed"
        :data-extra="i"
        @keep="set(one.id, { length: $event })" />
      <KeptField
        :value="one.quantity"
        inputmode="numeric"
        aria-label="How many"
        :disabled="isClosed"
        :check="checkCount"
        @keep="set(one.id, { quantity: Number($event) })" />
      <button
        type="button"
        class="underline note min-h-9"
        :disabled="isClosed"
        :aria-label="`Take out ${one.name || 'piece'} ${one.length}`"
        @click="emit('change', { extras: sheet.extras.filter(({ id }) => id !== one.id) })">
        out
      </button>
      <span v-if="issueOf(i)" class="brick t14 wide">{{ issueOf(i) }}</span>
    </li>
  </ul>
  <form v-if="!isClosed" class="extra" @submit.prevent="add">
    <input
      v-model="typed.name"
      class="plain-input"
      maxlength="40"
      aria-label="Name of a piece"
      placeholder="name"
      data-test="piece-name" />
    <input
      ref="field"
      v-model="typed.length"
      class="plain-input w7"
      maxlength="40"
      aria-label="Its length"
      :placeholder="system === 'inch' ? '24 1/2' : '640'"
      :aria-invalid="wrong !== null"
      data-test="piece-length" />
    <input
      v-model="typed.quantity"
      class="plain-input"
      maxlength="6"
      inputmode="numeric"
      aria-label="How many"
      data-test="piece-quantity" />
    <button type="submit" class="link-verb min-h-9" data-test="add-piece">add</button>
    <span v-if="refused ?? wrong" class="brick t14 wide" role="status">{{ refused ?? wrong }}</span>
  </form>
</template>

<style scoped>
.extra {
  display: grid;
  grid-template-columns: 1fr 92px 52px 44px;
  gap: 4px 10px;
  align-items: baseline;
  border-bottom: 1px solid var(--hair);
  padding: 3px 0;
}
.wide {
  grid-column: 1 / -1;
}
@media (max-width: 899px), (pointer: coarse) {
  .extra input,
  .extra button {
    min-height: 44px;
  }
}
</style>
