import { pointAlong, type LaidLeg, type Vector } from '#core/line'
import type { LineSupport } from './held'

/* Lines that run side by side: their supports stand opposite each other, on one bracket or in one row. */

/** Farther apart than this two pipes are not held side by side, mm. Ours. */
const BESIDE_MM = 400
/** Legs whose directions differ by more than this do not run side by side. Ours: about 2 degrees. */
const PARALLEL = Math.cos((2 * Math.PI) / 180)

const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
const plus = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]]
const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]

/** A line as it is laid, with its supports. */
export interface LaidSupports {
  laid: readonly LaidLeg[]
  supports: readonly LineSupport[]
}

const placeOf = ({ laid }: LaidSupports, { leg, at }: LineSupport): Vector => {
  const { begin, along } = laid[leg]!
  return pointAlong(begin, along, at)
}
/** Whether a leg runs beside another, the same way or back. */
const isBeside = (one: LaidLeg, other: LaidLeg): boolean => Math.abs(dot(one.along, other.along)) >= PARALLEL

/**
 * How far a support would have to move along its leg, mm, to stand opposite the nearest of another line; null where none
 * runs beside it there. `origin` is where the support's own line begins, in the other's coordinates.
 */
export function offOpposite(
  own: LaidSupports,
  support: LineSupport,
  other: LaidSupports,
  origin: Vector,
): number | null {
  const leg = own.laid[support.leg]!
  const at = plus(placeOf(own, support), origin)
  const onLeg = (mm: number): boolean => mm >= 0 && mm <= leg.length
  const offs = other.supports.flatMap((theirs) => {
    if (!isBeside(leg, other.laid[theirs.leg]!)) return []
    const between = minus(placeOf(other, theirs), at)
    const along = dot(between, leg.along)
    const aside = Math.sqrt(Math.max(0, dot(between, between) - along * along))
    return aside <= BESIDE_MM && onLeg(support.at + along) ? [along] : []
  })
  return offs.length === 0 ? null : offs.reduce((least, off) => (Math.abs(off) < Math.abs(least) ? off : least))
}
