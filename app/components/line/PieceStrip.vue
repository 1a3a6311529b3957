<script setup lang="ts">
import { getPipe } from '#core/catalogue'
import { arcOfBend, type Piece } from '#core/line'
import type { UnitSystem } from '#core/units'
import { bendMark, isDrawn, layStrip, reversePiece, type StripFrame, type StripZone } from '~/drawing/strip-layout'
import { materialOf } from '~/drawing/materials'
import { tapeText } from '~/reading/tape'
import { bendsOf, intoWords } from '~/wording/line'
import { scaleText } from '~/reading/format'

/**
 * One piece to scale with a tape under it: cut ends, insertion marks, rings, bends, clips; distances from the left end.
 */
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
/** What falls where the middle is left out stands in the list of marks only. */
const isSeen = ({ at }: { at: number }) => layout.value !== null && isDrawn(layout.value, at)
const bends = computed(() =>
  shown.value
    ? bendsOf(shown.value)
        .map((bend, i) => ({ ...bend, number: i + 1 }))
        .filter((bend) => isSeen({ at: bendMark(bend, props.school) }))
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
const scaleWords = computed(() => {
  if (!layout.value) return ''
  const { isBroken, isThin, scale } = layout.value
  const drawn = scaleText(scale, props.system)
  if (isBroken) return `${drawn}, middle broken`
  return `${isThin ? 'thickness not to scale' : 'one scale both ways'}, ${drawn}`
})
const text = (mm: number | null) => tapeText(mm, props.system)
const frame = computed<StripFrame | null>(() =>
  layout.value && cut.value !== null
    ? {
        layout: layout.value,
        cut: cut.value,
        left: left.value,
        cy: cy.value,
        half: half.value,
        tapeY: tapeY.value,
        isPhone: props.isPhone,
        x,
        text,
      }
    : null,
)
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
    <g v-else-if="frame">
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
      <StripTape :frame="frame" :system="system" />
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
      <StripInserts :frame="frame" :inserts="inserts" />
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
      <StripBends :frame="frame" :bends="bends" :school="school" :is-worded="!isPhone && !isFixing" />
      <StripClips :frame="frame" :clips="clips" :zones="zones" :held="held" />
    </g>
    <text v-if="layout && !isPhone" :x="left" :y="height - 1" class="t13 note">{{ scaleWords }}</text>
    <title>{{ title }}. {{ scaleWords }}.</title>
  </svg>
</template>
