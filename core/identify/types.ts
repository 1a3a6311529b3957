import type { Note } from '#core/base'
import type { EndFacts, Pipe } from '#core/catalogue'
import type { Region } from '#core/units'

export const INSTRUMENTS = ['calliper', 'tape-round', 'rule', 'gauge'] as const
export const COLOURS = [
  'copper',
  'grey',
  'white',
  'cream',
  'red',
  'blue',
  'black',
  'yellow',
  'orange',
  'green',
  'brass',
  'silver',
  'purple',
] as const
export const STRIPES = ['none', 'green', 'blue', 'red', 'yellow', 'brown', 'white'] as const
export const FLEXES = ['rigid', 'springy', 'soft'] as const
export const SCRATCHES = ['copper', 'bright-silver', 'dull-silver', 'plastic'] as const
export const HELD_BYS = [
  'soldered',
  'pressed',
  'copper-ring',
  'pinch-ring',
  'expansion-ring',
  'metal-sleeve',
  'collar',
  'olive',
  'thread',
  'cement',
  'wiped',
] as const
export const LAGGINGS = ['none', 'foam', 'felt', 'hard-white'] as const
export const TRACES = ['water', 'unknown'] as const

export type Instrument = (typeof INSTRUMENTS)[number]
export type Colour = (typeof COLOURS)[number]
export type Stripe = (typeof STRIPES)[number]
export type Flex = (typeof FLEXES)[number]
export type Scratch = (typeof SCRATCHES)[number]
export type HeldBy = (typeof HELD_BYS)[number]

/** One thing checked at the pipe. Lengths in mm; a girth is given already divided by pi. */
export type Check =
  | { check: 'outside-diameter'; value: number; by: Instrument; error?: number }
  | { check: 'wall'; value: number }
  | { check: 'bore'; value: number }
  | { check: 'print'; text: string }
  | { check: 'colour'; value: Colour }
  | { check: 'stripe'; value: Stripe }
  | { check: 'flex'; value: Flex }
  | { check: 'magnet'; value: boolean }
  | { check: 'scratch'; value: Scratch }
  | { check: 'held-by'; value: HeldBy }
  | { check: 'lagging'; value: (typeof LAGGINGS)[number] }
  | { check: 'warm'; value: boolean }
  | { check: 'traced'; value: (typeof TRACES)[number] }

export type CheckName = Check['check']
/** Checks answered with one of a few words. */
export type ChoiceName = 'colour' | 'stripe' | 'flex' | 'magnet' | 'scratch' | 'held-by'
/** Checks answered with a length. */
export type LengthName = 'outside-diameter' | 'wall' | 'bore'

/** A pipe's own size of a name, mm; null where it is not known. */
export function sizeOf({ od, wall, bore }: Pick<Pipe, 'od' | 'wall' | 'bore'>, name: LengthName): number | null {
  return { 'outside-diameter': od, wall, bore }[name]
}

export interface IdentifyQuestion {
  region?: Region
  /** Year the building was plumbed, where known. */
  year?: number
  /** Checks this person can make, `check` or `check:by`; all where left out. */
  can?: readonly string[]
  checks: readonly Check[]
}

export interface Candidate {
  pipe: string
  label: string
  probability: number
  for: Note[]
  against: Note[]
}

/** What one answer of a check would mean. */
export interface Meaning {
  /** The answer's word, or a length in mm. */
  answer: string
  /** How likely it is to come. */
  share: number
  /** Pipe that would lead then, null for none of the catalogue's, and its probability. */
  pipe: string | null
  probability: number
}

export interface NextCheck {
  check: CheckName
  by?: Instrument
  /** Expected information about which pipe it is, bits. */
  bits: number
  /** Its likelier answers with what they would mean, likeliest first; none for a print line. */
  means: Meaning[]
}

/**
 * Two checks that hardly any pipe answers like this; `checks` are their places in the question, `again` the one to make
 * again first.
 */
export interface Contradiction extends Note {
  checks: [number, number]
  again: number
}

export interface IdentifyAnswer {
  candidates: Candidate[]
  unknown: number
  /** Doubt left, bits. */
  entropy: number
  next: NextCheck[]
  contradictions: Contradiction[]
  cautions: Note[]
  /** What the checks say of the end, as a way takes it. */
  facts: EndFacts
}
