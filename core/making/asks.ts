import { decimalsApart, lengthsApart, type UnitSystem } from '#core/units'
import type { Ask } from '#core/joints'

/** How the figures of a question are written beside a reading: so finely that it reads apart from a limit it is not. */
function wordsFor({ lo, hi, unit }: Ask, system: UnitSystem, reading: number | null): (value: number) => string {
  const figures = [lo, hi, ...(reading === null ? [] : [reading])]
  return unit === 'mm' ? lengthsApart(figures, system) : decimalsApart(figures, 2)
}

/** What is accepted, in words, such as "1/8 to 1/4 in" or "0.75 to 1.25 turns"; beside a reading as finely as that wants. */
export function rangeWords(ask: Ask, system: UnitSystem, reading: number | null = null): string {
  const { lo, hi, unit } = ask
  const words = wordsFor(ask, system, reading)
  return `${lo === hi ? words(lo) : `${words(lo)} to ${words(hi)}`}${unit === 'turns' ? ' turns' : ''}`
}

/** A reading in the words of its question. */
export const readingWords = (ask: Ask, system: UnitSystem, reading: number): string =>
  wordsFor(ask, system, reading)(reading)
