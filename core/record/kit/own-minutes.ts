import { ALL_METHODS, type Kit, type Method } from '#core/joints'
import type { EndMinutes } from '../joint/record'
import type { MinutesRecord } from './schema'

/** Signed ends of one method and size that count, the last ones. */
export const LAST_ENDS = 20
/** Fewer say nothing yet, ours: one slow morning would be the rule. */
export const LEAST_ENDS = 3

/** The middle of what the last signed ends of a method and size took, minutes, with the half around it. */
export interface MeasuredMinutes {
  method: Method
  nominal: string
  work: number
  /** A quarter were quicker than `lo`, a quarter slower than `hi`. */
  lo: number
  hi: number
  wait: number
  ends: number
}

/** Quantile of sorted figures, linear between neighbours. */
function quantile(sorted: readonly number[], share: number): number {
  const at = (sorted.length - 1) * share
  const [low, high] = [sorted[Math.floor(at)]!, sorted[Math.ceil(at)]!]
  return Math.round((low + (high - low) * (at - Math.floor(at))) * 10) / 10
}
const sorted = (figures: readonly number[]): number[] => [...figures].sort((x, y) => x - y)

/** Own minutes from signed ends, the last signed first: of each method and size the last 20, from 3 on. */
export function measuredMinutes(ends: readonly Omit<EndMinutes, 'entry'>[]): MeasuredMinutes[] {
  const groups = new Map<string, Omit<EndMinutes, 'entry'>[]>()
  for (const end of ends) {
    const key = `${end.method} ${end.nominal}`
    const group = groups.get(key) ?? []
    if (group.length < LAST_ENDS) groups.set(key, [...group, end])
  }
  return [...groups.values()]
    .filter((group) => group.length >= LEAST_ENDS)
    .map((group) => {
      const work = sorted(group.map((end) => end.work))
      return {
        method: group[0]!.method,
        nominal: group[0]!.nominal,
        work: quantile(work, 0.5),
        lo: quantile(work, 0.25),
        hi: quantile(work, 0.75),
        wait: quantile(sorted(group.map((end) => end.wait)), 0.5),
        ends: group.length,
      }
    })
}

/** Whose minutes count at an end: as typed in Kit, as measured on signed joints, or ours. */
export type MinutesFrom =
  { from: 'typed'; typed: MinutesRecord } | { from: 'measured'; measured: MeasuredMinutes } | { from: 'ours' }

/** Where the minutes of a method and size come from: typed wins over measured, a size over every size. */
export function minutesFrom(
  { method, nominal }: { method: string; nominal: string },
  typed: readonly MinutesRecord[],
  measured: readonly MeasuredMinutes[],
): MinutesFrom {
  const own = typed.filter((one) => one.method === method)
  const entry = own.find((one) => one.nominal === nominal) ?? own.find((one) => one.nominal === null)
  if (entry) return { from: 'typed', typed: entry }
  const found = measured.find((one) => one.method === method && one.nominal === nominal)
  return found ? { from: 'measured', measured: found } : { from: 'ours' }
}

/** Minutes of work at one end, by whomever they are. */
export function workOf(method: Method, found: MinutesFrom): number {
  if (found.from === 'typed') return found.typed.work
  return found.from === 'measured' ? found.measured.work : ALL_METHODS[method].minutes.work
}

/** Minutes as the rules of joints read them: what is measured counts where nothing was typed for the method and size. */
export const kitMinutes = (
  typed: readonly MinutesRecord[],
  measured: readonly MeasuredMinutes[],
): NonNullable<Kit['minutes']> => [
  ...typed.map(({ nominal, ...one }) => ({ ...one, ...(nominal === null ? {} : { nominal }) })),
  ...measured
    .filter((one) => minutesFrom(one, typed, measured).from === 'measured')
    .map(({ method, nominal, work, wait }) => ({ method, nominal, work, wait })),
]
