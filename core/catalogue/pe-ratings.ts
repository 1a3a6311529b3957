import type { RatingRow } from './types'

/** Hydrostatic design stress of the least grade that is sold, PE2406, psi: its last two figures in hundreds. */
const STRESS_PSI = 630
const PSI_BAR = 14.5038
/** Share of the rating that is left as water warms; typical. Indoors such pipe is for cold water only. */
const FACTORS = [
  { tempC: 23, factor: 1 },
  { tempC: 27, factor: 0.91 },
  { tempC: 32, factor: 0.85 },
  { tempC: 38, factor: 0.78 },
] as const

/**
 * Pressure of a polyethylene series by the ratio of its outside diameter to its wall, bar: 2 x stress / (ratio - 1). A
 * pipe held to its bore counts by its bore's ratio and two. ASTM D2737, D3035, D2239.
 */
export const peRatings = (series: string, ratio: number): RatingRow[] =>
  FACTORS.map(({ tempC, factor }) => ({
    of: series,
    tempC,
    maxBar: ((2 * STRESS_PSI) / (ratio - 1) / PSI_BAR) * factor,
    typical: true,
  }))
