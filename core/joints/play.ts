import type { Conditions, EndPlay } from './types'

/** Both ends' movement one way, mm; null is enough, which one end that moves freely is. */
function together(one: number | null | undefined, other: number | null | undefined): number | null {
  return one === null || one === undefined || other === null || other === undefined ? null : one + other
}
const partsOf = (play: Conditions['play']): [EndPlay, EndPlay] | null =>
  typeof play === 'object' && play !== null ? [play.a ?? {}, play.b ?? {}] : null

/** How far the ends can be drawn apart along the pipe, mm; null is enough. */
export function alongOf({ play }: Pick<Conditions, 'play'>): number | null {
  const parts = partsOf(play)
  return parts ? together(parts[0].along, parts[1].along) : (play as number | null)
}

/**
 * How far they can be moved aside, mm, so that a part is put over an end; null is enough. It never stands in for along.
 */
export function asideOf({ play }: Pick<Conditions, 'play'>): number | null {
  const parts = partsOf(play)
  return parts ? together(parts[0].aside, parts[1].aside) : null
}
