/** A direction or a place: [right, away, up], mm for places. Right-handed: right × away = up. */
export type Vector = readonly [number, number, number]

export const add = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]]
const subtract = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
export const scale = (a: Vector, by: number): Vector => [a[0] * by, a[1] * by, a[2] * by]
/** The place that lies so far along a direction from another, mm. */
export const pointAlong = (from: Vector, way: Vector, by: number): Vector => add(from, scale(way, by))
export const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
export const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]
export const size = (a: Vector): number => Math.hypot(a[0], a[1], a[2])
export const unit = (a: Vector): Vector => scale(a, 1 / size(a))

/** Angle between two directions, degrees, 0 to 180; by the arc tangent, so that small angles stay exact. */
export const angleBetween = (a: Vector, b: Vector): number => (Math.atan2(size(cross(a, b)), dot(a, b)) * 180) / Math.PI

/** The part of `a` square to the direction `along`, as a unit vector. */
export const squareTo = (a: Vector, along: Vector): Vector => unit(subtract(a, scale(along, dot(a, along))))

/** Clockwise turn from `a` to `b`, both square to `along`, looking along it; degrees, 0 up to 360. */
export function turnAbout(along: Vector, a: Vector, b: Vector): number {
  const degrees = (Math.atan2(dot(cross(a, b), along), dot(a, b)) * 180) / Math.PI
  const positive = degrees < 0 ? degrees + 360 : degrees
  return positive > 360 - 1e-9 ? 0 : positive
}

/** Least distance of two straight stretches of pipe, mm. */
export function distanceBetween([a, b]: readonly [Vector, Vector], [c, d]: readonly [Vector, Vector]): number {
  const [u, v, w] = [subtract(b, a), subtract(d, c), subtract(a, c)]
  const [uu, uv, vv, uw, vw] = [dot(u, u), dot(u, v), dot(v, v), dot(u, w), dot(v, w)]
  const clamp = (x: number) => Math.min(1, Math.max(0, x))
  const bottom = uu * vv - uv * uv
  const s = bottom < 1e-9 ? 0 : clamp((uv * vw - vv * uw) / bottom)
  const t = vv < 1e-9 ? 0 : clamp((uv * s + vw) / vv)
  const again = uu < 1e-9 ? 0 : clamp((uv * t - uw) / uu)
  return size(subtract(add(a, scale(u, again)), add(c, scale(v, t))))
}
