import { eq, getTableColumns, sql } from 'drizzle-orm'
import { prepared, type Database, type Transaction } from '../db/client'
import { acts, jobs, receipts } from '../db/schema'
import { notFound, Problem } from '../http/problem'
import { droppedIssue, findDroppedByName } from './dropped'

export type JobRow = typeof jobs.$inferSelect

/**
 * The row of a job by the name in its address, never by an id: a job may be named like another's id. Problem 404 at
 * `job`.
 */
export async function findJobRow(db: Database | Transaction, name: string): Promise<JobRow> {
  const rows = await db.select().from(jobs).where(eq(jobs.slug, name))
  // The database takes letters for the same that are not.
  const row = rows.find(({ slug }) => slug === name)
  if (row) return row
  const dropped = await findDroppedByName(db, name)
  if (dropped) throw new Problem(404, droppedIssue(dropped))
  throw notFound('job', `there is no job "${name.slice(0, 40)}" here. Open one from the list of jobs.`)
}

/** The row of a job by its id, as it stands. */
export async function readJobRow(tx: Transaction, id: string): Promise<JobRow | null> {
  const rows = await tx.select().from(jobs).where(eq(jobs.id, id))
  return rows.find((row) => row.id === id) ?? null
}

/** The row of a job by its id, held until the transaction ends: acts of one job are taken one by one. */
export async function lockJobRow(tx: Transaction, id: string): Promise<JobRow | null> {
  const rows = await tx.select().from(jobs).where(eq(jobs.id, id)).for('update')
  return rows.find((row) => row.id === id) ?? null
}

/** What tells that an act came before: its row in the log, or the key of a write that an earlier version took. */
export interface Receipt {
  seq: number | null
  /** As it was received, JSON; null for an earlier version's. */
  text: string | null
}

const inLog = (column: typeof acts.seq | typeof acts.text) =>
  sql`(select ${column} from ${acts} where ${acts.key} = ${sql.placeholder('key')})`
const lockQuery = prepared((tx) =>
  tx
    .select({
      ...getTableColumns(jobs),
      seq: inLog(acts.seq).mapWith(acts.seq),
      text: sql<string | null>`${inLog(acts.text)}`,
      earlier: sql<
        string | null
      >`(select ${receipts.key} from ${receipts} where ${receipts.key} = ${sql.placeholder('key')})`,
    })
    .from(jobs)
    .where(eq(jobs.id, sql.placeholder('id')))
    .for('update')
    .prepare(),
)

/** The row of a job, held as above, and the receipt of an act on it by its key; asked for at once, at every act. */
export async function lockJobFor(
  tx: Transaction,
  id: string,
  key: string,
): Promise<{ job: JobRow; receipt: Receipt | null } | null> {
  const rows = await lockQuery(tx).execute({ id, key })
  const found = rows.find((row) => row.id === id)
  if (!found) return null
  const { seq, text, earlier, ...job } = found
  return { job, receipt: text !== null || earlier === key ? { seq, text } : null }
}
