import { and, asc, eq, isNull, max, ne, or, sql, type SQL } from 'drizzle-orm'
import type { MySqlColumn } from 'drizzle-orm/mysql-core'
import isEqual from 'fast-deep-equal'
import type { LineGists } from '#core/acts'
import {
  foldText,
  GIST_KINDS,
  searchText,
  summaryOf,
  workGist,
  type GistKind,
  type GistOf,
  type GistRules,
  type JobGist,
  type JobRecord,
} from '#core/record'
import { inTransaction, reading, retrying, type Database, type Transaction } from '../db/client'
import { acts, gists, jobs, summaries } from '../db/schema'
import { lockJobRow, type JobRow } from './job-rows'
import { ownFields, toJob } from './jobs'
import { toDatabase, toIso } from './time'

/* How a job stands in the list, kept beside it: read without its records, and made anew when one of them is saved. */

/** Version of the rules that gists and summaries are made by; raise it where they change, and all are made anew. */
export const SUMMARY_VERSION = 1

/** Most letters kept of the hands and days of a job, the last ones. */
const MOST_HANDS = 2000
const MOST_DAYS = 5000

const isGistKind = (kind: string): kind is GistKind => (GIST_KINDS as readonly string[]).includes(kind)

type Gists = { [K in GistKind]: GistOf[K][] }

/** The gists of a job's records, in their places. */
export async function loadGists(db: Database | Transaction, jobId: string): Promise<Gists> {
  const rows = await db
    .select({ kind: gists.kind, gist: gists.gist })
    .from(gists)
    .where(eq(gists.jobId, jobId))
    .orderBy(asc(gists.place), asc(gists.recordId))
  const of = <K extends GistKind>(kind: K) =>
    rows.filter((row) => row.kind === kind).map(({ gist }) => gist as GistOf[K])
  return { finds: of('finds'), lines: of('lines'), cuts: of('cuts'), joints: of('joints') }
}

/** The gists of a job's lines by their ids. */
export async function loadLineGists(db: Database, jobId: string): Promise<LineGists> {
  const rows = await db
    .select({ id: gists.recordId, gist: gists.gist })
    .from(gists)
    .where(and(eq(gists.jobId, jobId), eq(gists.kind, 'lines')))
  return Object.fromEntries(rows.map(({ id, gist }) => [id, gist as GistOf['lines']]))
}

const gistJob = (row: JobRow, own: Gists): JobGist => ({ ...ownFields(row), ...own })

/** A record of a job, and when something was done to it, ISO 8601. */
interface Place {
  jobId: string
  id: string
  at: string
}

/** The gist of a record as an act left it; without one where it was taken out. */
async function keepGist<K extends GistKind>(
  tx: Transaction,
  { jobId, kind, id, at }: Place & { kind: K },
  gist: GistOf[K] | null,
): Promise<void> {
  if (gist === null) {
    await tx.delete(gists).where(and(eq(gists.jobId, jobId), eq(gists.kind, kind), eq(gists.recordId, id)))
    return
  }
  const place = 'number' in gist ? gist.number : Date.parse(at)
  await tx.insert(gists).values({ jobId, kind, recordId: id, place, gist }).onDuplicateKeyUpdate({ set: { gist } })
}

/** The gists of all records of a job, worked out anew. */
export async function keepAllGists(tx: Transaction, job: JobRecord): Promise<void> {
  await tx.delete(gists).where(eq(gists.jobId, job.id))
  const rows = GIST_KINDS.flatMap((kind) =>
    job[kind].map((record, i) => ({
      jobId: job.id,
      kind,
      recordId: record.id,
      place: 'number' in record ? record.number : i + 1,
      gist: workGist(kind, job, record as never),
    })),
  )
  if (rows.length > 0) await tx.insert(gists).values(rows)
}

/** What an act made of one record, for the overview of its job. Gives whether anything of that is other than before. */
export async function keepGistOf(
  tx: Transaction,
  { kind, ...place }: Place & { kind: string },
  rules: GistRules,
  before: unknown,
  after: unknown,
): Promise<boolean> {
  if (!isGistKind(kind)) return false
  const gist = after === null ? null : workGist(kind, rules, after as never)
  // Most of what is done to a line leaves its legs alone: its gist as it was is asked for where it is cheap.
  if (before !== null && gist !== null && kind !== 'lines' && isEqual(workGist(kind, rules, before as never), gist))
    return false
  await keepGist(tx, { kind, ...place }, gist)
  return true
}

const between = (text: string): string => (text === '' ? '' : `\n${text}\n`)
/** A text with one more between its line breaks, where it is not there yet; the oldest go. */
const withOne = (column: MySqlColumn, one: SQL, most: number): SQL =>
  sql`if(locate(${one}, ${column}) > 0, ${column}, right(concat(${column}, ${one}), ${most}))`

/** A hand as it is searched for. */
export const handWords = (by: string): string => between(foldText(by))

/** Work on a job: by whom, and when, ISO 8601. */
export interface Work {
  at: string
  by: string
}

/** The columns of last work: the latest, whatever order acts came in. Each is set from what stands so far, the hour last. */
const workedOn = (at: SQL, by: SQL, { hand, day }: { hand: SQL; day: SQL }) => ({
  workedBy: sql`if(${at} >= ${summaries.workedAt}, ${by}, ${summaries.workedBy})`,
  hands: withOne(summaries.hands, hand, MOST_HANDS),
  days: withOne(summaries.days, day, MOST_DAYS),
  workedAt: sql`greatest(${summaries.workedAt}, ${at})`,
})

/** A job's row in the list, by what stands now; last work is the latest, whatever order acts came in. */
export async function keepSummary(tx: Transaction, row: JobRow, { at, by }: Work): Promise<void> {
  const job = gistJob(row, await loadGists(tx, row.id))
  const { shelf, wakes, ...summary } = summaryOf(job)
  await tx
    .insert(summaries)
    .values({
      jobId: row.id,
      made: SUMMARY_VERSION,
      name: row.name,
      shelf,
      wakes,
      summary,
      workedBy: by,
      workedAt: toDatabase(at),
      words: searchText(job),
      hands: handWords(by),
      days: between(at.slice(0, 10)),
    })
    .onDuplicateKeyUpdate({
      set: {
        made: SUMMARY_VERSION,
        name: row.name,
        shelf,
        wakes,
        summary,
        words: sql`values(${summaries.words})`,
        ...workedOn(sql`values(${summaries.workedAt})`, sql`values(${summaries.workedBy})`, {
          hand: sql`values(${summaries.hands})`,
          day: sql`values(${summaries.days})`,
        }),
      },
    })
}

/** Who worked on a job and when, where nothing else of it shows in the list. */
export async function keepWorked(tx: Transaction, row: JobRow, { at, by }: Work): Promise<void> {
  const [{ affectedRows }] = await tx
    .update(summaries)
    .set(
      workedOn(sql`${toDatabase(at)}`, sql`${by}`, {
        hand: sql`${handWords(by)}`,
        day: sql`${between(at.slice(0, 10))}`,
      }),
    )
    .where(and(eq(summaries.jobId, row.id), eq(summaries.made, SUMMARY_VERSION)))
  // One of an earlier version, or none: it is made whole.
  if (affectedRows === 0) await keepSummary(tx, row, { at, by })
}

/** Everybody who worked on a job and every day there was work: from its log, and from records that are older than it. */
async function workOn(tx: Transaction, { id }: JobRow, job: JobRecord): Promise<Work[]> {
  const logged = await tx
    .select({ by: acts.by, at: max(acts.at) })
    .from(acts)
    .where(eq(acts.jobId, id))
    .groupBy(acts.by, sql`date(${acts.at})`)
  const records = [job, ...job.finds, ...job.lines, ...job.cuts, ...job.joints, ...job.looks]
  return [
    ...logged.map(({ by, at }) => ({ by, at: toIso(at!) })),
    ...records.flatMap(({ updatedAt, updatedBy }) => (updatedAt === '' ? [] : [{ by: updatedBy, at: updatedAt }])),
  ].sort((a, b) => a.at.localeCompare(b.at))
}
const joined = (texts: readonly string[], most: number): string => [...new Set(texts)].join('').slice(-most)

/** The overview of a job made anew from its records. */
async function remakeSummary(tx: Transaction, id: string): Promise<void> {
  const row = await lockJobRow(tx, id)
  if (!row) return
  const job = await toJob(tx, row)
  await keepAllGists(tx, job)
  const work = await workOn(tx, row, job)
  const last = work.at(-1) ?? { by: '', at: new Date(0).toISOString() }
  await tx.delete(summaries).where(eq(summaries.jobId, id))
  await keepSummary(tx, row, last)
  await tx
    .update(summaries)
    .set({
      hands: joined(
        work.map(({ by }) => handWords(by)),
        MOST_HANDS,
      ),
      days: joined(
        work.map(({ at }) => between(at.slice(0, 10))),
        MOST_DAYS,
      ),
    })
    .where(eq(summaries.jobId, id))
}

/** Makes the overview of every job that has none, or one by other rules than these. */
export async function bringSummariesUpToDate(): Promise<void> {
  for (;;) {
    const old = await reading((db) =>
      db
        .select({ id: jobs.id })
        .from(jobs)
        .leftJoin(summaries, eq(summaries.jobId, jobs.id))
        .where(or(isNull(summaries.made), ne(summaries.made, SUMMARY_VERSION)))
        .limit(20),
    )
    if (old.length === 0) return
    for (const { id } of old) await retrying(() => inTransaction((tx) => remakeSummary(tx, id)))
  }
}
