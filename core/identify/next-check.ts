import type { Pipe } from '#core/catalogue'
import { ANSWERS, density, RANGES, sharesFor, spreadOf, type Spread } from './likelihood'
import { PRINT } from './likelihood-figures'
import {
  INSTRUMENTS,
  type Check,
  type CheckName,
  type ChoiceName,
  type Instrument,
  type LengthName,
  type Meaning,
  type NextCheck,
} from './types'

/** One pipe still standing and its weight; `pipe` null is none of the catalogue's. */
export interface Standing {
  pipe: Pipe | null
  weight: number
}

/** Least expected information worth proposing a check for, bits (contract). */
const LEAST_BITS = 0.01
/** Step of the sum over readings, mm, and how many spreads each side it runs. */
const STEP = 0.05
const REACH = 12
/** Answers likelier than this are said with what they would mean, and so many readings of a length. */
const LEAST_SHARE = 0.02
const MOST_READINGS = 4

const log2 = (x: number): number => (x > 0 ? Math.log2(x) : 0)
const entropyOf = (shares: Iterable<number>): number => {
  let sum = 0
  for (const share of shares) sum -= share * log2(share)
  return sum
}

export const entropy = (standing: readonly Standing[]): number => entropyOf(standing.map(({ weight }) => weight))

/** What a check is worth, bits, and what its answers would mean. */
interface Worth {
  bits: number
  means: Meaning[]
}

/** The pipe that leads once an answer of this likelihood is in, and its probability then. */
function leadAfter(
  standing: readonly Standing[],
  likelihoodOf: (row: Standing, i: number) => number,
): { pipe: string | null; probability: number } {
  let [best, most, sum]: [string | null, number, number] = [null, -1, 0]
  standing.forEach((row, i) => {
    const weight = row.weight * likelihoodOf(row, i)
    sum += weight
    if (weight > most) [best, most] = [row.pipe?.id ?? null, weight]
  })
  return { pipe: best, probability: sum > 0 ? most / sum : 0 }
}

/** Expected information of a question with a few answers: entropy of the answers less what each pipe leaves open. */
function choiceWorth(name: ChoiceName, standing: readonly Standing[]): Worth {
  const answers = ANSWERS[name]
  const overall = new Array<number>(answers.length).fill(0)
  const rows = standing.map(({ pipe }) => sharesFor(name, pipe))
  let leftOpen = 0
  standing.forEach(({ weight }, row) => {
    const { shares, entropy: open } = rows[row]!
    for (let i = 0; i < shares.length; i++) overall[i]! += weight * shares[i]!
    leftOpen += weight * open
  })
  const means = answers
    .map((answer, i) => ({ answer, share: overall[i]!, i }))
    .filter(({ share }) => share >= LEAST_SHARE)
    .sort((x, y) => y.share - x.share || x.i - y.i)
    .map(({ answer, share, i }): Meaning => ({
      answer,
      share,
      ...leadAfter(standing, (_, row) => rows[row]!.shares[i]!),
    }))
  return { bits: entropyOf(overall) - leftOpen, means }
}

/** Shares of the readings a step apart that a spread gives within a range, from bin `from` on; they sum to 1. */
interface Readings {
  from: number
  shares: Float64Array
  entropy: number
}

/** The catalogue's diameters and the instruments are few, so each spread is summed once. */
const READINGS = new Map<string, Readings>()

function readingsOf(name: LengthName, spread: Spread): Readings {
  const key = `${name} ${spread.centre} ${spread.sigma}`
  const known = READINGS.get(key)
  if (known) return known
  const [first, last] = binRange(name)
  const from = Math.max(first, Math.floor((spread.centre - REACH * spread.sigma) / STEP))
  const to = Math.min(last, Math.ceil((spread.centre + REACH * spread.sigma) / STEP))
  const raw = Float64Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => density((from + i) * STEP, spread))
  const sum = raw.reduce((a, b) => a + b, 0)
  const shares = raw.map((share) => share / sum)
  const readings = { from, shares, entropy: entropyOf(shares) }
  READINGS.set(key, readings)
  return readings
}

const binRange = (name: LengthName): [number, number] => [
  Math.ceil(RANGES[name].lo / STEP),
  Math.floor(RANGES[name].hi / STEP),
]

/** The same for a length, summed over readings a step apart within the range an unknown pipe is spread over. */
function lengthWorth(name: LengthName, by: Instrument | undefined, standing: readonly Standing[]): Worth {
  const [first, last] = binRange(name)
  const bins = last - first + 1
  let flatWeight = 0
  const spreads = standing.map(({ pipe }) => pipe && spreadOf(pipe, name, by))
  // Pipes of one diameter and make read alike, so they are walked once.
  const groups = new Map<Readings, { weight: number; centre: number }>()
  standing.forEach(({ weight }, i) => {
    const spread = spreads[i]
    if (!spread) {
      flatWeight += weight
      return
    }
    const readings = readingsOf(name, spread)
    const same = groups.get(readings)
    if (same) same.weight += weight
    else groups.set(readings, { weight, centre: spread.centre })
  })
  const overall = new Float64Array(bins).fill(flatWeight / bins)
  let leftOpen = flatWeight * log2(bins)
  for (const [{ from, shares, entropy: open }, { weight }] of groups) {
    for (let i = 0; i < shares.length; i++) overall[from - first + i]! += weight * shares[i]!
    leftOpen += weight * open
  }
  return { bits: entropyOf(overall) - leftOpen, means: readingMeans([...groups.values()], standing, spreads, name) }
}

/** What the likeliest readings of a length would mean: each known figure that stands, read exactly. */
function readingMeans(
  groups: readonly { weight: number; centre: number }[],
  standing: readonly Standing[],
  spreads: readonly (Spread | null)[],
  name: LengthName,
): Meaning[] {
  const byCentre = new Map<number, number>()
  for (const { weight, centre } of groups) byCentre.set(centre, (byCentre.get(centre) ?? 0) + weight)
  const flat = 1 / (RANGES[name].hi - RANGES[name].lo)
  return [...byCentre]
    .filter(([, share]) => share >= LEAST_SHARE)
    .sort((x, y) => y[1] - x[1] || x[0] - y[0])
    .slice(0, MOST_READINGS)
    .map(([centre, share]): Meaning => ({
      answer: String(centre),
      share,
      ...leadAfter(standing, (_, i) => {
        const spread = spreads[i]
        return spread ? density(centre, spread) : flat
      }),
    }))
}

const CHOICES: readonly ChoiceName[] = ['scratch', 'held-by', 'colour', 'magnet', 'flex', 'stripe']

/** Checks not yet made and within `can`, by falling expected information about the pipe, 0.01 bits or more. */
export function rankNext(
  standing: readonly Standing[],
  made: readonly Check[],
  can: readonly string[] | undefined,
): NextCheck[] {
  const isMade = (name: string, by?: Instrument) =>
    made.some(
      (check) => check.check === name && (by === undefined || (check.check === 'outside-diameter' && check.by === by)),
    )
  const allowed = (name: string, by?: Instrument) =>
    can === undefined || can.includes(name) || (by !== undefined && can.includes(`${name}:${by}`))
  const heavy = standing.filter(({ weight }) => weight > 1e-6)
  const next: NextCheck[] = []
  const propose = (check: CheckName, worth: () => Worth, by?: Instrument) => {
    if (isMade(check, by) || !allowed(check, by)) return
    const { bits, means } = worth()
    if (bits >= LEAST_BITS) next.push({ check, ...(by === undefined ? {} : { by }), bits, means })
  }
  for (const check of CHOICES) propose(check, () => choiceWorth(check, heavy))
  // A line that can be read tells which pipe it is; one that cannot tells nothing.
  propose('print', () => ({ bits: PRINT.readable * entropy(heavy), means: [] }))
  for (const by of INSTRUMENTS) propose('outside-diameter', () => lengthWorth('outside-diameter', by, heavy), by)
  for (const check of ['wall', 'bore'] as const) propose(check, () => lengthWorth(check, undefined, heavy))
  const order = ({ check, by }: NextCheck) => `${check} ${by ?? ''}`
  return next.sort((a, b) => b.bits - a.bits || (order(a) < order(b) ? -1 : 1))
}
