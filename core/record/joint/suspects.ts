import type { Note } from '#core/base'
import { HAZARDS, hazardNote, type EndFacts, type HazardCode } from '#core/catalogue'
import { factsOfChecks } from '#core/identify'
import type { End } from '#core/joints'
import { speak, speakAll } from '#core/speech'
import { readFind } from '../find/reading'
import type { FindRecord } from '../find/record'
import type { JobRecord } from '../job/record'
import type { JointRecord } from './record'

/*
 * What a find leaves in doubt reaches every joint that rests on it: a pipe that may be gas is not cut until somebody has
 * traced it, whatever it was kept as.
 */

/** What of a find its doubts are read from. */
export type DoubtedFind = Pick<FindRecord, 'id' | 'typed' | 'by' | 'answers' | 'pipe'>
export interface SuspectRules extends Pick<JobRecord, 'region' | 'year'> {
  finds: readonly DoubtedFind[]
}

/** A find is weighed once for as long as nobody changes it. */
const WEIGHED = new WeakMap<
  DoubtedFind,
  { region: JobRecord['region']; year: number | null; said: ReturnType<typeof factsOfChecks> }
>()
function weighed(
  { region, year }: Pick<JobRecord, 'region' | 'year'>,
  find: DoubtedFind,
): ReturnType<typeof factsOfChecks> {
  const known = WEIGHED.get(find)
  if (known && known.region === region && known.year === year) return known.said
  const said = factsOfChecks({ region, ...(year === null ? {} : { year }), checks: readFind(find, region).checks })
  WEIGHED.set(find, { region, year, said })
  return said
}

/** What a find says of its pipe end, in the fields a way takes; nothing where its checks do not go together. */
export const factsOfFind = (rules: Pick<JobRecord, 'region' | 'year'>, find: DoubtedFind): EndFacts =>
  weighed(rules, find)?.facts ?? {}

const findOf = (
  rules: Pick<SuspectRules, 'finds'>,
  joint: Pick<JointRecord, 'findA' | 'findB'>,
  on: 'a' | 'b',
): DoubtedFind | undefined => {
  const id = on === 'a' ? joint.findA : joint.findB
  return id === null ? undefined : rules.finds.find((find) => find.id === id)
}

type Ends = Pick<JointRecord, 'a' | 'b' | 'findA' | 'findB'>

/** An end as it stands now: whether it was traced is the find's to say, unless it was answered at the joint. */
function endNow(rules: SuspectRules, joint: Ends, on: 'a' | 'b'): End | null {
  const end = joint[on]
  const find = findOf(rules, joint, on)
  if (!end || !('pipe' in end) || !find || end.traced === 'water') return end
  const { traced: _, ...rest } = end
  const { traced } = factsOfFind(rules, find)
  return traced === undefined ? rest : { ...rest, traced }
}
export const endsNow = (rules: SuspectRules, joint: Ends): { a: End | null; b: End | null } => ({
  a: endNow(rules, joint, 'a'),
  b: endNow(rules, joint, 'b'),
})

/** A pipe of a joint that is not cut until its doubt is answered, and the find it came from. */
export interface Suspect {
  on: 'a' | 'b'
  code: HazardCode
  text: string
  find: string | null
}

/** What a find may still be beside what it was kept as: its checks leave it in doubt, and nobody has ruled it out. */
function doubtsOf(rules: SuspectRules, find: DoubtedFind | undefined): HazardCode[] {
  const cautions = find ? (weighed(rules, find)?.cautions ?? []) : []
  const ruledOut: readonly string[] = find?.answers['ruled-out'] ?? []
  return (['lead', 'polybutylene'] as const).filter(
    (code) => !ruledOut.includes(code) && cautions.some((caution) => caution.code === code),
  )
}

/** The ends of a joint that are held: nothing is cut there until it is answered. */
export function suspectsOf(rules: SuspectRules, joint: Ends): Suspect[] {
  const ends = endsNow(rules, joint)
  return (['a', 'b'] as const).flatMap((on): Suspect[] => {
    const [end, find] = [ends[on], findOf(rules, joint, on)]
    if (!end || !('pipe' in end)) return []
    const codes: HazardCode[] = [...(end.traced === 'unknown' ? ['gas' as const] : []), ...doubtsOf(rules, find)]
    return codes.map((code) => ({ on, code, text: speak(HAZARDS[code].text, rules.region), find: find?.id ?? null }))
  })
}

/** What is in doubt at an end, said on every card that rests on it. */
export const doubtNotes = (rules: SuspectRules, joint: Ends, on: 'a' | 'b'): Note[] =>
  doubtsOf(rules, findOf(rules, joint, on)).map((code) => speakAll(hazardNote(code), rules.region))
