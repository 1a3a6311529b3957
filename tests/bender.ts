import type { Vector } from '#core/line'

/*
 * A bender, apart from the code that plans marks: a straight tube is carried through a machine point by point. Nothing
 * here knows tangents, gains or corners: it walks along the tube in small steps and turns the head where a bend is pulled.
 */

interface Pull {
  at: number
  angle: number
  turn: number
}

const rotate = (v: Vector, axis: Vector, radians: number): Vector => {
  const [c, s] = [Math.cos(radians), Math.sin(radians)]
  const along = v[0] * axis[0] + v[1] * axis[1] + v[2] * axis[2]
  const square: Vector = [
    axis[1] * v[2] - axis[2] * v[1],
    axis[2] * v[0] - axis[0] * v[2],
    axis[0] * v[1] - axis[1] * v[0],
  ]
  return [0, 1, 2].map((i) => v[i]! * c + square[i]! * s + axis[i]! * along * (1 - c)) as unknown as Vector
}

/**
 * The centre line of a tube of a length after its bends are pulled in order, as points `step` mm apart. It starts at
 * `from` heading `along`; the first bend turns towards `up`. Each `turn` rolls the tube clockwise, seen along it, before
 * its bend, as the bend before it is still in the former's plane.
 */
export function bendTube({
  length,
  radius,
  pulls,
  from,
  along,
  up,
  step = 0.01,
}: {
  length: number
  radius: number
  pulls: readonly Pull[]
  from: Vector
  along: Vector
  up: Vector
  step?: number
}): Vector[] {
  let [at, head, inside] = [from, along, up]
  const points: Vector[] = [at]
  let next = 0
  let bent = 0
  for (let walked = 0; walked < length - 1e-9;) {
    const pull = pulls[next]
    const arc = pull ? ((pull.angle * Math.PI) / 180) * radius : 0
    const isBending = pull !== undefined && walked >= pull.at - 1e-9
    // A step ends where a bend begins or ends, so that neither is overrun.
    const toBend = pull ? pull.at - walked : Infinity
    const stride = Math.min(step, length - walked, isBending ? arc - bent : toBend)
    if (!isBending) {
      at = [at[0] + head[0] * stride, at[1] + head[1] * stride, at[2] + head[2] * stride]
    } else {
      if (bent === 0) inside = rotate(inside, head, (pull.turn * Math.PI) / 180)
      const axis: Vector = [
        head[1] * inside[2] - head[2] * inside[1],
        head[2] * inside[0] - head[0] * inside[2],
        head[0] * inside[1] - head[1] * inside[0],
      ]
      const by = stride / radius
      // The chord of a small arc lies half way between the heads before and after it.
      const chord = rotate(head, axis, by / 2)
      const span = 2 * radius * Math.sin(by / 2)
      at = [at[0] + chord[0] * span, at[1] + chord[1] * span, at[2] + chord[2] * span]
      head = rotate(head, axis, by)
      inside = rotate(inside, axis, by)
      bent += stride
      if (bent >= arc - 1e-9) {
        bent = 0
        next += 1
      }
    }
    walked += stride
    points.push(at)
  }
  return points
}

/** Length of a chain of points, mm. */
export const lengthOf = (points: readonly Vector[]): number =>
  points
    .slice(1)
    .reduce((sum, p, i) => sum + Math.hypot(p[0] - points[i]![0], p[1] - points[i]![1], p[2] - points[i]![2]), 0)
