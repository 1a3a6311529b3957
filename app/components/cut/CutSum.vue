<script setup lang="ts">
import type { BenchPlan, CutSum } from '#core/cutting'
import type { CutResult } from '#core/record'
import { formatLength, formatTape, type UnitSystem } from '#core/units'

/** Stock taken less the pieces less what is kept is scrap; once the sheet is finished, as it truly came out. */
const props = defineProps<{ sum: CutSum; plan: BenchPlan; result: CutResult | null; system: UnitSystem }>()
const { show } = useWorking()
const plural = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`
const big = (mm: number) =>
  props.system === 'metric' ? (Math.round(mm) || 0).toLocaleString('en-GB') : formatTape(Math.max(0, mm))
const share = computed(() =>
  props.sum.taken > 0 ? Math.round((1000 * props.sum.scrap) / props.sum.taken) / 10 || 0 : 0,
)
const bars = computed(() => {
  const [news, offcuts] = [
    props.plan.bars.filter(({ from }) => from === 'new').length,
    props.plan.bars.filter(({ from }) => from === 'rack').length,
  ]
  return [news && plural(news, 'length'), offcuts && plural(offcuts, 'offcut')].filter(Boolean).join(', ')
})
const parts = computed(() => [
  { op: '', mm: props.sum.taken, words: props.result ? 'taken' : bars.value, tone: '' },
  {
    op: '−',
    mm: props.sum.pieces,
    words: plural(props.plan.pieces.length - (props.result?.uncut ?? 0), 'piece'),
    tone: '',
  },
  { op: '−', mm: props.sum.kept, words: props.result ? 'on the rack' : 'kept', tone: 'verd' },
  { op: '=', mm: props.sum.scrap, words: `scrap, ${share.value} in 100`, tone: 'brick' },
])
const working = () =>
  show({
    title: 'Stock and what becomes of it',
    lines: [
      { text: props.result ? 'stock that was begun' : 'stock taken', op: '+', value: props.sum.taken, unit: 'mm' },
      { text: 'pieces', op: '-', value: props.sum.pieces, unit: 'mm' },
      {
        text: props.result
          ? 'rests on the rack, as measured'
          : `rests of ${formatLength(props.plan.keep, props.system)} and more`,
        op: '-',
        value: props.sum.kept,
        unit: 'mm',
      },
      { text: 'scrap', op: '=', value: props.sum.scrap, unit: 'mm' },
    ],
    notes: [
      `Scrap holds the rests too short to keep and what the cuts take, ${formatLength(props.plan.kerf, props.system)} each.`,
      `As first planned, scrap was ${formatLength(props.plan.first.scrap, props.system)}.`,
    ],
  })
</script>

<template>
  <div class="sum" role="group" aria-label="Stock, pieces, kept, scrap">
    <template v-for="part in parts" :key="part.words">
      <span v-if="part.op" class="op t26">{{ part.op }}</span>
      <button type="button" class="part" :class="part.tone" @click="working">
        <b class="figure" :class="{ total: part.op === '=' }">{{ big(part.mm) }}</b><span class="t15 words">{{
          part.words
        }}</span>
      </button>
    </template>
  </div>
</template>

<style scoped>
.sum {
  display: flex;
  align-items: flex-start;
  gap: 18px;
  padding: 8px 18px 4px;
  flex-wrap: wrap;
}
.op {
  padding-top: 8px;
}
.part {
  display: flex;
  flex-direction: column;
  flex: 1;
  min-width: 110px;
}
.figure {
  font-size: 40px;
  line-height: 1;
  letter-spacing: -0.03em;
  padding-bottom: 6px;
  align-self: flex-start;
  background:
    linear-gradient(var(--ink2), var(--ink2)) left bottom / 1px 6px no-repeat,
    linear-gradient(var(--ink2), var(--ink2)) right bottom / 1px 6px no-repeat,
    linear-gradient(var(--ink2), var(--ink2)) left bottom 2px / 100% 1px no-repeat;
  white-space: nowrap;
}
.figure.total {
  background: none;
  border-bottom: 4px double var(--ink);
}
.words {
  color: var(--ink);
  padding-top: 4px;
}
@media (max-width: 1199px) {
  .figure {
    font-size: 30px;
  }
  .part {
    min-width: 90px;
  }
}
@media (max-width: 899px) {
  .sum {
    gap: 8px 12px;
    padding: 10px 12px;
  }
  .op {
    display: none;
  }
  .part {
    min-width: 45%;
  }
}
</style>
