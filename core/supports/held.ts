import type { Survey } from '#core/line'
import type { RunDraft, RunPiece } from '#core/run'
import type { Arm } from './fix'
import type { Expansion, FixAnswer, FixContext, FixQuestion, FixRule, Support } from './types'

/* A laid line with its supports, and what of it moves. */

/** A line as it is laid, and what decides its supports. */
export interface LineToHold extends Pick<
  FixQuestion,
  'region' | 'service' | 'temperature' | 'installedAt' | 'code' | 'given'
> {
  draft: RunDraft
  survey: Survey
  /** Supports that a hand moved (mm along the leg) or fixed, by their keys. */
  set: Readonly<Record<string, { mm: number; at: string | null }>>
}

export interface LineSupport extends Support {
  /** Its place among what the hand set: leg and number, such as "2:0". */
  key: string
  /** Called S1, S2 along the line. */
  name: string
  isMoved: boolean
  /** When it was fixed; null while it is not. */
  fixedAt: string | null
  piece: string
  /** From the left end of its own piece along the tube, mm; null where that is not known. */
  fromLeft: number | null
  /** Where it may sit while the others stay, mm along its leg. */
  may: { from: number; to: number } | null
  broken: FixRule[]
}

/** Legs of one pipe one after another, with what core says of them. `legs` are the laid legs' indexes. */
export interface FixGroup {
  legs: number[]
  context: FixContext
  answer: FixAnswer
  arms: Arm[]
}

export interface FixedLine {
  draft: RunDraft
  survey: Survey
  groups: FixGroup[]
  supports: LineSupport[]
  expansion: Expansion[]
  /** Arms by the laid legs' indexes. */
  arms: Arm[]
  rules: FixRule[]
  tubes: RunPiece[]
}

/** A line with its supports by its legs, not yet placed on its pieces. */
export interface HeldLine {
  line: LineToHold
  groups: FixGroup[]
  supports: LineSupport[]
  /** A laid leg by the points it runs between. */
  nameOf: (index: number) => string
}
