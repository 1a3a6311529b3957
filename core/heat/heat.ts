import { fail, ok, type Figure, type Note, type Result, type RuleTable, type WorkingLine } from '#core/base'
import type { Region } from '#core/units'
import { findPipe, findSocket, socketDepth, type Pipe } from '#core/catalogue'
import { length, lengths, spoken, temperature as degrees } from '#core/speech'
import {
  AIR_LOSS,
  COPPER,
  JOINT_TEMPERATURE,
  LIMITS,
  TOUCH,
  TRADE_RULE,
  WATER,
  WRAP_BREADTH_MM,
  WRAP_LOSS,
} from './heat-figures'
import { layCells, readAt, step, type Rod } from './rod'

export const HEAT_TARGETS = ['seal', 'plastic', 'washer'] as const
export type HeatTarget = (typeof HEAT_TARGETS)[number]

export interface HeatQuestion {
  region?: Region
  /** Catalogue id of the tube. */
  pipe: string
  /** Face of the soldered fitting to what is to stay cool, along the tube, mm. */
  distance: number
  /** What is there, or the highest temperature it may have, degC. */
  target: HeatTarget | number
  torch: 'propane' | 'propylene'
  /**
   * A wet cloth round the tube; its middle from the face, mm. Between the joint and the target where it is not said.
   */
  wrapped?: boolean
  wrapAt?: number
  inside?: 'air' | 'water'
  /** degC */
  ambient: number
  /** How long the joint is held at soldering heat, s. */
  seconds?: number
}

export interface HeatAnswer {
  /** Highest temperature at the target, degC, and when after heat was put on, s. */
  peak: number
  peakAt: number
  safe: boolean
  /** Least distance at which the peak stays under the limit, mm. */
  minDistance: number
  /** How long after the flame is taken off the joint may be touched, s. */
  touchAfter: number
  cautions: Note[]
  working: WorkingLine[]
}

/** What an answer says beside its figures. */
export const HEAT_RULES = {
  'trade-rule': {
    when: 'the model calls a distance safe that is nearer than the larger rule of the trade',
    because:
      "The model and the trade's rule differ: both figures stand, the maker's paper decides. Solder first, or wrap it wet.",
    source: TRADE_RULE.source,
  },
  'wet-cloth': {
    when: 'a distance rests on a wet cloth, or lies under the least the trade allows with one',
    because: 'A wet cloth dries while it works: wet it again, and keep the least distance of the trade.',
    source: TRADE_RULE.source,
  },
  'water-inside': {
    when: 'water stands in the tube',
    because: 'Solder does not take with water in the tube: drain it, or choose another joint.',
    source: 'physics; trade practice',
  },
} as const satisfies RuleTable

/** What the trade asks beside what the model finds, both figures said. */
function cautionsOf(
  pipe: Pipe,
  { distance, wrapped, wrapAt, inside }: HeatQuestion,
  safe: boolean,
  least: number,
): Note[] {
  // Whole millimetres: the model is no finer.
  const mm = (value: number) => length(Math.round(value))
  const isWrapped = wrapped === true || wrapAt !== undefined
  const [most, wet] = [TRADE_RULE.most * pipe.od, TRADE_RULE.least * pipe.od]
  const asked = isWrapped ? wet : most
  const isNear = safe && distance < asked - 1e-9
  const times = isWrapped ? TRADE_RULE.least : TRADE_RULE.most
  const rule = `${times} times the outside diameter${isWrapped ? ' with a wet cloth' : ''}`
  return [
    ...(isNear
      ? [
          {
            code: 'trade-rule' satisfies HeatCode,
            text:
              `By this model ${mm(Math.ceil(least))} is enough; the trade asks ${mm(asked)}, ${rule}. ` +
              `Go by the maker's paper${isWrapped ? '' : ', wrap it wet'}, or solder first.`,
          },
        ]
      : []),
    ...(isWrapped
      ? [
          {
            code: 'wet-cloth' satisfies HeatCode,
            text: `The cloth dries while it works: wet it again. The trade asks ${mm(wet)} with one, ${mm(most)} without.`,
          },
        ]
      : []),
    ...(inside === 'water'
      ? [{ code: 'water-inside' satisfies HeatCode, text: HEAT_RULES['water-inside'].because }]
      : []),
  ]
}
type HeatCode = keyof typeof HEAT_RULES

/** The course of it for a drawing: temperatures in degC. */
export interface HeatCourse {
  limit: number
  /** Highest temperature met at each distance from the face, mm. */
  along: { at: number; peak: number }[]
  /** At the target and at the joint, by seconds after heat was put on. */
  byTime: { at: number; target: number; joint: number }[]
}

const USUAL_SECONDS = 30
/** Longest course looked at, s: by then any joint is cold. */
const MOST_SECONDS = 4 * 3600
/** Tube beyond the target that is looked at, m; heat has not come to its end by the time of the peak. */
const BEYOND_M = 0.9

/** The tube in cells from the middle of the fitting (negative, its half-length inside) to well beyond the target, m. */
function layTube(pipe: Pipe, socketMm: number, question: HeatQuestion): Rod {
  const [od, bore, socket] = [pipe.od / 1000, pipe.bore! / 1000, socketMm / 1000]
  const area = (Math.PI / 4) * (od ** 2 - bore ** 2)
  const { width, centre } = layCells(-socket, socket + question.distance / 1000 + BEYOND_M)
  const wrap = wrapOf(question)
  const water = question.inside === 'water' ? ((WATER.density.value * WATER.heat.value * Math.PI) / 4) * bore ** 2 : 0
  const perCell = (value: (x: number, i: number) => number) => Float64Array.from(centre, (x, i) => value(x, i))
  // In the fitting there are two walls: the tube's and the cup's.
  const walls = (x: number) => (x < 0 ? 2 : 1)
  return {
    width,
    centre,
    store: perCell((x) => walls(x) * area * COPPER.density.value * COPPER.heat.value + water),
    conduct: perCell((x) => walls(x) * area * COPPER.conductivity.value),
    lose: perCell((x, i) => {
      const covered = wrap
        ? Math.max(0, Math.min(x + width[i]! / 2, wrap[1]) - Math.max(x - width[i]! / 2, wrap[0])) / width[i]!
        : 0
      return Math.PI * od * (AIR_LOSS.value + covered * WRAP_LOSS.value)
    }),
  }
}

/** Where the wet wrap begins and ends, m from the face; null without one. It never covers the joint. */
function wrapOf({ wrapped, wrapAt, distance }: HeatQuestion): readonly [number, number] | null {
  if (!wrapped && wrapAt === undefined) return null
  const half = WRAP_BREADTH_MM.value / 2
  const middle = wrapAt ?? Math.max(0, distance - half)
  return [Math.max(0, middle - half) / 1000, (middle + half) / 1000]
}

interface Course {
  peak: number
  peakAt: number
  touchAfter: number
  along: Float64Array
  rod: Rod
  byTime: HeatCourse['byTime']
}

/** Heats the joint, lets it cool, and looks at the target; temperatures above the surroundings, K. */
function follow(pipe: Pipe, socketMm: number, question: HeatQuestion, isShort: boolean): Course {
  const rod = layTube(pipe, socketMm, question)
  const { ambient, seconds = USUAL_SECONDS, torch } = question
  const held = JOINT_TEMPERATURE[torch].value - ambient
  const temperature = new Float64Array(rod.width.length)
  const isJoint = (i: number) => rod.centre[i]! < 0
  const along = new Float64Array(rod.width.length)
  const target = question.distance / 1000
  const byTime: HeatCourse['byTime'] = []
  let [peak, peakAt, touchAt, time, implicit] = [0, 0, -1, 0, 4]
  const look = () => {
    temperature.forEach((own, i) => {
      along[i] = Math.max(along[i]!, own)
    })
    const own =
      target === 0
        ? Math.max(readAt(rod, temperature, 0), time <= seconds ? held : 0)
        : readAt(rod, temperature, target)
    if (own > peak) [peak, peakAt] = [own, time]
    const joint = temperature.reduce((most, one, i) => (isJoint(i) ? Math.max(most, one) : most), 0)
    if (touchAt < 0 && time > seconds && joint + ambient <= TOUCH.value) touchAt = time
    byTime.push({ at: time, target: own + ambient, joint: joint + ambient })
  }
  while (time < MOST_SECONDS) {
    const isHeated = time < seconds - 1e-9
    const since = isHeated ? time : time - seconds
    const step0 = Math.min(Math.max(0.05, since / 40), 10)
    const dt = isHeated ? Math.min(step0, seconds - time) : step0
    // While it is heated the whole fitting is at soldering heat.
    if (isHeated)
      temperature.forEach((_, i) => {
        if (isJoint(i)) temperature[i] = held
      })
    step(rod, temperature, dt, implicit > 0 ? 1 : 0.5, null)
    if (isHeated)
      temperature.forEach((_, i) => {
        if (isJoint(i)) temperature[i] = held
      })
    implicit -= 1
    time += dt
    if (isHeated && time >= seconds - 1e-9) implicit = 4
    look()
    // The peak is past once the target cools and is the warmest it will be from what lies before it.
    const isPast = time > seconds && peak > 0.01 && byTime.at(-1)!.target - ambient < peak * 0.9
    if (isPast && (isShort || touchAt >= 0)) break
    if (time > seconds && touchAt >= 0 && peak <= 0.01) break
  }
  return { peak, peakAt, touchAfter: Math.max(0, (touchAt < 0 ? time : touchAt) - seconds), along, rod, byTime }
}

/** The cup a tube is soldered into; null where none is held. */
function cupOf(pipe: Pipe): Figure | null {
  const socket = findSocket('solder', pipe)
  return socket ? socketDepth(socket) : null
}

/** The question's pipe, its cup and the limit, checked. */
function readHeat(question: HeatQuestion): Result<{ pipe: Pipe; socket: number; limit: number; limitSource: string }> {
  const found = findPipe(question.pipe, 'pipe')
  if (!found.ok) return found
  if (found.value.family !== 'copper')
    return fail('impossible', 'pipe', `pipe: ${found.value.label} is not soldered. Copper tube is accepted.`)
  if (found.value.bore === null)
    return fail(
      'impossible',
      'pipe',
      `pipe: no wall is held for ${found.value.label}. Take the size measured at a cut.`,
    )
  const limit = typeof question.target === 'number' ? question.target : LIMITS[question.target].value
  const limitSource = typeof question.target === 'number' ? 'given' : LIMITS[question.target].source
  if (limit <= question.ambient)
    return fail(
      'impossible',
      'ambient',
      `ambient: ${degrees(question.ambient)} is not below the limit of ${degrees(limit)}, so that no distance is safe.`,
    )
  // Where no cup is held, as deep as the tube is wide.
  return ok({ pipe: found.value, socket: cupOf(found.value)?.value ?? found.value.od, limit, limitSource })
}

/**
 * Whether what is near a soldered joint stays cool enough: heat along the tube, worked out in time. The flame's own spill on
 * the tube is not in it. Issues: at `pipe` where it is no copper tube, at `ambient` where the room is as warm as the limit.
 */
export const heatAlong = spoken(workHeat)
function workHeat(question: HeatQuestion): Result<HeatAnswer & { course: HeatCourse }> {
  const read = readHeat(question)
  if (!read.ok) return read
  const { pipe, socket, limit, limitSource } = read.value
  const { ambient, seconds = USUAL_SECONDS, torch } = question
  const course = follow(pipe, socket, question, false)
  const peakOf = (distance: number) => follow(pipe, socket, { ...question, distance }, true).peak + ambient
  let [hot, cool] = [0, 50]
  while (peakOf(cool) > limit && cool < 6400) [hot, cool] = [cool, cool * 2]
  while (cool - hot > 0.5) {
    const middle = (hot + cool) / 2
    if (peakOf(middle) > limit) hot = middle
    else cool = middle
  }
  const peak = course.peak + ambient
  const round = (value: number) => Math.round(value * 10) / 10
  const wrap = wrapOf(question)
  const working: WorkingLine[] = [
    {
      text: `joint held at soldering heat, ${torch}`,
      op: '=',
      value: JOINT_TEMPERATURE[torch].value,
      unit: 'degC',
      source: JOINT_TEMPERATURE[torch].source,
    },
    {
      text: 'held for',
      op: '=',
      value: seconds,
      unit: 's',
      source: question.seconds === undefined ? 'usual, ours' : 'given',
    },
    { text: 'room', op: '=', value: ambient, unit: 'degC', source: 'given' },
    {
      text: `copper, conductivity ${COPPER.conductivity.lo} to ${COPPER.conductivity.hi}`,
      op: '=',
      value: COPPER.conductivity.value,
      unit: 'W/(m K)',
      source: COPPER.conductivity.source,
    },
    { text: 'copper, density', op: '=', value: COPPER.density.value, unit: 'kg/m3', source: COPPER.density.source },
    { text: 'copper, specific heat', op: '=', value: COPPER.heat.value, unit: 'J/(kg K)', source: COPPER.heat.source },
    { text: 'wall of the tube', op: '=', value: round((pipe.od - pipe.bore!) / 2), unit: 'mm', source: pipe.standard },
    {
      text: 'cup, two walls deep',
      op: '=',
      value: round(socket),
      unit: 'mm',
      source: cupOf(pipe)?.source ?? 'ours: as deep as the tube is wide',
    },
    {
      text: `loss to the air, ${AIR_LOSS.lo} to ${AIR_LOSS.hi}`,
      op: '=',
      value: AIR_LOSS.value,
      unit: 'W/(m2 K)',
      source: AIR_LOSS.source,
    },
    ...(question.inside === 'water'
      ? [
          {
            text: 'standing water in the tube stores heat; no flow, no boiling',
            op: '=' as const,
            value: WATER.heat.value,
            unit: 'J/(kg K)',
            source: WATER.heat.source,
          },
        ]
      : []),
    ...(wrap
      ? [
          {
            text: `wet wrap ${lengths(wrap[0] * 1000, wrap[1] * 1000)} from the face takes`,
            op: '=' as const,
            value: WRAP_LOSS.value,
            unit: 'W/(m2 K)',
            source: WRAP_LOSS.source,
          },
        ]
      : []),
    { text: 'limit', op: '=', value: limit, unit: 'degC', source: limitSource },
    {
      text: `highest at ${length(question.distance)}`,
      op: '=',
      value: round(peak),
      unit: 'degC',
      source: 'this model',
    },
    { text: 'touched once the joint is at', op: '=', value: TOUCH.value, unit: 'degC', source: TOUCH.source },
    {
      text: 'distance said in the trade, the larger',
      op: '=',
      value: round(TRADE_RULE.most * pipe.od),
      unit: 'mm',
      source: TRADE_RULE.source,
    },
  ]
  return ok({
    peak,
    peakAt: course.peakAt,
    safe: peak <= limit,
    minDistance: cool,
    touchAfter: course.touchAfter,
    cautions: cautionsOf(pipe, question, peak <= limit, cool),
    working,
    course: {
      limit,
      along: [...course.rod.centre].flatMap((x, i) =>
        x >= 0 && x <= question.distance / 1000 + 0.3 ? [{ at: x * 1000, peak: course.along[i]! + ambient }] : [],
      ),
      byTime: course.byTime,
    },
  })
}

/** The verb: the answer without its course. */
export function askHeat(question: HeatQuestion): Result<HeatAnswer> {
  const answer = heatAlong(question)
  if (!answer.ok) return answer
  const { course: _, ...value } = answer.value
  return ok(value)
}
