import type { Note } from '#core/base'
import type { Family, Pipe } from '#core/catalogue'
import { tokensOf } from './likelihood'
import type { Standing } from './next-check'
import { IDENTIFY_RULES, type IdentifyCode } from './rules'
import type { Check } from './types'

/** A caution stands when what it belongs to weighs this much (contract). */
const CAUTION_WEIGHT = 0.05
/** Most of what stands is none of the catalogue's pipes. */
const MOSTLY = 0.5

const METAL: ReadonlySet<Family> = new Set<Family>(['copper', 'steel', 'stainless', 'lead'])
/** Pipe whose colour alone may say fire sprinkler. */
const SPRINKLER_RED: ReadonlySet<Family> = new Set<Family>(['steel', 'cpvc'])

/** How much of what stands is of a kind. */
export const weighOf = (standing: readonly Standing[], test: (pipe: Pipe) => boolean): number =>
  standing.reduce((sum, { pipe, weight }) => sum + (pipe && test(pipe) ? weight : 0), 0)

export const saw = (checks: readonly Check[], name: Check['check'], value: unknown): boolean =>
  checks.some((check) => check.check === name && 'value' in check && check.value === value)

/** Whether it may carry gas, until it was traced to water. */
function mayBeGas(standing: readonly Standing[], checks: readonly Check[]): boolean {
  const may = (test: (pipe: Pipe) => boolean) => weighOf(standing, test) >= CAUTION_WEIGHT
  if (saw(checks, 'colour', 'yellow') || saw(checks, 'stripe', 'yellow')) return true
  if (tokensOf(checks).some(({ says }) => says?.madeFor === 'gas')) return true
  if (may(({ family }) => METAL.has(family) || family === 'multilayer')) return true
  // Blue and marked for water is water; black and orange polyethylene carry either.
  const isMarked = tokensOf(checks).some(({ isWater }) => isWater)
  if (
    may(({ family }) => family === 'pe') &&
    (!isMarked || saw(checks, 'colour', 'black') || saw(checks, 'colour', 'orange'))
  )
    return true
  return !isMarked && (standing.find(({ pipe }) => pipe === null)?.weight ?? 0) > MOSTLY
}

/** What to look out for at a pipe that may be each of these, before it is scratched or cut. */
export function cautionsFor(standing: readonly Standing[], checks: readonly Check[]): Note[] {
  const may = (test: (pipe: Pipe) => boolean) => weighOf(standing, test) >= CAUTION_WEIGHT
  const saysFor = (madeFor: string) => tokensOf(checks).some(({ says }) => says?.madeFor === madeFor)
  const isTraced = saw(checks, 'traced', 'water')
  const isRed = saw(checks, 'colour', 'red') || saw(checks, 'colour', 'orange')
  const stands: Readonly<Record<Exclude<IdentifyCode, 'contradiction'>, boolean>> = {
    gas: !isTraced && mayBeGas(standing, checks),
    'marked-gas': isTraced && saysFor('gas'),
    'earth-path': may(({ family }) => METAL.has(family)),
    lead: may(({ family }) => family === 'lead'),
    polybutylene: may(({ series }) => series === 'pb-cts'),
    sprinkler: saysFor('sprinkler') || (isRed && may(({ family }) => SPRINKLER_RED.has(family))),
    'heating-only': saysFor('heating') && !saysFor('drinking'),
    reclaimed: saysFor('reclaimed') || saw(checks, 'colour', 'purple'),
    'soft-copper': saw(checks, 'flex', 'soft') && may(({ family }) => family === 'copper'),
    asbestos: saw(checks, 'lagging', 'hard-white'),
    hot: saw(checks, 'warm', true),
    'not-supply': (standing.find(({ pipe }) => pipe === null)?.weight ?? 0) > MOSTLY,
  }
  return (Object.keys(stands) as (keyof typeof stands)[])
    .filter((code) => stands[code])
    .map((code) => ({ code, text: IDENTIFY_RULES[code].because }))
}
