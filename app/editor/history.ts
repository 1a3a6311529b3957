/** What was done to a thing, so that it can be undone and done again. Holds whole states; the newest is `now`. */
export interface History<T> {
  past: readonly T[]
  now: T
  future: readonly T[]
}

/** Steps kept at most. */
const MOST_STEPS = 200

export const beginHistory = <T>(now: T): History<T> => ({ past: [], now, future: [] })

/** A new state; what had been undone is let go. */
export const record = <T>({ past, now }: History<T>, next: T): History<T> => ({
  past: [...past, now].slice(-MOST_STEPS),
  now: next,
  future: [],
})

export function undo<T>({ past, now, future }: History<T>): History<T> {
  const before = past.at(-1)
  return before === undefined
    ? { past, now, future }
    : { past: past.slice(0, -1), now: before, future: [now, ...future] }
}

export function redo<T>({ past, now, future }: History<T>): History<T> {
  const [next, ...later] = future
  return next === undefined ? { past, now, future } : { past: [...past, now], now: next, future: later }
}
