import type { EndRow, RatingRow, SocketTable, Source, TakeOutRow, LengthRow } from '../types'

export const SOURCE = {
  id: 'asse-1061',
  standard: 'ASSE 1061',
  subject: 'Metal push-fit fittings for copper tube sizes: insertion met in the trade',
  checked: 'part',
} as const satisfies Source

export const SOCKETS = [
  { nominal: '1/4', depthMm: 20, loMm: 17, hiMm: 24, typical: true },
  { nominal: '3/8', depthMm: 23, loMm: 20, hiMm: 27, typical: true },
  { nominal: '1/2', depthMm: 25, loMm: 22, hiMm: 29, typical: true },
  { nominal: '3/4', depthMm: 29, loMm: 25, hiMm: 33, typical: true },
  { nominal: '1', depthMm: 33, loMm: 29, hiMm: 39, typical: true },
  { nominal: '1-1/4', depthMm: null, loMm: 36, hiMm: 52, typical: true },
  { nominal: '1-1/2', depthMm: null, loMm: 40, hiMm: 56, typical: true },
  { nominal: '2', depthMm: null, loMm: 44, hiMm: 62, typical: true },
] as const satisfies readonly EndRow[]

/** The fitting; with plastic tube the tube governs. */
export const RATINGS = [
  { of: 'push-fit', tempC: 93, maxBar: 13.8, typical: false },
] as const satisfies readonly RatingRow[]

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '1/4', takeOutMm: 9, loMm: 6, hiMm: 13 },
  { fitting: 'tee-run', nominal: '1/4', takeOutMm: 8.5, loMm: 6, hiMm: 13 },
  { fitting: 'tee-branch', nominal: '1/4', takeOutMm: 9, loMm: 6, hiMm: 13 },
  { fitting: 'coupling', nominal: '1/4', takeOutMm: 1.2, loMm: 0.5, hiMm: 3 },
  { fitting: 'elbow-90', nominal: '3/8', takeOutMm: 10.5, loMm: 8, hiMm: 15 },
  { fitting: 'tee-run', nominal: '3/8', takeOutMm: 10, loMm: 7, hiMm: 15 },
  { fitting: 'tee-branch', nominal: '3/8', takeOutMm: 10.5, loMm: 8, hiMm: 15 },
  { fitting: 'coupling', nominal: '3/8', takeOutMm: 1.2, loMm: 0.5, hiMm: 3 },
  { fitting: 'elbow-90', nominal: '1/2', takeOutMm: 14, loMm: 11, hiMm: 19 },
  { fitting: 'tee-run', nominal: '1/2', takeOutMm: 14, loMm: 10, hiMm: 18 },
  { fitting: 'tee-branch', nominal: '1/2', takeOutMm: 14, loMm: 11, hiMm: 20 },
  { fitting: 'coupling', nominal: '1/2', takeOutMm: 1.5, loMm: 0.75, hiMm: 3 },
  { fitting: 'elbow-90', nominal: '5/8', takeOutMm: 15, loMm: 11, hiMm: 22 },
  { fitting: 'tee-run', nominal: '5/8', takeOutMm: 14, loMm: 10, hiMm: 21 },
  { fitting: 'tee-branch', nominal: '5/8', takeOutMm: 15, loMm: 11, hiMm: 22 },
  { fitting: 'coupling', nominal: '5/8', takeOutMm: 1.5, loMm: 0.5, hiMm: 3 },
  { fitting: 'elbow-90', nominal: '3/4', takeOutMm: 18, loMm: 14, hiMm: 23 },
  { fitting: 'tee-run', nominal: '3/4', takeOutMm: 17, loMm: 13, hiMm: 22 },
  { fitting: 'tee-branch', nominal: '3/4', takeOutMm: 18, loMm: 14, hiMm: 24 },
  { fitting: 'coupling', nominal: '3/4', takeOutMm: 1.5, loMm: 0.75, hiMm: 3 },
  { fitting: 'elbow-90', nominal: '1', takeOutMm: 21.5, loMm: 16, hiMm: 30 },
  { fitting: 'tee-run', nominal: '1', takeOutMm: 20.5, loMm: 15, hiMm: 29 },
  { fitting: 'tee-branch', nominal: '1', takeOutMm: 21.5, loMm: 16, hiMm: 30 },
  { fitting: 'coupling', nominal: '1', takeOutMm: 1.8, loMm: 0.5, hiMm: 4 },
] as const satisfies readonly TakeOutRow[]

export const SOCKET_TABLES = [
  {
    method: 'push-fit',
    rows: SOCKETS,
    families: ['copper', 'pex', 'pert', 'cpvc'],
    sizing: 'cts',
    rating: { rows: RATINGS, source: SOURCE },
  },
] as const satisfies readonly SocketTable[]

/** Caps, plugs and stop ends, whole; makers differ. */
export const CAP_LENGTHS = [
  { nominal: '3/8', lengthMm: 30, loMm: 24, hiMm: 38 },
  { nominal: '1/2', lengthMm: 38, loMm: 28, hiMm: 52.5 },
  { nominal: '3/4', lengthMm: 42.5, loMm: 32, hiMm: 57.5 },
  { nominal: '1', lengthMm: 49.5, loMm: 37, hiMm: 67.5 },
] as const satisfies readonly LengthRow[]
