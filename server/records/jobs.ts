import { and, asc, count, desc, eq, inArray, max, type SQL } from 'drizzle-orm'
import type { MySqlColumn } from 'drizzle-orm/mysql-core'
import type { OwnKind } from '#core/acts'
import type { Policy } from '#core/joints'
import type {
  BenderRecord,
  ClashRecord,
  FittingRecord,
  HotWorkRecord,
  JobRecord,
  MinutesRecord,
  PriceRecord,
  VanRecord,
  ToolRecord,
} from '#core/record'
import type { Database, Transaction } from '../db/client'
import { clashes, cuts, finds, jobs, joints, lines, looks } from '../db/schema'
import { toCut } from './cuts'
import { loadFinds } from './finds'
import type { JobRow } from './job-rows'
import { loadJoints } from './joints'
import { toLine } from './lines'
import { toLook } from './looks'
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
  minutes: row.minutes as MinutesRecord[],
  prices: row.prices as PriceRecord[],
  van: row.van as VanRecord[],
  hotWork: row.hotWork as HotWorkRecord,
  counts: row.counts as JobRecord['counts'],
  handedOver: row.handedOver === null ? null : toIso(row.handedOver),
  archivedAt: row.archivedAt === null ? null : toIso(row.archivedAt),
  waits: row.waits as JobRecord['waits'],
  acts: row.acts,
  version: row.version,
  updatedAt: row.updatedAt === null ? '' : toIso(row.updatedAt),
  updatedBy: row.updatedBy,
})

/** Clashes of a job that are given out: the last; all are on record. */
const MOST_CLASHES = 100

/** The last clashes of a job, oldest first. */
export const loadClashes = async (db: Database | Transaction, jobId: string): Promise<ClashRecord[]> =>
  (
    await db
      .select()
      .from(clashes)
      .where(eq(clashes.jobId, jobId))
      .orderBy(desc(clashes.at), desc(clashes.id))
      .limit(MOST_CLASHES)
  )
    .map(toClash)
    .reverse()

type Loaders = { [K in OwnKind]: (db: Database | Transaction, of: Of) => Promise<JobRecord[K]> }
/** Which rows of a table: of a job, and of it some ids only. */
type Of = (table: { jobId: MySqlColumn; id: MySqlColumn }) => SQL | undefined
const LOAD: Loaders = {
  finds: async (db, of) =>
    loadFinds(db, await db.select().from(finds).where(of(finds)).orderBy(asc(finds.createdAt), asc(finds.id))),
  lines: async (db, of) => (await db.select().from(lines).where(of(lines)).orderBy(asc(lines.number))).map(toLine),
  cuts: async (db, of) => (await db.select().from(cuts).where(of(cuts)).orderBy(asc(cuts.number))).map(toCut),
  joints: (db, of) => loadJoints(db, of(joints)),
  looks: async (db, of) => (await db.select().from(looks).where(of(looks)).orderBy(asc(looks.number))).map(toLook),
}

/** Records of a job by their ids, those that there are. */
export const loadRecords = <K extends OwnKind>(
  db: Database,
  jobId: string,
  kind: K,
  ids: readonly string[],
): Promise<JobRecord[K]> => LOAD[kind](db, (table) => and(eq(table.jobId, jobId), inArray(table.id, [...ids])))

/** A job with all its records, and without the rack, which is no job's own. */
export async function toJob(db: Database | Transaction, row: JobRow): Promise<JobRecord> {
  const of: Of = (table) => eq(table.jobId, row.id)
  return {
    ...ownFields(row),
    finds: await LOAD.finds(db, of),
    lines: await LOAD.lines(db, of),
    cuts: await LOAD.cuts(db, of),
    rack: [],
    joints: await LOAD.joints(db, of),
    looks: await LOAD.looks(db, of),
    clashes: await loadClashes(db, row.id),
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
    .select({
      tools: jobs.tools,
      fittings: jobs.fittings,
      benders: jobs.benders,
      minutes: jobs.minutes,
      prices: jobs.prices,
      van: jobs.van,
      hotWork: jobs.hotWork,
    })
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
      minutes: before?.minutes ?? [],
      prices: before?.prices ?? [],
      van: before?.van ?? [],
      hotWork: before?.hotWork ?? {},
      position: (last?.position ?? 0) + 1,
    })
}

const timeOrNull = (iso: string | null): string | null => (iso === null || iso === '' ? null : toDatabase(iso))
const toRow = (job: JobRecord) => ({
  name: job.name,
  place: job.place,
  region: job.region,
  year: job.year,
  waits: job.waits,
  archivedAt: timeOrNull(job.archivedAt),
  policy: job.policy,
  tools: job.tools,
  fittings: job.fittings,
  benders: job.benders,
  minutes: job.minutes,
  prices: job.prices,
  van: job.van,
  hotWork: job.hotWork,
  counts: job.counts,
  version: job.version,
  updatedAt: timeOrNull(job.updatedAt),
  updatedBy: job.updatedBy,
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
