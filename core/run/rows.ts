import type { RunRow } from './types'

/** Indexes of the rows that became any of some legs of the question, in order. */
export const rowsAlong = (rows: readonly RunRow[], legs: readonly number[]): number[] =>
  rows.flatMap(({ legs: own }, i) => (own && legs.some((leg) => leg >= own[0] && leg <= own[1]) ? [i] : []))

/** Whether a tube along some legs of the question hangs on a length that nobody has measured. */
export const isGuessed = (rows: readonly RunRow[], legs: readonly number[]): boolean =>
  rowsAlong(rows, legs).some((row) => rows[row]!.leg?.isGuess === true)
