import type { Note } from '#core/base'
import { w } from '#core/speech'
import type { Pipe } from './types'

/*
 * Pipe that is left alone, or not cut until one thing is known of it. Said once, so that no part of the product says
 * otherwise: what a find may be, what a way, a card and a look at a joint say of it all come from here.
 */

export const HAZARD_CODES = ['gas', 'lead', 'polybutylene'] as const
export type HazardCode = (typeof HAZARD_CODES)[number]

export interface Hazard {
  /** What is said of a pipe that may be it. */
  text: string
  /** Why nothing is joined to it; null where it may be, once it is answered. */
  refusal: string | null
  /** What is done about a joint that is there, or instead of one. */
  remedy: string
  when: string
  source: string
}

export const HAZARDS: Readonly<Record<HazardCode, Hazard>> = {
  gas: {
    text: 'Could it be gas? Pipe of this kind carries gas too. Trace it to a water outlet or heater before you scratch, loosen or cut it.',
    refusal: null,
    remedy: 'Do not loosen or cut it. Trace it to a water outlet or heater first; gas is for a registered person only.',
    when: 'nobody has traced the pipe to a water outlet yet',
    source: 'BS 6891, GSIUR 1998; IFGC, NFPA 54',
  },
  lead: {
    text: `It may be lead. Do not cut, scrape or joint it; replace the run and tell the ${w.occupier} and the supplier.`,
    refusal:
      'Lead is not joined: replace the run back to sound pipe. A leak at night is stopped with a lead coupling made for it, and booked.',
    remedy: `Do not disturb it. Replace the run back to sound pipe, flush, and tell the ${w.occupier} and the supplier. A leak at night is stopped with a lead coupling made for it, and booked.`,
    when: 'the pipe is lead',
    source: 'Water Supply (Water Fittings) Regulations 1999; SDWA 1417',
  },
  polybutylene: {
    text: 'It may be the polybutylene that failed. Advise replacement; do not join to it.',
    refusal: 'This polybutylene failed: do not join to it. Replace it back to sound pipe.',
    remedy: 'Do not join to it. Advise replacing it back to sound pipe.',
    when: 'the pipe is the US polybutylene that failed',
    source: 'ASTM D3309',
  },
}

/** The hazard a pipe is by itself, whoever traced it; null for most. */
export function hazardOf(pipe: Pick<Pipe, 'family' | 'series'>): 'lead' | 'polybutylene' | null {
  if (pipe.family === 'lead') return 'lead'
  return pipe.series === 'pb-cts' ? 'polybutylene' : null
}

export const hazardNote = (code: HazardCode): Note => ({ code, text: HAZARDS[code].text })
