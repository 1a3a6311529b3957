import { randomUUID } from 'node:crypto'
import { and, eq, max, sql } from 'drizzle-orm'
import { findPipe, unitSystemOf } from '#core/catalogue'
import { findWays, type Policy, type Way } from '#core/joints'
import { makeCards, type MakeCard } from '#core/making'
import { isMade, type JobRecord, type JointBody, type JointRecord, type MarkRecord } from '#core/record'
import { parseLength } from '#core/units'
import { inTransaction, type Transaction } from '../db/client'
import { joints, signoffs, ticks, timers } from '../db/schema'
import { invalid, notFound, Problem } from '../http/problem'
import { findJobRow, loadJoints, lockJobRow } from './jobs'
import { nowForDatabase } from './time'

type JobRow = Awaited<ReturnType<typeof findJobRow>>

/** A joint of this job, its row held until the transaction ends. Problem 404 at `joint`. */
async function readJoint(tx: Transaction, job: JobRow, id: string): Promise<JointRecord> {
  const rows = await tx.select().from(joints).where(and(eq(joints.id, id), eq(joints.jobId, job.id))).for('update')
  const [joint] = await loadJoints(tx, rows)
  if (!joint) throw notFound('joint', 'this job has no such joint. It may belong to another job.')
  return joint
}

function checkEnds(body: Partial<JointBody>) {
  for (const on of ['a', 'b'] as const) {
    const end = body[on]
    if (!end || !('pipe' in end)) continue
    const found = findPipe(end.pipe, `${on}.pipe`)
    if (!found.ok) throw invalid(found.error)
  }
}

/** The way of an id for a joint as it would now be saved. Problem 422 where that way no longer stands. */
function takeWay(job: JobRow, joint: Pick<JointBody, 'a' | 'b' | 'conditions' | 'wayId'>): Way | null {
  if (joint.wayId === null) return null
  if (!joint.a || !joint.b) throw invalid({ code: 'missing', path: joint.a ? 'b' : 'a', message: 'Both ends are needed before a way is taken.' })
  const answer = findWays({ region: job.region as JobRecord['region'], a: joint.a, b: joint.b, conditions: joint.conditions, policy: job.policy as Partial<Policy> })
  if (!answer.ok) throw invalid(answer.error)
  const way = answer.value.ways.find(({ id }) => id === joint.wayId)
  if (!way) throw invalid({ code: 'impossible', path: 'wayId', message: 'wayId: that way is refused under these conditions. Take one from the list.' })
  return way
}

const SIGNED = new Problem(409, { code: 'impossible', path: 'joint', message: 'This joint is signed off. Its entry stays as it was signed.' })

export async function createJoint(slug: string, body: JointBody): Promise<JointRecord> {
  checkEnds(body)
  return inTransaction(async (tx) => {
    const job = await lockJobRow(tx, slug)
    const [last] = await tx.select({ number: max(joints.number) }).from(joints).where(eq(joints.jobId, job.id))
    const id = randomUUID()
    await tx.insert(joints).values({ id, jobId: job.id, number: (last?.number ?? 0) + 1, ...body, way: takeWay(job, body), updatedAt: nowForDatabase() })
    return readJoint(tx, job, id)
  })
}

/** A change to any of these makes another joint of it, so steps done for the old way no longer count. */
const REMAKES = ['a', 'b', 'conditions', 'wayId'] as const

/**
 * Changes the given fields where `version` is still the saved one. Ends or conditions that no longer allow the way
 * taken drop it. Problem 409 with the saved joint on another version, or where the joint is signed off.
 */
export async function updateJoint(slug: string, id: string, { version, ...changes }: Partial<JointBody> & { version: number }): Promise<JointRecord> {
  checkEnds(changes)
  return inTransaction(async (tx) => {
    const job = await findJobRow(tx, slug)
    const before = await readJoint(tx, job, id)
    if (before.version !== version) throw new Problem(409, { code: 'impossible', path: 'version', message: 'Someone else changed this joint meanwhile. What is saved now is shown.' }, { saved: before })
    if (isMade(before)) throw SIGNED
    const after = { ...before, ...changes }
    let way = before.way
    if (REMAKES.some(field => field in changes)) {
      try {
        way = takeWay(job, after)
      } catch (problem) {
        if ('wayId' in changes || !(problem instanceof Problem)) throw problem
        after.wayId = null
        way = null
      }
    }
    const isOther = way?.id !== before.way?.id
    if (isOther) {
      await tx.delete(ticks).where(eq(ticks.jointId, id))
      await tx.delete(timers).where(eq(timers.jointId, id))
    }
    await tx.update(joints).set({ ...changes, wayId: after.wayId, way, ...(isOther && !('depths' in changes) ? { depths: {} } : {}), version: sql`${joints.version} + 1`, updatedAt: nowForDatabase() }).where(eq(joints.id, id))
    return readJoint(tx, job, id)
  })
}

const cardsOf = (job: JobRow, joint: JointRecord): MakeCard[] => (joint.way
  ? makeCards({ joints: joint.way.joints, region: job.region as JobRecord['region'], orientation: joint.orientation, conditions: joint.conditions, policy: job.policy as Partial<Policy> })
  : [])

function stepOf(job: JobRow, joint: JointRecord, entry: number, step: number) {
  const answer = cardsOf(job, joint)[entry]?.answer
  const found = answer?.ok ? answer.value.steps[step] : undefined
  if (!found) throw notFound('step', 'this joint has no such step.')
  return found
}

/** Work on a joint that is not signed off yet, in one transaction; answers with the joint as it then stands. Problem 409 once it is signed. */
const workOn = (slug: string, id: string, work: (tx: Transaction, job: JobRow, joint: JointRecord) => Promise<void>): Promise<JointRecord> =>
  inTransaction(async (tx) => {
    const job = await findJobRow(tx, slug)
    const joint = await readJoint(tx, job, id)
    if (isMade(joint)) throw SIGNED
    await work(tx, job, joint)
    return readJoint(tx, job, id)
  })

interface StepPlace { entry: number, step: number }

/** Ticks a step done, or takes the tick back. Doing either twice changes nothing. */
export async function setTick(slug: string, id: string, { entry, step }: StepPlace, done: boolean): Promise<JointRecord> {
  return workOn(slug, id, async (tx, job, joint) => {
    const { code } = stepOf(job, joint, entry, step)
    if (done) await tx.insert(ticks).values({ jointId: id, entry, step, code, at: nowForDatabase() }).onDuplicateKeyUpdate({ set: { code } })
    else await tx.delete(ticks).where(and(eq(ticks.jointId, id), eq(ticks.entry, entry), eq(ticks.step, step)))
  })
}

/** Starts the wait of a step, or stops it. A running wait is not started again. */
export async function setTimer(slug: string, id: string, { entry, step }: StepPlace, running: boolean): Promise<JointRecord> {
  return workOn(slug, id, async (tx, job, joint) => {
    const { seconds } = stepOf(job, joint, entry, step)
    if (seconds === undefined) throw invalid({ code: 'impossible', path: 'step', message: 'step: this step has nothing to wait for.' })
    if (running) await tx.insert(timers).values({ jointId: id, entry, step, seconds, startedAt: nowForDatabase() }).onDuplicateKeyUpdate({ set: { seconds } })
    else await tx.delete(timers).where(and(eq(timers.jointId, id), eq(timers.entry, entry), eq(timers.step, step)))
  })
}

/** Depth marks as they are signed: the user's own measure where one was given, else the table's. */
function marksOf(job: JobRow, joint: JointRecord): MarkRecord[] {
  return cardsOf(job, joint).map(({ entry, joint: { method, pipe, insertion } }) => {
    const typed = joint.depths[String(entry)]?.trim()
    const measured = typed ? parseLength(typed, unitSystemOf(job.region as JobRecord['region']), `depths.${entry}`) : null
    if (measured && !measured.ok) throw invalid(measured.error)
    const mm = measured ? measured.value.mm : insertion.value
    if (mm === null) throw invalid({ code: 'missing', path: `depths.${entry}`, message: `depths.${entry}: no figure is held for this socket. Measure its depth first.` })
    return { entry, method, pipe, mm, measured: measured !== null }
  })
}

/** Signs a joint off once every step is ticked. A new entry each time; nothing signed is changed. */
export async function signJoint(slug: string, id: string, initials: string): Promise<JointRecord> {
  return workOn(slug, id, async (tx, job, joint) => {
    const cards = cardsOf(job, joint)
    if (cards.length === 0) throw invalid({ code: 'missing', path: 'wayId', message: 'Take a way to join it first.' })
    const isTicked = (entry: number, step: number) => joint.ticks.some(tick => tick.entry === entry && tick.step === step)
    const open = cards.reduce((left, { entry, answer }) => left + (answer.ok ? answer.value.steps.filter((_, step) => !isTicked(entry, step)).length : 1), 0)
    if (open > 0) throw invalid({ code: 'impossible', path: 'ticks', message: `${open} step${open === 1 ? '' : 's'} to go before it is signed.` })
    await tx.insert(signoffs).values({ id: randomUUID(), jointId: id, initials, marks: marksOf(job, joint), at: nowForDatabase() })
  })
}
