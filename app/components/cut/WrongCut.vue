<script setup lang="ts">
import type { CutRow } from '#core/cutting'
import { formatLength, type UnitSystem } from '#core/units'

/** A cut that came out wrong: the length it has, asked at the row it was wanted for. */
const props = defineProps<{
  row: CutRow
  system: UnitSystem
  /** Enters what was typed; what is wrong with it comes back. */
  enter: (text: string) => Promise<string | null>
}>()
const isOpen = defineModel<boolean>('open', { required: true })
const narrow = useNarrow()
const text = ref('')
const issue = ref<string | null>(null)
const field = useTemplateRef<HTMLInputElement>('field')
onMounted(() => field.value?.focus())
async function keep() {
  issue.value = await props.enter(text.value)
  if (issue.value === null) isOpen.value = false
}
</script>

<template>
  <form class="wrong" @submit.prevent="keep">
    <label class="t15"
      ><span
        ><b>{{ row.piece.name }}</b> came out at</span
      >
      <input
        ref="field"
        v-model="text"
        class="plain-input w7"
        :class="narrow ? 't26' : 't20'"
        :inputmode="narrow ? 'decimal' : undefined"
        maxlength="30"
        :aria-invalid="issue !== null"
        data-test="wrong-length"
        @keydown.esc="isOpen = false"
    /></label>
    <RuledButton type="submit" :size="narrow ? 'xl' : 'md'" data-test="wrong-keep">Enter it</RuledButton>
    <RuledButton v-if="narrow" size="xl" variant="outline" @click="isOpen = false">Not so</RuledButton>
    <p v-if="issue || !narrow" class="t14 wide" :class="issue ? 'brick' : 'note'" role="status">
      {{
        issue ??
        `Within ${formatLength(1, system)} of ${formatLength(row.length, system)} it counts as cut. Else it is stock for another piece, and the rest is planned again.`
      }}
    </p>
  </form>
</template>

<style scoped>
.wrong {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: flex-end;
  border-top: 2px solid var(--copper);
  margin-top: 10px;
  padding-top: 8px;
}
.wrong label {
  flex: 1;
  display: flex;
  flex-direction: column;
  gap: 5px;
}
.wrong .wide {
  flex-basis: 100%;
}
</style>
