import { and, eq } from 'drizzle-orm'
import type { LookRecord } from '#core/record'
import { looks } from '../db/schema'
import { numbersIn, takenIn, type Store } from './store'
import { toDatabase, toIso } from './time'

type LookRow = typeof looks.$inferSelect

export const toLook = ({ jobId: _, ...row }: LookRow): LookRecord => ({
  ...row,
  look: row.look as LookRecord['look'],
  verdict: row.verdict as LookRecord['verdict'],
  found: row.found as LookRecord['found'],
  updatedAt: toIso(row.updatedAt),
})

export const lookStore: Store<LookRecord> = {
  async load(tx, job, id) {
    const [row] = await tx
      .select()
      .from(looks)
      .where(and(eq(looks.id, id), eq(looks.jobId, job.id)))
    return row ? toLook(row) : null
  },
  isTaken: takenIn(looks),
  numbers: numbersIn(looks),
  async save(tx, job, before, after) {
    // Only ever added.
    if (after && !before)
      await tx.insert(looks).values({ ...after, jobId: job.id, updatedAt: toDatabase(after.updatedAt) })
  },
}
