/*
 * Heat along a tube: c(x) dT/dt = d/dx( k A(x) dT/dx ) - g(x) (T - Ta) for each metre of length, in finite volumes that grow
 * with the distance from the joint. Crank and Nicolson in time, with some implicit steps after each jump so that it rings
 * nowhere (Rannacher). SI units.
 */

/** A tube cut into cells: widths and, for each, what it stores, J/(m K), conducts, W m/K, and loses, W/(m K). */
export interface Rod {
  width: Float64Array
  centre: Float64Array
  store: Float64Array
  conduct: Float64Array
  lose: Float64Array
}

/**
 * Cells from `least` wide, each wider than the one before by `growth`, to at most `most`, until `length` is filled, m.
 */
export function layCells(
  from: number,
  length: number,
  { least = 0.001, growth = 1.06, most = 0.012 } = {},
): { width: Float64Array; centre: Float64Array } {
  const widths: number[] = []
  for (let at = 0, width = least; at < length; at += width, width = Math.min(most, width * growth)) widths.push(width)
  const width = Float64Array.from(widths)
  const centre = new Float64Array(width.length)
  let edge = from
  width.forEach((own, i) => {
    centre[i] = edge + own / 2
    edge += own
  })
  return { width, centre }
}

/** Conductance between a cell and the next, W/K: half of each in line. */
const between = ({ width, conduct }: Rod, i: number): number =>
  1 / (width[i]! / (2 * conduct[i]!) + width[i + 1]! / (2 * conduct[i + 1]!))

/**
 * One step of `seconds`: temperatures above the surroundings, K, changed in place. `theta` 1 is implicit, 0.5 Crank and
 * Nicolson. The left end is held at `held` where that is given, else nothing passes there; nothing passes the right end.
 */
export function step(rod: Rod, temperature: Float64Array, seconds: number, theta: number, held: number | null): void {
  const n = temperature.length
  const { width, store, lose, conduct } = rod
  const [lower, diagonal, upper, right] = [
    new Float64Array(n),
    new Float64Array(n),
    new Float64Array(n),
    new Float64Array(n),
  ]
  const edge = held === null ? 0 : conduct[0]! / (width[0]! / 2)
  for (let i = 0; i < n; i++) {
    const [toLeft, toRight] = [i > 0 ? between(rod, i - 1) : edge, i + 1 < n ? between(rod, i) : 0]
    const [leftTemperature, rightTemperature] = [
      i > 0 ? temperature[i - 1]! : (held ?? 0),
      i + 1 < n ? temperature[i + 1]! : 0,
    ]
    const capacity = (store[i]! * width[i]!) / seconds
    const out = toLeft + toRight + lose[i]! * width[i]!
    const flow = toLeft * leftTemperature + toRight * rightTemperature - out * temperature[i]!
    diagonal[i] = capacity + theta * out
    lower[i] = i > 0 ? -theta * toLeft : 0
    upper[i] = -theta * toRight
    right[i] = capacity * temperature[i]! + (1 - theta) * flow + (i === 0 && held !== null ? theta * toLeft * held : 0)
  }
  for (let i = 1; i < n; i++) {
    const by = lower[i]! / diagonal[i - 1]!
    diagonal[i]! -= by * upper[i - 1]!
    right[i]! -= by * right[i - 1]!
  }
  temperature[n - 1] = right[n - 1]! / diagonal[n - 1]!
  for (let i = n - 2; i >= 0; i--) temperature[i] = (right[i]! - upper[i]! * temperature[i + 1]!) / diagonal[i]!
}

/** Heat stored above the surroundings, J. */
export const storedHeat = ({ width, store }: Rod, temperature: Float64Array): number =>
  temperature.reduce((sum, own, i) => sum + own * store[i]! * width[i]!, 0)
/** Heat lost to the surroundings now, W. */
export const lostHeat = ({ width, lose }: Rod, temperature: Float64Array): number =>
  temperature.reduce((sum, own, i) => sum + own * lose[i]! * width[i]!, 0)

/** Temperature at a place between two centres, in line. */
export function readAt({ centre }: Rod, temperature: Float64Array, x: number): number {
  if (x <= centre[0]!) return temperature[0]!
  const i = centre.findIndex((at) => at >= x)
  if (i < 0) return temperature.at(-1)!
  const part = (x - centre[i - 1]!) / (centre[i]! - centre[i - 1]!)
  return temperature[i - 1]! + part * (temperature[i]! - temperature[i - 1]!)
}
