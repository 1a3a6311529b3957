import { and, eq, max } from 'drizzle-orm'
import type { Policy } from '#core/joints'
import {
  beginJoint,
  bringBack,
  changeJoint,
  failStep,
  isMade,
  reopenJoint,
  runTimer,
  signJoint,
  tickStep,
  type At,
  type DoubtedFind,
  type FaultBody,
  type JobRecord,
  type JobRules,
  type JointBody,
  type JointRecord,
  type ReopenBody,
  type SignoffBody,
  type StepPlace,
  type TickBody,
} from '#core/record'
import type { Transaction } from '../db/client'
import { finds, joints, signoffs, ticks, timers } from '../db/schema'
import { accepted, changedMeanwhile, notFound } from '../http/problem'
import { findJobRow, lockJobRow, type JobRow } from './job-rows'
import { loadJoints } from './jobs'
import { idOf, once, type Write } from './once'
import { forDatabase } from './time'

/** What the joints of a job are worked out by; its finds, since what they leave in doubt holds what rests on them. */
async function rulesOf(tx: Transaction, job: JobRow): Promise<JobRules> {
  const rows = await tx
    .select({ id: finds.id, typed: finds.typed, by: finds.by, answers: finds.answers, pipe: finds.pipe })
    .from(finds)
    .where(eq(finds.jobId, job.id))
  return {
    region: job.region as JobRecord['region'],
    year: job.year,
    policy: job.policy as Partial<Policy>,
    tools: job.tools as JobRules['tools'],
    fittings: job.fittings as JobRules['fittings'],
    finds: rows as DoubtedFind[],
  }
}

const handOf = ({ at, by }: Write) => ({ at: at.toISOString(), by })

/** A joint of this job, its row held until the transaction ends. Problem 404 at `joint`. */
async function readJoint(tx: Transaction, job: JobRow, id: string): Promise<JointRecord> {
  const rows = await tx
    .select()
    .from(joints)
    .where(and(eq(joints.id, id), eq(joints.jobId, job.id)))
    .for('update')
  const [joint] = await loadJoints(tx, rows)
  if (!joint) throw notFound('joint', 'this job has no such joint. It may belong to another job.')
  return joint
}

/** Work on one joint, done once; answers with the joint as it then stands. */
const onJoint = (
  slug: string,
  id: string,
  write: Write,
  work: (tx: Transaction, rules: JobRules, joint: JointRecord) => Promise<void>,
): Promise<JointRecord> =>
  once(
    write,
    async (tx) => readJoint(tx, await findJobRow(tx, slug), id),
    async (tx) => {
      const job = await findJobRow(tx, slug)
      await work(tx, await rulesOf(tx, job), await readJoint(tx, job, id))
      return readJoint(tx, job, id)
    },
  )

const tickAt = (joint: string, { entry, step }: At) =>
  and(eq(ticks.jointId, joint), eq(ticks.entry, entry), eq(ticks.step, step))
const timerAt = (joint: string, { entry, step }: At) =>
  and(eq(timers.jointId, joint), eq(timers.entry, entry), eq(timers.step, step))
const gone = <T extends At>(before: readonly T[], after: readonly T[]) =>
  before.filter((one) => !after.some(({ entry, step }) => entry === one.entry && step === one.step))

/** Takes off the ticks and waits that a joint no longer has. */
async function dropSteps(tx: Transaction, saved: JointRecord, after: JointRecord): Promise<void> {
  for (const one of gone(saved.ticks, after.ticks)) await tx.delete(ticks).where(tickAt(saved.id, one))
  for (const one of gone(saved.timers, after.timers)) await tx.delete(timers).where(timerAt(saved.id, one))
}

/** A new joint with the next number of its job. */
export function createJoint(
  slug: string,
  { id: own, ...body }: JointBody & { id?: string },
  write: Write,
): Promise<JointRecord> {
  const id = idOf(own, write)
  return once(
    write,
    async (tx) => readJoint(tx, await findJobRow(tx, slug), id),
    async (tx) => {
      const job = await lockJobRow(tx, slug)
      const [last] = await tx
        .select({ number: max(joints.number) })
        .from(joints)
        .where(eq(joints.jobId, job.id))
      const { number, way } = accepted(beginJoint(await rulesOf(tx, job), id, (last?.number ?? 0) + 1, body, ''))
      await tx
        .insert(joints)
        .values({ ...body, id, jobId: job.id, number, way, updatedAt: forDatabase(write.at), updatedBy: write.by })
      return readJoint(tx, job, id)
    },
  )
}

/**
 * Changes the given fields where `version` is still the saved one. Problem 409 with the saved joint on another version,
 * or once it is signed.
 */
export function updateJoint(
  slug: string,
  id: string,
  { version, ...changes }: Partial<JointBody> & { version: number },
  write: Write,
): Promise<JointRecord> {
  return onJoint(slug, id, write, async (tx, rules, saved) => {
    if (saved.version !== version) throw changedMeanwhile('joint', saved)
    const after = accepted(changeJoint(rules, saved, changes), saved)
    const { wayId, way, depths, aside } = after
    await dropSteps(tx, saved, after)
    await tx
      .update(joints)
      .set({
        ...changes,
        wayId,
        way,
        depths,
        aside,
        version: version + 1,
        updatedAt: forDatabase(write.at),
        updatedBy: write.by,
      })
      .where(eq(joints.id, id))
  })
}

/** Brings back the steps that another way put aside, and puts aside what stands now. */
export const takeBack = (slug: string, id: string, write: Write): Promise<JointRecord> =>
  onJoint(slug, id, write, async (tx, rules, saved) => {
    const after = accepted(bringBack(rules, saved), saved)
    if (after === saved) return
    const { a, b, findA, findB, conditions, wayId, way, depths, aside } = after
    await tx.delete(ticks).where(eq(ticks.jointId, id))
    await tx.delete(timers).where(eq(timers.jointId, id))
    if (after.ticks.length > 0)
      await tx
        .insert(ticks)
        .values(after.ticks.map((tick) => ({ ...tick, jointId: id, at: forDatabase(new Date(tick.at)) })))
    if (after.timers.length > 0)
      await tx
        .insert(timers)
        .values(
          after.timers.map((timer) => ({ ...timer, jointId: id, startedAt: forDatabase(new Date(timer.startedAt)) })),
        )
    await tx
      .update(joints)
      .set({
        a,
        b,
        findA,
        findB,
        conditions,
        wayId,
        way,
        depths,
        aside,
        version: saved.version + 1,
        updatedAt: forDatabase(write.at),
        updatedBy: write.by,
      })
      .where(eq(joints.id, id))
  })

/** Ticks a step done, or takes the tick back. Doing either twice changes nothing. */
export const setTick = (slug: string, id: string, place: TickBody, done: boolean, write: Write): Promise<JointRecord> =>
  onJoint(slug, id, write, async (tx, rules, saved) => {
    const after = accepted(tickStep(rules, saved, place, done, handOf(write)), saved)
    if (after === saved) return
    await dropSteps(tx, saved, after)
    // Ticked anew where the step says something else by now.
    for (const tick of after.ticks.filter((one) => !saved.ticks.includes(one))) {
      await tx.delete(ticks).where(tickAt(id, tick))
      await tx.insert(ticks).values({ ...tick, jointId: id, at: forDatabase(write.at) })
    }
  })

/** Starts the wait of a step, or stops it. A running wait is not started again. */
export const setTimer = (
  slug: string,
  id: string,
  place: StepPlace,
  running: boolean,
  write: Write,
): Promise<JointRecord> =>
  onJoint(slug, id, write, async (tx, rules, saved) => {
    const after = accepted(runTimer(rules, saved, place, running, write.at.toISOString()), saved)
    if (after === saved) return
    await dropSteps(tx, saved, after)
    for (const { entry, step, seconds } of after.timers.filter((one) => !saved.timers.includes(one)))
      await tx.insert(timers).values({ jointId: id, entry, step, seconds, startedAt: forDatabase(write.at) })
  })

/** Opens a signed joint again: its sign-off stays on record and no longer stands. */
export const reopen = (slug: string, id: string, body: ReopenBody, write: Write): Promise<JointRecord> =>
  onJoint(slug, id, write, async (tx, rules, saved) => {
    const after = accepted(reopenJoint(rules, saved, body, handOf(write)), saved)
    if (after === saved) return
    await dropSteps(tx, saved, after)
    await tx
      .update(joints)
      .set({
        reopenings: after.reopenings,
        version: saved.version + 1,
        updatedAt: forDatabase(write.at),
        updatedBy: write.by,
      })
      .where(eq(joints.id, id))
  })

/** Enters a check that failed: its steps are begun anew. */
export const addFault = (slug: string, id: string, body: FaultBody, write: Write): Promise<JointRecord> =>
  onJoint(slug, id, write, async (tx, rules, saved) => {
    const after = accepted(failStep(rules, saved, body, handOf(write)), saved)
    if (after === saved) return
    await dropSteps(tx, saved, after)
    await tx.update(joints).set({ faults: after.faults }).where(eq(joints.id, id))
  })

/**
 * Signs a joint off. A new entry each time; nothing signed is changed. Problem 409 with the saved joint where it is not
 * the one that was seen.
 */
export const signOff = (
  slug: string,
  id: string,
  { version, id: own, ...body }: SignoffBody,
  write: Write,
): Promise<JointRecord> =>
  onJoint(slug, id, write, async (tx, rules, saved) => {
    if (!isMade(saved) && version !== undefined && version !== saved.version) throw changedMeanwhile('joint', saved)
    const after = accepted(signJoint(rules, saved, { ...body, id: idOf(own, write) }, write.at.toISOString()), saved)
    const entry = after.signoffs.at(-1)!
    await tx.insert(signoffs).values({ ...entry, jointId: id, at: forDatabase(write.at) })
    if (body.corrects)
      await tx
        .update(joints)
        .set({
          depths: after.depths,
          version: saved.version + 1,
          updatedAt: forDatabase(write.at),
          updatedBy: write.by,
        })
        .where(eq(joints.id, id))
  })
