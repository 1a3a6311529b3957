<script setup lang="ts">
import { amountWords, GROUP_WORDS, ORDER_GROUPS, orderWords, type OrderRow } from '#core/record'
import { unitSystemOf, type Region } from '#core/units'
import { readLengthField } from '~/reading/length-field'
import { readNumber } from '~/reading/number-field'
import { tapeText } from '~/reading/tape'
import { unitOf } from '~/reading/format'

/** An order as the counter reads it: how much, what, which size; beside it what the van holds. */
const props = defineProps<{ rows: readonly OrderRow[]; region: Region; canCount: boolean }>()
const emit = defineEmits<{ hold: [row: OrderRow, quantity: number] }>()

const system = computed(() => unitSystemOf(props.region))
const groups = computed(() =>
  ORDER_GROUPS.map((group) => ({
    group,
    rows: props.rows.filter((row) => row.group === group).map((row) => ({ row, words: orderWords(row, props.region) })),
  })).filter(({ rows }) => rows.length > 0),
)
const shown = ({ have, unit }: OrderRow) => {
  if (have === 0) return ''
  return unit === 'mm' ? tapeText(have, system.value) : String(have)
}
const read = ({ unit }: OrderRow, text: string): number | null => {
  if (text.trim() === '') return 0
  return unit === 'mm' ? readLengthField(text, system.value) : readNumber(text, 1_000_000)
}
const problem = (row: OrderRow) => (text: string) =>
  read(row, text) !== null ? null : `${text.trim()} what? ${row.unit === 'mm' ? unitOf(system.value) : 'A count'}.`
</script>

<template>
  <table class="order">
    <tbody v-for="{ group, rows: own } in groups" :key="group" :data-group="group">
      <tr>
        <th colspan="5" class="zone-heading">{{ GROUP_WORDS[group] }}</th>
      </tr>
      <tr
        v-for="{ row, words } in own"
        :key="row.name + row.size"
        :class="{ enough: row.order === 0 }"
        :data-order="row.name">
        <td class="q t20 w7">{{ words.quantity }}</td>
        <td class="t17">
          {{ row.name }}<span v-if="words.note" class="note t13 block">{{ words.note }}</span>
        </td>
        <td class="t17 w7 size">{{ row.size }}</td>
        <td class="note t13 need">of {{ amountWords(row, row.need, region) }}</td>
        <td class="have">
          <KeptField
            v-if="canCount"
            class="t17 field"
            :value="shown(row)"
            placeholder="0"
            inputmode="decimal"
            maxlength="16"
            :aria-label="`Held in the van: ${row.name} ${row.size}`"
            :check="problem(row)"
            data-have
            @keep="(text) => emit('hold', row, read(row, text) ?? 0)" />
          <span v-else class="note t14">{{ amountWords(row, row.have, region) }}</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.order {
  width: 100%;
  max-width: 900px;
}
.zone-heading {
  display: table-cell;
  text-align: left;
  padding-top: 14px;
}
td {
  border-bottom: 1px solid var(--hair);
  padding: 6px 8px 6px 0;
  vertical-align: baseline;
}
.q {
  text-align: right;
  white-space: nowrap;
  padding-right: 14px;
  width: 96px;
}
.enough .q {
  color: var(--ink2);
  font-weight: 400;
}
.size {
  white-space: nowrap;
}
.need {
  white-space: nowrap;
  text-align: right;
}
.have {
  width: 92px;
}
.have :deep(.field) {
  width: 84px;
  text-align: right;
  border-bottom: 1px solid var(--ink);
}
.block {
  display: block;
}
@media (max-width: 899px) {
  .size {
    white-space: normal;
  }
  .q {
    width: 72px;
    padding-right: 8px;
  }
  .need {
    display: none;
  }
}
</style>
