import { dot, type Vector } from '#core/line'
import { onSheet, project, type Point, type Sheet } from './iso'

/* Where the parts of a run lie on its sheet. Only reads core's geometry; px throughout. */

export const toPath = (points: readonly Point[]): string =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${Math.round(x * 10) / 10} ${Math.round(y * 10) / 10}`).join('')

/** A straight stretch on the sheet. */
export type Stretch = readonly [Point, Point]

const distanceToStretch = ([x, y]: Point, [[x1, y1], [x2, y2]]: Stretch): number => {
  const [dx, dy] = [x2 - x1, y2 - y1]
  const t = dx === 0 && dy === 0 ? 0 : Math.min(1, Math.max(0, ((x - x1) * dx + (y - y1) * dy) / (dx * dx + dy * dy)))
  return Math.hypot(x - x1 - t * dx, y - y1 - t * dy)
}
/** How clear a place is of all that is drawn. */
export const clearance = (at: Point, stretches: readonly Stretch[]): number =>
  stretches.reduce((least, one) => Math.min(least, distanceToStretch(at, one)), Infinity)

/** A measure beside a leg: its line, the ends it is taken from, and where its figure stands. */
export interface Measure {
  line: Stretch
  figure: Point
  isAbove: boolean
}

/** Distance of a measure from its leg. */
const OFF = 36
const GAP = 6
const OVERSHOOT = 6

const AXIS_WAYS: readonly Vector[] = [
  [1, 0, 0],
  [-1, 0, 0],
  [0, 1, 0],
  [0, -1, 0],
  [0, 0, 1],
  [0, 0, -1],
]

/** A measure from one place of a run to another, put to the side, along an axis, where most is clear. */
export function layMeasure(
  begin: Vector,
  end: Vector,
  sheet: Sheet,
  others: readonly Stretch[],
  middle: Point,
): Measure {
  const way = [end[0] - begin[0], end[1] - begin[1], end[2] - begin[2]] as const
  const length = Math.hypot(...way)
  const [a, b] = [onSheet(sheet, begin), onSheet(sheet, end)]
  const centre: Point = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
  const best = AXIS_WAYS.filter((axis) => Math.abs(dot(axis, way) / length) < 0.5)
    .map((axis) => {
      const [dx, dy] = project(axis).map((one) => one * OFF) as [number, number]
      const at: Point = [centre[0] + dx, centre[1] + dy]
      // Outside the run is where a draughtsman puts it.
      const outward =
        Math.hypot(at[0] - middle[0], at[1] - middle[1]) - Math.hypot(centre[0] - middle[0], centre[1] - middle[1])
      return { dx, dy, worth: Math.min(clearance(at, others), 60) + outward * 0.6 }
    })
    .reduce((one, other) => (other.worth > one.worth ? other : one))
  const { dx, dy } = best
  const line: Stretch = [
    [a[0] + dx, a[1] + dy],
    [b[0] + dx, b[1] + dy],
  ]
  const figure: Point = [centre[0] + dx, centre[1] + dy]
  return { line, figure, isAbove: dy < 0 }
}

/** Extension lines of a measure: from each place towards its line, a gap off the pipe and a little past. */
export function extensions([a, b]: Stretch, { line }: Measure): Stretch[] {
  return (
    [
      [a, line[0]],
      [b, line[1]],
    ] as const
  ).map(([from, to]): Stretch => {
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
    const length = Math.hypot(dx, dy) || 1
    return [
      [from[0] + (dx * GAP) / length, from[1] + (dy * GAP) / length],
      [to[0] + (dx * OVERSHOOT) / length, to[1] + (dy * OVERSHOOT) / length],
    ]
  })
}

/** Where a letter stands beside a point: away from the legs that meet there. */
export function letterPlace(at: Point, neighbours: readonly Point[], off = 17): Point {
  const ways = neighbours.map(([x, y]) => {
    const length = Math.hypot(x - at[0], y - at[1]) || 1
    return [(x - at[0]) / length, (y - at[1]) / length] as const
  })
  const [sx, sy] = ways.reduce(([x, y], [dx, dy]) => [x + dx, y + dy] as const, [0, 0] as const)
  const length = Math.hypot(sx, sy)
  // Straight through: beside the pipe.
  const beside = ways[0] ? [-ways[0][1], ways[0][0]] : [0, -1]
  const [dx, dy] = (length > 0.2 ? [-sx / length, -sy / length] : beside) as [number, number]
  return [at[0] + dx * off, at[1] + dy * off]
}

/** The clearest of places on a sheet for a block of a size, px; its top left corner. */
export function clearPlace(
  width: number,
  height: number,
  block: { width: number; height: number },
  stretches: readonly Stretch[],
  near: Point,
): Point {
  let best: { at: Point; worth: number } = { at: [0, 0], worth: -Infinity }
  const [stepX, stepY] = [Math.max(20, (width - block.width) / 9), Math.max(20, (height - block.height) / 9)]
  for (let x = 8; x <= width - block.width - 8; x += stepX) {
    for (let y = 8; y <= height - block.height - 30; y += stepY) {
      const corners: Point[] = [
        [x, y],
        [x + block.width, y],
        [x, y + block.height],
        [x + block.width, y + block.height],
        [x + block.width / 2, y + block.height / 2],
        [x + block.width / 2, y],
        [x + block.width / 2, y + block.height],
        [x, y + block.height / 2],
        [x + block.width, y + block.height / 2],
      ]
      const isClear = Math.min(...corners.map((one) => clearance(one, stretches)))
      const far = Math.hypot(x + block.width / 2 - near[0], y + block.height / 2 - near[1])
      const worth = Math.min(isClear, 46) * 4 - far * 0.45
      if (worth > best.worth) best = { at: [x, y], worth }
    }
  }
  return best.at
}
