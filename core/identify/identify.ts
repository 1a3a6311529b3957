import { fail, ok, type Note, type Result } from '#core/base'
import { PIPES, type Pipe } from '#core/catalogue'
import { formatDecimal, MM_PER_INCH } from '#core/units'
import { likelihood } from './likelihood'
import { entropy, rankNext, type Standing } from './next-check'
import { DIAMETER_RANGE, regionWeight, SERIES_WEIGHT, sizeWeight, UNKNOWN_PRIOR, yearWeight } from './ours'
import { reasonsFor } from './reasons'
import type { Candidate, Check, IdentifyAnswer, IdentifyQuestion } from './types'

/** Candidates under this weight are folded into `unknown` (contract). */
const LEAST_WEIGHT = 0.0001
/** A caution stands when what it belongs to weighs this much (contract). */
const CAUTION_WEIGHT = 0.05

const METAL = new Set(['copper', 'steel', 'stainless', 'lead'])

function cautionsFor(standing: readonly Standing[], checks: readonly Check[]): Note[] {
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

function checkLengths(checks: readonly Check[]): Result<null> {
  for (const [i, check] of checks.entries()) {
    if (check.check !== 'outside-diameter' || (check.value >= DIAMETER_RANGE.lo && check.value <= DIAMETER_RANGE.hi)) continue
    return fail('range', `checks.${i}.value`, `checks.${i}.value: an outside diameter is between 4 and 120 mm. ${formatDecimal(check.value, 3)} read as inches is ${formatDecimal(check.value * MM_PER_INCH, 2)} mm.`)
  }
  return ok(null)
}

/**
 * What the pipe may be, from any checks made at it in any order. Candidates by falling probability then id; they and
 * `unknown` sum to 1. Priors, instrument errors and shares are ours (`ours.ts`); diameters are the catalogue's.
 * Issue `range` at an outside diameter below 4 or above 120 mm.
 */
export function identifyPipe(question: IdentifyQuestion): Result<IdentifyAnswer> {
  const { checks, region, year } = question
  const lengths = checkLengths(checks)
  if (!lengths.ok) return lengths

  const priors = PIPES.map(pipe => (SERIES_WEIGHT[pipe.series] ?? 0.1) * sizeWeight(pipe) * regionWeight(pipe, region) * (year === undefined ? 1 : yearWeight(pipe, year)))
  const total = priors.reduce((sum, prior) => sum + prior, 0)
  const rows: Standing[] = [
    ...PIPES.map((pipe, i) => ({ pipe, weight: (1 - UNKNOWN_PRIOR) * priors[i]! / total })),
    { pipe: null, weight: UNKNOWN_PRIOR },
  ]
  // Likelihoods are multiplied as logarithms: a far diameter would otherwise underflow to nothing at all.
  const logs = rows.map(({ pipe, weight }) => checks.reduce((sum, check) => sum + Math.log(Math.max(likelihood(check, pipe), 1e-300)), Math.log(weight)))
  const highest = Math.max(...logs)
  const raw = logs.map(log => Math.exp(log - highest))
  const sum = raw.reduce((a, b) => a + b, 0)
  const standing: Standing[] = rows.map(({ pipe }, i) => ({ pipe, weight: raw[i]! / sum }))

  const overall = checks.map(check => rows.reduce((mean, { pipe, weight }) => mean + weight * likelihood(check, pipe), 0))
  const candidates: Candidate[] = standing
    .filter((row): row is Standing & { pipe: Pipe } => row.pipe !== null && row.weight >= LEAST_WEIGHT)
    .sort((a, b) => b.weight - a.weight || (a.pipe.id < b.pipe.id ? -1 : 1))
    .map(({ pipe, weight }) => ({ pipe: pipe.id, label: pipe.label, probability: weight, ...reasonsFor(pipe, checks, overall) }))
  const unknown = 1 - candidates.reduce((mass, { probability }) => mass + probability, 0)
  return ok({ candidates, unknown, entropy: entropy(standing), next: rankNext(standing, checks, question.can), cautions: cautionsFor(standing, checks) })
}
