import { fail, ok, type Figure, type Note, type Result } from '#core/base'
import { findPipe, findSocket, ringGauge, ringPosition, socketDepth, threadMadeUp } from '#core/catalogue'
import { fillSituation, JOINT_METHODS, MINUTES, refuse, toTube, type RefusalCode, type Situation } from '#core/joints'
import { CEMENT_AIR_C, EXPANSION_LEAST_C, solderWire } from './facts'
import { AMBIENT_C, needsLiner, STEPS, threadSteps, UNION_STEPS, type Card } from './steps'
import type { Consumable, MadeMethod, MakeAnswer, MakeQuestion, Mark, Step } from './types'

/** Threads have a size of their own instead of a tube. */
const isByThread = (method: MadeMethod): method is 'thread' | 'union' => method === 'thread' || method === 'union'

/** Whether a joint can be made at all is a matter of tube and mouth; where it may be used, the way has been asked. */
const OF_USE: readonly RefusalCode[] = ['rating', 'service', 'drinking', 'play']
/** A mouth that a way gives its depth for has the tube's own size. */
const CAN = { table: new Set(OF_USE), mouth: new Set<RefusalCode>([...OF_USE, 'size', 'no-figure']) } as const

const withoutEmpty = (steps: readonly Step[]): Step[] => steps.map(step => Object.fromEntries(Object.entries(step).filter(([, value]) => value !== undefined)) as unknown as Step)

const waitOf = (steps: readonly Step[]): number => steps.reduce((sum, { seconds }) => sum + (seconds ?? 0), 0)

function consumablesFor({ question: { method }, pipe, fittingNominal }: Card): Consumable[] {
  const items: Consumable[] = []
  if (method === 'solder') items.push({ item: 'lead-free solder wire', quantity: solderWire(pipe.od), unit: 'mm' })
  for (const { kind, name, size, quantity } of isByThread(method) ? [] : JOINT_METHODS[method].looseParts(toTube({ pipe: pipe.id }))) if (kind === 'ring') items.push({ item: `${name} ${size}`, quantity, unit: 'piece' })
  if (method === 'compression') items.push({ item: `olive ${fittingNominal}`, quantity: 1, unit: 'piece' })
  if (method === 'ml-compression') items.push({ item: `cone and insert ${pipe.nominal}`, quantity: 1, unit: 'set' }, { item: `O-ring for insert ${pipe.nominal}`, quantity: 2, unit: 'piece' })
  if (method === 'solvent-cement') items.push({ item: pipe.family === 'cpvc' ? 'cement for CPVC' : 'cement for PVC', quantity: 1, unit: 'tin' })
  if (!isByThread(method) && needsLiner(method, pipe)) items.push({ item: `liner for ${pipe.label}`, quantity: 1, unit: 'piece' })
  return items
}

function cautionsFor(card: Card, situation: Situation): Note[] {
  const { method } = card.question
  const { conditions } = situation
  const cautions: Note[] = []
  const { ambient = AMBIENT_C, near = [], temper } = card.question
  if (near.includes('solder') && method !== 'solder') cautions.push({ code: 'after-solder', text: 'Solder the other end first and let it go cold to the hand: its heat spoils what is pushed, pressed or cemented here.' })
  if (method === 'solder' && near.includes('valve')) cautions.push({ code: 'valve', text: 'A valve is open before the flame, its washer out or cooled by a wet cloth.' })
  if (method === 'solder' && near.includes('seal')) cautions.push({ code: 'seal-near', text: 'A seal goes on this fitting: it is made once this end is cold.' })
  if (method === 'solder' && near.includes('plastic')) cautions.push({ code: 'plastic-near', text: 'Plastic goes on this fitting: it is put on once this end is cold.' })
  if (method === 'expansion' && ambient < EXPANSION_LEAST_C) cautions.push({ code: 'too-cold', text: `Below ${EXPANSION_LEAST_C} °C the tube does not shrink back: warm it, or take another method.`.replace('-', '\u2212') })
  if (method === 'solvent-cement' && (ambient < CEMENT_AIR_C.lo || ambient > CEMENT_AIR_C.hi)) cautions.push({ code: 'cement-air', text: `Ordinary cement takes between ${CEMENT_AIR_C.lo} and ${CEMENT_AIR_C.hi} °C. Now it wants one made for this, or another method.` })
  if (!isByThread(method)) cautions.push(...JOINT_METHODS[method].concerns(toTube({ pipe: card.pipe.id, wall: card.question.wall, temper }), situation).map(({ code, text }) => ({ code, text })))
  if (card.insertion.fromEnd === null) cautions.push({ code: 'measure', text: 'No figure is held for this socket: measure how deep it is before you mark.' })
  if (conditions.wet && method !== 'solder' && method !== 'solvent-cement') cautions.push({ code: 'drips', text: 'Drips are tolerated, never flow or pressure. Wipe the end dry.' })
  return cautions
}

function makeThread(question: MakeQuestion & { method: 'thread' | 'union' }): Result<MakeAnswer> {
  const form = question.region === 'us' ? 'npt' : 'bspt'
  if (question.nominal === undefined) return fail('missing', 'nominal', 'nominal: the thread size, such as 1/2 or 3/4.')
  const depth = threadMadeUp(form, question.nominal)
  if (!depth) return fail('unknown-id', 'nominal', `nominal: no thread "${question.nominal.slice(0, 20)}" in the tables. Accepted: 1/8, 1/4, 3/8, 1/2, 3/4, 1, 1-1/4, 1-1/2, 2.`)
  const { policy } = fillSituation(question)
  return ok({
    marks: [{ what: 'insertion', fromEnd: depth.value, lo: depth.lo, hi: depth.hi, source: depth.source }],
    steps: [...threadSteps(question.nominal, form, policy.threadSeal), ...(question.method === 'union' ? UNION_STEPS : [])],
    consumables: [
      ...(policy.threadSeal === 'paste' ? [] : [{ item: `thread tape ${question.nominal}`, quantity: 1, unit: 'joint' }]),
      ...(question.method === 'union' ? [{ item: `washer for union ${question.nominal}`, quantity: 1, unit: 'piece' }] : []),
    ],
    seconds: { work: MINUTES[question.method].work * 60, wait: 0 },
    cautions: [{ code: 'second-wrench', text: 'Two wrenches: never let the pull reach the joint beside it.' }],
  })
}

/**
 * One tube end going into one socket: marks in mm from the cut end, ordered steps, loose parts, seconds of work (ours)
 * and of waiting. Issues: `missing` or `unknown-id` at `pipe` or `nominal`, `impossible` at `method` where it cannot
 * take the pipe. Depths are the tables'; step times are typical. `mouth` is the depth of the very mouth a way put
 * the tube into, such as a measured fitting or a converter of the tube's own size; it wins over the tables.
 */
export function makeJoint(question: MakeQuestion, mouth?: Figure): Result<MakeAnswer> {
  const { method } = question
  if (isByThread(method)) return makeThread({ ...question, method })
  if (question.pipe === undefined) return fail('missing', 'pipe', 'pipe: a catalogue id, such as cu-en-x-22.')
  const found = findPipe(question.pipe, 'pipe')
  if (!found.ok) return found
  const pipe = found.value
  const situation = fillSituation(question)
  const refusal = refuse(method, { ...toTube({ pipe: pipe.id }), pexType: 'a' }, { ...situation, conditions: fillSituation({ region: question.region }).conditions, policy: { ...situation.policy, typeMDrinking: 'allowed' } }, CAN[mouth === undefined ? 'table' : 'mouth'])
  const socket = findSocket(method, pipe)
  const depth = mouth ?? (socket && socketDepth(socket))
  if (refusal || !depth) return fail('impossible', 'method', `method: ${method} cannot take ${pipe.label}. ${refusal?.reason ?? ''}`.trim())

  const insertion: Mark = { what: 'insertion', fromEnd: depth.value, lo: depth.lo, hi: depth.hi, source: depth.source }
  const card: Card = { pipe, insertion, fittingNominal: socket?.fittingNominal ?? pipe.nominal, situation, question }
  const steps = withoutEmpty(STEPS[method](card))
  const ring = method === 'crimp' || method === 'clamp' ? ringPosition(pipe.nominal, method) : null
  const gauge = method === 'crimp' ? ringGauge(pipe.nominal) : null
  return ok({
    marks: [insertion, ...(ring ? [{ what: 'ring' as const, fromEnd: ring.value, lo: ring.lo, hi: ring.hi, source: ring.source }] : [])],
    steps,
    consumables: consumablesFor(card),
    seconds: { work: MINUTES[method].work * 60, wait: waitOf(steps) },
    ...(gauge ? { gauge: { go: gauge.goMm, noGo: gauge.noGoMm } } : {}),
    cautions: cautionsFor(card, situation),
  })
}
