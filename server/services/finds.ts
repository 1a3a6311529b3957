import { and, asc, eq, inArray } from 'drizzle-orm'
import {
  addPhoto,
  beginFind,
  changeFind,
  type FindBody,
  type FindRecord,
  type FindRules,
  type Hand,
  type JobRecord,
  type PhotoBody,
  type PhotoRecord,
  type VerdictRecord,
} from '#core/record'
import { reading, type Database, type Transaction } from '../db/client'
import { finds, photos } from '../db/schema'
import { accepted, changedMeanwhile, notFound } from '../http/problem'
import { findJobRow, type JobRow } from './job-rows'
import { idOf, once, type Write } from './once'
import { preparePhoto } from './pictures'
import { forDatabase, toIso } from './time'

type FindRow = typeof finds.$inferSelect

const rulesOf = (job: JobRow): FindRules => ({ region: job.region as JobRecord['region'], year: job.year })
const handOf = (write: Write): Hand => ({ at: write.at.toISOString(), by: write.by })

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

/** A find of this job, its row held until the transaction ends. Problem 404 at `find`. */
async function readFind(tx: Transaction, job: JobRow, id: string): Promise<FindRecord> {
  const rows = await tx
    .select()
    .from(finds)
    .where(and(eq(finds.id, id), eq(finds.jobId, job.id)))
    .for('update')
  const [find] = await loadFinds(tx, rows)
  if (!find) throw notFound('find', 'this job has no such find. It may belong to another job.')
  return find
}

/** Work on one find, done once; answers with the find as it then stands. */
const onFind = (
  slug: string,
  id: string,
  write: Write,
  work: (tx: Transaction, job: JobRow, find: FindRecord) => Promise<void>,
): Promise<FindRecord> =>
  once(
    write,
    async (tx) => readFind(tx, await findJobRow(tx, slug), id),
    async (tx) => {
      const job = await findJobRow(tx, slug)
      await work(tx, job, await readFind(tx, job, id))
      return readFind(tx, job, id)
    },
  )

export function createFind(
  slug: string,
  { id: own, ...body }: FindBody & { id?: string },
  write: Write,
): Promise<FindRecord> {
  const id = idOf(own, write)
  return once(
    write,
    async (tx) => readFind(tx, await findJobRow(tx, slug), id),
    async (tx) => {
      const job = await findJobRow(tx, slug)
      const at = forDatabase(write.at)
      const { verdicts } = accepted(beginFind(rulesOf(job), id, body, handOf(write)))
      await tx
        .insert(finds)
        .values({ ...body, id, jobId: job.id, verdicts, updatedBy: write.by, createdAt: at, updatedAt: at })
      return readFind(tx, job, id)
    },
  )
}

/** Changes the given fields where `version` is still the saved one. Problem 409 with the saved find otherwise. */
export const updateFind = (
  slug: string,
  id: string,
  { version, ...changes }: Partial<FindBody> & { version: number },
  write: Write,
): Promise<FindRecord> =>
  onFind(slug, id, write, async (tx, job, saved) => {
    if (saved.version !== version) throw changedMeanwhile('find', saved)
    const { verdicts } = accepted(changeFind(rulesOf(job), saved, changes, handOf(write)))
    await tx
      .update(finds)
      .set({ ...changes, verdicts, version: version + 1, updatedAt: forDatabase(write.at), updatedBy: write.by })
      .where(eq(finds.id, id))
  })

/**
 * Puts a photo to a find: made upright, at most 2000 px long, and rid of its metadata. Problem 422 at `photo` where it
 * is none.
 */
export async function createPhoto(
  slug: string,
  find: string,
  { id: own, name, data }: PhotoBody,
  write: Write,
): Promise<FindRecord> {
  // Worked before the transaction begins: a picture takes longer than a row should be held.
  const picture = await preparePhoto(Buffer.from(data, 'base64'), name)
  const id = idOf(own, write)
  return onFind(slug, find, write, async (tx, _, saved) => {
    const photo: PhotoRecord = { id, name, width: picture.width, height: picture.height, ...handOf(write) }
    if (accepted(addPhoto(saved, photo)) === saved) return
    await tx.insert(photos).values({ ...photo, findId: find, data: picture.data, at: forDatabase(write.at) })
  })
}

/** Takes a photo off a find. One that is not there any more is no fault. */
export const removePhoto = (slug: string, find: string, id: string, write: Write): Promise<FindRecord> =>
  onFind(slug, find, write, async (tx) => {
    await tx.delete(photos).where(and(eq(photos.id, id), eq(photos.findId, find)))
  })

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
