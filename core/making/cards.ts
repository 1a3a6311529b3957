import { ok, type Result } from '#core/base'
import { getPipe, type EndFacts, type Family } from '#core/catalogue'
import {
  ALL_METHODS,
  factsIn,
  isClosed,
  isLoose,
  type Conditions,
  type End,
  type Joint,
  type MakeQuestion,
  type Near,
  type OtherEnd,
  type Part,
  type PipeEnd,
  type Policy,
  type Step,
} from '#core/joints'
import { makeJoint } from './make'
import { partSteps } from './part-steps'
import { slipOf, type Slip } from './slip'
import type { MakeAnswer } from './types'
import type { Region } from '#core/units'

/** How one entry of a way is made: its place in the way's joints, and the answer of `make`. */
export interface MakeCard {
  entry: number
  joint: Joint
  answer: Result<MakeAnswer>
  /** Its turn among those of one method, where that is not its place. */
  turn?: number
}

export interface CardsQuestion {
  joints: readonly Joint[]
  region: Region
  orientation: 'horizontal' | 'vertical'
  conditions?: Partial<Conditions>
  policy?: Partial<Policy>
  /** The parts the way is made with, for what heat would reach. */
  parts?: readonly Part[]
  /** The ends as they were given, for their temper. */
  a?: End | null
  b?: OtherEnd | null
  /** degC; 20 where left out. */
  ambient?: number | null
  torch?: MakeQuestion['torch'] | null
  /** Least temperature of the expander on the van, degC. */
  leastAmbient?: number | null
  /** A coupling without a stop as it was measured, mm, and the pipe it is slid onto. */
  slip?: { length?: number; on?: 'a' | 'b' }
}

const PLASTICS: ReadonlySet<Family> = new Set<Family>([
  'pex',
  'pert',
  'bs7291',
  'pb',
  'multilayer',
  'cpvc',
  'pvc',
  'pp-r',
  'pe',
  'vinyl',
])

function nearOf(joint: Joint, joints: readonly Joint[], parts: readonly Part[]): Near[] {
  const others = joints.filter((one) => one !== joint)
  const isPlastic = (one: Joint) => one.pipe !== null && PLASTICS.has(getPipe(one.pipe).family)
  return [
    ...(parts.some(({ kind }) => kind === 'valve') ? ['valve' as const] : []),
    ...(others.some((one) => ALL_METHODS[one.method].hasSeal) ? ['seal' as const] : []),
    ...(others.some(isPlastic) ? ['plastic' as const] : []),
    ...(others.some(({ method }) => method === 'solder') ? ['solder' as const] : []),
  ]
}

/** Past the first entry of an end that is closed there is no pipe. */
const isPastPipe = (entry: number, b: CardsQuestion['b']): boolean => entry > 0 && isClosed(b)

/** The pipe end an entry is made on; none for what stands between, or a bare thread. */
function pipeEndOf({ on }: Joint, entry: number, { a, b }: Pick<CardsQuestion, 'a' | 'b'>): PipeEnd | undefined {
  if (isPastPipe(entry, b)) return undefined
  const end = { a, b, between: null }[on]
  return end && 'pipe' in end ? end : undefined
}

/** A thread's own form decides its tape and depth, whatever country the job is in. */
const ofThread = ({ size, form, material }: NonNullable<Joint['thread']>, end: PipeEnd | undefined) => ({
  nominal: size,
  form,
  ...(material ? { material } : {}),
  pipe: end?.pipe,
})

/**
 * What a card is asked of an entry: its pipe, or its thread and the pipe that has it, with what is known of that end.
 */
function askedOf(
  joint: Joint,
  entry: number,
  question: Pick<CardsQuestion, 'a' | 'b'>,
): Pick<MakeQuestion, 'pipe' | 'nominal' | 'form' | 'material' | 'wall'> & EndFacts {
  const end = pipeEndOf(joint, entry, question)
  return {
    ...(joint.pipe === null ? ofThread(joint.thread!, end) : { pipe: joint.pipe }),
    ...(end ? { ...factsIn(end), wall: end.wall } : {}),
  }
}

/** Whether two entries that follow each other are the two ends of one fitting, both soldered. */
function isOneHeat(entry: number, joints: readonly Joint[], parts: readonly Part[]): boolean {
  const [one, other] = [joints[entry], joints[entry + 1]]
  // In-line parts stand in the order of the chain, one between each two joints.
  const between = parts.filter((part) => !isLoose(part))[entry]
  return one?.method === 'solder' && other?.method === 'solder' && between !== undefined && between.kind !== 'tail'
}

/** A soldered fitting is made in one heat, on the card of its last end. */
function heatOf(entry: number, joints: readonly Joint[], parts: readonly Part[]): MakeQuestion['oneHeat'] {
  if (isOneHeat(entry, joints, parts)) return 'prepare'
  return isOneHeat(entry - 1, joints, parts) ? 'both' : undefined
}

/** The last check of an end that is ticked with a pen asks for all of them: an end without a tick was not pressed. */
function askTicks(answer: Result<MakeAnswer>, ticked: number): Result<MakeAnswer> {
  if (!answer.ok) return answer
  const { steps } = answer.value
  const at = steps.findLastIndex(({ code }) => code === 'check')
  const ask = {
    what: 'ticks',
    words: 'Pen ticks on this joint',
    lo: ticked,
    hi: ticked,
    unit: 'count',
    source: 'the ends of this way',
    isFirm: true,
  } as const
  return ok({ ...answer.value, steps: steps.map((step, i) => (i === at && !step.ask ? { ...step, ask } : step)) })
}

/** Cards in the order they are made in: an adaptor is soldered before plastic goes on it. */
export const inMakingOrder = (cards: readonly MakeCard[]): MakeCard[] =>
  [...cards].sort(
    (one, other) =>
      ALL_METHODS[one.joint.method].order - ALL_METHODS[other.joint.method].order ||
      (one.turn ?? one.entry) - (other.turn ?? other.entry),
  )

/** Both figures that its marks come from are known. */
const isMarked = (slip: Slip | null): slip is Slip & { length: number; gap: number; mark: number } =>
  slip !== null && slip.mark !== null

/** It is soldered in one heat once it stands on both marks, on the card of the end it is slid back to. */
const heatOfSlip = ({ method, on }: Joint, slip: Slip): MakeQuestion['oneHeat'] => {
  if (method !== 'solder') return undefined
  return on === slip.on ? 'prepare' : 'both'
}

/** What a card is asked of a coupling without a stop. */
const slipAsked = ({ on }: Joint, slip: Slip | null): Pick<MakeQuestion, 'slip' | 'slipEnd'> =>
  isMarked(slip)
    ? { slip: { length: slip.length, gap: slip.gap }, slipEnd: on === slip.on ? ('on' as const) : ('back' as const) }
    : {}

/** An end by where the edge of its coupling without a stop stands, once that is known. */
const markedBySlip = (joint: Joint, slip: Slip | null): Joint =>
  isMarked(slip) && slip.mark > 0
    ? {
        ...joint,
        insertion: { value: slip.mark, lo: slip.mark, hi: slip.mark, source: `half of ${slip.source}, less the gap` },
      }
    : joint

/** One card for each entry of a way, in order from end a to end b. */
export function makeCards(question: CardsQuestion): MakeCard[] {
  const { joints, region, orientation, conditions, policy, parts = [], ambient, torch } = question
  const slip = slipOf({ joints, parts, slip: question.slip, gap: conditions?.gap })
  const cards = joints.map((joint, entry): MakeCard => ({
    entry,
    joint: markedBySlip(joint, slip),
    ...(slip?.on === 'b' ? { turn: -entry } : {}),
    answer: makeJoint(
      {
        method: joint.method,
        ...askedOf(joint, entry, question),
        oneHeat: isMarked(slip) ? heatOfSlip(joint, slip) : heatOf(entry, joints, parts),
        isSpigot: joint.isSpigot,
        region,
        orientation,
        conditions,
        policy,
        near: nearOf(joint, joints, parts),
        closes: isClosed(question.b),
        ambient: ambient ?? undefined,
        torch: torch ?? undefined,
        leastAmbient: question.leastAmbient ?? undefined,
        ...slipAsked(joint, slip),
      },
      joint.pipe === null || isMarked(slip) ? undefined : joint.insertion,
    ),
  }))
  return withPartSteps(onceUnderWater(withTicks(cards)), partSteps(parts, isClosed(question.b)))
}

/** The water is let in once all ends are made: what is looked at then stands on the card made last, and on no other. */
function onceUnderWater(cards: readonly MakeCard[]): MakeCard[] {
  const last = inMakingOrder(cards).at(-1)
  const stands = (steps: readonly Step[]) => steps.filter(({ isUnderWater }) => !isUnderWater)
  const looks = inMakingOrder(cards).flatMap(({ answer }) =>
    answer.ok ? answer.value.steps.filter(({ isUnderWater }) => isUnderWater) : [],
  )
  return cards.map((card): MakeCard => {
    if (!card.answer.ok) return card
    const own = card.answer.value.steps
    // On another end than its own it has a name of its own: there may be a check by that name.
    const look = looks.slice(0, 1).map((step) => (own.includes(step) ? step : { ...step, id: 'water' }))
    const steps = card === last ? [...stands(own), ...look] : stands(own)
    return steps.length === own.length ? card : { ...card, answer: ok({ ...card.answer.value, steps }) }
  })
}

/** Steps before those of the end made first, and after those of the end made last, but for the look under water. */
function withPartSteps(cards: readonly MakeCard[], asked: ReturnType<typeof partSteps>): MakeCard[] {
  if (!asked) return [...cards]
  const order = inMakingOrder(cards)
  return cards.map((card): MakeCard => {
    if (!card.answer.ok) return card
    const { steps } = card.answer.value
    const isLast = card === order.at(-1)
    const wet = isLast ? steps.filter(({ isUnderWater }) => isUnderWater) : []
    const own = steps.filter((step) => !wet.includes(step))
    const all = [...(card === order[0] ? asked.first : []), ...own, ...(isLast ? asked.last : []), ...wet]
    return { ...card, answer: ok({ ...card.answer.value, steps: all }) }
  })
}

/** The last end that is ticked with a pen asks for the ticks of all. */
function withTicks(cards: readonly MakeCard[]): MakeCard[] {
  const ticked = inMakingOrder(cards).filter(({ joint }) => ALL_METHODS[joint.method].isTicked)
  return cards.map((card) =>
    card === ticked.at(-1) ? { ...card, answer: askTicks(card.answer, ticked.length) } : card,
  )
}
