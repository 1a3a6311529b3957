import { fail, ok, type Result } from '#core/base'
import { decimalsApart } from '#core/units'
import { run } from '#core/speech'
import { exhaust, isBetter, leftOf, MOST_EXHAUSTED, type Score } from './exhaust'
import { firstFit, fullestFirst, takes } from './fill'
import { relax, type Relaxed } from './master'
import {
  TOUCHING,
  type Bar,
  type CutAnswer,
  type CutPiece,
  type CutProgress,
  type CutQuestion,
  type Kind,
  type Pattern,
  type Size,
} from './types'

/** Pivots of the simplex for each second asked for, about: measured on a small machine. */
const PIVOTS_A_SECOND = 3000
const USUAL_SECONDS = 5
/** Most pieces of one plan, copies counted. */
const MOST_PIECES = 2000
/** Steps of a pivot grow with the square of the sizes: so many are worked in one go at most. */
const MOST_WORK = 1.5e9
/** Pivots after which the prices are good enough, for each size of piece. */
const PIVOTS_A_SIZE = 12

/** Pieces of one length are one size, longest first. */
function sizesOf(pieces: readonly CutPiece[], kerf: number): Size[] {
  const sizes: Size[] = []
  for (const { id, length, quantity } of [...pieces].sort((a, b) => b.length - a.length || (a.id < b.id ? -1 : 1))) {
    const same = sizes.find((size) => size.length === length)
    const copies = Array.from({ length: quantity }, () => id)
    if (same) {
      same.count += quantity
      same.ids.push(...copies)
    } else if (quantity > 0) sizes.push({ length, width: length + kerf, count: quantity, ids: copies })
  }
  return sizes
}

/**
 * Why the pieces cannot be cut from this stock at all, or null: a piece longer than all of it, or stock that runs out.
 */
function findImpossible({ pieces }: CutQuestion, kinds: readonly Kind[]): Result<null> {
  const longest = kinds.reduce((most, { length, most: count }) => (count > 0 ? Math.max(most, length) : most), 0)
  const count = pieces.reduce((sum, { quantity }) => sum + quantity, 0)
  if (count > MOST_PIECES)
    return fail(
      'too-many',
      'pieces',
      `pieces: ${count} pieces at once. At most ${MOST_PIECES} are accepted; plan them in parts.`,
    )
  for (const [i, { id, length, quantity }] of pieces.entries()) {
    if (quantity === 0 || length <= longest + TOUCHING) continue
    const say = decimalsApart([length, longest], 1)
    const [path, mm] = [`pieces.${i}.length`, say(length)]
    return fail(
      'impossible',
      path,
      `${path}: piece ${id} is ${mm} long; the longest stock is ${say(longest)}. ` +
        `Stock of ${mm} or more, or a coupling in the piece, would do.`,
    )
  }
  return ok(null)
}

const mostPivots = (sizes: readonly Size[]): number =>
  Math.min(PIVOTS_A_SIZE * sizes.length + 400, Math.ceil(MOST_WORK / (sizes.length + 10) ** 2))

/** New bars that the sheer length of the pieces asks for, once every offcut is filled to its end. */
function boundByLength(sizes: readonly Size[], kinds: readonly Kind[]): number {
  const total = sizes.reduce((sum, { width, count }) => sum + width * count, 0)
  const offcuts = kinds.reduce((sum, { room, most, isOffcut }) => (isOffcut ? sum + room * most : sum), 0)
  const longest = kinds.reduce((most, { room, isOffcut }) => (isOffcut ? most : Math.max(most, room)), 0)
  return longest === 0 || !Number.isFinite(offcuts)
    ? 0
    : Math.max(0, Math.ceil((total - offcuts) / (longest + TOUCHING) - TOUCHING))
}

/** Bars put on the smallest stock that takes them: offcuts first, so that fewest are new. */
function restock(plan: readonly Pattern[], sizes: readonly Size[], kinds: readonly Kind[]): Pattern[] | null {
  const free = kinds.map(({ most }) => most)
  const order = kinds
    .map((_, k) => k)
    .sort((a, b) => Number(kinds[b]!.isOffcut) - Number(kinds[a]!.isOffcut) || kinds[a]!.room - kinds[b]!.room)
  const bars: Pattern[] = []
  for (const { counts } of [...plan].sort((a, b) => takes(a.counts, sizes) - takes(b.counts, sizes))) {
    const kind = order.find((k) => free[k]! > 0 && takes(counts, sizes) <= kinds[k]!.room + TOUCHING)
    if (kind === undefined) return null
    free[kind]! -= 1
    bars.push({ kind, counts })
  }
  return bars
}

/** Pieces moved out of the bar with the longest rest into others where they fit, so that its rest is longer still. */
function gather(plan: readonly Pattern[], sizes: readonly Size[], kinds: readonly Kind[]): Pattern[] {
  const bars = plan.map(({ kind, counts }) => ({
    kind,
    counts: [...counts],
    rest: kinds[kind]!.room - takes(counts, sizes),
  }))
  const last = bars.reduce((most, bar) => (bar.rest > most.rest ? bar : most), bars[0]!)
  for (let i = 0; i < sizes.length; i++) {
    while (last.counts[i]! > 0) {
      const other = bars
        .filter((bar) => bar !== last && bar.rest + TOUCHING >= sizes[i]!.width)
        .sort((a, b) => a.rest - b.rest)[0]
      if (!other) break
      other.counts[i]! += 1
      other.rest -= sizes[i]!.width
      last.counts[i]! -= 1
      last.rest += sizes[i]!.width
    }
  }
  return bars.filter(({ counts }) => counts.some((count) => count > 0)).map(({ kind, counts }) => ({ kind, counts }))
}

/**
 * Looks for a plan with as few new bars as the bound by fixing the surest patterns of the relaxed plan, again and again.
 */
function* dive(
  sizes: readonly Size[],
  kinds: readonly Kind[],
  pool: Pattern[],
  budget: { pivots: number },
  skip: number,
): Generator<number, Pattern[] | null> {
  const left = sizes.map(({ count }) => count)
  let stock = kinds.map((kind) => ({ ...kind }))
  const plan: Pattern[] = []
  const take = ({ kind, counts }: Pattern) => {
    const own = counts.map((count, i) => Math.min(count, left[i]!))
    own.forEach((count, i) => {
      left[i]! -= count
    })
    stock = stock.map((one, k) => (k === kind ? { ...one, most: one.most - 1 } : one))
    plan.push({ kind, counts: own })
  }
  let skipped = skip
  while (left.some((count) => count > 0)) {
    if (budget.pivots <= 0) return null
    const { parts, pivots } = yield* relax(sizes, left, stock, pool, Math.min(budget.pivots, mostPivots(sizes)))
    budget.pivots -= pivots + 1
    if (parts.length === 0) return null
    const whole = parts.filter(({ amount }) => amount > 1 - 1e-6)
    if (whole.length > 0) {
      for (const { pattern, amount } of whole)
        for (
          let n = 0;
          n < Math.floor(amount + 1e-6) && pattern.counts.some((count, i) => count > 0 && left[i]! > 0);
          n++
        )
          take(pattern)
      continue
    }
    const ranked = [...parts].sort(
      (a, b) => b.amount - a.amount || takes(b.pattern.counts, sizes) - takes(a.pattern.counts, sizes),
    )
    take(ranked[Math.min(skipped, ranked.length - 1)]!.pattern)
    skipped = 0
  }
  return plan
}

/** Sizes up to which patterns are fixed one after another; beyond, the fillings by length stand. */
const MOST_DIVED = 400
const BY_LENGTH = 'the length of all pieces against that of the bars'
const BY_PRICES = 'prices of the pieces at which no bar is worth more than itself'

interface Found {
  plan: Pattern[]
  bound: number
  how: string
}

/** Looks for the best plan; at each pause it gives the best so far, with the bound proved so far. */
function* search(
  sizes: readonly Size[],
  kinds: readonly Kind[],
  score: (plan: readonly Pattern[]) => Score,
  budget: { pivots: number },
): Generator<Found | null, Found | null> {
  const demand = sizes.map(({ count }) => count)
  const isOffcutFirst = (a: number, b: number) => Number(kinds[b]!.isOffcut) - Number(kinds[a]!.isOffcut)
  const longestFirst = kinds.map((_, k) => k).sort((a, b) => isOffcutFirst(a, b) || kinds[b]!.room - kinds[a]!.room)
  const shortestFirst = kinds.map((_, k) => k).sort((a, b) => isOffcutFirst(a, b) || kinds[a]!.room - kinds[b]!.room)
  let best: Pattern[] | null = null
  const consider = (plan: Pattern[] | null) => {
    if (!plan) return
    for (const one of [plan, restock(plan, sizes, kinds), gather(plan, sizes, kinds)]) {
      if (one && (!best || isBetter(score(one), score(best)))) best = one
      const tidy = one && restock(gather(one, sizes, kinds), sizes, kinds)
      if (tidy && isBetter(score(tidy), score(best!))) best = tidy
    }
  }
  for (const order of [longestFirst, shortestFirst]) {
    consider(firstFit(sizes, demand, kinds, order))
    consider(fullestFirst(sizes, demand, kinds, order))
  }
  const pool: Pattern[] = []
  const byLength = boundByLength(sizes, kinds)
  // Where the length alone proves it, no prices are needed.
  const soFar = (bound: number, how: string): Found | null => best && { plan: best, bound, how }
  yield soFar(byLength, BY_LENGTH)
  let relaxed: Relaxed | null = null
  if (!best || score(best)[0]! > byLength) {
    const relaxing = relax(sizes, demand, kinds, pool, Math.min(budget.pivots, mostPivots(sizes)))
    for (let step = relaxing.next(); ; step = relaxing.next()) {
      if (step.done) {
        relaxed = step.value
        break
      }
      const byNow = Math.ceil(step.value - 1e-6)
      yield byNow > byLength ? soFar(byNow, BY_PRICES) : soFar(byLength, BY_LENGTH)
    }
  }
  budget.pivots -= relaxed?.pivots ?? 0
  const byPrices = relaxed ? Math.max(0, Math.ceil(relaxed.bound - 1e-6)) : 0
  const bound = Math.max(byLength, byPrices)
  const how = bound === byLength ? BY_LENGTH : BY_PRICES
  const usedOf = (plan: Pattern[] | null) => (plan ? score(plan)[0]! : Infinity)
  const count = demand.reduce((sum, one) => sum + one, 0)
  if (count <= MOST_EXHAUSTED) {
    const all = exhaust(sizes, demand, kinds, score, best)
    if (all) return { plan: all, bound: usedOf(all), how: 'every plan was looked at' }
  }
  if (sizes.length > MOST_DIVED) return soFar(bound, how)
  for (let skip = 0; skip < 40 && usedOf(best) > bound && budget.pivots > 0; skip++) {
    const diving = dive(sizes, kinds, pool, budget, skip)
    let step = diving.next()
    while (!step.done) {
      yield soFar(bound, how)
      step = diving.next()
    }
    consider(step.value)
  }
  return soFar(bound, how)
}

const toBars = (plan: readonly Pattern[], sizes: readonly Size[], kinds: readonly Kind[], kerf: number): Bar[] => {
  const ids = sizes.map((size) => [...size.ids])
  return plan.map((pattern) => ({
    stock: kinds[pattern.kind]!.id,
    pieces: pattern.counts.flatMap((count, i) => ids[i]!.splice(0, count)),
    left: leftOf(pattern, kinds, sizes, kerf),
  }))
}

/** A plan in the words of the question, with its sums and the proof of its bound. */
function toAnswer(
  { plan, bound, how }: Found,
  { kerf, keep = Infinity }: CutQuestion,
  sizes: readonly Size[],
  kinds: readonly Kind[],
): CutAnswer {
  const order = [...plan].sort(
    (a, b) =>
      Number(kinds[a.kind]!.isOffcut) - Number(kinds[b.kind]!.isOffcut) ||
      kinds[b.kind]!.length - kinds[a.kind]!.length ||
      leftOf(a, kinds, sizes, kerf) - leftOf(b, kinds, sizes, kerf),
  )
  const bars = toBars(order, sizes, kinds, kerf)
  const used = plan.filter(({ kind }) => !kinds[kind]!.isOffcut).length
  const count = bars.reduce((sum, bar) => sum + bar.pieces.length, 0)
  const lengths = order.reduce((sum, { kind }) => sum + kinds[kind]!.length, 0)
  const cutLength = sizes.reduce((sum, { length, count: n }) => sum + length * n, 0)
  const rests = bars.reduce((sum, { left }) => sum + left, 0)
  const kerfTotal = Math.max(0, lengths - cutLength - rests)
  return {
    bars,
    used,
    kerfTotal,
    waste: wasteOf(plan, keep, kinds, sizes, kerf),
    bound,
    optimal: used === bound,
    working: [
      {
        text: `stock taken, ${bars.length} ${bars.length === 1 ? 'bar' : 'bars'}`,
        op: '+',
        value: lengths,
        unit: 'mm',
      },
      { text: `${count} pieces`, op: '-', value: cutLength, unit: 'mm' },
      { text: 'kerf', op: '-', value: kerfTotal, unit: 'mm' },
      { text: 'left', op: '=', value: rests, unit: 'mm' },
      { text: `least new bars, proved by: ${how}`, op: '=', value: bound, unit: '', source: 'ours' },
    ],
  }
}

/** Rests too short for the rack, mm. */
const wasteOf = (
  plan: readonly Pattern[],
  keep: number,
  kinds: readonly Kind[],
  sizes: readonly Size[],
  kerf: number,
): number =>
  plan.reduce((sum, bar) => {
    const left = leftOf(bar, kinds, sizes, kerf)
    return left >= keep ? sum : sum + left
  }, 0)

/**
 * Pieces nested into stock, step by step: at each pause the search can be left with the best plan so far. What it ends
 * with is the answer of `planCuts`.
 */
export function* searchCuts(question: CutQuestion): Generator<CutProgress, Result<CutAnswer>> {
  const { stock, kerf, pieces, keep = Infinity, prefer = 'longest-left', seconds = USUAL_SECONDS } = question
  const kinds: Kind[] = stock.map(({ id, length, quantity, offcut }) => ({
    id,
    length,
    room: length + kerf,
    most: quantity ?? Infinity,
    isOffcut: offcut === true,
  }))
  const wrong = findImpossible(question, kinds)
  if (!wrong.ok) return wrong
  const sizes = sizesOf(pieces, kerf)
  if (sizes.length === 0) return ok({ bars: [], used: 0, kerfTotal: 0, waste: 0, bound: 0, optimal: true, working: [] })
  const score = (plan: readonly Pattern[]): Score => {
    const [longest, waste] = [
      -Math.max(...plan.map((bar) => leftOf(bar, kinds, sizes, kerf))),
      wasteOf(plan, keep, kinds, sizes, kerf),
    ]
    return [
      plan.filter(({ kind }) => !kinds[kind]!.isOffcut).length,
      plan.reduce((sum, { kind }) => sum + kinds[kind]!.length, 0),
      ...(prefer === 'least-waste' ? [waste, longest] : [longest, waste]),
    ]
  }
  const searching = search(sizes, kinds, score, { pivots: Math.max(200, seconds * PIVOTS_A_SECOND) })
  for (;;) {
    const { value: found, done } = searching.next()
    if (!done) {
      yield { bound: found?.bound ?? 0, best: () => found && toAnswer(found, question, sizes, kinds) }
      continue
    }
    if (found) return ok(toAnswer(found, question, sizes, kinds))
    return fail(
      'impossible',
      'stock',
      `stock: it runs out before piece ${sizes[0]!.ids[0]} and the others are all cut. ${run(
        sizes.reduce((sum, { length, count }) => sum + length * count, 0),
      )} of pieces; more lengths are wanted.`,
    )
  }
}

/**
 * Pieces nested into stock: the fewest bars that are not offcuts, then the least stock length, then the longest rest or the
 * least waste, mm. `optimal` only where `used` is the proven bound: by looking at every plan of few pieces, else by column
 * generation. Issue `impossible` naming the piece longer than all stock, or the piece for which the stock runs out. The
 * work is counted, not timed, so that the same question gets the same answer.
 */
export function planCuts(question: CutQuestion): Result<CutAnswer> {
  const searching = searchCuts(question)
  for (;;) {
    const step = searching.next()
    if (step.done) return step.value
  }
}
