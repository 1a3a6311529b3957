import { finish, type Steps } from '#core/base'
import { joinsKind, type SocketMethod, type Valve } from '#core/catalogue'
import {
  classOf,
  compressionBodyOf,
  isMouthOfOldSize,
  otherSchedule,
  pipesOfClass,
  systemOf,
  type SizeClass,
} from './size-classes'
import type { Fitting, Mouth } from './fitting'
import { fittingsBetween } from './fittings'
import { ANSWERED_BY } from './refuse'
import { refuse } from './rules/ask'
import { isFresh, metalOf, pairIn } from './metals'
import { mayBeCone } from './rules/seats'
import { isUnionRefused, threadOn } from './rules/threads'
import { alongOf, asideOf } from './play'
import { toTube } from './defaults'
import type { Offer, Place, Situation, Thread, Tube } from './types'

/** One meeting in a chain, from a to b. */
export type Meeting =
  | { kind: 'socket'; method: SocketMethod; size: SizeClass; tube: Tube; on: Place; isSpigot?: true }
  | {
      kind: 'thread'
      method: 'thread' | 'union'
      form: Thread['form']
      size: string
      on: Place
      gender: Thread['gender']
      tube?: Tube
      /** One of the two is plastic. */
      isPlastic?: true
      /** The seat of a cone joint, which is one with the joint on its tube. */
      isSeat?: true
    }

/** A thing that is bought or cut; a tail names the meetings at its two ends. */
type Item = { kind: 'fitting'; fitting: Fitting } | { kind: 'tail'; tube: Tube; between: [number, number] }

export interface Chain {
  items: Item[]
  meetings: Meeting[]
}

/** Longest chain looked for (contract). */
const MOST_FITTINGS = 3
const MOST_JOINTS = 6

/** What an end can be joined by: itself, and the thread that may be cut on it. */
function offersOf(end: Offer, situation: Situation): readonly Offer[] {
  const threaded = end.kind === 'tube' ? threadOn(end, situation) : null
  return threaded ? [end, threaded] : [end]
}

/**
 * Whether a tube enters a socket of this class: its own, a metric body it is made to enter by compression, or PVC of the
 * other schedule.
 */
const enters = (tube: Tube, method: SocketMethod, size: SizeClass): boolean => {
  const own = classOf(tube.pipe)
  return (
    joinsKind(method, tube.pipe) &&
    (own === size ||
      (method === 'compression' && compressionBodyOf(own) === size) ||
      (method === 'solvent-cement' && otherSchedule(own) === size))
  )
}

/** Kinds of fitting by what they answer: those that answer nothing are as a coupling. */
type Answers = 'converter' | 'slip' | 'coupling'

/** The joint made where an offer meets a mouth, or null where they do not mate or a rule refuses it. */
function meet(
  offer: Offer,
  mouth: Mouth,
  { kind }: Pick<Fitting, 'kind'>,
  situation: Situation,
  isRefused: (method: SocketMethod, tube: Tube, by: Answers) => boolean,
): Meeting | null {
  if (offer.kind === 'shut') return null
  if (offer.kind === 'tube') {
    if (mouth.kind !== 'socket' || !enters(offer.tube, mouth.method, mouth.size)) return null
    const bySlip = kind === 'slip' ? 'slip' : 'coupling'
    if (isRefused(mouth.method, offer.tube, isMouthOfOldSize(mouth.size) ? 'converter' : bySlip)) return null
    return {
      kind: 'socket',
      method: mouth.method,
      size: mouth.size,
      tube: offer.tube,
      on: offer.on,
      ...(offer.isSpigot ? { isSpigot: true } : {}),
    }
  }
  // An outlet elbow holds the outlet itself, not pipe and not another fitting.
  if (kind === 'drop-ear' && (offer.on === 'between' || offer.tube)) return null
  if (mouth.kind !== 'thread') return null
  if (mouth.isCone) return meetSeat(offer)
  // A swivel's washer lies on a flat face.
  if (mouth.isSwivel && offer.thread.seat === 'cone') return null
  if ((mouth.isSwivel || offer.thread.isSwivel) && (mouth.form !== 'bspp' || offer.thread.form !== 'bspp')) return null
  if (kind === 'union' && isUnionRefused(situation)) return null
  const other: Screwed = { ...mouth, material: mouth.isPlastic ? 'plastic' : 'brass' }
  if (!screwsInto(offer.thread, other)) return null
  return {
    kind: 'thread',
    method: kind === 'union' && offer.on !== 'between' ? 'union' : 'thread',
    // A taper male in a parallel female is made up as a taper.
    form: mouth.gender === 'male' ? mouth.form : offer.thread.form,
    size: mouth.size,
    on: offer.on,
    gender: mouth.gender === 'male' ? 'female' : 'male',
    ...(offer.tube ? { tube: offer.tube } : {}),
    ...(isPlastic(offer.thread) || isPlastic(other) ? { isPlastic: true } : {}),
  }
}

/** The seat of a cone joint at an end of the chain, or null where that end has none. */
const meetSeat = ({ thread, on }: Extract<Offer, { kind: 'thread' }>): Meeting | null =>
  on !== 'between' && mayBeCone(thread)
    ? { kind: 'thread', method: 'thread', form: 'bspp', size: thread.size, on, gender: 'male', isSeat: true }
    : null

type Screwed = Pick<Thread, 'form' | 'size' | 'gender' | 'material' | 'seat'>
const isPlastic = ({ material }: Screwed): boolean => material === 'plastic'

/**
 * Whether two threads make up: one form, or a taper male in a parallel female, which is sound with sealant; never metal
 * in a plastic female, which it splits.
 */
function screwsInto(one: Screwed, other: Screwed): boolean {
  const [male, female] = one.gender === 'male' ? [one, other] : [other, one]
  if (male.gender === female.gender || male.size !== female.size) return false
  if (isPlastic(female) && !isPlastic(male)) return false
  if (male.seat !== undefined && female.seat !== undefined && male.seat !== female.seat) return false
  return male.form === female.form || (male.form === 'bspt' && female.form === 'bspp' && female.seat === undefined)
}

/** The one joint of a male thread that goes straight into the other end, or null where it does not. */
function meetStraight(a: Offer, b: Offer, situation: Situation): Meeting | null {
  if (a.kind !== 'thread' || b.kind !== 'thread' || !screwsInto(a.thread, b.thread)) return null
  // In fresh water brass stands between steel and stainless: they never touch bare.
  if (isFresh(situation) && pairIn([metalOf(a, situation), metalOf(b, situation)])) return null
  const male = a.thread.gender === 'male' ? a : b
  return {
    kind: 'thread',
    method: 'thread',
    form: male.thread.form,
    size: male.thread.size,
    on: male.on,
    gender: 'male',
    ...(male.tube ? { tube: male.tube } : {}),
    ...(isPlastic(a.thread) || isPlastic(b.thread) ? { isPlastic: true } : {}),
  }
}

/** Copper tube for a tail of a class, where one is sold. */
const TAIL_SERIES: Readonly<Record<string, string>> = { en: 'cu-en-x', cts: 'cu-l' }
const TAILS = new Map<SizeClass, Tube | null>()
function tailOf(size: SizeClass): Tube | null {
  const known = TAILS.get(size)
  if (known !== undefined) return known
  // Where water tube begins above a size, coil called by its outside is cut for it.
  const series = TAIL_SERIES[systemOf(size)]
  const pipe = pipesOfClass(size).find((one) => one.series === series || one.series === 'cu-od')
  const tail = series && pipe ? toTube({ pipe: pipe.id }) : null
  TAILS.set(size, tail)
  return tail
}

const SPIGOTS = new Map<SizeClass, Tube>()
function spigotTube(size: SizeClass): Tube {
  const series = TAIL_SERIES[systemOf(size)]!
  const tube = SPIGOTS.get(size) ?? toTube({ pipe: pipesOfClass(size).find((one) => one.series === series)!.id })
  SPIGOTS.set(size, tube)
  return tube
}

const spigotOffer = (size: SizeClass): Offer => ({
  kind: 'tube',
  tube: spigotTube(size),
  on: 'between',
  isSpigot: true,
})

/** A fitting stands once in a chain; a converter may stand at both ends. */
const isSpent = (fitting: Fitting, used: readonly Fitting[]): boolean =>
  fitting.kind !== 'converter' && used.includes(fitting)

/** Both mouths alike: turning it round gives the same chain. */
const isSymmetric = ({ mouths: [first, second] }: Fitting): boolean =>
  first.kind === 'socket' && second.kind === 'socket' && first.method === second.method && first.size === second.size

/** Whether a chain has one valve, of this kind. */
function hasOne({ items }: Chain, valve: Valve): boolean {
  const valves = items.flatMap((item) => (item.kind === 'fitting' && item.fitting.valve ? [item.fitting.valve] : []))
  return valves.length === 1 && valves[0] === valve
}

/**
 * Every chain of at most 3 fittings and 6 joints from one end to the other in which each meeting mates and no rule
 * refuses it. A chain passes no fitting twice, but for a converter that both ends need, and a tail never returns to
 * the size of either end.
 */
export const findChains = (a: Offer, b: Offer, situation: Situation, valve?: Valve): Chain[] =>
  finish(chainSteps(a, b, situation, valve))

/** The same in steps: one for each fitting that may come first. */
export function* chainSteps(a: Offer, b: Offer, situation: Situation, valve?: Valve): Steps<Chain[]> {
  const ends = [a, b].flatMap((end) => (end.kind === 'tube' ? [classOf(end.tube.pipe)] : []))
  const starts = { a: offersOf(a, situation), b: offersOf(b, situation) }
  // A part without a stop is put over an end: drawn apart far enough, or moved aside by the larger diameter.
  const thickest = Math.max(...[a, b].map((end) => end.tube?.pipe.od ?? 0))
  const isOver = (play: number | null, least: number) => play === null || play >= least
  const canPutOver = isOver(asideOf(situation.conditions), thickest) || alongOf(situation.conditions) === null
  const fittings = fittingsBetween(
    ends,
    [...starts.a, ...starts.b].flatMap((end) => (end.kind === 'thread' ? [end.thread] : [])),
    { valve, closer: b.kind === 'shut' },
  ).filter(({ kind }) => kind !== 'slip' || canPutOver)
  const startsOf = (end: Offer): readonly Offer[] => (end === a ? starts.a : starts.b)
  const chains: Chain[] = []
  // The same few tubes meet the same methods over and over: each is asked once.
  const asked = new Map<Tube, Map<string, boolean>>()
  const isRefused = (method: SocketMethod, tube: Tube, by: Answers): boolean => {
    const answers = asked.get(tube) ?? new Map<string, boolean>()
    asked.set(tube, answers)
    const key = `${method} ${by}`
    const known = answers.get(key)
    if (known !== undefined) return known
    const isSo = refuse(method, tube, situation, ANSWERED_BY[by]) !== null
    answers.set(key, isSo)
    return isSo
  }

  const close = (open: Mouth, chain: Chain, fitting: Fitting) => {
    if (open.kind === 'spigot') return
    if (open.kind === 'shut') {
      if (b.kind === 'shut') chains.push(chain)
      return
    }
    for (const to of startsOf(b)) {
      const last = meet(to, open, fitting, situation, isRefused)
      if (last) chains.push({ items: chain.items, meetings: [...chain.meetings, last] })
    }
  }

  /** A fitting joined on by one mouth; the chain ends at its other mouth, or goes on from there. */
  const place = (fitting: Fitting, meeting: Meeting, far: Mouth, chain: Chain, used: readonly Fitting[]) => {
    const next: Chain = {
      items: [...chain.items, { kind: 'fitting', fitting }],
      meetings: [...chain.meetings, meeting],
    }
    if (next.meetings.length >= MOST_JOINTS) return
    close(far, next, fitting)
    if (fitting.kind !== 'drop-ear') goOn(far, next, [...used, fitting])
  }

  const extendBy = (fitting: Fitting, offer: Offer, chain: Chain, used: readonly Fitting[]) => {
    if (isSpent(fitting, used)) return
    for (const [first, second] of [fitting.mouths, [fitting.mouths[1], fitting.mouths[0]]] as [Mouth, Mouth][]) {
      const meeting = meet(offer, first, fitting, situation, isRefused)
      if (!meeting) continue
      place(fitting, meeting, second, chain, used)
      if (isSymmetric(fitting)) return
    }
  }
  const extend = (offer: Offer, chain: Chain, used: readonly Fitting[]) => {
    if (used.length === MOST_FITTINGS) return
    for (const fitting of fittings) extendBy(fitting, offer, chain, used)
  }

  const goOn = (open: Mouth, chain: Chain, used: readonly Fitting[]) => {
    // Nothing but the body of a manifold goes into the nut of a cone.
    if (open.kind === 'shut' || (open.kind === 'thread' && open.isCone)) return
    if (open.kind === 'thread')
      return extend(
        { kind: 'thread', thread: { ...open, material: open.isPlastic ? 'plastic' : 'brass' }, on: 'between' },
        chain,
        used,
      )
    if (open.kind === 'spigot') return extend(spigotOffer(open.size), chain, used)
    // A socket is followed by the spigot of another fitting, or by a tail of a size that neither end has.
    for (const fitting of fittings) {
      if (isSpent(fitting, used) || used.length === MOST_FITTINGS) continue
      const at = fitting.mouths.findIndex((mouth) => mouth.kind === 'spigot')
      const spigot = fitting.mouths[at]
      if (!spigot || spigot.kind !== 'spigot') continue
      const meeting = meet(spigotOffer(spigot.size), open, fitting, situation, isRefused)
      if (!meeting) continue
      place(fitting, meeting, fitting.mouths[1 - at]!, chain, used)
    }
    const tail = ends.includes(open.size) ? null : tailOf(open.size)
    const into = tail && meet({ kind: 'tube', tube: tail, on: 'between' }, open, used.at(-1)!, situation, isRefused)
    if (!tail || !into) return
    const at = chain.meetings.length
    extend(
      { kind: 'tube', tube: tail, on: 'between' },
      {
        items: [...chain.items, { kind: 'tail', tube: tail, between: [at, at + 1] }],
        meetings: [...chain.meetings, into],
      },
      used,
    )
  }

  for (const from of startsOf(a)) {
    for (const to of startsOf(b)) {
      const straight = meetStraight(from, to, situation)
      if (straight) chains.push({ items: [], meetings: [straight] })
    }
    for (const fitting of fittings) {
      extendBy(fitting, from, { items: [], meetings: [] }, [])
      yield
    }
  }
  return valve === undefined ? chains : chains.filter((chain) => hasOne(chain, valve))
}
