import type { Pipe } from '#core/catalogue'
import { ANSWERS, density, RANGES, shareOf, spreadOf, type Spread } from './likelihood'
import { PRINT } from './ours'
import { INSTRUMENTS, type Check, type ChoiceName, type Instrument, type LengthName, type NextCheck } from './types'

/** One pipe still standing and its weight; `pipe` null is none of the catalogue's. */
export interface Standing { pipe: Pipe | null, weight: number }

/** Least expected information worth proposing a check for, bits (contract). */
const LEAST_BITS = 0.01
/** Step of the sum over readings, mm, and how many spreads each side it runs. */
const STEP = 0.05
const REACH = 12

const log2 = (x: number): number => (x > 0 ? Math.log2(x) : 0)
const entropyOf = (shares: Iterable<number>): number => {
  let sum = 0
  for (const share of shares) sum -= share * log2(share)
  return sum
}

export const entropy = (standing: readonly Standing[]): number => entropyOf(standing.map(({ weight }) => weight))

/** Expected information of a question with a few answers: entropy of the answers less what each pipe leaves open. */
function choiceBits(name: ChoiceName, standing: readonly Standing[]): number {
  const answers = ANSWERS[name]
  const overall = new Array<number>(answers.length).fill(0)
  let leftOpen = 0
  for (const { pipe, weight } of standing) {
    const shares = answers.map(answer => (pipe ? shareOf(name, answer, pipe) : 1 / answers.length))
    shares.forEach((share, i) => { overall[i]! += weight * share })
    leftOpen += weight * entropyOf(shares)
  }
  return entropyOf(overall) - leftOpen
}

/** Shares of the readings a step apart that a spread gives within a range; they sum to 1. */
function readingShares(spread: Spread, first: number, last: number): [bin: number, share: number][] {
  const from = Math.max(first, Math.floor((spread.centre - REACH * spread.sigma) / STEP))
  const to = Math.min(last, Math.ceil((spread.centre + REACH * spread.sigma) / STEP))
  const shares: [number, number][] = []
  let sum = 0
  for (let bin = from; bin <= to; bin++) {
    const share = density(bin * STEP, spread)
    sum += share
    shares.push([bin, share])
  }
  return shares.map(([bin, share]) => [bin, share / sum])
}

/** The same for a length, summed over readings a step apart within the range an unknown pipe is spread over. */
function lengthBits(name: LengthName, by: Instrument | undefined, standing: readonly Standing[]): number {
  const [first, last] = [Math.ceil(RANGES[name].lo / STEP), Math.floor(RANGES[name].hi / STEP)]
  const bins = last - first + 1
  let flatWeight = 0
  const readings = new Map<string, { spread: Spread, weight: number }>()
  for (const { pipe, weight } of standing) {
    const spread = pipe && spreadOf(pipe, name, by)
    if (!spread) {
      flatWeight += weight
      continue
    }
    // Pipes of one diameter and make read alike, so they are walked once.
    const key = `${spread.centre} ${spread.sigma}`
    const same = readings.get(key)
    if (same) same.weight += weight
    else readings.set(key, { spread, weight })
  }
  let leftOpen = flatWeight * log2(bins)
  const overall = new Map<number, number>()
  for (const { spread, weight } of readings.values()) {
    for (const [bin, share] of readingShares(spread, first, last)) {
      overall.set(bin, (overall.get(bin) ?? 0) + weight * share)
      leftOpen -= weight * share * log2(share)
    }
  }
  const flat = flatWeight / bins
  let readingEntropy = -(bins - overall.size) * flat * log2(flat)
  for (const share of overall.values()) readingEntropy -= (share + flat) * log2(share + flat)
  return readingEntropy - leftOpen
}

const CHOICES: readonly ChoiceName[] = ['scratch', 'held-by', 'colour', 'magnet', 'flex', 'stripe']

/** Checks not yet made and within `can`, by falling expected information about the pipe, 0.01 bits or more. */
export function rankNext(standing: readonly Standing[], made: readonly Check[], can: readonly string[] | undefined): NextCheck[] {
  const isMade = (name: string, by?: Instrument) => made.some(check => check.check === name && (by === undefined || (check.check === 'outside-diameter' && check.by === by)))
  const allowed = (name: string, by?: Instrument) => can === undefined || can.includes(name) || (by !== undefined && can.includes(`${name}:${by}`))
  const heavy = standing.filter(({ weight }) => weight > 1e-6)
  const next: NextCheck[] = []
  for (const check of CHOICES) if (!isMade(check) && allowed(check)) next.push({ check, bits: choiceBits(check, heavy) })
  // A line that can be read tells which pipe it is; one that cannot tells nothing.
  if (!isMade('print') && allowed('print')) next.push({ check: 'print', bits: PRINT.readable * entropy(heavy) })
  for (const by of INSTRUMENTS) if (!isMade('outside-diameter', by) && allowed('outside-diameter', by)) next.push({ check: 'outside-diameter', by, bits: lengthBits('outside-diameter', by, heavy) })
  for (const check of ['wall', 'bore'] as const) if (!isMade(check) && allowed(check)) next.push({ check, bits: lengthBits(check, undefined, heavy) })
  return next.filter(({ bits }) => bits >= LEAST_BITS).sort((a, b) => b.bits - a.bits || a.check.localeCompare(b.check) || (a.by ?? '').localeCompare(b.by ?? ''))
}
