<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import type { PieceMark } from '#core/line'
import type { Policy } from '#core/joints'
import type { UnitSystem } from '#core/units'
import type { ShownPiece } from '~/composables/useLine'
import { reversePiece } from '~/drawing/strip-layout'
import { tapeText } from '~/reading/tape'
import { scaleText } from '~/reading/format'

/** The piece in work as it lies on the bench, with its marks; on the phone they stand in words too. */
const props = defineProps<{
  shown: ShownPiece | null
  pipeWords: string
  system: UnitSystem
  school: Policy['bendMark']
  /** Where its sheet is printed; none without a leg. */
  printUrl: string | null
}>()
const isReversed = defineModel<boolean>('reversed', { required: true })
const narrow = useNarrow()
const strip = useTemplateRef<HTMLElement>('strip')
const { width: stripWidth } = useElementSize(strip)
const head = computed(() => {
  if (narrow.value) return `${scaleText(5.2, props.system)}, middle broken`
  if (!props.shown) return 'Strip: no piece yet'
  const { piece, from, to } = props.shown
  return `Strip: ${piece?.id ?? ''} ${from} to ${to}, ${props.pipeWords}`
})
/** Marks of the piece that a broken strip leaves out, in words. */
/** Where a mark is measured to, by the job's school of bends. */
function placeOf(mark: PieceMark): number | null {
  if (mark.what !== 'bend') return mark.at
  return props.school === 'corner' ? mark.corner : mark.hook
}
const marksWords = computed(() => {
  const piece = props.shown?.piece && isReversed.value ? reversePiece(props.shown.piece) : props.shown?.piece
  const of = (what: 'bend' | 'clip') =>
    (piece?.marks ?? []).flatMap((mark) => (mark.what !== what ? [] : [tapeText(placeOf(mark), props.system)]))
  return (
    [
      ['bends', of('bend')],
      ['clips', of('clip')],
    ] as const
  )
    .filter(([, at]) => at.length > 0)
    .map(([words, at]) => `${words} ${at.join(', ')}`)
    .join('; ')
})
</script>

<template>
  <div ref="strip" class="strip">
    <p class="t13 strip-head">
      <span class="note w6">{{ head }}</span><span class="strip-tools"
        ><button
          type="button"
          class="underline"
          :aria-pressed="isReversed"
          data-test="reverse"
          @click="isReversed = !isReversed">
          {{ isReversed ? 'from the other end' : 'reverse' }} <kbd>R</kbd></button
        ><a v-if="printUrl" :href="printUrl" target="_blank" rel="noopener" class="underline" data-test="print-strips"
          >{{ narrow ? 'print' : 'Print strips and marks' }} <kbd>P</kbd></a
        ></span
      >
    </p>
    <PieceStrip
      v-if="stripWidth > 0"
      :piece="shown?.piece ?? null"
      :from="shown?.from ?? ''"
      :to="shown?.to ?? ''"
      :system="system"
      :width="Math.floor(stripWidth)"
      :is-reversed="isReversed"
      :is-phone="narrow"
      :school="school" />
    <p v-if="narrow && marksWords && stripWidth > 0" class="t14 marks" data-test="phone-marks">{{ marksWords }}</p>
  </div>
</template>

<style scoped>
.strip {
  min-width: 0;
  overflow: hidden;
}
.strip-head {
  display: flex;
  justify-content: space-between;
  padding: 5px 18px 0;
  min-height: 26px;
}
.strip-tools {
  display: flex;
  gap: 22px;
  align-items: center;
}
.marks {
  padding: 0 12px 6px;
  font-weight: 600;
}
@media (max-width: 899px) {
  .strip-head {
    padding: 4px 12px 0;
  }
  .strip-tools button,
  .strip-tools a {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
}
</style>
