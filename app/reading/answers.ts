import type { Meaning } from '#core/identify'
import { COLOURS, FLEXES, HELD_BYS, LAGGINGS, SCRATCHES, STRIPES } from '#core/identify'
import type { FindBody, LengthAnswer } from '#core/record'

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
}

/** Choices that warn of something and say nothing of which pipe it is. */
export const FOR_CAUTION: ReadonlySet<Choice> = new Set(['lagging', 'warm'])

export const isChoice = (check: string): check is Choice => Object.hasOwn(CHOICES, check)

/** One answer and what it would mean; nothing is said of one that hardly comes. */
export interface SettlingKey {
  value: string | boolean
  means: Meaning | undefined
}
/** The most telling check that has a few answers. */
export interface Settling {
  check: Choice
  keys: SettlingKey[]
}
