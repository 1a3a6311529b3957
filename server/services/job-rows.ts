import { eq, or } from 'drizzle-orm'
import type { Database, Transaction } from '../db/client'
import { jobs } from '../db/schema'
import { notFound } from '../http/problem'

export type JobRow = typeof jobs.$inferSelect

/** The row of a job by its id or the name in its address. Problem 404 at `job`. */
export async function findJobRow(db: Database | Transaction, name: string): Promise<JobRow> {
  const [row] = await db
    .select()
    .from(jobs)
    .where(or(eq(jobs.slug, name), eq(jobs.id, name)))
  if (!row) throw notFound('job', `there is no job "${name.slice(0, 40)}" here. Open one from the list of jobs.`)
  return row
}

/** The same, held until the transaction ends, so that two numbers or two positions are never the same. */
export async function lockJobRow(tx: Transaction, name: string): Promise<JobRow> {
  const { id } = await findJobRow(tx, name)
  const [row] = await tx.select().from(jobs).where(eq(jobs.id, id)).for('update')
  if (!row) throw notFound('job', 'this job is gone.')
  return row
}
