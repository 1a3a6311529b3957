import { createHash } from 'node:crypto'
import { asc, desc, eq, sql } from 'drizzle-orm'
import { prepared, type Database, type Transaction } from '../db/client'
import { acts, jobs } from '../db/schema'
import type { JobRow } from '../records/job-rows'

export type LogRow = typeof acts.$inferSelect

/** How a job's log stands: how many acts, the hash of the last, and the first number that does not follow. */
export interface Chain {
  acts: number
  head: string
  brokenAt: number | null
}

/** Hash that the first row of a log is chained to. */
export const BEGINNING = '0'.repeat(64)

/** SHA-256 of a row: of the row before it, its place, when it came here, and its text as it was received. */
export const hashOf = (
  before: string,
  { number, takenAt, text }: Pick<LogRow, 'number' | 'takenAt' | 'text'>,
): string => createHash('sha256').update(`${before}\n${number}\n${takenAt}\n${text}`).digest('hex')

interface Text {
  key?: unknown
  name?: unknown
  job?: unknown
  record?: unknown
  by?: unknown
}
/** Whether the columns of a row say what its text says. */
function isAsSaid({ key, name, jobId, recordId, by, text }: LogRow): boolean {
  const said = JSON.parse(text) as Text
  return said.key === key && said.name === name && said.job === jobId && said.record === recordId && said.by === by
}

/**
 * Whether every row of a log follows from the one before it, and goes at least to where the job's own row, read before
 * it, said that it ends: a log cut short is whole by itself.
 */
export function chainOf(rows: readonly LogRow[], end?: Pick<JobRow, 'acts' | 'head'>): Chain {
  let head = BEGINNING
  for (const [i, row] of rows.entries()) {
    if (row.number !== i + 1 || row.hash !== hashOf(head, row) || !isAsSaid(row))
      return { acts: rows.length, head: rows.at(-1)!.hash, brokenAt: i + 1 }
    head = row.hash
  }
  const isCut = end !== undefined && end.acts > 0 && rows[end.acts - 1]?.hash !== end.head
  return { acts: rows.length, head: rows.length === 0 ? '' : head, brokenAt: isCut ? rows.length + 1 : null }
}

/** The log of a job, first act first. */
export const readLog = (db: Database | Transaction, jobId: string): Promise<LogRow[]> =>
  db.select().from(acts).where(eq(acts.jobId, jobId)).orderBy(asc(acts.number))

/** The act of a key, where it was taken. */
export async function findAct(tx: Transaction, key: string): Promise<LogRow | null> {
  const [row] = await tx.select().from(acts).where(eq(acts.key, key))
  return row ?? null
}

/** The last act that was done to a record. */
export async function lastActOn(tx: Transaction, record: string): Promise<LogRow | null> {
  const [row] = await tx.select().from(acts).where(eq(acts.recordId, record)).orderBy(desc(acts.seq)).limit(1)
  return row ?? null
}

/** Where an act stands behind the last of its job. */
export function nextOf(
  { acts: before, head }: Pick<JobRow, 'acts' | 'head'>,
  act: Pick<LogRow, 'takenAt' | 'text'>,
): Pick<LogRow, 'number' | 'hash'> {
  const number = before + 1
  return { number, hash: hashOf(head || BEGINNING, { ...act, number }) }
}

/** An act in the log: its sequence number, its place there, and the hash of the log up to it. */
export type Appended = Pick<LogRow, 'seq' | 'number' | 'hash'>

const insertAct = prepared((tx) =>
  tx
    .insert(acts)
    .values({
      key: sql.placeholder('key'),
      jobId: sql.placeholder('jobId'),
      number: sql.placeholder('number'),
      name: sql.placeholder('name'),
      recordId: sql.placeholder('recordId'),
      at: sql.placeholder('at'),
      clock: sql.placeholder('clock'),
      by: sql.placeholder('by'),
      takenAt: sql.placeholder('takenAt'),
      text: sql.placeholder('text'),
      hash: sql.placeholder('hash'),
    })
    .prepare(),
)
const setHead = prepared((tx) =>
  tx
    .update(jobs)
    .set({ acts: sql`${sql.placeholder('number')}`, head: sql`${sql.placeholder('hash')}` })
    .where(eq(jobs.id, sql.placeholder('jobId')))
    .prepare(),
)

/** Writes an act behind the last of its job, whose row is held and tells where its log ends. */
export async function append(
  tx: Transaction,
  job: Pick<JobRow, 'acts' | 'head'>,
  act: Omit<LogRow, 'seq' | 'number' | 'hash'>,
): Promise<Appended> {
  const row = { ...act, ...nextOf(job, act) }
  const [{ insertId }] = await insertAct(tx).execute(row)
  await setHead(tx).execute(row)
  return { seq: insertId, number: row.number, hash: row.hash }
}
