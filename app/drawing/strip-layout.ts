import { arcOfBend, type Piece, type PieceMark } from '#core/line'
import { MM_PER_INCH, tickRank, type TickRank } from '#core/units'

/** How a piece lies on its strip, px: one scale both ways, or its middle left out. */
export interface StripLayout {
  /** px for each mm. */
  scale: number
  isBroken: boolean
  /** Its thickness is drawn larger than to scale, so that it can be seen. */
  isThin: boolean
  /** Half of the pipe's height on the strip. */
  half: number
  /** Where a distance from the left end stands, px from the left end's place. */
  at: (mm: number) => number
  /** Width of the piece on the strip. */
  width: number
  /** Where the middle is left out, px; empty where it is whole. */
  gap: readonly [number, number] | null
  /** Tape ticks: distance and rank. */
  ticks: { mm: number; rank: TickRank }[]
}

/** A strip on its sheet, px, with what draws on it. */
export interface StripFrame {
  layout: StripLayout
  /** Length of the piece, mm. */
  cut: number
  left: number
  /** Middle of the pipe, half its height, and the top of the tape. */
  cy: number
  half: number
  tapeY: number
  isPhone: boolean
  /** Where a distance from the left end stands. */
  x: (mm: number) => number
  /** A length as it is written on the strip. */
  text: (mm: number | null) => string
}

/** A stretch of a piece where a clip may sit, or may not, mm. */
export interface StripZone {
  from: number
  to: number
  isFree: boolean
}

/** Where a bend's pencil mark goes by the school in use, mm. */
export const bendMark = ({ corner, hook }: { corner: number; hook: number }, school: 'hook' | 'corner'): number =>
  school === 'corner' ? corner : hook

/** Whether a place of a piece is drawn, and not left out with its middle. */
export const isDrawn = ({ gap, at }: StripLayout, mm: number): boolean => !gap || at(mm) <= gap[0] || at(mm) >= gap[1]

const MOST_SCALE = 1.6
const LEAST_HEIGHT = 8
/** Scale of a strip whose middle is left out, and the breadth of the gap. */
const BROKEN_SCALE = 5.2
const GAP_PX = 40
/** Beyond its ends a strip has room for the words there. */
const STRIP_MARGIN = 155

/** Scale of the ends where the middle is left out: the pipe about 40 px high. */
const endScale = (od: number): number => Math.max(MOST_SCALE, Math.min(BROKEN_SCALE, 40 / od))

/**
 * Ticks of the tape under a strip: each 5, 50 and 100 mm, or 1/8, 1/2 and 1 in; thinned out where they would run
 * together.
 */
function ticksOf(cut: number, scale: number, isInch: boolean): StripLayout['ticks'] {
  const unit = isInch ? MM_PER_INCH / 8 : 5
  const step = [1, 2, 4, 8, 16].find((times) => times * unit * scale >= 3) ?? 16
  const metric = scale >= 4 ? [2, 1] : [20, 10]
  const [long, middle] = (isInch ? [8, 4] : metric) as [number, number]
  const ticks: StripLayout['ticks'] = []
  for (let i = 0; i * unit <= cut + 1e-6; i++) {
    const rank = tickRank(i, long, middle)
    if (i % step === 0 || (rank === 'long' && i % (long * Math.ceil(step / long)) === 0))
      ticks.push({ mm: i * unit, rank })
  }
  return ticks
}

/** Lays a piece of a length and diameter, mm, on a strip of a width, px. */
export function layStrip(
  cut: number,
  od: number,
  width: number,
  { isInch = false, isPhone = false, margin = STRIP_MARGIN, marks = [] as readonly number[] } = {},
): StripLayout {
  const room = Math.max(80, width - margin)
  const whole = Math.floor(Math.min(MOST_SCALE, room / cut) / 0.02) * 0.02
  // With marks in the middle it stays whole, its thickness no longer to scale.
  const shown = (room - GAP_PX) / 2 / endScale(od)
  const isInMiddle = marks.some((at) => at > shown && at < cut - shown)
  const fine = whole > 0 ? whole : room / cut
  if (isInMiddle && !isPhone && od * whole < LEAST_HEIGHT)
    return {
      scale: fine,
      isBroken: false,
      isThin: true,
      half: LEAST_HEIGHT / 2 + 1,
      at: (mm) => mm * fine,
      width: cut * fine,
      gap: null,
      ticks: ticksOf(cut, fine, isInch),
    }
  const isWhole = whole > 0 && od * whole >= LEAST_HEIGHT && !isPhone
  if (isWhole)
    return {
      scale: whole,
      isBroken: false,
      isThin: false,
      half: (od * whole) / 2,
      at: (mm) => mm * whole,
      width: cut * whole,
      gap: null,
      ticks: ticksOf(cut, whole, isInch),
    }
  const scale = isPhone ? BROKEN_SCALE : endScale(od)
  if (cut * scale <= room)
    return {
      scale,
      isBroken: false,
      isThin: false,
      half: (od * scale) / 2,
      at: (mm) => mm * scale,
      width: cut * scale,
      gap: null,
      ticks: ticksOf(cut, scale, isInch),
    }
  const side = (room - GAP_PX) / 2
  const [from, to] = [side / scale, cut - side / scale]
  const at = (mm: number) => {
    if (mm <= from) return mm * scale
    return mm >= to ? room - (cut - mm) * scale : side + (GAP_PX * (mm - from)) / (to - from)
  }
  return {
    scale,
    isBroken: true,
    isThin: false,
    half: (od * scale) / 2,
    at,
    width: room,
    gap: [side, side + GAP_PX],
    ticks: ticksOf(cut, scale, isInch).filter(({ mm }) => mm <= from || mm >= to),
  }
}

/**
 * A piece measured from its other end: every mark mirrored, in order; how a bend turns stays, as both its neighbours
 * turn about.
 */
export function reversePiece(piece: Piece): Piece {
  const { cut } = piece
  if (cut === null) return piece
  const bends = piece.marks.filter((mark) => mark.what === 'bend')
  const marks = piece.marks.map((mark): PieceMark => {
    if (mark.what !== 'bend') return { ...mark, at: cut - mark.at }
    const tangent = mark.corner - mark.at
    const at = cut - mark.at - arcOfBend(mark)
    // Between two bends the twist is the same from either end; it now belongs to the other one.
    const next = bends[bends.indexOf(mark) + 1]
    return { ...mark, at, corner: at + tangent, hook: at - (mark.at - mark.hook), turn: next ? next.turn : 0 }
  })
  return {
    ...piece,
    marks: marks.sort((a, b) => a.at - b.at),
    ends: [piece.ends[1], piece.ends[0]],
    straights: [...piece.straights].reverse(),
    legs: [...piece.legs].reverse(),
  }
}
