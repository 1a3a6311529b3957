import { ok, type Result } from '#core/base'
import { getPipe, type Family, type Region } from '#core/catalogue'
import type { Conditions, End, Joint, Method, Part, Policy } from '#core/joints'
import { makeJoint } from './make'
import type { MadeMethod, MakeAnswer, MakeQuestion, Near } from './types'

/** How one entry of a way is made: its place in the way's joints, and the answer of `make`. */
export interface MakeCard {
  entry: number
  joint: Joint
  answer: Result<MakeAnswer>
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
  b?: End | null
  /** degC; 20 where left out. */
  ambient?: number | null
  torch?: MakeQuestion['torch'] | null
}

/** Methods by the order they are made in at one place: flame first, then threads, cement, presses, what has a seal, nuts last. */
const MAKING_ORDER: readonly Method[] = ['solder', 'thread', 'union', 'solvent-cement', 'press', 'ml-press', 'sliding-sleeve', 'expansion', 'crimp', 'clamp', 'push-fit', 'ml-compression', 'pe-compression', 'compression']

/** Methods whose finished ends are ticked with a pen. */
const TICKED: ReadonlySet<Method> = new Set<Method>(['press', 'ml-press', 'clamp', 'expansion', 'sliding-sleeve'])
const PLASTICS: ReadonlySet<Family> = new Set<Family>(['pex', 'pert', 'bs7291', 'pb', 'multilayer', 'cpvc', 'pvc', 'pp-r', 'pe'])
const SEALED: ReadonlySet<Method> = new Set<Method>(['press', 'push-fit', 'ml-press', 'ml-compression', 'pe-compression'])

function nearOf(joint: Joint, joints: readonly Joint[], parts: readonly Part[]): Near[] {
  const others = joints.filter(one => one !== joint)
  const isPlastic = (one: Joint) => one.pipe !== null && PLASTICS.has(getPipe(one.pipe).family)
  return [
    ...(parts.some(({ kind }) => kind === 'valve') ? ['valve' as const] : []),
    ...(others.some(one => SEALED.has(one.method)) ? ['seal' as const] : []),
    ...(others.some(isPlastic) ? ['plastic' as const] : []),
    ...(others.some(({ method }) => method === 'solder') ? ['solder' as const] : []),
  ]
}

const temperOf = (joint: Joint, { a, b }: Pick<CardsQuestion, 'a' | 'b'>): 'hard' | 'soft' | undefined => {
  const end = joint.on === 'a' ? a : joint.on === 'b' ? b : null
  return end && 'pipe' in end ? end.temper : undefined
}

/** The last check of an end that is ticked with a pen asks for all of them: an end without a tick was not pressed. */
function askTicks(answer: Result<MakeAnswer>, ticked: number): Result<MakeAnswer> {
  if (!answer.ok) return answer
  const { steps } = answer.value
  const at = steps.findLastIndex(({ code }) => code === 'check')
  const ask = { what: 'ticks', words: 'Pen ticks on this joint', lo: ticked, hi: ticked, unit: 'count', source: 'the ends of this way', isFirm: true } as const
  return ok({ ...answer.value, steps: steps.map((step, i) => (i === at && !step.ask ? { ...step, ask } : step)) })
}

/** Cards in the order they are made in: an adaptor is soldered before plastic goes on it. */
export const inMakingOrder = (cards: readonly MakeCard[]): MakeCard[] =>
  [...cards].sort((one, other) => MAKING_ORDER.indexOf(one.joint.method) - MAKING_ORDER.indexOf(other.joint.method) || one.entry - other.entry)

/** One card for each entry of a way, in order from end a to end b. */
export function makeCards(question: CardsQuestion): MakeCard[] {
  const { joints, region, orientation, conditions, policy, parts = [], ambient, torch } = question
  const cards = joints.map((joint, entry): MakeCard => ({
    entry,
    joint,
    answer: makeJoint({
      method: joint.method as MadeMethod,
      ...(joint.pipe === null ? { nominal: joint.thread!.size } : { pipe: joint.pipe }),
      // A thread's own form decides its tape and depth, whatever country the job is in.
      region: joint.thread ? (joint.thread.form === 'npt' ? 'us' : 'gb') : region,
      orientation,
      conditions,
      policy,
      near: nearOf(joint, joints, parts),
      temper: temperOf(joint, question),
      ambient: ambient ?? undefined,
      torch: torch ?? undefined,
    }, joint.pipe === null ? undefined : joint.insertion),
  }))
  const ticked = inMakingOrder(cards).filter(({ joint }) => TICKED.has(joint.method))
  return cards.map(card => (card === ticked.at(-1) ? { ...card, answer: askTicks(card.answer, ticked.length) } : card))
}
