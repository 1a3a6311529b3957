import type { EndRow, RatingRow, Source } from '../types'

export const SOURCE = { id: 'en-1254-7', standard: 'EN 1254-7', subject: 'Copper press fittings for metric tube: insertion met in the trade' } as const satisfies Source

export const SOCKETS = [
  { nominal: '12', depthMm: 18, loMm: 16, hiMm: 20, typical: true },
  { nominal: '15', depthMm: 21, loMm: 19, hiMm: 25, typical: true },
  { nominal: '18', depthMm: 21, loMm: 19, hiMm: 25, typical: true },
  { nominal: '22', depthMm: 22.5, loMm: 20, hiMm: 26, typical: true },
  { nominal: '28', depthMm: 23.5, loMm: 22, hiMm: 27, typical: true },
  { nominal: '35', depthMm: 26, loMm: 25, hiMm: 30, typical: true },
  { nominal: '42', depthMm: 34.5, loMm: 29, hiMm: 41, typical: true },
  { nominal: '54', depthMm: 39, loMm: 34, hiMm: 45, typical: true },
] as const satisfies readonly EndRow[]

/** Joint with an EPDM seal. */
export const RATINGS = [
  { of: 'press', tempC: 110, maxBar: 16, typical: true },
] as const satisfies readonly RatingRow[]
