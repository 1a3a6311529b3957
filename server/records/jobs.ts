import { asc, count, desc, eq, max } from 'drizzle-orm'
import type { Policy } from '#core/joints'
import type { BenderRecord, ClashRecord, FittingRecord, JobRecord, ToolRecord } from '#core/record'
import type { Database, Transaction } from '../db/client'
import { clashes, cuts, finds, jobs, joints, lines, looks } from '../db/schema'
import { toCut } from './cuts'
import { loadFinds } from './finds'
import type { JobRow } from './job-rows'
import { loadJoints } from './joints'
import { toLine } from './lines'
import { toLook } from './looks'
import { loadRack } from './rack'
import { changedColumns } from './store'
import { toDatabase, toIso } from './time'

const toClash = (row: typeof clashes.$inferSelect): ClashRecord => ({
  id: row.id,
  kind: row.kind as ClashRecord['kind'],
  record: row.recordId,
  fields: row.fields as ClashRecord['fields'],
  kept: row.kept as ClashRecord['kept'],
  at: toIso(row.at),
})

/** What stands in the row of a job itself. */
export const ownFields = (row: JobRow) => ({
  id: row.id,
  slug: row.slug,
  name: row.name,
  place: row.place,
  region: row.region as JobRecord['region'],
  year: row.year,
  policy: row.policy as Partial<Policy>,
  tools: row.tools as ToolRecord[] | null,
  fittings: row.fittings as FittingRecord[],
  benders: row.benders as BenderRecord[],
  counts: row.counts as JobRecord['counts'],
  handedOver: row.handedOver === null ? null : toIso(row.handedOver),
  version: row.version,
  updatedAt: row.updatedAt === null ? '' : toIso(row.updatedAt),
  updatedBy: row.updatedBy,
})

/** A job with all its records. */
export async function toJob(db: Database | Transaction, row: JobRow, rack?: JobRecord['rack']): Promise<JobRecord> {
  const findRows = await db
    .select()
    .from(finds)
    .where(eq(finds.jobId, row.id))
    .orderBy(asc(finds.createdAt), asc(finds.id))
  const jointRows = await db.select().from(joints).where(eq(joints.jobId, row.id)).orderBy(asc(joints.number))
  const lineRows = await db.select().from(lines).where(eq(lines.jobId, row.id)).orderBy(asc(lines.number))
  const cutRows = await db.select().from(cuts).where(eq(cuts.jobId, row.id)).orderBy(asc(cuts.number))
  const lookRows = await db.select().from(looks).where(eq(looks.jobId, row.id)).orderBy(asc(looks.number))
  const clashRows = await db
    .select()
    .from(clashes)
    .where(eq(clashes.jobId, row.id))
    .orderBy(asc(clashes.at), asc(clashes.id))
  return {
    ...ownFields(row),
    finds: await loadFinds(db, findRows),
    lines: lineRows.map(toLine),
    cuts: cutRows.map(toCut),
    rack: rack ?? (await loadRack(db)),
    joints: await loadJoints(db, jointRows),
    looks: lookRows.map(toLook),
    clashes: clashRows.map(toClash),
  }
}

const slugOf = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60) || 'job'

/** A name for an address; one used before gets a number. */
async function freeSlug(tx: Transaction, name: string): Promise<string> {
  const base = slugOf(name)
  for (let n = 1; ; n++) {
    const slug = n === 1 ? base : `${base}-${n}`
    const [taken] = await tx.select({ n: count() }).from(jobs).where(eq(jobs.slug, slug))
    if (taken!.n === 0) return slug
  }
}

/** A new job at the end of the list, with its name for an address and what the van had on the last job. */
export async function insertJob(tx: Transaction, { id, name, place, region, year }: JobRecord): Promise<void> {
  const [last] = await tx.select({ position: max(jobs.position) }).from(jobs)
  const [before] = await tx
    .select({ tools: jobs.tools, fittings: jobs.fittings, benders: jobs.benders })
    .from(jobs)
    .where(eq(jobs.region, region))
    .orderBy(desc(jobs.position))
    .limit(1)
  await tx
    .insert(jobs)
    .values({
      id,
      slug: await freeSlug(tx, name),
      name,
      place,
      region,
      year,
      policy: {},
      tools: before?.tools ?? null,
      fittings: before?.fittings ?? [],
      benders: before?.benders ?? [],
      position: (last?.position ?? 0) + 1,
    })
}

const toRow = ({ policy, tools, fittings, benders, counts, version, updatedAt, updatedBy }: JobRecord) => ({
  policy,
  tools,
  fittings,
  benders,
  counts,
  version,
  updatedAt: updatedAt === '' ? null : toDatabase(updatedAt),
  updatedBy,
})

/** Saves what an act made of a job's own fields, and the clashes it put on record. */
export async function saveJob(tx: Transaction, before: JobRecord, after: JobRecord): Promise<void> {
  await tx
    .update(jobs)
    .set(changedColumns(toRow(before), toRow(after)))
    .where(eq(jobs.id, after.id))
  for (const { record, at, ...clash } of after.clashes)
    if (!before.clashes.some(({ id }) => id === clash.id))
      await tx.insert(clashes).values({ ...clash, jobId: after.id, recordId: record, at: toDatabase(at) })
}
