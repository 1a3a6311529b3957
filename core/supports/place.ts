/*
 * Supports along one leg: as few as its spacing allows, none where it may not stand, evenly spread. All mm.
 */

export type Interval = readonly [from: number, to: number]

/** Stretches of a leg where no support may stand, joined where they overlap, in order; their ends may be stood on. */
function joinForbidden(intervals: readonly Interval[]): Interval[] {
  const joined: [number, number][] = []
  for (const [from, to] of [...intervals].sort((a, b) => a[0] - b[0])) {
    const last = joined.at(-1)
    if (last && from < last[1]) last[1] = Math.max(last[1], to)
    else joined.push([from, to])
  }
  return joined
}

const EDGE = 1e-9
const blockAt = (forbidden: readonly Interval[], at: number): Interval | undefined =>
  forbidden.find(([from, to]) => at > from + EDGE && at < to - EDGE)

/** The last place at or before a point where a support may stand; null where there is none after `from`. */
function lastBy(forbidden: readonly Interval[], at: number, from: number): number | null {
  const block = blockAt(forbidden, at)
  const place = block ? block[0] : at
  return place >= from - EDGE ? place : null
}
function firstFrom(forbidden: readonly Interval[], at: number, to: number): number | null {
  const block = blockAt(forbidden, at)
  const place = block ? block[1] : at
  return place <= to + EDGE ? place : null
}
/** The allowed place nearest to a target within bounds that hold at least one. */
function nearest(forbidden: readonly Interval[], target: number, lo: number, hi: number): number {
  const wanted = Math.min(Math.max(target, lo), hi)
  const before = lastBy(forbidden, wanted, lo)
  const after = firstFrom(forbidden, wanted, hi)
  if (before === null) return after!
  return after === null || wanted - before <= after - wanted ? before : after
}

export interface Placement {
  at: number[]
  /** Stretches longer than the spacing that no place could shorten. */
  gaps: { from: number; to: number; most: number }[]
}

/**
 * Places on a leg of a length: at most `spacing` apart, at most half of it from its ends, none inside `forbidden`. As
 * few as that takes; where it cannot be, the nearest places and the gaps that are left. `arms` are the stretches at its
 * ends that should stay free, where that costs no support and breaks no distance.
 */
export function placeOnLeg(
  length: number,
  spacing: number,
  forbidden: readonly Interval[],
  arms: readonly [number, number] = [0, 0],
): Placement {
  const blocks = joinForbidden(forbidden)
  const gaps: Placement['gaps'] = []
  const inside = (at: number) => Math.min(Math.max(at, 0), length)
  // From the left, each as far on as it may be: this takes the fewest.
  const fewest: number[] = []
  let reach = spacing / 2
  let from = 0
  for (;;) {
    const isEnd = fewest.length > 0 && length - from <= spacing / 2 + EDGE
    if (isEnd) break
    let place = lastBy(blocks, inside(Math.min(reach, length)), fewest.length ? from + EDGE * 10 : 0)
    if (place !== null && fewest.length > 0 && place <= from + EDGE * 10) place = null
    if (place === null) {
      // Nothing within reach: the next place beyond, and the gap is told.
      const block = blockAt(blocks, inside(Math.min(reach, length)))
      const beyond = block && block[1] <= length + EDGE ? block[1] : null
      if (beyond === null) {
        gaps.push({ from, to: length, most: spacing / 2 })
        break
      }
      gaps.push({ from, to: beyond, most: fewest.length ? spacing : spacing / 2 })
      place = beyond
    }
    fewest.push(place)
    from = place
    reach = place + spacing
  }
  if (gaps.length > 0 || fewest.length === 0) return { at: fewest, gaps }

  // From the right, the earliest each may be so that the rest still reach the end.
  const n = fewest.length
  const earliest: number[] = Array.from({ length: n }, () => 0)
  let bound = Math.max(0, length - spacing / 2)
  for (let i = n - 1; i >= 0; i--) {
    earliest[i] = firstFrom(blocks, bound, length)!
    bound = Math.max(0, earliest[i]! - spacing)
  }
  const first = Math.max(length / n / 2, Math.min(arms[0], spacing / 2))
  const last = length - Math.max(length / n / 2, Math.min(arms[1], spacing / 2))
  // One alone stands in the middle, or beyond the arm where one end has one.
  const [hasFirst, hasLast] = [arms[0] > 0, arms[1] > 0]
  const beyondArm = hasFirst ? Math.max(length / 2, first) : Math.min(length / 2, last)
  const single = hasFirst === hasLast ? length / 2 : beyondArm
  const at: number[] = []
  for (let i = 0; i < n; i++) {
    const target = n === 1 ? single : first + ((last - first) * i) / (n - 1)
    const hi = i === 0 ? Math.min(spacing / 2, length) : Math.min(at[i - 1]! + spacing, length)
    at.push(nearest(blocks, target, Math.max(earliest[i]!, i === 0 ? 0 : at[i - 1]!), hi))
  }
  return { at, gaps }
}
