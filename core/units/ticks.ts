export type TickRank = 'long' | 'middle' | 'short'

/** Rank of a scale's tick by its number, where each so many are long, and each so many middle ones. */
export function tickRank(count: number, long: number, middle: number): TickRank {
  if (count % long === 0) return 'long'
  return count % middle === 0 ? 'middle' : 'short'
}
