import { formatDecimal } from '#core/units'
import type { Ask } from '#core/joints'

/**
 * How a figure read off the work stands: `outside` of a firm limit is wrong, of a typical one it is the fitting's paper
 * that decides.
 */
export function judgeReading({ lo, hi }: Pick<Ask, 'lo' | 'hi'>, reading: number): 'within' | 'under' | 'over' {
  if (reading < lo - 1e-9) return 'under'
  return reading > hi + 1e-9 ? 'over' : 'within'
}

/** What is accepted, in words, such as "3.2 to 6.4 mm". */
export const rangeWords = ({ lo, hi, unit }: Ask): string =>
  `${lo === hi ? formatDecimal(lo, 2) : `${formatDecimal(lo, 2)} to ${formatDecimal(hi, 2)}`}${unit === 'count' ? '' : ` ${unit}`}`
