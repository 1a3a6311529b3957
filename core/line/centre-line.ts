import type { LaidLeg } from './types'
import { add, angleBetween, pointAlong, scale, type Vector } from './vector'

const [COS, SIN] = [Math.cos(Math.PI / 6), Math.sin(Math.PI / 6)]

/**
 * Isometric on a sheet, y down: right runs down to the right, away runs up to the right, up runs up; each axis to the
 * same scale.
 */
export const projectIsometric = ([right, away, up]: Vector): readonly [number, number] => [
  (right + away) * COS,
  (right - away) * SIN - up,
]

/** Steps that an arc is drawn in. */
const ARC_STEPS = 10

/** The centre line of a tube through its legs, corners rounded to the radius; mm. */
export function centreLine(legs: readonly LaidLeg[], radius: number): Vector[] {
  const points: Vector[] = [legs[0]!.begin]
  for (let i = 0; i + 1 < legs.length; i++) {
    const [before, after] = [legs[i]!, legs[i + 1]!]
    const half = (angleBetween(before.along, after.along) * Math.PI) / 360
    // Where the legs leave no room the corner is drawn as sharp as they allow.
    const tangent = Math.min(radius * Math.tan(half), before.length / 2, after.length / 2)
    const [from, corner, to] = [
      pointAlong(before.end, before.along, -tangent),
      before.end,
      pointAlong(before.end, after.along, tangent),
    ]
    for (let step = 0; step <= ARC_STEPS; step++) {
      const t = step / ARC_STEPS
      // A circular arc as a rational curve of its two tangents.
      const weight = Math.cos(half)
      const bottom = (1 - t) ** 2 + 2 * t * (1 - t) * weight + t ** 2
      points.push(
        scale(
          add(add(scale(from, (1 - t) ** 2), scale(corner, 2 * t * (1 - t) * weight)), scale(to, t ** 2)),
          1 / bottom,
        ),
      )
    }
  }
  points.push(legs.at(-1)!.end)
  return points
}
