import { randomUUID } from 'node:crypto'
import { asc, count, eq, inArray, max } from 'drizzle-orm'
import type { FindRecord, JobBody, JobRecord, JointRecord, MarkRecord } from '#core/record'
import type { Conditions, End, Policy, Way } from '#core/joints'
import { inTransaction, useDatabase, type Database, type Transaction } from '../db/client'
import { finds, jobs, joints, signoffs, ticks, timers } from '../db/schema'
import { notFound } from '../http/problem'
import { toIso } from './time'

type FindRow = typeof finds.$inferSelect
type JointRow = typeof joints.$inferSelect

export const toFind = (row: FindRow): FindRecord => ({
  id: row.id, place: row.place, typed: row.typed, by: row.by as FindRecord['by'], answers: row.answers as FindRecord['answers'], pipe: row.pipe, version: row.version, updatedAt: toIso(row.updatedAt),
})

/** Joints with their ticks, timers and sign-offs, by number. */
export async function loadJoints(db: Database | Transaction, rows: readonly JointRow[]): Promise<JointRecord[]> {
  if (rows.length === 0) return []
  const ids = rows.map(row => row.id)
  const [tickRows, timerRows, signoffRows] = [
    await db.select().from(ticks).where(inArray(ticks.jointId, ids)).orderBy(asc(ticks.entry), asc(ticks.step)),
    await db.select().from(timers).where(inArray(timers.jointId, ids)),
    await db.select().from(signoffs).where(inArray(signoffs.jointId, ids)).orderBy(asc(signoffs.at)),
  ]
  return rows.map((row): JointRecord => ({
    id: row.id,
    number: row.number,
    place: row.place,
    a: row.a as End | null,
    b: row.b as End | null,
    findA: row.findA,
    conditions: row.conditions as Partial<Conditions>,
    orientation: row.orientation as JointRecord['orientation'],
    wayId: row.wayId,
    way: row.way as Way | null,
    depths: row.depths as JointRecord['depths'],
    version: row.version,
    updatedAt: toIso(row.updatedAt),
    ticks: tickRows.filter(tick => tick.jointId === row.id).map(({ entry, step, code, at }) => ({ entry, step, code, at: toIso(at) })),
    timers: timerRows.filter(timer => timer.jointId === row.id).map(({ entry, step, seconds, startedAt }) => ({ entry, step, seconds, startedAt: toIso(startedAt) })),
    signoffs: signoffRows.filter(signoff => signoff.jointId === row.id).map(({ id, initials, marks, at }) => ({ id, initials, marks: marks as MarkRecord[], at: toIso(at) })),
  }))
}

async function toJob(db: Database, row: typeof jobs.$inferSelect): Promise<JobRecord> {
  const findRows = await db.select().from(finds).where(eq(finds.jobId, row.id)).orderBy(asc(finds.createdAt), asc(finds.id))
  const jointRows = await db.select().from(joints).where(eq(joints.jobId, row.id)).orderBy(asc(joints.number))
  return {
    id: row.id,
    slug: row.slug,
    name: row.name,
    place: row.place,
    region: row.region as JobRecord['region'],
    year: row.year,
    policy: row.policy as Partial<Policy>,
    handedOver: row.handedOver === null ? null : toIso(row.handedOver),
    version: row.version,
    finds: findRows.map(toFind),
    joints: await loadJoints(db, jointRows),
  }
}

/** Every job, whole, in the order they are worked. */
export async function listJobs(): Promise<JobRecord[]> {
  const db = useDatabase()
  const rows = await db.select().from(jobs).orderBy(asc(jobs.position), asc(jobs.id))
  return Promise.all(rows.map(row => toJob(db, row)))
}

/** One job by the name in its address. Problem 404 at `job`. */
export async function getJob(slug: string): Promise<JobRecord> {
  const db = useDatabase()
  return toJob(db, await findJobRow(db, slug))
}

/** The row of a job. Problem 404 at `job`. */
export async function findJobRow(db: Database | Transaction, slug: string) {
  const [row] = await db.select().from(jobs).where(eq(jobs.slug, slug))
  if (!row) throw notFound('job', `there is no job "${slug.slice(0, 40)}" here. Open one from the list of jobs.`)
  return row
}

/** The same, held until the transaction ends, so that two numbers or two positions are never the same. */
export async function lockJobRow(tx: Transaction, slug: string) {
  const row = await findJobRow(tx, slug)
  await tx.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, row.id)).for('update')
  return row
}

const slugOf = (name: string): string => name.toLowerCase().normalize('NFKD').replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '').slice(0, 60) || 'job'

/** A new job at the end of the list; a name used before gets a number. */
export async function createJob(body: JobBody): Promise<JobRecord> {
  const slug = await inTransaction(async (tx) => {
    const [last] = await tx.select({ position: max(jobs.position) }).from(jobs)
    const base = slugOf(body.name)
    let free = base
    for (let n = 2; ; n++) {
      const [taken] = await tx.select({ n: count() }).from(jobs).where(eq(jobs.slug, free))
      if (taken!.n === 0) break
      free = `${base}-${n}`
    }
    await tx.insert(jobs).values({ id: randomUUID(), slug: free, name: body.name, place: body.place, region: body.region, year: body.year ?? null, policy: {}, position: (last?.position ?? 0) + 1 })
    return free
  })
  return getJob(slug)
}

