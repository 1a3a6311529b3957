<script setup lang="ts">
import { barWords, plannedRest, type BenchPlan, type CutRow, type DoneCut } from '#core/cutting'
import type { OffcutRecord } from '#core/record'
import type { UnitSystem } from '#core/units'
import { tapeText } from '~/reading/tape'

/** The stock with the pieces in it, to scale along; cuts numbered, marks from the left end, rests to keep and scrap. */
const props = defineProps<{
  plan: BenchPlan
  done: readonly DoneCut[]
  rows: readonly CutRow[]
  at: number
  next: number
  rack: readonly OffcutRecord[]
  system: UnitSystem
  width: number
  onlyBar?: string
}>()
const emit = defineEmits<{ look: [row: number] }>()

const [LEFT, HEIGHT] = [18, 30]
/** On a phone the numbers of the cuts stand below the bar's name. */
const top = computed(() => (props.width < 500 ? 43 : 22))
const ROW = computed(() => top.value + 48)
/** A length longer than this is a coil, mm: of what is left on it only a part is drawn. */
const COIL = 7000
const bars = computed(() => props.plan.bars.filter(({ id }) => props.onlyBar === undefined || id === props.onlyBar))
const room = computed(() => props.width - LEFT - 46)
const straight = computed(() =>
  Math.max(0, ...bars.value.filter(({ length }) => length <= COIL).map(({ length }) => length)),
)
const drawnOf = (length: number, end: number) =>
  length > COIL ? Math.min(length, Math.max(COIL / 2, end * 1.25)) : length
const shown = computed(() =>
  bars.value.map((bar, i) => {
    const own = props.rows
      .map((row, index) => ({ row, index }))
      .filter(({ row }) => row.bar.id === bar.id && (row.done !== null || row.to <= bar.length + 1))
    const end = own.at(-1)?.row.to ?? 0
    const drawn = drawnOf(bar.length, end)
    const scale = room.value / (bar.length > COIL ? drawn : straight.value)
    const rest = plannedRest(bar, props.plan, props.done)
    return {
      bar,
      scale,
      drawn,
      isCoil: bar.length > COIL,
      y: i * ROW.value,
      words: barWords(bar, props.plan, props.rack),
      rest,
      isKept: rest >= props.plan.keep,
      end,
      isBegun: props.done.some((cut) => cut.bar === bar.id),
      pieces: own.map(({ row, index }) => ({
        row,
        index,
        x: LEFT + row.from * scale,
        width: row.length * scale,
        mark: tapeText(row.to, props.system),
      })),
    }
  }),
)
const height = computed(() => bars.value.length * ROW.value + 4)
function fillOf(row: CutRow, index: number): string {
  if (row.isSlip) return 'url(#hatch-brick)'
  if (row.done) return 'url(#hatch-copper)'
  return index === props.at ? 'url(#hatch-selected)' : 'none'
}
/** What fits into a piece's width: name and length, the length, or nothing. */
function textOf(row: CutRow, width: number, isNext: boolean) {
  const length = tapeText(row.length, props.system)
  const size = isNext ? 26 : 20
  const wide = length.length * size * 0.58
  const name = row.isSlip ? 'wrong' : row.piece.name
  if (width > wide + name.length * 8.5 + 16) return { name, length, size }
  if (width > length.length * 10 + 6) return { name: '', length, size: Math.min(size, 17) }
  return null
}
function stateWords({ isSlip, piece, done }: CutRow): string {
  if (isSlip) return `, cut wrong, ${piece.name} was wanted`
  return done ? ', cut' : ''
}
</script>

<template>
  <svg
    :width="width"
    :height="height"
    :viewBox="`0 0 ${width} ${height}`"
    role="group"
    aria-label="Stock with the pieces in it, lengths to scale">
    <g v-for="one in shown" :key="one.bar.id" :transform="`translate(0 ${one.y})`" :data-bar="one.bar.id">
      <text :x="LEFT" y="14" class="t15 w6">
        {{ one.words }}
        <tspan class="t15" style="font-weight: 400; fill: var(--ink2)" dx="8">
          {{ tapeText(one.bar.length, system) }}{{ one.isCoil ? ', coil' : '' }}
        </tspan>
      </text>
      <rect :x="LEFT" :y="top" :width="one.drawn * one.scale" :height="HEIGHT" fill="var(--paper2)" />
      <g
        v-for="{ row, index, x, width: w, mark } in one.pieces"
        :key="index"
        class="piece"
        :data-row="row.number"
        @click="emit('look', index)">
        <rect :x="x" :y="top" :width="w" :height="HEIGHT" fill="var(--paper)" />
        <rect
          :x="x"
          :y="top"
          :width="w"
          :height="HEIGHT"
          :fill="fillOf(row, index)"
          :opacity="row.done ? 0.24 : 0.38" />
        <text
          v-if="textOf(row, w, index === at)"
          :x="x + w / 2"
          :y="top + 21"
          class="mid halo"
          :class="{ copper: index === at }">
          <tspan v-if="textOf(row, w, index === at)!.name" class="t15" style="fill: var(--ink2)">
            {{ textOf(row, w, index === at)!.name }}&#160;
          </tspan>
          <tspan :style="{ fontSize: `${textOf(row, w, index === at)!.size}px` }" class="w7">
            {{ textOf(row, w, index === at)!.length }}
          </tspan>
        </text>
        <path :d="`M${x + w} ${top - 3}V${top + HEIGHT + 5}`" class="l-sel" />
        <text v-if="w > 34" :x="x + w - 4" :y="top + HEIGHT + 16" class="end t14">{{ mark }}</text>
        <circle
          v-if="w > 15"
          :cx="x + w"
          :cy="top - 13"
          r="9.5"
          fill="var(--paper)"
          stroke="var(--copper)"
          stroke-width="1.5" />
        <text v-if="w > 15" :x="x + w" :y="top - 8.4" class="mid t13 w7 copper">{{ row.number }}</text>
        <title>{{ row.number }}: {{ row.piece.name }}, {{ tapeText(row.length, system) }}{{ stateWords(row) }}</title>
      </g>
      <template v-if="one.rest > 0">
        <path
          v-if="one.isKept"
          :d="`M${LEFT + one.end * one.scale} ${top}H${LEFT + one.drawn * one.scale}V${top + HEIGHT}H${LEFT + one.end * one.scale}`"
          class="l-hidden" />
        <text
          v-if="one.isKept"
          :x="LEFT + ((one.end + one.drawn) / 2) * one.scale"
          :y="top + 21"
          class="mid t17 w6 verd halo">
          keep {{ tapeText(one.rest, system) }}
        </text>
        <rect
          v-else
          :x="LEFT + one.end * one.scale"
          :y="top"
          :width="Math.max(2, one.rest * one.scale)"
          :height="HEIGHT"
          fill="url(#hatch-brick)" />
        <text v-if="!one.isKept" :x="LEFT + one.drawn * one.scale + 6" :y="top + 21" class="t15 w6 brick">
          {{ tapeText(one.rest, system) }}
        </text>
      </template>
      <path
        v-if="one.isCoil && one.drawn < one.bar.length"
        :d="`M${LEFT + one.drawn * one.scale - 6} ${top - 5}c8 14 -8 26 0 40M${LEFT + one.drawn * one.scale + 2} ${top - 5}c8 14 -8 26 0 40`"
        class="l-thin" />
      <path
        v-if="one.end > 0"
        :d="`M${LEFT} ${top}H${LEFT + one.end * one.scale}V${top + HEIGHT}H${LEFT}Z`"
        class="l-edge" />
      <path v-else :d="`M${LEFT} ${top}H${LEFT + one.drawn * one.scale}V${top + HEIGHT}H${LEFT}Z`" class="l-edge" />
    </g>
  </svg>
</template>

<style scoped>
.piece {
  cursor: pointer;
}
</style>
