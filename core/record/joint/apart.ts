import { fail, ok, type Result } from '#core/base'
import { fillPolicy, isByThread, JOINT_METHODS } from '#core/joints'
import { apartOf, weepOf, type MakeCard } from '#core/making'
import { cardsOf } from './cards'
import type { Hand } from '../hand'
import type { ApartBody, BreakOffBody, WeepBody } from './schema'
import { standingSignoff } from './status'
import { reusesOf, stepsOf, type At } from './steps'
import type { FaultRecord, JointRecord } from './record'
import type { JobRules } from './work'

/* An end that weeps, and one that is taken apart: what is done goes on record, and what stood for it is begun anew. */

/** How often an end has wept. */
export const weepsOf = ({ faults }: Pick<JointRecord, 'faults'>, entry: number): number =>
  faults.filter((fault) => fault.entry === entry && fault.code === 'weep').length

/** What is done at an end, with the steps that are to be done again. */
interface Redo {
  fault: FaultRecord
  /** Why a signed joint is opened again. */
  reason: string
  isUndone: (at: At) => boolean
}

/** A joint with what is done at one end put on record; one that was signed is open again. */
function redo(joint: JointRecord, { fault, reason, isUndone }: Redo): JointRecord {
  const standing = standingSignoff(joint)
  const { id, at, by } = fault
  return {
    ...joint,
    faults: [...joint.faults, fault],
    reopenings: standing ? [...joint.reopenings, { id, signoff: standing.id, reason, at, by }] : joint.reopenings,
    ticks: joint.ticks.filter((tick) => !isUndone(tick)),
    timers: joint.timers.filter((timer) => !isUndone(timer)),
  }
}

/** Steps that are looked at again whatever is done at an end: those with the water on. */
function isLookedAtAgain(cards: readonly MakeCard[]): (at: At) => boolean {
  const looks = cards.flatMap((card) =>
    stepsOf(card).flatMap(({ id, isUnderWater }) => (isUnderWater ? [`${card.entry} ${id}`] : [])),
  )
  return ({ entry, step }) => looks.includes(`${entry} ${step}`)
}

const cardAt = (cards: readonly MakeCard[], entry: number): Result<MakeCard> => {
  const card = cards.find((one) => one.entry === entry)
  return card ? ok(card) : fail('unknown-id', 'entry', 'entry: this joint has no such end.')
}

/**
 * An end weeps: nipped once where its method allows, else begun anew. A signed joint is opened again by it. Entered
 * twice it changes nothing.
 */
export function weepJoint(
  rules: JobRules,
  joint: JointRecord,
  { id, entry }: WeepBody & { id: string },
  { at, by }: Hand,
): Result<JointRecord> {
  if (joint.faults.some((fault) => fault.id === id)) return ok(joint)
  const cards = cardsOf(rules, joint)
  const card = cardAt(cards, entry)
  if (!card.ok) return card
  const { method } = card.value.joint
  const remedy = weepOf(method, weepsOf(joint, entry), rules.region)
  const nip = stepsOf(card.value).findLast(({ code }) => code === 'tighten')?.id
  const isOfEnd = ({ entry: on, step }: At) => on === entry && (remedy.again === 'end' || step === nip)
  const isAgain = isLookedAtAgain(cards)
  return ok(
    redo(joint, {
      fault: { id, entry, step: nip ?? 'check', code: 'weep', method, remedy: remedy.do, reused: false, at, by },
      reason: 'It weeps',
      isUndone: (place) => isOfEnd(place) || isAgain(place),
    }),
  )
}

/**
 * An end was taken apart, to be made anew; its fitting is used again only as often as the job's policy allows. A signed
 * joint is opened again by it. Entered twice it changes nothing.
 */
export function takeApart(
  rules: JobRules,
  joint: JointRecord,
  { id, entry, reused }: ApartBody & { id: string },
  { at, by }: Hand,
): Result<JointRecord> {
  if (joint.faults.some((fault) => fault.id === id)) return ok(joint)
  const cards = cardsOf(rules, joint)
  const card = cardAt(cards, entry)
  if (!card.ok) return card
  const { method } = card.value.joint
  const { again } = apartOf(method, rules.region)
  const limit = fillPolicy(rules.policy).reuseLimit
  if (reused && !again)
    return fail('impossible', 'reused', 'reused: nothing of this end is used again. Take a new fitting.')
  if (reused && reusesOf(joint, entry) >= limit)
    return fail(
      'impossible',
      'reused',
      `reused: this fitting was used again ${limit === 1 ? 'once' : `${limit} times`}, as often as this job allows. Take a new one.`,
    )
  const remedy = `Taken apart; ${reused && again ? `${again.what} used again` : 'a new fitting'}`
  const isAgain = isLookedAtAgain(cards)
  return ok(
    redo(joint, {
      fault: { id, entry, step: 'check', code: 'apart', method, remedy: `${remedy}.`, reused, at, by },
      reason: 'Taken apart',
      isUndone: (place) => place.entry === entry || isAgain(place),
    }),
  )
}

const CLOSED_WORDS: Readonly<Record<BreakOffBody['closed'], string>> = {
  capped: 'ends capped',
  plugged: 'ends plugged',
  valve: 'shut off by a valve',
  dry: 'left dry and open, water off',
}

/** Steps of an end that stand over a pause: it is cut and reamed once; clean, marked and in its place it does not stay. */
const STANDS_OVER: ReadonlySet<string> = new Set(['onpipe', 'cut', 'ream', 'deburr'])

const hasFlame = ({ joint: { method } }: MakeCard): boolean => !isByThread(method) && JOINT_METHODS[method].needsFlame
const isOpen = ({ ticks }: JointRecord, card: MakeCard): boolean =>
  stepsOf(card).some(
    (step) => !step.isUnderWater && !ticks.some((tick) => tick.entry === card.entry && tick.step === step.id),
  )

/**
 * Steps of the ends that are not done, from their cleaning on. Soldered ends are one work: none is closed while one of
 * them is open.
 */
function unfinished(joint: JointRecord, cards: readonly MakeCard[]): (at: At & { code?: string }) => boolean {
  const left = cards.filter((card) => isOpen(joint, card))
  const isHot = left.some(hasFlame)
  const open = cards.filter((card) => left.includes(card) || (isHot && hasFlame(card))).map(({ entry }) => entry)
  // A wait that runs has no code: none stands over.
  return ({ entry, code = '' }) => open.includes(entry) && !STANDS_OVER.has(code)
}

/**
 * Work on a joint broken off: how it was closed goes on record, and the ends that were not done are begun again from
 * their cleaning on. Fails where it is signed, or where nothing of it was begun. Entered twice it changes nothing.
 */
export function breakOff(
  rules: JobRules,
  joint: JointRecord,
  { id, closed, note = '' }: BreakOffBody & { id: string },
  { at, by }: Hand,
): Result<JointRecord> {
  if (joint.faults.some((fault) => fault.id === id)) return ok(joint)
  if (standingSignoff(joint)) return fail('impossible', 'joint', 'This joint is signed: nothing of it is open.')
  if (joint.ticks.length === 0)
    return fail('impossible', 'joint', 'Nothing of this joint was begun, so there is nothing to break off.')
  const cards = cardsOf(rules, joint)
  const isUndone = unfinished(joint, cards)
  const { entry, joint: made } = cards.find((card) => isOpen(joint, card)) ?? cards[0]!
  const words = `Broken off, ${CLOSED_WORDS[closed]}${note.trim() === '' ? '' : `: ${note.trim()}`}.`
  const again = joint.ticks.some(isUndone) ? ' Ends that were not done are cleaned and marked again.' : ''
  const remedy = words + again
  return ok(
    redo(joint, {
      fault: { id, entry, step: 'check', code: 'broken-off', method: made.method, remedy, reused: false, at, by },
      reason: 'Broken off',
      isUndone,
    }),
  )
}

/** How a joint stands broken off; null where it goes on, or was never. */
export function brokenOff({ faults, ticks }: Pick<JointRecord, 'faults' | 'ticks'>): FaultRecord | null {
  const last = faults.findLast(({ code }) => code === 'broken-off')
  return last && ticks.every(({ at }) => at <= last.at) ? last : null
}
