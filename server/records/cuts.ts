import { and, eq } from 'drizzle-orm'
import type { CutRecord } from '#core/record'
import { cuts } from '../db/schema'
import { changedColumns, numbersIn, takenIn, type Store } from './store'
import { toDatabase, toIso } from './time'

type CutRow = typeof cuts.$inferSelect

export const toCut = ({ jobId: _, ...row }: CutRow): CutRecord => ({
  ...row,
  sources: row.sources as CutRecord['sources'],
  extras: row.extras as CutRecord['extras'],
  cutter: row.cutter as CutRecord['cutter'],
  prefer: row.prefer as CutRecord['prefer'],
  stock: row.stock as CutRecord['stock'],
  leave: row.leave as string[],
  plan: row.plan as CutRecord['plan'],
  done: row.done as CutRecord['done'],
  result: row.result as CutRecord['result'],
  updatedAt: toIso(row.updatedAt),
})

const toRow = ({ id: _, updatedAt, ...cut }: CutRecord) => ({ ...cut, updatedAt: toDatabase(updatedAt) })

export const cutStore: Store<CutRecord> = {
  async load(tx, job, id) {
    const [row] = await tx
      .select()
      .from(cuts)
      .where(and(eq(cuts.id, id), eq(cuts.jobId, job.id)))
      .for('update')
    return row ? toCut(row) : null
  },
  isTaken: takenIn(cuts),
  numbers: numbersIn(cuts),
  async save(tx, job, before, after) {
    if (!after) await tx.delete(cuts).where(eq(cuts.id, before!.id))
    else if (!before) await tx.insert(cuts).values({ ...toRow(after), id: after.id, jobId: job.id })
    else
      await tx
        .update(cuts)
        .set(changedColumns(toRow(before), toRow(after)))
        .where(eq(cuts.id, after.id))
  },
}
