// npm run bench:cut: trade-like jobs and shuffled triplets of a known optimum, against first fit decreasing: bars, share proven, time. SEED=n for other jobs.
import { planCuts, type CutQuestion } from '#core/cutting'
import { randomFrom } from './random'

const SEED = Number(process.env.SEED ?? 20261126)
const random = randomFrom(SEED)
const between = (least: number, most: number) => least + Math.floor(random() * (most - least + 1))
const pieces = (lengths: readonly number[]) => lengths.map((length, i) => ({ id: `p${i + 1}`, length, quantity: 1 }))

/** Pieces as a house has them: short stubs, risers, runs; three lengths on the van, some offcuts on the rack, a saw or a wheel. */
function job(count: number): CutQuestion {
  const lengths = Array.from({ length: count }, () => (random() < 0.35 ? between(80, 320) : random() < 0.7 ? between(320, 1200) : between(1200, 2600)))
  const rack = Array.from({ length: between(0, 4) }, (_, i) => ({ id: `rack ${i + 1}`, length: between(400, 1800), quantity: 1, offcut: true }))
  return { stock: [{ id: '3 m', length: 3000 }, ...(random() < 0.4 ? [{ id: '5 m', length: 5000 }] : []), ...rack], kerf: random() < 0.5 ? 0 : 2, keep: 400, pieces: pieces(lengths) }
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
  const offcuts = stock.filter(({ offcut }) => offcut).map(({ length }) => length + kerf).sort((a, b) => a - b)
  const longest = Math.max(...stock.filter(({ offcut }) => !offcut).map(({ length }) => length)) + kerf
  const bars: number[] = [...offcuts]
  for (const { length } of [...all].sort((a, b) => b.length - a.length)) {
    const at = bars.findIndex(rest => length + kerf <= rest + 1e-6)
    if (at >= 0) bars[at]! -= length + kerf
    else bars.push(longest - length - kerf)
  }
  return bars.length - offcuts.length
}

console.log(`SEED=${SEED}\nkind, pieces   jobs  proven  bars  FFD bars  ratio   median ms   worst ms`)
function run(name: string, questions: readonly CutQuestion[], optimum?: number) {
  const times: number[] = []
  let [proven, used, fitted] = [0, 0, 0]
  for (const question of questions) {
    const from = performance.now()
    const answer = planCuts(question)
    times.push(performance.now() - from)
    if (!answer.ok) throw new Error(answer.error.message)
    if (answer.value.optimal) proven += 1
    if (optimum !== undefined && answer.value.used < optimum) throw new Error('better than the optimum: the plan is wrong')
    used += answer.value.used
    fitted += firstFit(question)
  }
  times.sort((a, b) => a - b)
  console.log(`${name.padEnd(14)} ${String(questions.length).padStart(4)} ${`${Math.round(100 * proven / questions.length)} %`.padStart(7)} ${String(used).padStart(5)} ${String(fitted).padStart(9)} ${(used / fitted).toFixed(3).padStart(6)} ${times[Math.floor(times.length / 2)]!.toFixed(0).padStart(11)} ${times.at(-1)!.toFixed(0).padStart(10)}`)
}
for (const [count, jobs] of [[10, 40], [30, 40], [60, 40], [120, 15], [300, 6]] as const) run(`job, ${count}`, Array.from({ length: jobs }, () => job(count)))
for (const [count, jobs] of [[60, 6], [120, 4], [249, 2]] as const) run(`triplets, ${count}`, Array.from({ length: jobs }, () => triplets(count)), count / 3)
