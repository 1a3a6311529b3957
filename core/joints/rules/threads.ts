import { FAMILY_WORDS, findSocket, hasThread, pipeRating, type SocketMethod, type ThreadForm } from '#core/catalogue'
import type { RuleRow } from '#core/base'
import { pressure as pressureWords, w } from '#core/speech'
import { JOINT_METHODS } from '../methods'
import { isFresh, isLessNoble, isNoble, metalOf } from '../metals'
import { REFUSAL_CODES, type Method, type Offer, type Situation, type Tube } from '../types'
import { refusePipe, type Refused } from './ask'
import { nutsInReach, temperRated } from './common'
import { mayBeCone } from './seats'
import { familyReason } from './shared'
import { rowOfRefusal } from './rule'

type ThreadOffer = Extract<Offer, { kind: 'thread' }>
type TubeOffer = Extract<Offer, { kind: 'tube' }>
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

/** Plastic pipe thick enough to be threaded; schedule 40 is not. ASTM D1785. */
const THREADED_PLASTIC: Readonly<Record<string, ThreadForm>> = { 'pvc-80': 'npt' }
/** What a thread leaves of the pressure of the pipe. ASTM D1785. */
const THREADED_SHARE = 0.5

/** Pressure of plastic pipe with a thread cut on it, bar; null where no figure is held. */
export function threadedBar(tube: Tube, temperature: number): number | null {
  const own = pipeRating(tube.pipe, temperature, temperRated(tube))
  return own.kind === 'rated' ? own.bar * THREADED_SHARE : null
}
const threadedPlastic = ({ tube, thread }: ThreadOffer): Tube | null =>
  tube !== undefined && thread.material === 'plastic' ? tube : null

/** Sources of the rules of plastic threads. */
const PLASTIC_SOURCE = 'ASTM D1785, F1498; makers'

interface ThreadRule {
  code: 'rating' | 'service' | 'thread' | 'metals'
  when: string
  because: string
  source: string
  says: (offer: ThreadOffer, other: Offer | null, situation: Situation) => boolean | string
}

/** A plastic female thread takes a plastic male: one that is cemented on, or the other end's own. */
const givesPlasticMale = (other: Offer): boolean =>
  other.kind === 'tube'
    ? other.tube.pipe.family === 'pvc' || other.tube.pipe.family === 'cpvc'
    : other.kind === 'thread' && other.thread.material === 'plastic' && other.thread.gender === 'male'

const THREAD_RULES: readonly ThreadRule[] = [
  {
    code: 'rating',
    when: 'a thread is cut on schedule 80, and half of what the pipe carries is under the pressure',
    because: 'A thread cut on schedule 80 leaves half of its pressure.',
    source: PLASTIC_SOURCE,
    says: (offer, _, { conditions: { temperature, pressure } }) => {
      const tube = threadedPlastic(offer)
      const bar = tube ? threadedBar(tube, temperature) : null
      if (bar === null || bar >= pressure) return false
      return `A thread leaves half of what schedule 80 carries: ${pressureWords(bar, [pressure])}. The line runs at ${pressureWords(pressure, [bar])}.`
    },
  },
  {
    code: 'service',
    when: `a ${w.galvanised} or steel thread lies in the ground and carries drinking water`,
    because: `${w.Galvanised} steel is not laid in the ground for drinking water: the soil eats it from outside.`,
    source: 'IPC 605, UPC 604; WS(WF)R 1999',
    says: ({ thread }, _, { conditions }) =>
      (thread.material === 'galvanised' || thread.material === 'steel') &&
      conditions.service === 'buried' &&
      conditions.drinking,
  },
  {
    code: 'thread',
    when: 'a plastic female thread would go over a metal male',
    source: PLASTIC_SOURCE,
    because: `A plastic female thread splits on a metal male. Use a male plastic ${w.adaptor} in a socket of the pipe's own metal, or a female ${w.moulded} round brass.`,
    says: ({ thread }, other) =>
      other !== null && thread.material === 'plastic' && thread.gender === 'female' && !givesPlasticMale(other),
  },
  {
    code: 'thread',
    when: 'the seat of a parallel thread is a cone',
    because: 'Its seat is a cone: a washer does not seal on it, and nothing goes on its thread. It takes a cone joint.',
    source: 'EN 16313',
    says: ({ thread }) => thread.seat === 'cone',
  },
  {
    code: 'metals',
    when: `${w.galvanised} steel and copper or stainless are in a loop of fresh water`,
    source: 'EN 12502, IPC 605, UPC 605',
    because: `In a loop the water always comes back from the nobler metal: ${w.galvanised} steel pits. Not in a recirculating line.`,
    says: (offer, other, situation) =>
      areApart(offer, other, situation) &&
      situation.conditions.service === 'recirculation' &&
      (metalOf(offer, situation) === 'galvanised' || situation.conditions.drinking),
  },
  {
    code: 'metals',
    when: `fresh water comes from copper or stainless into ${w.galvanised} steel`,
    source: 'EN 12502, IPC 605, UPC 605',
    because:
      'The water comes from the nobler metal and carries some of it on: the zinc pits. The less noble one comes first in the flow.',
    says: (offer, other, situation) => areApart(offer, other, situation) && situation.conditions.flowFrom === other?.on,
  },
]

/** A less noble end, a nobler one, and fresh water that joins them. */
const areApart = (offer: ThreadOffer, other: Offer | null, situation: Situation): boolean =>
  other !== null && isFresh(situation) && isLessNoble(metalOf(offer, situation)) && isNoble(metalOf(other, situation))

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
  for (const { code, because, says } of THREAD_RULES) {
    const said = says(offer, other, situation)
    if (said) found.push({ code, reason: said === true ? because : said })
  }
  return found.sort((x, y) => REFUSAL_CODES.indexOf(x.code) - REFUSAL_CODES.indexOf(y.code))[0] ?? null
}

/** The thread that can be cut on a tube beside its sockets; null where none can, or no size of it is made. */
export function threadCutOn({ tube, on }: TubeOffer): ThreadOffer | null {
  const form = THREADED_PLASTIC[tube.pipe.series]
  const size = tube.pipe.nominal
  return form && hasThread(form, size)
    ? { kind: 'thread', thread: { form, size, gender: 'male', material: 'plastic' }, on, tube }
    : null
}

/** That thread where no rule refuses it. */
export function threadOn(offer: TubeOffer, situation: Situation): ThreadOffer | null {
  const cut = threadCutOn(offer)
  return cut && refuseThread('thread', cut, null, situation) === null ? cut : null
}

/** Whether an end is a tube that a cone is made for. */
const hasCone = (offer: Offer): boolean => offer.kind === 'tube' && findSocket('cone', offer.tube.pipe) !== null
const NO_SEAT = 'A cone joint goes on a male G 3/4 body with a cone seat. The other end has none.'

/** Why any method of the contract cannot be made directly on an end; null where it can. */
export function refuseMethod(
  method: Method,
  offer: Offer,
  other: Offer | null,
  situation: Situation,
  onTube: (id: SocketMethod) => Refused | null,
): Refused | null {
  if (offer.kind === 'shut') return null
  const isThreadMethod = isByThread(method)
  if (offer.kind === 'thread') {
    if (isThreadMethod) return refuseThread(method, offer, other, situation)
    if (method === 'cone' && other !== null && hasCone(other) && mayBeCone(offer.thread)) return null
    return {
      code: 'family',
      reason: offer.tube
        ? familyReason(offer.tube, JOINT_METHODS[method as SocketMethod])
        : 'This end is a thread: it takes a thread.',
    }
  }
  if (!isThreadMethod) {
    const own = onTube(method as SocketMethod)
    const isSeated = method !== 'cone' || other === null || (other.kind === 'thread' && mayBeCone(other.thread))
    return own ?? (isSeated ? null : { code: 'thread', reason: NO_SEAT })
  }
  const cut = threadCutOn(offer)
  if (cut) return refuseThread(method, cut, other, situation)
  const { pipe } = offer.tube
  return {
    code: 'family',
    reason:
      pipe.series === 'pvc-40'
        ? 'Schedule 40 is too thin for a thread: only schedule 80 is threaded.'
        : `${BY_THREAD[method]}. This is ${FAMILY_WORDS[pipe.family]}.`,
  }
}

export const THREAD_REFUSALS: readonly RuleRow[] = [
  rowOfRefusal({ ...UNION_HIDDEN, when: "a union would be out of reach, against the job's policy of compression" }),
  ...THREAD_RULES.map(rowOfRefusal),
  rowOfRefusal({
    code: 'thread',
    when: 'a cone joint is asked for, and the other end has no G 3/4 cone seat',
    because: NO_SEAT,
    source: 'EN 16313',
  }),
]
