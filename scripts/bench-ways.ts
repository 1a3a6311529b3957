// npm run bench:ways: every pair of catalogue ends, how long the ways of one take, and how many have a way or a stated
// reason.
import { PIPES } from '#core/catalogue'
import { findWays } from '#core/joints'

const EVERY = Number(process.env.EVERY ?? 1)
const pairs = PIPES.flatMap((a, i) => PIPES.slice(i).map((b) => [a, b] as const)).filter((_, i) => i % EVERY === 0)
for (const [a, b] of pairs.slice(0, 200)) findWays({ region: 'gb', a: { pipe: a.id }, b: { pipe: b.id } })

/** A slow one is asked again and its least time counts: a pause of the machine is not its own. */
const AGAIN_MS = 15
const times: number[] = []
let [withWay, withReason, silent, most] = [0, 0, 0, 0]
let slowest = ''
let worst = 0
for (const [a, b] of pairs) {
  const ask = () => {
    const from = performance.now()
    const answer = findWays({ region: a.regions[0]!, a: { pipe: a.id }, b: { pipe: b.id } })
    return { answer, took: performance.now() - from }
  }
  const first = ask()
  const { answer } = first
  const took = first.took < AGAIN_MS ? first.took : Math.min(first.took, ask().took, ask().took)
  times.push(took)
  if (took > worst) [worst, slowest] = [took, `${a.id} to ${b.id}`]
  if (!answer.ok) silent++
  else if (answer.value.ways.length > 0) {
    withWay++
    most = Math.max(most, answer.value.ways.length)
  } else if ((answer.value.instead?.length ?? 0) > 0) withReason++
  else silent++
}
times.sort((x, y) => x - y)
const at = (share: number) => times[Math.min(times.length - 1, Math.floor(times.length * share))]!.toFixed(2)
const share = (n: number) => `${((100 * n) / pairs.length).toFixed(1)} %`
console.log(`${pairs.length} pairs of ${PIPES.length} pipes`)
console.log(
  `a way: ${share(withWay)}; a stated reason instead: ${share(withReason)}; neither: ${share(silent)}; at most ${most} ways of one pair`,
)
console.log(
  `one pair, ms: median ${at(0.5)}, 95 in 100 ${at(0.95)}, 99 in 100 ${at(0.99)}, worst ${at(1)} (${slowest}); worst over median ${(worst / Number(at(0.5))).toFixed(0)}`,
)
