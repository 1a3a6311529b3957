import type { EndRow, RatingRow, SocketTable, Source } from '../types'

export const SOURCE = {
  id: 'iso-17885',
  standard: 'ISO 17885',
  subject: 'Mechanical fittings for polyethylene pipe: insertion met in the trade',
  checked: 'part',
} as const satisfies Source

export const SOCKETS = [
  { nominal: '20', depthMm: 50.5, loMm: 40, hiMm: 60, typical: true },
  { nominal: '25', depthMm: 55.5, loMm: 43, hiMm: 66, typical: true },
  { nominal: '32', depthMm: 63, loMm: 50, hiMm: 76, typical: true },
  { nominal: '50', depthMm: 87, loMm: 70, hiMm: 104, typical: true },
  { nominal: '63', depthMm: 102, loMm: 84, hiMm: 124, typical: true },
] as const satisfies readonly EndRow[]

/** As the pipe, PE80. */
export const RATINGS = [
  { of: 'pe-compression', tempC: 20, maxBar: 12.5, typical: true },
  { of: 'pe-compression', tempC: 30, maxBar: 10.875, typical: true },
  { of: 'pe-compression', tempC: 40, maxBar: 9.25, typical: true },
] as const satisfies readonly RatingRow[]

export const SOCKET_TABLES = [
  {
    method: 'pe-compression',
    rows: SOCKETS,
    families: ['pe'],
    sizing: 'own',
    series: 'pe-en',
    rating: { rows: RATINGS, source: SOURCE },
  },
] as const satisfies readonly SocketTable[]
