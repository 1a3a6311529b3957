import { seriesOf, type Pipe } from '#core/catalogue'
import {
  BORE_RANGE,
  CUT_END_ERROR,
  DIAMETER_RANGE,
  INSTRUMENT_ERROR,
  PRINT,
  SPOILT,
  WALL_RANGE,
  sharesOf,
} from './likelihood-figures'
import { readPrint, type PrintToken } from './print'
import {
  sizeOf,
  COLOURS,
  FLEXES,
  HELD_BYS,
  SCRATCHES,
  STRIPES,
  type Check,
  type ChoiceName,
  type Instrument,
  type LengthName,
} from './types'

export const ANSWERS: Readonly<Record<ChoiceName, readonly string[]>> = {
  colour: COLOURS,
  stripe: STRIPES,
  flex: FLEXES,
  magnet: ['true', 'false'],
  scratch: SCRATCHES,
  'held-by': HELD_BYS,
}

/** A reading's error and what the pipe's own make adds to it, as one mixture of a good and a spoilt reading. */
export interface Spread {
  centre: number
  sigma: number
}

/** Where an unknown pipe's reading may lie, mm. */
export const RANGES: Readonly<Record<LengthName, { lo: number; hi: number }>> = {
  'outside-diameter': DIAMETER_RANGE,
  wall: WALL_RANGE,
  bore: BORE_RANGE,
}

/** Density of an unknown pipe's answer, 1/mm. */
export const unknownDensity = (name: LengthName): number => 1 / (RANGES[name].hi - RANGES[name].lo)

/** Where a pipe's reading is expected and how far it spreads (mm); null where the pipe has no such figure. */
export function spreadOf(pipe: Pipe, name: LengthName, by: Instrument = 'calliper', error?: number): Spread | null {
  const centre = sizeOf(pipe, name)
  if (centre === null) return null
  const reading = error ?? (name === 'outside-diameter' ? INSTRUMENT_ERROR[by] : CUT_END_ERROR[name])
  // A tolerance band is read as two standard deviations each way.
  return { centre, sigma: Math.hypot(reading, seriesOf(pipe.series).odToleranceMm / 2) }
}

const normal = (x: number, centre: number, sigma: number): number =>
  Math.exp(-0.5 * ((x - centre) / sigma) ** 2) / (sigma * Math.sqrt(2 * Math.PI))

/** Density of a reading, 1/mm. */
export const density = (x: number, { centre, sigma }: Spread): number =>
  (1 - SPOILT.share) * normal(x, centre, sigma) + SPOILT.share * normal(x, centre + SPOILT.over, sigma * SPOILT.spread)

/** Shares of a check's answers, in their order, and what they leave open, bits. */
export interface AnswerShares {
  shares: readonly number[]
  entropy: number
}

const answerShares = (shares: readonly number[]): AnswerShares => ({
  shares,
  entropy: shares.reduce((sum, share) => sum - (share > 0 ? share * Math.log2(share) : 0), 0),
})

/** Named shares are scaled if they pass 1; the rest is shared evenly by the answers not named. */
function workOut(name: ChoiceName, pipe: Pipe): AnswerShares {
  const shares = sharesOf(name, pipe)
  const named = Object.values(shares).reduce<number>((sum, share) => sum + (share ?? 0), 0)
  const others = ANSWERS[name].length - Object.keys(shares).length
  const left = Math.max(1 - named, others > 0 ? 0.005 : 0)
  const total = named + (others > 0 ? left : 0)
  return answerShares(ANSWERS[name].map((answer) => (shares[answer] ?? (others > 0 ? left / others : 0)) / total))
}

/** The tables do not change, so each pipe's shares are worked out once. */
const WORKED_OUT = new Map<string, AnswerShares>()

/** How likely each answer of a check is on a pipe, in the order of `ANSWERS`; on none of the catalogue's all alike. */
export function sharesFor(name: ChoiceName, pipe: Pipe | null): AnswerShares {
  const key = `${name} ${pipe?.id ?? ''}`
  const known = WORKED_OUT.get(key)
  if (known) return known
  const worked = pipe ? workOut(name, pipe) : answerShares(ANSWERS[name].map(() => 1 / ANSWERS[name].length))
  WORKED_OUT.set(key, worked)
  return worked
}

/** How likely this pipe, or one of none of the catalogue's, gives this answer. */
export const shareOf = (name: ChoiceName, answer: string, pipe: Pipe | null): number =>
  sharesFor(name, pipe).shares[ANSWERS[name].indexOf(answer)] ?? 0

/** Each question's line is read once, however many pipes are weighed by it. */
const readings = new WeakMap<Check, readonly PrintToken[]>()
type PrintCheck = Extract<Check, { check: 'print' }>
function readTokens(check: PrintCheck): readonly PrintToken[] {
  const read = readings.get(check) ?? readPrint(check.text).tokens
  readings.set(check, read)
  return read
}

/** The pieces of a print check that say something of which pipe it is. */
export const printTokens = (check: PrintCheck): readonly PrintToken[] => readTokens(check).filter(({ fits }) => fits)

/** Everything that was read in the print lines of a question. */
export const tokensOf = (checks: readonly Check[]): PrintToken[] =>
  checks.flatMap((check) => (check.check === 'print' ? readTokens(check) : []))

/** How often a piece of print is there: on the pipe it fits, on one it does not, on one that is in no table (null). */
function printShare(fits: boolean | null): number {
  if (fits === null) return PRINT.unknown
  return fits ? PRINT.fits : PRINT.misfits
}

const printLikelihood = (check: PrintCheck, pipe: Pipe | null): number =>
  readTokens(check).reduce((share, { fits }) => (fits ? share * printShare(pipe && fits(pipe)) : share), 1)

/**
 * Likelihood of a check's answer for a pipe, or for none of the catalogue's (`pipe` null). 1 where the check says
 * nothing of the kind.
 */
export function likelihood(check: Check, pipe: Pipe | null): number {
  switch (check.check) {
    case 'outside-diameter':
    case 'wall':
    case 'bore': {
      const spread =
        pipe &&
        spreadOf(
          pipe,
          check.check,
          check.check === 'outside-diameter' ? check.by : undefined,
          check.check === 'outside-diameter' ? check.error : undefined,
        )
      return spread ? density(check.value, spread) : unknownDensity(check.check)
    }
    case 'print':
      return printLikelihood(check, pipe)
    case 'lagging':
    case 'warm':
    case 'traced':
      return 1
    default:
      return shareOf(check.check, String(check.value), pipe)
  }
}
