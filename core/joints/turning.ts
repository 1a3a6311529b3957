import { findValveTakeOut, getPipe, type Valve } from '#core/catalogue'
import type { Figure } from '#core/base'
import { JOINT_METHODS } from './methods'
import type { Joint } from './types'

/* Room to turn a lever or a wheel, by its reach from the stem. Lengths in mm. */

/** Room that fingers take beside a lever. Typical, makers. */
const FINGERS_MM = 25

export interface TurnRoom {
  /** Left over beside the lever; less than none is how much it is short. */
  spare: number
  /** It turns, but the hand has little room. */
  isTight: boolean
  isShort: boolean
}

/** What a lever of a reach leaves of the room on one side of the pipe, from its middle. */
export function roomToTurn(reach: number, room: number): TurnRoom {
  const spare = room - reach
  return { spare, isShort: spare < 0, isTight: spare >= 0 && spare < FINGERS_MM }
}

/** What goes out of a run of pipe for a fitting of this take-out at each end, and its length over all. */
export const faceToFace = (takeOut: number, depths: readonly [number, number]): { left: number; overall: number } => ({
  left: 2 * takeOut,
  overall: 2 * takeOut + depths[0] + depths[1],
})

/**
 * Middle of a valve to its stop at a joint of it, mm, typical; null where no row is held. Threads of metric countries are
 * parallel in the valve.
 */
export function takeOutAt(valve: Valve, { method, pipe, thread }: Joint): Figure | null {
  if (pipe === null)
    return thread
      ? findValveTakeOut(valve, { method: 'thread', form: thread.form === 'npt' ? 'npt' : 'bspp', size: thread.size })
      : null
  return method in JOINT_METHODS
    ? findValveTakeOut(valve, { method: method as keyof typeof JOINT_METHODS, pipe: getPipe(pipe) })
    : null
}
