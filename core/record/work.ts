import isEqual from 'fast-deep-equal'
import { fail, issue, ok, type Issue, type Result } from '#core/base'
import { findPipe, unitSystemOf } from '#core/catalogue'
import { fillPolicy, findWays, type Way } from '#core/joints'
import { judgeReading, rangeWords, remedyOf, type MakeCard, type Step } from '#core/making'
import { cardsOf } from './cards'
import { parseLength } from '#core/units'
import { kitOf } from './kit'
import type { Hand } from './find-work'
import type { FaultBody, JointBody, ReopenBody, SignoffBody, StepPlace, TickBody } from './schema'
import { isMade, standingSignoff, type JobRecord, type JointRecord, type MarkRecord } from './types'

/*
 * What each piece of work makes of a record: asked on the tablet at once, with or without a network, and by the server
 * before it saves. Nothing here reads a clock; times are ISO 8601.
 */

/** What of a job its joints are worked out by. */
export type JobRules = Pick<JobRecord, 'region' | 'policy' | 'tools' | 'fittings'>

/** Why signed work is not changed. */
export const SIGNED: Issue = issue('impossible', 'joint', 'This joint is signed off. Its entry stays as it was signed.')
/** What to do where a step turns out not to be done after all. */
export const UNDONE: Issue = issue('impossible', 'joint', 'This joint is signed off, so its steps stay ticked. If that step was not done, open the joint again with the reason, do it, and sign it anew.')
/** Why a step of one way is not counted for another. */
export const OTHER_WAY: Issue = issue('impossible', 'way', 'Another way was taken for this joint meanwhile. That step belongs to the one before.')

function checkEnds(body: Partial<JointBody>): Issue | null {
  for (const on of ['a', 'b'] as const) {
    const end = body[on]
    if (!end || !('pipe' in end)) continue
    const found = findPipe(end.pipe, `${on}.pipe`)
    if (!found.ok) return found.error
  }
  return null
}

/** The way of an id for a joint as it would be saved; fails where that way does not stand. */
function takeWay(rules: JobRules, joint: Pick<JointBody, 'a' | 'b' | 'conditions' | 'wayId'>): Result<Way | null> {
  if (joint.wayId === null) return ok(null)
  if (!joint.a || !joint.b) return fail('missing', joint.a ? 'b' : 'a', 'Both ends are needed before a way is taken.')
  const answer = findWays({ region: rules.region, a: joint.a, b: joint.b, conditions: joint.conditions, policy: rules.policy, kit: kitOf(rules) })
  if (!answer.ok) return answer
  const way = answer.value.ways.find(({ id }) => id === joint.wayId)
  return way ? ok(way) : fail('impossible', 'wayId', 'wayId: that way is refused under these conditions. Take one from the list.')
}

/** A joint as it is begun, at version 1. `number` and `updatedAt` are the caller's. */
export function beginJoint(rules: JobRules, id: string, number: number, body: JointBody, updatedAt: string): Result<JointRecord> {
  const wrong = checkEnds(body)
  if (wrong) return { ok: false, error: wrong }
  const way = takeWay(rules, body)
  if (!way.ok) return way
  return ok({ ...body, id, number, way: way.value, version: 1, updatedAt, updatedBy: '', ticks: [], faults: [], timers: [], reopenings: [], signoffs: [] })
}

/** A change to any of these makes another joint of it, so steps done for the old way no longer count. */
const REMAKES = ['a', 'b', 'conditions', 'wayId'] as const

/** A joint with some fields changed. Ends or conditions that no longer allow the way taken drop it, with its ticks. Fails with `SIGNED` once signed. */
export function changeJoint(rules: JobRules, joint: JointRecord, changes: Partial<JointBody>): Result<JointRecord> {
  const wrong = checkEnds(changes)
  if (wrong) return { ok: false, error: wrong }
  // When it is come back to is no part of what was signed.
  if (isMade(joint) && Object.keys(changes).some(field => field !== 'comeBack')) return { ok: false, error: SIGNED }
  const after: JointRecord = { ...joint, ...changes }
  if (!REMAKES.some(field => field in changes && !isEqual(changes[field], joint[field]))) return ok(after)
  const way = takeWay(rules, after)
  if (!way.ok && 'wayId' in changes) return way
  after.way = way.ok ? way.value : null
  after.wayId = after.way?.id ?? null
  if (after.way?.id === joint.way?.id) return ok(after)
  return ok({ ...after, ticks: [], timers: [], depths: changes.depths ?? {} })
}

const cardAt = (rules: JobRules, joint: JointRecord, entry: number): MakeCard | undefined => cardsOf(rules, joint).find(card => card.entry === entry)

const isAt = (place: StepPlace) => (other: { entry: number, step: number }): boolean => other.entry === place.entry && other.step === place.step

/** The step at a place, where the joint is still made the way the place was read from. */
function stepAt(rules: JobRules, joint: JointRecord, place: StepPlace): Result<Step> {
  if (place.way !== undefined && place.way !== joint.wayId) return { ok: false, error: OTHER_WAY }
  const answer = cardAt(rules, joint, place.entry)?.answer
  const step = answer?.ok ? answer.value.steps[place.step] : undefined
  return step ? ok(step) : fail('unknown-id', 'step', 'step: this joint has no such step.')
}

/** A figure that proves a step, by its own limits; null where it holds, or where makers differ. */
function checkReading({ ask }: Step, reading: number | null | undefined): Issue | null {
  if (reading === null || reading === undefined) return null
  if (!ask) return issue('impossible', 'reading', 'reading: this step has nothing to measure.')
  return !ask.isFirm || judgeReading(ask, reading) === 'within' ? null : issue('range', 'reading', `reading: ${ask.words.toLowerCase()} is ${rangeWords(ask)}. ${reading} is outside: enter that the check fails, and what to do comes up.`)
}

/** A step ticked done at a time, with what proved it, or its tick taken back. Doing either twice changes nothing, signed or not. */
export function tickStep(rules: JobRules, joint: JointRecord, { reading = null, ...place }: TickBody, done: boolean, { at, by }: Hand): Result<JointRecord> {
  const step = stepAt(rules, joint, place)
  if (!step.ok) return step
  if (joint.ticks.some(isAt(place)) === done) return ok(joint)
  if (isMade(joint)) return { ok: false, error: done ? SIGNED : UNDONE }
  const wrong = done ? checkReading(step.value, reading) : null
  if (wrong) return { ok: false, error: wrong }
  const others = joint.ticks.filter(tick => !isAt(place)(tick))
  return ok({ ...joint, ticks: done ? [...others, { entry: place.entry, step: place.step, code: step.value.code, at, by, reading }].sort((a, b) => a.entry - b.entry || a.step - b.step) : others })
}

/** How often the fitting of an entry was used again after a check that failed. */
export const reusesOf = ({ faults }: Pick<JointRecord, 'faults'>, entry: number): number => faults.filter(fault => fault.entry === entry && fault.reused).length

/**
 * A check that failed: what is to be done about it goes on record, and the step, or the whole end, is begun anew. A fitting
 * is used again only as often as the job's policy allows; then a new one is taken. Entered twice it changes nothing.
 */
export function failStep(rules: JobRules, joint: JointRecord, { id, reading = null, ...place }: FaultBody, { at, by }: Hand): Result<JointRecord> {
  if (joint.faults.some(fault => fault.id === id)) return ok(joint)
  const step = stepAt(rules, joint, place)
  if (!step.ok) return step
  if (isMade(joint)) return { ok: false, error: SIGNED }
  const method = cardAt(rules, joint, place.entry)!.joint.method
  const remedy = remedyOf(method, step.value.code)
  const used = reusesOf(joint, place.entry)
  const reused = remedy.reuses && used < fillPolicy(rules.policy).reuseLimit
  const words = remedy.reuses && !reused ? `${remedy.do}. It was used again ${used === 1 ? 'once' : `${used} times`}, as often as this job allows: take a new fitting` : remedy.do
  const isBegunAnew = (one: { entry: number, step: number }) => one.entry === place.entry && (remedy.again === 'end' || one.step >= place.step)
  return ok({
    ...joint, faults: [...joint.faults, { id, entry: place.entry, step: place.step, code: step.value.code, method, remedy: `${words}.`, reused, at, by, reading }],
    ticks: joint.ticks.filter(tick => !isBegunAnew(tick)), timers: joint.timers.filter(timer => !isBegunAnew(timer)),
  })
}

/** The wait of a step started at a time, or stopped. A running wait is not started again. */
export function runTimer(rules: JobRules, joint: JointRecord, place: StepPlace, running: boolean, startedAt: string): Result<JointRecord> {
  const step = stepAt(rules, joint, place)
  if (!step.ok) return step
  const { seconds } = step.value
  if (seconds === undefined) return fail('impossible', 'step', 'step: this step has nothing to wait for.')
  if (joint.timers.some(isAt(place)) === running) return ok(joint)
  if (isMade(joint)) return { ok: false, error: SIGNED }
  const others = joint.timers.filter(timer => !isAt(place)(timer))
  return ok({ ...joint, timers: running ? [...others, { entry: place.entry, step: place.step, seconds, startedAt }] : others })
}

/**
 * A signed joint opened again, with the reason: the sign-off stays on record and no longer stands. The step that was not
 * done, where one is named, is to be done again; the joint is signed anew. Entered twice it changes nothing.
 */
export function reopenJoint(joint: JointRecord, { id, signoff, reason, entry, step }: ReopenBody, { at, by }: Hand): Result<JointRecord> {
  if (joint.reopenings.some(one => one.id === id)) return ok(joint)
  const standing = standingSignoff(joint)
  if (!standing) return fail('impossible', 'signoff', 'signoff: this joint is open already.')
  if (standing.id !== signoff) return fail('impossible', 'signoff', 'signoff: this joint was signed anew meanwhile. Look at it first.')
  const isUndone = (one: { entry: number, step: number }) => one.entry === entry && one.step === step
  if (entry !== undefined && step !== undefined && !joint.ticks.some(isUndone)) return fail('unknown-id', 'step', 'step: this joint has no such step.')
  return ok({ ...joint, reopenings: [...joint.reopenings, { id, signoff, reason, at, by }], ticks: joint.ticks.filter(tick => !isUndone(tick)), timers: joint.timers.filter(timer => !isUndone(timer)) })
}

/** Depth marks as they are signed: the user's own measure where one was given, else the table's. */
function marksOf(rules: JobRules, joint: JointRecord): Result<MarkRecord[]> {
  const marks: MarkRecord[] = []
  for (const { entry, joint: { method, pipe, insertion } } of cardsOf(rules, joint)) {
    const path = `depths.${entry}`
    const typed = joint.depths[String(entry)]?.trim()
    const measured = typed ? parseLength(typed, unitSystemOf(rules.region), path) : null
    if (measured && !measured.ok) return measured
    const mm = measured ? measured.value.mm : insertion.value
    if (mm === null) return fail('missing', path, `${path}: no figure is held for this socket. Measure its depth first.`)
    marks.push({ entry, method, pipe, mm, measured: measured !== null })
  }
  return ok(marks)
}

/**
 * A joint signed once every step is ticked, with the depths it was made to. A second entry is only added to correct the
 * last one by name, with its own depths; nothing signed is changed.
 */
export function signJoint(rules: JobRules, joint: JointRecord, { id, initials, corrects, depths }: SignoffBody & { id: string }, at: string): Result<JointRecord> {
  const cards = cardsOf(rules, joint)
  if (cards.length === 0) return fail('missing', 'wayId', 'Take a way to join it first.')
  const standing = standingSignoff(joint)
  if (standing && standing.id !== corrects) return { ok: false, error: SIGNED }
  if (!standing && corrects) return fail('impossible', 'corrects', 'corrects: nothing is signed yet that could be corrected.')
  const open = standing ? 0 : cards.reduce((left, { entry, answer }) => left + (answer.ok ? answer.value.steps.filter((_, step) => !joint.ticks.some(isAt({ entry, step }))).length : 1), 0)
  if (open > 0) return fail('impossible', 'ticks', `${open} step${open === 1 ? '' : 's'} to go before it is signed.`)
  const made = standing && depths ? { ...joint, depths } : joint
  const marks = marksOf(rules, made)
  return marks.ok ? ok({ ...made, signoffs: [...joint.signoffs, { id, initials, at, marks: marks.value, corrects: corrects ?? joint.signoffs.at(-1)?.id ?? null }] }) : marks
}
