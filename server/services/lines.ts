import { and, eq, max } from 'drizzle-orm'
import { beginLine, changeLine, tooManyLines, type LineBody, type LineRecord } from '#core/record'
import type { Transaction } from '../db/client'
import { lines } from '../db/schema'
import { accepted, changedMeanwhile, notFound } from '../http/problem'
import { findJobRow, lockJobRow, type JobRow } from './job-rows'
import { idOf, once, type Write } from './once'
import { forDatabase, toIso } from './time'

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

/** A line of this job, its row held until the transaction ends. Problem 404 at `line`. */
async function readLine(tx: Transaction, job: JobRow, id: string): Promise<LineRecord> {
  const [row] = await tx
    .select()
    .from(lines)
    .where(and(eq(lines.id, id), eq(lines.jobId, job.id)))
    .for('update')
  if (!row) throw notFound('line', 'this job has no such line. It may belong to another job.')
  return toLine(row)
}

/** A new line with the next number of its job. Problem 422 where it has its fill of them. */
export function createLine(
  slug: string,
  { id: own, ...body }: LineBody & { id?: string },
  write: Write,
): Promise<LineRecord> {
  const id = idOf(own, write)
  return once(
    write,
    async (tx) => readLine(tx, await findJobRow(tx, slug), id),
    async (tx) => {
      const job = await lockJobRow(tx, slug)
      const [last] = await tx
        .select({ number: max(lines.number) })
        .from(lines)
        .where(eq(lines.jobId, job.id))
      accepted(tooManyLines(last?.number ?? 0))
      const { number } = accepted(beginLine(id, (last?.number ?? 0) + 1, body, ''))
      await tx
        .insert(lines)
        .values({ ...body, id, jobId: job.id, number, updatedAt: forDatabase(write.at), updatedBy: write.by })
      return readLine(tx, job, id)
    },
  )
}

/** Takes a line off its job. One that is not there any more is no fault. */
export const removeLine = (slug: string, id: string, write: Write): Promise<{ id: string }> =>
  once(
    write,
    async () => ({ id }),
    async (tx) => {
      const job = await findJobRow(tx, slug)
      await tx.delete(lines).where(and(eq(lines.id, id), eq(lines.jobId, job.id)))
      return { id }
    },
  )

/** Changes the given fields where `version` is still the saved one. Problem 409 with the saved line otherwise. */
export const updateLine = (
  slug: string,
  id: string,
  { version, ...changes }: Partial<LineBody> & { version: number },
  write: Write,
): Promise<LineRecord> =>
  once(
    write,
    async (tx) => readLine(tx, await findJobRow(tx, slug), id),
    async (tx) => {
      const job = await findJobRow(tx, slug)
      const saved = await readLine(tx, job, id)
      if (saved.version !== version) throw changedMeanwhile('line', saved)
      accepted(changeLine(saved, changes))
      await tx
        .update(lines)
        .set({ ...changes, version: version + 1, updatedAt: forDatabase(write.at), updatedBy: write.by })
        .where(eq(lines.id, id))
      return readLine(tx, job, id)
    },
  )
