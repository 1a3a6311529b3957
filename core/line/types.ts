import type { Figure, Note, WorkingLine } from '#core/base'
import type { LineFitting, Pipe } from '#core/catalogue'
import type { Kit, Method } from '#core/joints'
import type { Vector } from './vector'
import type { LineCode } from './rules'
import type { Region } from '#core/units'

export const DIRECTIONS = ['right', 'left', 'up', 'down', 'away', 'toward'] as const
export type Direction = (typeof DIRECTIONS)[number]

/** What a length is measured to: a fitting's centre, the stop inside it, or its face. */
export const MEASURED_TO = ['centre', 'stop', 'face'] as const
export type MeasuredTo = (typeof MEASURED_TO)[number]

export interface Given {
  takeOut?: number
  insertion?: number
}

/** What stands at the end of a leg. mm; given figures win over the tables. */
export type LineEnd =
  | { kind: 'fitting'; fitting: LineFitting; takeOut?: number; insertion?: number; next?: Given; method?: Method }
  | { kind: 'bend' }
  | { kind: 'free' }
  | { kind: 'stop'; insertion?: number }
  | { kind: 'face'; insertion?: number }
export type LineStart = Exclude<LineEnd, { kind: 'bend' }>

export interface LineLeg {
  /** mm between the points of its ends, unless `measured` says otherwise. */
  length: number
  to: Direction | Vector
  end: LineEnd
  /** Index of the leg at whose fitting this one begins; the one before where left out. */
  from?: number
  /** From this leg on. */
  pipe?: string
  wall?: number
  method?: Method
  /** What it is called in sums and warnings, such as "C to D". */
  name?: string
  /** What the length was measured between, where not centre to centre. */
  measured?: { begin?: MeasuredTo; end?: MeasuredTo }
}

/**
 * A bender: centreline radius and set-back (hook edge to the corner of a right angle), mm; springback of a right angle,
 * degrees.
 */
export interface Bender {
  radius: number
  setback?: number
  springback?: number
}

/**
 * A wall the line passes: the direction square to it, the distance of its near face from the start, its thickness, mm.
 */
export interface Wall {
  to: Direction
  at: number
  thick: number
}

export interface LineQuestion {
  region: Region
  pipe: string
  /** Measured wall, mm: no length or mark rests on it. */
  wall?: number
  method: Method
  bender?: Bender
  start: LineStart
  legs: readonly LineLeg[]
  clips?: readonly { leg: number; at: number }[]
  walls?: readonly Wall[]
  kit?: Kit
}

/** A mouth a tube enters: centre to stop, and how deep; mm. */
export interface Mouth {
  /** What is entered: a fitting by its mouth, or a stop, a face, nothing. */
  kind: LineFitting | 'stop' | 'face' | 'free'
  takeOut: Figure
  insertion: Figure
  method: Method
}

export interface LaidLeg {
  index: number
  /** Index of the leg it begins at; null at the start. */
  parent: number | null
  children: number[]
  begin: Vector
  end: Vector
  along: Vector
  /** Centre to centre, mm. */
  length: number
  pipe: Pipe
  method: Method
  /** Size of the fitting at its end, such as "22 x 22 x 15". */
  sizes: string
  /** The mouths at its ends; null at a bend. */
  mouths: [Mouth | null, Mouth | null]
}

/** Marks along a piece, mm from the cut end nearer the start. */
export type PieceMark =
  | { what: 'insertion' | 'ring' | 'clip'; at: number }
  | {
      what: 'bend'
      /** Start of the arc. */
      at: number
      /** Where the straight centre lines cross. */
      corner: number
      /** Where the former's hook edge goes. */
      hook: number
      angle: number
      turn: number
      /** Angle to pull to so that it springs back to `angle`; only with a bender whose springback is known. */
      pull?: number
    }

/** `takeOut` is centre to stop, mm; null has to be measured. */
export interface PieceEnd extends Omit<Figure, 'value'> {
  insertion: number | null
  takeOut: number | null
  method: Method
  into: Mouth['kind']
}

export interface Piece {
  id: string
  pipe: string
  /** Finished developed length, mm; null where a take-out has to be measured. */
  cut: number | null
  cutLo: number | null
  cutHi: number | null
  ends: [PieceEnd, PieceEnd]
  marks: PieceMark[]
  working: WorkingLine[]
  /** Legs of the question it runs along, in order. */
  legs: number[]
  /** Straight lengths between its ends and bends, mm, in order. */
  straights: number[]
}

export interface LineWarning extends Note {
  code: LineCode
  leg?: number
  piece?: string
}

export interface LineAnswer {
  pieces: Piece[]
  fittings: { name: string; nominal: string; quantity: number }[]
  /** Length of all pieces, mm; null while one is not known. */
  total: number | null
  warnings: LineWarning[]
  /** Places of the start and of each leg's end, [right, away, up] mm. */
  points: Vector[]
}
