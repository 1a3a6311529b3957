import type { EndRow, RatingRow, Source } from '../types'

export const SOURCE = { id: 'asme-b16-51', standard: 'ASME B16.51', subject: 'Copper press fittings for inch tube: insertion met in the trade' } as const satisfies Source

export const SOCKETS = [
  { nominal: '1/2', depthMm: 19, loMm: 17, hiMm: 24.13, typical: true },
  { nominal: '3/4', depthMm: 22.5, loMm: 20, hiMm: 25, typical: true },
  { nominal: '1', depthMm: 22.5, loMm: 21.59, hiMm: 26, typical: true },
  { nominal: '1-1/4', depthMm: 25.5, loMm: 24.89, hiMm: 30, typical: true },
  { nominal: '1-1/2', depthMm: 36.5, loMm: 34, hiMm: 39.37, typical: true },
  { nominal: '2', depthMm: 40, loMm: 38, hiMm: 44.45, typical: true },
] as const satisfies readonly EndRow[]

/** Joint with an EPDM seal. */
export const RATINGS = [
  { of: 'press', tempC: 121, maxBar: 13.8, typical: false },
] as const satisfies readonly RatingRow[]
