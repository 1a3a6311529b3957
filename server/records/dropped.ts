import { desc, eq } from 'drizzle-orm'
import { issue, type Issue } from '#core/base'
import type { Database, Transaction } from '../db/client'
import { droppedJobs } from '../db/schema'
import { toIso } from './time'

export type DroppedJob = typeof droppedJobs.$inferSelect

/** A job that was deleted, by its id; null where none of that id was. */
export async function findDropped(db: Database | Transaction, id: string): Promise<DroppedJob | null> {
  const rows = await db.select().from(droppedJobs).where(eq(droppedJobs.id, id))
  return rows.find((row) => row.id === id) ?? null
}

/** The last job of a name in the address that was deleted. */
export async function findDroppedByName(db: Database | Transaction, name: string): Promise<DroppedJob | null> {
  const rows = await db.select().from(droppedJobs).where(eq(droppedJobs.slug, name)).orderBy(desc(droppedJobs.at))
  return rows.find((row) => row.slug === name) ?? null
}

const dayAndHour = (at: string): string =>
  new Date(toIso(at))
    .toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit', timeZone: 'UTC' })
    .replace(',', '')

/** Who deleted a job, and when. */
export const droppedIssue = ({ name, by, at }: DroppedJob): Issue =>
  issue('unknown-id', 'job', `job: "${name}" was deleted${by ? ` by ${by}` : ''}, ${dayAndHour(at)} UTC.`)
