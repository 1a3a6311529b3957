// npm run bench:line: a run typed, laid and worked out, by its number of legs; ratios to the shortest.
import { surveyLine } from '#core/line'
import { draftRun, type RunHead } from '#core/run'

const HEAD: RunHead = {
  region: 'gb',
  pipe: 'cu-en-x-22',
  method: 'solder',
  corners: 'fittings',
  start: 'free',
  walls: [],
}
const PATTERN = ['e 300', 'u 200', 'n 250', 'e 260 offset s 60 @ 45', 'd 150']
const ROUNDS = 15

function time(work: () => unknown): number {
  const times = Array.from({ length: ROUNDS }, () => {
    const from = performance.now()
    work()
    return performance.now() - from
  }).sort((a, b) => a - b)
  return times[Math.floor(ROUNDS / 2)]!
}

const rows = [25, 50, 100, 200, 500].map((count) => {
  const legs = Array.from({ length: count }, (_, i) => PATTERN[i % PATTERN.length]!)
  const draft = draftRun(HEAD, legs, { bender: { radius: 77 } })
  return {
    count,
    read: time(() => draftRun(HEAD, legs, { bender: { radius: 77 } })),
    work: time(() => surveyLine(draft.question!)),
  }
})
const first = rows[0]!
console.log('legs  read ms  work out ms  both a leg, against 25 legs')
for (const { count, read, work } of rows)
  console.log(
    `${String(count).padStart(4)} ${read.toFixed(2).padStart(8)} ${work.toFixed(2).padStart(12)} ${((read + work) / count / ((first.read + first.work) / first.count)).toFixed(2).padStart(8)}`,
  )
