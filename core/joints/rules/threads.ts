import { FAMILY_WORDS, type SocketMethod } from '#core/catalogue'
import type { RuleRow } from '#core/base'
import { JOINT_METHODS } from '../methods'
import { REFUSAL_CODES, type Method, type Offer, type Situation } from '../types'
import { refusePipe, type Refused } from './ask'
import { nutsInReach } from './common'
import { familyReason } from './shared'
import { rowOfRefusal } from './rule'

type ThreadOffer = Extract<Offer, { kind: 'thread' }>
export type ThreadMethod = 'thread' | 'union'
export const isByThread = (method: Method): method is ThreadMethod => method === 'thread' || method === 'union'

/** Threads are no socket of a tube: what they join. */
const BY_THREAD: Readonly<Record<ThreadMethod, string>> = {
  thread: 'A thread is cut on steel, never on thin tube',
  union: 'A union joins threads',
}

/** A union has a nut and a gasket: it goes by the policy of compression. */
const UNION_HIDDEN = nutsInReach('A union stays in reach. Hidden only as a temporary repair that is booked.')
const unionReason = (situation: Situation): string | null =>
  UNION_HIDDEN.says({} as never, situation, JOINT_METHODS.compression)
export const isUnionRefused = (situation: Situation): boolean => unionReason(situation) !== null

const NOBLE = new Set(['copper', 'stainless'])

interface ThreadRule {
  code: 'thread' | 'metals'
  when: string
  because: string
  source: string
  applies: (offer: ThreadOffer, other: Offer, situation: Situation) => boolean
}
const THREAD_RULES: readonly ThreadRule[] = [
  {
    code: 'thread',
    when: 'a plastic female thread would go over a metal male',
    source: 'trade practice',
    because:
      'A plastic female thread splits on a metal male. Use a metal-reinforced one, or a male plastic adaptor in a metal coupling.',
    applies: ({ thread }) => thread.material === 'plastic' && thread.gender === 'female',
  },
  {
    code: 'metals',
    when: 'galvanised steel and copper or stainless are in a loop of fresh water',
    source: 'EN 12502, IPC 605, UPC 605',
    because:
      'In a loop the water always comes back from the nobler metal: galvanised steel pits. Not in a recirculating line.',
    applies: ({ thread, tube }, other, { conditions }) =>
      (thread.material === 'galvanised' || (tube !== undefined && conditions.drinking)) &&
      conditions.service === 'recirculation' &&
      other.kind === 'tube' &&
      NOBLE.has(other.tube.pipe.family),
  },
]

/**
 * Why a threaded end cannot be joined by its thread or a union, first code of `REFUSAL_CODES` that applies; null where
 * it can. `other` null: not known.
 */
export function refuseThread(
  method: ThreadMethod,
  offer: ThreadOffer,
  other: Offer | null,
  situation: Situation,
): Refused | null {
  const { tube } = offer
  const found: Refused[] = []
  const ofPipe = tube && refusePipe(tube, situation)
  if (ofPipe) found.push(ofPipe)
  const hidden = method === 'union' ? unionReason(situation) : null
  if (hidden !== null) found.push({ code: 'hidden', reason: hidden })
  for (const { code, because, applies } of THREAD_RULES)
    if (other && applies(offer, other, situation)) found.push({ code, reason: because })
  return found.sort((x, y) => REFUSAL_CODES.indexOf(x.code) - REFUSAL_CODES.indexOf(y.code))[0] ?? null
}

/** Why any method of the contract cannot be made directly on an end; null where it can. */
export function refuseMethod(
  method: Method,
  offer: Offer,
  other: Offer | null,
  situation: Situation,
  onTube: (id: SocketMethod) => Refused | null,
): Refused | null {
  const isThreadMethod = isByThread(method)
  if (offer.kind === 'thread') {
    if (isThreadMethod) return refuseThread(method, offer, other, situation)
    return {
      code: 'family',
      reason: offer.tube
        ? familyReason(offer.tube, JOINT_METHODS[method as SocketMethod])
        : 'This end is a thread: it takes a thread.',
    }
  }
  if (isThreadMethod)
    return { code: 'family', reason: `${BY_THREAD[method]}. This is ${FAMILY_WORDS[offer.tube.pipe.family]}.` }
  return onTube(method as SocketMethod)
}

export const THREAD_REFUSALS: readonly RuleRow[] = [
  rowOfRefusal({ ...UNION_HIDDEN, when: "a union would be out of reach, against the job's policy of compression" }),
  ...THREAD_RULES.map(rowOfRefusal),
]
