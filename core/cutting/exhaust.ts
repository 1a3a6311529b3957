import { takes } from './fill'
import { TOUCHING, type Kind, type Pattern, type Size } from './types'

/** How a plan is judged: fewer is better, the first that differs decides. */
export type Score = readonly number[]
export const isBetter = (a: Score, b: Score): boolean => {
  const at = a.findIndex((value, i) => Math.abs(value - b[i]!) > 1e-9)
  return at >= 0 && a[at]! < b[at]!
}

/** Pieces up to which every plan is looked at. */
export const MOST_EXHAUSTED = 13

/**
 * The best plan of all by a score, by looking at every one: each bar begins with the largest piece left. For few pieces
 * only. null where the steps ran out first, so that nothing is claimed.
 */
export function exhaust(
  sizes: readonly Size[],
  demand: readonly number[],
  kinds: readonly Kind[],
  score: (plan: readonly Pattern[]) => Score,
  known: Pattern[] | null,
  steps = 400_000,
): Pattern[] | null {
  let best = known ? { plan: known, score: score(known) } : null
  const left = [...demand]
  const free = kinds.map(({ most }) => most)
  const plan: Pattern[] = []
  let budget = steps
  const longest = kinds.reduce((most, { room, isOffcut }) => (isOffcut ? most : Math.max(most, room)), 0)
  /**
   * Whether no way on can be better: new bars and stock length as they stand, with the least that the rest still asks
   * for.
   */
  const isHopeless = ([news, taken]: Score): boolean => {
    let [used, lengths, width, pieces, offcuts] = [0, 0, 0, 0, 0]
    for (const { kind } of plan) {
      if (!kinds[kind]!.isOffcut) used += 1
      lengths += kinds[kind]!.length
    }
    sizes.forEach((size, i) => {
      width += size.width * left[i]!
      pieces += size.length * left[i]!
    })
    kinds.forEach(({ room, isOffcut }, k) => {
      if (isOffcut) offcuts += room * free[k]!
    })
    const more =
      longest > 0 && width > offcuts + TOUCHING ? Math.ceil((width - offcuts) / (longest + TOUCHING) - TOUCHING) : 0
    return used + more > news! || (used + more === news && lengths + pieces > taken! + TOUCHING)
  }
  const next = () => {
    if (budget-- <= 0) return
    const largest = left.findIndex((count) => count > 0)
    if (largest < 0) {
      const own = score(plan)
      if (!best || isBetter(own, best.score))
        best = { plan: plan.map(({ kind, counts }) => ({ kind, counts: [...counts] })), score: own }
      return
    }
    if (best && isHopeless(best.score)) return
    for (const [k, kind] of kinds.entries()) {
      if (free[k]! <= 0 || sizes[largest]!.width > kind.room + TOUCHING) continue
      const counts = left.map(() => 0)
      counts[largest] = 1
      left[largest]! -= 1
      free[k]! -= 1
      const fill = (from: number, rest: number) => {
        if (budget <= 0) return
        if (from >= sizes.length) {
          plan.push({ kind: k, counts: [...counts] })
          next()
          plan.pop()
          return
        }
        for (let take = Math.min(left[from]!, Math.floor((rest + TOUCHING) / sizes[from]!.width)); take >= 0; take--) {
          counts[from]! += take
          left[from]! -= take
          fill(from + 1, rest - take * sizes[from]!.width)
          counts[from]! -= take
          left[from]! += take
        }
      }
      fill(largest, kind.room - sizes[largest]!.width)
      left[largest]! += 1
      free[k]! += 1
    }
  }
  next()
  return budget > 0 && best ? best.plan : null
}

/** What a bar has left once its pieces and their cuts are off, mm. */
export const leftOf = (
  { kind, counts }: Pattern,
  kinds: readonly Kind[],
  sizes: readonly Size[],
  kerf: number,
): number => Math.max(0, kinds[kind]!.room - kerf - takes(counts, sizes))
