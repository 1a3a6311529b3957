import { and, eq } from 'drizzle-orm'
import { changeFind, type FindBody, type FindRecord } from '#core/record'
import type { Transaction } from '../db/client'
import { finds } from '../db/schema'
import { accepted, changedMeanwhile, notFound } from '../http/problem'
import { findJobRow, toFind } from './jobs'
import { idOf, once, type Write } from './once'
import { forDatabase } from './time'

/** A find of this job, its row held until the transaction ends. Problem 404 at `find`. */
async function readFind(tx: Transaction, jobId: string, id: string): Promise<FindRecord> {
  const [row] = await tx.select().from(finds).where(and(eq(finds.id, id), eq(finds.jobId, jobId))).for('update')
  if (!row) throw notFound('find', 'this job has no such find. It may belong to another job.')
  return toFind(row)
}

export function createFind(slug: string, { id: own, ...body }: FindBody & { id?: string }, write: Write): Promise<FindRecord> {
  const id = idOf(own, write)
  const read = async (tx: Transaction) => readFind(tx, (await findJobRow(tx, slug)).id, id)
  return once(write, read, async (tx) => {
    const job = await findJobRow(tx, slug)
    const at = forDatabase(write.at)
    const find = accepted(changeFind({ id, version: 1, updatedAt: '', updatedBy: write.by, ...body }, body))
    await tx.insert(finds).values({ ...find, jobId: job.id, createdAt: at, updatedAt: at })
    return readFind(tx, job.id, id)
  })
}

/** Changes the given fields where `version` is still the saved one. Problem 409 with the saved find otherwise. */
export function updateFind(slug: string, id: string, { version, ...changes }: Partial<FindBody> & { version: number }, write: Write): Promise<FindRecord> {
  const read = async (tx: Transaction) => readFind(tx, (await findJobRow(tx, slug)).id, id)
  return once(write, read, async (tx) => {
    const job = await findJobRow(tx, slug)
    const saved = await readFind(tx, job.id, id)
    if (saved.version !== version) throw changedMeanwhile('find', saved)
    accepted(changeFind(saved, changes))
    await tx.update(finds).set({ ...changes, version: version + 1, updatedAt: forDatabase(write.at), updatedBy: write.by }).where(eq(finds.id, id))
    return readFind(tx, job.id, id)
  })
}
