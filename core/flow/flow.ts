import { fail, ok, type Note, type Result, type WorkingLine } from '#core/base'
import { findPipe, type Pipe, INSERT_WALL_MM } from '#core/catalogue'
import type { Service } from '#core/joints'
import { MM_PER_INCH, formatDecimal, type Region } from '#core/units'
import {
  diameter,
  flow as flowWords,
  perRegion,
  pressure,
  run,
  speed,
  spoken,
  temperature as degrees,
  temperatures,
  volume,
  w,
} from '#core/speech'
import { isMinimumWall, K, MEAN_WALL, roughnessOf, type FlowFitting } from './loss-figures'
import { density, viscosity } from './water'
import { longestDeadLeg } from './dead-legs'
import { velocityLimit } from './limits'
import { FLOW_RULES, type FlowCode } from './rules'

export interface FlowQuestion {
  region?: Region
  pipe: string
  /** Measured wall, mm. */
  wall?: number
  /** mm */
  length: number
  /** l/s */
  flow: number
  /** degC */
  temperature: number
  /** What the line does: a loop and heating run slower, and a hot branch that stands is not too long. */
  service?: Service
  /** `k` in velocity heads and `bore` of an insert, mm, win over ours. */
  fittings?: readonly { fitting: FlowFitting; quantity: number; k?: number; bore?: number }[]
}

export interface FlowAnswer {
  /** m/s in the tube's bore. */
  velocity: number
  /** bar over the whole run. */
  drop: number
  /** Of minimum-wall plastic, by the mean bore: what it comes to at most. */
  dropHi: number
  velocityHi: number
  /** mm */
  boreUsed: number
  /** Bore of its narrowest insert, mm, and the velocity in it; null where it has none. */
  insert: { bore: number; velocity: number } | null
  /** m/s */
  limit: number
  limitSource: string
  verdict: 'within' | 'over'
  reynolds: number
  friction: number
  working: WorkingLine[]
  cautions: Note[]
}

/** Below this the flow is laminar (contract). */
const LAMINAR = 2300

/**
 * Friction factor of Darcy and Weisbach: 64/Re when laminar, else Colebrook and White, solved to 1e-12. 0 where nothing
 * flows.
 */
export function frictionOf(reynolds: number, relativeRoughness: number): number {
  if (reynolds <= 0) return 0
  if (reynolds < LAMINAR) return 64 / reynolds
  // Haaland's explicit form is within 2 %; the iteration contracts fast from there.
  let x = -1.8 * Math.log10((relativeRoughness / 3.7) ** 1.11 + 6.9 / reynolds)
  for (let i = 0; i < 60; i++) {
    const next = -2 * Math.log10(relativeRoughness / 3.7 + (2.51 * x) / reynolds)
    if (Math.abs(next - x) < 1e-12) return 1 / next ** 2
    x = next
  }
  return 1 / x ** 2
}

/** A roughness, mm: too fine for a diameter's digits. */
const roughnessWords = (mm: number): string =>
  perRegion({ gb: `${mm} mm`, us: `${(mm / MM_PER_INCH).toPrecision(2)} in (${mm} mm)` })

/** m/s of a flow in l/s through a bore in mm. */
export const velocityIn = (flow: number, bore: number): number => (flow * 1e-3) / ((Math.PI / 4) * (bore * 1e-3) ** 2)

/**
 * Velocity heads lost through an insert of a bore in a tube of a bore, by the tube's velocity: a sudden contraction,
 * then an expansion (Borda and Carnot).
 */
function insertLoss(insert: number, bore: number): number {
  const ratio = (insert / bore) ** 2
  return ratio >= 1 ? 0 : (0.5 * (1 - ratio) + (1 - ratio) ** 2) / ratio ** 2
}

interface Loss {
  bar: number
  friction: number
  reynolds: number
  velocity: number
  straight: number
  lines: WorkingLine[]
  insert: FlowAnswer['insert']
}

/** Where a fitting's loss is from: the user's own k, his own bore of an insert, or our table. */
function lossSource(hasOwnK: boolean, hasOwnBore: boolean): string {
  if (hasOwnK) return 'measured'
  return hasOwnBore ? 'measured bore; contraction and expansion' : 'ours'
}

function lossIn({ length, flow, temperature, fittings = [] }: FlowQuestion, pipe: Pipe, bore: number): Loss {
  const rho = density(temperature)
  const velocity = velocityIn(flow, bore)
  const reynolds = (rho * velocity * bore * 1e-3) / viscosity(temperature)
  const friction = frictionOf(reynolds, roughnessOf(pipe) / bore)
  const head = (rho * velocity ** 2) / 2 / 1e5
  const straight = ((friction * length) / bore) * head
  let insert: FlowAnswer['insert'] = null
  const lines = fittings.map(({ fitting, quantity, k, bore: own }): WorkingLine => {
    const through = own ?? bore - 2 * INSERT_WALL_MM.value
    if (fitting === 'insert' && quantity > 0 && (insert === null || through < insert.bore))
      insert = { bore: through, velocity: velocityIn(flow, through) }
    const each = k ?? (fitting === 'insert' ? insertLoss(through, bore) : K[fitting].k)
    return {
      text: `${quantity} \u00d7 ${fitting.replace('-', ' ')}, k ${formatDecimal(each, 2)}`,
      op: '+',
      value: quantity * each * head,
      unit: 'bar',
      source: lossSource(k !== undefined, fitting === 'insert' && own !== undefined),
    }
  })
  return {
    bar: lines.reduce((sum, { value }) => sum + value, straight),
    friction,
    reynolds,
    velocity,
    straight,
    lines,
    insert,
  }
}

/** What is said of a hot branch that stands longer than its region allows; null where it does not, or none is asked. */
function standingIn({ service, region = 'gb', length }: FlowQuestion, pipe: Pipe, bore: number): string | null {
  const most = service === 'hot' ? longestDeadLeg(pipe, region) : null
  if (most === null || length <= most.longest) return null
  const litres = ((Math.PI / 4) * bore ** 2 * length) / 1e6
  return `${run(length)} of hot pipe stands between uses, ${volume(litres)} that go cold; ${run(most.longest)} is the most by ${most.source}. A smaller pipe, a nearer heater, or a loop with ${w.lagging}.`
}

/**
 * Velocity and pressure lost in a run at a flow. Darcy-Weisbach with Colebrook-White, laminar below Re 2300; fittings by
 * velocity heads, inserts by their bore. bar, m/s, mm. Issues: `unknown-id` at `pipe`, `impossible` at `pipe` where no bore
 * is held, `range` at `temperature` where water is ice or steam.
 */
export const askFlow = spoken(flowThrough)
function flowThrough(question: FlowQuestion): Result<FlowAnswer> {
  const { flow, temperature, region } = question
  const found = findPipe(question.pipe, 'pipe')
  if (!found.ok) return found
  const pipe = found.value
  if (temperature < 0 || temperature > 100)
    return fail(
      'range',
      'temperature',
      `temperature: ${temperatures(0, 100)} is accepted; at ${degrees(temperature)} water is ${temperature < 0 ? `ice: ${w.lag} it or drain it` : 'steam'}.`,
    )
  const bore = question.wall === undefined ? pipe.bore : pipe.od - 2 * question.wall
  if (bore === null || bore <= 0)
    return fail('impossible', 'pipe', `pipe: no bore is held for ${pipe.label}. Measure its wall and give it.`)
  const narrow = (question.fittings ?? []).findIndex(
    ({ fitting, bore: own }) => fitting === 'insert' && (own ?? bore - 2 * INSERT_WALL_MM.value) <= 0,
  )
  if (narrow >= 0)
    return fail(
      'impossible',
      `fittings.${narrow}.bore`,
      `fittings.${narrow}.bore: the insert would have no bore left. Measure it and give it.`,
    )
  const loss = lossIn(question, pipe, bore)
  const isMinimum = isMinimumWall(pipe) && question.wall === undefined && pipe.wall !== null
  const meanBore = isMinimum ? pipe.od - 2 * MEAN_WALL * pipe.wall! : bore
  const worst = isMinimum ? lossIn(question, pipe, meanBore) : loss
  const { limit, source } = velocityLimit({ pipe, temperature, region, service: question.service })
  const standing = standingIn(question, pipe, bore)
  const isOver = loss.velocity > limit
  const caution = (when: boolean, code: FlowCode, text: string): Note[] => (when ? [{ code, text }] : [])
  return ok({
    velocity: loss.velocity,
    velocityHi: worst.velocity,
    drop: loss.bar,
    dropHi: worst.bar,
    boreUsed: bore,
    insert: loss.insert,
    limit,
    limitSource: source,
    verdict: isOver ? 'over' : 'within',
    reynolds: loss.reynolds,
    friction: loss.friction,
    working: [
      {
        text: `flow ${flowWords(flow)} through bore ${diameter(bore)}`,
        op: '=',
        value: loss.velocity,
        unit: 'm/s',
        source: question.wall === undefined ? pipe.standard : 'measured',
      },
      {
        text: `water at ${degrees(temperature)}: density`,
        op: '=',
        value: density(temperature),
        unit: 'kg/m3',
        source: 'Kell 1975',
      },
      {
        text: 'viscosity',
        op: '=',
        value: viscosity(temperature) * 1000,
        unit: 'mPa s',
        source: 'Vogel form, within 2.5 %',
      },
      { text: 'Reynolds number', op: '=', value: loss.reynolds, unit: '' },
      {
        text:
          loss.reynolds < LAMINAR
            ? 'friction factor, laminar 64/Re'
            : `friction factor, Colebrook-White, roughness ${roughnessWords(roughnessOf(pipe))}`,
        op: '=',
        value: loss.friction,
        unit: '',
        source: loss.reynolds < LAMINAR ? 'closed form' : 'roughness ours',
      },
      {
        text: `straight pipe, ${run(question.length)}`,
        op: '=',
        value: loss.straight,
        unit: 'bar',
        source: 'Darcy-Weisbach',
      },
      ...loss.lines,
      { text: 'pressure lost', op: '=', value: loss.bar, unit: 'bar' },
      { text: 'limit of velocity', op: '=', value: limit, unit: 'm/s', source },
    ],
    cautions: [
      ...caution(flow === 0, 'no-flow', 'Nothing flows, so nothing is lost. Enter the flow its outlets take.'),
      ...caution(
        isOver,
        'velocity',
        `${speed(loss.velocity, [limit])} is over ${speed(limit, [loss.velocity])}: noise, wear at bends. A size up, or less flow.`,
      ),
      ...caution(standing !== null, 'dead-leg', standing ?? ''),
      ...caution(
        loss.insert !== null && loss.insert.velocity > limit,
        'insert',
        loss.insert
          ? `${speed(loss.insert.velocity)} in an insert of bore ${diameter(loss.insert.bore)}: it throttles. An expansion or press fitting of full bore, or a size up.`
          : '',
      ),
      ...caution(
        loss.insert !== null &&
          !(question.fittings ?? []).some(({ fitting, bore: own }) => fitting === 'insert' && own !== undefined),
        'insert-bore',
        `An insert's bore is not held: the tube's less two walls of ${diameter(INSERT_WALL_MM.value)} (ours). Measure it and it wins.`,
      ),
      ...caution(pipe.series === 'cu-m' && loss.velocity > 1.5, 'thin-wall', FLOW_RULES['thin-wall'].because),
      ...caution(
        isMinimum,
        'minimum-wall',
        `The wall is the least its standard allows: by the mean bore ${diameter(meanBore)} it loses ${pressure(worst.bar)}.`,
      ),
    ],
  })
}
