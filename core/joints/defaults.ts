import { getPipe, type EndFacts } from '#core/catalogue'
import type { Conditions, PipeEnd, Policy, Service, Situation, Tube, WaysQuestion } from './types'

/** Water temperature assumed for a service, degC (contract). */
const TEMPERATURE: Readonly<Record<Service, number>> = { cold: 20, hot: 60, recirculation: 65, heating: 75, buried: 20 }

/** Working pressure assumed, bar gauge (contract). */
const PRESSURE = 3

export function fillConditions(given: Partial<Conditions> = {}): Conditions {
  const service = given.service ?? 'cold'
  return {
    service,
    drinking: service !== 'heating',
    temperature: TEMPERATURE[service],
    pressure: PRESSURE,
    hidden: false,
    combustibles: false,
    wet: false,
    mustUndo: false,
    temporary: false,
    noFlame: false,
    play: null,
    room: 'open',
    ...given,
  }
}

export function fillPolicy(given: Partial<Policy> = {}): Policy {
  return {
    pushFitHidden: 'reachable-only',
    compressionHidden: 'temporary-only',
    typeMDrinking: 'refused',
    reuseLimit: 1,
    order: [],
    last: [],
    reasons: [],
    plasticSystem: '',
    years: {},
    orderReason: '',
    threadSeal: 'both',
    insertFittings: 'either',
    bendMark: 'hook',
    ...given,
  }
}

export const fillSituation = ({
  region,
  conditions,
  policy,
  kit,
}: Pick<WaysQuestion, 'region' | 'conditions' | 'policy' | 'kit'>): Situation => ({
  region,
  conditions: fillConditions(conditions),
  policy: fillPolicy(policy),
  kit: kit ?? {},
})

/** What is known of an end, out of a question that has it beside other things. */
export const factsIn = ({
  temper,
  pexType,
  barrier,
  chlorine,
  class: printed,
  listing,
  surface,
  traced,
  madeFor,
}: EndFacts): EndFacts => ({ temper, pexType, barrier, chlorine, class: printed, listing, surface, traced, madeFor })

/** Series sold in one temper only. */
const ONE_TEMPER: Readonly<Partial<Record<string, 'hard' | 'soft'>>> = { 'cu-m': 'hard', 'cu-od': 'soft' }

/** Whether tube of a series is sold in one temper only, so that it need not be asked. */
export const hasOneTemper = (series: string): boolean => series in ONE_TEMPER

/**
 * A tube end as the rules see it. What is not said of temper and PEX letter counts as hard and b (contract), or, where
 * `unsaid` is so, as unknown: a joint that was found says nothing of itself. A measured wall wins over the catalogue's.
 */
export function toTube({ pipe: id, wall, ...facts }: PipeEnd, unsaid: 'assumed' | 'unknown' = 'assumed'): Tube {
  const pipe = getPipe(id)
  const [temper, pexType] = unsaid === 'unknown' ? (['unknown', 'unknown'] as const) : (['hard', 'b'] as const)
  return {
    ...facts,
    pipe,
    wall: wall ?? pipe.wall,
    temper: ONE_TEMPER[pipe.series] ?? facts.temper ?? temper,
    pexType: facts.pexType ?? pexType,
    barrier: pipe.family === 'multilayer' ? true : facts.barrier,
  }
}
