import { issue, type Issue } from '#core/base'
import {
  FINISHED,
  OTHER_PLAN,
  OTHER_WAY,
  SIGNED,
  standingSignoff,
  UNDONE,
  type ActDef,
  type AnyRecord,
  type Fields,
  type JointRecord,
  type Kind,
} from '#core/record'
import { changedSince, mergeFields, type Clash } from './merge'

/* What an act rests on, and what comes of it where another hand was first. */

/** What a record of each kind is called. */
export const KIND_WORDS: Readonly<Record<Kind, string>> = {
  jobs: 'job',
  finds: 'find',
  lines: 'line',
  cuts: 'cut sheet',
  joints: 'joint',
  rack: 'offcut',
  looks: 'look',
}

/** What an act says of the record as it was seen. */
export interface SeenRecord {
  version?: number | null
  seen?: Fields
}
type AboutDef = Pick<ActDef, 'on' | 'rests' | 'sees'>
/** The body to go on with; both entries where another hand's is in the way; or what is missing. */
export type Resting =
  | { state: 'goes on'; body: Fields }
  | { state: 'met'; issue: Issue; clashes: Clash[] }
  | { state: 'refused'; issue: Issue }

const changedMeanwhile = (kind: Kind): Issue =>
  issue(
    'impossible',
    'version',
    `Someone else changed this ${KIND_WORDS[kind]} meanwhile. What is saved now stands beside yours.`,
  )

/**
 * An act on a record as it is saved now. On the version that was seen it goes on as it is; on another, fields are merged
 * one by one with what was seen, and where both hands set one differently it is met.
 */
export function restOn({ on, rests, sees }: AboutDef, act: SeenRecord, body: Fields, saved: AnyRecord): Resting {
  if (rests === null || act.version === saved.version) return { state: 'goes on', body }
  const { seen } = act
  if ((act.version ?? null) === null && !(seen && rests === 'fields'))
    return {
      state: 'refused',
      issue: issue(
        'missing',
        'version',
        `version: is missing. The version of the ${KIND_WORDS[on]} that was seen is accepted.`,
      ),
    }
  const met = (clashes: Clash[]): Resting => ({ state: 'met', issue: changedMeanwhile(on), clashes })
  if (!seen || rests === 'version') return met([])
  const now = saved as unknown as Fields
  if (sees.length > 0) {
    const clashes = changedSince(seen, now)
    return clashes.length > 0 ? met(clashes) : { state: 'goes on', body }
  }
  const { changes, clashes } = mergeFields(seen, body, now)
  return clashes.length > 0 ? met(clashes) : { state: 'goes on', body: changes }
}

/** What core says where another hand was first: both see what is saved. */
const OVERTAKEN: ReadonlySet<Issue> = new Set([SIGNED, UNDONE, OTHER_WAY, OTHER_PLAN, FINISHED])

/**
 * What stands beside each other where core refuses an act since another hand was first; null where it is refused for
 * itself. What is signed takes no change more, even of a field that nobody else touched.
 */
export function overtaken(
  { rests, sees }: AboutDef,
  act: SeenRecord,
  body: Fields,
  saved: AnyRecord,
  why: Issue,
): Clash[] | null {
  if (!OVERTAKEN.has(why)) return null
  if (why !== SIGNED || rests !== 'fields') return []
  const now = saved as unknown as Fields
  if (sees.length === 0)
    return Object.entries(body).map(([path, mine]) => ({
      path,
      base: act.seen?.[path] ?? null,
      mine,
      theirs: now[path],
    }))
  const theirs = standingSignoff(saved as JointRecord)?.initials
  return [{ path: 'signoff', base: null, mine: body.initials, theirs }, ...changedSince(act.seen ?? {}, now)]
}
