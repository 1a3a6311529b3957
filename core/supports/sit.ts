import { blocksOf, stepOf } from './fix'
import type { FixContext, Support } from './types'

/**
 * Where a support may sit on its leg while the others stay: within the distances to its neighbours, clear of joints and
 * bends. Null where it has no such stretch. mm.
 */
export function sittingRange(
  context: FixContext,
  supports: readonly Support[],
  index: number,
): { from: number; to: number } | null {
  const { leg, at } = supports[index]!
  const step = stepOf(context, leg)
  if (step === null) return null
  const { length } = context.question.legs[leg]!
  const others = supports
    .filter((one, i) => i !== index && one.leg === leg)
    .map((one) => one.at)
    .sort((a, b) => a - b)
  const before = others.findLast((other) => other <= at)
  const after = others.find((other) => other > at)
  let from = Math.max(0, after === undefined ? length - step / 2 : after - step, before ?? 0)
  let to = Math.min(length, before === undefined ? step / 2 : before + step, after ?? length)
  for (const {
    interval: [low, high],
  } of blocksOf(context, leg)) {
    if (high <= at + 1e-9) from = Math.max(from, high)
    else if (low >= at - 1e-9) to = Math.min(to, low)
  }
  return from <= to + 1e-9 ? { from, to } : null
}
