import { HAZARDS, hazardNote, type EndFacts, type HazardCode, type Surface } from '#core/catalogue'
import type { Note } from '#core/base'
import { factsOfChecks, type ToldFact } from '#core/identify'
import { speakAll, w } from '#core/speech'
import { readFind } from './reading'
import type { FindRecord } from './record'
import type { JobRecord } from '../job/record'

/* What a find knows of its pipe end, each fact with what told it, and what it leaves open before anything is cut. */

/** What of a find is weighed. */
export type DoubtedFind = Pick<FindRecord, 'id' | 'typed' | 'by' | 'answers' | 'pipe'>
type Weighing = Pick<JobRecord, 'region' | 'year'>
type Weighed = ReturnType<typeof factsOfChecks>

/** A find is weighed once for as long as nobody changes it. */
const WEIGHED = new WeakMap<DoubtedFind, { region: JobRecord['region']; year: number | null; said: Weighed }>()
function weighed({ region, year }: Weighing, find: DoubtedFind): Weighed {
  const known = WEIGHED.get(find)
  if (known && known.region === region && known.year === year) return known.said
  const said = factsOfChecks({ region, ...(year === null ? {} : { year }), checks: readFind(find, region).checks })
  WEIGHED.set(find, { region, year, said })
  return said
}

/** What told a fact of a find: one of its checks, or a look at its surface. */
export type ToldBy = ToldFact['by'] | 'surface'
export type FoundFact = (ToldFact | { name: 'surface'; value: Surface }) & { by: ToldBy }

/** Each thing a find says of its pipe end with what told it; nothing where its checks do not go together. */
export function toldByFind(rules: Weighing, find: DoubtedFind): FoundFact[] {
  const { surface, traced } = find.answers
  const told = weighed(rules, find)?.told ?? []
  return [
    ...(traced === 'gas' ? told.filter(({ name }) => name !== 'madeFor') : told),
    ...(traced === 'gas' ? [{ name: 'madeFor' as const, value: 'gas' as const, by: 'traced' as const }] : []),
    ...(surface ? [{ name: 'surface' as const, value: surface, by: 'surface' as const }] : []),
  ]
}

/** The same in the fields a way takes. */
export const factsOfFind = (rules: Weighing, find: DoubtedFind): EndFacts =>
  Object.fromEntries(toldByFind(rules, find).map(({ name, value }) => [name, value]))

/** What holds every cut at a find until it is answered, beside what its pipe may be. */
export const OPEN_CODES = ['live', 'wet', 'earth'] as const
export type OpenCode = (typeof OPEN_CODES)[number]
export type DoubtCode = HazardCode | OpenCode

const OPEN_TEXTS: Readonly<Record<OpenCode, string>> = {
  live: 'It is live. Shut it off, open the lowest and the highest outlet, and see that nothing runs before you cut.',
  wet: 'Does it still drip? Stop it, or freeze or plug the line. If it stays wet, nothing is soldered here.',
  earth: `A clamp is on it: ${w.anEarth} path. Bridge the line on both sides of the cut before you part it.`,
}
export const doubtText = (code: DoubtCode): string =>
  code in HAZARDS ? HAZARDS[code as HazardCode].text : OPEN_TEXTS[code as OpenCode]
export const doubtNote = (rules: Pick<JobRecord, 'region'>, code: DoubtCode): Note =>
  speakAll(
    code in HAZARDS ? hazardNote(code as HazardCode) : { code, text: OPEN_TEXTS[code as OpenCode] },
    rules.region,
  )

/** What may still be in it, and whether a clamp is on it. */
function openAt({ warm, water, earth }: DoubtedFind['answers']): OpenCode[] {
  // Warm water stood in it a moment ago, until somebody has said that it was let out.
  const isLive = water === 'live' || (warm === true && water === undefined)
  return [
    ...(isLive ? ['live' as const] : []),
    ...(water === 'drips' ? ['wet' as const] : []),
    ...(earth === 'clamped' ? ['earth' as const] : []),
  ]
}

/** What a find may still be beside what it was kept as, and what holds a cut there; gas is told by its facts. */
export function doubtsOfFind(rules: Weighing, find: DoubtedFind): Exclude<DoubtCode, 'gas'>[] {
  const cautions = weighed(rules, find)?.cautions ?? []
  const ruledOut: readonly string[] = find.answers['ruled-out'] ?? []
  const hazards = (['lead', 'polybutylene'] as const).filter(
    (code) => !ruledOut.includes(code) && cautions.some((caution) => caution.code === code),
  )
  return [...hazards, ...openAt(find.answers)]
}
