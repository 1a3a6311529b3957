import { getPipe } from '#core/catalogue'
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
    threadSeal: 'both',
    insertFittings: 'either',
    bendMark: 'hook',
    ...given,
  }
}

export const fillSituation = ({ region, conditions, policy, kit }: Pick<WaysQuestion, 'region' | 'conditions' | 'policy' | 'kit'>): Situation => ({
  region, conditions: fillConditions(conditions), policy: fillPolicy(policy), kit: kit ?? {},
})

/** No temper counts as hard, no PEX letter as b (contract). A measured wall wins over the catalogue's. */
export function toTube(end: PipeEnd): Tube {
  const pipe = getPipe(end.pipe)
  return { pipe, wall: end.wall ?? pipe.wall, temper: end.temper ?? 'hard', pexType: end.pexType ?? 'b', barrier: pipe.family === 'multilayer' ? true : end.barrier }
}
