import { compareText, fail, issue, ok, type Issue, type Result } from '#core/base'
import { fillPolicy, type Step } from '#core/joints'
import { judgeReading, unitSystemOf } from '#core/units'
import { figuresOf, rangeWords, readingWords, remedyOf, stepAtPlace, type MakeCard } from '#core/making'
import { cardsOf } from './cards'
import { crossedText } from './fixture'
import type { Hand } from '../hand'
import type { StepPlace, TickBody } from './schema'
import { suspectsOf } from './suspects'
import { isMade, SIGNED } from './status'
import type { JointRecord, TickRecord } from './record'
import type { JobRules } from './work'

/*
 * What is recorded of a joint's steps. A step goes by its id, which stays whatever else is put on the card; what was
 * ticked keeps what the step then said, so that a change of it is seen.
 */

/** What to do where a step turns out not to be done after all. */
export const UNDONE: Issue = issue(
  'impossible',
  'joint',
  'This joint is signed off, so its steps stay ticked. If that step was not done, open the joint again with the reason, do it, and sign it anew.',
)
/** Why a step of one way is not counted for another. */
export const OTHER_WAY: Issue = issue(
  'impossible',
  'way',
  'Another way was taken for this joint meanwhile. That step belongs to the one before.',
)

/** A step of an entry, by its id. */
export interface At {
  entry: number
  step: string
}
export const isAt =
  (place: At) =>
  (other: At): boolean =>
    other.entry === place.entry && other.step === place.step

const cardAt = (rules: JobRules, joint: JointRecord, entry: number): MakeCard | undefined =>
  cardsOf(rules, joint).find((card) => card.entry === entry)
export const stepsOf = (card: MakeCard | undefined): readonly Step[] => (card?.answer.ok ? card.answer.value.steps : [])

/**
 * A place by the step's id; an entry of an earlier version names it by its number. null where there is no such step.
 */
export function placeOf(
  { policy }: Pick<JobRules, 'policy'>,
  joint: Pick<JointRecord, 'way'>,
  { entry, step }: Pick<StepPlace, 'entry' | 'step'>,
): At | null {
  if (typeof step === 'string') return { entry, step }
  const made = joint.way?.joints[entry]
  const id = made ? stepAtPlace(made.method, made.pipe, fillPolicy(policy).threadSeal, step) : null
  return id === null ? null : { entry, step: id }
}

const NO_STEP = fail('unknown-id', 'step', 'step: this joint has no such step.')

/** The step at a place, where the joint is still made the way the place was read from. */
function stepAt(rules: JobRules, joint: JointRecord, place: StepPlace): Result<{ at: At; step: Step; card: MakeCard }> {
  if (place.way !== undefined && place.way !== joint.wayId) return { ok: false, error: OTHER_WAY }
  const at = placeOf(rules, joint, place)
  const card = at ? cardAt(rules, joint, at.entry) : undefined
  const step = stepsOf(card).find(({ id }) => id === at?.step)
  return at && card && step ? ok({ at, step, card }) : NO_STEP
}

/** A figure that proves a step, by its own limits; null where it holds, or where makers differ. */
function checkReading({ region }: JobRules, { ask }: Step, reading: number | null | undefined): Issue | null {
  if (reading === null || reading === undefined) return null
  if (!ask) return issue('impossible', 'reading', 'reading: this step has nothing to measure.')
  if (!ask.isFirm || judgeReading(ask, reading) === 'within') return null
  const system = unitSystemOf(region)
  return issue(
    'range',
    'reading',
    `reading: ${ask.words.toLowerCase()} is ${rangeWords(ask, system, reading)}. ${readingWords(ask, system, reading)} is outside: enter that the check fails, and what to do comes up.`,
  )
}

/** The step of an entry that opens the pipe: its cut, or on a thread the first thing done to it. */
export const cuttingStep = (steps: readonly Step[]): Step | undefined =>
  steps.find(({ code }) => code === 'cut') ?? steps[0]

const CLOSING: ReadonlySet<Step['code']> = new Set(['assemble', 'insert', 'tighten'])
/** The step of an entry that closes it. */
const closingStep = (steps: readonly Step[]): Step | undefined => steps.find(({ code }) => CLOSING.has(code))

/**
 * Why a step is not done yet: its pipe may be gas or has water in it, and is not cut; hot and cold are crossed, and it is
 * not closed. null for every other.
 */
export function heldStep(rules: JobRules, joint: JointRecord, card: MakeCard, step: Pick<Step, 'id'>): string | null {
  if (closingStep(stepsOf(card))?.id === step.id) {
    const crossed = crossedText(joint)
    if (crossed !== null) return crossed
  }
  if (cuttingStep(stepsOf(card))?.id !== step.id) return null
  return suspectsOf(rules, joint).find(({ on }) => on === card.joint.on)?.text ?? null
}

/** How a step stands: done; done, but it said something else then; or to do. */
export type StepState = 'open' | 'done' | 'changed'
export const stateOfStep = (step: Step, tick: Pick<TickRecord, 'did'> | undefined): StepState => {
  if (!tick) return 'open'
  return tick.did === null || tick.did === figuresOf(step) ? 'done' : 'changed'
}

const inOrder = (ticks: readonly TickRecord[]): TickRecord[] =>
  [...ticks].sort((x, y) => x.entry - y.entry || compareText(x.at, y.at) || (x.step < y.step ? -1 : 1))

/**
 * A step ticked done at a time, with what proved it, or its tick taken back. Doing either twice changes nothing, signed
 * or not; a step that says something else since is ticked anew.
 */
export function tickStep(
  rules: JobRules,
  joint: JointRecord,
  { reading = null, ...place }: TickBody,
  done: boolean,
  { at: time, by }: Hand,
): Result<JointRecord> {
  const found = stepAt(rules, joint, place)
  if (!found.ok) return found
  const { at, step, card } = found.value
  const tick = joint.ticks.find(isAt(at))
  if (done ? stateOfStep(step, tick) === 'done' : !tick) return ok(joint)
  if (isMade(joint)) return { ok: false, error: done ? SIGNED : UNDONE }
  const held = done ? heldStep(rules, joint, card, step) : null
  if (held !== null) return fail('impossible', 'step', `step: ${held}`)
  const wrong = done ? checkReading(rules, step, reading) : null
  if (wrong) return { ok: false, error: wrong }
  const others = joint.ticks.filter((one) => !isAt(at)(one))
  return ok({
    ...joint,
    ticks: done
      ? inOrder([...others, { ...at, code: step.code, at: time, by, reading, did: figuresOf(step) }])
      : others,
  })
}

/** How often the fitting of an entry was used again after a check that failed. */
export const reusesOf = ({ faults }: Pick<JointRecord, 'faults'>, entry: number): number =>
  faults.filter((fault) => fault.entry === entry && fault.reused).length

/**
 * A check that failed: what is to be done about it goes on record, and the step, or the whole end, is begun anew. A fitting
 * is used again only as often as the job's policy allows; then a new one is taken. Entered twice it changes nothing.
 */
export function failStep(
  rules: JobRules,
  joint: JointRecord,
  { id, reading = null, ...place }: TickBody & { id: string },
  { at: time, by }: Hand,
): Result<JointRecord> {
  if (joint.faults.some((fault) => fault.id === id)) return ok(joint)
  const found = stepAt(rules, joint, place)
  if (!found.ok) return found
  if (isMade(joint)) return { ok: false, error: SIGNED }
  const { at, step, card } = found.value
  const { method } = card.joint
  const remedy = remedyOf(method, step.code, rules.region)
  const used = reusesOf(joint, at.entry)
  const reused = remedy.reuses && used < fillPolicy(rules.policy).reuseLimit
  const words =
    remedy.reuses && !reused
      ? `${remedy.do}. It was used again ${used === 1 ? 'once' : `${used} times`}, as often as this job allows: take a new fitting`
      : remedy.do
  const ids = stepsOf(card).map((one) => one.id)
  const isBegunAnew = (one: At) =>
    one.entry === at.entry && (remedy.again === 'end' || ids.indexOf(one.step) >= ids.indexOf(at.step))
  return ok({
    ...joint,
    faults: [
      ...joint.faults,
      { id, ...at, code: step.code, method, remedy: `${words}.`, reused, at: time, by, reading },
    ],
    ticks: joint.ticks.filter((tick) => !isBegunAnew(tick)),
    timers: joint.timers.filter((timer) => !isBegunAnew(timer)),
  })
}

/** The wait of a step started at a time, or stopped. A running wait is not started again. */
export function runTimer(
  rules: JobRules,
  joint: JointRecord,
  place: StepPlace,
  running: boolean,
  startedAt: string,
): Result<JointRecord> {
  const found = stepAt(rules, joint, place)
  if (!found.ok) return found
  const { at, step } = found.value
  const { seconds } = step
  if (seconds === undefined) return fail('impossible', 'step', 'step: this step has nothing to wait for.')
  if (joint.timers.some(isAt(at)) === running) return ok(joint)
  if (isMade(joint)) return { ok: false, error: SIGNED }
  const others = joint.timers.filter((timer) => !isAt(at)(timer))
  return ok({ ...joint, timers: running ? [...others, { ...at, seconds, startedAt }] : others })
}
