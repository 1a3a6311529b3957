import { fail, ok, type Result } from '#core/base'
import { formatDecimal } from '#core/units'

/** A bank card: ISO/IEC 7810, ID-1, mm. */
export const CARD = { width: 85.6, height: 53.98 } as const

/** px a mm that a screen is taken to have before it is measured (CSS: 96 px an inch), to begin from only. */
export const ASSUMED_PX_PER_MM = 96 / 25.4

/** How many px this screen has a mm, and the pixel ratio it was measured at: zoomed, it is another screen. */
export interface ScreenScale {
  pxPerMm: number
  ratio: number
  at: string
}

/** px a mm that a screen can have: a large display seen from afar to the finest phone. */
const RANGE = { lo: 1.2, hi: 12 } as const

/** The scale of a screen on which a card is so wide, px. Issue `range` at `card` where no screen is like that. */
export function scaleFrom(cardWidthPx: number, ratio: number, at: string): Result<ScreenScale> {
  const pxPerMm = cardWidthPx / CARD.width
  if (!(pxPerMm >= RANGE.lo && pxPerMm <= RANGE.hi))
    return fail(
      'range',
      'card',
      `card: a card ${formatDecimal(cardWidthPx, 0)} px wide makes ${formatDecimal(pxPerMm, 2)} px a mm; screens have ${RANGE.lo} to ${RANGE.hi}.`,
    )
  return ok({ pxPerMm, ratio, at })
}

/** The scale kept for this device, where it still holds; null where it was never set or the page is zoomed since. */
export function checkScale(kept: unknown, ratio: number): ScreenScale | null {
  if (typeof kept !== 'object' || kept === null) return null
  const { pxPerMm, ratio: then, at } = kept as Partial<ScreenScale>
  if (typeof pxPerMm !== 'number' || typeof then !== 'number' || typeof at !== 'string') return null
  return Math.abs(then - ratio) < 0.001 && scaleFrom(pxPerMm * CARD.width, ratio, at).ok
    ? { pxPerMm, ratio: then, at }
    : null
}
