import type { Note } from '#core/base'
import type { Pipe } from '#core/catalogue'
import type { Standing } from './next-check'
import type { Check } from './types'

/** A caution stands when what it belongs to weighs this much (contract). */
const CAUTION_WEIGHT = 0.05

const METAL = new Set(['copper', 'steel', 'stainless', 'lead'])

/** What to look out for at a pipe that may be each of these, before it is scratched or cut. */
export function cautionsFor(standing: readonly Standing[], checks: readonly Check[]): Note[] {
  const weigh = (test: (pipe: Pipe) => boolean) => standing.reduce((sum, { pipe, weight }) => sum + (pipe && test(pipe) ? weight : 0), 0) >= CAUTION_WEIGHT
  const saw = (name: string, value: unknown) => checks.some(check => check.check === name && 'value' in check && check.value === value)
  const traced = saw('traced', 'water')
  const cautions: Note[] = []
  if (!traced && (saw('colour', 'yellow') || weigh(pipe => METAL.has(pipe.family) || pipe.family === 'multilayer'))) {
    cautions.push({ code: 'gas', text: 'Could it be gas? Pipe of this kind carries gas too. Trace it to a water outlet or heater before you scratch or cut it.' })
  }
  if (weigh(pipe => METAL.has(pipe.family))) cautions.push({ code: 'earth-path', text: 'Could it be an earth path? Look for a green and yellow clamp. Bridge a metal line before you part it.' })
  if (weigh(pipe => pipe.family === 'lead')) cautions.push({ code: 'lead', text: 'It may be lead. Do not cut, scrape or joint it; replace the run and tell the occupier.' })
  if (weigh(pipe => pipe.series === 'pb-cts')) cautions.push({ code: 'polybutylene', text: 'It may be the polybutylene that failed. Advise replacement; do not join to it.' })
  if (saw('flex', 'soft') && weigh(pipe => pipe.family === 'copper')) cautions.push({ code: 'soft-copper', text: 'Soft copper goes out of round. Re-round the end; no push-fit unless that fitting lists it.' })
  if (saw('lagging', 'hard-white')) cautions.push({ code: 'asbestos', text: 'Hard white lagging may be asbestos. Leave it alone and have it tested.' })
  if (saw('warm', true)) cautions.push({ code: 'hot', text: 'The pipe is warm: it is live. Shut it off and let it cool before you open it.' })
  const unknown = standing.find(({ pipe }) => pipe === null)?.weight ?? 0
  if (unknown > 0.5) cautions.push({ code: 'not-supply', text: 'Nothing in the catalogue fits. It may not be supply pipe at all.' })
  return cautions
}
