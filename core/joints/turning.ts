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
