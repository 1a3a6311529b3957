import { formatMm, toTape, type UnitSystem } from '#core/units'

/** A length in a drawing's text, where no stacked fraction can stand: whole mm from 100 up, or inches and a fraction. */
export function tapeText(mm: number | null, system: UnitSystem): string {
  if (mm === null) return '?'
  if (system === 'metric') return formatMm(mm)
  const { whole, over, under } = toTape(mm)
  return [whole || (over ? null : 0), over ? `${over}/${under}` : null].filter(part => part !== null).join(' ')
}
