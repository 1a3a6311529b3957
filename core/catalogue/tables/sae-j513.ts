import type { EndRow, RatingRow, SocketTable, Source } from '../types'

export const SOURCE = {
  id: 'sae-j513',
  standard: 'SAE J513, ASME B16.26',
  subject: 'Flared joints of soft copper, 45 degrees: the flare stands on the nose of the fitting',
  checked: 'one',
} as const satisfies Source

/** By the tube's nominal size, 1/8 in under its outside diameter: no insertion, the flare uses up 0.5 to 1 of the tube. */
export const NOSES = [
  { nominal: '1/8', depthMm: 0, loMm: -1, hiMm: 2, typical: true },
  { nominal: '1/4', depthMm: 0, loMm: -1, hiMm: 2, typical: true },
  { nominal: '3/8', depthMm: 0, loMm: -1, hiMm: 2, typical: true },
  { nominal: '1/2', depthMm: 0, loMm: -1, hiMm: 2, typical: true },
  { nominal: '5/8', depthMm: 0, loMm: -1, hiMm: 2, typical: true },
  { nominal: '3/4', depthMm: 0, loMm: -1, hiMm: 2, typical: true },
  { nominal: '1', depthMm: 0, loMm: -1, hiMm: 2, typical: true },
] as const satisfies readonly EndRow[]

/** On soft copper with water; 150 to 200 psi by maker. */
export const RATINGS = [{ of: 'flare', tempC: 38, maxBar: 12.1, typical: true }] as const satisfies readonly RatingRow[]

export const SOCKET_TABLES = [
  { method: 'flare', rows: NOSES, families: ['copper'], sizing: 'cts', rating: { rows: RATINGS, source: SOURCE } },
] as const satisfies readonly SocketTable[]
