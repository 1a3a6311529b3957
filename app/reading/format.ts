import { formatDecimal, formatLength, MM_PER_INCH, type UnitSystem } from '#core/units'

/** A measured diameter as its instrument reads it: mm to a hundredth, or inches to a thousandth. */
export const formatReading = (mm: number, system: UnitSystem): string =>
  system === 'inch' ? (mm / MM_PER_INCH).toFixed(3) : formatDecimal(mm, 2)

/** The mm beside a reading in inches; nothing beside one in mm. */
export const mmBeside = (mm: number, system: UnitSystem): string =>
  system === 'inch' ? ` (${formatDecimal(mm, 2)} mm)` : ''

export const unitOf = (system: UnitSystem): string => (system === 'inch' ? 'in' : 'mm')

/** A probability as a count in a hundred; never a flat nought or hundred. */
export function inHundred(probability: number): string {
  if (probability < 0.005) return 'under 1'
  return probability > 0.995 ? 'over 99' : String(Math.round(probability * 100))
}

/** A length in the words of its own tape alone: no mm beside inches. */
export const tapeWords = (mm: number, system: UnitSystem): string => formatLength(mm, system).replace(/ \(.*\)$/, '')
