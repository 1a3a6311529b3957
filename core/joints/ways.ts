import { fail, ok, type Note, type Result } from '#core/base'
import {
  FAMILY_WORDS,
  findPipe,
  findSocket,
  HAZARD_CODES,
  hazardNote,
  hazardOf,
  HAZARDS,
  seriesOf,
  threadMadeUp,
  type Family,
  type SocketMethod,
  type ThreadForm,
} from '#core/catalogue'
import { assembleWay, compareWays } from './assemble'
import { fillSituation, toTube } from './defaults'
import { JOINT_METHODS } from './methods'
import { refusalsOn } from './refuse'
import { refuseThread } from './rules/threads'
import { findChains } from './search'
import type { End, Offer, Part, Refusal, RefusalCode, Situation, Tube, Way, WaysAnswer, WaysQuestion } from './types'

/** Thread that is cut on steel pipe of a series: taper, by its country. */
const THREADED: Readonly<Record<string, ThreadForm>> = { 'st-40': 'npt', 'st-en': 'bspt' }

/**
 * An end as it is offered to a mouth. `path` stands before its fields in an issue: `unknown-id` at a pipe or thread
 * size, `range` at a wall.
 */
export function readEnd(end: End, on: 'a' | 'b', path = `${on}.`): Result<Offer> {
  if ('thread' in end) {
    if (!threadMadeUp(end.thread.form, end.thread.size))
      return fail(
        'unknown-id',
        `${path}thread.size`,
        `${path}thread.size: no thread of that size in the tables. Accepted: 1/8 to 2.`,
      )
    return ok({ kind: 'thread', thread: end.thread, on })
  }
  const pipe = findPipe(end.pipe, `${path}pipe`)
  if (!pipe.ok) return pipe
  if (end.wall !== undefined && end.wall * 2 >= pipe.value.od)
    return fail(
      'range',
      `${path}wall`,
      `${path}wall: a wall is less than half the outside diameter, ${pipe.value.od} mm.`,
    )
  return ok(toOffer(toTube(end), on))
}

/** A tube as it meets a mouth: steel pipe by the thread cut on it. */
export function toOffer(tube: Tube, on: 'a' | 'b'): Offer {
  const form = THREADED[tube.pipe.series]
  return form
    ? { kind: 'thread', thread: { form, size: tube.pipe.nominal, gender: 'male', material: 'steel' }, on, tube }
    : { kind: 'tube', tube, on }
}

/** Whether the van has every fitting of a way; nothing said of parts means all are in stock. */
function inStock(way: Way, { kit: { parts } }: Situation): boolean {
  if (parts === undefined) return true
  const same = (one: Part) => (other: { name: string; size: string }) =>
    other.name === one.name && other.size === one.size
  const count = (list: readonly { name: string; size: string; quantity: number }[], one: Part) =>
    list.filter(same(one)).reduce((sum, { quantity }) => sum + quantity, 0)
  return way.parts.filter(({ kind }) => kind !== 'tail').every((part) => count(parts, part) >= count(way.parts, part))
}

/** The least change that would let a refusing code go. */
const LEVERS: Partial<Record<RefusalCode, string>> = {
  flame: 'Allow a flame, with mat, extinguisher and a watch.',
  wet: 'Drain it and stop the drip, or freeze or plug the line.',
  hidden: 'Leave a panel to reach the joint, or book it as temporary.',
  room: 'Cut back to more open pipe, or make it up on the bench.',
  play: 'Free the pipe so that it draws back, or cut in with a slip coupling.',
  undo: 'Accept a joint that has to be cut out.',
  tool: 'Bring the tool, or the jaw of this size.',
  temper: 'Cut back to hard tube, or calibrate the end.',
  rating: 'Lower the pressure or the temperature, or change the pipe.',
  service: 'Bring the joint out of the ground, or use pipe made for this service.',
  drinking: "Allow type M by the job's policy where the local code does, or use pipe made for drinking water.",
  surface: 'Cut back to sound tube for the whole depth.',
  'pex-type': 'Read the print again, or take a fitting that it lists.',
}

/** Pipe that nothing here is made for, and what is done instead. */
const UNJOINED: Readonly<Partial<Record<Family, string>>> = {
  'pp-r':
    'PP-R is welded by heat with its own tools. Go over to a thread with its own transition fitting, then on from there.',
}

function whatWouldChange(tubes: readonly (Tube | null)[], refused: readonly Refusal[]): string[] {
  const levers = Object.keys(LEVERS)
    .filter((code) => refused.some((refusal) => refusal.code === code))
    .map((code) => LEVERS[code as RefusalCode]!)
  const unserved = tubes.flatMap((tube) => {
    if (
      !tube ||
      THREADED[tube.pipe.series] ||
      (Object.keys(JOINT_METHODS) as SocketMethod[]).some((method) => findSocket(method, tube.pipe))
    )
      return []
    const hazard = hazardOf(tube.pipe)
    return [
      (hazard && HAZARDS[hazard].refusal) ??
        UNJOINED[tube.pipe.family] ??
        `No joint for ${FAMILY_WORDS[tube.pipe.family]} of this size is in the tables. Ask the pipe's maker, or cut back to another pipe.`,
    ]
  })
  if (unserved.length + levers.length > 0) return [...unserved, ...levers]
  const systems = tubes.flatMap((tube) => (tube ? [seriesOf(tube.pipe.series).sizing] : []))
  return [
    systems.length > 1 && systems[0] === systems[1]
      ? "Bring one pipe nearer the other's size first, with a reducing coupling on its own kind."
      : 'Bring the pipes to thread sizes that meet: reduce the larger on its own kind first.',
  ]
}

/** What stands over every way: pipe that is left alone, or not cut until one thing is known of it. */
const hazardsOf = (tubes: readonly (Tube | null)[]): Note[] =>
  HAZARD_CODES.filter((code) =>
    tubes.some((tube) => tube && (code === 'gas' ? tube.traced === 'unknown' : hazardOf(tube.pipe) === code)),
  ).map(hazardNote)

/**
 * Every way to join two ends within 3 fittings and 6 joints that no rule refuses, best first, and the methods that
 * cannot be made directly on each end with the first reason. Lengths mm, pressures bar gauge, minutes and cost ours.
 * Issues: `unknown-id` at a pipe or thread size, `range` at a wall.
 */
export function findWays(question: WaysQuestion): Result<WaysAnswer> {
  const a = readEnd(question.a, 'a')
  if (!a.ok) return a
  const b = readEnd(question.b, 'b')
  if (!b.ok) return b
  const situation = fillSituation(question)
  const tubes = [a.value, b.value].map((offer) => offer.tube ?? null)
  const cautions = hazardsOf(tubes)
  const refused = [...refusalsOn(a.value, b.value, 'a', situation), ...refusalsOn(b.value, a.value, 'b', situation)]
  for (const [offer, other] of [
    [a.value, b.value],
    [b.value, a.value],
  ] as const) {
    const no = offer.kind === 'thread' ? refuseThread('thread', offer, other, situation) : null
    if (no) return ok({ ways: [], refused, cautions, instead: [no.reason] })
  }
  // One chain can be walked with a fitting turned round where both its mouths mate: it is one way.
  const ways = [
    ...new Map(
      findChains(a.value, b.value, situation).map((chain) => {
        const way = assembleWay(chain, situation)
        return [way.id, way] as const
      }),
    ).values(),
  ]
    .filter((way) => inStock(way, situation))
    .sort(compareWays(situation.policy.order))
  return ok(
    ways.length > 0
      ? { ways, refused, cautions }
      : { ways, refused, cautions, instead: whatWouldChange(tubes, refused) },
  )
}
