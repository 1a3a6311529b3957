import { asc, count, desc, eq, inArray, max } from 'drizzle-orm'
import {
  changeKit,
  type BenderRecord,
  type ClashBody,
  type ClashRecord,
  type FittingRecord,
  type JobBody,
  type JobRecord,
  type JointRecord,
  type KitBody,
  type MarkRecord,
  type ToolRecord,
} from '#core/record'
import type { Note } from '#core/base'
import type { Conditions, End, Policy, Way } from '#core/joints'
import { reading, type Database, type Transaction } from '../db/client'
import { clashes, cuts, finds, jobs, joints, lines, signoffs, ticks, timers } from '../db/schema'
import { accepted, changedMeanwhile, notFound } from '../http/problem'
import { loadRack, toCut } from './cuts'
import { loadFinds } from './finds'
import { findJobRow, lockJobRow, type JobRow } from './job-rows'
import { toLine } from './lines'
import { idOf, once, type Write } from './once'
import { forDatabase, toIso } from './time'

type JointRow = typeof joints.$inferSelect

/** Joints with their ticks, timers and sign-offs, by number. */
export async function loadJoints(db: Database | Transaction, rows: readonly JointRow[]): Promise<JointRecord[]> {
  if (rows.length === 0) return []
  const ids = rows.map((row) => row.id)
  const [tickRows, timerRows, signoffRows] = [
    await db
      .select()
      .from(ticks)
      .where(inArray(ticks.jointId, ids))
      .orderBy(asc(ticks.entry), asc(ticks.at), asc(ticks.step)),
    await db.select().from(timers).where(inArray(timers.jointId, ids)),
    await db.select().from(signoffs).where(inArray(signoffs.jointId, ids)).orderBy(asc(signoffs.seq)),
  ]
  return rows.map((row): JointRecord => ({
    id: row.id,
    number: row.number,
    place: row.place,
    a: row.a as End | null,
    b: row.b as End | null,
    findA: row.findA,
    findB: row.findB,
    comeBack: row.comeBack,
    conditions: row.conditions as Partial<Conditions>,
    orientation: row.orientation as JointRecord['orientation'],
    ambient: row.ambient,
    torch: row.torch as JointRecord['torch'],
    reopenings: row.reopenings as JointRecord['reopenings'],
    wayId: row.wayId,
    way: row.way as Way | null,
    depths: row.depths as JointRecord['depths'],
    aside: row.aside as JointRecord['aside'],
    version: row.version,
    updatedAt: toIso(row.updatedAt),
    updatedBy: row.updatedBy,
    faults: row.faults as JointRecord['faults'],
    ticks: tickRows
      .filter((tick) => tick.jointId === row.id)
      .map(({ jointId: _, at, ...tick }) => ({ ...tick, at: toIso(at) })),
    timers: timerRows
      .filter((timer) => timer.jointId === row.id)
      .map(({ entry, step, seconds, startedAt }) => ({ entry, step, seconds, startedAt: toIso(startedAt) })),
    signoffs: signoffRows
      .filter((signoff) => signoff.jointId === row.id)
      .map(({ id, initials, marks, at, corrects, remarks }) => ({
        id,
        initials,
        marks: marks as MarkRecord[],
        at: toIso(at),
        corrects,
        remarks: remarks as Note[],
      })),
  }))
}

const toClash = (row: typeof clashes.$inferSelect): ClashRecord => ({
  id: row.id,
  kind: row.kind as ClashRecord['kind'],
  record: row.recordId,
  fields: row.fields as ClashRecord['fields'],
  kept: row.kept as ClashRecord['kept'],
  at: toIso(row.at),
})

async function toJob(db: Database | Transaction, row: JobRow, rack?: JobRecord['rack']): Promise<JobRecord> {
  const findRows = await db
    .select()
    .from(finds)
    .where(eq(finds.jobId, row.id))
    .orderBy(asc(finds.createdAt), asc(finds.id))
  const jointRows = await db.select().from(joints).where(eq(joints.jobId, row.id)).orderBy(asc(joints.number))
  const lineRows = await db.select().from(lines).where(eq(lines.jobId, row.id)).orderBy(asc(lines.number))
  const cutRows = await db.select().from(cuts).where(eq(cuts.jobId, row.id)).orderBy(asc(cuts.number))
  const clashRows = await db
    .select()
    .from(clashes)
    .where(eq(clashes.jobId, row.id))
    .orderBy(asc(clashes.at), asc(clashes.id))
  return {
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
    finds: await loadFinds(db, findRows),
    lines: lineRows.map(toLine),
    cuts: cutRows.map(toCut),
    rack: rack ?? (await loadRack(db)),
    joints: await loadJoints(db, jointRows),
    clashes: clashRows.map(toClash),
  }
}

/** Every job, whole, in the order they are worked. */
export const listJobs = (): Promise<JobRecord[]> =>
  reading(async (db) => {
    const rows = await db.select().from(jobs).orderBy(asc(jobs.position), asc(jobs.id))
    const records: JobRecord[] = []
    const rack = await loadRack(db)
    for (const row of rows) records.push(await toJob(db, row, rack))
    return records
  })

/** One job by its id or the name in its address. Problem 404 at `job`. */
export const getJob = (name: string): Promise<JobRecord> => reading(async (db) => toJob(db, await findJobRow(db, name)))

const slugOf = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60) || 'job'

/** A new job at the end of the list; a name used before gets a number. */
export function createJob({ id: own, ...body }: JobBody & { id?: string }, write: Write): Promise<JobRecord> {
  const id = idOf(own, write)
  const read = async (tx: Transaction) => toJob(tx, await findJobRow(tx, id))
  return once(write, read, async (tx) => {
    const [last] = await tx.select({ position: max(jobs.position) }).from(jobs)
    // The van goes on to the next job with what it has.
    const [before] = await tx
      .select({ tools: jobs.tools, fittings: jobs.fittings, benders: jobs.benders })
      .from(jobs)
      .where(eq(jobs.region, body.region))
      .orderBy(desc(jobs.position))
      .limit(1)
    const base = slugOf(body.name)
    let slug = base
    for (let n = 2; ; n++) {
      const [taken] = await tx.select({ n: count() }).from(jobs).where(eq(jobs.slug, slug))
      if (taken!.n === 0) break
      slug = `${base}-${n}`
    }
    await tx
      .insert(jobs)
      .values({
        id,
        slug,
        name: body.name,
        place: body.place,
        region: body.region,
        year: body.year ?? null,
        policy: {},
        tools: before?.tools ?? null,
        fittings: before?.fittings ?? [],
        benders: before?.benders ?? [],
        position: (last?.position ?? 0) + 1,
      })
    return read(tx)
  })
}

/**
 * Changes a job's policies, tools or measured fittings where `version` is still the saved one. Problem 409 with the
 * saved job otherwise.
 */
export function updateJob(
  name: string,
  { version, ...changes }: Partial<KitBody> & { version: number },
  write: Write,
): Promise<JobRecord> {
  const read = async (tx: Transaction) => toJob(tx, await findJobRow(tx, name))
  return once(write, read, async (tx) => {
    const row = await lockJobRow(tx, name)
    const saved = await toJob(tx, row)
    if (saved.version !== version) throw changedMeanwhile('job', saved)
    accepted(changeKit(saved, changes))
    await tx
      .update(jobs)
      .set({ ...changes, version: version + 1, updatedAt: forDatabase(write.at), updatedBy: write.by })
      .where(eq(jobs.id, row.id))
    return read(tx)
  })
}

/** Keeps on record that two entries met, and whose was kept. */
export function recordClash(job: string, { id: own, record, ...body }: ClashBody, write: Write): Promise<ClashRecord> {
  const id = idOf(own, write)
  const read = async (tx: Transaction) => {
    const [row] = await tx.select().from(clashes).where(eq(clashes.id, id))
    if (!row) throw notFound('clash', 'this job has no such entry.')
    return toClash(row)
  }
  return once(write, read, async (tx) => {
    const { id: jobId } = await findJobRow(tx, job)
    await tx.insert(clashes).values({ id, jobId, recordId: record, at: forDatabase(write.at), ...body })
    return read(tx)
  })
}
