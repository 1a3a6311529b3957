import type { EndRow, RatingRow, SocketTable, Source, TakeOutRow, LengthRow } from '../types'

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

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '20', takeOutMm: 18, loMm: 11, hiMm: 28 },
  { fitting: 'elbow-45', nominal: '20', takeOutMm: 12, loMm: 7, hiMm: 21 },
  { fitting: 'tee-run', nominal: '20', takeOutMm: 17.5, loMm: 11, hiMm: 28 },
  { fitting: 'tee-branch', nominal: '20', takeOutMm: 18.5, loMm: 12, hiMm: 28 },
  { fitting: 'coupling', nominal: '20', takeOutMm: 2.5, loMm: 1, hiMm: 6 },
  { fitting: 'elbow-90', nominal: '25', takeOutMm: 21.5, loMm: 14, hiMm: 32 },
  { fitting: 'elbow-45', nominal: '25', takeOutMm: 14.5, loMm: 8.5, hiMm: 24 },
  { fitting: 'tee-run', nominal: '25', takeOutMm: 21, loMm: 14, hiMm: 32 },
  { fitting: 'tee-branch', nominal: '25', takeOutMm: 22, loMm: 15, hiMm: 32 },
  { fitting: 'coupling', nominal: '25', takeOutMm: 2.5, loMm: 1, hiMm: 6 },
  { fitting: 'elbow-90', nominal: '32', takeOutMm: 26, loMm: 18, hiMm: 38 },
  { fitting: 'elbow-45', nominal: '32', takeOutMm: 17.5, loMm: 10.5, hiMm: 28.5 },
  { fitting: 'tee-run', nominal: '32', takeOutMm: 25.5, loMm: 18, hiMm: 38 },
  { fitting: 'tee-branch', nominal: '32', takeOutMm: 26.5, loMm: 19, hiMm: 38 },
  { fitting: 'coupling', nominal: '32', takeOutMm: 2.8, loMm: 1, hiMm: 7 },
  { fitting: 'elbow-90', nominal: '40', takeOutMm: 32, loMm: 22, hiMm: 46 },
  { fitting: 'elbow-45', nominal: '40', takeOutMm: 21, loMm: 13, hiMm: 34.5 },
  { fitting: 'tee-run', nominal: '40', takeOutMm: 31.5, loMm: 22, hiMm: 46 },
  { fitting: 'tee-branch', nominal: '40', takeOutMm: 32.5, loMm: 23, hiMm: 46 },
  { fitting: 'coupling', nominal: '40', takeOutMm: 3, loMm: 1, hiMm: 8 },
  { fitting: 'elbow-90', nominal: '50', takeOutMm: 38.5, loMm: 27, hiMm: 55 },
  { fitting: 'elbow-45', nominal: '50', takeOutMm: 25, loMm: 16, hiMm: 41.3 },
  { fitting: 'tee-run', nominal: '50', takeOutMm: 38, loMm: 27, hiMm: 55 },
  { fitting: 'tee-branch', nominal: '50', takeOutMm: 39, loMm: 28, hiMm: 55 },
  { fitting: 'coupling', nominal: '50', takeOutMm: 3, loMm: 1, hiMm: 9 },
  { fitting: 'elbow-90', nominal: '63', takeOutMm: 48, loMm: 34, hiMm: 68 },
  { fitting: 'elbow-45', nominal: '63', takeOutMm: 32, loMm: 20.5, hiMm: 51 },
  { fitting: 'tee-run', nominal: '63', takeOutMm: 47.5, loMm: 34, hiMm: 68 },
  { fitting: 'tee-branch', nominal: '63', takeOutMm: 48.5, loMm: 35, hiMm: 68 },
  { fitting: 'coupling', nominal: '63', takeOutMm: 3.5, loMm: 1, hiMm: 10 },
] as const satisfies readonly TakeOutRow[]

/** Caps, plugs and stop ends, whole; makers differ. */
export const CAP_LENGTHS = [
  { nominal: '20', lengthMm: 71, loMm: 52, hiMm: 100 },
  { nominal: '25', lengthMm: 76.5, loMm: 57, hiMm: 106.2 },
  { nominal: '32', lengthMm: 89, loMm: 66, hiMm: 125 },
  { nominal: '40', lengthMm: 103.5, loMm: 78, hiMm: 143.8 },
  { nominal: '50', lengthMm: 120.5, loMm: 90, hiMm: 168.8 },
  { nominal: '63', lengthMm: 142, loMm: 105, hiMm: 200 },
] as const satisfies readonly LengthRow[]
