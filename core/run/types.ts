import type { Issue } from '#core/base'
import type { LineFitting } from '#core/catalogue'
import type { Kit, Method } from '#core/joints'
import type { Bender, LineQuestion, MeasuredTo, Vector } from '#core/line'
import type { Word } from '#core/shorthand'
import type { Region } from '#core/units'

/** A length in a typed leg: mm, and where its letters stand, so that dragging can write another. */
export interface TypedLength {
  mm: number
  from: number
  to: number
}

/** A direction as typed: its letters and the unit vector. */
export interface TypedDirection {
  letters: string
  vector: Vector
}

/**
 * A step aside within a leg: how far, at what angle (degrees), from where along the leg (mm); in the middle where not
 * said.
 */
export interface TypedOffset {
  to: TypedDirection | null
  set: TypedLength
  roll: { to: TypedDirection; mm: number } | null
  angle: number
  at: TypedLength | null
  by: 'bends' | 'elbows'
}

/** A crossover within a leg: how high at its peak, the outer bends' angle, where along the leg its peak lies. */
export interface TypedOver {
  to: TypedDirection | null
  height: TypedLength
  angle: number
  at: TypedLength | null
}

export type EndWord = LineFitting | 'bend' | 'free' | 'stop' | 'face'

/** A leg as it was said. */
export interface TypedLeg {
  /** Point it begins at, by its letter; null goes on from the leg before. */
  from: string | null
  to: TypedDirection
  length: TypedLength
  /** Typed with ~ before it: nobody has measured it yet. */
  isGuess: boolean
  measured: { begin: MeasuredTo; end: MeasuredTo }
  /** How far the centre line stands off a wall that the length was measured to, mm; null is no wall. */
  wall: { begin: number | null; end: number | null }
  offset: TypedOffset | null
  over: TypedOver | null
  clips: TypedLength[]
  pipe: string | null
  method: Method | null
  end: EndWord | null
  takeOut: number | null
  depth: number | null
  name: string | null
  words: Word[]
}

/** A run as it is kept: what it is of, and its legs as they were typed. */
export interface RunHead {
  region: Region
  /** Catalogue id of its pipe. */
  pipe: string
  method: Method
  /** What a corner is where nothing is said: a fitting, or a bend in the pipe. */
  corners: 'fittings' | 'bends'
  /** What it begins at: free, stop, face, or a fitting. */
  start: string
  /** Walls it passes, such as "e 900 100". */
  walls: readonly string[]
}

export interface RunRow {
  text: string
  /** Letters of the points it runs between. */
  from: string
  to: string
  leg: TypedLeg | null
  /** What is wrong with it; the line is laid up to there. */
  issue: Issue | null
  /** First and last of the question's legs it became. */
  legs: readonly [number, number] | null
}

export interface RunDraft {
  rows: RunRow[]
  /** What the line verb is asked; null while there is no leg that can be read. */
  question: LineQuestion | null
  /** What is wrong with the start or a wall. */
  issues: Issue[]
}

export interface RunSurroundings {
  bender?: Bender
  kit?: Kit
}
