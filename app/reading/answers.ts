import { COLOURS, FLEXES, HELD_BYS, SCRATCHES } from '#core/identify'
import type { FindBody } from '#core/record'

/** Checks that are saved with a find beside its diameter. */
export type AnswerName = keyof FindBody['answers']

/** Those answered with one of a few words at the pipe. */
export type Choice = Exclude<AnswerName, 'traced' | 'print'>

/** The answers offered for each. */
export const CHOICES: Readonly<Record<Choice, readonly (string | boolean)[]>> = { 'colour': COLOURS, 'scratch': SCRATCHES, 'held-by': HELD_BYS, 'magnet': [true, false], 'flex': FLEXES }

export const isChoice = (check: string): check is Choice => Object.hasOwn(CHOICES, check)
