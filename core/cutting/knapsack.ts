import { TOUCHING, type Size } from './types'

/** The worthiest filling of a room, or as far as it was looked: `most` is proven not to be exceeded. */
export interface Worthiest {
  counts: number[]
  worth: number
  most: number
}

/**
 * The filling of a room whose sizes are worth most, at most `left` of each, by branch and bound over worth a mm. Looks at
 * no more than `steps` partial fillings; where they run out, `most` is the bound at the root.
 */
export function worthiest(
  room: number,
  worths: readonly number[],
  left: readonly number[],
  sizes: readonly Size[],
  steps = 60_000,
): Worthiest {
  const order = worths
    .map((_, i) => i)
    .filter((i) => worths[i]! > 1e-12 && left[i]! > 0 && sizes[i]!.width <= room + TOUCHING)
    .sort((a, b) => worths[b]! / sizes[b]!.width - worths[a]! / sizes[a]!.width || a - b)
  const counts = worths.map(() => 0)
  let best = { worth: 0, counts: [...counts] }
  let budget = steps
  /** Least that a size from here on takes, so that a nearly full bar is left at once. */
  const least: number[] = []
  for (let k = order.length - 1; k >= 0; k--) least[k] = Math.min(least[k + 1] ?? Infinity, sizes[order[k]!]!.width)
  /** At most this much more from size `k` on: the rest filled by worth a mm, the last one in part. */
  const reach = (k: number, rest: number): number => {
    let sum = 0
    for (let at = k; at < order.length && rest > 0; at++) {
      const i = order[at]!
      const fits = Math.min(left[i]!, rest / sizes[i]!.width)
      sum += fits * worths[i]!
      rest -= fits * sizes[i]!.width
    }
    return sum
  }
  const root = reach(0, room + TOUCHING)
  const walk = (k: number, rest: number, worth: number) => {
    if (worth > best.worth + 1e-12) best = { worth, counts: [...counts] }
    if (k >= order.length || rest < least[k]! || budget-- <= 0 || worth + reach(k, rest) <= best.worth + 1e-10) return
    const i = order[k]!
    const width = sizes[i]!.width
    for (let take = Math.min(left[i]!, Math.floor(rest / width)); take >= 0; take--) {
      counts[i] = take
      walk(k + 1, rest - take * width, worth + take * worths[i]!)
      if (budget <= 0) break
    }
    counts[i] = 0
  }
  walk(0, room + TOUCHING, 0)
  return { counts: best.counts, worth: best.worth, most: budget > 0 ? best.worth : root }
}
