import { FAMILY_WORDS, familiesOf, findSocket, jointRating, PIPES, pipeRating, seriesOf, socketDepth, type Family, type Pipe, type SocketMethod } from '#core/catalogue'
import { formatDecimal } from '#core/units'
import { JOINT_METHODS, type JointMethod } from './methods'
import { COMPRESSION_PLAY } from './ours'
import { METHODS, REFUSAL_CODES, type Method, type Refusal, type RefusalCode, type Situation, type Tube } from './types'

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

/** Codes that a fitting made for this very tube answers: its mouth has the tube's own size. */
const ANSWERED_BY_CONVERTER: ReadonlySet<RefusalCode> = new Set(['size', 'no-figure'])

/**
 * First refusal of a method on a tube end by the order of `REFUSAL_CODES`, or null where it can be made: directly,
 * or `byConverter` in the mouth of a fitting made for this tube's own size.
 */
export function refuse(id: SocketMethod, tube: Tube, situation: Situation, byConverter = false): { code: RefusalCode, reason: string } | null {
  const method = JOINT_METHODS[id]
  for (const code of REFUSAL_CODES) {
    if (byConverter && ANSWERED_BY_CONVERTER.has(code)) continue
    const reason = SHARED[code]?.(tube, situation, method) ?? method.rules[code]?.(tube, situation) ?? null
    if (reason !== null) return { code, reason }
  }
  return null
}

/** What the methods without a socket table join; where the pipe is one of these, nothing is said of them. */
const OTHER_METHODS: Readonly<Partial<Record<Method, { families: readonly Family[], words: string }>>> = {
  'clamp': { families: ['pex', 'pert'], words: 'A clamp ring joins PEX and PE-RT' },
  'expansion': { families: ['pex'], words: 'Expansion joins PEX' },
  'sliding-sleeve': { families: ['pex', 'multilayer'], words: 'A sliding sleeve joins PEX and multilayer' },
  'ml-compression': { families: ['multilayer'], words: 'Its cone and insert fit multilayer pipe' },
  'solvent-cement': { families: ['cpvc', 'pvc'], words: 'Cement joins CPVC and PVC' },
  'thread': { families: ['steel', 'pvc'], words: 'A thread is cut on steel, never on thin tube' },
  'union': { families: ['steel'], words: 'A union joins threads' },
}

/** Every method that cannot be made directly on an end, in the contract's order of methods. */
export function refusalsOn(tube: Tube | null, on: 'a' | 'b', situation: Situation): Refusal[] {
  return METHODS.flatMap((method): Refusal[] => {
    if (tube === null) return method === 'thread' || method === 'union' ? [] : [{ method, on, code: 'family', reason: 'This end is a thread: it takes a thread.' }]
    if (method in JOINT_METHODS) {
      const refusal = refuse(method as SocketMethod, tube, situation)
      return refusal ? [{ method, on, ...refusal }] : []
    }
    const other = OTHER_METHODS[method]!
    return other.families.includes(tube.pipe.family) ? [] : [{ method, on, code: 'family', reason: `${other.words}. This is ${FAMILY_WORDS[tube.pipe.family]}.` }]
  })
}

