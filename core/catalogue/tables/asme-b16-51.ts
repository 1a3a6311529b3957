import type { EndRow, RatingRow, SocketTable, Source, TakeOutRow, LengthRow } from '../types'

export const SOURCE = {
  id: 'asme-b16-51',
  standard: 'ASME B16.51',
  subject: 'Copper press fittings for inch tube: insertion met in the trade',
  checked: 'part',
} as const satisfies Source

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

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '1/2', takeOutMm: 19, loMm: 16, hiMm: 24 },
  { fitting: 'elbow-45', nominal: '1/2', takeOutMm: 9, loMm: 7, hiMm: 13 },
  { fitting: 'tee-run', nominal: '1/2', takeOutMm: 14, loMm: 10, hiMm: 19 },
  { fitting: 'tee-branch', nominal: '1/2', takeOutMm: 17, loMm: 13, hiMm: 22 },
  { fitting: 'coupling', nominal: '1/2', takeOutMm: 2, loMm: 0.75, hiMm: 4 },
  { fitting: 'elbow-90', nominal: '3/4', takeOutMm: 27, loMm: 22, hiMm: 33 },
  { fitting: 'elbow-45', nominal: '3/4', takeOutMm: 12, loMm: 9, hiMm: 16 },
  { fitting: 'tee-run', nominal: '3/4', takeOutMm: 18, loMm: 14, hiMm: 23 },
  { fitting: 'tee-branch', nominal: '3/4', takeOutMm: 21, loMm: 16, hiMm: 27 },
  { fitting: 'coupling', nominal: '3/4', takeOutMm: 2, loMm: 0.75, hiMm: 4 },
  { fitting: 'elbow-90', nominal: '1', takeOutMm: 34, loMm: 28, hiMm: 41 },
  { fitting: 'elbow-45', nominal: '1', takeOutMm: 15, loMm: 11, hiMm: 19 },
  { fitting: 'tee-run', nominal: '1', takeOutMm: 21, loMm: 17, hiMm: 27 },
  { fitting: 'tee-branch', nominal: '1', takeOutMm: 24, loMm: 19, hiMm: 31 },
  { fitting: 'coupling', nominal: '1', takeOutMm: 2, loMm: 0.75, hiMm: 4 },
  { fitting: 'elbow-90', nominal: '1-1/4', takeOutMm: 42, loMm: 29, hiMm: 51.9 },
  { fitting: 'elbow-45', nominal: '1-1/4', takeOutMm: 19, loMm: 14, hiMm: 24.9 },
  { fitting: 'tee-run', nominal: '1-1/4', takeOutMm: 23, loMm: 17, hiMm: 33 },
  { fitting: 'tee-branch', nominal: '1-1/4', takeOutMm: 26.5, loMm: 20, hiMm: 37 },
  { fitting: 'coupling', nominal: '1-1/4', takeOutMm: 2.2, loMm: 0.5, hiMm: 5 },
  { fitting: 'elbow-90', nominal: '1-1/2', takeOutMm: 49.5, loMm: 34, hiMm: 60.9 },
  { fitting: 'elbow-45', nominal: '1-1/2', takeOutMm: 22, loMm: 17, hiMm: 29.5 },
  { fitting: 'tee-run', nominal: '1-1/2', takeOutMm: 27, loMm: 19.7, hiMm: 38 },
  { fitting: 'tee-branch', nominal: '1-1/2', takeOutMm: 31, loMm: 22.6, hiMm: 43 },
  { fitting: 'coupling', nominal: '1-1/2', takeOutMm: 2.2, loMm: 0.5, hiMm: 5.5 },
  { fitting: 'elbow-90', nominal: '2', takeOutMm: 65, loMm: 44, hiMm: 80 },
  { fitting: 'elbow-45', nominal: '2', takeOutMm: 28, loMm: 22, hiMm: 38 },
  { fitting: 'tee-run', nominal: '2', takeOutMm: 33, loMm: 25, hiMm: 46 },
  { fitting: 'tee-branch', nominal: '2', takeOutMm: 37.5, loMm: 29, hiMm: 51 },
  { fitting: 'coupling', nominal: '2', takeOutMm: 2.5, loMm: 0.5, hiMm: 6 },
] as const satisfies readonly TakeOutRow[]

export const SOCKET_TABLES = [
  { method: 'press', rows: SOCKETS, families: ['copper'], sizing: 'cts', rating: { rows: RATINGS, source: SOURCE } },
] as const satisfies readonly SocketTable[]

/** Couplings without a stop, whole; makers differ widely, so the one in hand is measured. */
export const SLIP_LENGTHS = [
  { nominal: '1/2', lengthMm: 54, loMm: 40, hiMm: 100 },
  { nominal: '3/4', lengthMm: 61.5, loMm: 47, hiMm: 110 },
  { nominal: '1', lengthMm: 65.5, loMm: 47, hiMm: 120 },
  { nominal: '1-1/4', lengthMm: 76.5, loMm: 53, hiMm: 140 },
  { nominal: '1-1/2', lengthMm: 99.5, loMm: 75, hiMm: 165 },
  { nominal: '2', lengthMm: 112, loMm: 82, hiMm: 185 },
] as const satisfies readonly LengthRow[]

/** Caps, plugs and stop ends, whole; makers differ. */
export const CAP_LENGTHS = [
  { nominal: '1/2', lengthMm: 29, loMm: 21, hiMm: 41.2 },
  { nominal: '3/4', lengthMm: 32.5, loMm: 24, hiMm: 45 },
  { nominal: '1', lengthMm: 34.5, loMm: 25, hiMm: 48.8 },
  { nominal: '1-1/4', lengthMm: 39, loMm: 28, hiMm: 49 },
  { nominal: '1-1/2', lengthMm: 51.5, loMm: 38, hiMm: 64 },
  { nominal: '2', lengthMm: 56, loMm: 42, hiMm: 70 },
] as const satisfies readonly LengthRow[]
