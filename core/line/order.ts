import { arcOfBend } from './bend'
import { GRIP_OD } from './clearances'
import type { Piece } from './types'

/** One bend as it is pulled: which end lies in the hook, and where the hook edge goes, mm from the left end. */
export interface Pull {
  /** Number of the bend from the left, from 1. */
  bend: number
  holds: 'left' | 'right'
  hook: number
  /** Straight pipe in the hook, mm; less than `needs` and that end is left long and trimmed after. */
  straight: number
  needs: number
}

/**
 * The bends of a piece in an order in which what is bent already clears the former: from one end to the other, each held
 * by the side that is still straight enough. Starts at the end with less pipe, so that the longer tail swings free. The
 * grip needed is ours, two outside diameters (`od`, mm).
 */
export function orderBends({ marks, straights, cut }: Piece, od: number): Pull[] {
  const bends = marks.filter((mark) => mark.what === 'bend')
  const needs = GRIP_OD * od
  const isForward = straights[0]! <= straights.at(-1)!
  const order = isForward ? bends.map((_, i) => i) : bends.map((_, i) => bends.length - 1 - i)
  return order.map((index, turn): Pull => {
    const bend = bends[index]!
    const arc = arcOfBend(bend)
    const lead = bend.at - bend.hook
    // All of the tube beyond the first pull is straight; towards what was pulled before, only the stretch between.
    const left = isForward && turn > 0 ? straights[index]! : bend.at
    const right = !isForward && turn > 0 ? straights[index + 1]! : (cut ?? Infinity) - bend.at - arc
    const holdsLeft = isForward ? left >= needs || left >= right : right < needs && left > right
    return holdsLeft
      ? { bend: index + 1, holds: 'left', hook: bend.hook, straight: left, needs }
      : { bend: index + 1, holds: 'right', hook: bend.at + arc + lead, straight: right, needs }
  })
}
