import type { Note } from '#core/base'
import type { EndFacts, MadeFor } from '#core/catalogue'
import { saw, weighOf } from './cautions'
import { tokensOf } from './likelihood'
import type { Standing } from './next-check'
import type { Check } from './types'

/** A fact of one kind of pipe is taken where that kind leads by this much. */
const LEADS = 0.5

/** What it is marked to carry: the gravest of what is printed, then what its colour says. */
const MARKED: readonly MadeFor[] = ['gas', 'sprinkler', 'reclaimed', 'drinking', 'heating']

function madeForOf(checks: readonly Check[], cautions: readonly Note[]): MadeFor | undefined {
  const printed = new Set(tokensOf(checks).flatMap(({ says }) => (says?.madeFor ? [says.madeFor] : [])))
  const found = MARKED.find((one) => printed.has(one))
  if (found && found !== 'drinking' && found !== 'heating') return found
  if (saw(checks, 'colour', 'purple')) return 'reclaimed'
  // The colour alone may be another's: it is said, and settled by the print.
  return cautions.some(({ code }) => code === 'sprinkler') && found === undefined && saw(checks, 'colour', 'orange')
    ? 'sprinkler'
    : found
}

/** Temper of copper by how it feels. */
const TEMPER_FELT = { soft: 'soft', rigid: 'hard' } as const

/** What the checks say of an end, in the fields that a way takes; what they do not say is left out. */
export function factsFrom(
  standing: readonly Standing[],
  checks: readonly Check[],
  cautions: readonly Note[],
): EndFacts {
  const tokens = tokensOf(checks)
  const says = tokens.map((token) => token.says ?? {})
  const listing = [...new Set(says.flatMap((one) => one.listing ?? []))]
  const copper = weighOf(standing, ({ family }) => family === 'copper') > LEADS
  const felt = (['soft', 'rigid'] as const).find((flex) => copper && saw(checks, 'flex', flex))
  const temper = says.find((one) => one.temper)?.temper ?? (felt && TEMPER_FELT[felt])
  const pexType = says.find((one) => one.pexType)?.pexType
  const chlorine = says.find((one) => one.chlorine !== undefined)?.chlorine
  const printed = says.find((one) => one.class)?.class
  const madeFor = madeForOf(checks, cautions)
  const mayBeGas = cautions.some(({ code }) => code === 'gas')
  const untraced = mayBeGas ? 'unknown' : undefined
  const traced = saw(checks, 'traced', 'water') ? 'water' : untraced
  return {
    ...(temper ? { temper } : {}),
    ...(pexType ? { pexType } : {}),
    ...(says.some((one) => one.barrier === true) ? { barrier: true } : {}),
    ...(chlorine === undefined ? {} : { chlorine }),
    ...(printed ? { class: printed } : {}),
    ...(listing.length > 0 ? { listing } : {}),
    ...(traced ? { traced } : {}),
    ...(madeFor ? { madeFor } : {}),
  }
}
