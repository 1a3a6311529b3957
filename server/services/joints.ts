import { and, eq, max } from 'drizzle-orm'
import type { Policy } from '#core/joints'
import { beginJoint, changeJoint, failStep, isMade, reopenJoint, runTimer, signJoint, tickStep, type FaultBody, type JobRecord, type JobRules, type JointBody, type JointRecord, type ReopenBody, type SignoffBody, type StepPlace, type TickBody } from '#core/record'
import type { Transaction } from '../db/client'
import { joints, signoffs, ticks, timers } from '../db/schema'
import { accepted, changedMeanwhile, notFound } from '../http/problem'
import { findJobRow, lockJobRow, type JobRow } from './job-rows'
import { loadJoints } from './jobs'
import { idOf, once, type Write } from './once'
import { forDatabase } from './time'

const rulesOf = (job: JobRow): JobRules => ({ region: job.region as JobRecord['region'], policy: job.policy as Partial<Policy>, tools: job.tools as JobRules['tools'], fittings: job.fittings as JobRules['fittings'] })

const handOf = ({ at, by }: Write) => ({ at: at.toISOString(), by })

/** A joint of this job, its row held until the transaction ends. Problem 404 at `joint`. */
async function readJoint(tx: Transaction, job: JobRow, id: string): Promise<JointRecord> {
  const rows = await tx.select().from(joints).where(and(eq(joints.id, id), eq(joints.jobId, job.id))).for('update')
  const [joint] = await loadJoints(tx, rows)
  if (!joint) throw notFound('joint', 'this job has no such joint. It may belong to another job.')
  return joint
}

/** Work on one joint, done once; answers with the joint as it then stands. */
const onJoint = (slug: string, id: string, write: Write, work: (tx: Transaction, rules: JobRules, joint: JointRecord) => Promise<void>): Promise<JointRecord> =>
  once(write, async tx => readJoint(tx, await findJobRow(tx, slug), id), async (tx) => {
    const job = await findJobRow(tx, slug)
    await work(tx, rulesOf(job), await readJoint(tx, job, id))
    return readJoint(tx, job, id)
  })

/** A new joint with the next number of its job. */
export function createJoint(slug: string, { id: own, ...body }: JointBody & { id?: string }, write: Write): Promise<JointRecord> {
  const id = idOf(own, write)
  return once(write, async tx => readJoint(tx, await findJobRow(tx, slug), id), async (tx) => {
    const job = await lockJobRow(tx, slug)
    const [last] = await tx.select({ number: max(joints.number) }).from(joints).where(eq(joints.jobId, job.id))
    const { number, way } = accepted(beginJoint(rulesOf(job), id, (last?.number ?? 0) + 1, body, ''))
    await tx.insert(joints).values({ ...body, id, jobId: job.id, number, way, updatedAt: forDatabase(write.at), updatedBy: write.by })
    return readJoint(tx, job, id)
  })
}

/** Changes the given fields where `version` is still the saved one. Problem 409 with the saved joint on another version, or once it is signed. */
export function updateJoint(slug: string, id: string, { version, ...changes }: Partial<JointBody> & { version: number }, write: Write): Promise<JointRecord> {
  return onJoint(slug, id, write, async (tx, rules, saved) => {
    if (saved.version !== version) throw changedMeanwhile('joint', saved)
    const { wayId, way, depths, ticks: left } = accepted(changeJoint(rules, saved, changes), saved)
    if (saved.ticks.length > left.length) await tx.delete(ticks).where(eq(ticks.jointId, id))
    if (way?.id !== saved.way?.id) await tx.delete(timers).where(eq(timers.jointId, id))
    await tx.update(joints).set({ ...changes, wayId, way, depths, version: version + 1, updatedAt: forDatabase(write.at), updatedBy: write.by }).where(eq(joints.id, id))
  })
}

/** Ticks a step done, or takes the tick back. Doing either twice changes nothing. */
export const setTick = (slug: string, id: string, place: TickBody, done: boolean, write: Write): Promise<JointRecord> =>
  onJoint(slug, id, write, async (tx, rules, saved) => {
    const after = accepted(tickStep(rules, saved, place, done, handOf(write)), saved)
    if (after === saved) return
    const { entry, step } = place
    if (done) await tx.insert(ticks).values({ jointId: id, ...after.ticks.find(tick => tick.entry === entry && tick.step === step)!, at: forDatabase(write.at) })
    else await tx.delete(ticks).where(and(eq(ticks.jointId, id), eq(ticks.entry, entry), eq(ticks.step, step)))
  })

/** Starts the wait of a step, or stops it. A running wait is not started again. */
export const setTimer = (slug: string, id: string, place: StepPlace, running: boolean, write: Write): Promise<JointRecord> =>
  onJoint(slug, id, write, async (tx, rules, saved) => {
    const after = accepted(runTimer(rules, saved, place, running, write.at.toISOString()), saved)
    if (after === saved) return
    const { entry, step } = place
    if (running) await tx.insert(timers).values({ jointId: id, entry, step, seconds: after.timers.at(-1)!.seconds, startedAt: forDatabase(write.at) })
    else await tx.delete(timers).where(and(eq(timers.jointId, id), eq(timers.entry, entry), eq(timers.step, step)))
  })

type Placed = readonly { entry: number, step: number }[]
const gone = (before: Placed, after: Placed) => before.filter(one => !after.some(({ entry, step }) => entry === one.entry && step === one.step))

/** Takes off the ticks and waits that a joint no longer has. */
async function dropSteps(tx: Transaction, saved: JointRecord, after: JointRecord): Promise<void> {
  for (const { entry, step } of gone(saved.ticks, after.ticks)) await tx.delete(ticks).where(and(eq(ticks.jointId, saved.id), eq(ticks.entry, entry), eq(ticks.step, step)))
  for (const { entry, step } of gone(saved.timers, after.timers)) await tx.delete(timers).where(and(eq(timers.jointId, saved.id), eq(timers.entry, entry), eq(timers.step, step)))
}

/** Opens a signed joint again: its sign-off stays on record and no longer stands. */
export const reopen = (slug: string, id: string, body: ReopenBody, write: Write): Promise<JointRecord> =>
  onJoint(slug, id, write, async (tx, _, saved) => {
    const after = accepted(reopenJoint(saved, body, handOf(write)), saved)
    if (after === saved) return
    await dropSteps(tx, saved, after)
    await tx.update(joints).set({ reopenings: after.reopenings, version: saved.version + 1, updatedAt: forDatabase(write.at), updatedBy: write.by }).where(eq(joints.id, id))
  })

/** Enters a check that failed: its steps are begun anew. */
export const addFault = (slug: string, id: string, body: FaultBody, write: Write): Promise<JointRecord> =>
  onJoint(slug, id, write, async (tx, rules, saved) => {
    const after = accepted(failStep(rules, saved, body, handOf(write)), saved)
    if (after === saved) return
    await dropSteps(tx, saved, after)
    await tx.update(joints).set({ faults: after.faults }).where(eq(joints.id, id))
  })

/** Signs a joint off. A new entry each time; nothing signed is changed. Problem 409 with the saved joint where it is not the one that was seen. */
export const signOff = (slug: string, id: string, { version, id: own, ...body }: SignoffBody, write: Write): Promise<JointRecord> =>
  onJoint(slug, id, write, async (tx, rules, saved) => {
    if (!isMade(saved) && version !== undefined && version !== saved.version) throw changedMeanwhile('joint', saved)
    const after = accepted(signJoint(rules, saved, { ...body, id: idOf(own, write) }, write.at.toISOString()), saved)
    const entry = after.signoffs.at(-1)!
    await tx.insert(signoffs).values({ ...entry, jointId: id, at: forDatabase(write.at) })
    if (body.corrects) await tx.update(joints).set({ depths: after.depths, version: saved.version + 1, updatedAt: forDatabase(write.at), updatedBy: write.by }).where(eq(joints.id, id))
  })
