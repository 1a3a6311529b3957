import { isLoose, type Way } from '#core/joints'

/** Ways that join by one pair of methods: the best of them, and the others, which are shown once they are asked for. */
export interface Fold {
  pair: string
  best: Way
  others: Way[]
}

const pairOf = ({ joints }: Way): string => `${joints[0]!.method} ${joints.at(-1)!.method}`

/** Whether its two ends meet by threads between fittings. */
export const isByThreads = ({ joints }: Pick<Way, 'joints'>): boolean =>
  joints.some(({ on, thread }) => on === 'between' && thread !== undefined)

/** Ways in their order, one row a pair of methods at the two ends. */
export function foldWays(ways: readonly Way[]): Fold[] {
  const folds = new Map<string, Fold>()
  for (const way of ways) {
    const pair = pairOf(way)
    const fold = folds.get(pair)
    if (fold) fold.others.push(way)
    else folds.set(pair, { pair, best: way, others: [] })
  }
  return [...folds.values()]
}

/** What the others of a fold are, in a few words. */
export function othersWords({ others }: Fold): string {
  if (others.every(isByThreads)) return `${others.length} more by threads`
  const hasTail = others.every(({ parts }) => parts.some((part) => !isLoose(part) && part.kind === 'tail'))
  if (hasTail) return `${others.length} more by a tail`
  return `${others.length} more ${others.length === 1 ? 'chain' : 'chains'}`
}
