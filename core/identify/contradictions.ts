import { colourWords, diameter, w } from '#core/speech'
import { likelihood } from './likelihood'
import type { Standing } from './next-check'
import { CONTRADICTS } from './likelihood-figures'
import type { IdentifyCode } from './rules'
import type { Check, Contradiction, Instrument } from './types'

const INSTRUMENT: Readonly<Record<Instrument, string>> = {
  calliper: `by ${w.calliper}`,
  'tape-round': 'round it',
  rule: 'by rule',
  gauge: 'on a gauge',
}
const plain = (value: unknown): string => String(value).replaceAll('-', ' ')

/** A check as it is named in a sentence; null where it says nothing of which pipe it is. */
function named(check: Check): string | null {
  switch (check.check) {
    case 'outside-diameter':
      return `${diameter(check.value)} outside ${INSTRUMENT[check.by]}`
    case 'wall':
    case 'bore':
      return `a ${check.check} of ${diameter(check.value)}`
    case 'print':
      return 'what is printed on it'
    case 'colour':
      return `the ${w.colour} ${colourWords(check.value)}`
    case 'stripe':
      return check.value === 'none' ? 'no stripe' : `a ${colourWords(check.value)} stripe`
    case 'flex':
      return `a ${check.value} feel`
    case 'magnet':
      return check.value ? 'a magnet that holds' : 'a magnet that does not hold'
    case 'scratch':
      return `a scratch that shows ${plain(check.value)}`
    case 'held-by':
      return `joints held by ${plain(check.value)}`
    default:
      return null
  }
}

/** How easily each check is misread, so that the easier of two is made again first: ours. */
const EASILY_MISREAD: readonly string[] = [
  'flex',
  'colour',
  'stripe',
  'held-by',
  'outside-diameter',
  'bore',
  'wall',
  'scratch',
  'magnet',
  'print',
]
const misread = (check: Check): number => {
  const place = EASILY_MISREAD.indexOf(check.check)
  return check.check === 'outside-diameter' && check.by === 'rule' ? -1 : place
}

/**
 * Pairs of checks that hardly any pipe gives together: how likely both are beside how likely they would be if they had
 * nothing to do with each other, over the pipes of the catalogue as they stood before anything was checked. Worst first.
 */
export function findContradictions(priors: readonly Standing[], checks: readonly Check[]): Contradiction[] {
  const telling = checks
    .map((check, i) => ({ check, i, words: named(check) }))
    .filter((one): one is { check: Check; i: number; words: string } => one.words !== null)
  // A pipe of no table gives any two answers alike: it would hide what none of the tables' gives.
  const known = priors.filter(({ pipe }) => pipe !== null)
  const share = known.reduce((sum, { weight }) => sum + weight, 0)
  const rows = telling.map(({ check }) => known.map(({ pipe }) => likelihood(check, pipe)))
  const mean = (likelihoods: readonly number[]): number =>
    likelihoods.reduce((sum, one, i) => sum + one * known[i]!.weight, 0) / share
  const means = rows.map(mean)
  const together = (x: number, y: number): number =>
    mean(rows[x]!.map((one, i) => one * rows[y]![i]!)) / means[x]! / means[y]!
  const found: (Contradiction & { together: number })[] = []
  for (let x = 0; x < telling.length; x++) {
    for (let y = x + 1; y < telling.length; y++) {
      const ratio = together(x, y)
      if (!(ratio < CONTRADICTS)) continue
      // The one the other checks speak against is made again first; with no others, the one that is easier misread.
      const agrees = (one: number): number =>
        telling.reduce(
          (sum, _, other) => (other === x || other === y ? sum : sum + Math.log(Math.max(together(one, other), 1e-9))),
          0,
        )
      const [ofX, ofY] = [agrees(x), agrees(y)]
      const isX = Math.abs(ofX - ofY) > 0.5 ? ofX < ofY : misread(telling[x]!.check) <= misread(telling[y]!.check)
      const [doubted, other] = isX ? [telling[x]!, telling[y]!] : [telling[y]!, telling[x]!]
      found.push({
        code: 'contradiction' satisfies IdentifyCode,
        text: `Hardly any pipe has both ${telling[x]!.words} and ${telling[y]!.words}. Make the ${NAMES[doubted.check.check] ?? doubted.check.check} check again first.`,
        checks: [doubted.i, other.i].sort((a, b) => a - b) as [number, number],
        again: doubted.i,
        together: ratio,
      })
    }
  }
  return found
    .sort((a, b) => a.together - b.together || a.checks[0] - b.checks[0] || a.checks[1] - b.checks[1])
    .map(({ together: _, ...one }) => one)
}

const NAMES: Readonly<Partial<Record<Check['check'], string>>> = { 'outside-diameter': 'diameter', 'held-by': 'joints' }
