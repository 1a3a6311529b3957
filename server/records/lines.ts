import { and, eq } from 'drizzle-orm'
import type { LineRecord } from '#core/record'
import { lines } from '../db/schema'
import { changedColumns, numbersIn, takenIn, type Store } from './store'
import { toDatabase, toIso } from './time'

type LineRow = typeof lines.$inferSelect

export const toLine = (row: LineRow): LineRecord => ({
  id: row.id,
  number: row.number,
  name: row.name,
  pipe: row.pipe,
  method: row.method as LineRecord['method'],
  corners: row.corners as LineRecord['corners'],
  start: row.start,
  walls: row.walls as string[],
  legs: row.legs as string[],
  pulled: row.pulled as LineRecord['pulled'],
  fix: row.fix as LineRecord['fix'],
  clips: row.clips as LineRecord['clips'],
  version: row.version,
  updatedAt: toIso(row.updatedAt),
  updatedBy: row.updatedBy,
})

const toRow = ({ id: _, updatedAt, ...line }: LineRecord) => ({ ...line, updatedAt: toDatabase(updatedAt) })

export const lineStore: Store<LineRecord> = {
  async load(tx, job, id) {
    const [row] = await tx
      .select()
      .from(lines)
      .where(and(eq(lines.id, id), eq(lines.jobId, job.id)))
      .for('update')
    return row ? toLine(row) : null
  },
  isTaken: takenIn(lines),
  numbers: numbersIn(lines),
  async save(tx, job, before, after) {
    if (!after) await tx.delete(lines).where(eq(lines.id, before!.id))
    else if (!before) await tx.insert(lines).values({ ...toRow(after), id: after.id, jobId: job.id })
    else
      await tx
        .update(lines)
        .set(changedColumns(toRow(before), toRow(after)))
        .where(eq(lines.id, after.id))
  },
}
