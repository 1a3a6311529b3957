import { textWidth } from './face'
import { spread, textLabel, type TextLabel } from './labels'
import type { StripFrame } from './strip-layout'

/* Words on a strip, px, where they meet neither each other nor the stretch that is left out. */

const SIZE = 14
const GAP = 8

/** How far an end goes into its fitting, mm, and the words for the fitting. */
interface Insert {
  isLeft: boolean
  mm: number
  words: string
}

/** What each end goes into, over its stretch as near as the other lets it; none where they do not go in beside each other. */
export function placeInserts(inserts: readonly Insert[], { left, cy, half, layout }: StripFrame): TextLabel[] {
  const wishes = inserts.map(({ isLeft, mm, words }) => ({
    middle: isLeft ? left + layout.at(mm) / 2 : left + layout.width - layout.at(mm) / 2,
    width: textWidth(words, SIZE),
  }))
  const lefts = spread(wishes, left + 2, left + layout.width - 2, GAP) ?? []
  return lefts.map((x, i) => textLabel(inserts[i]!.words, SIZE, 400, x, cy - half + 6))
}

/** Whether a figure of the tape that begins at a place meets the stretch that is left out. */
export function isOverGap(text: string, x: number, { left, layout: { gap } }: StripFrame): boolean {
  if (!gap) return false
  const to = x + textWidth(text, SIZE, 700)
  return x < left + gap[1] && to > left + gap[0]
}
