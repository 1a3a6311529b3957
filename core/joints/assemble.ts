import { compareText, type Figure, type Note, type WorkingLine } from '#core/base'
import { findSocket, jointRating, pipeRating, socketDepth, threadMadeUp } from '#core/catalogue'
import { ALL_METHODS, JOINT_METHODS } from './methods'
import { concernsOfChain, FITS } from './rules/chain'
import { temperRated } from './rules/common'
import type { Concern } from './rules/rule'
import { classOf, isMouthOfOldSize, metricBodyOf, otherSchedule, pipesOfClass } from './size-classes'
import { DEARER, PRICE_OD, SMALL_PART_PRICE, TAIL_BARE } from './prices-and-play'
import type { Chain, Meeting } from './search'
import {
  isLoose,
  type Joint,
  type Method,
  type OfferedMethod,
  type Part,
  type Situation,
  type Verdict,
  type Way,
} from './types'

const UNKNOWN_DEPTH: Figure = { value: null, lo: null, hi: null, source: 'no figure held; measure the socket' }

const methodOf = (meeting: Meeting): OfferedMethod => meeting.method

type SocketMeeting = Extract<Meeting, { kind: 'socket' }>

/** An old tube in a metric body, which it enters by compression. */
const isInMetricBody = ({ tube, size }: SocketMeeting): boolean => metricBodyOf(classOf(tube.pipe)) === size

/** Depth of a meeting in mm: the user's measured fitting first, then the table. */
function insertionOf(meeting: Meeting, { kit }: Situation, isSlip: boolean): Figure {
  // Without a stop the depth is half of what the coupling's own length leaves of the gap: both are measured.
  if (isSlip && meeting.kind === 'socket') return UNKNOWN_DEPTH
  if (meeting.kind === 'thread') return threadMadeUp(meeting.form, meeting.size) ?? UNKNOWN_DEPTH
  // A socket of the other schedule has that schedule's depth.
  const socket = findSocket(
    meeting.method,
    meeting.size === otherSchedule(classOf(meeting.tube.pipe)) ? pipesOfClass(meeting.size)[0]! : meeting.tube.pipe,
  )
  // A converter made for the old size has a mouth of its own, which no table holds.
  if (!socket || isMouthOfOldSize(meeting.size)) return UNKNOWN_DEPTH
  const measured = kit.measured?.find(
    (fitting) =>
      fitting.method === meeting.method &&
      (fitting.nominal === socket.fittingNominal || fitting.nominal === meeting.tube.pipe.nominal) &&
      fitting.insertion !== undefined,
  )
  if (measured?.insertion !== undefined)
    return { value: measured.insertion, lo: measured.insertion, hi: measured.insertion, source: 'measured' }
  return socketDepth(socket)
}

/** Fittings and tails in the order of the chain, one line each, then the loose parts counted together. */
function partsOf(chain: Chain, insertions: readonly Figure[]): Part[] {
  const inLine: Part[] = chain.items.map((item): Part => {
    if (item.kind === 'fitting')
      return { kind: item.fitting.kind, name: item.fitting.name, size: item.fitting.size, quantity: 1 }
    const [from, to] = item.between.map((at) => insertions[at]!.value)
    const part: Part = {
      kind: 'tail',
      name: `tail of ${item.tube.pipe.label}`,
      size: item.tube.pipe.nominal,
      quantity: 1,
    }
    return typeof from === 'number' && typeof to === 'number' ? { ...part, length: TAIL_BARE + from + to } : part
  })
  const loose = new Map<string, Part>()
  for (const meeting of chain.meetings) {
    if (meeting.kind !== 'socket') continue
    for (const part of JOINT_METHODS[meeting.method].looseParts(meeting.tube)) {
      if (part.name === 'converter olive' && !isInMetricBody(meeting)) continue
      const same = loose.get(`${part.name} ${part.size}`)
      if (same) same.quantity += part.quantity
      else loose.set(`${part.name} ${part.size}`, { ...part })
    }
  }
  return [...inLine, ...loose.values()]
}

interface Weakest {
  bar: number
  at: string
  source: string
}

function weakestOf(chain: Chain, { conditions: { temperature } }: Situation): Weakest | null {
  const elements = chain.meetings.flatMap((meeting): Weakest[] => {
    if (meeting.kind !== 'socket') return []
    const { pipe } = meeting.tube
    const socket = findSocket(meeting.method, pipe)
    const tube = pipeRating(pipe, temperature, temperRated(meeting.tube))
    const joint = socket ? jointRating(socket, pipe, temperature) : { kind: 'none' as const }
    return [
      ...(tube.kind === 'rated'
        ? [{ bar: tube.bar, at: `${pipe.label} at ${tube.tempC} °C`, source: tube.source }]
        : []),
      ...(joint.kind === 'rated'
        ? [
            {
              bar: joint.bar,
              at: `${JOINT_METHODS[meeting.method].words} joint at ${joint.tempC} °C`,
              source: joint.source,
            },
          ]
        : []),
    ]
  })
  return elements.reduce<Weakest | null>(
    (least, element) => (least === null || element.bar < least.bar ? element : least),
    null,
  )
}

/** Minutes at one end: the user's own by method and size, then by method, else ours. */
function minutesOf(meeting: Meeting, { kit: { minutes = [] } }: Situation): { work: number; wait: number } {
  const nominal = meeting.kind === 'socket' ? meeting.tube.pipe.nominal : meeting.size
  const own = minutes.filter(({ method }) => method === meeting.method)
  return (
    own.find((one) => one.nominal === nominal) ??
    own.find((one) => one.nominal === undefined) ??
    ALL_METHODS[meeting.method].minutes
  )
}

/** A part's own price in place of our guess, where the user typed it. */
function ownCost(parts: readonly Part[], { kit: { prices = [] } }: Situation): number | null {
  const priced = parts
    .filter(({ kind }) => kind !== 'tail')
    .map((part) => ({ part, own: prices.find(({ name, size }) => name === part.name && size === part.size) }))
  return priced.length > 0 && priced.every(({ own }) => own)
    ? priced.reduce((sum, { part, own }) => sum + own!.price * part.quantity, 0)
    : null
}

function timeAndCost(
  chain: Chain,
  loose: number,
  parts: readonly Part[],
  situation: Situation,
): Pick<Way, 'minutes' | 'cost'> {
  const minutes = { work: 0, wait: 0 }
  const kinds = chain.items.map((item) => (item.kind === 'fitting' ? item.fitting.kind : 'tail'))
  const dearer = Math.max(...kinds.map((kind) => DEARER[kind] ?? 1))
  const cost = { low: loose * SMALL_PART_PRICE.low, high: loose * SMALL_PART_PRICE.high }
  for (const meeting of chain.meetings) {
    const method = methodOf(meeting)
    const scale = (meeting.kind === 'socket' ? meeting.tube.pipe.od / PRICE_OD : 1) * dearer
    const own = minutesOf(meeting, situation)
    minutes.work += own.work
    // Joints cool side by side, so the longest wait counts once.
    minutes.wait = Math.max(minutes.wait, own.wait)
    cost.low += ALL_METHODS[method].price.low * scale
    cost.high += ALL_METHODS[method].price.high * scale
  }
  const price = ownCost(parts, situation)
  return { minutes, cost: price === null ? cost : { low: price, high: price } }
}

const RANK: Readonly<Record<Verdict, number>> = { fits: 0, care: 1, held: 2 }

function undoOf(chain: Chain): string {
  const open = chain.meetings.find((meeting) => meeting.kind === 'thread' || JOINT_METHODS[meeting.method].comesApart)
  const which = open ?? chain.meetings[0]!
  return which.kind === 'thread' ? 'unscrew' : JOINT_METHODS[which.method].undo
}

/** One way, whole, from a chain that no rule refuses. */
export function assembleWay(chain: Chain, situation: Situation): Way {
  const isSlip = chain.items.some((item) => item.kind === 'fitting' && item.fitting.kind === 'slip')
  const insertions = chain.meetings.map((meeting) => insertionOf(meeting, situation, isSlip))
  const joints = chain.meetings.map((meeting, i): Joint =>
    meeting.kind === 'thread'
      ? {
          method: meeting.method,
          on: meeting.on,
          pipe: null,
          thread: { form: meeting.form, size: meeting.size, gender: 'male' },
          insertion: insertions[i]!,
        }
      : { method: meeting.method, on: meeting.on, pipe: meeting.tube.pipe.id, insertion: insertions[i]! },
  )
  const parts = partsOf(chain, insertions)
  const concerns = concernsOfChain({ chain, insertions, situation, isInMetricBody })
  const verdict = concerns.reduce<Verdict>(
    (worst, concern) => (concern.verdict !== 'note' && RANK[concern.verdict] > RANK[worst] ? concern.verdict : worst),
    'fits',
  )
  const strip = ({ code, text }: Concern): Note => ({ code, text })
  const deciding = concerns.filter((concern) => concern.verdict === verdict).map(strip)
  const weakest = weakestOf(chain, situation)
  const { pressure } = situation.conditions
  const working: WorkingLine[] = weakest
    ? [
        { text: `weakest: ${weakest.at}`, op: '+', value: weakest.bar, unit: 'bar', source: weakest.source },
        { text: 'working pressure', op: '-', value: pressure, unit: 'bar' },
        { text: 'margin', op: '=', value: weakest.bar - pressure, unit: 'bar' },
      ]
    : []
  const loose = parts.filter(isLoose).reduce((count, { quantity }) => count + quantity, 0)
  return {
    id: chain.items.map((item) => (item.kind === 'fitting' ? item.fitting.id : `tail.${item.tube.pipe.id}`)).join('+'),
    verdict,
    because: verdict === 'fits' ? [FITS] : deciding,
    joints,
    parts,
    ...timeAndCost(chain, loose, parts, situation),
    undo: undoOf(chain),
    margin: { bar: weakest ? weakest.bar - pressure : null, at: weakest?.at ?? 'no rating held' },
    cautions: concerns.map(strip),
    working,
  }
}

/** Place of a way in the job's own order of methods: that of its least liked; those not named come after. */
const liked = ({ joints }: Way, order: readonly Method[]): number =>
  Math.max(...joints.map(({ method }) => (order.includes(method) ? order.indexOf(method) : order.length)))

/** Order of ways: verdict, the job's own order of methods, joints, minutes, cost, id (contract). */
export const compareWays =
  (order: readonly Method[]) =>
  (one: Way, other: Way): number =>
    RANK[one.verdict] - RANK[other.verdict] ||
    (order.length > 0 ? liked(one, order) - liked(other, order) : 0) ||
    one.joints.length - other.joints.length ||
    one.minutes.work + one.minutes.wait - other.minutes.work - other.minutes.wait ||
    one.cost.low - other.cost.low ||
    compareText(one.id, other.id)
