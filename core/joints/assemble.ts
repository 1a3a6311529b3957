import { compareText, type Figure, type Note, type WorkingLine } from '#core/base'
import {
  findSlipLength,
  findSocket,
  getPipe,
  INSERT_WALL_MM,
  jointRating,
  socketDepth,
  threadMadeUp,
} from '#core/catalogue'
import { ALL_METHODS, JOINT_METHODS } from './methods'
import { concernsOfChain, FITS } from './rules/chain'
import { ownRating } from './rules/common'
import { threadedBar } from './rules/threads'
import type { Concern } from './rules/rule'
import { classOf, isMouthOfOldSize, metricBodyOf, otherSchedule, pipesOfClass } from './size-classes'
import { DEARER, PRICE_OD, SMALL_PART_PRICE, TAIL_BARE } from './prices-and-play'
import { countedAs, type Fitting } from './fitting'
import type { Chain, Meeting } from './search'
import {
  isLoose,
  type Joint,
  type Method,
  type Offer,
  type OfferedMethod,
  type Part,
  type Policy,
  type Situation,
  type Verdict,
  type Way,
} from './types'
import { MM_PER_INCH, type Region } from '#core/units'
import { orderName } from './order'
import { speak, temperature as degrees, w } from '#core/speech'

const UNKNOWN_DEPTH: Figure = { value: null, lo: null, hi: null, source: 'no figure held; measure the socket' }

const methodOf = (meeting: Meeting): OfferedMethod => meeting.method

type SocketMeeting = Extract<Meeting, { kind: 'socket' }>

/** An old tube in a metric body, which it enters by compression. */
const isInMetricBody = ({ tube, size }: SocketMeeting): boolean => metricBodyOf(classOf(tube.pipe)) === size

/**
 * Where a coupling without a stop stands on each pipe: half of its length less the gap, mm. Null where nobody measured
 * the gap, or no length is held.
 */
function slipMark({ method, tube }: SocketMeeting, { conditions: { gap } }: Situation): Figure {
  const length = gap === undefined ? null : findSlipLength(method, tube.pipe)
  if (!length || gap === undefined) return UNKNOWN_DEPTH
  const half = (mm: number | null) => (mm === null ? null : Math.max(0, (mm - gap) / 2))
  return { value: half(length.value), lo: half(length.lo), hi: half(length.hi), source: length.source }
}

/** Depth of a meeting in mm: the user's measured fitting first, then the table. */
function insertionOf(meeting: Meeting, situation: Situation, isSlip: boolean): Figure {
  const { kit } = situation
  if (isSlip && meeting.kind === 'socket') return slipMark(meeting, situation)
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

/** A threaded fitting by what it is ordered in: metal, but for a male that is cemented on. */
function materialOf({ mouths }: Fitting): Pick<Part, 'material'> {
  const threads = mouths.filter((mouth) => mouth.kind === 'thread')
  if (threads.length === 0) return {}
  return { material: threads.some(({ isPlastic }) => isPlastic) ? 'plastic' : 'brass' }
}

/** Loose parts of one joint: what its method needs, or the washer of a parallel thread. */
function looseOf(meeting: Meeting, region: Region): Part[] {
  if (meeting.kind === 'thread')
    return meeting.form === 'bspp' && !meeting.isSeat
      ? [{ kind: 'washer', name: 'flat washer', size: `G ${meeting.size}`, quantity: 1 }]
      : []
  return JOINT_METHODS[meeting.method]
    .looseParts(meeting.tube, region)
    .filter(({ name }) => name !== `converter ${w.olive}` || isInMetricBody(meeting))
}

/** Fittings and tails in the order of the chain, one line each, then the loose parts counted together. */
function partsOf(chain: Chain, insertions: readonly Figure[], region: Region): Part[] {
  const inLine: Part[] = chain.items.flatMap((item): Part[] => {
    if (item.kind === 'fitting') {
      const { kind, name, size, beside = [] } = item.fitting
      return [{ kind: countedAs(kind), name, size, quantity: 1, ...materialOf(item.fitting) }, ...beside]
    }
    const [from, to] = item.between.map((at) => insertions[at]!.value)
    const part: Part = {
      kind: 'tail',
      name: `tail of ${item.tube.pipe.label}`,
      size: item.tube.pipe.nominal,
      quantity: 1,
    }
    return [typeof from === 'number' && typeof to === 'number' ? { ...part, length: TAIL_BARE + from + to } : part]
  })
  const loose = new Map<string, Part>()
  for (const meeting of chain.meetings) {
    for (const part of looseOf(meeting, region)) {
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

/** Threaded plastic pipe carries half of what it does whole; of other threads no rating is held. */
function ofThread({ tube }: Extract<Meeting, { kind: 'thread' }>, temperature: number): Weakest[] {
  const bar = tube?.pipe.family === 'pvc' ? threadedBar(tube, temperature) : null
  return bar === null
    ? []
    : [{ bar, at: `${tube!.pipe.label}, threaded`, source: 'ASTM D1785: a thread leaves half of its pressure' }]
}

function weakestOf(chain: Chain, { conditions }: Situation): Weakest | null {
  const { temperature } = conditions
  const elements = chain.meetings.flatMap((meeting): Weakest[] => {
    if (meeting.kind !== 'socket') return ofThread(meeting, temperature)
    const { pipe } = meeting.tube
    const socket = findSocket(meeting.method, pipe)
    const tube = ownRating(meeting.tube, conditions)
    const joint = socket ? jointRating(socket, pipe, temperature) : { kind: 'none' as const }
    return [
      ...(tube.kind === 'rated'
        ? [{ bar: tube.bar, at: `${pipe.label} at ${degrees(tube.tempC)}`, source: tube.source }]
        : []),
      ...(joint.kind === 'rated'
        ? [
            {
              bar: joint.bar,
              at: `${JOINT_METHODS[meeting.method].words} joint at ${degrees(joint.tempC)}`,
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

/** What a part goes by on a price list: its own name, or the counter's. */
const namesOf = (part: Part, region: Region): string[] => [speak(part.name, region), speak(orderName(part), region)]

/** A part's own price in place of our guess, where the user typed it. */
function ownCost(parts: readonly Part[], { region, kit: { prices = [] } }: Situation): number | null {
  const priced = parts
    .filter(({ kind }) => kind !== 'tail')
    .map((part) => ({
      part,
      own: prices.find(({ name, size }) => size === part.size && namesOf(part, region).includes(name)),
    }))
  return priced.length > 0 && priced.every(({ own }) => own)
    ? priced.reduce((sum, { part, own }) => sum + own!.price * part.quantity, 0)
    : null
}

/** A way with a flame takes what hot work takes, once. */
function withHotWork(
  { meetings }: Chain,
  { kit: { hotWork } }: Situation,
  { minutes, cost }: Pick<Way, 'minutes' | 'cost'>,
): Pick<Way, 'minutes' | 'cost'> {
  const isHot = meetings.some(({ kind, method }) => kind === 'socket' && JOINT_METHODS[method].needsFlame)
  if (!isHot || !hotWork) return { minutes, cost }
  return {
    minutes: { ...minutes, work: minutes.work + hotWork.minutes },
    cost: { low: cost.low + hotWork.price, high: cost.high + hotWork.price },
  }
}

/** How much dearer a mouth is than a coupling's, by the dearer of the two things that meet there. */
const dearerAt = ({ items }: Chain, meeting: number): number =>
  Math.max(
    1,
    ...[items[meeting - 1], items[meeting]].map((item) =>
      item?.kind === 'fitting' ? (DEARER[item.fitting.kind] ?? 1) : 1,
    ),
  )

function timeAndCost(
  chain: Chain,
  loose: number,
  parts: readonly Part[],
  situation: Situation,
): Pick<Way, 'minutes' | 'cost'> {
  const minutes = { work: 0, wait: 0 }
  const cost = { low: loose * SMALL_PART_PRICE.low, high: loose * SMALL_PART_PRICE.high }
  for (const [i, meeting] of chain.meetings.entries()) {
    if (meeting.kind === 'thread' && meeting.isSeat) continue
    const method = methodOf(meeting)
    const scale = (meeting.kind === 'socket' ? meeting.tube.pipe.od / PRICE_OD : 1) * dearerAt(chain, i)
    const own = minutesOf(meeting, situation)
    minutes.work += own.work
    // Joints cool side by side, so the longest wait counts once.
    minutes.wait = Math.max(minutes.wait, own.wait)
    cost.low += ALL_METHODS[method].price.low * scale
    cost.high += ALL_METHODS[method].price.high * scale
  }
  const price = ownCost(parts, situation)
  return withHotWork(chain, situation, { minutes, cost: price === null ? cost : { low: price, high: price } })
}

const RANK: Readonly<Record<Verdict, number>> = { fits: 0, care: 1, held: 2 }

function undoOf(chain: Chain): string {
  const open = chain.meetings.find((meeting) => meeting.kind === 'thread' || JOINT_METHODS[meeting.method].comesApart)
  const which = open ?? chain.meetings[0]!
  return which.kind === 'thread' ? 'unscrew' : JOINT_METHODS[which.method].undo
}

/** What stands between the ends, in order; nothing where one goes straight into the other; a thread that is cut is said. */
function idOf({ items, meetings }: Chain): string {
  const between = items.map((item) => (item.kind === 'fitting' ? item.fitting.id : `tail.${item.tube.pipe.id}`))
  const cut = meetings.flatMap((meeting) =>
    meeting.kind === 'thread' && meeting.tube?.pipe.family === 'pvc' ? [`cut.${meeting.on}`] : [],
  )
  return [...(between.length > 0 ? between : ['straight']), ...cut].join('+')
}

/** One entry of a way: a tube end in a mouth, or a male thread. */
function jointOf(meeting: Meeting, insertion: Figure): Joint {
  if (meeting.kind === 'socket')
    return {
      method: meeting.method,
      on: meeting.on,
      pipe: meeting.tube.pipe.id,
      insertion,
      ...(meeting.isSpigot ? { isSpigot: true } : {}),
    }
  return {
    // The seat of a cone is the other half of that joint.
    method: meeting.isSeat ? 'cone' : meeting.method,
    on: meeting.on,
    pipe: null,
    thread: {
      form: meeting.form,
      size: meeting.size,
      gender: 'male',
      ...(meeting.isPlastic ? { material: 'plastic' } : {}),
    },
    insertion,
  }
}

/** One way, whole, from a chain that no rule refuses. */
export function assembleWay(chain: Chain, ends: { a: Offer; b: Offer }, situation: Situation): Way {
  const isSlip = chain.items.some((item) => item.kind === 'fitting' && item.fitting.kind === 'slip')
  const insertions = chain.meetings.map((meeting) => insertionOf(meeting, situation, isSlip))
  const joints = chain.meetings
    .map((meeting, i) => jointOf(meeting, insertions[i]!))
    // Whatever closes an end is on that end (contract).
    .map((joint): Joint => (ends.b.kind === 'shut' ? { ...joint, on: 'a' } : joint))
  const parts = partsOf(chain, insertions, situation.region)
  const concerns = concernsOfChain({ chain, ends, insertions, situation, isInMetricBody })
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
    id: idOf(chain),
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

/** Of "1-1/4" and the like, mm. */
const inchesOf = (size: string): number =>
  size.split('-').reduce((sum, part) => {
    const [over, under = '1'] = part.split('/')
    return sum + Number(over) / Number(under)
  }, 0) * MM_PER_INCH
/** The narrowest of a way, mm: its pipes', its threads', and where a fitting goes into the tube that one's. */
function leastBore({ joints }: Way): number {
  const bores = joints.map(({ method, pipe, thread }) => {
    if (pipe === null) return thread ? inchesOf(thread.size) : Infinity
    const { bore, od } = getPipe(pipe)
    return (bore ?? od) - (ALL_METHODS[method].narrowsBore ? 2 * INSERT_WALL_MM.value : 0)
  })
  return Math.min(...bores)
}

/** Whether a way has a method that the job puts last. */
const isPutLast = ({ joints }: Way, last: readonly Method[]): boolean =>
  joints.some(({ method }) => last.includes(method))

/**
 * Order of ways: verdict, what the job puts last, its own order of methods, joints, minutes, cost, the wider bore, id
 * (contract).
 */
export const compareWays =
  ({ order, last }: Pick<Policy, 'order' | 'last'>) =>
  (one: Way, other: Way): number =>
    RANK[one.verdict] - RANK[other.verdict] ||
    Number(isPutLast(one, last)) - Number(isPutLast(other, last)) ||
    (order.length > 0 ? liked(one, order) - liked(other, order) : 0) ||
    one.joints.length - other.joints.length ||
    one.minutes.work + one.minutes.wait - other.minutes.work - other.minutes.wait ||
    one.cost.low - other.cost.low ||
    leastBore(other) - leastBore(one) ||
    compareText(one.id, other.id)
