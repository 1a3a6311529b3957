import { bendOf, getPipe } from '#core/catalogue'

/**
 * How far the free end of a flexible tube moves, mm, by bending it no tighter than its radius between its end and its
 * last clip, with the end kept in line: drawn back along itself by a bow, put aside by an S. Null: stiff tube, or none
 * that is bent free.
 */
export interface FlexPlay {
  along: number
  aside: number
  radius: number
  source: string
}

const RIGHT_ANGLE = Math.PI / 2

/** Drawn back by a bow of four arcs; once each is a right angle, what is over stands across the line. */
function bowed(length: number, radius: number): number {
  const angle = Math.min(length / (4 * radius), RIGHT_ANGLE)
  return length - 4 * radius * Math.sin(angle)
}
/** Put aside by an S of two arcs; once each is a right angle, what is over stands across the line. */
function sprung(length: number, radius: number): number {
  const angle = Math.min(length / (2 * radius), RIGHT_ANGLE)
  return 2 * radius * (1 - Math.cos(angle)) + (length - 2 * radius * angle)
}

/**
 * Play of a tube that lies free for `length` mm from its end to its last clip. Geometry, on the radius of the catalogue,
 * which is typical; coiled plastic and multilayer only.
 */
export function flexPlay(pipeId: string, length: number): FlexPlay | null {
  const pipe = getPipe(pipeId)
  const bend = bendOf(pipe)
  const isFlexible = bend !== null && (!bend.isPulled || pipe.family === 'multilayer') && pipe.family !== 'pp-r'
  const radius = bend?.radius.value
  if (!isFlexible || !radius || !(length > 0)) return null
  return { along: bowed(length, radius), aside: sprung(length, radius), radius, source: bend.radius.source }
}

/** Whether a tube is bent free by hand, so that its length to the last clip gives it play. */
export const isFlexible = (pipeId: string): boolean => flexPlay(pipeId, 1) !== null
