import { TOUCHING, type Kind, type Pattern, type Size } from './types'

/** Sum of what a pattern takes of a bar's room, mm. */
export const takes = (counts: readonly number[], sizes: readonly Size[]): number =>
  counts.reduce((sum, count, i) => sum + count * sizes[i]!.width, 0)

/**
 * The fullest way to fill a room from what is left, largest first, looking at no more than `steps` partial fillings.
 * `must` is taken in any case. Counts by size.
 */
function fullest(
  room: number,
  left: readonly number[],
  sizes: readonly Size[],
  must: number | null,
  steps = 4000,
): number[] {
  const counts = left.map(() => 0)
  let rest = room + TOUCHING
  if (must !== null) {
    counts[must] = 1
    rest -= sizes[must]!.width
  }
  let best = { rest, counts: [...counts] }
  let budget = steps
  const smallest = left.reduce(
    (least, count, i) => (count - counts[i]! > 0 ? Math.min(least, sizes[i]!.width) : least),
    Infinity,
  )
  const walk = (from: number, remaining: number) => {
    if (remaining < best.rest - 1e-9) best = { rest: remaining, counts: [...counts] }
    if (budget-- <= 0 || best.rest <= TOUCHING * 2 || remaining < smallest) return
    for (let i = from; i < sizes.length; i++) {
      const width = sizes[i]!.width
      if (width > remaining || counts[i]! >= left[i]!) continue
      counts[i]! += 1
      walk(i, remaining - width)
      counts[i]! -= 1
      if (budget <= 0 || best.rest <= TOUCHING * 2) return
    }
  }
  walk(0, rest)
  return best.counts
}

/** First fit decreasing on the kinds of stock as they are given; null where the stock runs out. */
export function firstFit(
  sizes: readonly Size[],
  demand: readonly number[],
  kinds: readonly Kind[],
  order: readonly number[],
): Pattern[] | null {
  const bars: { kind: number; rest: number; counts: number[] }[] = []
  const taken = kinds.map(() => 0)
  for (const [i, size] of sizes.entries()) {
    for (let copy = 0; copy < demand[i]!; copy++) {
      let bar = bars.find(({ rest }) => size.width <= rest)
      if (!bar) {
        const kind = order.find((k) => taken[k]! < kinds[k]!.most && size.width <= kinds[k]!.room + TOUCHING)
        if (kind === undefined) return null
        taken[kind]! += 1
        bar = { kind, rest: kinds[kind]!.room + TOUCHING, counts: sizes.map(() => 0) }
        bars.push(bar)
      }
      bar.rest -= size.width
      bar.counts[i]! += 1
    }
  }
  return bars
}

/** One bar after another, each as full as can be with the largest piece left; null where the stock runs out. */
export function fullestFirst(
  sizes: readonly Size[],
  demand: readonly number[],
  kinds: readonly Kind[],
  order: readonly number[],
  steps?: number,
): Pattern[] | null {
  const left = [...demand]
  const taken = kinds.map(() => 0)
  const bars: Pattern[] = []
  for (;;) {
    const largest = left.findIndex((count) => count > 0)
    if (largest < 0) return bars
    const kind = order.find((k) => taken[k]! < kinds[k]!.most && sizes[largest]!.width <= kinds[k]!.room + TOUCHING)
    if (kind === undefined) return null
    taken[kind]! += 1
    const counts = fullest(kinds[kind]!.room, left, sizes, largest, steps)
    counts.forEach((count, i) => {
      left[i]! -= count
    })
    bars.push({ kind, counts })
  }
}
