import { compareText, fail, ok, type Note, type Result } from '#core/base'
import { isByThread, JOINT_METHODS } from '#core/joints'
import type { MakeCard } from '#core/making'
import { parseLength, unitSystemOf } from '#core/units'
import { cardsOf } from './cards'
import { endMinutesOf, QUICK_SECONDS } from './end-minutes'
import type { Hand } from '../hand'
import { overdue } from '../kit/work'
import type { LeftCode } from './left'
import type { ReopenBody, SignoffBody } from './schema'
import { isAt, placeOf, stateOfStep, stepsOf } from './steps'
import { SIGNED, standingSignoff } from './status'
import type { JointRecord, MarkRecord, TickRecord } from './record'
import type { JobRules } from './work'

/* Signing a joint, and opening it again: what is left is asked first, and what was seen of it stays with the entry. */

/** Nobody leaves a flame's work sooner, s: hot-work practice is 30 or 60 minutes by edition, the longer is taken. */
export const WATCH_SECONDS = 3600
/** Tablet and server may tell the time this far apart, s: what was over on the one is not asked by the other. */
const CLOCKS_APART = 30

/** What is left when a joint is to be signed; it is signed once it was seen, and it stays on record. */
export interface Left {
  code: LeftCode
  text: string
  until?: string
}

const after = (iso: string, seconds: number): string => new Date(Date.parse(iso) + seconds * 1000).toISOString()
const minutesTo = (until: string, now: string): string => {
  const minutes = Math.ceil((Date.parse(until) - Date.parse(now)) / 60_000)
  return minutes >= 120 ? `${Math.round(minutes / 60)} hours` : `${minutes} minute${minutes === 1 ? '' : 's'}`
}

const tickFor = ({ ticks }: JointRecord, entry: number, step: string): TickRecord | undefined =>
  ticks.find(isAt({ entry, step }))

/** When the wait of a step began: when its clock was started, else when the step before it was done. */
function waitBegan(joint: JointRecord, card: MakeCard, at: number): string | undefined {
  const steps = stepsOf(card)
  const timer = joint.timers.find(isAt({ entry: card.entry, step: steps[at]!.id }))
  return (
    timer?.startedAt ??
    (at > 0 ? tickFor(joint, card.entry, steps[at - 1]!.id)?.at : undefined) ??
    tickFor(joint, card.entry, steps[at]!.id)?.at
  )
}

/** Waits of a card with when they run out. */
const waitsOf = (joint: JointRecord, card: MakeCard) =>
  stepsOf(card).flatMap((step, i) => {
    const began = step.seconds === undefined ? undefined : waitBegan(joint, card, i)
    return began === undefined ? [] : [{ step, until: after(began, step.seconds!) }]
  })

const FLAMED: ReadonlySet<string> = new Set(['heat', 'feed'])
const isFlamed = ({ joint: { method } }: MakeCard): boolean => !isByThread(method) && JOINT_METHODS[method].needsFlame

/**
 * What is left at a time (ISO 8601): waits that have not run out, the watch after a flame, a gauge whose check is over.
 * `cards` are the joint's own.
 */
export function leftToSign(
  rules: JobRules,
  joint: JointRecord,
  now: string,
  cards: readonly MakeCard[] = cardsOf(rules, joint),
): Left[] {
  const waits = cards
    .flatMap((card) => waitsOf(joint, card))
    .filter(({ until }) => until > now)
    .sort((x, y) => compareText(y.until, x.until))
  const flame = joint.ticks
    .filter(({ entry, code }) => FLAMED.has(code) && cards.some((card) => card.entry === entry && isFlamed(card)))
    .map(({ at }) => at)
    .sort()
    .at(-1)
  const watch = flame === undefined ? null : after(flame, WATCH_SECONDS)
  const methods = new Set(cards.map((one) => one.joint.method))
  const late = overdue(rules.tools, now.slice(0, 10)).filter(({ method }) => methods.has(method))
  return [
    ...(waits[0]
      ? [
          {
            code: 'wait' as const,
            text: `A wait has ${minutesTo(waits[0].until, now)} to go: ${waits[0].step.do}.`,
            until: waits[0].until,
          },
        ]
      : []),
    ...(watch !== null && watch > now
      ? [
          {
            code: 'watch' as const,
            text: `The watch after the flame has ${minutesTo(watch, now)} to go. Somebody stays by it until then.`,
            until: watch,
          },
        ]
      : []),
    ...late.map(({ method, due }) => ({
      code: 'gauge' as const,
      text: `The check of the ${method} tool ended ${due}, and no gauge has passed since: make a trial joint and gauge it, or have the tool checked.`,
    })),
  ]
}

/** What stands with a sign-off of how it was made: waits cut short, steps ticked within seconds of each other. */
function remarksOf(joint: JointRecord, cards: readonly MakeCard[]): Note[] {
  const early = cards.flatMap((card) =>
    waitsOf(joint, card).filter(({ step, until }) => (tickFor(joint, card.entry, step.id)?.at ?? until) < until),
  ).length
  const times = joint.ticks.map(({ at }) => Date.parse(at)).sort((x, y) => x - y)
  const isNext = (i: number): boolean => i > 0 && i < times.length && times[i]! - times[i - 1]! < QUICK_SECONDS * 1000
  const quick = times.filter((_, i) => isNext(i) || isNext(i + 1)).length
  return [
    ...(early > 0
      ? [
          {
            code: 'wait-short',
            text: `${early} wait${early === 1 ? ' was' : 's were'} ticked before the time was over.`,
          },
        ]
      : []),
    ...(quick > 0
      ? [{ code: 'quick', text: `${quick} steps were ticked within ${QUICK_SECONDS} seconds of each other.` }]
      : []),
  ]
}

/** Depth marks as they are signed: the user's own measure where one was given, else the table's. */
function marksOf(
  { region }: Pick<JobRules, 'region'>,
  joint: JointRecord,
  cards: readonly MakeCard[],
): Result<MarkRecord[]> {
  const marks: MarkRecord[] = []
  for (const {
    entry,
    joint: { method, pipe, insertion },
  } of cards) {
    const path = `depths.${entry}`
    const typed = joint.depths[String(entry)]?.trim()
    const measured = typed ? parseLength(typed, unitSystemOf(region), path) : null
    if (measured && !measured.ok) return measured
    const mm = measured ? measured.value.mm : insertion.value
    if (mm === null)
      return fail('missing', path, `${path}: no figure is held for this socket. Measure its depth first.`)
    marks.push({ entry, method, pipe, mm, measured: measured !== null })
  }
  return ok(marks)
}

/** Steps that are not done, or said something else when they were. */
const openSteps = (joint: JointRecord, cards: readonly MakeCard[]): number =>
  cards.reduce(
    (left, card) =>
      left +
      (card.answer.ok
        ? stepsOf(card).filter((step) => stateOfStep(step, tickFor(joint, card.entry, step.id)) !== 'done').length
        : 1),
    0,
  )

/** What stands with a sign-off whose time nobody but the tablet knows. */
const BY_TABLET: Note = { code: 'tablet-clock', text: "Its time is by the tablet's clock: it knew no other." }

/**
 * A joint signed once every step is ticked, with the depths it was made to. What is left then (`leftToSign`) is named
 * and signed only where `seen` says that it was seen. A second entry is only added to correct the last one by name, with
 * its own depths; nothing signed is changed.
 */
export function signJoint(
  rules: JobRules,
  joint: JointRecord,
  { id, initials, corrects, depths, seen }: SignoffBody & { id: string },
  { at, clock }: Pick<Hand, 'at' | 'clock'>,
): Result<JointRecord> {
  const cards = cardsOf(rules, joint)
  if (cards.length === 0) return fail('missing', 'wayId', 'Take a way to join it first.')
  const standing = standingSignoff(joint)
  if (standing && standing.id !== corrects) return { ok: false, error: SIGNED }
  if (!standing && corrects)
    return fail('impossible', 'corrects', 'corrects: nothing is signed yet that could be corrected.')
  const open = standing ? 0 : openSteps(joint, cards)
  if (open > 0) return fail('impossible', 'ticks', `${open} step${open === 1 ? '' : 's'} to go before it is signed.`)
  const left = standing ? [] : leftToSign(rules, joint, at, cards)
  // An earlier version did not ask: what it left is on record all the same.
  const unseen =
    standing || seen === undefined
      ? []
      : leftToSign(rules, joint, after(at, CLOCKS_APART), cards).filter(({ code }) => !seen.includes(code))
  if (unseen.length > 0)
    return fail(
      'impossible',
      'seen',
      `seen: ${unseen.map(({ text }) => text).join(' ')} Sign once you have seen to it, or say that you have seen it.`,
    )
  const made = standing && depths ? { ...joint, depths } : joint
  const marks = marksOf(rules, made, cards)
  if (!marks.ok) return marks
  const kept = standing?.remarks.filter(({ code }) => code !== BY_TABLET.code)
  const remarks = [
    ...(kept ?? [...left.map(({ code, text }): Note => ({ code, text })), ...remarksOf(joint, cards)]),
    ...(clock === 'tablet' ? [BY_TABLET] : []),
  ]
  const minutes = standing?.minutes ?? endMinutesOf(joint, cards)
  return ok({
    ...made,
    signoffs: [
      ...joint.signoffs,
      {
        id,
        initials,
        at,
        marks: marks.value,
        corrects: corrects ?? joint.signoffs.at(-1)?.id ?? null,
        remarks,
        minutes,
      },
    ],
  })
}

/**
 * A signed joint opened again, with the reason: the sign-off stays on record and no longer stands. The step that was not
 * done, where one is named, is to be done again; the joint is signed anew. Entered twice it changes nothing.
 */
export function reopenJoint(
  rules: Pick<JobRules, 'policy'>,
  joint: JointRecord,
  { id, signoff, reason, entry, step }: ReopenBody & { id: string },
  { at, by }: Hand,
): Result<JointRecord> {
  if (joint.reopenings.some((one) => one.id === id)) return ok(joint)
  const standing = standingSignoff(joint)
  if (!standing) return fail('impossible', 'signoff', 'signoff: this joint is open already.')
  if (standing.id !== signoff)
    return fail('impossible', 'signoff', 'signoff: this joint was signed anew meanwhile. Look at it first.')
  const place = entry === undefined || step === undefined ? null : placeOf(rules, joint, { entry, step })
  const isUndone = place ? isAt(place) : () => false
  if (entry !== undefined && step !== undefined && !joint.ticks.some(isUndone))
    return fail('unknown-id', 'step', 'step: this joint has no such step.')
  return ok({
    ...joint,
    reopenings: [...joint.reopenings, { id, signoff, reason, at, by }],
    ticks: joint.ticks.filter((tick) => !isUndone(tick)),
    timers: joint.timers.filter((timer) => !isUndone(timer)),
  })
}
