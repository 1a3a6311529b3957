import { OWN_KINDS, type AnyRecord, type OwnKind } from '#core/acts'
import type { JobRecord } from '#core/record'

/* The copy of a job, record by record: a tap changes one of a hundred, and writing the others costs a phone its breath. */

/** What of a job is no record of its own. The rack, which is the same for all, is kept beside. */
export type OwnPart = Omit<JobRecord, OwnKind | 'rack'>
/** A job without its records, and which these are, in their order. */
export interface CopyHead {
  id: string
  at: number
  own: OwnPart
  ids: Readonly<Record<OwnKind, readonly string[]>>
}
/** A record of a copy under its key. */
export interface Part {
  key: string
  record: AnyRecord
}
/** What is to be written of a copy. */
export interface CopyChanges {
  head: CopyHead
  put: readonly Part[]
  gone: readonly string[]
}

const keyOf = (job: string, kind: OwnKind, id: string): string => `${job}/${kind}/${id}`

/** First and last key that a job's records may have. */
export const keysOf = (job: string): [string, string] => [`${job}/`, `${job}/\uFFFF`]

function partsOf(job: JobRecord): Part[] {
  return OWN_KINDS.flatMap((kind) =>
    (job[kind] as readonly AnyRecord[]).map((record) => ({ key: keyOf(job.id, kind, record.id), record })),
  )
}

/** What of a copy is other than as it was written last; all of it, where nothing was. Records are told by being the same object. */
export function changesOf(job: JobRecord, written: JobRecord | undefined, at: number): CopyChanges {
  const { finds, lines, cuts, joints, looks, rack: _, ...own } = job
  const now = partsOf(job)
  const was = new Map(written ? partsOf(written).map(({ key, record }) => [key, record]) : [])
  const keys = new Set(now.map(({ key }) => key))
  const lists: Pick<JobRecord, OwnKind> = { finds, lines, cuts, joints, looks }
  const ids = Object.fromEntries(
    OWN_KINDS.map((kind) => [kind, lists[kind].map(({ id }) => id)]),
  ) as unknown as CopyHead['ids']
  return {
    head: { id: job.id, at, own, ids },
    put: now.filter(({ key, record }) => was.get(key) !== record),
    gone: [...was.keys()].filter((key) => !keys.has(key)),
  }
}

/** A job from its parts; a record that is not among them is left out. */
export function jobOfParts({ id, own, ids }: CopyHead, parts: readonly Part[]): JobRecord {
  const byKey = new Map(parts.map(({ key, record }) => [key, record]))
  const lists = Object.fromEntries(
    OWN_KINDS.map((kind) => [kind, ids[kind].flatMap((one) => byKey.get(keyOf(id, kind, one)) ?? [])]),
  ) as unknown as Pick<JobRecord, OwnKind>
  return { ...own, ...lists, rack: [] }
}
