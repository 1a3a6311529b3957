import type { Vector } from '#core/line'
import { alongAxis, alongDirection, type Point } from '~/drawing/iso'

/*
 * Dragging in the drawing: a leg is stretched along its own way by its end, or a new one is pulled out of a point along
 * the nearest axis. No DOM: points go in, what would be typed comes out.
 */

/** Below this it was a press, px. */
const PRESS_PX = 5
/** Lengths snap to these: 5 mm, or a quarter of an inch. */
const SNAP_MM = { metric: 5, inch: 6.35 } as const
/** Shorter is nothing, mm. */
const LEAST_MM = 5

export type Grip = { kind: 'stretch'; row: number; length: number; along: Vector } | { kind: 'pull'; point: number }

export type Drag =
  | { state: 'idle' }
  | { state: 'pressing'; grip: Grip; from: Point }
  | { state: 'stretching'; grip: Extract<Grip, { kind: 'stretch' }>; from: Point; mm: number }
  | { state: 'pulling'; grip: Extract<Grip, { kind: 'pull' }>; from: Point; letter: string; vector: Vector; mm: number }

export interface DragSurroundings {
  scale: number
  system: 'metric' | 'inch'
}

const snap = (mm: number, system: 'metric' | 'inch'): number =>
  Math.max(LEAST_MM, Math.round(mm / SNAP_MM[system]) * SNAP_MM[system])

export const press = (grip: Grip, from: Point): Drag => ({ state: 'pressing', grip, from })

export function move(drag: Drag, to: Point, { scale, system }: DragSurroundings): Drag {
  if (drag.state === 'idle') return drag
  const stroke: Point = [to[0] - drag.from[0], to[1] - drag.from[1]]
  if (drag.state === 'pressing' && Math.hypot(...stroke) < PRESS_PX) return drag
  const { grip, from } = drag
  if (grip.kind === 'stretch')
    return {
      state: 'stretching',
      grip,
      from,
      mm: snap(grip.length + alongDirection(stroke, grip.along, scale), system),
    }
  const { letter, vector, mm } = alongAxis(stroke, scale)
  return { state: 'pulling', grip, from, letter, vector, mm: snap(mm, system) }
}

/** What letting go comes to: a length for a row, a leg out of a point, a press, or nothing. */
export type Dropped =
  | { do: 'stretch'; row: number; mm: number }
  | { do: 'pull'; point: number; letter: string; mm: number }
  | { do: 'press'; grip: Grip }
  | null

export function drop(drag: Drag): Dropped {
  switch (drag.state) {
    case 'idle':
      return null
    case 'pressing':
      return { do: 'press', grip: drag.grip }
    case 'stretching':
      return { do: 'stretch', row: drag.grip.row, mm: drag.mm }
    case 'pulling':
      return { do: 'pull', point: drag.grip.point, letter: drag.letter, mm: drag.mm }
  }
}
