import { FAMILY_WORDS, familiesOf, findSocket, jointRating, PIPES, pipeRating, seriesOf, socketDepth, type Pipe, type SocketMethod } from '#core/catalogue'
import { formatDecimal } from '#core/units'
import { JOINT_METHODS, type JointMethod } from './methods'
import type { Offer } from './search'
import { COMPRESSION_PLAY } from './ours'
import { METHODS, REFUSAL_CODES, type Method, type Part, type Refusal, type RefusalCode, type Situation, type Tube } from './types'

type Check = (tube: Tube, situation: Situation, method: JointMethod) => string | null

const capital = (words: string): string => words[0]!.toUpperCase() + words.slice(1)

/** The size of fitting a hand would reach for: nearest outside diameter the method is made for. */
function nearestMade(method: SocketMethod, pipe: Pipe): Pipe | undefined {
  return PIPES.filter(other => other.family === pipe.family && findSocket(method, other)).sort((a, b) => Math.abs(a.od - pipe.od) - Math.abs(b.od - pipe.od))[0]
}

/** A size the table has rows both above and below of: made, but nobody has a figure. */
function isBetweenRows(method: SocketMethod, pipe: Pipe): boolean {
  const made = PIPES.filter(other => other.series === pipe.series && findSocket(method, other))
  return made.some(other => other.od < pipe.od) && made.some(other => other.od > pipe.od)
}

function sizeReason(tube: Tube, method: JointMethod): string | null {
  const { pipe } = tube
  if (findSocket(method.id, pipe) || isBetweenRows(method.id, pipe)) return null
  const near = nearestMade(method.id, pipe)
  if (!near) return `No ${method.words} fitting is made for ${pipe.label}.`
  const off = pipe.od - near.od
  if (Math.abs(off) > 3) return `${capital(method.words)} fittings go up to ${formatDecimal(near.od, 2)}. This pipe is ${formatDecimal(pipe.od, 2)}.`
  const why = method.id === 'solder' ? 'Capillarity needs the right gap all round' : 'The seal and grip are made for one diameter only'
  return `Made for ${near.od.toFixed(2)}. This pipe is ${pipe.od.toFixed(2)}, ${formatDecimal(Math.abs(off), 2)} ${off < 0 ? 'under' : 'over'}. ${why}.`
}

function ratingReason({ pipe, temper }: Tube, { conditions }: Situation, method: JointMethod): string | null {
  const { temperature, pressure } = conditions
  const socket = findSocket(method.id, pipe)
  const tube = pipeRating(pipe, temperature, temper)
  if (tube.kind === 'beyond' && seriesOf(pipe.series).plastic) return `No rating for ${FAMILY_WORDS[pipe.family]} at ${temperature} °C. It is not made for that heat.`
  if (tube.kind === 'rated' && tube.bar < pressure) return `The pipe takes ${formatDecimal(tube.bar, 1)} bar at ${tube.tempC} °C. The line runs at ${formatDecimal(pressure, 1)}.`
  const joint = socket && jointRating(socket, pipe, temperature)
  if (joint?.kind === 'beyond') return `No rating for a ${method.words} joint at ${temperature} °C.`
  if (joint?.kind === 'rated' && joint.bar < pressure) return `The joint takes ${formatDecimal(joint.bar, 1)} bar at ${joint.tempC} °C. The line runs at ${formatDecimal(pressure, 1)}.`
  return null
}

function playReason({ pipe }: Tube, { conditions: { play } }: Situation, method: JointMethod): string | null {
  const socket = findSocket(method.id, pipe)
  if (play === null || !socket) return null
  const depth = method.id === 'compression' ? (COMPRESSION_PLAY[socket.fittingNominal] ?? socketDepth(socket).value) : socketDepth(socket).value
  // Without a depth nobody can say that the pipe goes in at no play at all.
  const need = depth ?? 0
  if (play >= need && !(depth === null && play === 0)) return null
  return `The pipe has to be drawn back ${formatDecimal(need, 1)} to enter. There is ${formatDecimal(play, 1)}.`
}

function toolReason({ pipe }: Tube, { kit: { tools } }: Situation, method: JointMethod): string | null {
  if (tools === undefined || method.byHand) return null
  const tool = tools.find(({ method: id }) => id === method.id)
  if (!tool) return `No ${method.words} tool on the van.`
  const nominal = findSocket(method.id, pipe)?.fittingNominal
  return tool.sizes === undefined || nominal === undefined || tool.sizes.includes(nominal) ? null : `The ${method.words} tool on the van has no ${nominal}. It has ${tool.sizes.join(', ') || 'no sizes'}.`
}

/** Rules every method shares, by code. A method's own rule of the same code is asked after. */
const SHARED: Partial<Record<RefusalCode, Check>> = {
  'family': ({ pipe }, _, method) => (familiesOf(method.id).includes(pipe.family) ? null : `${capital(method.words)} joins ${method.takes}. This is ${FAMILY_WORDS[pipe.family]}.`),
  'size': (tube, _, method) => sizeReason(tube, method),
  'rating': ratingReason,
  'service': ({ pipe, barrier }, { conditions }) => {
    if (conditions.service === 'heating' && seriesOf(pipe.series).plastic && barrier === false) return 'No oxygen barrier: it lets air into the water and rusts every steel part of the heating.'
    if (conditions.service === 'buried' && pipe.series === 'cu-m') return 'Type M is kept out of the ground: its wall is thin. Stricter than the model code.'
    return null
  },
  'drinking': ({ pipe }, { conditions, policy }) => (pipe.series === 'cu-m' && conditions.drinking && policy.typeMDrinking === 'refused' ? 'The job refuses type M for drinking water: the thin wall wears under velocity. Some codes allow it.' : null),
  'flame': (_, { conditions }, method) => (conditions.noFlame && method.needsFlame ? 'No flame is allowed here.' : null),
  'play': playReason,
  'undo': (_, { conditions }, method) => (conditions.mustUndo && !method.comesApart ? 'It does not come apart again.' : null),
  'tool': toolReason,
  'no-figure': ({ pipe }, _, method) => (findSocket(method.id, pipe) ? null : `No checked figure for a ${method.words} joint on ${pipe.label}.`),
}

/** Codes that a fitting answers: one made for this very tube its size, one without a stop that the pipe need not be drawn back. */
export const ANSWERED_BY: Readonly<Partial<Record<Part['kind'], ReadonlySet<RefusalCode>>>> = { converter: new Set(['size', 'no-figure']), slip: new Set(['play']) }
const NONE: ReadonlySet<RefusalCode> = new Set()

/**
 * First refusal of a method on a tube end by the order of `REFUSAL_CODES`, or null where it can be made: directly,
 * or in the mouth of a fitting that answers some codes.
 */
export function refuse(id: SocketMethod, tube: Tube, situation: Situation, answered: ReadonlySet<RefusalCode> = NONE): { code: RefusalCode, reason: string } | null {
  const method = JOINT_METHODS[id]
  for (const code of REFUSAL_CODES) {
    if (answered.has(code)) continue
    const reason = SHARED[code]?.(tube, situation, method) ?? method.rules[code]?.(tube, situation) ?? null
    if (reason !== null) return { code, reason }
  }
  return null
}

/** Threads are no socket of a tube: what they join. */
const BY_THREAD: Readonly<Partial<Record<Method, string>>> = { thread: 'A thread is cut on steel, never on thin tube', union: 'A union joins threads' }

/** Every method that cannot be made directly on an end, in the contract's order of methods. */
export function refusalsOn(offer: Offer, other: Offer, on: 'a' | 'b', situation: Situation): Refusal[] {
  return METHODS.flatMap((method): Refusal[] => {
    const say = (refusal: { code: RefusalCode, reason: string } | null): Refusal[] => (refusal ? [{ method, on, ...refusal }] : [])
    const byThread = BY_THREAD[method]
    if (byThread !== undefined) {
      if (offer.kind === 'thread') return say(threadRefusal(offer, other, situation))
      return say({ code: 'family', reason: `${byThread}. This is ${FAMILY_WORDS[offer.tube.pipe.family]}.` })
    }
    if (offer.kind === 'tube') return say(refuse(method as SocketMethod, offer.tube, situation))
    return say({ code: 'family', reason: offer.tube ? `${capital(JOINT_METHODS[method as SocketMethod].words)} joins ${JOINT_METHODS[method as SocketMethod].takes}. This is ${FAMILY_WORDS[offer.tube.pipe.family]}.` : 'This end is a thread: it takes a thread.' })
  })
}

const NOBLE = new Set(['copper', 'stainless'])

/** Why a threaded end cannot be joined by its thread, in the order of the codes; null where it can. */
export function threadRefusal({ thread, tube }: Extract<Offer, { kind: 'thread' }>, other: Offer, { conditions }: Situation): { code: RefusalCode, reason: string } | null {
  if (thread.material === 'plastic' && thread.gender === 'female') return { code: 'thread', reason: 'A plastic female thread splits on a metal male. Use a metal-reinforced one, or a male plastic adaptor in a metal coupling.' }
  const isGalvanised = thread.material === 'galvanised' || (tube !== undefined && conditions.drinking)
  const otherFamily = other.kind === 'tube' ? other.tube.pipe.family : null
  if (isGalvanised && conditions.service === 'recirculation' && otherFamily !== null && NOBLE.has(otherFamily)) return { code: 'metals', reason: 'In a loop the water always comes back from the nobler metal: galvanised steel pits. Not in a recirculating line.' }
  return null
}
