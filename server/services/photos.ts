import { createHash } from 'node:crypto'
import { and, eq, lt } from 'drizzle-orm'
import type { PhotoBody } from '#core/record'
import { reading, inTransaction, type Transaction } from '../db/client'
import { finds, photos, uploads } from '../db/schema'
import { invalid, notFound } from '../http/problem'
import { findJobRow } from '../records/job-rows'
import { forDatabase } from '../records/time'
import { preparePhoto } from './pictures'

/** A photo that no act came for is kept so long, ms: a tablet may be away for a week. */
const KEPT_MS = 30 * 24 * 3600 * 1000

/** What the act of a photo says of it. */
export type Upload = Omit<PhotoBody, 'name'>

const uploadOf = async (tx: Transaction, key: string): Promise<Upload | null> => {
  const [row] = await tx
    .select({ digest: uploads.digest, width: uploads.width, height: uploads.height })
    .from(uploads)
    .where(eq(uploads.key, key))
  return row ?? null
}

/**
 * Keeps a photo until the act of this key puts it to a find: made upright, at most 2000 px long, and rid of its metadata.
 * Coming again it is not made again. Problem 422 at `photo` where it is none, at `key` where another photo has this key.
 */
export async function keepUpload(key: string, name: string, bytes: Buffer): Promise<Upload> {
  const digest = createHash('sha256').update(bytes).digest('hex')
  const known = await inTransaction((tx) => uploadOf(tx, key))
  if (known && known.digest !== digest)
    throw invalid({ code: 'impossible', path: 'key', message: 'key: another photo was sent with this key.' })
  if (known) return known
  // Worked before the transaction begins: a picture takes longer than a row should be held.
  const { data, width, height } = await preparePhoto(bytes, name)
  const now = new Date()
  await inTransaction(async (tx) => {
    await tx.delete(uploads).where(lt(uploads.at, forDatabase(new Date(now.getTime() - KEPT_MS))))
    // The same photo coming twice at once is kept once.
    await tx
      .insert(uploads)
      .values({ key, digest, width, height, data, at: forDatabase(now) })
      .onDuplicateKeyUpdate({ set: { key } })
  })
  return { digest, width, height }
}

/** Whether a photo came that an act says it puts to a find. */
export async function isUploaded(tx: Transaction, key: string, { digest, width, height }: Upload): Promise<boolean> {
  const upload = await uploadOf(tx, key)
  return upload !== null && upload.digest === digest && upload.width === width && upload.height === height
}

/** The picture itself, JPEG. Problem 404 at `photo`. */
export const getPhoto = (slug: string, find: string, id: string): Promise<Buffer> =>
  reading(async (db) => {
    const job = await findJobRow(db, slug)
    const [row] = await db
      .select({ data: photos.data })
      .from(photos)
      .innerJoin(finds, eq(finds.id, photos.findId))
      .where(and(eq(photos.id, id), eq(finds.id, find), eq(finds.jobId, job.id)))
    if (!row) throw notFound('photo', 'this find has no such photo. It may have been taken off.')
    return row.data
  })
