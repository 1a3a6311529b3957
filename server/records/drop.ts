import { eq } from 'drizzle-orm'
import type { Transaction } from '../db/client'
import { droppedJobs, jobs } from '../db/schema'
import type { LogRow } from '../services/log'
import type { JobRow } from './job-rows'

/** A job gone with all its rows; whose word it was and the hash its log ended with stay. */
export async function dropJob(
  tx: Transaction,
  { id, slug, name }: JobRow,
  { key, by, at, takenAt, number, hash }: Pick<LogRow, 'key' | 'by' | 'at' | 'takenAt' | 'number' | 'hash'>,
): Promise<void> {
  await tx.insert(droppedJobs).values({ id, key, slug, name, by, at, takenAt, acts: number, head: hash })
  await tx.delete(jobs).where(eq(jobs.id, id))
}
