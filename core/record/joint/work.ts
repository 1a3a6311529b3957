import isEqual from 'fast-deep-equal'
import { fail, issue, ok, type Issue, type Result } from '#core/base'
import { findPipe } from '#core/catalogue'
import { findWays, isOneWay, type Way } from '#core/joints'
import type { CardRules } from './cards'
import { conditionsNow } from './conditions'
import type { Hand } from '../hand'
import { kitOf } from '../kit/work'
import type { JointBody } from './schema'
import { endsNow } from './suspects'
import { isMade, SIGNED } from './status'
import type { AsideRecord, JointRecord } from './record'
import type { JobRecord } from '../job/record'

/*
 * What each piece of work makes of a record: asked on the tablet at once, with or without a network, and by the server
 * before it saves. Nothing here reads a clock; times are ISO 8601. Steps are in `steps.ts`, signing in `sign.ts`.
 */

/** What of a job its joints are worked out by. */
export type JobRules = CardRules & Pick<JobRecord, 'fittings' | 'minutes' | 'prices' | 'hotWork'>

/** What is wrong with the ends of a joint: a pipe that is in no list, a find of another job. */
function checkEnds({ finds }: Pick<JobRules, 'finds'>, body: Partial<JointBody>): Issue | null {
  for (const on of ['a', 'b'] as const) {
    const end = body[on]
    if (!end || !('pipe' in end)) continue
    const found = findPipe(end.pipe, `${on}.pipe`)
    if (!found.ok) return found.error
  }
  for (const on of ['findA', 'findB'] as const) {
    const find = body[on]
    if (find && !finds.some(({ id }) => id === find))
      return issue('unknown-id', on, `${on}: this job has no such find. One of its own finds is accepted, or none.`)
  }
  return null
}

type Chosen = Pick<JointBody, 'a' | 'b' | 'findA' | 'findB' | 'valve' | 'conditions' | 'flex' | 'wayId'>

/** The arrow on a valve's body, against the way the water is known to run. */
function checkArrow({ valve: { kind, arrow }, conditions: { flowFrom } }: Chosen): Issue | null {
  if (!kind || !isOneWay(kind) || !arrow || !flowFrom || arrow === flowFrom) return null
  return issue(
    'impossible',
    'valve.arrow',
    'valve.arrow: the arrow on the body points against the water. Turn the valve round, or say which way the water runs.',
  )
}

/** The way of an id for a joint as it would be saved; fails where that way does not stand. */
function takeWay(rules: JobRules, joint: Chosen): Result<Way | null> {
  if (joint.wayId === null) return ok(null)
  const { a, b } = endsNow(rules, joint)
  if (!a || !b) return fail('missing', a ? 'b' : 'a', 'Both ends are needed before a way is taken.')
  const against = checkArrow(joint)
  if (against) return { ok: false, error: against }
  const answer = findWays({
    region: rules.region,
    a,
    b,
    valve: joint.valve.kind,
    conditions: conditionsNow(joint),
    policy: rules.policy,
    kit: kitOf(rules),
  })
  if (!answer.ok) return answer
  const way = answer.value.ways.find(({ id }) => id === joint.wayId)
  return way
    ? ok(way)
    : fail('impossible', 'wayId', 'wayId: that way is refused under these conditions. Take one from the list.')
}

/** A joint as it is begun, at version 1. `number` is the caller's. */
export function beginJoint(
  rules: JobRules,
  id: string,
  number: number,
  body: JointBody,
  { at, by }: Hand,
): Result<JointRecord> {
  const wrong = checkEnds(rules, body)
  if (wrong) return { ok: false, error: wrong }
  const way = takeWay(rules, body)
  if (!way.ok) return way
  return ok({
    ...body,
    id,
    number,
    way: way.value,
    version: 1,
    updatedAt: at,
    updatedBy: by,
    ticks: [],
    faults: [],
    timers: [],
    reopenings: [],
    signoffs: [],
    aside: [],
  })
}

/** What may still be said of a joint once it is signed. */
const AFTER_SIGNED: ReadonlySet<string> = new Set(['comeBack', 'comeBackFor'])

/** A change to any of these makes another joint of it, so steps done for the old way no longer count. */
const REMAKES = ['a', 'b', 'valve', 'conditions', 'flex', 'wayId'] as const

/** What is put aside where another way is taken: everything that the steps rest on; nothing where none was done yet. */
function putAside(joint: JointRecord): AsideRecord[] {
  const { a, b, findA, findB, valve, conditions, flex, wayId, depths, ticks, timers } = joint
  return ticks.length + timers.length === 0
    ? []
    : [{ a, b, findA, findB, valve, conditions, flex, wayId, depths, ticks, timers }]
}

/**
 * A joint with some fields changed. Ends or conditions that no longer allow the way taken drop it, and its steps are put
 * aside, to be brought back (`bringBack`). Fails with `SIGNED` once signed.
 */
export function changeJoint(rules: JobRules, joint: JointRecord, changes: Partial<JointBody>): Result<JointRecord> {
  const wrong = checkEnds(rules, changes)
  if (wrong) return { ok: false, error: wrong }
  // When it is come back to is no part of what was signed.
  if (isMade(joint) && Object.keys(changes).some((field) => !AFTER_SIGNED.has(field)))
    return { ok: false, error: SIGNED }
  const after: JointRecord = { ...joint, ...changes }
  if (!REMAKES.some((field) => field in changes && !isEqual(changes[field], joint[field]))) return ok(after)
  const way = takeWay(rules, after)
  if (!way.ok && 'wayId' in changes) return way
  after.way = way.ok ? way.value : null
  after.wayId = after.way?.id ?? null
  if (after.way?.id === joint.way?.id) return ok(after)
  return ok({
    ...after,
    ticks: [],
    timers: [],
    depths: changes.depths ?? {},
    aside: [...putAside(joint), ...joint.aside],
  })
}

/** How many ticked steps a change puts aside; 0 where it cannot be made. */
export function stepsPutAside(rules: JobRules, joint: JointRecord, changes: Partial<JointBody>): number {
  const after = changeJoint(rules, joint, changes)
  return after.ok && after.value.ticks.length < joint.ticks.length ? joint.ticks.length : 0
}

/**
 * What was put aside last, brought back as it was. What stands now goes behind the others, so that each can be had again
 * and none is lost. Nothing put aside changes nothing.
 */
export function bringBack(rules: JobRules, joint: JointRecord): Result<JointRecord> {
  const [last, ...others] = joint.aside
  if (!last) return ok(joint)
  if (isMade(joint)) return { ok: false, error: SIGNED }
  // What an earlier version put aside says nothing of flexible tube, nor of a valve.
  const was = { ...last, flex: last.flex ?? {}, valve: last.valve ?? {} }
  const way = takeWay(rules, was)
  if (!way.ok) return fail('impossible', 'aside', `aside: that way does not stand any more. ${way.error.message}`)
  return ok({ ...joint, ...was, way: way.value, aside: [...others, ...putAside(joint)] })
}

/** Whether nothing was ever done on a joint: it can be taken out as if it had not been begun. */
export const isUntouched = ({ ticks, timers, faults, signoffs, aside }: JointRecord): boolean =>
  ticks.length + timers.length + faults.length + signoffs.length + aside.length === 0

/** A joint taken out. Fails with `SIGNED` once signed, at `joint` where a step of it was done or put aside. */
export function dropJoint(joint: JointRecord): Result<null> {
  const { number, ticks, timers, signoffs } = joint
  if (signoffs.length > 0) return { ok: false, error: SIGNED }
  if (isUntouched(joint)) return ok(null)
  return fail(
    'impossible',
    'joint',
    ticks.length + timers.length > 0
      ? `joint: steps of J${number} are done. Take them back first.`
      : `joint: work that was done on J${number} is on record, so it stays.`,
  )
}
