import { decimalsApart, lengthsApart, type UnitSystem } from '#core/units'
import type { Ask } from '#core/joints'

/**
 * How a figure read off the work stands: `outside` of a firm limit is wrong, of a typical one it is the fitting's paper
 * that decides.
 */
export function judgeReading({ lo, hi }: Pick<Ask, 'lo' | 'hi'>, reading: number): 'within' | 'under' | 'over' {
  if (reading < lo - 1e-9) return 'under'
  return reading > hi + 1e-9 ? 'over' : 'within'
}

/**
 * What is accepted, in words, such as "1/8 to 1/4 in" or "0.75 to 1.25 turns"; so finely that a reading beside it reads
 * apart from a limit that it is not.
 */
export function rangeWords({ lo, hi, unit }: Ask, system: UnitSystem, reading: number | null = null): string {
  const figures = [lo, hi, ...(reading === null ? [] : [reading])]
  const words = unit === 'mm' ? lengthsApart(figures, system) : decimalsApart(figures, 2)
  return `${lo === hi ? words(lo) : `${words(lo)} to ${words(hi)}`}${unit === 'turns' ? ' turns' : ''}`
}
