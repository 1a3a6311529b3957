import { projectIsometric, type Vector } from '#core/line'

/** A place on the drawing, px. */
export type Point = readonly [number, number]

export const project = (at: Vector): Point => projectIsometric(at)

/** How a run lies on the sheet: px of the drawing for each mm along an axis, and where its origin stands. */
export interface Sheet {
  scale: number
  x: number
  y: number
}

export const onSheet = ({ scale, x, y }: Sheet, at: Vector): Point => {
  const [px, py] = project(at)
  return [x + px * scale, y + py * scale]
}

export interface Margins {
  left: number
  right: number
  top: number
  bottom: number
}

/** Scales that are said plainly: 1, 2, 2.5, 4, 5 times a power of ten. */
const PLAIN = [1, 1.2, 1.5, 1.8, 2, 2.5, 3, 4, 5, 6, 8]
/** The largest plain scale not over a given one, at most 2 px for a mm. */
export function plainScale(scale: number): number {
  const power = 10 ** Math.floor(Math.log10(Math.min(scale, 2)))
  const step = PLAIN.filter((one) => one * power <= Math.min(scale, 2) + 1e-9).at(-1) ?? 1
  return step * power
}

/** Lays a run in the middle of a sheet of a size, px, as large as a plain scale allows. */
export function fitSheet(points: readonly Vector[], width: number, height: number, margins: Margins): Sheet {
  const places = points.map(project)
  const [xs, ys] = [places.map(([x]) => x), places.map(([, y]) => y)]
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const [roomX, roomY] = [
    Math.max(40, width - margins.left - margins.right),
    Math.max(40, height - margins.top - margins.bottom),
  ]
  const scale = plainScale(Math.min(roomX / Math.max(right - left, 1), roomY / Math.max(bottom - top, 1)))
  return {
    scale,
    x: margins.left + (roomX - (right - left) * scale) / 2 - left * scale,
    y: margins.top + (roomY - (bottom - top) * scale) / 2 - top * scale,
  }
}

/** The six ways along the axes as letters, with their direction on the sheet. */
export const AXES: readonly { letter: string; vector: Vector; on: Point }[] = (
  [
    ['e', [1, 0, 0]],
    ['w', [-1, 0, 0]],
    ['n', [0, 1, 0]],
    ['s', [0, -1, 0]],
    ['u', [0, 0, 1]],
    ['d', [0, 0, -1]],
  ] as const
).map(([letter, vector]) => ({ letter, vector, on: project(vector) }))

const dot = (a: Point, b: Point) => a[0] * b[0] + a[1] * b[1]

/** The axis that a stroke on the sheet runs along best, and how far along it, mm. */
export function alongAxis(stroke: Point, scale: number): { letter: string; vector: Vector; mm: number } {
  const best = AXES.reduce((one, other) => (dot(stroke, other.on) > dot(stroke, one.on) ? other : one))
  return { letter: best.letter, vector: best.vector, mm: Math.max(0, dot(stroke, best.on) / scale) }
}

/**
 * How far a stroke on the sheet goes along a direction of the run, mm; negative is back. A direction seen end on is
 * none.
 */
export function alongDirection(stroke: Point, direction: Vector, scale: number): number {
  const on = project(direction)
  const length = dot(on, on)
  return length < 0.01 ? 0 : dot(stroke, on) / length / scale
}
