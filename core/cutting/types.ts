import type { WorkingLine } from '#core/base'

/**
 * Stock of one length, mm: a bar, coil or an offcut from the rack; without a quantity there is as much as is wanted.
 */
interface Stock {
  id: string
  length: number
  quantity?: number
  offcut?: boolean
}
export interface CutPiece {
  id: string
  length: number
  quantity: number
}

export interface CutQuestion {
  stock: readonly Stock[]
  /** Lost at each cut, mm. */
  kerf: number
  pieces: readonly CutPiece[]
  /** A rest this long or longer goes to the rack and is no waste, mm. */
  keep?: number
  /** After the fewest bars and the least stock length: the longest single rest, or the least waste. */
  prefer?: 'longest-left' | 'least-waste'
  /** How long to look, in units of about a second of work; the same question always gets the same work. */
  seconds?: number
}

/** One bar: its stock, its pieces by id, longest first, one entry a copy, and what is left, mm. */
export interface Bar {
  stock: string
  pieces: string[]
  left: number
}

export interface CutAnswer {
  bars: Bar[]
  /** Bars taken that are not offcuts. */
  used: number
  kerfTotal: number
  /** Rests shorter than `keep`, mm. */
  waste: number
  /** Proven least of `used`. */
  bound: number
  /** Whether `used` is proven least. */
  optimal: boolean
  working: WorkingLine[]
}

/** How far a search has come; `best` works out the best plan so far, null while none is found. */
export interface CutProgress {
  bound: number
  best: () => CutAnswer | null
}

/** A kind of stock as the search sees it: room for pieces that each bring a kerf. */
export interface Kind {
  id: string
  length: number
  room: number
  most: number
  isOffcut: boolean
}

/** Pieces of one length. */
export interface Size {
  length: number
  width: number
  count: number
  ids: string[]
}

/** A way to fill one bar: how many of each size. */
export interface Pattern {
  kind: number
  counts: readonly number[]
}

/** Lengths that only just meet are not told apart, mm (contract). */
export const TOUCHING = 1e-6
