import { findSocket, getPipe, socketDepth, type Pipe, type SocketMethod } from '#core/catalogue'
import { COMPRESSION_PLAY } from './prices-and-play'
import type { Conditions, EndPlay, Joint, Way } from './types'

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

/**
 * How far a tube is drawn back along itself to enter a mouth of a method, mm; null where no depth is held. A compression
 * body takes less than its depth: nut and olive wait on the tube.
 */
export function drawBackOf(method: SocketMethod, pipe: Pipe): number | null {
  const socket = findSocket(method, pipe)
  if (!socket) return null
  const depth = socketDepth(socket).value
  return method === 'compression' ? (COMPRESSION_PLAY[socket.fittingNominal] ?? depth) : depth
}

const needOf = ({ method, pipe, isSpigot }: Joint): number | null =>
  pipe === null || isSpigot || method === 'thread' || method === 'union' ? 0 : drawBackOf(method, getPipe(pipe))

/**
 * How far the two ends of a way have to be drawn apart, mm, and at which end: the deeper of the two. 0 where a fitting
 * slides over or comes apart in the middle; null where a depth is to be measured.
 */
export function drawApart({ joints, parts }: Pick<Way, 'joints' | 'parts'>): { need: number | null; on: 'a' | 'b' } {
  const ends = joints.filter(({ on }) => on !== 'between')
  if (parts.some(({ kind }) => kind === 'slip' || kind === 'union') || ends.length === 0) return { need: 0, on: 'a' }
  const needs = ends.map((joint) => ({ need: needOf(joint), on: joint.on as 'a' | 'b' }))
  const open = needs.find(({ need }) => need === null)
  return open ?? needs.reduce((most, one) => (one.need! > most.need! ? one : most))
}
