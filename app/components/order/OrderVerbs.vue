<script setup lang="ts">
import { orderText, orderWords, toAsk, type OrderRow } from '#core/record'
import type { Region } from '#core/units'
import { csvLink } from '~/reading/csv'

/** Ways out of an order: copied as text, as a table file, as a sheet. */
const props = withDefaults(
  defineProps<{
    rows: readonly OrderRow[]
    region: Region
    pdf: string
    /** P prints this one: where several stand on a page, none. */
    hasKey?: boolean
  }>(),
  { hasKey: true },
)
const isCopied = ref(false)
watch(
  () => props.rows,
  () => {
    isCopied.value = false
  },
)
async function copy() {
  await navigator.clipboard.writeText(orderText(props.rows, props.region))
  isCopied.value = true
}
const csv = computed(() =>
  csvLink(
    toAsk(props.rows).map((row) => ({ group: row.group, ...orderWords(row, props.region) })),
    ['group', 'quantity', 'name', 'size', 'note'],
  ),
)
const print = useTemplateRef<HTMLAnchorElement>('print')
useKeys({
  p: () => {
    if (props.hasKey) print.value?.click()
  },
})
</script>

<template>
  <p class="verbs">
    <RuledButton data-test="copy-order" @click="copy">{{ isCopied ? 'Copied' : 'Copy the order' }}</RuledButton>
    <a :href="csv" download="order.csv" class="link-verb" data-test="order-csv">Table file (CSV)</a>
    <a ref="print" :href="pdf" target="_blank" class="link-verb" data-test="order-pdf"
      >Print <kbd v-if="hasKey" class="only-wide">P</kbd></a
    >
  </p>
</template>

<style scoped>
.verbs {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
}
</style>
