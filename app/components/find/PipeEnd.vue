<script setup lang="ts">
import type { Pipe } from '#core/catalogue'
import type { UnitSystem } from '#core/units'
import { formatReading, mmBeside, scaleText, unitOf } from '~/reading/format'

/**
 * The pipe's end at a stated scale: the measured circle, the wall dashed until it is seen, the diameter as its
 * dimension.
 */
const props = defineProps<{
  mm: number | null
  spread: number
  pipe: Pipe | null
  system: UnitSystem
  width: number
  by: string
}>()

/** Narrow: the circle at the left with its figure beside it. Wide: the figure in the dimension below. */
const narrow = computed(() => props.width < 480)
const height = computed(() => (narrow.value ? 148 : 258))
const room = computed(() => (narrow.value ? 54 : 78))
/** Whole px per mm, so that the stated scale is the drawn one. */
const k = computed(() => (props.mm === null ? 0 : Math.max(1, Math.floor(((room.value * 2) / props.mm) * 2) / 2)))
const r = computed(() => (props.mm === null ? room.value * 0.88 : (props.mm / 2) * k.value))
const cx = computed(() => (narrow.value ? 82 : props.width / 2 - 10))
const cy = computed(() => (narrow.value ? 84 : 96))
const y = 220
const figure = computed(() => (props.mm === null ? '?' : formatReading(props.mm, props.system)))
const gap = computed(() => figure.value.length * 17 + 16)
/** What stands behind the unit: the mm in inch countries. */
const beside = computed(() => (props.mm === null ? '' : mmBeside(props.mm, props.system)))
/** By what it was measured, and how far that errs. */
const measuredBy = computed(() =>
  props.mm === null ? '' : `${props.by} ± ${formatReading(props.spread, props.system)} ${unitOf(props.system)}`,
)
</script>

<template>
  <svg :width="width" :height="height" :viewBox="`0 0 ${width} ${height}`" role="img" aria-label="The pipe end">
    <desc>
      {{
        mm === null
          ? 'Not measured yet.'
          : `Outside diameter ${figure} ${unitOf(system)}. ${pipe ? `Drawn with the bore of ${pipe.label}.` : ''}`
      }}
    </desc>
    <text :x="18" y="14" class="t13 note">
      {{ mm === null ? 'The pipe end, not measured' : `The pipe end, ${scaleText(k, system)}` }}
    </text>
    <template v-if="mm === null">
      <circle :cx="cx" :cy="cy" :r="r" class="l-hidden" />
      <path v-if="!narrow" :d="`M${cx - r} ${cy + 14}V${y + 8}M${cx + r} ${cy + 14}V${y + 8}`" class="l-hidden" />
    </template>
    <template v-else>
      <PipeCircle :cx="cx" :cy="cy" :mm="mm" :k="k" :pipe="pipe" />
      <path v-if="!narrow" :d="`M${cx - r} ${cy + 4}V${y + 8}M${cx + r} ${cy + 4}V${y + 8}`" class="l-dim" />
    </template>
    <template v-if="narrow">
      <path
        :d="`M${cx} ${cy - r}H${cx + r + 20}M${cx} ${cy + r}H${cx + r + 20}M${cx + r + 14} ${cy - r}V${cy + r}`"
        class="l-dim" />
      <path
        :d="`M${cx + r + 9} ${cy - r + 5}l10 -10M${cx + r + 9} ${cy + r + 5}l10 -10`"
        stroke="var(--ink)"
        stroke-width="1.75" />
      <text :x="cx + r + 34" :y="cy + 14" class="t64 w7">{{ figure }}</text>
      <text :x="cx + r + 34" :y="cy + 38" class="t14">{{ unitOf(system) }}{{ beside }}</text>
      <text :x="cx + r + 34" :y="cy + 56" class="t14">{{ measuredBy }}</text>
    </template>
    <template v-else>
      <path
        :d="`M${cx - r} ${y}H${Math.min(cx - gap, cx - 20)}M${Math.max(cx + gap, cx + 20)} ${y}H${cx + r}`"
        class="l-dim" />
      <path
        :d="`M${cx - r - 5} ${y + 5}l10 -10M${cx + r - 5} ${y + 5}l10 -10`"
        stroke="var(--ink)"
        stroke-width="1.75" />
      <text :x="cx" :y="y + 22" class="mid halo t64 w7">{{ figure }}</text>
      <text :x="Math.max(cx + gap, cx + r) + 12" :y="y - 4" class="t14">{{ unitOf(system) }}{{ beside }}</text>
      <text :x="Math.max(cx + gap, cx + r) + 12" :y="y + 14" class="t14">{{ measuredBy }}</text>
    </template>
    <g v-if="mm !== null && pipe?.bore && !narrow">
      <path :d="`M${cx + r * 0.66} ${cy - r * 0.66}L${cx + r + 22} ${cy - 66}`" class="l-dim2" />
      <text :x="cx + r + 26" :y="cy - 70" class="t14">wall not seen yet</text>
      <text :x="cx + r + 26" :y="cy - 52" class="t14 note">
        dashed: bore {{ formatReading(pipe.bore, system) }} {{ unitOf(system) }}
      </text>
      <text :x="cx + r + 26" :y="cy - 35" class="t14 note">if it is the first named</text>
    </g>
  </svg>
</template>
