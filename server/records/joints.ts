import { and, asc, eq, inArray, type SQL, type SQLWrapper } from 'drizzle-orm'
import type { Note } from '#core/base'
import type { Conditions, End, Way } from '#core/joints'
import type { At, JointRecord, MarkRecord } from '#core/record'
import type { Database, Transaction } from '../db/client'
import { joints, signoffs, ticks, timers } from '../db/schema'
import { changedColumns, changedRows, numbersIn, takenIn, type Store } from './store'
import { toDatabase, toIso } from './time'

type JointRow = typeof joints.$inferSelect

/** Joints with their ticks, timers and sign-offs, by number; `of` says which rows of their table. */
export async function loadJoints(db: Database | Transaction, of: SQL | undefined): Promise<JointRecord[]> {
  const rows = await db.select().from(joints).where(of).orderBy(asc(joints.number))
  return withSteps(db, rows, db.select({ id: joints.id }).from(joints).where(of))
}

/** Ids of joints, or what asks for them. */
type Ids = readonly string[] | SQLWrapper
async function withSteps(db: Database | Transaction, rows: readonly JointRow[], ids: Ids): Promise<JointRecord[]> {
  if (rows.length === 0) return []
  const [tickRows, timerRows, signoffRows] = [
    await db
      .select()
      .from(ticks)
      .where(inArray(ticks.jointId, ids as SQLWrapper))
      .orderBy(asc(ticks.entry), asc(ticks.at), asc(ticks.step)),
    await db
      .select()
      .from(timers)
      .where(inArray(timers.jointId, ids as SQLWrapper)),
    await db
      .select()
      .from(signoffs)
      .where(inArray(signoffs.jointId, ids as SQLWrapper))
      .orderBy(asc(signoffs.seq)),
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
        corrects,
        remarks: remarks as Note[],
        at: toIso(at),
      })),
  }))
}

const toRow = ({ id: _, ticks: __, timers: ___, signoffs: ____, updatedAt, ...joint }: JointRecord) => ({
  ...joint,
  updatedAt: toDatabase(updatedAt),
})
const placeKey = ({ entry, step }: At): string => `${entry} ${step}`

async function saveTicks(tx: Transaction, jointId: string, before: JointRecord['ticks'], after: JointRecord['ticks']) {
  const { gone, put } = changedRows(placeKey, before, after)
  for (const { entry, step } of gone)
    await tx.delete(ticks).where(and(eq(ticks.jointId, jointId), eq(ticks.entry, entry), eq(ticks.step, step)))
  if (put.length > 0) await tx.insert(ticks).values(put.map((tick) => ({ ...tick, jointId, at: toDatabase(tick.at) })))
}

async function saveTimers(
  tx: Transaction,
  jointId: string,
  before: JointRecord['timers'],
  after: JointRecord['timers'],
) {
  const { gone, put } = changedRows(placeKey, before, after)
  for (const { entry, step } of gone)
    await tx.delete(timers).where(and(eq(timers.jointId, jointId), eq(timers.entry, entry), eq(timers.step, step)))
  if (put.length > 0)
    await tx.insert(timers).values(put.map((timer) => ({ ...timer, jointId, startedAt: toDatabase(timer.startedAt) })))
}

/** Only ever added. */
async function addSignoffs(tx: Transaction, jointId: string, before: JointRecord, after: JointRecord): Promise<void> {
  for (const signoff of after.signoffs)
    if (!before.signoffs.some(({ id }) => id === signoff.id))
      await tx.insert(signoffs).values({ ...signoff, jointId, at: toDatabase(signoff.at) })
}

export const jointStore: Store<JointRecord> = {
  async load(tx, job, id) {
    const rows = await tx
      .select()
      .from(joints)
      .where(and(eq(joints.id, id), eq(joints.jobId, job.id)))
      .for('update')
    const [joint] = await withSteps(tx, rows, [id])
    return joint ?? null
  },
  isTaken: takenIn(joints),
  numbers: numbersIn(joints),
  async save(tx, job, before, after) {
    if (!after) {
      if (before) await tx.delete(joints).where(eq(joints.id, before.id))
      return
    }
    if (!before) {
      await tx.insert(joints).values({ ...toRow(after), id: after.id, jobId: job.id })
      return
    }
    await saveTicks(tx, after.id, before.ticks, after.ticks)
    await saveTimers(tx, after.id, before.timers, after.timers)
    await addSignoffs(tx, after.id, before, after)
    await tx
      .update(joints)
      .set(changedColumns(toRow(before), toRow(after)))
      .where(eq(joints.id, after.id))
  },
}
