import type { UnitSystem } from '#core/units'
import { figureExtent, LINE, textWidth, type Extent } from './face'
import { spread, textLabel, wordingFor, type Box, type TextLabel } from './labels'

/* A pipe's end with its insertion mark on a sheet, px: how large, where the figure stands, what is written where. */

interface Asked {
  od: number
  /** Depth, mm; null where it is not known. */
  mm: number | null
  /** Sealed at its face: no mark and no figure. */
  atFace: boolean
  system: UnitSystem
  width: number
  height: number
  isNarrow: boolean
  /** What is written at the mark, over the arrow, and at the foot, the longest wording of each first. */
  markWords: readonly string[]
  pushWords: string
  notes: (k: number) => readonly string[]
}

export interface MakeStripLayout {
  /** Px for a mm, the centre line, half of the pipe, its end, its mark, and where the mouth it goes into begins. */
  k: number
  cy: number
  r: number
  endX: number
  markX: number
  socketX: number
  figure: (Box & { size: number; isOver: boolean }) | null
  /** Of the dimension between mark and end. */
  lineY: number
  mark: TextLabel
  push: TextLabel | null
  stop: TextLabel | null
  note: TextLabel
}

const EDGE = 6
const NOTE_PX = 13
const MARK_PX = 15
const PUSH_PX = 17
/** Room at the foot for the scale. */
const FOOT = 20
/** A tube's wall as it is drawn, and the dimension under the figure. */
const WALL = 9
const UNDER = 24
/** Large enough to be read from where one kneels: the least inside the pipe, the most anywhere; by how wide the sheet is. */
const FIGURE = { narrow: { least: 36, most: 72, over: 48 }, wide: { least: 56, most: 112, over: 72 } } as const
const ACROSS = { narrow: 104, wide: 160 } as const
/** Bare pipe at the left of the deepest mark. */
const LEFT = 60

/** Over the pipe the figure takes this much of the height, and is never smaller than this, px. */
const OVER_SHARE = 0.34
const LEAST_OVER = 26

const sizesFrom = (most: number, least: number): number[] =>
  Array.from({ length: Math.floor((most - least) / 2) + 1 }, (_, i) => most - 2 * i)

export function layOutMakeStrip(asked: Asked): MakeStripLayout {
  const { od, mm, atFace, system, width, height, isNarrow } = asked
  const room = isNarrow ? 'narrow' : 'wide'
  const depth = mm || od
  const endX = isNarrow ? width * 0.66 : Math.min(width * 0.52, 540)
  const scaleFor = (across: number) => Math.max(0.5, Math.floor(Math.min(across / od, (endX - LEFT) / depth) * 10) / 10)
  const extentAt = (size: number) => figureExtent(mm, system, size, true)

  // On the pipe between mark and end, where it is large enough to be read there.
  const inside = scaleFor(Math.min(ACROSS[room], height - 2 * (LINE * MARK_PX + 22)))
  const fits = (size: number): boolean => {
    const { width: wide, height: high } = extentAt(size)
    return wide <= depth * inside - 10 && high <= od * inside - WALL - UNDER
  }
  const within = sizesFrom(FIGURE[room].most, FIGURE[room].least).find(fits)
  const isOver = !atFace && within === undefined
  const overSize =
    sizesFrom(FIGURE[room].over, LEAST_OVER).find((size) => extentAt(size).height <= height * OVER_SHARE) ?? LEAST_OVER
  const over = extentAt(overSize)
  // Else over the pipe, above its own dimension, and the pipe is drawn smaller to make room.
  const head = isOver ? Math.max(over.height + 4, LINE * MARK_PX) : LINE * MARK_PX
  const k = isOver ? scaleFor(Math.min(ACROSS[room], height - FOOT - head - 30)) : inside
  const r = (od / 2) * k
  const cy = isOver ? head + 22 + r : height / 2 + (isNarrow ? 8 : 6)
  const markX = atFace ? endX : endX - depth * k
  const top = cy - r

  const place = ({ width: wide, height: high }: Extent, middle: number, y: number): Box => ({
    x: Math.min(Math.max(EDGE, middle - wide / 2), width - EDGE - wide),
    y,
    width: wide,
    height: high,
  })
  const middle = (markX + endX) / 2
  function figureBox(): MakeStripLayout['figure'] {
    if (atFace) return null
    const size = within ?? overSize
    const extent = extentAt(size)
    const y = isOver ? top - 18 - extent.height : cy - (extent.height + UNDER - WALL) / 2
    return { ...place(extent, middle, y), size, isOver }
  }
  const figure = figureBox()

  function markLabel(): TextLabel {
    const high = LINE * MARK_PX
    if (!figure?.isOver) {
      const words = wordingFor(asked.markWords, width - 2 * EDGE, MARK_PX, 600)
      const wide = textWidth(words, MARK_PX, 600)
      const [x] = spread([{ middle: atFace ? endX - wide / 2 : markX, width: wide }], EDGE, width - EDGE, 0)!
      return textLabel(words, MARK_PX, 600, x!, top - 16 - high)
    }
    // Left of the figure that stands over the pipe.
    const free = Math.min(figure.x, markX) - 10 - EDGE
    const words = wordingFor(asked.markWords, free, MARK_PX, 600)
    return textLabel(words, MARK_PX, 600, Math.max(EDGE, EDGE + free - textWidth(words, MARK_PX, 600)), top - 14 - high)
  }

  const socketX = endX + (isNarrow ? 34 : 96)
  const pushWide = textWidth(asked.pushWords, PUSH_PX, 700)
  const push = isNarrow
    ? null
    : textLabel(
        asked.pushWords,
        PUSH_PX,
        700,
        (endX + socketX - pushWide) / 2,
        isOver ? cy + 8 : cy - 14 - LINE * PUSH_PX,
      )
  const stopWide = textWidth(STOP_WORDS, MARK_PX)
  const hasStop = !isNarrow && !atFace && stopWide + 8 <= depth * k && socketX + depth * k <= width
  const stop = hasStop
    ? textLabel(STOP_WORDS, MARK_PX, 400, socketX + (depth * k - stopWide) / 2, cy + r * 0.32 - 8 - LINE * MARK_PX)
    : null
  const words = wordingFor(asked.notes(k), width - 2 * EDGE, NOTE_PX)
  const note = textLabel(words, NOTE_PX, 400, EDGE, height - LINE * NOTE_PX)
  return {
    ...{ k, cy, r, endX, markX, socketX, figure },
    lineY: figure?.isOver ? top - 10 : cy + r - 18,
    ...{ mark: markLabel(), push, stop },
    note: isNarrow ? note : { ...note, x: width - EDGE - note.width },
  }
}

const STOP_WORDS = 'to the stop'

/** Everything written on a strip, as boxes. */
export const stripLabels = ({ figure, mark, push, stop, note }: MakeStripLayout): Box[] =>
  [figure, mark, push, stop, note].filter((one) => one !== null)
