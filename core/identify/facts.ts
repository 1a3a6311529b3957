import type { Note } from '#core/base'
import type { EndFacts, MadeFor } from '#core/catalogue'
import { saw, weighOf } from './cautions'
import { tokensOf } from './likelihood'
import type { Standing } from './next-check'
import type { Check, CheckName } from './types'

/** A fact of one kind of pipe is taken where that kind leads by this much. */
const LEADS = 0.5

export type FactName = keyof EndFacts
/** One thing the checks say of an end, and the check that told it. */
export type ToldFact = { [N in FactName]: { name: N; value: NonNullable<EndFacts[N]>; by: CheckName } }[FactName]

/** What it is marked to carry: the gravest of what is printed, then what its colour says. */
const MARKED: readonly MadeFor[] = ['gas', 'sprinkler', 'reclaimed', 'drinking', 'heating']

function madeForOf(checks: readonly Check[], cautions: readonly Note[]): ToldFact | undefined {
  const told = (value: MadeFor, by: CheckName): ToldFact => ({ name: 'madeFor', value, by })
  const printed = new Set(tokensOf(checks).flatMap(({ says }) => (says?.madeFor ? [says.madeFor] : [])))
  const found = MARKED.find((one) => printed.has(one))
  if (found && found !== 'drinking' && found !== 'heating') return told(found, 'print')
  if (saw(checks, 'colour', 'purple')) return told('reclaimed', 'colour')
  // The colour alone may be another's: it is said, and settled by the print.
  if (cautions.some(({ code }) => code === 'sprinkler') && found === undefined && saw(checks, 'colour', 'orange'))
    return told('sprinkler', 'colour')
  return found && told(found, 'print')
}

/** Temper of copper by how it feels. */
const TEMPER_FELT = { soft: 'soft', rigid: 'hard' } as const

/** What the print line says, each fact by the first piece that says it; listings are gathered over the line. */
function printed(checks: readonly Check[]): ToldFact[] {
  const says = tokensOf(checks).map((token) => token.says ?? {})
  const listing = [...new Set(says.flatMap((one) => one.listing ?? []))]
  const first = (['temper', 'pexType', 'chlorine', 'class'] as const).flatMap((name): ToldFact[] => {
    const value = says.find((one) => one[name] !== undefined)?.[name]
    return value === undefined ? [] : [{ name, value, by: 'print' } as ToldFact]
  })
  return [
    ...first,
    ...(says.some((one) => one.barrier === true) ? [{ name: 'barrier', value: true, by: 'print' } as const] : []),
    ...(listing.length > 0 ? [{ name: 'listing', value: listing, by: 'print' } as const] : []),
  ]
}

/**
 * What is felt and seen where no print says it: copper's temper by its flex; PEX that expansion rings hold has stood
 * the expander, as method a does.
 */
function felt(standing: readonly Standing[], checks: readonly Check[]): ToldFact[] {
  const leads = (family: 'copper' | 'pex') => weighOf(standing, (pipe) => pipe.family === family) > LEADS
  const flex = (['soft', 'rigid'] as const).find((one) => saw(checks, 'flex', one))
  return [
    ...(flex && leads('copper') ? [{ name: 'temper', value: TEMPER_FELT[flex], by: 'flex' } as const] : []),
    ...(saw(checks, 'held-by', 'expansion-ring') && leads('pex')
      ? [{ name: 'pexType', value: 'a', by: 'held-by' } as const]
      : []),
  ]
}

function tracedOf(checks: readonly Check[], cautions: readonly Note[]): ToldFact[] {
  if (saw(checks, 'traced', 'water')) return [{ name: 'traced', value: 'water', by: 'traced' }]
  return cautions.some(({ code }) => code === 'gas') ? [{ name: 'traced', value: 'unknown', by: 'traced' }] : []
}

/** What the checks say of an end, each once and with what told it; what they do not say is left out. */
export function toldBy(standing: readonly Standing[], checks: readonly Check[], cautions: readonly Note[]): ToldFact[] {
  const madeFor = madeForOf(checks, cautions)
  const all = [
    ...printed(checks),
    ...felt(standing, checks),
    ...tracedOf(checks, cautions),
    ...(madeFor ? [madeFor] : []),
  ]
  // A print wins over what is felt.
  return all.filter(({ name }, i) => all.findIndex((one) => one.name === name) === i)
}

/** The same in the fields that a way takes. */
export const factsOf = (told: readonly ToldFact[]): EndFacts =>
  Object.fromEntries(told.map(({ name, value }) => [name, value]))
