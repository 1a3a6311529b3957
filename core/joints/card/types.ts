import type { EndFacts, Pipe, ThreadForm } from '#core/catalogue'
import {
  METHODS,
  type Conditions,
  type Method,
  type Policy,
  type Situation,
  type Thread,
  type ThreadMaterial,
  type Tube,
} from '../types'
import type { Region } from '#core/units'

export const STEP_CODES = [
  'onpipe',
  'cut',
  'ream',
  'deburr',
  'clean',
  'ring',
  'nut',
  'olive',
  'liner',
  'mark',
  'flux',
  'protect',
  'assemble',
  'heat',
  'feed',
  'wait',
  'wipe',
  'insert',
  'press',
  'expand',
  'hold',
  'lock',
  'tug',
  'tape',
  'paste',
  'tighten',
  'prime',
  'cement',
  'cure',
  'gauge',
  'check',
  'flush',
] as const
export type StepCode = (typeof STEP_CODES)[number]

/** Methods that can be made step by step. */
export const MADE_METHODS = METHODS
export type MadeMethod = Method

/** What is known of the end stands beside its pipe, as in a way's end. */
export interface MakeQuestion extends EndFacts {
  method: MadeMethod
  /** Catalogue id of the tube; left out only for a thread. */
  pipe?: string
  /** Measured wall, mm. */
  wall?: number
  region: Region
  orientation: 'horizontal' | 'vertical'
  /** Thread size, only for a thread. */
  nominal?: string
  /** Form of the thread; that of the region's taper where it is not said, or the pipe's own. */
  form?: ThreadForm
  /** What a parallel thread seals on: flat where it is not said. */
  seat?: Thread['seat']
  /** What the thread is of, where one of the two is plastic. */
  material?: ThreadMaterial
  conditions?: Partial<Conditions>
  policy?: Partial<Policy>
  torch?: 'propane' | 'propylene'
  tool?: string
  /** degC */
  ambient?: number
  /** Least temperature the expander works at by its own paper, degC. */
  leastAmbient?: number
  /** A coupling without a stop: its length and the gap between the pipe ends, mm. */
  slip?: { length: number; gap: number }
  /** End of a coupling without a stop: the pipe it is slid onto, or the one it is slid back to. */
  slipEnd?: 'on' | 'back'
  /**
   * Both ends of one fitting in one heat: the first end is prepared only, the last card has what is done for both.
   */
  oneHeat?: 'prepare' | 'both'
  /** The end is the plain end of a fitting, made in the works: it is not cut, and has seals of its own. */
  isSpigot?: boolean
  /** The end is closed by what goes on it: a cap, a plug, a stop end. */
  closes?: boolean
  /** What is joined to the same fitting, or lies so near that heat reaches it. */
  near?: readonly Near[]
}

export interface Mark {
  what: 'insertion' | 'ring' | 'half-coupling'
  /** mm from the tube's cut end; null where no figure is held. */
  fromEnd: number | null
  lo: number | null
  hi: number | null
  source: string
}

export const NEAR = ['valve', 'seal', 'plastic', 'solder'] as const
/** A valve, a seal or plastic that heat would reach; or a soldered end whose heat would reach this one. */
export type Near = (typeof NEAR)[number]

/** A figure that proves a step, read off the work by the hand that did it. */
export interface Ask {
  what: 'ring-distance' | 'ring-diameter' | 'ring-over-end' | 'sleeve-gap' | 'nut-turns' | 'ticks' | 'gap'
  words: string
  lo: number
  hi: number
  unit: 'mm' | 'turns' | 'count'
  source: string
  /** A figure outside makes the joint wrong; else makers differ, and the fitting's own paper decides. */
  isFirm: boolean
}

export interface Step {
  /**
   * Stays the same for as long as the step is on the card: its code, numbered where it repeats. What is recorded of a
   * step goes by it.
   */
  id: string
  code: StepCode
  do: string
  why?: string
  /** Time to wait or hold, s. */
  seconds?: number
  check?: string
  /** Looked at with the water on: once, after every end of the joint is made. */
  isUnderWater?: true
  /** The check as a measured figure. */
  ask?: Ask
  caution?: string
}

/** A step as a method's file writes it: its id is its code, but where that repeats. */
export type DraftStep = Omit<Step, 'id'> & { id?: string }

/** What the steps of an end are written from. */
export interface Card {
  pipe: Pipe
  tube: Tube
  insertion: Mark
  fittingNominal: string
  situation: Situation
  question: MakeQuestion
}

/**
 * What is done where the check of a step fails: the step again, or the end begun anew; whether its fitting is used
 * again.
 */
export interface Remedy {
  do: string
  again: 'step' | 'end'
  reuses: boolean
}

/** How a finished end comes apart again, what of it is used again, and how that is looked at first. */
export interface Apart {
  /** In order; the first makes it safe. */
  moves: readonly { do: string; caution?: string }[]
  /** null: nothing but the pipe that is left. */
  again: { what: string; look: string } | null
  /** What is thrown away. */
  scrap: string
  /** The pipe goes with it, by its depth in the fitting. */
  takesPipe?: true
}

/** What an end that weeps asks for: `once` leaves it together and is tried once; `then` begins it anew. */
export interface Weep {
  once?: string
  then: string
}

export interface Consumable {
  item: string
  quantity: number
  unit: string
}
