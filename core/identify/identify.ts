import { fail, ok, type Result } from '#core/base'
import { PIPES, type Pipe } from '#core/catalogue'
import { formatDecimal, MM_PER_INCH } from '#core/units'
import { diameter, lengths, spoken } from '#core/speech'
import { cautionsFor } from './cautions'
import { findContradictions } from './contradictions'
import { factsOf, toldBy, type ToldFact } from './facts'
import { likelihood } from './likelihood'
import { entropy, rankNext, type Standing } from './next-check'
import {
  DIAMETER_RANGE,
  regionWeight,
  SERIES_WEIGHT,
  sizeWeight,
  UNKNOWN_PRIOR,
  yearWeight,
} from './likelihood-figures'
import { reasonsFor } from './reasons'
import type { Candidate, Check, IdentifyAnswer, IdentifyQuestion } from './types'

/** Candidates under this weight are folded into `unknown` (contract). */
const LEAST_WEIGHT = 0.0001
/**
 * Two lengths no pipe has together: a wall or bore that does not go into an outside diameter, a bore and two walls that
 * leave nothing of it.
 */
function checkTogether(checks: readonly Check[]): Result<null> {
  const lengths = checks.flatMap((check, i) =>
    check.check === 'outside-diameter' || check.check === 'wall' || check.check === 'bore'
      ? [{ name: check.check, mm: check.value, i }]
      : [],
  )
  for (const { name, mm, i } of lengths) {
    if (name === 'outside-diameter') continue
    const outside = lengths.find(
      (other) => other.name === 'outside-diameter' && mm >= (name === 'wall' ? other.mm / 2 : other.mm),
    )
    if (outside)
      return fail(
        'impossible',
        `checks.${i}.value`,
        `checks.${i}.value: a ${name} of ${diameter(mm)} does not go into ${diameter(outside.mm)} outside. One of the two is misread.`,
      )
  }
  return ok(null)
}

function checkLengths(checks: readonly Check[]): Result<null> {
  for (const [i, check] of checks.entries()) {
    if (check.check !== 'outside-diameter' || (check.value >= DIAMETER_RANGE.lo && check.value <= DIAMETER_RANGE.hi))
      continue
    return fail(
      'range',
      `checks.${i}.value`,
      `checks.${i}.value: an outside diameter is ${lengths(DIAMETER_RANGE.lo, DIAMETER_RANGE.hi)}. ${formatDecimal(check.value, 3)} read as inches is ${diameter(check.value * MM_PER_INCH)}.`,
    )
  }
  return checkTogether(checks)
}

/** Every pipe, and none of the catalogue's, before and after the checks. */
interface Weighed {
  before: Standing[]
  after: Standing[]
}

function weigh({ checks, region, year }: IdentifyQuestion): Weighed {
  const priors = PIPES.map(
    (pipe) =>
      (SERIES_WEIGHT[pipe.series] ?? 0.1) *
      sizeWeight(pipe) *
      regionWeight(pipe, region) *
      (year === undefined ? 1 : yearWeight(pipe, year)),
  )
  const total = priors.reduce((sum, prior) => sum + prior, 0)
  const before: Standing[] = [
    ...PIPES.map((pipe, i) => ({ pipe, weight: ((1 - UNKNOWN_PRIOR) * priors[i]!) / total })),
    { pipe: null, weight: UNKNOWN_PRIOR },
  ]
  // Likelihoods are multiplied as logarithms: a far diameter would otherwise underflow to nothing at all.
  const logs = before.map(({ pipe, weight }) =>
    checks.reduce((sum, check) => sum + Math.log(Math.max(likelihood(check, pipe), 1e-300)), Math.log(weight)),
  )
  const highest = Math.max(...logs)
  const raw = logs.map((log) => Math.exp(log - highest))
  const sum = raw.reduce((a, b) => a + b, 0)
  return { before, after: before.map(({ pipe }, i) => ({ pipe, weight: raw[i]! / sum })) }
}

/**
 * What stands over a pipe and what is known of its end, with the check that told each, by the checks made at it: as
 * `identifyPipe` says it, without the candidates and what to check next. null where two lengths do not go together.
 */
export const factsOfChecks = spoken(factsFound)
function factsFound(
  question: IdentifyQuestion,
): (Pick<IdentifyAnswer, 'cautions' | 'facts'> & { told: ToldFact[] }) | null {
  if (!checkLengths(question.checks).ok) return null
  const { after } = weigh(question)
  const cautions = cautionsFor(after, question.checks)
  const told = toldBy(after, question.checks, cautions)
  return { cautions, told, facts: factsOf(told) }
}

/**
 * What the pipe may be, from any checks made at it in any order. Candidates by falling probability then id; they and
 * `unknown` sum to 1. Priors, instrument errors and shares are ours (`likelihood-figures.ts`); diameters are the catalogue's.
 * Checks that contradict each other leave more to `unknown` and are named in `contradictions`. Issues: `range` at an
 * outside diameter below 4 or above 120 mm; `impossible` at a wall or bore that does not go into it.
 */
export const identifyPipe = spoken(identify)
function identify(question: IdentifyQuestion): Result<IdentifyAnswer> {
  const { checks } = question
  const lengths = checkLengths(checks)
  if (!lengths.ok) return lengths

  const { before: rows, after: standing } = weigh(question)

  const overall = checks.map((check) =>
    rows.reduce((mean, { pipe, weight }) => mean + weight * likelihood(check, pipe), 0),
  )
  const candidates: Candidate[] = standing
    .filter((row): row is Standing & { pipe: Pipe } => row.pipe !== null && row.weight >= LEAST_WEIGHT)
    .sort((a, b) => b.weight - a.weight || (a.pipe.id < b.pipe.id ? -1 : 1))
    .map(({ pipe, weight }) => ({
      pipe: pipe.id,
      label: pipe.label,
      probability: weight,
      ...reasonsFor(pipe, checks, overall),
    }))
  const unknown = 1 - candidates.reduce((mass, { probability }) => mass + probability, 0)
  const cautions = cautionsFor(standing, checks)
  return ok({
    candidates,
    unknown,
    entropy: entropy(standing),
    next: rankNext(standing, checks, question.can),
    contradictions: findContradictions(rows, checks),
    cautions,
    facts: factsOf(toldBy(standing, checks, cautions)),
  })
}
