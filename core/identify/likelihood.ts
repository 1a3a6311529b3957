import { seriesOf, type Pipe } from '#core/catalogue'
import { BORE_RANGE, CUT_END_ERROR, DIAMETER_RANGE, INSTRUMENT_ERROR, PRINT, SPOILT, WALL_RANGE, sharesOf } from './ours'
import { readPrint, type PrintToken } from './print'
import { COLOURS, FLEXES, HELD_BYS, SCRATCHES, STRIPES, type Check, type ChoiceName, type Instrument, type LengthName } from './types'

export const ANSWERS: Readonly<Record<ChoiceName, readonly string[]>> = {
  'colour': COLOURS, 'stripe': STRIPES, 'flex': FLEXES, 'magnet': ['true', 'false'], 'scratch': SCRATCHES, 'held-by': HELD_BYS,
}

export const isChoice = (name: string): name is ChoiceName => name in ANSWERS

/** A reading's error and what the pipe's own make adds to it, as one mixture of a good and a spoilt reading. */
export interface Spread { centre: number, sigma: number }

/** Where an unknown pipe's reading may lie, mm. */
export const RANGES: Readonly<Record<LengthName, { lo: number, hi: number }>> = { 'outside-diameter': DIAMETER_RANGE, 'wall': WALL_RANGE, 'bore': BORE_RANGE }

/** Density of an unknown pipe's answer, 1/mm. */
export const unknownDensity = (name: LengthName): number => 1 / (RANGES[name].hi - RANGES[name].lo)

/** Where a pipe's reading is expected and how far it spreads (mm); null where the pipe has no such figure. */
export function spreadOf(pipe: Pipe, name: LengthName, by: Instrument = 'calliper', error?: number): Spread | null {
  const centre = name === 'outside-diameter' ? pipe.od : name === 'wall' ? pipe.wall : pipe.bore
  if (centre === null) return null
  const reading = error ?? (name === 'outside-diameter' ? INSTRUMENT_ERROR[by] : CUT_END_ERROR[name])
  // A tolerance band is read as two standard deviations each way.
  return { centre, sigma: Math.hypot(reading, seriesOf(pipe.series).odToleranceMm / 2) }
}

const normal = (x: number, centre: number, sigma: number): number => Math.exp(-0.5 * ((x - centre) / sigma) ** 2) / (sigma * Math.sqrt(2 * Math.PI))

/** Density of a reading, 1/mm. */
export const density = (x: number, { centre, sigma }: Spread): number =>
  (1 - SPOILT.share) * normal(x, centre, sigma) + SPOILT.share * normal(x, centre + SPOILT.over, sigma * SPOILT.spread)

/** How likely this pipe gives this answer; named shares are scaled if they pass 1, the rest is shared evenly. */
export function shareOf(name: ChoiceName, answer: string, pipe: Pipe): number {
  const shares = sharesOf(name, pipe)
  const named = Object.values(shares).reduce<number>((sum, share) => sum + (share ?? 0), 0)
  const others = ANSWERS[name].length - Object.keys(shares).length
  const left = Math.max(1 - named, others > 0 ? 0.005 : 0)
  const total = named + (others > 0 ? left : 0)
  return (shares[answer] ?? (others > 0 ? left / others : 0)) / total
}

/** Each question's line is read once, however many pipes are weighed by it. */
const readings = new WeakMap<Check, readonly PrintToken[]>()

/** The pieces of a print check that say something of which pipe it is. */
export function printTokens(check: Extract<Check, { check: 'print' }>): readonly PrintToken[] {
  const read = readings.get(check) ?? readPrint(check.text).tokens.filter(({ fits }) => fits)
  readings.set(check, read)
  return read
}

const printLikelihood = (check: Extract<Check, { check: 'print' }>, pipe: Pipe | null): number =>
  printTokens(check).reduce((share, { fits }) => share * (pipe ? (fits!(pipe) ? PRINT.fits : PRINT.misfits) : PRINT.unknown), 1)

/** Likelihood of a check's answer for a pipe, or for none of the catalogue's (`pipe` null). 1 where the check says nothing of the kind. */
export function likelihood(check: Check, pipe: Pipe | null): number {
  switch (check.check) {
    case 'outside-diameter':
    case 'wall':
    case 'bore': {
      const spread = pipe && spreadOf(pipe, check.check, check.check === 'outside-diameter' ? check.by : undefined, check.check === 'outside-diameter' ? check.error : undefined)
      return spread ? density(check.value, spread) : unknownDensity(check.check)
    }
    case 'print': return printLikelihood(check, pipe)
    case 'lagging':
    case 'warm':
    case 'traced': return 1
    default: return pipe ? shareOf(check.check, String(check.value), pipe) : 1 / ANSWERS[check.check].length
  }
}
