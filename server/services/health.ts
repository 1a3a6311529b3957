import { sql } from 'drizzle-orm'
import { useDatabase } from '../db/client'

/** Answers once the database does. */
export async function pingDatabase(): Promise<{ ok: true }> {
  await useDatabase().execute(sql`select 1`)
  return { ok: true }
}
