import { asc, eq, inArray } from 'drizzle-orm'
import type { OffcutRecord } from '#core/record'
import type { Database, Transaction } from '../db/client'
import { cuts, jobs, offcuts } from '../db/schema'
import { changedColumns, changedRows, takenIn, type Store } from './store'
import { toDatabase, toIso } from './time'

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

/** The rack with its rows held, so that no offcut is promised twice. */
export async function lockRack(tx: Transaction): Promise<OffcutRecord[]> {
  await tx.select({ id: offcuts.id }).from(offcuts).orderBy(asc(offcuts.id)).for('update')
  return loadRack(tx)
}

const toRow = ({ id: _, job, from, at, promised, ...offcut }: OffcutRecord) => ({
  ...offcut,
  jobId: job,
  origin: from,
  at: toDatabase(at),
  promisedTo: promised?.cut ?? null,
})

/** Writes what has changed of the rack. */
export async function saveRack(
  tx: Transaction,
  before: readonly OffcutRecord[],
  after: readonly OffcutRecord[],
): Promise<void> {
  const gone = before.filter(({ id }) => !after.some((one) => one.id === id)).map(({ id }) => id)
  if (gone.length > 0) await tx.delete(offcuts).where(inArray(offcuts.id, gone))
  for (const offcut of changedRows<OffcutRecord>(({ id }) => id, before, after).put) {
    const was = before.find(({ id }) => id === offcut.id)
    if (!was) await tx.insert(offcuts).values({ ...toRow(offcut), id: offcut.id })
    else {
      const columns = changedColumns(toRow(was), toRow(offcut))
      if (Object.keys(columns).length > 0) await tx.update(offcuts).set(columns).where(eq(offcuts.id, offcut.id))
    }
  }
}

/** The rack goes with the van: an offcut is found from any job. */
export const rackStore: Store<OffcutRecord> = {
  load: async (tx, _, id) => (await lockRack(tx)).find((one) => one.id === id) ?? null,
  isTaken: takenIn(offcuts),
  numbers: async () => [],
  save: (tx, _, before, after) => saveRack(tx, before ? [before] : [], after ? [after] : []),
}
