<script setup lang="ts">
import { firstOf, namedDiameters } from '#core/catalogue'
import { MM_PER_INCH, type UnitSystem, type Region } from '#core/units'
import { formatReading, unitOf } from '~/reading/format'

/** A measured diameter among the known ones: the whole range, and a window round the measure with what each size is. */
const props = defineProps<{
  mm: number | null
  spread: number
  region: Region
  system: UnitSystem
  width: number
  leading?: string
}>()

const MARGIN = 16
/** Half the window of the close ruler, in spreads of the instrument, with a least width in mm. */
const LEAST_HALF = 0.7
/** Width of a letter of the small names, px. */
const LETTER = 6.9

const known = computed(() => namedDiameters(props.region))

const inner = computed(() => props.width - 2 * MARGIN)
const whole = computed(() => {
  const centre = props.mm ?? 20
  const lo = Math.max(4, Math.min(14, Math.floor(centre) - 8))
  const hi = Math.max(30, Math.ceil(centre) + 8)
  return { lo, hi }
})
const half = computed(() => Math.max(LEAST_HALF, props.spread * 5))
const near = computed(() => ({ lo: (props.mm ?? 20) - half.value, hi: (props.mm ?? 20) + half.value }))

const scale = (range: { lo: number; hi: number }, mm: number) =>
  MARGIN + ((mm - range.lo) / (range.hi - range.lo)) * inner.value

/** Ticks at round figures of the job's own unit. */
function ticks(range: { lo: number; hi: number }, atMost: number) {
  const unit = props.system === 'inch' ? MM_PER_INCH : 1
  const steps = [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20]
  const step = steps.find((candidate) => (range.hi - range.lo) / unit / candidate <= atMost) ?? 50
  const digits = Math.min(2, Math.max(0, Math.ceil(-Math.log10(step) - 1e-9)))
  const first = Math.ceil(range.lo / unit / step)
  return Array.from({ length: Math.floor(range.hi / unit / step) - first + 1 }, (_, i) => (first + i) * step)
    .map((value) => ({ mm: value * unit, text: value.toFixed(digits) }))
    .filter(({ mm }) => scale(range, mm) > MARGIN - 4 + 12 && scale(range, mm) < props.width - MARGIN - 8)
}

/** Names in the close window, nearest first, laid out left and right without running into each other. */
const names = computed(() => {
  const inside = known.value.filter(({ od }) => od > near.value.lo && od < near.value.hi)
  const nearest = [...inside].sort((a, b) => Math.abs(a.od - (props.mm ?? 0)) - Math.abs(b.od - (props.mm ?? 0)))
  const placed: {
    od: number
    label: string
    text: string
    x: number
    left: number
    right: number
    row: number
    toLeft: boolean
  }[] = []
  for (const { od, names: labels } of nearest) {
    const x = scale(near.value, od)
    const text = firstOf(labels)
    const room = text.length * LETTER + 10
    const toLeft = x + room > props.width
    const [left, right] = toLeft ? [x - room, x] : [x, x + room]
    const row = [0, 1, 2].find((candidate) =>
      placed.every((other) => other.row !== candidate || other.right < left || other.left > right),
    )
    if (row === undefined) continue
    placed.push({ od, label: labels[0]!, text, x, left, right, row, toLeft })
  }
  return placed
})
const BASE = 226
/** Narrow screens keep the close ruler only. */
const cropped = computed(() => (props.width < 480 && props.mm !== null ? 96 : 0))
const summary = computed(() => {
  if (props.mm === null) return 'No diameter measured yet.'
  const near = names.value.map(({ od, label }) => `${formatReading(od, props.system)} ${label}`).join('; ') || 'none'
  return `Measured ${formatReading(props.mm, props.system)} ${unitOf(props.system)}. Known diameters near it: ${near}.`
})
const likely = computed(() => {
  const [from, to] = [-2, 2].map((times) => formatReading((props.mm ?? 0) + times * props.spread, props.system))
  return `, true size likely ${from} to ${to}`
})
</script>

<template>
  <svg
    :width="width"
    :height="282 - cropped"
    :viewBox="`0 ${cropped} ${width} ${282 - cropped}`"
    role="img"
    aria-label="Diameter ruler"
    style="overflow: hidden">
    <desc>{{ summary }}</desc>
    <text :x="MARGIN - 4" y="14" class="t13 note">known outside diameters, {{ unitOf(system) }}</text>
    <rect :x="MARGIN" y="38" :width="inner" height="32" fill="var(--paper2)" />
    <path :d="`M${MARGIN} 38H${MARGIN + inner}`" class="l-edge" />
    <template v-for="{ od } in known" :key="od">
      <path v-if="od >= whole.lo && od <= whole.hi" :d="`M${scale(whole, od)} 24V38`" class="l-edge" />
    </template>
    <g v-for="tick in ticks(whole, 12)" :key="tick.mm">
      <path :d="`M${scale(whole, tick.mm)} 38v10`" class="l-dim2" />
      <text :x="scale(whole, tick.mm)" y="64" class="mid t13 w6">{{ tick.text }}</text>
    </g>
    <template v-if="mm !== null">
      <rect
        :x="scale(whole, mm - 2 * spread)"
        y="22"
        :width="Math.max(3, scale(whole, mm + 2 * spread) - scale(whole, mm - 2 * spread))"
        height="48"
        fill="url(#hatch-band)" />
      <path
        :d="`M${scale(whole, near.lo)} 72L${MARGIN} 96M${scale(whole, near.hi)} 72L${MARGIN + inner} 96`"
        class="l-dim2" />
      <rect
        :x="scale(near, mm - 2 * spread)"
        y="98"
        :width="scale(near, mm + 2 * spread) - scale(near, mm - 2 * spread)"
        :height="BASE + 34 - 98"
        fill="url(#hatch-band)" />
      <rect :x="MARGIN" :y="BASE" :width="inner" height="34" fill="var(--paper2)" fill-opacity=".75" />
      <path :d="`M${MARGIN} ${BASE}H${MARGIN + inner}`" class="l-edge" />
      <g v-for="tick in ticks(near, 8)" :key="tick.mm">
        <path :d="`M${scale(near, tick.mm)} ${BASE}v9`" class="l-dim2" />
        <text :x="scale(near, tick.mm)" :y="BASE + 27" class="mid t13 w6">{{ tick.text }}</text>
      </g>
      <g v-for="name in names" :key="name.od">
        <path
          :d="`M${name.x} ${BASE - 14 - name.row * 38}V${BASE}`"
          :class="name.label === leading ? 'l-sel3' : 'l-edge'" />
        <text
          :x="name.x + (name.toLeft ? -6 : 6)"
          :y="BASE - 22 - name.row * 38"
          :class="[name.toLeft ? 'end' : '', name.label === leading ? 'copper' : '']"
          class="halo t17 w7">
          {{ formatReading(name.od, system) }}
        </text>
        <text
          :x="name.x + (name.toLeft ? -6 : 6)"
          :y="BASE - 7 - name.row * 38"
          :class="name.toLeft ? 'end' : ''"
          class="halo t13">
          {{ name.text }}
        </text>
      </g>
      <path :d="`M${scale(near, mm)} ${BASE + 34}l-5 7h10z`" fill="var(--copper)" />
      <text :x="MARGIN" :y="BASE + 52" class="t14">
        <tspan class="w7">measured {{ formatReading(mm, system) }}</tspan>
        <tspan>{{ likely }}</tspan>
      </text>
    </template>
    <template v-else>
      <path :d="`M${MARGIN} ${BASE}H${MARGIN + inner}M${MARGIN} ${BASE + 34}H${MARGIN + inner}`" class="l-hidden" />
      <text :x="width / 2" :y="BASE - 24" class="mid t15 note">
        Measure across the pipe and the sizes near it stand here.
      </text>
    </template>
  </svg>
</template>
