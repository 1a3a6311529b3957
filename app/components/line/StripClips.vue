<script setup lang="ts">
import type { PieceMark } from '#core/line'
import type { StripFrame, StripZone } from '~/drawing/strip-layout'

/**
 * Clips of a piece with their places. While supports are fixed: the stretches where one may sit and may not, and the one
 * held.
 */
defineProps<{ frame: StripFrame; clips: readonly PieceMark[]; zones?: readonly StripZone[]; held?: number | null }>()
</script>

<template>
  <g v-for="(zone, i) in zones ?? []" :key="`z${i}`" :class="zone.isFree ? 'verd' : 'brick'">
    <path
      :d="`M${frame.x(Math.max(0, zone.from))} ${frame.cy + frame.half + 2}v7H${frame.x(Math.min(frame.cut, zone.to))}v-7`"
      fill="none"
      stroke="currentColor"
      stroke-width="2" />
    <rect
      v-if="!zone.isFree"
      :x="frame.x(Math.max(0, zone.from))"
      :y="frame.cy - frame.half"
      :width="Math.max(1, frame.x(Math.min(frame.cut, zone.to)) - frame.x(Math.max(0, zone.from)))"
      :height="2 * frame.half"
      fill="url(#hatch-brick)"
      opacity=".5" />
  </g>
  <g v-for="(clip, i) in clips" :key="`c${i}`">
    <path
      :d="`M${frame.x(clip.at) - 9} ${frame.cy - frame.half + 3}v-7h18v7M${frame.x(clip.at) - 9} ${frame.cy + frame.half - 3}v7h6M${frame.x(clip.at) + 9} ${frame.cy + frame.half - 3}v7h-6`"
      class="l-thin" />
    <text
      v-if="zones"
      :x="frame.x(clip.at)"
      :y="frame.cy - frame.half - 14"
      class="mid halo"
      :class="held !== null && held !== undefined && Math.abs(clip.at - held) < 0.5 ? 't20 w7 copper' : 't15 w6'">
      {{ frame.text(clip.at) }}
    </text>
    <text v-else :x="frame.x(clip.at)" :y="frame.cy - frame.half - 9" class="mid t14 halo"
      >clip {{ frame.text(clip.at) }}</text
    >
  </g>
</template>
