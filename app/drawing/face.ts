import { formatMm, toTape, type UnitSystem } from '#core/units'
import WIDTHS from './advance-widths.json'

/* How wide what is written will be, known before it is drawn, by the face's own widths; a browser kerns it narrower. */

/** 600 lies between the two cuts the face is held in. */
export type Weight = 400 | 600 | 700
/** Height of a line of the face over its size: from the highest letter to the lowest. */
export const ASCENT = 0.984
const DESCENT = 0.316
export const LINE = ASCENT + DESCENT

const cut = (weight: 400 | 700): Readonly<Record<string, number>> => WIDTHS[weight]
/** A letter that the face was not asked for is taken as wide as its widest. */
const WIDEST = 1000
const letterWidth = (letter: string, weight: 400 | 700) => cut(weight)[letter] ?? WIDEST

/** Width of a text of a size, px. */
export function textWidth(text: string, size: number, weight: Weight = 400): number {
  const sum = (of: 400 | 700) => [...text].reduce((all, letter) => all + letterWidth(letter, of), 0)
  const thousandths = weight === 600 ? (sum(400) + 2 * sum(700)) / 3 : sum(weight)
  return (thousandths * size) / 1000
}

export interface Extent {
  width: number
  height: number
}

/* As `TapeFigure` sets a length: the whole, a stacked fraction, and small what unit it is of. Ems of the figure. */
const GAP = 0.12
const FRACTION = 0.6
const LEAST_FRACTION_PX = 13
/** Stroke and room between the two halves of a fraction, ems of the fraction. */
const RULE = 0.19
const SMALL_PX = 14
const SMALL_LINE = 1.15
const SMALL_MARGIN_PX = 4

/** What a figure takes up that shows a length, mm, at a size, px; with its unit beside it where it says so. */
export function figureExtent(mm: number | null, system: UnitSystem, size: number, withUnit = false): Extent {
  const beside = (lines: readonly string[]) =>
    GAP * size + SMALL_MARGIN_PX + Math.max(...lines.map((one) => textWidth(one, SMALL_PX)))
  if (mm === null) return { width: textWidth('?', size, 700), height: size }
  if (system === 'metric') {
    const width = textWidth(formatMm(mm), size, 700)
    return { width: width + (withUnit ? beside(['mm']) : 0), height: size }
  }
  const { whole, over, under } = toTape(mm)
  const small = Math.max(LEAST_FRACTION_PX, FRACTION * size)
  const hasWhole = whole > 0 || over === 0
  const fraction =
    over > 0 ? textWidth(String(over).length > String(under).length ? String(over) : String(under), small, 700) : 0
  const figure =
    (hasWhole ? textWidth(String(whole), size, 700) : 0) + fraction + (hasWhole && over > 0 ? GAP * size : 0)
  const height = Math.max(hasWhole ? size : 0, over > 0 ? (2 + RULE) * small : 0)
  if (!withUnit) return { width: figure, height }
  const lines = ['in', `${formatMm(mm)} mm`]
  return { width: figure + beside(lines), height: Math.max(height, lines.length * SMALL_PX * SMALL_LINE) }
}
