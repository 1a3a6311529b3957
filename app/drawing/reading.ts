import { formatDecimal, MM_PER_INCH, type UnitSystem } from '#core/units'

/** A measured diameter as its instrument reads it: mm to a hundredth, or inches to a thousandth. */
export const formatReading = (mm: number, system: UnitSystem): string =>
  (system === 'inch' ? (mm / MM_PER_INCH).toFixed(3) : formatDecimal(mm, 2))

export const unitOf = (system: UnitSystem): string => (system === 'inch' ? 'in' : 'mm')
