import type { EndRow, RatingRow, SocketTable, Source, TakeOutRow } from '../types'

export const SOURCE = {
  id: 'en-iso-15876-3',
  standard: 'BS EN ISO 15876-3',
  subject: 'Plastic push-fit fittings in copper outside diameters: insertion met in the trade',
  checked: 'part',
} as const satisfies Source

export const SOCKETS = [
  { nominal: '10', depthMm: 21.5, loMm: 18, hiMm: 31, typical: true },
  { nominal: '12', depthMm: null, loMm: 20, hiMm: 30, typical: true },
  { nominal: '15', depthMm: 27.5, loMm: 23, hiMm: 36, typical: true },
  { nominal: '22', depthMm: 31, loMm: 26, hiMm: 40, typical: true },
  { nominal: '28', depthMm: 37, loMm: 32, hiMm: 46, typical: true },
] as const satisfies readonly EndRow[]

/** Class S system in plastic. */
export const RATINGS = [
  { of: 'push-fit', tempC: 20, maxBar: 12, typical: true },
  { of: 'push-fit', tempC: 82, maxBar: 6, typical: true },
] as const satisfies readonly RatingRow[]

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '15', takeOutMm: 14, loMm: 11, hiMm: 20 },
  { fitting: 'tee-run', nominal: '15', takeOutMm: 14, loMm: 10, hiMm: 19 },
  { fitting: 'tee-branch', nominal: '15', takeOutMm: 14, loMm: 11, hiMm: 21 },
  { fitting: 'coupling', nominal: '15', takeOutMm: 1.5, loMm: 0.75, hiMm: 3 },
  { fitting: 'elbow-90', nominal: '22', takeOutMm: 18, loMm: 14, hiMm: 24 },
  { fitting: 'tee-run', nominal: '22', takeOutMm: 17, loMm: 13, hiMm: 23 },
  { fitting: 'tee-branch', nominal: '22', takeOutMm: 18, loMm: 14, hiMm: 25 },
  { fitting: 'coupling', nominal: '22', takeOutMm: 1.5, loMm: 0.75, hiMm: 3 },
] as const satisfies readonly TakeOutRow[]

export const SOCKET_TABLES = [
  {
    method: 'push-fit',
    rows: SOCKETS,
    families: ['copper', 'bs7291'],
    sizing: 'en-od',
    rating: { rows: RATINGS, source: SOURCE },
  },
] as const satisfies readonly SocketTable[]
