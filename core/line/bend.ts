import { bendOf, type Pipe } from '#core/catalogue'
import type { Figure } from '#core/base'
import type { Bender } from './types'

const toRadians = (degrees: number): number => (degrees * Math.PI) / 180

/** From the start of an arc to where the straight centre lines cross, mm: R tan(A/2). */
export const tangentOf = (radius: number, angle: number): number => radius * Math.tan(toRadians(angle) / 2)
/** Length of an arc along the centre line, mm: R A. */
export const arcOf = (radius: number, angle: number): number => radius * toRadians(angle)
/** What a bend saves against two straight legs to its corner, mm: 2 R tan(A/2) - R A. */
export const gainOf = (radius: number, angle: number): number => 2 * tangentOf(radius, angle) - arcOf(radius, angle)

/**
 * Radius bends of a pipe are made to: the bender's own, else typical with its range; null where it is not bent on site.
 */
export function radiusOf(pipe: Pipe, bender: Bender | undefined): Figure | null {
  if (bender) return { value: bender.radius, lo: bender.radius, hi: bender.radius, source: 'measured: the bender' }
  return bendOf(pipe)?.radius ?? null
}

/** Length of a bend's arc along the tube, mm: from its tangent R tan(A/2) the radius, and from that R A. */
export function arcOfBend({ at, corner, angle }: { at: number; corner: number; angle: number }): number {
  const radians = (angle * Math.PI) / 180
  return ((corner - at) / Math.tan(radians / 2)) * radians
}
