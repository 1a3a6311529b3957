import { and, eq } from 'drizzle-orm'
import isEqual from 'fast-deep-equal'
import type { LineGists } from '#core/acts'
import {
  GIST_KINDS,
  workGist,
  type GistKind,
  type GistOf,
  type GistRules,
  type JobGist,
  type JobRecord,
} from '#core/record'
import type { Database, Transaction } from '../db/client'
import { gists } from '../db/schema'
import type { JobRow } from './job-rows'
import { ownFields } from './jobs'

/* What the overview of a job needs of each of its records, kept beside them: a line's takes long to work out. */

const isGistKind = (kind: string): kind is GistKind => (GIST_KINDS as readonly string[]).includes(kind)

/** The gist of a record, and its place among those of its kind: its number, or when it was begun. */
export interface GistRow {
  kind: GistKind
  id: string
  place: number
  gist: GistOf[GistKind]
}

const byPlace = (a: GistRow, b: GistRow): number => a.place - b.place || a.id.localeCompare(b.id)

/** The gists of a job's records, in their places. */
export async function loadGists(db: Database | Transaction, jobId: string): Promise<GistRow[]> {
  const rows = await db
    .select({ kind: gists.kind, id: gists.recordId, place: gists.place, gist: gists.gist })
    .from(gists)
    .where(eq(gists.jobId, jobId))
  return (rows as GistRow[]).sort(byPlace)
}

/** The gists of a job's lines by their ids. */
export async function loadLineGists(db: Database, jobId: string): Promise<LineGists> {
  const rows = await db
    .select({ id: gists.recordId, gist: gists.gist })
    .from(gists)
    .where(and(eq(gists.jobId, jobId), eq(gists.kind, 'lines')))
  return Object.fromEntries(rows.map(({ id, gist }) => [id, gist as GistOf['lines']]))
}

/** A job as its overview is read from: its own row, and the gists of its records. */
export function gistJob(row: JobRow, all: readonly GistRow[]): JobGist {
  const of = <K extends GistKind>(kind: K) =>
    all.filter((one) => one.kind === kind).map(({ gist }) => gist as GistOf[K])
  return { ...ownFields(row), finds: of('finds'), lines: of('lines'), cuts: of('cuts'), joints: of('joints') }
}

/** The gists of all records of a job, worked out anew. */
export async function keepAllGists(tx: Transaction, job: JobRecord): Promise<GistRow[]> {
  await tx.delete(gists).where(eq(gists.jobId, job.id))
  const rows = GIST_KINDS.flatMap((kind) =>
    job[kind].map((record, i) => ({
      kind,
      id: record.id,
      place: 'number' in record ? record.number : i + 1,
      gist: workGist(kind, job, record as never),
    })),
  )
  if (rows.length > 0)
    await tx.insert(gists).values(rows.map(({ id, ...row }) => ({ ...row, jobId: job.id, recordId: id })))
  return rows.sort(byPlace)
}

/** Gists with one of them as it is now; without it where its record was taken out. */
const withGist = (
  all: readonly GistRow[],
  { kind, id }: Pick<GistRow, 'kind' | 'id'>,
  now: GistRow | null,
): GistRow[] => [...all.filter((one) => one.id !== id || one.kind !== kind), ...(now ? [now] : [])].sort(byPlace)

/** A record of a job, and when something was done to it, ISO 8601. */
interface Place {
  jobId: string
  kind: string
  id: string
  at: string
}

/** The gists of a job as an act left one of its records, saved; the same list where nothing of them is other than before. */
export async function keepGistOf(
  tx: Transaction,
  { jobId, kind, id, at }: Place,
  rules: GistRules,
  all: readonly GistRow[],
  after: JobRecord[GistKind][number] | null,
): Promise<readonly GistRow[]> {
  if (!isGistKind(kind)) return all
  if (after === null) {
    await tx.delete(gists).where(and(eq(gists.jobId, jobId), eq(gists.kind, kind), eq(gists.recordId, id)))
    return withGist(all, { kind, id }, null)
  }
  const before = all.find((one) => one.kind === kind && one.id === id)
  const gist = workGist(kind, rules, after as never)
  if (before && isEqual(before.gist, gist)) return all
  const place = before?.place ?? ('number' in after ? after.number : Date.parse(at))
  await tx.insert(gists).values({ jobId, kind, recordId: id, place, gist }).onDuplicateKeyUpdate({ set: { gist } })
  return withGist(all, { kind, id }, { kind, id, place, gist })
}
