import { worthiest } from './knapsack'
import type { Kind, Pattern, Size } from './types'

/** A column of the linear programme: a pattern, or what a row has too much or too little of. */
interface Column {
  rows: readonly number[]
  values: readonly number[]
  cost: number
  pattern: Pattern | null
}

/** A piece that is in no bar costs as much as this many bars, so that none is left out where it fits. */
const MISSING = 1e4
const SMALL = 1e-9
/** Pivots between two points at which the search can be left. */
const PAUSE_EVERY = 16

/** How the demand is met by parts of bars: the patterns with how much of each, and a proven lower bound of new bars. */
export interface Relaxed {
  parts: { pattern: Pattern; amount: number }[]
  bound: number
  pivots: number
}

const columnOf = (pattern: Pattern, kinds: readonly Kind[], limitRow: readonly (number | null)[]): Column => {
  const rows: number[] = []
  const values: number[] = []
  pattern.counts.forEach((count, i) => {
    if (count > 0) {
      rows.push(i)
      values.push(count)
    }
  })
  const limit = limitRow[pattern.kind]
  if (limit != null) {
    rows.push(limit)
    values.push(1)
  }
  return { rows, values, cost: kinds[pattern.kind]!.isOffcut ? 0 : 1, pattern }
}

/**
 * The fewest new bars if bars could be taken in part, by column generation on a revised simplex: patterns are added while
 * one is worth more than its bar. The bound holds wherever it stops: it is that of the dual prices, scaled until no filling
 * of a bar is worth more than the bar (Farley 1990). `pool` keeps patterns for the next call. At most `most` pivots; every
 * few of them it can be left, with the bound so far.
 */
export function* relax(
  sizes: readonly Size[],
  demand: readonly number[],
  kinds: readonly Kind[],
  pool: Pattern[],
  most: number,
): Generator<number, Relaxed> {
  const limitRow: (number | null)[] = kinds.map(() => null)
  let height = sizes.length
  kinds.forEach(({ most: limit }, k) => {
    if (Number.isFinite(limit)) limitRow[k] = height++
  })
  const right = new Float64Array(height)
  demand.forEach((count, i) => {
    right[i] = count
  })
  kinds.forEach(({ most: limit }, k) => {
    if (limitRow[k] !== null) right[limitRow[k]!] = limit
  })
  // It starts with every piece missing and every kind of stock unused.
  const basis: Column[] = Array.from({ length: height }, (_, row) => ({
    rows: [row],
    values: [1],
    cost: row < sizes.length ? MISSING : 0,
    pattern: null,
  }))
  const inverse = new Float64Array(height * height)
  for (let row = 0; row < height; row++) inverse[row * height + row] = 1
  const amounts = Float64Array.from(right)
  const prices = new Float64Array(height)
  for (let row = 0; row < sizes.length; row++) prices[row] = MISSING
  let pivots = 0
  const columns = pool
    .filter(({ counts, kind }) => kinds[kind]!.most > 0 && counts.every((count, i) => count <= demand[i]!))
    .map((pattern) => columnOf(pattern, kinds, limitRow))
  let bound = 0

  const reduced = (column: Column) =>
    column.rows.reduce((sum, row, k) => sum - prices[row]! * column.values[k]!, column.cost)
  const enter = (column: Column): boolean => {
    const step = new Float64Array(height)
    for (let row = 0; row < height; row++) {
      let sum = 0
      for (let k = 0; k < column.rows.length; k++) sum += inverse[row * height + column.rows[k]!]! * column.values[k]!
      step[row] = sum
    }
    let [leave, ratio] = [-1, Infinity]
    for (let row = 0; row < height; row++) {
      if (step[row]! <= SMALL) continue
      const own = amounts[row]! / step[row]!
      // Of rows that leave together the one with the dearest column does: missing pieces first.
      if (own < ratio - SMALL || (own < ratio + SMALL && leave >= 0 && basis[row]!.cost > basis[leave]!.cost)) {
        ratio = Math.min(own, ratio)
        leave = row
      }
    }
    if (leave < 0) return false
    const pivot = step[leave]!
    const gain = reduced(column)
    for (let k = 0; k < height; k++) inverse[leave * height + k]! /= pivot
    amounts[leave]! /= pivot
    for (let row = 0; row < height; row++) {
      const by = step[row]!
      if (row === leave || by === 0) continue
      for (let k = 0; k < height; k++) inverse[row * height + k]! -= by * inverse[leave * height + k]!
      amounts[row] = Math.max(0, amounts[row]! - by * amounts[leave]!)
    }
    for (let k = 0; k < height; k++) prices[k]! += gain * inverse[leave * height + k]!
    basis[leave] = column
    pivots += 1
    return true
  }

  for (;;) {
    // What is priced the wrong way round: too many of a size, or stock not taken.
    let [best, value]: [Column | null, number] = [null, -1e-7]
    for (let row = 0; row < height; row++) {
      const isPiece = row < sizes.length
      const own = isPiece ? prices[row]! : -prices[row]!
      if (own < value) [best, value] = [{ rows: [row], values: [isPiece ? -1 : 1], cost: 0, pattern: null }, own]
    }
    for (const column of columns) {
      const own = reduced(column)
      if (own < value) [best, value] = [column, own]
    }
    if (!best) {
      const worths = sizes.map((_, i) => Math.max(0, prices[i]!))
      const found = kinds.map((kind) =>
        kind.most > 0 ? worthiest(kind.room, worths, demand, sizes) : { counts: [], worth: 0, most: 0 },
      )
      kinds.forEach((kind, k) => {
        if (kind.most <= 0) return
        const limit = limitRow[k] == null ? 0 : prices[limitRow[k]!]!
        const own = (kind.isOffcut ? 0 : 1) - found[k]!.worth - limit
        if (own >= -1e-7) return
        const pattern = { kind: k, counts: found[k]!.counts }
        const column = columnOf(pattern, kinds, limitRow)
        pool.push(pattern)
        columns.push(column)
        if (own < value) [best, value] = [column, own]
      })
      bound = Math.max(
        bound,
        boundOf(
          found.map((one) => one.most),
          worths,
          demand,
          kinds,
        ),
      )
    }
    if (!best || pivots >= most || !enter(best)) break
    if (pivots % PAUSE_EVERY === 0) yield bound
  }
  const parts = basis.flatMap((column, row) =>
    column.pattern && amounts[row]! > 1e-7 ? [{ pattern: column.pattern, amount: amounts[row]! }] : [],
  )
  return { parts, bound, pivots }
}

/**
 * New bars that any plan needs at these prices: prices scaled until no bar without a limit is worth more than itself;
 * limited stock pays for what it is worth over.
 */
function boundOf(
  most: readonly number[],
  worths: readonly number[],
  demand: readonly number[],
  kinds: readonly Kind[],
): number {
  const scale = kinds.reduce(
    (least, { most: limit, isOffcut }, k) =>
      Number.isFinite(limit) || isOffcut || most[k]! <= 1 ? least : Math.min(least, 1 / most[k]!),
    1,
  )
  const worth = worths.reduce((sum, one, i) => sum + one * demand[i]!, 0) * scale
  return kinds.reduce(
    (sum, { most: limit, isOffcut }, k) =>
      Number.isFinite(limit) ? sum - limit * Math.max(0, most[k]! * scale - (isOffcut ? 0 : 1)) : sum,
    worth,
  )
}
