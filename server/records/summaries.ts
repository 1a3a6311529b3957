import { and, eq, isNull, max, ne, or, sql, type SQL } from 'drizzle-orm'
import type { MySqlColumn } from 'drizzle-orm/mysql-core'
import { foldText, searchText, summaryOf, type JobRecord } from '#core/record'
import { inTransaction, reading, retrying, type Transaction } from '../db/client'
import { acts, jobs, summaries } from '../db/schema'
import { gistJob, keepAllGists, type GistRow } from './gists'
import { lockJobRow, type JobRow } from './job-rows'
import { toJob } from './jobs'
import { forgetKnown } from './known'
import { changedColumns } from './store'
import { toDatabase, toIso } from './time'

/* How a job stands in the list, kept beside it: read without its records, and made anew when one of them is saved. */

/** Version of the rules that gists and summaries are made by; raise it where they change, and all are made anew. */
export const SUMMARY_VERSION = 2

/** Most letters kept of the hands and days of a job, the last ones. */
const MOST_HANDS = 2000
const MOST_DAYS = 5000

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

/** What a job's row in the list says of it, beside who worked on it and when. */
export interface Listed {
  name: string
  shelf: string
  wakes: string | null
  summary: object
  words: string
}
function listedOf(row: JobRow, gists: readonly GistRow[]): Listed {
  const job = gistJob(row, gists)
  const { shelf, wakes, ...summary } = summaryOf(job)
  return { name: row.name, shelf, wakes, summary, words: searchText(job) }
}

/** A job's row in the list where there is none yet, or one of an earlier version. */
async function insertSummary(tx: Transaction, jobId: string, listed: Listed, { at, by }: Work): Promise<void> {
  const made = { ...listed, made: SUMMARY_VERSION }
  await tx
    .insert(summaries)
    .values({
      ...{ jobId, ...made },
      ...{ workedBy: by, workedAt: toDatabase(at), hands: handWords(by), days: between(at.slice(0, 10)) },
    })
    .onDuplicateKeyUpdate({
      set: {
        ...made,
        ...workedOn(sql`values(${summaries.workedAt})`, sql`values(${summaries.workedBy})`, {
          hand: sql`values(${summaries.hands})`,
          day: sql`values(${summaries.days})`,
        }),
      },
    })
}

/** A job's row in the list by what stands now: of its columns those that are other than `before`; all, where it is null. */
export async function keepSummary(
  tx: Transaction,
  row: JobRow,
  gists: readonly GistRow[],
  work: Work,
  before: Listed | null,
): Promise<Listed> {
  const now = listedOf(row, gists)
  const isThere = await updateSummary(tx, row.id, before === null ? now : changedColumns(before, now), work)
  if (!isThere) await insertSummary(tx, row.id, now, work)
  return now
}

/** Who worked on a job and when, where nothing else of it shows in the list. */
export async function keepWorked(
  tx: Transaction,
  row: JobRow,
  gists: readonly GistRow[],
  work: Work,
  before: Listed | null,
): Promise<Listed | null> {
  return (await updateSummary(tx, row.id, {}, work)) ? before : keepSummary(tx, row, gists, work, null)
}

/** Sets columns of a job's row in the list, and its last work. Gives whether there is such a row, made by these rules. */
async function updateSummary(
  tx: Transaction,
  jobId: string,
  changes: Partial<Listed>,
  { at, by }: Work,
): Promise<boolean> {
  const worked = workedOn(sql`${toDatabase(at)}`, sql`${by}`, {
    hand: sql`${handWords(by)}`,
    day: sql`${between(at.slice(0, 10))}`,
  })
  const [{ affectedRows }] = await tx
    .update(summaries)
    .set({ ...changes, ...worked })
    .where(and(eq(summaries.jobId, jobId), eq(summaries.made, SUMMARY_VERSION)))
  return affectedRows > 0
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
  const gists = await keepAllGists(tx, job)
  forgetKnown(row)
  const work = await workOn(tx, row, job)
  const last = work.at(-1) ?? { by: '', at: new Date(0).toISOString() }
  await tx.delete(summaries).where(eq(summaries.jobId, id))
  await insertSummary(tx, id, listedOf(row, gists), last)
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
