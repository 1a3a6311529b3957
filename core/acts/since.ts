import type { AnyRecord, GistOf, JobRecord, ListKind } from '#core/record'

/* What a server gives of a job: the whole of it, or what was changed since a tablet looked. */

/** Gists of a job's lines by their ids, worked out where it is kept: a cheap phone takes long over one. */
export type LineGists = Readonly<Record<string, GistOf['lines']>>

/** A job as a server gives it; the rack, which goes with the van, has an address of its own. */
export type WholeJob = Omit<JobRecord, 'rack'> & { gists: LineGists }

/** Kinds of records that are a job's own. */
export type OwnKind = Exclude<ListKind, 'rack'>
export const OWN_KINDS = ['finds', 'lines', 'cuts', 'joints', 'looks'] as const satisfies readonly OwnKind[]

/** What changed of a job after so many acts: records as they are now, null where one is gone. */
export interface JobChanges {
  id: string
  since: number
  /** Acts that this is the state after. */
  acts: number
  /** The job's own fields and clashes, where one of them changed. */
  own: Omit<JobRecord, ListKind> | null
  records: readonly { kind: OwnKind; id: string; record: AnyRecord | null }[]
  gists: LineGists
}
/** An answer to `since`: what changed, or the whole where that is less. */
export type SinceAnswer = JobChanges | { whole: WholeJob }

const byPlace = (a: AnyRecord, b: AnyRecord): number =>
  'number' in a && 'number' in b && a.number !== b.number ? a.number - b.number : 0

/** The same list where nothing of it is other; one that is new stands by its number, else last. */
function merged(list: readonly AnyRecord[], changes: readonly JobChanges['records'][number][]): readonly AnyRecord[] {
  let now = list
  for (const { id, record } of changes) {
    const before = now.find((one) => one.id === id)
    if (before && record && before.version === record.version) continue
    if (!before && !record) continue
    if (!record) now = now.filter((one) => one !== before)
    else if (before) now = now.map((one) => (one === before ? record : one))
    else now = [...now, record].sort(byPlace)
  }
  return now
}

/** A job with what changed of it; the very same where nothing did. Records that did not change stay the objects they are. */
export function withChanges(job: JobRecord, { acts, own, records }: JobChanges): JobRecord {
  const lists = Object.fromEntries(
    OWN_KINDS.map((kind) => [
      kind,
      merged(
        job[kind],
        records.filter((one) => one.kind === kind),
      ),
    ]),
  ) as Pick<JobRecord, OwnKind>
  const isSame = own === null && acts === job.acts && OWN_KINDS.every((kind) => lists[kind] === job[kind])
  return isSame ? job : { ...job, ...own, ...lists, acts }
}

/** A job as it was given whole, with the records that are here already where their version is the same. */
export function withSame(before: JobRecord | undefined, job: JobRecord): JobRecord {
  if (!before) return job
  const lists = Object.fromEntries(
    OWN_KINDS.map((kind) => {
      const here = new Map((before[kind] as readonly AnyRecord[]).map((one) => [one.id, one]))
      return [kind, job[kind].map((one) => (here.get(one.id)?.version === one.version ? here.get(one.id)! : one))]
    }),
  ) as unknown as Pick<JobRecord, OwnKind>
  return { ...job, ...lists }
}
