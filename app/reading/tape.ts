import { formatMm, formatTape, type UnitSystem } from '#core/units'

/**
 * A length in a drawing's text, where no stacked fraction can stand: whole mm from 100 up, or inches and a fraction.
 */
export function tapeText(mm: number | null, system: UnitSystem): string {
  if (mm === null) return '?'
  return system === 'metric' ? formatMm(mm) : formatTape(mm)
}
