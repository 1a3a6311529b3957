<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import { arcOfBend, type Piece } from '#core/line'
import { MM_PER_INCH, type UnitSystem } from '#core/units'
import { layStrip, reversePiece } from '~/drawing/strip-layout'
import { materialOf } from '~/drawing/materials'
import { tapeText } from '~/reading/tape'
import { bendsOf, intoWords, turnShort } from '~/wording/line'

interface StripZone {
  from: number
  to: number
  isFree: boolean
}

/** One piece to scale with a tape under it: cut ends, insertion marks, rings, bends, clips; distances from the left end. */
const props = defineProps<{
  piece: Piece | null
  from: string
  to: string
  system: UnitSystem
  width: number
  isReversed: boolean
  isPhone: boolean
  school: 'hook' | 'corner'
  zones?: readonly StripZone[]
  held?: number | null
}>()
/** While supports are fixed the strip speaks of clips: bends keep their marks without their words. */
const isFixing = computed(() => props.zones !== undefined)

const shown = computed(() => (props.piece && props.isReversed ? reversePiece(props.piece) : props.piece))
const ends = computed(() => (props.isReversed ? [props.to, props.from] : [props.from, props.to]))
const pipe = computed(() => (shown.value ? getPipe(shown.value.pipe) : null))
const cut = computed(() => shown.value?.cut ?? null)
const height = computed(() => (props.isPhone ? 190 : 150))
const left = computed(() => (props.isPhone ? 40 : 88))
const layout = computed(() =>
  pipe.value && cut.value !== null
    ? layStrip(cut.value, pipe.value.od, props.width, {
        isInch: props.system === 'inch',
        isPhone: props.isPhone,
        margin: props.isPhone ? 80 : 178,
        marks: bendsOf(shown.value!).map(({ at }) => at),
      })
    : null,
)
const half = computed(() => Math.min(props.isPhone ? 58 : 24, layout.value?.half ?? 12))
const cy = computed(() => (props.isPhone ? 66 : 64))
const tapeY = computed(() => cy.value + half.value + (props.isPhone ? 12 : 18))
const x = (mm: number) => left.value + layout.value!.at(mm)
/** Where a bend's pencil mark goes by the school in use. */
const markAt = (bend: { corner: number; hook: number }) => (props.school === 'corner' ? bend.corner : bend.hook)
/** What falls where the middle is left out stands in the list of marks only. */
const isSeen = ({ at }: { at: number }) =>
  !layout.value?.gap || layout.value.at(at) <= layout.value.gap[0] || layout.value.at(at) >= layout.value.gap[1]
const bends = computed(() =>
  shown.value
    ? bendsOf(shown.value)
        .map((bend, i) => ({ ...bend, number: i + 1 }))
        .filter((bend) => isSeen({ at: markAt(bend) }))
    : [],
)
const inserts = computed(() =>
  shown.value && cut.value !== null
    ? shown.value.ends
        .map((end, i) => ({ end, i, mm: end.insertion, words: intoWords(end, ends.value[i]!) }))
        .filter(({ end }) => end.into !== 'free' && end.insertion !== null)
    : [],
)
const title = computed(() =>
  shown.value && pipe.value
    ? `Strip: ${shown.value.id}, ${ends.value[0]} to ${ends.value[1]}, ${pipe.value.label}`
    : 'Strip',
)
const scaleWords = computed(() =>
  layout.value
    ? layout.value.isBroken
      ? `1 mm drawn ${Math.round(layout.value.scale * 100) / 100}, middle broken`
      : `${layout.value.isThin ? 'thickness not to scale' : 'one scale both ways'}, 1 mm drawn ${Math.round(layout.value.scale * 100) / 100}`
    : '',
)
const text = (mm: number | null) => tapeText(mm, props.system)
/** Figures on the tape stand so far apart that they can be read: each so many long ticks. */
const isLabelled = (mm: number) => {
  const long = props.system === 'inch' ? MM_PER_INCH : layout.value!.scale >= 4 ? 10 : 100
  const step =
    long *
    ([1, 2, 5, 10, 20].find((times) => times * long * layout.value!.scale >= (props.system === 'inch' ? 22 : 42)) ?? 50)
  return Math.abs(mm / step - Math.round(mm / step)) < 1e-6
}
/** Figures over marks that would stand on one another take the row below. */
const raised = computed(() => {
  let last = -Infinity
  return bends.value.map((bend) => {
    const at = x(markAt(bend))
    const isClose = at - last < 118
    if (!isClose) last = at
    return isClose
  })
})
const words = computed(() =>
  shown.value && cut.value !== null
    ? `cut ${text(cut.value)}; ${shown.value.marks.map((mark) => `${mark.what} at ${text(mark.at)}${mark.what === 'bend' ? `, ${Math.round(mark.angle)} degrees` : ''}`).join('; ')}`
    : 'no cut yet',
)
const clips = computed(() => shown.value?.marks.filter((mark) => mark.what === 'clip' && isSeen(mark)) ?? [])
const rings = computed(() => shown.value?.marks.filter((mark) => mark.what === 'ring' && isSeen(mark)) ?? [])
const hatch = computed(() => (pipe.value ? materialOf(pipe.value.family) : null))
</script>

<template>
  <svg
    :width="width"
    :height="height"
    :viewBox="`0 0 ${width} ${height}`"
    role="img"
    :aria-label="`${title}, ${words}`">
    <g v-if="!layout || !shown || cut === null">
      <path :d="`M${left} ${cy - 11}H${width - 60}V${cy + 11}H${left}Z`" class="l-hidden" />
      <rect :x="left" :y="cy + 29" :width="Math.max(0, width - 60 - left)" height="26" fill="none" class="l-hidden" />
      <text :x="width / 2" :y="cy + 6" class="mid t20 w7 halo">{{ shown ? '?' : '' }}</text>
    </g>
    <g v-else>
      <g :clip-path="`path('M0 0H${width}V${height}H0Z')`">
        <rect :x="left" :y="cy - half" :width="layout.width" :height="2 * half" fill="var(--paper)" />
        <template v-for="one in inserts" :key="`z${one.i}`">
          <rect
            :x="one.i === 0 ? left : x(cut - one.mm!)"
            :y="cy - half"
            :width="layout.at(one.mm!)"
            :height="2 * half"
            fill="url(#hatch-selected)"
            opacity=".55" />
        </template>
        <rect
          v-for="(bend, i) in bends"
          :key="`b${i}`"
          :x="x(bend.at)"
          :y="cy - half"
          :width="Math.max(2, x(bend.at + arcOfBend(bend)) - x(bend.at))"
          :height="2 * half"
          fill="url(#hatch-band)" />
        <path
          :d="`M${left} ${cy - half}H${left + layout.width}M${left} ${cy + half}H${left + layout.width}`"
          :stroke-width="hatch?.edge ?? 2"
          stroke="var(--ink)"
          fill="none" />
        <path
          v-if="layout.gap"
          :d="`M${left + layout.gap[0]} ${cy - half - 8}c8 ${half * 0.8} -8 ${half * 1.2} 0 ${2 * half + 16}H${left + layout.gap[1]}c-8 ${-half * 0.8} 8 ${-half * 1.2} 0 ${-2 * half - 16}Z`"
          fill="var(--paper)"
          stroke="var(--ink)"
          stroke-width="1.25" />
        <rect
          v-if="layout.gap"
          :x="left + layout.gap[0] + 1"
          :y="cy - half - 9"
          :width="layout.gap[1] - layout.gap[0] - 2"
          height="3"
          fill="var(--paper)" />
        <rect
          v-if="layout.gap"
          :x="left + layout.gap[0] + 1"
          :y="cy + half + 6"
          :width="layout.gap[1] - layout.gap[0] - 2"
          height="3"
          fill="var(--paper)" />
      </g>
      <!-- tape -->
      <rect :x="left" :y="tapeY" :width="layout.width" height="26" fill="var(--paper2)" />
      <path :d="`M${left} ${tapeY}H${left + layout.width}`" class="l-thin" />
      <g v-for="tick in layout.ticks" :key="tick.mm">
        <path
          :d="`M${x(tick.mm)} ${tapeY}v${tick.rank === 'long' ? 26 : tick.rank === 'middle' ? 12 : 7}`"
          :class="tick.rank === 'long' ? 'l-thin' : 'l-dim2'" />
        <text
          v-if="
            tick.rank === 'long' &&
            tick.mm > 0 &&
            isLabelled(tick.mm) &&
            x(tick.mm) < left + layout.width - (tick.mm >= 1000 ? 44 : 34)
          "
          :x="x(tick.mm) + 3"
          :y="tapeY + 22"
          class="t14 w7">
          {{ system === 'inch' ? Math.round(tick.mm / MM_PER_INCH) : Math.round(tick.mm) }}
        </text>
      </g>
      <rect
        v-if="layout.gap"
        :x="left + layout.gap[0]"
        :y="tapeY - 1"
        :width="layout.gap[1] - layout.gap[0]"
        height="28"
        fill="var(--paper)" />
      <!-- cut ends -->
      <path v-for="mm in [0, cut]" :key="mm" :d="`M${x(mm)} ${cy - half - 12}V${tapeY + 26}`" class="l-sel" />
      <text
        :x="left + layout.width + (isPhone ? -4 : 8)"
        :y="isPhone ? tapeY + 44 : tapeY + 20"
        :class="isPhone ? 'end' : ''"
        class="t20 w7 copper">
        {{ text(cut) }}
      </text>
      <g v-if="!isPhone" class="t14">
        <path :d="`M${left - 14} ${cy - 6}l9 6l-9 6M${left + layout.width + 14} ${cy - 6}l-9 6l9 6`" class="l-thin" />
        <text :x="left - 20" :y="cy + 5" class="end t14">ream</text>
        <text :x="left + layout.width + 20" :y="cy + 5" class="t14">ream</text>
      </g>
      <!-- insertion marks -->
      <g v-for="one in inserts" :key="`i${one.i}`">
        <path :d="`M${one.i === 0 ? x(one.mm!) : x(cut - one.mm!)} ${cy - half - 8}V${cy + half + 8}`" class="l-sel3" />
        <template v-if="isPhone">
          <text
            :x="one.i === 0 ? left + layout.at(one.mm!) / 2 : left + layout.width - layout.at(one.mm!) / 2"
            :y="cy + 14"
            class="mid w7 copper halo"
            :style="{ fontSize: `${Math.min(40, layout.at(one.mm!) / (text(one.mm).length * 0.6))}px` }">
            {{ text(one.mm) }}
          </text>
          <text
            :x="one.i === 0 ? left + layout.at(one.mm!) + 8 : left + layout.width - layout.at(one.mm!) - 8"
            :y="cy - half + 18"
            :class="one.i === 1 ? 'end' : ''"
            class="t14 halo">
            {{ one.words }}
          </text>
        </template>
        <template v-else>
          <text v-if="one.i === 0" :x="left + 2" y="22">
            <tspan class="t20 w7 copper">{{ text(one.mm) }}</tspan>
            <tspan class="t14" dx="4">into {{ one.words }}</tspan>
          </text>
          <text v-else :x="left + layout.width - 2" y="22" class="end">
            <tspan class="t14">into {{ one.words }}</tspan>
            <tspan class="t20 w7 copper" dx="4">{{ text(one.mm) }}</tspan>
          </text>
        </template>
      </g>
      <rect
        v-for="(ring, i) in rings"
        :key="`r${i}`"
        :x="ring.at < cut / 2 ? x(ring.at) : x(ring.at) - 7"
        :y="cy - half - 4"
        width="7"
        :height="2 * half + 8"
        fill="none"
        stroke="var(--ink)"
        stroke-width="2.5" />
      <!-- bends -->
      <g v-for="(bend, i) in bends" :key="`m${i}`">
        <path
          :d="`M${x(markAt(bend))} ${cy - half - (isPhone ? 4 : raised[i] ? 8 : 22)}V${cy + half + 4}`"
          class="l-sel" />
        <text
          v-if="!isPhone && !isFixing"
          :x="raised[i] ? x(bend.corner) + 10 : x(markAt(bend))"
          :y="raised[i] ? cy - half - 10 : 40"
          :class="raised[i] ? '' : 'mid'"
          class="halo">
          <tspan class="t20 w7 copper">{{ text(markAt(bend)) }}</tspan>
          <tspan class="t14" dx="4">
            bend {{ bend.number }}, {{ Math.round(bend.angle * 10) / 10 }}°{{ turnShort(bend.turn) }}
          </tspan>
        </text>
      </g>
      <g v-for="(bend, i) in bends.filter(({ corner }) => isSeen({ at: corner }))" :key="`a${i}`">
        <path
          v-if="!isPhone"
          :d="
            bend.number === 1 || Math.abs(bend.turn) < 1 || bend.turn > 359
              ? `M${x(bend.corner)} ${cy}v${half + 15}m-4 -7l4 7l4 -7`
              : `M${x(bend.corner)} ${cy}v${-half - 15}m-4 7l4 -7l4 7`
          "
          class="l-sel" />
      </g>
      <!-- stretches where a clip may sit, and may not -->
      <g v-for="(zone, i) in zones ?? []" :key="`z${i}`" :class="zone.isFree ? 'verd' : 'brick'">
        <path
          :d="`M${x(Math.max(0, zone.from))} ${cy + half + 2}v7H${x(Math.min(cut, zone.to))}v-7`"
          fill="none"
          stroke="currentColor"
          stroke-width="2" />
        <rect
          v-if="!zone.isFree"
          :x="x(Math.max(0, zone.from))"
          :y="cy - half"
          :width="Math.max(1, x(Math.min(cut, zone.to)) - x(Math.max(0, zone.from)))"
          :height="2 * half"
          fill="url(#hatch-brick)"
          opacity=".5" />
      </g>
      <!-- clips -->
      <g v-for="(clip, i) in clips" :key="`c${i}`">
        <path
          :d="`M${x(clip.at) - 9} ${cy - half + 3}v-7h18v7M${x(clip.at) - 9} ${cy + half - 3}v7h6M${x(clip.at) + 9} ${cy + half - 3}v7h-6`"
          class="l-thin" />
        <text
          v-if="isFixing"
          :x="x(clip.at)"
          :y="cy - half - 14"
          class="mid halo"
          :class="held !== null && held !== undefined && Math.abs(clip.at - held) < 0.5 ? 't20 w7 copper' : 't15 w6'">
          {{ text(clip.at) }}
        </text>
        <text v-else :x="x(clip.at)" :y="cy - half - 9" class="mid t14 halo">clip {{ text(clip.at) }}</text>
      </g>
    </g>
    <text v-if="layout && !isPhone" :x="left" :y="height - 1" class="t13 note">{{ scaleWords }}</text>
    <title>{{ title }}. {{ scaleWords }}.</title>
  </svg>
</template>
