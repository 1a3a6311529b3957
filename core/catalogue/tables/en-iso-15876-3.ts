import type { EndRow, RatingRow, SocketTable, Source, TakeOutRow, LengthRow } from '../types'

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
  { fitting: 'elbow-90', nominal: '10', takeOutMm: 10.5, loMm: 8, hiMm: 14 },
  { fitting: 'tee-run', nominal: '10', takeOutMm: 10, loMm: 7, hiMm: 14 },
  { fitting: 'tee-branch', nominal: '10', takeOutMm: 10.5, loMm: 8, hiMm: 14 },
  { fitting: 'coupling', nominal: '10', takeOutMm: 1.5, loMm: 0.5, hiMm: 3 },
  { fitting: 'elbow-90', nominal: '12', takeOutMm: 11, loMm: 9, hiMm: 15 },
  { fitting: 'tee-run', nominal: '12', takeOutMm: 10, loMm: 8, hiMm: 14 },
  { fitting: 'tee-branch', nominal: '12', takeOutMm: 11, loMm: 9, hiMm: 15 },
  { fitting: 'coupling', nominal: '12', takeOutMm: 1.5, loMm: 0.8, hiMm: 3 },
  { fitting: 'elbow-90', nominal: '15', takeOutMm: 14, loMm: 11, hiMm: 20 },
  { fitting: 'elbow-45', nominal: '15', takeOutMm: 8.5, loMm: 5.5, hiMm: 13.3 },
  { fitting: 'tee-run', nominal: '15', takeOutMm: 14, loMm: 10, hiMm: 19 },
  { fitting: 'tee-branch', nominal: '15', takeOutMm: 14, loMm: 11, hiMm: 21 },
  { fitting: 'coupling', nominal: '15', takeOutMm: 1.5, loMm: 0.75, hiMm: 3 },
  { fitting: 'elbow-90', nominal: '22', takeOutMm: 18, loMm: 14, hiMm: 24 },
  { fitting: 'elbow-45', nominal: '22', takeOutMm: 11.5, loMm: 7.7, hiMm: 17.5 },
  { fitting: 'tee-run', nominal: '22', takeOutMm: 17, loMm: 13, hiMm: 23 },
  { fitting: 'tee-branch', nominal: '22', takeOutMm: 18, loMm: 14, hiMm: 25 },
  { fitting: 'coupling', nominal: '22', takeOutMm: 1.5, loMm: 0.75, hiMm: 3 },
  { fitting: 'elbow-90', nominal: '28', takeOutMm: 23.5, loMm: 18, hiMm: 31 },
  { fitting: 'elbow-45', nominal: '28', takeOutMm: 14.5, loMm: 9.9, hiMm: 21.7 },
  { fitting: 'tee-run', nominal: '28', takeOutMm: 22.5, loMm: 17, hiMm: 30 },
  { fitting: 'tee-branch', nominal: '28', takeOutMm: 23.5, loMm: 18, hiMm: 31 },
  { fitting: 'coupling', nominal: '28', takeOutMm: 1.8, loMm: 0.5, hiMm: 4 },
] as const satisfies readonly TakeOutRow[]

export const SOCKET_TABLES = [
  {
    method: 'push-fit',
    rows: SOCKETS,
    families: ['bs7291'],
    sizing: 'en-od',
    rating: { rows: RATINGS, source: SOURCE },
  },
] as const satisfies readonly SocketTable[]

/** Couplings without a stop, whole; makers differ widely, so the one in hand is measured. */
export const SLIP_LENGTHS = [
  { nominal: '10', lengthMm: 68, loMm: 47, hiMm: 103 },
  { nominal: '15', lengthMm: 90, loMm: 59, hiMm: 150 },
  { nominal: '22', lengthMm: 101, loMm: 66, hiMm: 165 },
  { nominal: '28', lengthMm: 105, loMm: 78, hiMm: 134 },
] as const satisfies readonly LengthRow[]

/** Caps, plugs and stop ends, whole; makers differ. */
export const CAP_LENGTHS = [
  { nominal: '10', lengthMm: 33, loMm: 26, hiMm: 42.5 },
  { nominal: '15', lengthMm: 40, loMm: 32, hiMm: 50 },
  { nominal: '22', lengthMm: 45.5, loMm: 36.8, hiMm: 57.5 },
  { nominal: '28', lengthMm: 55, loMm: 44.8, hiMm: 70 },
] as const satisfies readonly LengthRow[]
