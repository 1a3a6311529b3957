import { formatDecimal, formatMm, roundTo, toTape } from './format'
import { MM_PER_INCH, type UnitSystem } from './system'

/*
 * Figures that stand against each other in one sentence, such as a reading and its limit: each is written so finely that
 * those which differ also read so, and in their order. A finding then never contradicts itself.
 */

/** Finest decimals that anything here is measured or computed to. */
const MOST_DIGITS = 4
/** Figures nearer than this are one figure. */
const SAME = 1e-9

/** Whether figures read apart, and in their order, once they are rounded. */
const readApart = (values: readonly number[], round: (value: number) => number): boolean =>
  values.every((one) => values.every((other) => one - other <= SAME || round(one) > round(other)))

/** Writes figures that stand together with `digits` decimals, or with as many more as tell them apart. */
export function decimalsApart(values: readonly number[], digits: number): (value: number) => string {
  const fits = (most: number) => readApart(values, (value) => roundTo(value, most))
  let most = digits
  while (most < MOST_DIGITS && !fits(most)) most += 1
  return (value) => formatDecimal(value, most)
}

/** Fractions of an inch that a tape or a steel rule is read to. */
const UNDERS = [16, 32, 64] as const

/** Inches in a fraction of `finest` parts, in lowest terms: `4 1/4`, `5/32`, `0`. */
function tapeWords(mm: number, finest: number): string {
  const { whole, over, under } = toTape(mm, finest)
  if (over === 0) return String(whole)
  return whole > 0 ? `${whole} ${over}/${under}` : `${over}/${under}`
}

function inchesApart(values: readonly number[]): (mm: number) => string {
  const under = UNDERS.find((one) => readApart(values, (mm) => Math.round((mm / MM_PER_INCH) * one)))
  if (under !== undefined) return (mm) => tapeWords(mm, under)
  const words = decimalsApart(
    values.map((mm) => mm / MM_PER_INCH),
    3,
  )
  return (mm) => words(mm / MM_PER_INCH)
}

/** Writes lengths that stand together, mm, not negative: as `formatLength` does, or finer where that would not tell them apart. */
export function lengthsApart(values: readonly number[], system: UnitSystem): (mm: number) => string {
  const usual = (mm: number) => roundTo(mm, mm >= 100 ? 0 : 1)
  const mmWords = readApart(values, usual) ? formatMm : decimalsApart(values, 1)
  if (system === 'metric') return (mm) => `${mmWords(mm)} mm`
  const inches = inchesApart(values)
  return (mm) => `${inches(mm)} in (${mmWords(mm)} mm)`
}
