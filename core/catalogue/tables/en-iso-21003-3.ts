import type { EndRow, RatingRow, SocketTable, Source, TakeOutRow, LengthRow } from '../types'

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

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '16', takeOutMm: 16, loMm: 10, hiMm: 24 },
  { fitting: 'elbow-45', nominal: '16', takeOutMm: 12, loMm: 9, hiMm: 16 },
  { fitting: 'tee-run', nominal: '16', takeOutMm: 14, loMm: 10, hiMm: 20 },
  { fitting: 'tee-branch', nominal: '16', takeOutMm: 16, loMm: 10, hiMm: 22 },
  { fitting: 'coupling', nominal: '16', takeOutMm: 2.2, loMm: 1, hiMm: 5.5 },
  { fitting: 'elbow-90', nominal: '20', takeOutMm: 18, loMm: 12, hiMm: 27 },
  { fitting: 'elbow-45', nominal: '20', takeOutMm: 13, loMm: 10, hiMm: 18 },
  { fitting: 'tee-run', nominal: '20', takeOutMm: 16.5, loMm: 12, hiMm: 22 },
  { fitting: 'tee-branch', nominal: '20', takeOutMm: 18, loMm: 12, hiMm: 25 },
  { fitting: 'coupling', nominal: '20', takeOutMm: 2.2, loMm: 1, hiMm: 5.5 },
  { fitting: 'elbow-90', nominal: '26', takeOutMm: 22, loMm: 16, hiMm: 32 },
  { fitting: 'elbow-45', nominal: '26', takeOutMm: 14, loMm: 6, hiMm: 21 },
  { fitting: 'tee-run', nominal: '26', takeOutMm: 19.5, loMm: 15, hiMm: 26 },
  { fitting: 'tee-branch', nominal: '26', takeOutMm: 21.5, loMm: 16, hiMm: 30 },
  { fitting: 'coupling', nominal: '26', takeOutMm: 2.6, loMm: 1, hiMm: 6 },
  { fitting: 'elbow-90', nominal: '32', takeOutMm: 26.5, loMm: 19, hiMm: 38 },
  { fitting: 'elbow-45', nominal: '32', takeOutMm: 16.5, loMm: 8, hiMm: 25 },
  { fitting: 'tee-run', nominal: '32', takeOutMm: 23.5, loMm: 18, hiMm: 31 },
  { fitting: 'tee-branch', nominal: '32', takeOutMm: 26, loMm: 19, hiMm: 36 },
  { fitting: 'coupling', nominal: '32', takeOutMm: 3, loMm: 1, hiMm: 7 },
] as const satisfies readonly TakeOutRow[]

/** Caps, plugs and stop ends, whole; makers differ. */
export const CAP_LENGTHS = [
  { nominal: '16', lengthMm: 33, loMm: 25.6, hiMm: 42 },
  { nominal: '20', lengthMm: 36, loMm: 28.8, hiMm: 45 },
  { nominal: '26', lengthMm: 43.5, loMm: 34, hiMm: 55 },
  { nominal: '32', lengthMm: 48, loMm: 37, hiMm: 62.5 },
] as const satisfies readonly LengthRow[]
