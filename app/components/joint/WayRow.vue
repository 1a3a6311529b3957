<script setup lang="ts">
import { isAtFace, type End, type Joint, type OtherEnd, type Way } from '#core/joints'
import { formatDecimal, formatMm, formatTape, type UnitSystem, type Region } from '#core/units'
import { speak } from '#core/speech'
import { CURRENCY } from '~/wording/en'
import { wayHead, wayTitle } from '~/wording/way'
import { rangeText } from '~/reading/format'

/**
 * One way as a row: verdict, its chain drawn small, both depths, minutes with the waiting apart, cost, how it comes
 * apart.
 */
const props = defineProps<{
  way: Way
  a: End
  b: OtherEnd
  region: Region
  system: UnitSystem
  selected: boolean
  taken: boolean
  index: number
  /** It stands for its pair of methods; what is folded away behind it, in words. */
  isHead: boolean
  more?: string | null
}>()
const emit = defineEmits<{ look: []; open: [] }>()
const head = computed(() =>
  props.isHead ? wayHead(props.way, props.region) : { title: wayTitle(props.way, props.region), by: null },
)
const { lacks } = useStock()
const missing = computed(() => lacks(props.way))
const first = computed(() => props.way.joints[0]!)
const last = computed(() => props.way.joints.at(-1)!)
/** One thread straight into the other has one depth. */
const isOne = computed(() => props.way.joints.length === 1)
const isTypical = (source: string) => source.startsWith('typical')
/** Under a depth: its range where makers differ, else the mm beside the inches, else which end it is. */
function below({ insertion: { value, lo, hi, source } }: Joint, end: string): string {
  if (value === 0) return end
  if (isTypical(source) && lo !== null && hi !== null && lo !== hi)
    return props.system === 'inch' ? `${formatTape(lo)} to ${formatTape(hi)} in` : rangeText(lo, hi, 'metric')
  return props.system === 'inch' && value !== null ? `in (${formatMm(value)} mm)` : end
}
</script>

<template>
  <div class="both">
    <button
      type="button"
      class="way"
      :class="{ 'row-selected': selected }"
      :aria-pressed="selected"
      :data-way="way.id"
      @click="emit('look')">
      <VerdictShape :verdict="way.verdict" />
      <span class="chain">
        <b :class="selected ? 't17' : 't15'" class="leading-tight"
          >{{ index + 1 }}&ensp;{{ head.title }}<span v-if="taken" class="copper"> taken</span></b
        >
        <span v-if="head.by" class="note t13">{{ head.by }}</span>
        <JointSection :way="way" :a="a" :b="b" :system="system" :width="300" :height="22" compact class="only-wide" />
        <span v-if="missing" class="ochre w6 t13" data-test="lacks"
          >Not in stock: {{ speak(missing.name, region) }} {{ missing.size }}</span
        >
        <span v-if="way.verdict !== 'fits'" class="ochre w6 t13">{{
          speak(way.because[0]!.text.split(/[.:] /)[0]!, region)
        }}</span>
      </span>
      <span class="cell" :class="system"
        ><b :class="{ open: first.insertion.value === null && !isAtFace(first) }"
          ><TapeFigure :mm="first.insertion.value" :system="system" :at-face="isAtFace(first)" /></b
        ><i>{{ below(first, 'first end') }}</i></span
      >
      <span class="cell" :class="system"
        ><template v-if="!isOne"
          ><b :class="{ open: last.insertion.value === null && !isAtFace(last) }"
            ><TapeFigure :mm="last.insertion.value" :system="system" :at-face="isAtFace(last)" /></b
          ><i>{{ below(last, 'other end') }}</i></template
        >
      </span>
      <span class="cell"
        ><b>{{ formatDecimal(way.minutes.work, 1) }}</b
        ><i>min{{ way.minutes.wait ? `, + ${formatDecimal(way.minutes.wait, 0)} cool` : '' }}</i></span
      >
      <span class="cell wide"
        ><b class="money"
          >{{ CURRENCY[region]
          }}{{
            way.cost.low === way.cost.high
              ? way.cost.low.toFixed(2)
              : `${way.cost.low.toFixed(0)} to ${way.cost.high.toFixed(0)}`
          }}</b
        ><i>{{ way.undo }}</i></span
      >
    </button>
    <button v-if="more" type="button" class="fold underline t14" :data-fold="way.id" @click="emit('open')">
      {{ more }}
    </button>
  </div>
</template>

<style scoped>
.both {
  position: relative;
}
.fold {
  position: absolute;
  right: 18px;
  bottom: 4px;
  min-height: 28px;
  color: var(--ink2);
}
.both:has(.fold) .way {
  padding-bottom: 24px;
}
.way {
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr) 80px 80px 72px 98px;
  gap: 0 10px;
  width: 100%;
  padding: 6px 18px 5px;
  border-bottom: 1px solid var(--hair);
  align-items: start;
  min-height: 60px;
}
.way:hover {
  background: var(--paper2);
}
.chain {
  display: flex;
  flex-direction: column;
  gap: 3px;
  min-width: 0;
}
.cell {
  display: flex;
  flex-direction: column;
}
.cell b {
  font-size: 20px;
  line-height: 1.1;
}
.cell.inch b {
  font-size: 26px;
}
.cell.inch i {
  letter-spacing: -0.02em;
}
.cell .money {
  font-size: 17px;
  line-height: 1.3;
}
.row-selected .cell b:not(.money) {
  font-size: 24px;
}
.cell i {
  font-style: normal;
  font-size: 13px;
  line-height: 1.2;
  color: var(--ink2);
}
.open {
  color: var(--ochre);
}
@media (max-width: 899px) {
  .way {
    grid-template-columns: 56px 56px minmax(0, 1fr) 24px;
    grid-template-rows: auto auto;
    padding: 8px 12px;
  }
  .chain {
    grid-column: 1 / 4;
    grid-row: 1;
  }
  .way > svg {
    grid-column: 4;
    grid-row: 1;
  }
  .cell {
    grid-row: 2;
  }
  .cell.wide {
    display: none;
  }
}
</style>
