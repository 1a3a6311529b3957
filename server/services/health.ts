import { sql } from 'drizzle-orm'
import { reading } from '../db/client'

/** Answers once the database does. */
export async function pingDatabase(): Promise<{ ok: true }> {
  await reading((db) => db.execute(sql`select 1`))
  return { ok: true }
}
