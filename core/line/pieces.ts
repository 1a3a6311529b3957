import { fail, ok, type Figure, type Result, type WorkingLine } from '#core/base'
import { LINE_FITTINGS, type LineFitting, type Pipe, type SocketMethod } from '#core/catalogue'
import { JOINT_METHODS } from '#core/joints'
import { formatDecimal } from '#core/units'
import { length as mm, w } from '#core/speech'
import { arcOf, gainOf, radiusOf, tangentOf } from './bend'
import { LINE_PARTS } from './parts'
import type { LaidLeg, LineQuestion, MeasuredTo, Mouth, Piece, PieceEnd, PieceMark } from './types'
import { angleBetween, squareTo, turnAbout, type Vector, scale } from './vector'

/** What a leg is called. */
export const legName = (question: LineQuestion, index: number): string =>
  question.legs[index]!.name?.trim() || `leg ${index + 1}`

const PART_MOUTHS = Object.fromEntries(LINE_FITTINGS.map((name) => [name, LINE_PARTS[name].mouth])) as Record<
  LineFitting,
  string
>
/** What a tube enters, in words. */
export const MOUTH_WORDS: Readonly<Record<Mouth['kind'], string>> = {
  ...PART_MOUTHS,
  stop: 'stop',
  face: 'face',
  free: 'free end',
}

/** Rounding left over where lengths only just meet, mm. */
const TOUCHING = 1e-9

/** One corner of a piece: leg `before` bends into the next. */
interface Corner {
  before: LaidLeg
  after: LaidLeg
  angle: number
  turn: number
  tangent: number
  arc: number
  gain: number
  gainLo: number
  gainHi: number
  radius: number
  source: string
}

/** The legs of each piece, from the start: a tube runs on through bends and ends at fittings. */
export function runsOf(laid: readonly LaidLeg[], question: LineQuestion): LaidLeg[][] {
  const isBend = (leg: LaidLeg) => question.legs[leg.index]!.end.kind === 'bend'
  return laid
    .filter(({ parent }) => parent === null || !isBend(laid[parent]!))
    .map((first) => {
      const run = [first]
      while (isBend(run.at(-1)!)) run.push(laid[run.at(-1)!.children[0]!]!)
      return run
    })
}

/**
 * Which way the second of two bends turns: its plane against the first's, clockwise looking along the tube between them.
 */
function turnOf(before: Vector, between: Vector, after: Vector): number {
  // At the end of a bend its inside lies towards where the tube came from, turned back.
  return turnAbout(between, scale(squareTo(before, between), -1), squareTo(after, between))
}

function cornersOf(run: readonly LaidLeg[], question: LineQuestion): Result<Corner[]> {
  const corners: Corner[] = []
  for (let i = 0; i + 1 < run.length; i++) {
    const [before, after] = [run[i]!, run[i + 1]!]
    const radius = radiusOf(before.pipe, question.bender)
    if (radius?.value == null)
      return fail(
        'impossible',
        `legs.${before.index}`,
        `legs.${before.index}: ${before.pipe.label} is not bent on site. Put an elbow there.`,
      )
    const angle = angleBetween(before.along, after.along)
    corners.push({
      before,
      after,
      angle,
      radius: radius.value,
      source: radius.source,
      turn: i === 0 ? 0 : turnOf(run[i - 1]!.along, before.along, after.along),
      tangent: tangentOf(radius.value, angle),
      arc: arcOf(radius.value, angle),
      gain: gainOf(radius.value, angle),
      gainLo: gainOf(radius.lo!, angle),
      gainHi: gainOf(radius.hi!, angle),
    })
  }
  return ok(corners)
}

/**
 * What an end of a piece adds to its cut for the way its leg was measured; its range beside. Insertion counts only from
 * a face.
 */
function endTerm(
  mouth: Mouth,
  measured: 'centre' | 'stop' | 'face' | undefined,
): { value: number | null; lo: number; hi: number; line: Omit<WorkingLine, 'value' | 'unit'> | null } {
  const of = (figure: Figure, op: '+' | '-', text: string) => {
    const sign = op === '+' ? 1 : -1
    const [one, other] = [sign * (figure.lo ?? 0), sign * (figure.hi ?? 0)]
    return {
      value: figure.value === null ? null : sign * figure.value,
      lo: Math.min(one, other),
      hi: Math.max(one, other),
      line: { op, text, source: figure.source },
    }
  }
  if (mouth.kind === 'face') return of(mouth.insertion, '+', 'insertion behind the face')
  if (mouth.kind === 'free' || mouth.kind === 'stop' || measured === 'stop')
    return { value: 0, lo: 0, hi: 0, line: null }
  return measured === 'face'
    ? of(mouth.insertion, '+', `insertion into the ${MOUTH_WORDS[mouth.kind]}`)
    : of(mouth.takeOut, '-', `take-out of the ${MOUTH_WORDS[mouth.kind]}`)
}

const pieceEnd = (mouth: Mouth): PieceEnd => ({
  insertion: mouth.insertion.value,
  takeOut: mouth.takeOut.value,
  lo: mouth.insertion.lo,
  hi: mouth.insertion.hi,
  source: mouth.insertion.source,
  method: mouth.method,
  into: mouth.kind,
})

/** Where the cut end lies from the leg's point, into the leg, mm: the stop inside a fitting, or behind a face. */
function inset(mouth: Mouth): number | null {
  if (mouth.kind !== 'face') return mouth.takeOut.value
  return mouth.insertion.value === null ? null : -mouth.insertion.value
}

/** Edge of a ring nearer the end, mm from it; null where the joint has none there or no figure is held. */
const ringOf = ({ method, kind }: Mouth, pipe: Pipe): number | null =>
  method in JOINT_METHODS && kind !== 'free'
    ? (JOINT_METHODS[method as SocketMethod].ringOf?.(pipe)?.value ?? null)
    : null

interface Measures {
  run: readonly LaidLeg[]
  corners: readonly Corner[]
  first: Mouth
  last: Mouth
  cut: number | null
  question: LineQuestion
}

/** Straight lengths between ends and bends, mm; an end whose take-out is not known counts as none there. */
function straightsOf({ run, corners, first, last }: Pick<Measures, 'run' | 'corners' | 'first' | 'last'>): number[] {
  return run.map(
    ({ length }, i) =>
      length -
      (i === 0 ? (inset(first) ?? 0) : corners[i - 1]!.tangent) -
      (i === run.length - 1 ? (inset(last) ?? 0) : corners[i]!.tangent),
  )
}

function marksOf({ run, corners, first, last, cut, question }: Measures, straights: readonly number[]): PieceMark[] {
  const marks: PieceMark[] = []
  const [from, to] = [first.insertion.value, last.insertion.value]
  const { pipe } = run[0]!
  const [ringFrom, ringTo] = [ringOf(first, pipe), ringOf(last, pipe)]
  const isPlaced = inset(first) !== null
  if (first.kind !== 'free' && from !== null) marks.push({ what: 'insertion', at: from })
  if (ringFrom !== null) marks.push({ what: 'ring', at: ringFrom })
  if (cut !== null && last.kind !== 'free' && to !== null) marks.push({ what: 'insertion', at: cut - to })
  if (cut !== null && ringTo !== null) marks.push({ what: 'ring', at: cut - ringTo })
  if (!isPlaced) return marks.sort((a, b) => a.at - b.at)
  let at = 0
  run.forEach((leg, i) => {
    const begin = i === 0 ? inset(first)! : corners[i - 1]!.tangent
    const straight = straights[i]!
    const corner = corners[i]
    for (const clip of question.clips ?? []) {
      if (clip.leg !== leg.index) continue
      marks.push({ what: 'clip', at: at + clip.at - begin })
    }
    at += straight
    if (!corner) return
    const { bender } = question
    const hook = bender?.setback === undefined ? at : at - (bender.setback - bender.radius)
    marks.push({
      what: 'bend',
      at,
      corner: at + corner.tangent,
      hook,
      angle: corner.angle,
      turn: corner.turn,
      ...(bender?.springback === undefined ? {} : { pull: corner.angle + (bender.springback * corner.angle) / 90 }),
    })
    at += corner.arc
  })
  return marks.sort((a, b) => a.at - b.at)
}

const TO_WORDS: Readonly<Record<MeasuredTo, string>> = { centre: w.centre, stop: 'stop', face: 'face' }
const legWords = (leg: LaidLeg, question: LineQuestion): string => {
  const { measured } = question.legs[leg.index]!
  return `${legName(question, leg.index)}, ${TO_WORDS[measured?.begin ?? 'centre']} to ${TO_WORDS[measured?.end ?? 'centre']}`
}

/** Whether the legs leave room for the bends. Issue `impossible` at the leg that is short, with the shortfall. */
function checkRoom({ run, corners, first, last }: Measures, straights: readonly number[]): Result<null> {
  const short = straights.findIndex((straight) => (run.length === 1 ? straight <= TOUCHING : straight < -TOUCHING))
  if (short < 0) return ok(null)
  const { index, length } = run[short]!
  const by = mm(Math.abs(straights[short]!))
  const [at, has] = [`legs.${index}`, mm(length)]
  if (run.length === 1)
    return fail(
      'impossible',
      at,
      `${at}: nothing is left to cut: ${has} less its take-outs is ${by} short. ` +
        `A length over ${mm(length - straights[short]!)} is accepted.`,
    )
  const [before, after] = [corners[short - 1], corners[short]]
  if (before && after)
    return fail(
      'impossible',
      at,
      `${at}: the bends overlap by ${by}. They take ${mm(before.tangent + after.tangent)} of its ${has}. ` +
        'A longer leg, a smaller radius or a smaller angle is accepted.',
    )
  const other = (before ? last : first).kind === 'free' ? 'end' : 'fitting'
  const takes = `the bend takes ${mm((before ?? after)!.tangent)} and the ${other} its take-out`
  return fail(
    'impossible',
    at,
    `${at}: ${takes}: ${by} more than its ${has}. A longer leg or a smaller radius is accepted.`,
  )
}

/**
 * One tube of the line: its cut, its marks and the sum that gave it. Issue `impossible` at the leg that is too short.
 */
export function planPiece(run: readonly LaidLeg[], number: number, question: LineQuestion): Result<Piece> {
  const found = cornersOf(run, question)
  if (!found.ok) return found
  const corners = found.value
  const [first, last] = [run[0]!.mouths[0]!, run.at(-1)!.mouths[1]!]
  const legs = run.map(({ index }) => question.legs[index]!)
  const terms = [endTerm(first, legs[0]!.measured?.begin), endTerm(last, legs.at(-1)!.measured?.end)]
  const typed = run.reduce((sum, { index }) => sum + question.legs[index]!.length, 0)
  const gain = corners.reduce((sum, one) => sum + one.gain, 0)
  const isKnown = terms.every(({ value }) => value !== null)
  const cut = isKnown ? terms.reduce((sum, { value }) => sum + value!, typed - gain) : null
  const range = (side: 'lo' | 'hi') =>
    isKnown
      ? terms.reduce(
          (sum, term) => sum + term[side],
          typed - corners.reduce((sum, one) => sum + (side === 'lo' ? one.gainHi : one.gainLo), 0),
        )
      : null
  const measures: Measures = { run, corners, first, last, cut, question }
  const straights = straightsOf(measures)
  const room = checkRoom(measures, straights)
  if (!room.ok) return room
  return ok({
    id: `p${number}`,
    pipe: run[0]!.pipe.id,
    cut,
    cutLo: range('lo'),
    cutHi: range('hi'),
    ends: [pieceEnd(first), pieceEnd(last)],
    marks: marksOf(measures, straights),
    working: [
      ...run.map((leg): WorkingLine => ({
        text: legWords(leg, question),
        op: '+',
        value: question.legs[leg.index]!.length,
        unit: 'mm',
        source: 'measured',
      })),
      ...terms.flatMap(({ value, line }): WorkingLine[] =>
        line && value !== null ? [{ ...line, value: Math.abs(value), unit: 'mm' }] : [],
      ),
      ...corners.map(({ angle, radius, gain: one, source }): WorkingLine => ({
        text: `gain of the bend, ${formatDecimal(angle, 1)} degrees at radius ${mm(radius)}`,
        op: '-',
        value: one,
        unit: 'mm',
        source,
      })),
      ...(cut === null ? [] : [{ text: 'cut', op: '=' as const, value: cut, unit: 'mm' }]),
    ],
    legs: run.map(({ index }) => index),
    straights,
  })
}
