import { randomUUID } from 'node:crypto'
import { and, eq, sql } from 'drizzle-orm'
import { findPipe } from '#core/catalogue'
import type { FindBody, FindRecord } from '#core/record'
import { inTransaction, type Transaction } from '../db/client'
import { finds } from '../db/schema'
import { invalid, notFound, Problem } from '../http/problem'
import { findJobRow, toFind } from './jobs'
import { nowForDatabase } from './time'

function checkPipe(pipe: string | null | undefined) {
  if (!pipe) return
  const found = findPipe(pipe, 'pipe')
  if (!found.ok) throw invalid(found.error)
}

async function readFind(tx: Transaction, jobId: string, id: string): Promise<FindRecord> {
  const [row] = await tx.select().from(finds).where(and(eq(finds.id, id), eq(finds.jobId, jobId)))
  if (!row) throw notFound('find', 'this job has no such find. It may belong to another job.')
  return toFind(row)
}

export async function createFind(slug: string, body: FindBody): Promise<FindRecord> {
  checkPipe(body.pipe)
  return inTransaction(async (tx) => {
    const job = await findJobRow(tx, slug)
    const id = randomUUID()
    const now = nowForDatabase()
    await tx.insert(finds).values({ id, jobId: job.id, ...body, createdAt: now, updatedAt: now })
    return readFind(tx, job.id, id)
  })
}

/** Changes the given fields where `version` is still the saved one. Problem 409 with the saved find otherwise. */
export async function updateFind(slug: string, id: string, { version, ...changes }: Partial<FindBody> & { version: number }): Promise<FindRecord> {
  checkPipe(changes.pipe)
  return inTransaction(async (tx) => {
    const job = await findJobRow(tx, slug)
    const [head] = await tx.update(finds).set({ ...changes, version: sql`${finds.version} + 1`, updatedAt: nowForDatabase() })
      .where(and(eq(finds.id, id), eq(finds.jobId, job.id), eq(finds.version, version)))
    const saved = await readFind(tx, job.id, id)
    if (head.affectedRows === 0) throw new Problem(409, { code: 'impossible', path: 'version', message: 'Someone else changed this find meanwhile. What is saved now is shown.' }, { saved })
    return saved
  })
}
