<script setup lang="ts">
import type { PieceMark } from '#core/line'
import { bendMark, isDrawn, type StripFrame } from '~/drawing/strip-layout'
import { turnShort } from '~/wording/line'

/**
 * The pencil marks of a piece's bends by the school in use, with their figures, and an arrow to the side that each turns
 * to.
 */
const props = defineProps<{
  frame: StripFrame
  bends: readonly (Extract<PieceMark, { what: 'bend' }> & { number: number })[]
  school: 'hook' | 'corner'
  isWorded: boolean
}>()
const markAt = (bend: { corner: number; hook: number }) => bendMark(bend, props.school)
/** Figures nearer than this run into one another, px. */
const APART = 118
/** Figures over marks that would stand on one another take the row below. */
const raised = computed(() => {
  let last = -Infinity
  return props.bends.map((bend) => {
    const at = props.frame.x(markAt(bend))
    const isClose = at - last < APART
    if (!isClose) last = at
    return isClose
  })
})
/** How far a mark stands over the pipe, px. */
function risesOver(i: number): number {
  if (props.frame.isPhone) return 4
  return raised.value[i] ? 8 : 22
}
const corners = computed(() => props.bends.filter(({ corner }) => isDrawn(props.frame.layout, corner)))
</script>

<template>
  <g v-for="(bend, i) in bends" :key="`m${i}`">
    <path
      :d="`M${frame.x(markAt(bend))} ${frame.cy - frame.half - risesOver(i)}V${frame.cy + frame.half + 4}`"
      class="l-sel" />
    <text
      v-if="isWorded"
      :x="raised[i] ? frame.x(bend.corner) + 10 : frame.x(markAt(bend))"
      :y="raised[i] ? frame.cy - frame.half - 10 : 40"
      :class="raised[i] ? '' : 'mid'"
      class="halo">
      <tspan class="t20 w7 copper">{{ frame.text(markAt(bend)) }}</tspan>
      <tspan class="t14" dx="4">
        bend {{ bend.number }}, {{ Math.round(bend.angle * 10) / 10 }}°{{ turnShort(bend.turn) }}
      </tspan>
    </text>
  </g>
  <g v-for="(bend, i) in corners" :key="`a${i}`">
    <path
      v-if="!frame.isPhone"
      :d="
        bend.number === 1 || Math.abs(bend.turn) < 1 || bend.turn > 359
          ? `M${frame.x(bend.corner)} ${frame.cy}v${frame.half + 15}m-4 -7l4 7l4 -7`
          : `M${frame.x(bend.corner)} ${frame.cy}v${-frame.half - 15}m-4 7l4 -7l4 7`
      "
      class="l-sel" />
  </g>
</template>
