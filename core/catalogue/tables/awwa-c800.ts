import type { EndRow, RatingRow, SocketTable, Source } from '../types'

export const SOURCE = {
  id: 'awwa-c800',
  standard: 'AWWA C800',
  subject: 'Compression fittings of service tube in polyethylene: insertion met in the trade',
  checked: 'part',
} as const satisfies Source

/** Copper tube sizes: nut run up by hand, to the stop. */
export const SOCKETS = [
  { nominal: '1/2', depthMm: 35, loMm: 30, hiMm: 45, typical: true },
  { nominal: '3/4', depthMm: 44, loMm: 34, hiMm: 57, typical: true },
  { nominal: '1', depthMm: 51, loMm: 38, hiMm: 66, typical: true },
  { nominal: '1-1/4', depthMm: 56, loMm: 43, hiMm: 71, typical: true },
  { nominal: '1-1/2', depthMm: 62, loMm: 46, hiMm: 78, typical: true },
  { nominal: '2', depthMm: 71, loMm: 52, hiMm: 89, typical: true },
] as const satisfies readonly EndRow[]

/** Iron pipe sizes: made, but nobody has a figure. */
export const IRON_SOCKETS = [
  { nominal: '1/2', depthMm: null, loMm: null, hiMm: null, typical: true },
  { nominal: '3/4', depthMm: null, loMm: null, hiMm: null, typical: true },
  { nominal: '1', depthMm: null, loMm: null, hiMm: null, typical: true },
  { nominal: '1-1/4', depthMm: null, loMm: null, hiMm: null, typical: true },
  { nominal: '1-1/2', depthMm: null, loMm: null, hiMm: null, typical: true },
  { nominal: '2', depthMm: null, loMm: null, hiMm: null, typical: true },
] as const satisfies readonly EndRow[]

/** Older editions say 150 psi; newer fittings go to 300. */
export const RATINGS = [
  { of: 'pack joint', tempC: 23, maxBar: 10.34, typical: true },
] as const satisfies readonly RatingRow[]

const RATED = { rows: RATINGS, source: SOURCE }
export const SOCKET_TABLES = [
  { method: 'pe-compression', rows: SOCKETS, families: ['pe'], sizing: 'cts', rating: RATED },
  { method: 'pe-compression', rows: IRON_SOCKETS, families: ['pe'], sizing: 'ips', rating: RATED },
] as const satisfies readonly SocketTable[]
