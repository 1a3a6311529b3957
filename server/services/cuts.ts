import { and, asc, count, eq, inArray, max } from 'drizzle-orm'
import type { BenchPlan } from '#core/cutting'
import {
  beginCut,
  changeCut,
  enterCut,
  finishCut,
  offRack,
  OTHER_PLAN,
  planCut,
  putOffcut,
  rackAfter,
  takeBackCut,
  tooManyCuts,
  type CutBody,
  type CutRecord,
  type DoneCutBody,
  type FinishBody,
  type Hand,
  type OffcutBody,
  type OffcutRecord,
} from '#core/record'
import type { Result } from '#core/base'
import type { Database, Transaction } from '../db/client'
import { cuts, jobs, offcuts } from '../db/schema'
import { accepted, changedMeanwhile, notFound, Problem } from '../http/problem'
import { findJobRow, lockJobRow, type JobRow } from './job-rows'
import { idOf, once, type Write } from './once'
import { forDatabase, toIso } from './time'

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

const offcutRows = (db: Database | Transaction) =>
  db
    .select({ offcut: offcuts, cut: { id: cuts.id, number: cuts.number }, job: { id: jobs.id, name: jobs.name } })
    .from(offcuts)
    .leftJoin(cuts, eq(offcuts.promisedTo, cuts.id))
    .leftJoin(jobs, eq(cuts.jobId, jobs.id))

/** The rack, longest first. */
export async function loadRack(db: Database | Transaction): Promise<OffcutRecord[]> {
  const rows = await offcutRows(db).orderBy(asc(offcuts.pipe), asc(offcuts.length), asc(offcuts.id))
  return rows
    .map(({ offcut: { promisedTo: _, jobId, origin, ...offcut }, cut, job }): OffcutRecord => ({
      ...offcut,
      job: jobId,
      from: origin,
      at: toIso(offcut.at),
      promised: cut && job ? { job: job.id, name: job.name, cut: cut.id, number: cut.number } : null,
    }))
    .reverse()
}

/** A sheet of this job, its row held until the transaction ends. Problem 404 at `cut`. */
async function readCut(tx: Transaction, job: JobRow, id: string): Promise<CutRecord> {
  const [row] = await tx
    .select()
    .from(cuts)
    .where(and(eq(cuts.id, id), eq(cuts.jobId, job.id)))
    .for('update')
  if (!row) throw notFound('cut', 'this job has no such cut sheet. It may belong to another job.')
  return toCut(row)
}

/** The rack with its rows held, so that no offcut is promised twice. */
async function lockRack(tx: Transaction): Promise<OffcutRecord[]> {
  await tx.select({ id: offcuts.id }).from(offcuts).orderBy(asc(offcuts.id)).for('update')
  return loadRack(tx)
}

/** Writes what has changed of the rack. */
async function saveRack(tx: Transaction, before: readonly OffcutRecord[], after: readonly OffcutRecord[]) {
  const gone = before.filter(({ id }) => !after.some((one) => one.id === id)).map(({ id }) => id)
  if (gone.length > 0) await tx.delete(offcuts).where(inArray(offcuts.id, gone))
  for (const offcut of after) {
    const was = before.find(({ id }) => id === offcut.id)
    const { id, pipe, length, place, job, from, at, by, promised } = offcut
    if (!was)
      await tx
        .insert(offcuts)
        .values({
          id,
          pipe,
          length,
          place,
          jobId: job,
          origin: from.slice(0, 160),
          at: forDatabase(new Date(at)),
          by,
          promisedTo: promised?.cut ?? null,
        })
    else if (was.promised?.cut !== promised?.cut)
      await tx
        .update(offcuts)
        .set({ promisedTo: promised?.cut ?? null })
        .where(eq(offcuts.id, id))
  }
}

const handOf = (write: Write): Hand => ({ at: write.at.toISOString(), by: write.by })

/** A new sheet with the next number of its job. Problem 422 where it has its fill of them. */
export function createCut(
  slug: string,
  { id: own, ...body }: CutBody & { id?: string },
  write: Write,
): Promise<CutRecord> {
  const id = idOf(own, write)
  return once(
    write,
    async (tx) => readCut(tx, await findJobRow(tx, slug), id),
    async (tx) => {
      const job = await lockJobRow(tx, slug)
      const [last] = await tx
        .select({ number: max(cuts.number), n: count() })
        .from(cuts)
        .where(eq(cuts.jobId, job.id))
      accepted(tooManyCuts(last?.n ?? 0))
      const { number } = accepted(beginCut(id, (last?.number ?? 0) + 1, body, handOf(write)))
      await tx
        .insert(cuts)
        .values({ ...body, id, jobId: job.id, number, done: [], updatedAt: forDatabase(write.at), updatedBy: write.by })
      return readCut(tx, job, id)
    },
  )
}

/** Takes a sheet out; what was promised to it is free again. One that is not there any more is no fault. */
export const removeCut = (slug: string, id: string, write: Write): Promise<{ id: string }> =>
  once(
    write,
    async () => ({ id }),
    async (tx) => {
      const job = await findJobRow(tx, slug)
      await tx.delete(cuts).where(and(eq(cuts.id, id), eq(cuts.jobId, job.id)))
      return { id }
    },
  )

/** Changes the given fields where `version` is still the saved one. Problem 409 with the saved sheet otherwise. */
export const updateCut = (
  slug: string,
  id: string,
  { version, ...changes }: Partial<CutBody> & { version: number },
  write: Write,
): Promise<CutRecord> =>
  once(
    write,
    async (tx) => readCut(tx, await findJobRow(tx, slug), id),
    async (tx) => {
      const job = await findJobRow(tx, slug)
      const saved = await readCut(tx, job, id)
      if (saved.version !== version) throw changedMeanwhile('cut sheet', saved)
      const after = accepted(changeCut(saved, changes))
      if (after.plan !== saved.plan) {
        const rack = await lockRack(tx)
        await saveRack(tx, rack, rackAfter(rack, job, after, id))
      }
      await tx
        .update(cuts)
        .set({
          ...changes,
          plan: after.plan,
          version: version + 1,
          updatedAt: forDatabase(write.at),
          updatedBy: write.by,
        })
        .where(eq(cuts.id, id))
      return readCut(tx, job, id)
    },
  )

/**
 * Work on a sheet that is not of its fields, so its version stays: what it makes of the sheet and of the rack is saved
 * together.
 */
const onCut = (
  slug: string,
  id: string,
  write: Write,
  work: (saved: CutRecord, rack: readonly OffcutRecord[]) => Result<CutRecord>,
): Promise<CutRecord> =>
  once(
    write,
    async (tx) => readCut(tx, await findJobRow(tx, slug), id),
    async (tx) => {
      const job = await findJobRow(tx, slug)
      const saved = await readCut(tx, job, id)
      const rack = await lockRack(tx)
      const worked = work(saved, rack)
      if (!worked.ok && worked.error === OTHER_PLAN) throw new Problem(409, worked.error, { saved })
      const after = accepted(worked, saved)
      if (after === saved) return saved
      const { plan, done, result } = after
      await tx
        .update(cuts)
        .set({ plan, done, result, updatedAt: forDatabase(write.at), updatedBy: write.by })
        .where(eq(cuts.id, id))
      await saveRack(tx, rack, rackAfter(rack, job, after, id))
      return readCut(tx, job, id)
    },
  )

/**
 * Takes a plan for a sheet and promises it its offcuts. Problem 422 where one is promised elsewhere, 409 where another
 * plan is being cut.
 */
export const setPlan = (slug: string, id: string, plan: BenchPlan, write: Write) =>
  onCut(slug, id, write, (saved, rack) => planCut({ rack: [...rack] }, saved, plan))
/** Enters a cut that was made. Problem 409 where its bar is not in the plan any more. */
export const addDone = (slug: string, id: string, cut: DoneCutBody, write: Write) =>
  onCut(slug, id, write, (saved) => enterCut(saved, cut, handOf(write)))
/** Takes back a cut that was entered by mistake. */
export const removeDone = (slug: string, id: string, cut: string, write: Write) =>
  onCut(slug, id, write, (saved) => takeBackCut(saved, cut))
/** Closes a sheet; what is kept goes to the rack. */
export const finish = (slug: string, id: string, body: FinishBody, write: Write) =>
  onCut(slug, id, write, (saved) => finishCut(saved, body, handOf(write)))

/** Puts an offcut on the rack, or sets its length or place right. */
export const saveOffcut = (
  slug: string,
  id: string,
  body: OffcutBody,
  write: Write,
): Promise<{ rack: OffcutRecord[] }> =>
  once(
    write,
    async (tx) => ({ rack: await loadRack(tx) }),
    async (tx) => {
      const job = await findJobRow(tx, slug)
      const rack = await lockRack(tx)
      const offcut = accepted(putOffcut({ ...job, rack }, id, body, handOf(write)))
      if (rack.some((one) => one.id === id)) await tx.update(offcuts).set(body).where(eq(offcuts.id, id))
      else await saveRack(tx, rack, [...rack, offcut])
      return { rack: await loadRack(tx) }
    },
  )

/** Takes an offcut off the rack. One that is gone already is no fault. Problem 422 where it is promised. */
export const removeOffcut = (slug: string, id: string, write: Write): Promise<{ rack: OffcutRecord[] }> =>
  once(
    write,
    async (tx) => ({ rack: await loadRack(tx) }),
    async (tx) => {
      await findJobRow(tx, slug)
      const rack = await lockRack(tx)
      const offcut = rack.find((one) => one.id === id)
      if (offcut) {
        accepted(offRack(offcut))
        await tx.delete(offcuts).where(eq(offcuts.id, id))
      }
      return { rack: await loadRack(tx) }
    },
  )
