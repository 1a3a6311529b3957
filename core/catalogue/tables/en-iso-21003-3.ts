import type { EndRow, RatingRow, SocketTable, Source } from '../types'

export const SOURCE = {
  id: 'en-iso-21003-3',
  standard: 'EN ISO 21003-3',
  subject: 'Press fittings for multilayer pipe: insertion met in the trade',
  checked: 'part',
} as const satisfies Source

export const SOCKETS = [
  { nominal: '14', depthMm: 21, loMm: 18, hiMm: 26, typical: true },
  { nominal: '16', depthMm: 21.5, loMm: 18, hiMm: 27, typical: true },
  { nominal: '18', depthMm: 22, loMm: 18, hiMm: 27, typical: true },
  { nominal: '20', depthMm: 23, loMm: 18, hiMm: 29, typical: true },
  { nominal: '25', depthMm: 28, loMm: 22, hiMm: 35, typical: true },
  { nominal: '26', depthMm: 28, loMm: 22, hiMm: 35, typical: true },
  { nominal: '32', depthMm: 30.5, loMm: 24, hiMm: 37, typical: true },
  { nominal: '40', depthMm: 38, loMm: 32, hiMm: 46, typical: true },
  { nominal: '50', depthMm: 43, loMm: 36, hiMm: 54, typical: true },
  { nominal: '63', depthMm: 56, loMm: 45, hiMm: 70, typical: true },
] as const satisfies readonly EndRow[]

/** As the class of the pipe. */
export const RATINGS = [
  { of: 'ml-press', tempC: 70, maxBar: 10, typical: true },
  { of: 'ml-press', tempC: 80, maxBar: 10, typical: true },
] as const satisfies readonly RatingRow[]

export const SOCKET_TABLES = [
  {
    method: 'ml-press',
    rows: SOCKETS,
    families: ['multilayer'],
    sizing: 'own',
    series: 'ml-en',
    rating: { rows: RATINGS, source: SOURCE },
  },
] as const satisfies readonly SocketTable[]
