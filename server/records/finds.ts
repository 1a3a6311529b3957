import { and, asc, eq, inArray } from 'drizzle-orm'
import type { FindRecord, PhotoRecord, VerdictRecord } from '#core/record'
import type { Database, Transaction } from '../db/client'
import { finds, photos, uploads } from '../db/schema'
import { changedColumns, takenIn, type Store } from './store'
import { toDatabase, toIso } from './time'

type FindRow = typeof finds.$inferSelect

/** Finds with what is known of their photos, in the order of the rows. */
export async function loadFinds(db: Database | Transaction, rows: readonly FindRow[]): Promise<FindRecord[]> {
  if (rows.length === 0) return []
  const taken = await db
    .select({
      id: photos.id,
      findId: photos.findId,
      name: photos.name,
      width: photos.width,
      height: photos.height,
      at: photos.at,
      by: photos.by,
    })
    .from(photos)
    .where(
      inArray(
        photos.findId,
        rows.map(({ id }) => id),
      ),
    )
    .orderBy(asc(photos.at), asc(photos.id))
  return rows.map((row): FindRecord => ({
    id: row.id,
    place: row.place,
    notes: row.notes,
    typed: row.typed,
    by: row.by as FindRecord['by'],
    answers: row.answers as FindRecord['answers'],
    cannot: row.cannot as string[],
    pipe: row.pipe,
    verdicts: row.verdicts as VerdictRecord[],
    photos: taken
      .filter(({ findId }) => findId === row.id)
      .map(({ findId: _, at, ...photo }): PhotoRecord => ({ ...photo, at: toIso(at) })),
    version: row.version,
    updatedAt: toIso(row.updatedAt),
    updatedBy: row.updatedBy,
  }))
}

const toRow = ({ id: _, photos: __, updatedAt, ...find }: FindRecord) => ({ ...find, updatedAt: toDatabase(updatedAt) })

/** Moves a photo that came before its act to its find. */
async function attach(tx: Transaction, find: string, { at, ...photo }: PhotoRecord): Promise<void> {
  const [upload] = await tx.select().from(uploads).where(eq(uploads.key, photo.id))
  if (!upload) throw new Error('a photo was put to a find without its picture')
  await tx.insert(photos).values({ ...photo, findId: find, at: toDatabase(at), data: upload.data })
  await tx.delete(uploads).where(eq(uploads.key, photo.id))
}

export const findStore: Store<FindRecord> = {
  async load(tx, job, id) {
    const rows = await tx
      .select()
      .from(finds)
      .where(and(eq(finds.id, id), eq(finds.jobId, job.id)))
      .for('update')
    const [find] = await loadFinds(tx, rows)
    return find ?? null
  },
  isTaken: takenIn(finds),
  numbers: async () => [],
  async save(tx, job, before, after) {
    if (!after) {
      if (before) await tx.delete(finds).where(eq(finds.id, before.id))
      return
    }
    if (!before) {
      const row = toRow(after)
      await tx.insert(finds).values({ ...row, id: after.id, jobId: job.id, createdAt: row.updatedAt })
      return
    }
    for (const photo of before.photos)
      if (!after.photos.some(({ id }) => id === photo.id))
        await tx.delete(photos).where(and(eq(photos.id, photo.id), eq(photos.findId, after.id)))
    for (const photo of after.photos)
      if (!before.photos.some(({ id }) => id === photo.id)) await attach(tx, after.id, photo)
    await tx
      .update(finds)
      .set(changedColumns(toRow(before), toRow(after)))
      .where(eq(finds.id, after.id))
  },
}
