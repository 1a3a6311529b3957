import type { Note } from '#core/base'
import { getPipe, seriesOf, type EndFacts, type Pipe } from '#core/catalogue'
import { hasOneTemper, type OtherEnd, type PipeEnd } from '#core/joints'
import { speak } from '#core/speech'
import {
  doubtNote,
  doubtsOfFind,
  doubtText,
  factsOfFind,
  toldByFind,
  type DoubtCode,
  type DoubtedFind,
  type ToldBy,
} from '../find/known'
import type { JobRecord } from '../job/record'
import type { JointRecord } from './record'

/*
 * What a find knows reaches every joint that rests on it, and so does what it leaves open: a pipe that may be gas, or has
 * water in it, is not cut until somebody has answered it, whatever it was kept as.
 */

export interface SuspectRules extends Pick<JobRecord, 'region' | 'year'> {
  finds: readonly DoubtedFind[]
}

type Ends = Pick<JointRecord, 'a' | 'b' | 'findA' | 'findB'>

const findOf = (
  rules: Pick<SuspectRules, 'finds'>,
  joint: Pick<Ends, 'findA' | 'findB'>,
  on: 'a' | 'b',
): DoubtedFind | undefined => {
  const id = on === 'a' ? joint.findA : joint.findB
  return id === null ? undefined : rules.finds.find((find) => find.id === id)
}

/** What a found pipe's joints hang on, and is unknown until it is told. */
function unknownsOf({ family, series }: Pipe): EndFacts {
  if (family === 'copper') return hasOneTemper(series) ? {} : { temper: 'unknown' }
  const isPex = family === 'pex' && seriesOf(series).sizing === 'cts'
  const isTube = family === 'pex' || family === 'pert' || family === 'bs7291'
  return {
    ...(isPex ? { pexType: 'unknown' } : {}),
    ...(isTube ? { barrier: 'unknown' } : {}),
    ...(isPex || series === 'pert-cts' ? { chlorine: 'unknown' } : {}),
  }
}

const said = (facts: object): object =>
  Object.fromEntries(Object.entries(facts).filter(([, value]) => value !== undefined))

/** What is known of an end wins in this order: answered at the joint, told by its find, nothing. */
function endNow<E extends OtherEnd>(
  rules: SuspectRules,
  end: E | null,
  find: DoubtedFind | undefined,
): E | PipeEnd | null {
  if (!end || !('pipe' in end) || !find) return end
  const facts = factsOfFind(rules, find)
  const { traced: answered, ...own } = end
  // Whether it was traced is the find's to say, unless it was answered at the joint.
  const traced = answered === 'water' ? answered : facts.traced
  const { traced: _, ...found } = facts
  return { ...unknownsOf(getPipe(end.pipe)), ...found, ...(said(own) as PipeEnd), ...(traced ? { traced } : {}) }
}
/** The ends as they stand now: with what their finds say, and with "unknown" for what no find has settled. */
export const endsNow = (rules: SuspectRules, joint: Ends): Pick<Ends, 'a' | 'b'> => ({
  a: endNow(rules, joint.a, findOf(rules, joint, 'a')),
  b: endNow(rules, joint.b, findOf(rules, joint, 'b')),
})

/** One thing known of an end, or not known: its find told it, or a hand at the joint. */
export interface KnownFact {
  name: keyof EndFacts
  value: EndFacts[keyof EndFacts]
  from: 'find' | 'joint' | null
  /** What told the find. */
  by?: ToldBy
}

/** What is known of an end, each with where it comes from; what the find left open as "unknown", from nowhere. */
export function knownOf(rules: SuspectRules, joint: Ends, on: 'a' | 'b'): KnownFact[] {
  const [own, find] = [joint[on], findOf(rules, joint, on)]
  const end = endNow(rules, own, find)
  if (!end || !('pipe' in end) || !own || !('pipe' in own)) return []
  const { pipe: _, wall: __, ...facts } = end
  const told = find ? toldByFind(rules, find) : []
  return (Object.keys(facts) as (keyof EndFacts)[]).map((name): KnownFact => {
    const [value, fact] = [facts[name], told.find((one) => one.name === name)]
    const isTold = fact !== undefined && JSON.stringify(fact.value) === JSON.stringify(value)
    if (isTold && value !== 'unknown') return { name, value, from: 'find', by: fact.by }
    return { name, value, from: own[name] === undefined || value === 'unknown' ? null : 'joint' }
  })
}

/** A pipe of a joint that is not cut until its doubt is answered, and the find it came from. */
export interface Suspect {
  on: 'a' | 'b'
  code: DoubtCode
  text: string
  find: string | null
}

/** What the find of an end leaves open; water in it no more where the joint is made wet. */
function doubtsAt(rules: SuspectRules, joint: Doubted, on: 'a' | 'b'): DoubtCode[] {
  const find = findOf(rules, joint, on)
  return find ? doubtsOfFind(rules, find).filter((code) => code !== 'wet' || !joint.conditions?.wet) : []
}
type Doubted = Ends & Partial<Pick<JointRecord, 'conditions'>>

/** The ends of a joint that are held: nothing is cut there until it is answered. */
export function suspectsOf(rules: SuspectRules, joint: Doubted): Suspect[] {
  const ends = endsNow(rules, joint)
  return (['a', 'b'] as const).flatMap((on): Suspect[] => {
    const [end, find] = [ends[on], findOf(rules, joint, on)]
    if (!end || !('pipe' in end)) return []
    const codes: DoubtCode[] = [...(end.traced === 'unknown' ? ['gas' as const] : []), ...doubtsAt(rules, joint, on)]
    return codes.map((code) => ({ on, code, text: speak(doubtText(code), rules.region), find: find?.id ?? null }))
  })
}

/** What is in doubt at an end, said on every card that rests on it. */
export const doubtNotes = (rules: SuspectRules, joint: Doubted, on: 'a' | 'b'): Note[] =>
  doubtsAt(rules, joint, on).map((code) => doubtNote(rules, code))
