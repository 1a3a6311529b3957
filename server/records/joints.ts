import { and, asc, eq, getTableColumns, sql, type SQL } from 'drizzle-orm'
import type { MySqlColumn } from 'drizzle-orm/mysql-core'
import type { Conditions, End, OtherEnd, Way } from '#core/joints'
import type { At, JointRecord } from '#core/record'
import { prepared, type Database, type Transaction } from '../db/client'
import { joints, signoffs, ticks, timers } from '../db/schema'
import { changedColumns, changedRows, numbersIn, takenIn, type Store } from './store'
import { toDatabase, toIso } from './time'

type JointRow = typeof joints.$inferSelect

/** Rows of another table that belong to a joint, as JSON in its own row: one question for all of them. */
const listed = (fields: SQL, from: SQL, order: SQL): SQL<unknown> =>
  sql`(select json_arrayagg(json_object(${fields}) order by ${order}) from ${from})`
const own = (table: { jointId: MySqlColumn }) => sql`${table} where ${table.jointId} = ${sql.raw('`joints`.`id`')}`
const STEPS = {
  ticks: listed(
    sql`'entry', ${ticks.entry}, 'step', ${ticks.step}, 'code', ${ticks.code}, 'at', ${ticks.at}, 'by', ${ticks.by},
      'reading', ${ticks.reading}, 'did', ${ticks.did}`,
    own(ticks),
    sql`${ticks.entry}, ${ticks.at}, ${ticks.step}`,
  ),
  timers: listed(
    sql`'entry', ${timers.entry}, 'step', ${timers.step}, 'seconds', ${timers.seconds}, 'startedAt', ${timers.startedAt}`,
    own(timers),
    sql`${timers.entry}, ${timers.step}`,
  ),
  signoffs: listed(
    sql`'id', ${signoffs.id}, 'initials', ${signoffs.initials}, 'marks', json_compact(${signoffs.marks}),
      'corrects', ${signoffs.corrects}, 'remarks', json_compact(${signoffs.remarks}),
      'minutes', json_compact(${signoffs.minutes}), 'at', ${signoffs.at}`,
    own(signoffs),
    sql`${signoffs.seq}`,
  ),
}
const COLUMNS = { ...getTableColumns(joints), ...STEPS }
type Steps = Record<keyof typeof STEPS, unknown>

/** Joints with their ticks, timers and sign-offs, by number; `of` says which rows of their table. */
export const loadJoints = async (db: Database | Transaction, of: SQL | undefined): Promise<JointRecord[]> =>
  (await db.select(COLUMNS).from(joints).where(of).orderBy(asc(joints.number))).map(toJoint)

const heldQuery = prepared((tx) =>
  tx
    .select(COLUMNS)
    .from(joints)
    .where(and(eq(joints.id, sql.placeholder('id')), eq(joints.jobId, sql.placeholder('job'))))
    .for('update')
    .prepare(),
)

const stepAt = <T extends { at: string }>(one: T): T => ({ ...one, at: toIso(one.at) })
const toJoint = ({ jobId: _, ...row }: JointRow & Steps): JointRecord => ({
  ...row,
  a: row.a as End | null,
  b: row.b as OtherEnd | null,
  conditions: row.conditions as Partial<Conditions>,
  flex: row.flex as JointRecord['flex'],
  onFirst: row.onFirst as JointRecord['onFirst'],
  slip: row.slip as JointRecord['slip'],
  fixture: row.fixture as JointRecord['fixture'],
  valve: row.valve as JointRecord['valve'],
  orientation: row.orientation as JointRecord['orientation'],
  torch: row.torch as JointRecord['torch'],
  reopenings: row.reopenings as JointRecord['reopenings'],
  way: row.way as Way | null,
  depths: row.depths as JointRecord['depths'],
  aside: row.aside as JointRecord['aside'],
  updatedAt: toIso(row.updatedAt),
  faults: row.faults as JointRecord['faults'],
  ticks: ((row.ticks ?? []) as JointRecord['ticks']).map(stepAt),
  timers: ((row.timers ?? []) as JointRecord['timers']).map((one) => ({ ...one, startedAt: toIso(one.startedAt) })),
  signoffs: ((row.signoffs ?? []) as JointRecord['signoffs']).map(stepAt),
})

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
    const [row] = await heldQuery(tx).execute({ id, job: job.id })
    return row ? toJoint(row) : null
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
