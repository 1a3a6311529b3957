<script setup lang="ts">
import type { CutRow } from '#core/cutting'
import { BEND_SPARE } from '#core/line'
import type { CutRecord } from '#core/record'
import { formatLength, type UnitSystem } from '#core/units'
import { bringIntoSight } from '~/reading/in-sight'
import { w } from '#core/speech'

/** Every cut in order, with what is marked on its piece from the left end; the one to be made next is the largest. */
const props = defineProps<{
  sheet: CutRecord
  rows: readonly CutRow[]
  at: number
  next: number
  system: UnitSystem
  /** How far apart the marks printed on the pipe are, mm; null where it has none. */
  every: number | null
  canTakeBack: boolean
  printUrl: string
  isPhone: boolean
}>()
const { say } = useSpeech()
const emit = defineEmits<{ look: [row: number]; tick: []; wrong: []; takeBack: []; finish: [] }>()

const row = computed(() => props.rows[props.at])
const list = useTemplateRef<HTMLElement>('list')
watch(
  () => props.at,
  () => {
    if (!props.isPhone) bringIntoSight(() => list.value?.querySelector('[aria-current="true"]'))
  },
)
/** A field that says nothing leaves what Make leaves for the hands. */
const hasBent = computed(() => props.rows.some(({ piece }) => piece.bends.length > 0))
const spareWords = computed(() => props.sheet.spare.trim() || formatLength(BEND_SPARE, props.system))
const isEvery = computed(() => props.next < 0)
/** A new bar begins: a line above says so. */
const isFirst = (index: number) => index > 0 && props.rows[index]!.bar.id !== props.rows[index - 1]!.bar.id
function statusOf({ isSlip, done }: CutRow) {
  if (isSlip) return 'refused'
  return done ? 'made' : 'planned'
}
</script>

<template>
  <section aria-label="Cut order and marks">
    <p class="zone-heading only-wide">
      Cut order and marks, {{ system === 'inch' ? 'inches' : 'mm' }} from the left end
      <span class="right"
        ><a :href="printUrl" target="_blank" rel="noopener" class="underline" data-test="print-bench"
          >print marks <kbd>P</kbd></a
        ></span
      >
    </p>
    <div ref="list" class="scroll">
      <table>
        <thead>
          <tr>
            <th />
            <th />
            <th class="l">piece</th>
            <th>cut</th>
            <th>left</th>
            <th>right</th>
            <th class="bends">bends</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="(one, i) in rows"
            :key="`${one.bar.id} ${one.piece.key} ${one.done?.id}`"
            :class="{ on: i === at, made: one.done, first: isFirst(i) }"
            :aria-current="i === at"
            :data-cut="one.number"
            @click="emit('look', i)">
            <td><StatusShape :status="statusOf(one)" :size="15" /></td>
            <td class="o">{{ one.number }}</td>
            <td class="l">
              <button
                type="button"
                class="pick"
                :aria-label="`Cut ${one.number}, ${one.piece.name}`"
                @click.stop="emit('look', i)">
                {{ one.piece.name }}</button><span v-if="one.isSlip" class="brick t13"> wrong</span>
            </td>
            <td class="c"><TapeFigure :mm="one.length" :system="system" /></td>
            <td>
              <template v-if="!one.isSlip && one.piece.left !== null"
                ><TapeFigure :mm="one.piece.left" :system="system"
              /></template>
            </td>
            <td>
              <template v-if="!one.isSlip && one.piece.right !== null"
                ><TapeFigure :mm="one.piece.right" :system="system"
              /></template>
            </td>
            <td class="bends">
              {{
                one.isSlip
                  ? ''
                  : one.piece.bends.map((mm) => formatLength(mm, system).replace(/ (mm|in)$/, '')).join(', ')
              }}
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="row && !row.done && every !== null" class="t15 mt-2">
        {{ row.piece.name }}: <PrintedMark :place="row.to" :every="every" :system="system" />
      </p>
      <p class="note t14 mt-2">
        Left and right are insertion depths, from the cut end. Long pieces first on each length, so a slip can still be
        used shorter.
        <span v-if="hasBent" data-test="bent-spare"
          >Bent pieces are {{ spareWords }} longer for the hands: bend, then trim.</span
        >
      </p>
      <p class="note t13 mt-1">
        Eye cover at saw and wheel. Cut ends and {{ say(w.swarf) }} are sharp: ream and deburr each end before a hand
        goes round it. In open formats:
        <a :href="printUrl.replace('bench.pdf', 'cuts.csv')" class="underline">the list as CSV</a>,
        <a :href="printUrl.replace('bench.pdf', 'question.json')" class="underline"
          >the plan's figures, for other programs (JSON)</a
        >.
      </p>
    </div>
    <div v-if="!sheet.result && !isPhone" class="verbs">
      <RuledButton v-if="row && !row.done" class="min-h-11" data-test="tick-cut" @click="emit('tick')"
        >{{ row.piece.name }} is cut <kbd>Space</kbd></RuledButton
      >
      <RuledButton v-if="isEvery" class="min-h-11" data-test="finish" @click="emit('finish')"
        >Rests to the rack <kbd>Enter</kbd></RuledButton
      >
      <RuledButton
        v-if="row && !row.done"
        variant="outline"
        class="min-h-11"
        data-test="wrong-cut"
        @click="emit('wrong')"
        >Cut wrong <kbd>W</kbd></RuledButton
      >
    </div>
    <div v-if="!sheet.result" class="links t14">
      <a
        v-if="isPhone"
        :href="printUrl"
        target="_blank"
        rel="noopener"
        class="underline min-h-9 inline-flex items-center"
        data-test="print-bench"
        >print marks</a
      >
      <button
        v-if="canTakeBack"
        type="button"
        class="underline min-h-9"
        data-test="take-back"
        @click="emit('takeBack')">
        take the last cut back <kbd class="only-wide">U</kbd>
      </button>
      <button
        v-if="sheet.done.length && !isEvery"
        type="button"
        class="underline min-h-9"
        data-test="finish-early"
        @click="emit('finish')">
        stop here, rests to the rack
      </button>
    </div>
  </section>
</template>

<style scoped>
section {
  display: flex;
  flex-direction: column;
}
.scroll {
  flex: 1;
  min-height: 120px;
  overflow-y: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 16px;
}
th {
  position: sticky;
  top: 0;
  background: var(--paper);
  font-size: 13px;
  font-weight: 400;
  color: var(--ink2);
  text-align: right;
  padding: 3px 0;
  border-bottom: 1px solid var(--rule);
  z-index: 1;
}
td {
  text-align: right;
  height: 26px;
  border-bottom: 1px solid var(--hair);
  line-height: 1;
  padding: 0 3px;
}
.l {
  text-align: left;
  padding-left: 8px;
}
.o {
  width: 26px;
  color: var(--ink2);
}
.c {
  font-weight: 700;
  font-size: 17px;
}
.bends {
  width: 104px;
  font-size: 14px;
}
td:first-child {
  text-align: left;
  width: 18px;
}
tr.first td {
  border-top: 1px solid var(--rule);
}
tr.made td {
  color: var(--ink2);
}
tr.on td {
  border-top: 2px solid var(--copper);
  border-bottom: 2px solid var(--copper);
  height: 36px;
  color: var(--ink);
}
tr.on td.c {
  font-size: 26px;
  color: var(--copper);
  letter-spacing: -0.02em;
}
tbody tr {
  cursor: pointer;
}
tbody tr:hover {
  background: var(--paper2);
}
.pick {
  min-height: 24px;
}
.verbs {
  display: flex;
  gap: 8px;
  margin-top: 10px;
  flex-wrap: wrap;
}
.links {
  display: flex;
  gap: 22px;
  margin-top: 2px;
  flex-wrap: wrap;
}
@media (max-width: 899px) {
  .scroll {
    overflow: visible;
  }
  .scroll a {
    display: inline-flex;
    min-height: 44px;
    align-items: center;
  }
  td {
    height: 44px;
  }
  tr.on td {
    height: 48px;
  }
  th {
    position: static;
  }
  .pick {
    min-height: 44px;
  }
  .bends {
    width: auto;
  }
}
@media (pointer: coarse) {
  td {
    height: 44px;
  }
  .pick {
    min-height: 44px;
  }
}
</style>
