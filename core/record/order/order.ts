import { compareText } from '#core/base'
import { findSocket, getPipe, inchesOf, seriesOf, soldAs, type Pipe, type SocketMethod } from '#core/catalogue'
import {
  JOINT_METHODS,
  orderName,
  outsideName,
  toTube,
  type Consumable,
  type Method,
  type Part,
  type PartKind,
} from '#core/joints'
import { isLineValve, type PieceEnd, type Survey } from '#core/line'
import { speak } from '#core/speech'
import type { Region } from '#core/units'
import { openPieces } from '#core/cutting'
import { pieceKey } from '../cut/work'
import { cardsOf } from '../joint/cards'
import { isMade } from '../joint/status'
import { surveyed } from '../line/work'
import { supportOrder } from '../fix/work'
import type { JobRecord } from '../job/record'
import type { JointRecord } from '../joint/record'
import type { LineRecord } from '../line/record'

/*
 * What the counter is asked for: everything that joints and lines still take, in one list, as it is named there, less
 * what the van holds.
 */

export const ORDER_GROUPS = ['pipe', 'fittings', 'valves', 'ends', 'supports', 'small'] as const
export type OrderGroup = (typeof ORDER_GROUPS)[number]

/** One line of an order: pieces, or of pipe and wire mm. */
export interface OrderRow {
  group: OrderGroup
  name: string
  size: string
  unit: 'piece' | 'mm'
  /** What the work takes. */
  need: number
  /** What the van holds of it. */
  have: number
  /** What is asked for: never less than none. */
  order: number
  /** Of pipe: its catalogue id, how many pieces its length is cut into, and whole lengths it comes to as it is sold; typical. */
  pipe?: string
  pieces?: number
  lengths?: { mm: number; count: number; isCoil: boolean }
}

type Asked = Omit<OrderRow, 'have' | 'order' | 'lengths'>

/** What of a job is ordered for: whole, or one joint or line of it. */
export interface OrderScope {
  joint?: string
  line?: string
}

const GROUP_OF: Readonly<Partial<Record<PartKind, OrderGroup>>> = {
  valve: 'valves',
  cap: 'ends',
  plug: 'ends',
  ring: 'small',
  liner: 'small',
  olive: 'small',
  washer: 'small',
  sleeve: 'small',
  'thread-seal': 'small',
}

const ofPipe = ({ id, label }: Pipe, mm: number, pieces: number): Asked => ({
  group: 'pipe',
  name: label,
  size: '',
  unit: 'mm',
  need: mm,
  pieces,
  pipe: id,
})

const ofPart = (part: Part): Asked => ({
  group: GROUP_OF[part.kind] ?? 'fittings',
  name: orderName(part),
  size: part.size,
  unit: 'piece',
  need: part.quantity,
})

/** Wire by its length, tape and cement by what they are for. What comes with its fitting is not asked for. */
function ofConsumable({ item, quantity, unit }: Consumable): Asked[] {
  if (unit === 'mm') return [{ group: 'small', name: item, size: '', unit: 'mm', need: quantity }]
  // One tin, or one roll, does for many.
  if (unit === 'tin') return [{ group: 'small', name: item, size: 'tin', unit: 'piece', need: 0 }]
  if (unit === 'joint')
    return [{ group: 'small', name: item.replace(/ [\d/-]+$/, ''), size: 'roll', unit: 'piece', need: 0 }]
  return []
}

/** What is used up by the roll or the tin: one is asked for, however many joints it does. */
const isByTheTin = ({ size }: Pick<Asked, 'size'>): boolean => size === 'tin' || size === 'roll'

function ofJoint(job: OrderedJob, joint: JointRecord): Asked[] {
  const { way } = joint
  if (!way || isMade(joint)) return []
  const tails = way.parts.filter(({ kind }) => kind === 'tail')
  const tailPipe = (tail: Part): Pipe | null => {
    const id = way.joints.find(({ on, pipe }) => on === 'between' && pipe !== null)?.pipe
    return tail.length === undefined || id == null ? null : getPipe(id)
  }
  const taken = cardsOf(job, joint).flatMap(({ answer }) => (answer.ok ? answer.value.consumables : []))
  return [
    ...tails.flatMap((tail) => {
      const pipe = tailPipe(tail)
      return pipe ? [ofPipe(pipe, tail.length!, tail.quantity)] : []
    }),
    ...way.parts.filter(({ kind }) => kind !== 'tail').map(ofPart),
    ...taken.flatMap(ofConsumable),
  ]
}

/** What a piece's end takes beside the fitting it goes into. */
function ofEnd({ method, into }: PieceEnd, pipe: Pipe, region: Region): Asked[] {
  if (into === 'free' || !(method in JOINT_METHODS)) return []
  const own = JOINT_METHODS[method as SocketMethod]
  const tube = toTube({ pipe: pipe.id })
  const nominal = findSocket(own.id, pipe)?.fittingNominal ?? pipe.nominal
  return [
    ...own.looseParts(tube, region).map(ofPart),
    ...(own.consumables?.(tube, nominal) ?? []).flatMap(ofConsumable),
  ]
}

/** Continental ranges of these methods name a tee run, branch, run: said in words, nobody takes one for the other. */
const teeWords = (size: string): string => {
  const [run, other, branch] = size.split(' x ')
  return branch === undefined ? size : `run ${run}, branch ${branch}, run ${other}`
}

/** Size of a line's fitting as the counter has it: tees run x run x branch, inch compression by the tube's outside. */
function fittingSize(method: Method, nominal: string, isTee: boolean, region: Region, isInch: boolean): string {
  const byOutside =
    isInch && method in JOINT_METHODS && JOINT_METHODS[method as SocketMethod].isNamedByOutside
      ? nominal.split(' x ').map(outsideName).join(' x ')
      : nominal
  return region === 'eu' && isTee ? teeWords(byOutside) : byOutside
}

const methodIn = (name: string): Method => name.split(' ')[0] as Method

function ofFittings({ fittings, laid }: Survey, region: Region): Asked[] {
  const isInch = laid.some(({ pipe }) => seriesOf(pipe.series).sizing === 'cts')
  return fittings.map(({ name, nominal, quantity }): Asked => {
    const method = methodIn(name)
    const what = name.slice(method.length + 1)
    const words = method in JOINT_METHODS ? JOINT_METHODS[method as SocketMethod].words : method
    return {
      group: groupOfFitting(what),
      name: `${words} ${what}`,
      size: fittingSize(method, nominal, what === 'tee', region, isInch),
      unit: 'piece',
      need: quantity,
    }
  })
}
function groupOfFitting(what: string): OrderGroup {
  if (what === 'cap') return 'ends'
  return isLineValve(what.replaceAll(' ', '-')) ? 'valves' : 'fittings'
}

/** Pieces that were cut to their length on one of the job's sheets: their pipe is there. */
function cutAlready({ cuts }: Pick<OrderedJob, 'cuts'>): ReadonlySet<string> {
  const done = cuts.flatMap(({ plan, done: cut }) => {
    if (!plan) return []
    const open = openPieces(plan.pieces, cut)
    return plan.pieces.filter((piece) => !open.includes(piece)).map(({ key }) => key)
  })
  return new Set(done)
}

function ofLine(job: OrderedJob, line: LineRecord, cutKeys: ReadonlySet<string>): Asked[] {
  const { survey } = surveyed(job, line)
  if (!survey) return []
  const pieces = survey.runs.flatMap(({ piece }) => (piece.ok ? [piece.value] : []))
  return [
    ...pieces.flatMap(({ id, pipe, cut, ends }) => [
      ...(cut === null || cutKeys.has(pieceKey(line.id, id)) ? [] : [ofPipe(getPipe(pipe), cut, 1)]),
      ...ends.flatMap((end) => ofEnd(end, getPipe(pipe), job.region)),
    ]),
    ...ofFittings(survey, job.region),
    ...supportOrder({ ...job, lines: [line] }).map(({ quantity, name, size }): Asked => ({
      group: 'supports',
      name,
      size,
      unit: 'piece',
      need: quantity,
    })),
  ]
}

/** A job as an order reads it. */
export type OrderedJob = JobRecord

/** What one job asks for, in its region's words, not summed. */
function askedOf(job: OrderedJob, { joint, line }: OrderScope): Asked[] {
  const isWhole = joint === undefined && line === undefined
  const cutKeys = cutAlready(job)
  const asked = [
    ...job.joints.filter(({ id }) => isWhole || id === joint).flatMap((one) => ofJoint(job, one)),
    ...job.lines.filter(({ id }) => isWhole || id === line).flatMap((one) => ofLine(job, one, cutKeys)),
  ]
  return asked.map((one) => ({ ...one, name: speak(one.name, job.region), size: speak(one.size, job.region) }))
}

const keyOf = ({ name, size }: Pick<OrderRow, 'name' | 'size'>): string => `${name}|${size}`

/** How many whole lengths a pipe comes to, as it is most often sold; typical. A plan on Cut says it to the piece. */
function lengthsOf({ pipe, order }: OrderRow, region: Region): OrderRow['lengths'] {
  const sold = pipe === undefined ? null : soldAs(getPipe(pipe), region)
  const mm = sold?.length.value
  return sold && mm ? { mm, count: Math.ceil(order / mm), isCoil: sold.isCoil } : undefined
}

/** Sizes in the order a counter reads them: by their first figure, of inches too. */
const figureOf = (size: string): number => inchesOf(/^[\d/-]+/.exec(size)?.[0] ?? '0')

/** Pieces of a job's lines that have no cut yet, so that their pipe is not in the order: a fitting is to be measured. */
export const uncutPieces = (job: OrderedJob, { joint, line }: OrderScope = {}): number =>
  job.lines
    .filter(({ id }) => (joint === undefined && line === undefined) || id === line)
    .flatMap((one) => surveyed(job, one).survey?.runs ?? [])
    .filter(({ piece }) => !piece.ok || piece.value.cut === null).length

/**
 * One order for the counter over some jobs, or one joint or line of a job: summed by name and size, in the groups a
 * counter goes by, less what the vans hold. Lengths mm. Joints that are made ask for nothing more.
 */
export function orderFor(jobs: readonly OrderedJob[], scope: OrderScope = {}): OrderRow[] {
  const rows = new Map<string, Asked>()
  for (const one of jobs.flatMap((job) => askedOf(job, scope))) {
    const same = rows.get(keyOf(one))
    if (same) {
      same.need += one.need
      if (one.pieces !== undefined) same.pieces = (same.pieces ?? 0) + one.pieces
    } else rows.set(keyOf(one), { ...one })
  }
  const have = new Map<string, number>()
  for (const { name, size, quantity } of jobs.flatMap(({ van }) => van)) {
    const key = keyOf({ name, size })
    have.set(key, (have.get(key) ?? 0) + quantity)
  }
  const region = jobs[0]?.region ?? 'gb'
  return [...rows.values()]
    .map((asked): OrderRow => {
      const need = isByTheTin(asked) ? 1 : asked.need
      const held = have.get(keyOf(asked)) ?? 0
      const row: OrderRow = { ...asked, need, have: held, order: Math.max(0, need - held) }
      const lengths = lengthsOf(row, region)
      return lengths ? { ...row, lengths } : row
    })
    .sort(
      (one, other) =>
        ORDER_GROUPS.indexOf(one.group) - ORDER_GROUPS.indexOf(other.group) ||
        compareText(one.name, other.name) ||
        figureOf(one.size || one.name) - figureOf(other.size || other.name) ||
        compareText(one.size, other.size),
    )
}
