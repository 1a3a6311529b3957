import { eq } from 'drizzle-orm'
import type { Database, Transaction } from '../db/client'
import { jobs } from '../db/schema'
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
