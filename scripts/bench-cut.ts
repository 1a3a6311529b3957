// npm run bench:cut: trade-like jobs and shuffled triplets of a known optimum, against first fit decreasing and an
// exact solver
// library: bars, share proven, time. SEED=n for other jobs, LIBRARY=n jobs of each kind for the library, LIMIT=n its
// seconds for each.
import { planCuts, type CutQuestion } from '#core/cutting'
import { askLibrary, loadLibrary } from './cut-library'
import { randomFrom } from './random'
import { wrongWithPlan } from '../tests/cuts'

const SEED = Number(process.env.SEED ?? 20261126)
const LIBRARY = Number(process.env.LIBRARY ?? 6)
const LIMIT = Number(process.env.LIMIT ?? 10)
const random = randomFrom(SEED)
const between = (least: number, most: number) => least + Math.floor(random() * (most - least + 1))
const pieces = (lengths: readonly number[]) => lengths.map((length, i) => ({ id: `p${i + 1}`, length, quantity: 1 }))

/**
 * Pieces as a house has them: short stubs, risers, runs; three lengths on the van, some offcuts on the rack, a saw or a
 * wheel.
 */
function job(count: number): CutQuestion {
  const lengths = Array.from({ length: count }, () => {
    if (random() < 0.35) return between(80, 320)
    return random() < 0.7 ? between(320, 1200) : between(1200, 2600)
  })
  const rack = Array.from({ length: between(0, 4) }, (_, i) => ({
    id: `rack ${i + 1}`,
    length: between(400, 1800),
    quantity: 1,
    offcut: true,
  }))
  return {
    stock: [{ id: '3 m', length: 3000 }, ...(random() < 0.4 ? [{ id: '5 m', length: 5000 }] : []), ...rack],
    kerf: random() < 0.5 ? 0 : 2,
    keep: 400,
    pieces: pieces(lengths),
  }
}

/** Three pieces to each bar without a rest, shuffled: the optimum is their number. */
function triplets(count: number): CutQuestion {
  const lengths = Array.from({ length: count / 3 }, () => {
    const a = between(380, 490)
    const b = between(250, Math.floor((1000 - a) / 2))
    return [a, b, 1000 - a - b]
  }).flat()
  for (let i = lengths.length - 1; i > 0; i--) {
    const k = between(0, i)
    ;[lengths[i], lengths[k]] = [lengths[k]!, lengths[i]!]
  }
  return { stock: [{ id: 'bar', length: 1000 }], kerf: 0, pieces: pieces(lengths), seconds: 120 }
}

/** New bars of first fit decreasing, written apart: offcuts shortest first, then the longest stock. */
function firstFit({ stock, kerf, pieces: all }: CutQuestion): number {
  const offcuts = stock
    .filter(({ offcut }) => offcut)
    .map(({ length }) => length + kerf)
    .sort((a, b) => a - b)
  const longest = Math.max(...stock.filter(({ offcut }) => !offcut).map(({ length }) => length)) + kerf
  const bars: number[] = [...offcuts]
  for (const { length } of [...all].sort((a, b) => b.length - a.length)) {
    const at = bars.findIndex((rest) => length + kerf <= rest + 1e-6)
    if (at >= 0) bars[at]! -= length + kerf
    else bars.push(longest - length - kerf)
  }
  return bars.length - offcuts.length
}

interface Ours {
  question: CutQuestion
  used: number
  isProved: boolean
  ms: number
}
const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? Number.NaN
const cell = (text: string | number, width: number) => String(text).padStart(width)
const percent = (part: number, of: number) => `${Math.round((100 * part) / of)} %`

console.log(
  `SEED=${SEED} LIBRARY=${LIBRARY} LIMIT=${LIMIT}: an exact solver library gets the first ${LIBRARY} of each kind, ${LIMIT} s each.`,
)
console.log('kind, pieces        jobs   proven    bars  FFD bars   ratio  median ms  worst ms')
const library = LIBRARY > 0 ? await loadLibrary() : null
function run(name: string, questions: readonly CutQuestion[], optimum?: number) {
  const ours = questions.map((question): Ours => {
    const from = performance.now()
    const answer = planCuts(question)
    const ms = performance.now() - from
    if (!answer.ok) throw new Error(answer.error.message)
    const wrong = wrongWithPlan(question, answer.value)
    if (wrong.length > 0) throw new Error(wrong[0])
    if (optimum !== undefined && answer.value.used < optimum)
      throw new Error('better than the optimum: the plan is wrong')
    return { question, used: answer.value.used, isProved: answer.value.optimal, ms }
  })
  const [used, fitted] = [
    ours.reduce((sum, one) => sum + one.used, 0),
    questions.reduce((sum, question) => sum + firstFit(question), 0),
  ]
  console.log(
    `${name.padEnd(18)} ${cell(ours.length, 5)} ${cell(percent(ours.filter(({ isProved }) => isProved).length, ours.length), 8)} ${cell(used, 7)} ${cell(fitted, 9)} ${cell((used / fitted).toFixed(3), 7)} ${cell(median(ours.map(({ ms }) => ms)).toFixed(1), 10)} ${cell(Math.max(...ours.map(({ ms }) => ms)).toFixed(0), 9)}`,
  )
  const some = ours.slice(0, LIBRARY)
  for (const way of library && some.length > 0 ? (['assignment', 'arc-flow'] as const) : []) {
    const pairs = some.flatMap((own) => {
      const theirs = askLibrary(library!, way, own.question, firstFit(own.question) + 1, LIMIT)
      return theirs ? [{ own, theirs }] : []
    })
    if (pairs.length === 0) {
      console.log(`  library, ${way}: too large to be written down so`)
      continue
    }
    for (const { own, theirs } of pairs)
      if (own.isProved && theirs.isProved && own.used !== theirs.used)
        throw new Error(`two proofs disagree: ${own.used} and ${theirs.used}`)
    const least = (one: readonly { ms: number }[]) => one.reduce((sum, { ms }) => sum + ms, 0)
    const [bars, ownBars] = [
      pairs.reduce((sum, { theirs }) => sum + theirs.used, 0),
      pairs.reduce((sum, { own }) => sum + own.used, 0),
    ]
    console.log(
      `  library, ${way.padEnd(11)} ${cell(pairs.length, 3)} ${cell(percent(pairs.filter(({ theirs }) => theirs.isProved).length, pairs.length), 8)} ${cell(Number.isFinite(bars) ? bars : 'none', 7)}   ours ${cell(ownBars, 3)}; time to ours ${(least(pairs.map(({ theirs }) => theirs)) / least(pairs.map(({ own }) => own))).toFixed(1)} to 1, median ${median(pairs.map(({ theirs }) => theirs.ms)).toFixed(0)} ms`,
    )
  }
}
for (const [count, jobs] of [
  [10, 40],
  [30, 40],
  [60, 40],
  [120, 15],
  [300, 6],
] as const)
  run(
    `job, ${count}`,
    Array.from({ length: jobs }, () => job(count)),
  )
for (const [count, jobs] of [
  [60, 6],
  [120, 4],
  [249, 2],
] as const)
  run(
    `triplets, ${count}`,
    Array.from({ length: jobs }, () => triplets(count)),
    count / 3,
  )
