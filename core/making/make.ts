import { fail, ok, type Figure, type Note, type Result } from '#core/base'
import { findSocket, socketDepth, threadMadeUp, type ThreadForm } from '#core/catalogue'
import {
  concernsOfPipe,
  concernsOn,
  factsIn,
  fillSituation,
  isByThread,
  ALL_METHODS,
  AMBIENT_C,
  CEMENT_AIR_C,
  EXPANSION_FROST_C,
  hasLiner,
  JOINT_METHODS,
  threadCutOn,
  threadSteps,
  UNION_STEPS,
  type Card,
  type Consumable,
  type DraftStep,
  type MakeQuestion,
  type Mark,
  type Step,
  readEnd,
  REFUSAL_CODES,
  refuse,
  refuseMethod,
  type Concern,
  type OpenOffer,
  type RefusalCode,
  type Refused,
  type Situation,
  type ThreadCard,
  type ThreadMethod,
} from '#core/joints'

import { length as mm, spoken, temperature as degrees, w } from '#core/speech'
import { MAKE_RULES, type MakeCode } from './rules'
import { ofSpigot } from './steps'
import { slidBack, slidOn, slidOver } from './slip'
import type { MakeAnswer } from './types'

/** What one end cannot tell: how the other end lies, what is on the van, what meets it. The way is asked for these. */
const OF_THE_WAY: readonly RefusalCode[] = ['system', 'room', 'play', 'tool', 'thread', 'metals']
const ANSWERED = {
  table: new Set(OF_THE_WAY),
  // A mouth that a way gives its depth for has the tube's own size.
  mouth: new Set<RefusalCode>([...OF_THE_WAY, 'size', 'no-figure']),
} as const

/** Refusals a card is asked for, in the order of ways. */
export const ASKED_REFUSALS: readonly RefusalCode[] = REFUSAL_CODES.filter((code) => !OF_THE_WAY.includes(code))

/** Steps as they are recorded: with their ids, and without what is not said. */
const finish = (steps: readonly DraftStep[]): Step[] =>
  steps.map((step) => {
    const said = Object.fromEntries(
      Object.entries(step).filter(([, value]) => value !== undefined),
    ) as unknown as DraftStep
    return { ...said, id: step.id ?? step.code }
  })

const waitOf = (steps: readonly Step[]): number => steps.reduce((sum, { seconds }) => sum + (seconds ?? 0), 0)

const refused = ({ code, reason }: Refused) => fail('impossible', 'method', `${code}: ${reason}`)

const say = (
  code: MakeCode,
  verdict: Concern['verdict'] = 'note',
  text: string = MAKE_RULES[code].because,
): Concern => ({ code, text, verdict })

/** What a card carries of its concerns: all of them in words, the verdict of the gravest, and what is seen to first. */
function carry(concerns: readonly Concern[]): Pick<MakeAnswer, 'verdict' | 'stop' | 'cautions'> {
  const words = ({ code, text }: Concern): Note => ({ code, text })
  const stop = concerns.filter(({ verdict }) => verdict === 'held').map(words)
  const isCare = concerns.some(({ verdict }) => verdict === 'care')
  const least = isCare ? 'care' : 'fits'
  return { verdict: stop.length > 0 ? 'held' : least, stop, cautions: concerns.map(words) }
}

function consumablesFor({ question: { method, region }, pipe, tube, fittingNominal }: Card): Consumable[] {
  const items: Consumable[] = []
  if (isByThread(method)) return items
  const { looseParts, consumables } = JOINT_METHODS[method]
  const loose = looseParts(tube, region)
  for (const { kind, name, size, quantity } of loose)
    if (kind === 'ring') items.push({ item: `${name} ${size}`, quantity, unit: 'piece' })
  items.push(...(consumables?.(tube, fittingNominal) ?? []))
  if (hasLiner(loose)) items.push({ item: `liner for ${pipe.label}`, quantity: 1, unit: 'piece' })
  return items
}

/** What lies on the same fitting, or near enough for heat to reach it. */
function concernsOfNear({ method, near = [] }: MakeQuestion): Concern[] {
  if (method !== 'solder') return near.includes('solder') ? [say('after-solder')] : []
  return [
    ...(near.includes('valve') ? [say('valve')] : []),
    ...(near.includes('seal') ? [say('seal-near')] : []),
    ...(near.includes('plastic') ? [say('plastic-near')] : []),
  ]
}

function concernsOfAir({ method, ambient = AMBIENT_C, leastAmbient }: MakeQuestion): Concern[] {
  if (method === 'expansion' && leastAmbient === undefined && ambient < EXPANSION_FROST_C) return [say('cold', 'held')]
  return method === 'solvent-cement' && (ambient < CEMENT_AIR_C.lo || ambient > CEMENT_AIR_C.hi)
    ? [say('cement-air', 'care')]
    : []
}

function concernsOfCard(card: Card, situation: Situation): Concern[] {
  const { question } = card
  const { method } = question
  if (isByThread(method)) return []
  return [
    ...concernsOfNear(question),
    ...concernsOfAir(question),
    ...(card.pipe.family === 'pex' && (question.ambient ?? AMBIENT_C) < EXPANSION_FROST_C ? [say('froze')] : []),
    // A closed end has one side: what is opened before the flame stands at its step.
    ...concernsOn(method, card.tube, situation).filter(({ code }) => code !== 'open-end' || !question.closes),
    ...(card.insertion.fromEnd === null ? [say('measure', 'held')] : []),
    ...(situation.conditions.wet ? [say('drips')] : []),
  ]
}

/**
 * Where the edge of a coupling without a stop stands on each pipe: half of its length less the gap. Issue `impossible`
 * at `slip` where it would hold too little.
 */
function slipMark({ length, gap }: NonNullable<MakeQuestion['slip']>, { lo }: Figure): Result<Mark> {
  const fromEnd = (length - gap) / 2
  if (fromEnd < (lo ?? 0) || fromEnd <= 0)
    return fail(
      'impossible',
      'slip',
      `slip: a coupling of ${mm(length)} over a gap of ${mm(gap)} holds ${mm(Math.max(fromEnd, 0), [lo ?? 0])} of each pipe; ${lo === null ? 'more than 0' : mm(lo, [fromEnd])} is the least. A longer coupling or a smaller gap is accepted.`,
    )
  return ok({ what: 'half-coupling', fromEnd, lo: fromEnd, hi: fromEnd, source: 'measured' })
}

/** The steps of an end of a coupling without a stop: by itself, or one after the other. */
function slid(
  drafts: readonly DraftStep[],
  { slip, slipEnd }: MakeQuestion,
  { fromEnd }: Mark,
  { lo }: Figure,
): DraftStep[] {
  const [{ length, gap }, mark] = [slip!, fromEnd!]
  if (slipEnd === 'on') return slidOn(drafts, { length })
  if (slipEnd === 'back') return slidBack(drafts, { gap, mark, most: length - 2 * (lo ?? 0) })
  return slidOver(drafts, { length, mark })
}

/** Form of a thread that is asked for: its own word, else parallel where a seat is said, else the region's taper. */
function formOf({ form, seat, region }: MakeQuestion): ThreadForm {
  if (form !== undefined) return form
  if (seat !== undefined) return 'bspp'
  return region === 'us' ? 'npt' : 'bspt'
}

/** The pipe that a thread is cut on, or a bare thread; null where no size is said. */
function threadOffer(question: MakeQuestion): Result<OpenOffer | null> {
  const { pipe, nominal, material = 'brass' } = question
  if (pipe !== undefined) return readEnd({ ...factsIn(question), pipe, wall: question.wall }, 'a', '')
  if (nominal === undefined) return ok(null)
  return ok({ kind: 'thread', thread: { form: formOf(question), size: nominal, gender: 'male', material }, on: 'a' })
}

/** The thread an offer is joined by: its own, or one that can be cut on its pipe. */
const threadOf = (offer: OpenOffer) => (offer.kind === 'thread' ? offer : threadCutOn(offer))

/** What a thread uses up: tape or its washer, and a union's. */
function threadConsumables({ form, nominal, seal }: ThreadCard, method: ThreadMethod): Consumable[] {
  if (form === 'bspp') return [{ item: `flat washer G ${nominal}`, quantity: 1, unit: 'piece' }]
  return [
    ...(seal !== 'paste' ? [{ item: `thread tape ${nominal}`, quantity: 1, unit: 'joint' }] : []),
    ...(method === 'union' ? [{ item: `washer for union ${nominal}`, quantity: 1, unit: 'piece' }] : []),
  ]
}

function makeThread(question: MakeQuestion & { method: ThreadMethod }): Result<MakeAnswer> {
  const { method } = question
  const read = threadOffer(question)
  if (!read.ok) return read
  const offer = read.value
  if (offer === null) return fail('missing', 'nominal', 'nominal: the thread size, such as 1/2 or 3/4.')
  if (question.seat === 'cone')
    return fail('impossible', 'seat', 'seat: a cone seat takes a cone joint, method cone. flat is accepted here.')
  const situation = fillSituation(question)
  const refusal = refuseMethod(method, offer, null, situation, () => null)
  if (refusal) return refused(refusal)
  const { thread, tube } = threadOf(offer)!
  const form = question.form ?? thread.form
  const nominal = question.nominal ?? thread.size
  const depth = threadMadeUp(form, nominal)
  if (!depth)
    return fail(
      'unknown-id',
      'nominal',
      `nominal: no thread "${nominal.slice(0, 20)}" in the tables. Accepted: 1/8, 1/4, 3/8, 1/2, 3/4, 1, 1-1/4, 1-1/2, 2.`,
    )
  const isPlastic = thread.material === 'plastic' || question.material === 'plastic'
  const card: ThreadCard = {
    nominal,
    form,
    seal: situation.policy.threadSeal,
    isPlastic,
    isCut: tube !== undefined && isPlastic,
  }
  return ok({
    ...carry([...(tube ? concernsOfPipe(tube, situation) : []), say(wrenchOf(card))]),
    marks:
      form === 'bspp'
        ? []
        : [{ what: 'insertion', fromEnd: depth.value, lo: depth.lo, hi: depth.hi, source: depth.source }],
    steps: finish([...threadSteps(card), ...(method === 'union' ? UNION_STEPS : [])]),
    consumables: threadConsumables(card, method),
    seconds: { work: ALL_METHODS[method].minutes.work * 60, wait: 0 },
  })
}

/** The seat a cone goes on, which is looked at before its tube is cut; the rest is on the card of the tube. */
const seatCard = (): MakeAnswer => ({
  ...carry([]),
  marks: [],
  steps: finish([
    {
      code: 'check',
      do: 'Look into the body: a cone seat, clean and unmarked, G 3/4 outside',
      why: 'A cone does not seal on a flat face, nor a washer on a cone.',
    },
  ]),
  consumables: [],
  seconds: { work: 0, wait: 0 },
})

/** What a card says of tightening its thread. */
function wrenchOf({ form, isPlastic }: ThreadCard): MakeCode {
  if (form === 'bspp') return 'flat-face'
  return isPlastic ? 'plastic-thread' : 'second-wrench'
}

/**
 * One tube end going into one socket: marks in mm from the cut end, ordered steps, loose parts, seconds of work (ours)
 * and of waiting. It asks the rules of `ways`; what cannot be made here is `impossible` at `method`, its message the
 * refusal's code and reason. Other issues: `missing` or `unknown-id` at `pipe` or `nominal`, `range` at `ambient` under
 * the tool's least. Depths are the tables'; step times are typical. `mouth` is the depth of the very mouth a way put the
 * tube into, such as a measured fitting or a converter of the tube's own size; it wins over the tables.
 */
export const makeJoint = spoken(make)
function make(question: MakeQuestion, mouth?: Figure): Result<MakeAnswer> {
  const { method, pipe: id } = question
  if (isByThread(method)) return makeThread({ ...question, method })
  if (id === undefined && method === 'cone' && question.form === 'bspp') return ok(seatCard())
  if (id === undefined) return fail('missing', 'pipe', `pipe: a ${w.catalogue} id, such as cu-en-x-22.`)
  const read = readEnd({ ...factsIn(question), pipe: id, wall: question.wall }, 'a', '')
  if (!read.ok) return read
  const offer = read.value
  const situation = fillSituation(question)
  const refusal = refuseMethod(method, offer, null, situation, (own) =>
    refuse(own, offer.tube!, situation, ANSWERED[mouth === undefined ? 'table' : 'mouth']),
  )
  if (refusal) return refused(refusal)
  const { ambient = AMBIENT_C, leastAmbient } = question
  if (method === 'expansion' && leastAmbient !== undefined && ambient < leastAmbient) {
    return fail(
      'range',
      'ambient',
      `ambient: ${degrees(ambient, [leastAmbient])} is under ${degrees(leastAmbient, [ambient])}, the least this tool works at. Warm the place and the tube, or take another method.`,
    )
  }
  const tube = offer.tube!
  const { pipe } = tube
  const socket = findSocket(method, pipe)
  const depth = mouth ?? socketDepth(socket!)

  const slipped = question.slip === undefined ? null : slipMark(question.slip, depth)
  if (slipped && !slipped.ok) return slipped
  const insertion: Mark = slipped?.value ?? {
    what: 'insertion',
    fromEnd: depth.value,
    lo: depth.lo,
    hi: depth.hi,
    source: depth.source,
  }
  const card: Card = {
    pipe,
    tube,
    insertion,
    fittingNominal: socket?.fittingNominal ?? pipe.nominal,
    situation,
    question,
  }
  const drafts = question.isSpigot ? ofSpigot(JOINT_METHODS[method].steps(card)) : JOINT_METHODS[method].steps(card)
  const steps = finish(slipped?.ok ? slid(drafts, question, slipped.value, depth) : drafts)
  const ring = JOINT_METHODS[method].ringOf?.(pipe) ?? null
  const gauge = JOINT_METHODS[method].gaugeOf?.(pipe) ?? null
  return ok({
    ...carry(concernsOfCard(card, situation)),
    marks: [
      // What stands on a nose goes into nothing, and has no mark.
      ...(insertion.fromEnd === 0 ? [] : [insertion]),
      ...(ring ? [{ what: 'ring' as const, fromEnd: ring.value, lo: ring.lo, hi: ring.hi, source: ring.source }] : []),
    ],
    steps,
    consumables: consumablesFor(card),
    seconds: { work: ALL_METHODS[method].minutes.work * 60, wait: waitOf(steps) },
    ...(gauge ? { gauge: { go: gauge.goMm, noGo: gauge.noGoMm } } : {}),
  })
}
