import { formatMm, formatTape, type UnitSystem } from '#core/units'

/** A length in a drawing's text, where no stacked fraction can stand: whole mm from 100 up, or inches and a fraction. */
export const tapeText = (mm: number | null, system: UnitSystem): string =>
  mm === null ? '?' : system === 'metric' ? formatMm(mm) : formatTape(mm)
