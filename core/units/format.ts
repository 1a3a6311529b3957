import { MM_PER_INCH, type UnitSystem } from './system'

/** What a tape shows: whole inches and a fraction in lowest terms, to the nearest sixteenth. */
export interface TapeReading {
  whole: number
  over: number
  under: number
}

const MINUS = '\u2212'

/** Rounded to `digits` decimals as it is written, half away from zero: 6.35 to 6.4, though its binary lies under. */
export function roundTo(value: number, digits: number): number {
  const scale = 10 ** digits
  return (Math.sign(value) * Math.round(Math.abs(value) * scale + 1e-9)) / scale
}

/** Figure with at most `digits` decimals, trailing zeros dropped, true minus sign. */
export function formatDecimal(value: number, digits: number): string {
  const text = String(Number(roundTo(value, digits).toFixed(digits)))
  return text.startsWith('-') ? MINUS + text.slice(1) : text
}

/** mm for the hand: whole from 100 up, tenths below. */
export const formatMm = (mm: number): string => formatDecimal(mm, Math.abs(mm) >= 100 ? 0 : 1)

/** Inches as the tape reads them, rounded to the nearest 1/16, or to another fraction of a power of two. */
export function toTape(mm: number, finest = 16): TapeReading {
  const parts = Math.round((Math.abs(mm) / MM_PER_INCH) * finest)
  let over = parts % finest
  let under = finest
  while (over > 0 && over % 2 === 0) {
    over /= 2
    under /= 2
  }
  return { whole: Math.floor(parts / finest), over, under: over === 0 ? 1 : under }
}

/** Inches as they are written on one line, to the nearest 1/16: `35 3/8`, `5/8`, `0`. */
export function formatTape(mm: number): string {
  const { whole, over, under } = toTape(mm)
  return [whole > 0 || over === 0 ? whole : null, over > 0 ? `${over}/${under}` : null]
    .filter((part) => part !== null)
    .join(' ')
}

/** One line for a list or a file: `25 mm`, or `1 1/8 in` with the mm beside. */
export function formatLength(mm: number, system: UnitSystem): string {
  if (system === 'metric') return `${formatMm(mm)} mm`
  return `${formatTape(mm)} in (${formatMm(mm)} mm)`
}
