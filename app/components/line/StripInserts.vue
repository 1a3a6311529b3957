<script setup lang="ts">
import type { PieceEnd } from '#core/line'
import { baseline } from '~/drawing/labels'
import { placeInserts } from '~/drawing/strip-labels'
import type { StripFrame } from '~/drawing/strip-layout'

/** How far each end of a piece goes into its fitting: a mark right across, its figure, and what it goes into. */
const props = defineProps<{
  frame: StripFrame
  inserts: readonly { end: PieceEnd; i: number; mm: number | null; words: string }[]
}>()
/** On a phone what each end goes into stands over its figure, apart from the other's. */
const words = computed(() =>
  placeInserts(
    props.inserts.map(({ i, mm, words }) => ({ isLeft: i === 0, mm: mm!, words })),
    props.frame,
  ),
)
</script>

<template>
  <g v-for="(one, n) in inserts" :key="`i${one.i}`">
    <path
      :d="`M${one.i === 0 ? frame.x(one.mm!) : frame.x(frame.cut - one.mm!)} ${frame.cy - frame.half - 8}V${frame.cy + frame.half + 8}`"
      class="l-sel3" />
    <template v-if="frame.isPhone">
      <text
        :x="
          one.i === 0
            ? frame.left + frame.layout.at(one.mm!) / 2
            : frame.left + frame.layout.width - frame.layout.at(one.mm!) / 2
        "
        :y="frame.cy + 14"
        class="mid w7 copper halo"
        :style="{ fontSize: `${Math.min(40, frame.layout.at(one.mm!) / (frame.text(one.mm).length * 0.6))}px` }">
        {{ frame.text(one.mm) }}
      </text>
      <text v-if="words[n]" :x="words[n].x" :y="baseline(words[n])" class="t14 halo" data-label>
        {{ words[n].text }}
      </text>
    </template>
    <template v-else>
      <text v-if="one.i === 0" :x="frame.left + 2" y="22">
        <tspan class="t20 w7 copper">{{ frame.text(one.mm) }}</tspan>
        <tspan class="t14" dx="4">into {{ one.words }}</tspan>
      </text>
      <text v-else :x="frame.left + frame.layout.width - 2" y="22" class="end">
        <tspan class="t14">into {{ one.words }}</tspan>
        <tspan class="t20 w7 copper" dx="4">{{ frame.text(one.mm) }}</tspan>
      </text>
    </template>
  </g>
</template>
