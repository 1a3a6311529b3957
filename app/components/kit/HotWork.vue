<script setup lang="ts">
import { HOT_WORK, hotWorkSum, type HotWork, type HotWorkRecord } from '#core/record'
import { formatDecimal, type Region } from '#core/units'
import { readNumber } from '~/reading/number-field'
import { CURRENCY, HOT_WORK_WORDS } from '~/wording/en'

/** What one use of a flame takes beside the joint: counted in minutes and cost of every way that has one. */
const props = defineProps<{ hotWork: HotWorkRecord; region: Region }>()
const emit = defineEmits<{ change: [hotWork: HotWorkRecord] }>()
const sum = computed(() => hotWorkSum(props.hotWork))
const LIMITS = { minutes: 10_000, price: 1_000_000 } as const

const wrongIn = (what: HotWork, field: keyof typeof LIMITS, text: string): string | null =>
  readNumber(text, LIMITS[field]) === null
    ? `${HOT_WORK_WORDS[what]}: a figure of 0 or more is accepted, such as 10.`
    : null
function set(what: HotWork, field: keyof typeof LIMITS, text: string) {
  const value = readNumber(text, LIMITS[field])!
  const { [what]: now = { minutes: 0, price: 0 }, ...others } = props.hotWork
  const after = { ...now, [field]: value }
  emit('change', after.minutes === 0 && after.price === 0 ? others : { ...others, [what]: after })
}
const shown = (what: HotWork, field: 'minutes' | 'price') => {
  const value = props.hotWork[what]?.[field]
  return value ? String(value) : ''
}
</script>

<template>
  <section class="policy" aria-label="Hot work" data-test="hot-work">
    <p class="name">
      <b class="t17">Hot work, for each joint with a flame</b
      ><span class="note t14"
        >What it takes beside the joint, by your own figures; none is assumed.
        {{
          sum.minutes || sum.price
            ? `Now ${formatDecimal(sum.minutes, 0)} min and ${CURRENCY[region]}${sum.price.toFixed(2)}.`
            : ''
        }}</span
      >
    </p>
    <table>
      <thead>
        <tr>
          <th><span class="visually-hidden">what</span></th>
          <th class="num">min</th>
          <th class="num">{{ CURRENCY[region] }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="what in HOT_WORK" :key="what">
          <td class="t15">{{ HOT_WORK_WORDS[what] }}</td>
          <td v-for="field in ['minutes', 'price'] as const" :key="field" class="num">
            <KeptField
              class="t15"
              inputmode="decimal"
              maxlength="8"
              placeholder="0"
              :value="shown(what, field)"
              :check="(text) => wrongIn(what, field, text)"
              :aria-label="`${HOT_WORK_WORDS[what]}, ${field === 'minutes' ? 'minutes' : 'price'}`"
              :data-hot="`${what}:${field}`"
              @keep="(text) => set(what, field, text)" />
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped src="./policy-rows.css"></style>
<style scoped>
table {
  width: 100%;
}
th {
  font-size: 13px;
  font-weight: 400;
  color: var(--ink2);
}
td {
  height: 40px;
}
.num {
  text-align: right;
  width: 84px;
}
.num :deep(input) {
  width: 72px;
  text-align: right;
}
</style>
