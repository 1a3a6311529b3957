import { flexPlay, type Conditions, type EndPlay } from '#core/joints'
import type { JointRecord } from './record'

/** What of a joint says how far its ends move. */
export type Moved = Pick<JointRecord, 'a' | 'b' | 'conditions' | 'flex'>

/** Play of both ends as it was typed; one figure for both counts as the first end's, and the other moves not at all. */
function typedPlay({ play }: Partial<Conditions>): Record<'a' | 'b', EndPlay> {
  if (typeof play === 'number') return { a: { along: play, aside: play }, b: { along: 0, aside: 0 } }
  return { a: play?.a ?? {}, b: play?.b ?? {} }
}

/**
 * How far an end moves: what was typed of it, else what flexible tube gives between its end and its last clip. mm; not
 * given is enough.
 */
export function playOfEnd(joint: Moved, on: 'a' | 'b'): EndPlay {
  const [typed, end, free] = [typedPlay(joint.conditions)[on], joint[on], joint.flex[on]]
  const flex = free !== undefined && end && 'pipe' in end ? flexPlay(end.pipe, free) : null
  const given = Object.fromEntries(Object.entries(typed).filter(([, mm]) => mm !== undefined))
  return flex ? { along: flex.along, aside: flex.aside, ...given } : typed
}

/** The conditions of a joint as they stand: with the play that its flexible tube gives by its radius. */
export function conditionsNow(joint: Moved): Partial<Conditions> {
  return joint.flex.a === undefined && joint.flex.b === undefined
    ? joint.conditions
    : { ...joint.conditions, play: { a: playOfEnd(joint, 'a'), b: playOfEnd(joint, 'b') } }
}
