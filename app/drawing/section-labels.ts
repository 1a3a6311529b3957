import type { UnitSystem } from '#core/units'
import { figureExtent } from './face'
import { spread, textLabel, wordingFor, type Box, type TextLabel } from './labels'

/* Where the figures and words of a joint cut through stand, px: none over another, none off the sheet. */

/** A depth as it is drawn: its stretch along the pipe, and whether it is of one of the two ends. */
export interface DrawnDepth {
  at: number
  x1: number
  x2: number
  isEnd: boolean
  mm: number | null
}
/** The figure of a depth: how large, where, and the line that leads to its dimension where it had to give way. */
export interface FigureLabel extends Box {
  at: number
  mm: number | null
  size: number
  withUnit: boolean
  isEnd: boolean
  leader: string | null
}
export interface SectionLabels {
  figures: FigureLabel[]
  note: TextLabel
  /** Where a closed end is shut. */
  shut: TextLabel | null
}

/** Heights over the drawing, px from its top: foot of the figures of the ends and of those between, their dimensions. */
export const TIERS = { end: { foot: 46, line: 54 }, between: { foot: 76, line: 82 } } as const
/** The drawing begins below this, px. */
export const SECTION_TOP = 86
const EDGE = 2
const GAP = 8
const END_SIZES = [40, 32, 26, 20, 17]
const BETWEEN_SIZES = [17, 14]
/** So far, px, a figure may stand off its dimension before a smaller one is taken. */
const NEAR = 26
/** From this off, px, a line leads from the figure to its dimension. */
const LED = 7
const SHUT_WORDS = ['shut here', 'shut']

interface Asked {
  depths: readonly DrawnDepth[]
  system: UnitSystem
  /** Of the whole sheet; depths are counted from its left edge. */
  width: number
  height: number
  /** The scale and what is typical, the longest wording first. */
  notes: readonly string[]
  /** Where a closed end is solid, and the pipe's centre line. */
  shut: { x: number; cy: number } | null
}

/** Figures of one tier in the largest size of some that lets each stand near its dimension, else the largest that goes. */
function tier(depths: readonly DrawnDepth[], sizes: readonly number[], { system, width }: Asked): FigureLabel[] {
  if (depths.length === 0) return []
  const isEnd = depths[0]!.isEnd
  const { foot, line } = isEnd ? TIERS.end : TIERS.between
  // In mm the unit stands in the scale beside; inches carry their mm.
  const withUnit = isEnd && system === 'inch'
  const laid = sizes.flatMap((size) => {
    const extents = depths.map(({ mm }) => figureExtent(mm, system, size, withUnit))
    const middles = depths.map(({ x1, x2 }) => (x1 + x2) / 2)
    const wishes = extents.map((extent, i) => ({ middle: middles[i]!, width: extent.width }))
    const lefts = spread(wishes, EDGE, width - EDGE, GAP)
    if (!lefts || extents.some(({ height }) => height > foot)) return []
    const off = Math.max(...lefts.map((left, i) => Math.abs(left + wishes[i]!.width / 2 - middles[i]!)))
    return [{ size, extents, lefts, middles, off }]
  })
  const taken = laid.find(({ off }) => off <= NEAR) ?? laid[0]
  if (!taken) return []
  return depths.map(({ at, mm }, i) => {
    const [extent, x, middle] = [taken.extents[i]!, taken.lefts[i]!, taken.middles[i]!]
    const own = x + extent.width / 2
    return {
      ...{ at, mm, size: taken.size, withUnit, isEnd },
      ...{ x, y: foot - extent.height, ...extent },
      leader: Math.abs(own - middle) > LED ? `M${own} ${foot + 1}L${middle} ${line}` : null,
    }
  })
}

/** Every label of a joint cut through. */
export function sectionLabels(asked: Asked): SectionLabels {
  const { depths, width, height, notes, shut } = asked
  const words = wordingFor(notes, width - 2 * GAP, 13)
  const note = textLabel(words, 13, 400, 0, height - 18)
  return {
    figures: [
      ...tier(
        depths.filter(({ isEnd }) => isEnd),
        END_SIZES,
        asked,
      ),
      ...tier(
        depths.filter(({ isEnd }) => !isEnd),
        BETWEEN_SIZES,
        asked,
      ),
    ],
    note: { ...note, x: width - GAP - note.width },
    shut: shut && shutLabel(shut, width),
  }
}

/** Room for the arrow that points at where an end is shut, px. */
const ARROW = 40
function shutLabel({ x, cy }: { x: number; cy: number }, width: number): TextLabel {
  const words = wordingFor(SHUT_WORDS, width - EDGE - x - ARROW, 14, 600)
  const label = textLabel(words, 14, 600, x + ARROW, cy - 9)
  return { ...label, x: Math.min(label.x, width - EDGE - label.width) }
}
