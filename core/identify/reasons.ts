import type { Note } from '#core/base'
import type { Pipe } from '#core/catalogue'
import { colourWords, diameter, w } from '#core/speech'
import { likelihood, printTokens } from './likelihood'
import type { PrintToken } from './print'
import { sizeOf, type Check } from './types'

/** A check speaks for or against a pipe when its answer is this many times likelier, or less likely, than over all. */
const TELLING = 1.25

const SAYS: Readonly<Record<string, string>> = {
  copper: `copper ${w.colour}`,
  rigid: 'rigid',
  springy: 'springy',
  soft: 'soft',
  true: 'The magnet holds',
  false: 'The magnet does not hold',
  'bright-silver': 'bright silver',
  'dull-silver': 'dull silver',
  plastic: 'plastic',
  olive: w.anOlive,
}

const said = (value: unknown): string => SAYS[String(value)] ?? String(value).replaceAll('-', ' ')

function words(check: Check, pipe: Pipe): string | null {
  switch (check.check) {
    case 'outside-diameter':
    case 'wall':
    case 'bore': {
      const known = sizeOf(pipe, check.check)
      if (known === null) return null
      const off = check.value - known
      const name = check.check === 'outside-diameter' ? 'outside' : check.check
      return Math.abs(off) < 0.005
        ? `${diameter(known)} ${name}, as measured.`
        : `${diameter(known)} ${name}, ${diameter(Math.abs(off))} ${off < 0 ? 'over' : 'under'} the measure.`
    }
    case 'colour':
      return `Seen ${colourWords(check.value)}.`
    case 'stripe':
      return check.value === 'none' ? 'No stripe.' : `${colourWords(check.value)} stripe.`
    case 'flex':
      return `It feels ${said(check.value)}.`
    case 'magnet':
      return `${said(check.value)}.`
    case 'scratch':
      return `Scratched, it shows ${said(check.value)}.`
    case 'held-by':
      return `Its joints are held by: ${said(check.value)}.`
    default:
      return null
  }
}

/**
 * What speaks for and against one pipe: each check's answer weighed against how likely it was over all pipes still
 * standing.
 */
export function reasonsFor(
  pipe: Pipe,
  checks: readonly Check[],
  average: readonly number[],
): { for: Note[]; against: Note[] } {
  const reasons: { for: Note[]; against: Note[] } = { for: [], against: [] }
  checks.forEach((check, i) => {
    if (check.check === 'print') {
      const tokens = printTokens(check)
      const say = (ones: readonly PrintToken[]) => ones.map(({ text }) => text.trim()).join(', ')
      const [fitting, others] = [tokens.filter(({ fits }) => fits!(pipe)), tokens.filter(({ fits }) => !fits!(pipe))]
      if (fitting.length > 0) reasons.for.push({ code: 'print', text: `Printed on it: ${say(fitting)}.` })
      if (others.length > 0) reasons.against.push({ code: 'print', text: `Not printed on this pipe: ${say(others)}.` })
      return
    }
    const text = words(check, pipe)
    const mean = average[i]!
    if (text === null || mean === 0) return
    const ratio = likelihood(check, pipe) / mean
    if (ratio >= TELLING) reasons.for.push({ code: check.check, text })
    else if (ratio <= 1 / TELLING) reasons.against.push({ code: check.check, text })
  })
  return reasons
}
