import { fail, finish, ok, type Note, type Result, type Steps } from '#core/base'
import {
  FAMILY_WORDS,
  findPipe,
  findSocket,
  HAZARD_CODES,
  hazardNote,
  hazardOf,
  HAZARDS,
  hasThread,
  threadFormOf,
  type SocketMethod,
} from '#core/catalogue'
import { speakAll } from '#core/speech'
import { assembleWay, compareWays } from './assemble'
import { fillConditions, fillSituation, toTube } from './defaults'
import { LEVERS, type Asked } from './levers'
import { isFresh, isLessNoble, isNoble, metalOf } from './metals'
import { JOINT_METHODS } from './methods'
import { refusalsOn } from './refuse'
import { refuseThread } from './rules/threads'
import { chainSteps } from './search'
import { isClosed } from './types'
import type {
  End,
  Offer,
  OpenOffer,
  OtherEnd,
  Part,
  RefusalCode,
  Situation,
  Tube,
  Way,
  WaysAnswer,
  WaysQuestion,
} from './types'

/**
 * An end as it is offered to a mouth. `path` stands before its fields in an issue: `unknown-id` at a pipe or thread
 * size, `range` at a wall.
 */
export function readEnd(end: End, on: 'a' | 'b', path = `${on}.`): Result<OpenOffer> {
  if ('thread' in end) {
    if (!hasThread(end.thread.form, end.thread.size))
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

/** The other end of a question: as the first, or nothing, where that one is closed. */
export const readOther = (end: OtherEnd): Result<Offer> =>
  isClosed(end) ? ok({ kind: 'shut', on: 'b' }) : readEnd(end, 'b')

/** A tube as it meets a mouth: steel pipe by the thread cut on it. */
export function toOffer(tube: Tube, on: 'a' | 'b'): OpenOffer {
  const form = threadFormOf(tube.pipe.series)
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
  // A washer comes with the connector that it is for.
  return way.parts
    .filter(({ kind }) => kind !== 'tail' && kind !== 'washer')
    .every((part) => count(parts, part) >= count(way.parts, part))
}

/** Pipe that nothing here is made for, each once. */
const unservedOf = (tubes: readonly (Tube | null)[]): string[] => [
  ...new Set(
    tubes.flatMap((tube) => {
      if (
        !tube ||
        threadFormOf(tube.pipe.series) ||
        (Object.keys(JOINT_METHODS) as SocketMethod[]).some((method) => findSocket(method, tube.pipe))
      )
        return []
      const hazard = hazardOf(tube.pipe)
      return [
        (hazard && HAZARDS[hazard].refusal) ??
          `No joint for ${FAMILY_WORDS[tube.pipe.family]} of this size is in the tables. Ask the pipe's maker, or cut back to another pipe.`,
      ]
    }),
  ),
]

/** Whether a question would have a way: none refused outright, and one in stock. */
function* hasWay(asked: Asked): Steps<boolean> {
  const { a, b, situation } = asked
  return refusedOutright(a, b, situation) === null && (yield* waysBetween(asked)).length > 0
}

/** Codes that the pipe itself is refused by: no lever turns them, other pipe does. */
const OF_PIPE: ReadonlySet<RefusalCode> = new Set(['rating', 'service', 'drinking', 'metals'])

/** Where nothing that can be changed helps: what stands in the way of the pipe itself, else that nothing joins them. */
function nothingHelps({ a, b, situation }: Asked): string[] {
  const refused = [...refusalsOn(a, b, 'a', situation), ...refusalsOn(b, a, 'b', situation)]
  const reasons = new Set(refused.filter(({ code }) => OF_PIPE.has(code)).map(({ reason }) => reason))
  return reasons.size > 0
    ? [...reasons].map((reason) => `Other pipe is wanted here. ${reason}`)
    : ['Nothing in the tables joins these two within three fittings, whatever is changed round them.']
}

/** What would give a way: one lever alone, else two together. Only what was tried and gives one is named. */
function* whatWouldChange(asked: Asked): Steps<string[]> {
  const tubes = [asked.a, asked.b].map((offer) => offer.tube ?? null)
  const unserved = unservedOf(tubes)
  if (unserved.length > 0) return unserved
  const turned = LEVERS.flatMap((lever) => {
    const then = lever.turn(asked)
    return then ? [{ words: lever.words(asked), then }] : []
  })
  // Where not even all of them together give a way, none is tried.
  const all = LEVERS.reduce((now, lever) => lever.turn(now) ?? now, asked)
  if (turned.length === 0 || !(yield* hasWay(all))) return nothingHelps(asked)
  const alone = yield* wordsThatHelp(turned)
  if (alone.length > 0) return alone
  const pairs = turned.flatMap(({ words, then }, i) =>
    LEVERS.flatMap((lever) => {
      const both = lever.turn(then)
      const other = lever.words(asked)
      const isLater = turned.findIndex((one) => one.words === other) > i
      return both && isLater ? [{ words: `${words} And: ${other}`, then: both }] : []
    }),
  )
  const together = yield* wordsThatHelp(pairs)
  return together.length > 0 ? together : nothingHelps(asked)
}

/** The words of those that give a way. */
function* wordsThatHelp(tried: readonly { words: string; then: Asked }[]): Steps<string[]> {
  const help: string[] = []
  for (const { words, then } of tried) if (yield* hasWay(then)) help.push(words)
  return help
}

/** Whether it matters which end the water comes from: a less noble metal at one, a nobler one at the other, fresh water. */
export function asksFlow({ a, b, conditions }: Pick<WaysQuestion, 'a' | 'b' | 'conditions'>): boolean {
  const [one, other] = [readEnd(a, 'a'), readOther(b)]
  if (!one.ok || !other.ok) return false
  const situation = { conditions: fillConditions(conditions) }
  const links = [metalOf(one.value, situation), metalOf(other.value, situation)]
  return isFresh(situation) && links.some(isLessNoble) && links.some(isNoble)
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
export const findWays = (question: WaysQuestion): Result<WaysAnswer> => finish(waySteps(question))

/** The same in steps of a few ms. */
export function* waySteps(question: WaysQuestion): Steps<Result<WaysAnswer>> {
  return speakAll(yield* search(question), question.region)
}
function* search(question: WaysQuestion): Steps<Result<WaysAnswer>> {
  const a = readEnd(question.a, 'a')
  if (!a.ok) return a
  const b = readOther(question.b)
  if (!b.ok) return b
  const situation = situationOf(question)
  const tubes = [a.value, b.value].map((offer) => offer.tube ?? null)
  const cautions = hazardsOf(tubes)
  const refused = [...refusalsOn(a.value, b.value, 'a', situation), ...refusalsOn(b.value, a.value, 'b', situation)]
  const outright = refusedOutright(a.value, b.value, situation)
  if (outright !== null) return ok({ ways: [], refused, cautions, instead: [outright] })
  const asked: Asked = { a: a.value, b: b.value, situation, valve: question.valve }
  const ways = yield* waysBetween(asked)
  return ok(
    ways.length > 0 ? { ways, refused, cautions } : { ways, refused, cautions, instead: yield* whatWouldChange(asked) },
  )
}

/** Why an end's thread is joined to this other end by nothing at all; null where it may be. */
function refusedOutright(a: Offer, b: Offer, situation: Situation): string | null {
  for (const [offer, other] of [
    [a, b],
    [b, a],
  ] as const) {
    // A cone seat takes no thread joint, and does take a cone.
    const isAsked = offer.kind === 'thread' && offer.thread.seat !== 'cone'
    const no = isAsked ? refuseThread('thread', offer, other, situation) : null
    if (no) return no.reason
  }
  return null
}

/** Over the open end of a pipe that is closed nothing has to be drawn apart. */
function situationOf(question: WaysQuestion): Situation {
  const situation = fillSituation(question)
  return isClosed(question.b) ? { ...situation, conditions: { ...situation.conditions, play: null } } : situation
}

/** Every way in stock, best first. One chain can be walked with a fitting turned round where both its mouths mate: it is one way. */
function* waysBetween({ a, b, situation, valve }: Asked): Steps<Way[]> {
  const ways = new Map<string, Way>()
  for (const chain of yield* chainSteps(a, b, situation, valve)) {
    const way = assembleWay(chain, { a, b }, situation)
    ways.set(way.id, way)
    yield
  }
  return [...ways.values()].filter((way) => inStock(way, situation)).sort(compareWays(situation.policy))
}
