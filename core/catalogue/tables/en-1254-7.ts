import type { EndRow, RatingRow, SocketTable, Source, TakeOutRow, LengthRow } from '../types'

export const SOURCE = {
  id: 'en-1254-7',
  standard: 'EN 1254-7',
  subject: 'Copper press fittings for metric tube: insertion met in the trade',
  checked: 'part',
} as const satisfies Source

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
export const RATINGS = [{ of: 'press', tempC: 110, maxBar: 16, typical: true }] as const satisfies readonly RatingRow[]

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '12', takeOutMm: 16, loMm: 12, hiMm: 21 },
  { fitting: 'elbow-45', nominal: '12', takeOutMm: 7.5, loMm: 5, hiMm: 11 },
  { fitting: 'tee-run', nominal: '12', takeOutMm: 10, loMm: 7, hiMm: 15 },
  { fitting: 'tee-branch', nominal: '12', takeOutMm: 12.5, loMm: 9, hiMm: 19 },
  { fitting: 'coupling', nominal: '12', takeOutMm: 1.8, loMm: 0.5, hiMm: 4 },
  { fitting: 'elbow-90', nominal: '15', takeOutMm: 19, loMm: 16, hiMm: 22 },
  { fitting: 'elbow-45', nominal: '15', takeOutMm: 9.5, loMm: 7, hiMm: 12 },
  { fitting: 'tee-run', nominal: '15', takeOutMm: 13, loMm: 10, hiMm: 18 },
  { fitting: 'tee-branch', nominal: '15', takeOutMm: 17, loMm: 13, hiMm: 22 },
  { fitting: 'coupling', nominal: '15', takeOutMm: 1.8, loMm: 0.5, hiMm: 4 },
  { fitting: 'elbow-90', nominal: '18', takeOutMm: 22, loMm: 18, hiMm: 29 },
  { fitting: 'elbow-45', nominal: '18', takeOutMm: 10.5, loMm: 7.5, hiMm: 15 },
  { fitting: 'tee-run', nominal: '18', takeOutMm: 13.5, loMm: 9, hiMm: 22 },
  { fitting: 'tee-branch', nominal: '18', takeOutMm: 17, loMm: 11, hiMm: 24 },
  { fitting: 'coupling', nominal: '18', takeOutMm: 1.8, loMm: 0.5, hiMm: 4 },
  { fitting: 'elbow-90', nominal: '22', takeOutMm: 27.5, loMm: 23, hiMm: 32 },
  { fitting: 'elbow-45', nominal: '22', takeOutMm: 12.5, loMm: 9, hiMm: 15 },
  { fitting: 'tee-run', nominal: '22', takeOutMm: 17, loMm: 14, hiMm: 22 },
  { fitting: 'tee-branch', nominal: '22', takeOutMm: 20, loMm: 17, hiMm: 26 },
  { fitting: 'coupling', nominal: '22', takeOutMm: 1.8, loMm: 0.5, hiMm: 4 },
  { fitting: 'elbow-90', nominal: '28', takeOutMm: 35, loMm: 29, hiMm: 40 },
  { fitting: 'elbow-45', nominal: '28', takeOutMm: 15.5, loMm: 11, hiMm: 18 },
  { fitting: 'tee-run', nominal: '28', takeOutMm: 19, loMm: 16, hiMm: 25 },
  { fitting: 'tee-branch', nominal: '28', takeOutMm: 22, loMm: 19, hiMm: 29 },
  { fitting: 'coupling', nominal: '28', takeOutMm: 1.8, loMm: 0.5, hiMm: 4 },
  { fitting: 'elbow-90', nominal: '35', takeOutMm: 42.5, loMm: 30, hiMm: 52 },
  { fitting: 'elbow-45', nominal: '35', takeOutMm: 19, loMm: 14, hiMm: 25 },
  { fitting: 'tee-run', nominal: '35', takeOutMm: 22.5, loMm: 17, hiMm: 31 },
  { fitting: 'tee-branch', nominal: '35', takeOutMm: 26, loMm: 20, hiMm: 34 },
  { fitting: 'coupling', nominal: '35', takeOutMm: 2.2, loMm: 0.5, hiMm: 5 },
  { fitting: 'elbow-90', nominal: '42', takeOutMm: 51, loMm: 37, hiMm: 62 },
  { fitting: 'elbow-45', nominal: '42', takeOutMm: 22.5, loMm: 17, hiMm: 30 },
  { fitting: 'tee-run', nominal: '42', takeOutMm: 26.5, loMm: 20, hiMm: 36 },
  { fitting: 'tee-branch', nominal: '42', takeOutMm: 30, loMm: 23, hiMm: 39 },
  { fitting: 'coupling', nominal: '42', takeOutMm: 2.2, loMm: 0.5, hiMm: 5 },
  { fitting: 'elbow-90', nominal: '54', takeOutMm: 65, loMm: 47, hiMm: 80 },
  { fitting: 'elbow-45', nominal: '54', takeOutMm: 28.5, loMm: 22, hiMm: 38 },
  { fitting: 'tee-run', nominal: '54', takeOutMm: 32.5, loMm: 25, hiMm: 43 },
  { fitting: 'tee-branch', nominal: '54', takeOutMm: 36.5, loMm: 29, hiMm: 48 },
  { fitting: 'coupling', nominal: '54', takeOutMm: 2.5, loMm: 0.5, hiMm: 6 },
] as const satisfies readonly TakeOutRow[]

export const SOCKET_TABLES = [
  { method: 'press', rows: SOCKETS, families: ['copper'], sizing: 'en-od', rating: { rows: RATINGS, source: SOURCE } },
] as const satisfies readonly SocketTable[]

/** Couplings without a stop, whole; makers differ widely, so the one in hand is measured. */
export const SLIP_LENGTHS = [
  { nominal: '12', lengthMm: 68.5, loMm: 42, hiMm: 111 },
  { nominal: '15', lengthMm: 76, loMm: 48, hiMm: 117 },
  { nominal: '18', lengthMm: 77, loMm: 48, hiMm: 117 },
  { nominal: '22', lengthMm: 81, loMm: 51, hiMm: 120 },
  { nominal: '28', lengthMm: 86, loMm: 53, hiMm: 125 },
  { nominal: '35', lengthMm: 94.5, loMm: 58, hiMm: 140 },
  { nominal: '42', lengthMm: 114.5, loMm: 75, hiMm: 165 },
  { nominal: '54', lengthMm: 129, loMm: 84, hiMm: 190 },
] as const satisfies readonly LengthRow[]

/** Caps, plugs and stop ends, whole; makers differ. */
export const CAP_LENGTHS = [
  { nominal: '12', lengthMm: 25, loMm: 20, hiMm: 32.5 },
  { nominal: '15', lengthMm: 30, loMm: 23, hiMm: 40 },
  { nominal: '18', lengthMm: 30.5, loMm: 24, hiMm: 40 },
  { nominal: '22', lengthMm: 33, loMm: 26, hiMm: 43.8 },
  { nominal: '28', lengthMm: 35.5, loMm: 28, hiMm: 47.5 },
  { nominal: '35', lengthMm: 41, loMm: 31, hiMm: 55 },
  { nominal: '42', lengthMm: 50, loMm: 39, hiMm: 67.5 },
  { nominal: '54', lengthMm: 57, loMm: 44, hiMm: 77.5 },
] as const satisfies readonly LengthRow[]
