import { fail, ok, type Result } from '#core/base'
import { findPipe, type LineFitting, type Pipe } from '#core/catalogue'
import type { Method } from '#core/joints'
import { formatDecimal } from '#core/units'
import { fittingMouth, plainMouth } from './mouths'
import { isRunTee, LINE_PARTS } from './parts'
import type { Direction, LaidLeg, LineEnd, LineQuestion, LineStart, Mouth } from './types'
import { add, angleBetween, dot, scale, size, unit, type Vector } from './vector'

const UNITS: Readonly<Record<Direction, Vector>> = {
  right: [1, 0, 0],
  left: [-1, 0, 0],
  away: [0, 1, 0],
  toward: [0, -1, 0],
  up: [0, 0, 1],
  down: [0, 0, -1],
}

/** A direction as a unit vector. */
export const vectorOf = (to: Direction | Vector): Vector => (typeof to === 'string' ? UNITS[to] : unit(to))

/** A unit vector written to three figures passes; anything else was meant differently. */
const OFF_UNIT = 1e-3
/** How far a leg may leave a fitting's mouth, degrees: drawings are rounded. */
const OFF_MOUTH = 0.5

/** Why a leg does not leave a fitting so. */
function noTurn(at: string, fitting: LineFitting, angle: number): string {
  const { words, turns } = LINE_PARTS[fitting]
  const own = `${words.charAt(0).toLowerCase()}${words.slice(1)}`
  return turns.length === 0
    ? `${at}: ${own} ends the line; nothing goes on there. A fitting or a bend is accepted.`
    : `${at}: ${own} does not turn by ${formatDecimal(angle, 1)} degrees. ${words} turns by ${turns.join(' or ')}.`
}

const nearest = (angles: readonly number[], angle: number): number | undefined =>
  angles.find((one) => Math.abs(one - angle) <= OFF_MOUTH)

/** The mouth of a fitting by which a leg leaves that turns by an angle; null where it has none there. */
function leavingMouth(fitting: LineFitting, angle: number): LineFitting | null {
  const turn = nearest(LINE_PARTS[fitting].turns, angle)
  if (turn === undefined) return null
  if (isRunTee(fitting)) return turn === 0 ? fitting : 'tee-branch'
  return fitting === 'tee-branch' ? 'tee-run' : fitting
}

/**
 * Sizes of a fitting in the order it is bought by: run x run x branch for a tee, large x small for the rest; one size where
 * all its tubes are alike.
 */
function sizesOf(fitting: LineFitting, { pipe, along }: Draft, others: readonly Draft[]): string {
  if (others.every((other) => other.pipe.od === pipe.od)) return pipe.nominal
  const by = (mouth: LineFitting) =>
    others.find((other) => leavingMouth(fitting, angleBetween(along, other.along)) === mouth)?.pipe
  if (isRunTee(fitting))
    return [pipe, by(fitting) ?? pipe, by('tee-branch') ?? pipe].map(({ nominal }) => nominal).join(' x ')
  if (fitting === 'tee-branch')
    return [others[0]!.pipe, (others[1] ?? others[0]!).pipe, pipe].map(({ nominal }) => nominal).join(' x ')
  return [pipe, ...others.map((other) => other.pipe)]
    .sort((a, b) => b.od - a.od)
    .map(({ nominal }) => nominal)
    .join(' x ')
}

interface Draft {
  parent: number | null
  children: number[]
  along: Vector
  pipe: Pipe
  method: Method
}

/** Reads pipes, methods and which leg hangs on which. Issues name the field. */
function readLegs({ pipe, method, legs }: LineQuestion): Result<Draft[]> {
  const first = findPipe(pipe, 'pipe')
  if (!first.ok) return first
  const drafts: Draft[] = []
  for (const [i, leg] of legs.entries()) {
    const parent = i === 0 ? null : (leg.from ?? i - 1)
    if (leg.from !== undefined && (i === 0 || leg.from >= i))
      return fail(
        'range',
        `legs.${i}.from`,
        `legs.${i}.from: a leg before this one is accepted${i === 0 ? '; the first begins at the start' : `, 0 to ${i - 1}`}.`,
      )
    const before = parent === null ? null : legs[parent]!
    if (before && leg.from !== undefined && leg.from !== i - 1 && before.end.kind !== 'fitting')
      return fail(
        'impossible',
        `legs.${i}.from`,
        `legs.${i}.from: leg ${parent} ends in no fitting that a branch could leave by.`,
      )
    if (typeof leg.to !== 'string' && Math.abs(size(leg.to) - 1) > OFF_UNIT)
      return fail(
        'range',
        `legs.${i}.to`,
        `legs.${i}.to: its length is ${formatDecimal(size(leg.to), 3)}. A unit vector [right, away, up] is accepted.`,
      )
    if (before?.end.kind === 'fitting' && before.end.fitting === 'reducer' && leg.pipe === undefined)
      return fail(
        'missing',
        `legs.${i}.pipe`,
        `legs.${i}.pipe: is missing. After a reducer the pipe it goes on in is needed.`,
      )
    const own =
      leg.pipe === undefined
        ? ok(parent === null ? first.value : drafts[parent]!.pipe)
        : findPipe(leg.pipe, `legs.${i}.pipe`)
    if (!own.ok) return own
    if (before?.end.kind === 'bend' && own.value.id !== drafts[parent!]!.pipe.id)
      return fail('impossible', `legs.${i}.pipe`, `legs.${i}.pipe: a bend is one tube. Change the pipe at a fitting.`)
    if (parent !== null) drafts[parent]!.children.push(i)
    drafts.push({
      parent,
      children: [],
      along: vectorOf(leg.to),
      pipe: own.value,
      method: leg.method ?? (parent === null ? method : drafts[parent]!.method),
    })
  }
  return ok(drafts)
}

/** What a fitting's mouth is given for the leg that leaves by it. */
function givenForNext(
  end: Extract<LineEnd, { kind: 'fitting' }>,
  mouth: LineFitting,
  isOnly: boolean,
  isSame: boolean,
) {
  const isOwnKind = mouth === end.fitting
  if (end.next && (!isOwnKind || isOnly)) return end.next
  return isOwnKind && isSame ? { takeOut: end.takeOut, insertion: end.insertion } : {}
}

/** Checks the turns at a leg's end and gives the mouths its next legs leave by. */
function leave(question: LineQuestion, drafts: readonly Draft[], i: number, endMouths: Mouth[][]): Result<null> {
  const end = question.legs[i]!.end
  const { along, children, pipe, method } = drafts[i]!
  if (children.length === 0)
    return end.kind === 'bend'
      ? fail('impossible', `legs.${i}`, `legs.${i}: a bend needs a leg after it. Add one, or end it free.`)
      : ok(null)
  if (end.kind !== 'fitting' && end.kind !== 'bend')
    return fail(
      'impossible',
      `legs.${children[0]}`,
      `legs.${children[0]}: leg ${i} ends ${end.kind}; nothing goes on there. A fitting or a bend is accepted.`,
    )
  if (end.kind === 'bend') {
    if (children.length > 1)
      return fail(
        'impossible',
        `legs.${children[1]}`,
        `legs.${children[1]}: a bend goes on in one leg only. Put a tee there.`,
      )
    const angle = angleBetween(along, drafts[children[0]!]!.along)
    if (angle < OFF_MOUTH)
      return fail(
        'impossible',
        `legs.${children[0]}`,
        `legs.${children[0]}: it goes straight on, so there is no bend. Make the two one leg.`,
      )
    return angle > 180 - OFF_MOUTH
      ? fail(
          'impossible',
          `legs.${children[0]}`,
          `legs.${children[0]}: it turns straight back on itself. A bend of more than 0 and less than 180 degrees is accepted.`,
        )
      : ok(null)
  }
  const taken: { mouth: LineFitting; along: Vector }[] = []
  const isMixed = children.some((child) => drafts[child]!.pipe.od !== pipe.od)
  for (const child of children) {
    const next = drafts[child]!
    const angle = angleBetween(along, next.along)
    const mouth = leavingMouth(end.fitting, angle)
    if (!mouth) return fail('impossible', `legs.${child}`, noTurn(`legs.${child}`, end.fitting, angle))
    // A tee entered by its branch has both run ends free, one each way; every other mouth is there once.
    if (taken.some((one) => (end.fitting === 'tee-branch' ? dot(one.along, next.along) > -0.99 : one.mouth === mouth)))
      return fail(
        'impossible',
        `legs.${child}`,
        `legs.${child}: that mouth of the ${end.fitting.split('-')[0]} is taken already. A leg the other way, or another tee, is accepted.`,
      )
    taken.push({ mouth, along: next.along })
    const isSame = next.pipe.id === pipe.id && next.method === (end.method ?? method)
    // In a tee whose branch differs, the run is still as its own rows say.
    const inRunTee = isRunTee(end.fitting) ? next.pipe.od !== pipe.od : isMixed
    const isReducing =
      end.fitting === 'tee-branch' ? children.some((one) => drafts[one]!.pipe.od !== next.pipe.od) : inRunTee
    endMouths[child]![0] = fittingMouth({
      fitting: mouth,
      given: givenForNext(end, mouth, children.length === 1, isSame),
      method: next.method,
      pipe: next.pipe,
      kit: question.kit,
      sizes: sizesOf(
        end.fitting,
        drafts[i]!,
        children.map((one) => drafts[one]!),
      ),
      isReducing,
    })
  }
  return ok(null)
}

/** What a leg enters at its end, or leaves at the start. */
function enter(question: LineQuestion, end: LineEnd | LineStart, draft: Draft, others: readonly Draft[]): Mouth | null {
  const { pipe, method } = draft
  if (end.kind === 'bend') return null
  if (end.kind !== 'fitting') return plainMouth(end, method, pipe)
  const given = { takeOut: end.takeOut, insertion: end.insertion }
  // In a tee whose branch differs, the run is still as its own rows say.
  const isReducing = !isRunTee(end.fitting) && others.some((other) => other.pipe.od !== pipe.od)
  return fittingMouth({
    fitting: end.fitting,
    given,
    method: end.method ?? method,
    pipe,
    kit: question.kit,
    sizes: sizesOf(end.fitting, draft, others),
    isReducing,
  })
}

/** What lies between where a length was measured to and the fitting's centre, mm. */
function toCentre(mouth: Mouth | null, measured: 'centre' | 'stop' | 'face' | undefined): number {
  if (!mouth || !measured || measured === 'centre') return 0
  const takeOut = mouth.takeOut.value ?? 0
  return measured === 'stop' ? takeOut : takeOut + (mouth.insertion.value ?? 0)
}

/**
 * A line as geometry: each leg with its place, pipe and the mouths it joins. Places in mm, [right, away, up], from the
 * start's point. Issues: `unknown-id`, `missing`, `range` at the field, `impossible` at the leg that cannot be laid.
 */
export function layLine(question: LineQuestion): Result<LaidLeg[]> {
  const read = readLegs(question)
  if (!read.ok) return read
  const drafts = read.value
  const mouths: [Mouth | null, Mouth | null][] = drafts.map(() => [null, null])
  for (const [i, draft] of drafts.entries()) {
    mouths[i]![1] = enter(
      question,
      question.legs[i]!.end,
      draft,
      draft.children.map((child) => drafts[child]!),
    )
    if (i === 0) {
      const { start } = question
      mouths[0]![0] = enter(
        question,
        start.kind === 'fitting' && start.takeOut === undefined && start.insertion === undefined && start.next
          ? { ...start, ...start.next }
          : start,
        draft,
        [],
      )
    }
    const left = leave(question, drafts, i, mouths as Mouth[][])
    if (!left.ok) return left
  }
  const laid: LaidLeg[] = []
  for (const [i, draft] of drafts.entries()) {
    const { length: typed, measured } = question.legs[i]!
    const length = typed + toCentre(mouths[i]![0], measured?.begin) + toCentre(mouths[i]![1], measured?.end)
    const begin: Vector = draft.parent === null ? [0, 0, 0] : laid[draft.parent]!.end
    const fitting = question.legs[i]!.end
    laid.push({
      index: i,
      ...draft,
      sizes:
        fitting.kind === 'fitting'
          ? sizesOf(
              fitting.fitting,
              draft,
              draft.children.map((child) => drafts[child]!),
            )
          : draft.pipe.nominal,
      begin,
      end: add(begin, scale(draft.along, length)),
      length,
      mouths: mouths[i]!,
    })
  }
  return ok(laid)
}
