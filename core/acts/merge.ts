import isEqual from 'fast-deep-equal'
import type { Fields } from '#core/record'
import { MERGED_BY_KEY } from './tables'

/** One field that two hands set differently: what both had seen, and what each made of it. */
export interface Clash {
  /** Dotted, such as `depths.0`. */
  path: string
  base: unknown
  mine: unknown
  theirs: unknown
}

const asMap = (value: unknown): Fields => (value ?? {}) as Fields

const withoutHoles = (map: Fields): Fields =>
  Object.fromEntries(Object.entries(map).filter(([, value]) => value !== undefined))

/**
 * Three-way merge of one record. `base` holds the fields as they were seen when `mine` was typed, `theirs` the record as
 * it is saved now. Fields only one hand changed keep that change; a field both set differently is a clash, and `pick`
 * says whose value stands in `changes`. `changes` holds only what differs from `theirs`.
 */
export function mergeFields(
  base: Fields,
  mine: Fields,
  theirs: Fields,
  pick: 'mine' | 'theirs' = 'mine',
): { changes: Record<string, unknown>; clashes: Clash[] } {
  const clashes: Clash[] = []
  const decide = (path: string, was: unknown, my: unknown, their: unknown): unknown => {
    if (isEqual(my, their) || isEqual(was, my)) return their
    if (isEqual(was, their)) return my
    clashes.push({ path, base: was, mine: my, theirs: their })
    return pick === 'mine' ? my : their
  }
  const changes: Record<string, unknown> = {}
  for (const [field, my] of Object.entries(mine)) {
    let merged: unknown
    if (MERGED_BY_KEY.has(field)) {
      const [was, mineMap, theirMap] = [asMap(base[field]), asMap(my), asMap(theirs[field])]
      const keys = new Set([...Object.keys(was), ...Object.keys(mineMap), ...Object.keys(theirMap)])
      merged = withoutHoles(
        Object.fromEntries(
          [...keys].map((key) => [key, decide(`${field}.${key}`, was[key], mineMap[key], theirMap[key])]),
        ),
      )
      if (isEqual(merged, withoutHoles(theirMap))) continue
    } else {
      merged = decide(field, base[field], my, theirs[field])
      if (isEqual(merged, theirs[field])) continue
    }
    changes[field] = merged
  }
  return { changes, clashes }
}

/** Fields of `seen` that are saved otherwise now, for a write that rests on what was seen, such as a sign-off. */
export function changedSince(seen: Fields, saved: Fields): Clash[] {
  return Object.entries(seen).flatMap(([field, was]): Clash[] => {
    if (!MERGED_BY_KEY.has(field))
      return isEqual(was, saved[field]) ? [] : [{ path: field, base: was, mine: was, theirs: saved[field] }]
    const [before, now] = [asMap(was), asMap(saved[field])]
    const keys = new Set([...Object.keys(before), ...Object.keys(now)])
    return [...keys]
      .filter((key) => !isEqual(before[key], now[key]))
      .map((key) => ({ path: `${field}.${key}`, base: before[key], mine: before[key], theirs: now[key] }))
  })
}
