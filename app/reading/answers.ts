import type { Meaning } from '#core/identify'
import { SURFACES } from '#core/catalogue'
import { COLOURS, FLEXES, HELD_BYS, LAGGINGS, SCRATCHES, STRIPES } from '#core/identify'
import { EARTHS, SEEN, WATERS, type FindBody, type LengthAnswer, type SeenName } from '#core/record'

/** Checks that are saved with a find beside its diameter. */
export type AnswerName = keyof FindBody['answers']

/** Those answered with one of a few words at the pipe. */
export type Choice = Exclude<AnswerName, LengthAnswer | 'traced' | 'ruled-out' | 'print'>

/** The answers offered for each. */
export const CHOICES: Readonly<Record<Choice, readonly (string | boolean)[]>> = {
  colour: COLOURS,
  scratch: SCRATCHES,
  'held-by': HELD_BYS,
  magnet: [true, false],
  flex: FLEXES,
  stripe: STRIPES,
  lagging: LAGGINGS,
  warm: [true, false],
  water: WATERS,
  earth: EARTHS,
  surface: SURFACES,
}

/** Choices that say nothing of which pipe it is, and what they are for. */
export const ASIDE: Readonly<Partial<Record<Choice, string>>> = {
  lagging: 'for a caution only',
  warm: 'for a caution only',
  water: 'holds the cut',
  earth: 'holds the cut',
  surface: 'for its joints',
}
/** Choices that tell which pipe it is. */
export type TellingChoice = Exclude<Choice, SeenName>

export const isChoice = (check: string): check is Choice => Object.hasOwn(CHOICES, check)
export const isTelling = (check: string): check is TellingChoice =>
  isChoice(check) && !SEEN.some((name) => name === check)

/** One answer and what it would mean; nothing is said of one that hardly comes. */
export interface SettlingKey {
  value: string | boolean
  means: Meaning | undefined
}
/** The most telling check that has a few answers. */
export interface Settling {
  check: TellingChoice
  keys: SettlingKey[]
}
