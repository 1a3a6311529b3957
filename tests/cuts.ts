import { randomUUID } from 'node:crypto'
import { cutQuestion, planCuts, takeAnswer, type BenchPlan, type CutAnswer, type CutQuestion } from '#core/cutting'
import { piecesFor, rackFor, readSheet, type JobRecord } from '#core/record'

/** The plan a tablet would make of a sheet that the server holds. */
export function planAsTablet(job: JobRecord, id: string): BenchPlan {
  const sheet = job.cuts.find((cut) => cut.id === id)!
  const read = readSheet(job, sheet)
  if (!read.ok) throw new Error(read.error.message)
  const { stock, ...by } = read.value
  const { pieces } = piecesFor(job, sheet, [job])
  const answer = planCuts(cutQuestion(pieces, stock, rackFor(job, sheet), sheet.plan, sheet.done, by))
  if (!answer.ok) throw new Error(answer.error.message)
  return takeAnswer(randomUUID(), answer.value, pieces, stock, rackFor(job, sheet), sheet.plan, sheet.done, by)
}

/* Checks a plan of cuts by nothing but the words of the question; shares no line with the search. */

/** What is wrong with a plan, in words; empty where it holds. */
export function wrongWithPlan(
  { stock, kerf, pieces, keep = Infinity }: CutQuestion,
  { bars, used, kerfTotal, waste, bound, optimal }: CutAnswer,
): string[] {
  const wrong: string[] = []
  const lengths = new Map(pieces.map(({ id, length }) => [id, length]))
  const wanted = new Map<string, number>()
  for (const { id, quantity } of pieces) wanted.set(id, (wanted.get(id) ?? 0) + quantity)
  const taken = new Map<string, number>()
  let [kerfs, rests, news] = [0, 0, 0]
  for (const [i, bar] of bars.entries()) {
    const own = stock.find(({ id }) => id === bar.stock)
    if (!own) {
      wrong.push(`bar ${i} is of no stock`)
      continue
    }
    taken.set(own.id, (taken.get(own.id) ?? 0) + 1)
    if (!own.offcut) news += 1
    const sum = bar.pieces.reduce((all, id) => all + (lengths.get(id) ?? Number.NaN), 0)
    if (!(sum + (bar.pieces.length - 1) * kerf <= own.length + 1e-6)) wrong.push(`bar ${i} is overfull`)
    const left = Math.max(0, own.length - sum - bar.pieces.length * kerf)
    if (Math.abs(left - bar.left) > 1e-6) wrong.push(`bar ${i} says ${bar.left} left of ${left}`)
    const order = bar.pieces.map((id) => lengths.get(id)!)
    if (order.some((length, k) => k > 0 && length > order[k - 1]!)) wrong.push(`bar ${i} is not longest first`)
    for (const id of bar.pieces) wanted.set(id, (wanted.get(id) ?? 0) - 1)
    kerfs += own.length - sum - left
    if (left < keep) rests += left
  }
  for (const [id, count] of wanted) if (count !== 0) wrong.push(`piece ${id} is ${count} short`)
  for (const { id, quantity } of stock)
    if (quantity !== undefined && (taken.get(id) ?? 0) > quantity) wrong.push(`more of ${id} than there is`)
  if (news !== used) wrong.push(`${used} said, ${news} new bars`)
  if (Math.abs(kerfs - kerfTotal) > 1e-4) wrong.push(`kerf ${kerfTotal} said, ${kerfs} lost`)
  if (Math.abs(rests - waste) > 1e-4) wrong.push(`waste ${waste} said, ${rests} left`)
  if (bound > used) wrong.push(`bound ${bound} over ${used}`)
  if (optimal !== (bound === used)) wrong.push('optimal without its bound')
  return wrong
}
