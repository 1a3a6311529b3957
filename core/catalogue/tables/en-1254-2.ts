import type { EndRow, RatingRow, SocketTable, Source, TakeOutRow, LengthRow } from '../types'

export const SOURCE = {
  id: 'en-1254-2',
  standard: 'EN 1254-2',
  subject: 'Compression fittings: depth from the outer face of the nut to the stop, met in the trade',
  checked: 'part',
} as const satisfies Source

export const SOCKETS = [
  { nominal: '8', depthMm: 14, loMm: 11, hiMm: 18, typical: true },
  { nominal: '10', depthMm: 16, loMm: 13, hiMm: 20, typical: true },
  { nominal: '12', depthMm: 18, loMm: 14, hiMm: 22, typical: true },
  { nominal: '15', depthMm: 18, loMm: 14, hiMm: 25, typical: true },
  { nominal: '22', depthMm: 23.5, loMm: 20, hiMm: 29, typical: true },
  { nominal: '28', depthMm: 26, loMm: 22, hiMm: 33, typical: true },
  { nominal: '35', depthMm: null, loMm: 26, hiMm: 40, typical: true },
  { nominal: '42', depthMm: null, loMm: 28, hiMm: 44, typical: true },
  { nominal: '54', depthMm: null, loMm: 30, hiMm: 50, typical: true },
] as const satisfies readonly EndRow[]

/** Type B, whose tube end is flared: it stands on the nose, nothing goes in. */
export const TYPE_B = [
  { nominal: '8', depthMm: 0, loMm: -1, hiMm: 2, typical: true },
  { nominal: '10', depthMm: 0, loMm: -1, hiMm: 2, typical: true },
  { nominal: '12', depthMm: 0, loMm: -1, hiMm: 2, typical: true },
  { nominal: '15', depthMm: 0, loMm: -1, hiMm: 2, typical: true },
  { nominal: '22', depthMm: 0, loMm: -1, hiMm: 2, typical: true },
  { nominal: '28', depthMm: 0, loMm: -1, hiMm: 2, typical: true },
] as const satisfies readonly EndRow[]

/** On metal tube, 6 to 54 mm. */
export const RATINGS = [
  { of: 'compression', tempC: 30, maxBar: 16, typical: true },
  { of: 'compression', tempC: 65, maxBar: 10, typical: true },
  { of: 'compression', tempC: 110, maxBar: 6, typical: true },
] as const satisfies readonly RatingRow[]

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '8', takeOutMm: 9, loMm: 6, hiMm: 12 },
  { fitting: 'elbow-45', nominal: '8', takeOutMm: 5.5, loMm: 3.9, hiMm: 9 },
  { fitting: 'tee-run', nominal: '8', takeOutMm: 8, loMm: 6, hiMm: 12 },
  { fitting: 'tee-branch', nominal: '8', takeOutMm: 9, loMm: 6, hiMm: 12 },
  { fitting: 'coupling', nominal: '8', takeOutMm: 1.2, loMm: 0.5, hiMm: 3 },
  { fitting: 'elbow-90', nominal: '10', takeOutMm: 10, loMm: 7.5, hiMm: 13 },
  { fitting: 'elbow-45', nominal: '10', takeOutMm: 6, loMm: 4.4, hiMm: 9.8 },
  { fitting: 'tee-run', nominal: '10', takeOutMm: 9, loMm: 7, hiMm: 13 },
  { fitting: 'tee-branch', nominal: '10', takeOutMm: 10, loMm: 7.5, hiMm: 13 },
  { fitting: 'coupling', nominal: '10', takeOutMm: 1.2, loMm: 0.5, hiMm: 3 },
  { fitting: 'elbow-90', nominal: '12', takeOutMm: 11, loMm: 8, hiMm: 14.5 },
  { fitting: 'elbow-45', nominal: '12', takeOutMm: 6.5, loMm: 4.7, hiMm: 10.5 },
  { fitting: 'tee-run', nominal: '12', takeOutMm: 10, loMm: 7.5, hiMm: 14 },
  { fitting: 'tee-branch', nominal: '12', takeOutMm: 11, loMm: 8, hiMm: 14.5 },
  { fitting: 'coupling', nominal: '12', takeOutMm: 1.4, loMm: 0.5, hiMm: 3 },
  { fitting: 'elbow-90', nominal: '15', takeOutMm: 12, loMm: 9, hiMm: 16 },
  { fitting: 'elbow-45', nominal: '15', takeOutMm: 8, loMm: 5.5, hiMm: 12.8 },
  { fitting: 'tee-run', nominal: '15', takeOutMm: 12, loMm: 9, hiMm: 16 },
  { fitting: 'tee-branch', nominal: '15', takeOutMm: 12, loMm: 9, hiMm: 16 },
  { fitting: 'coupling', nominal: '15', takeOutMm: 1.5, loMm: 0.5, hiMm: 2.5 },
  { fitting: 'elbow-90', nominal: '18', takeOutMm: 14, loMm: 11, hiMm: 18 },
  { fitting: 'elbow-45', nominal: '18', takeOutMm: 8.5, loMm: 6.1, hiMm: 13.5 },
  { fitting: 'tee-run', nominal: '18', takeOutMm: 13, loMm: 10, hiMm: 18 },
  { fitting: 'tee-branch', nominal: '18', takeOutMm: 14, loMm: 11, hiMm: 18 },
  { fitting: 'coupling', nominal: '18', takeOutMm: 1.5, loMm: 0.5, hiMm: 3 },
  { fitting: 'elbow-90', nominal: '22', takeOutMm: 16, loMm: 12, hiMm: 21 },
  { fitting: 'elbow-45', nominal: '22', takeOutMm: 10, loMm: 7.2, hiMm: 15.8 },
  { fitting: 'tee-run', nominal: '22', takeOutMm: 15, loMm: 12, hiMm: 20 },
  { fitting: 'tee-branch', nominal: '22', takeOutMm: 16, loMm: 12, hiMm: 21 },
  { fitting: 'coupling', nominal: '22', takeOutMm: 1.5, loMm: 0.5, hiMm: 2.5 },
  { fitting: 'elbow-90', nominal: '28', takeOutMm: 20, loMm: 16, hiMm: 26 },
  { fitting: 'elbow-45', nominal: '28', takeOutMm: 12.5, loMm: 8.8, hiMm: 19.5 },
  { fitting: 'tee-run', nominal: '28', takeOutMm: 19, loMm: 15, hiMm: 25 },
  { fitting: 'tee-branch', nominal: '28', takeOutMm: 20, loMm: 16, hiMm: 26 },
  { fitting: 'coupling', nominal: '28', takeOutMm: 1.5, loMm: 0.5, hiMm: 3.5 },
  { fitting: 'elbow-90', nominal: '35', takeOutMm: 25, loMm: 20, hiMm: 32 },
  { fitting: 'elbow-45', nominal: '35', takeOutMm: 15.5, loMm: 11, hiMm: 24 },
  { fitting: 'tee-run', nominal: '35', takeOutMm: 24, loMm: 19, hiMm: 31 },
  { fitting: 'tee-branch', nominal: '35', takeOutMm: 25, loMm: 20, hiMm: 32 },
  { fitting: 'coupling', nominal: '35', takeOutMm: 1.9, loMm: 0.5, hiMm: 4 },
  { fitting: 'elbow-90', nominal: '42', takeOutMm: 29.5, loMm: 24, hiMm: 38 },
  { fitting: 'elbow-45', nominal: '42', takeOutMm: 18.5, loMm: 13.2, hiMm: 28.5 },
  { fitting: 'tee-run', nominal: '42', takeOutMm: 28.5, loMm: 23, hiMm: 37 },
  { fitting: 'tee-branch', nominal: '42', takeOutMm: 29.5, loMm: 24, hiMm: 38 },
  { fitting: 'coupling', nominal: '42', takeOutMm: 1.9, loMm: 0.5, hiMm: 4.5 },
  { fitting: 'elbow-90', nominal: '54', takeOutMm: 37, loMm: 30, hiMm: 47 },
  { fitting: 'elbow-45', nominal: '54', takeOutMm: 23.5, loMm: 16.5, hiMm: 35.3 },
  { fitting: 'tee-run', nominal: '54', takeOutMm: 36, loMm: 29, hiMm: 46 },
  { fitting: 'tee-branch', nominal: '54', takeOutMm: 37, loMm: 30, hiMm: 47 },
  { fitting: 'coupling', nominal: '54', takeOutMm: 2.1, loMm: 0.5, hiMm: 5 },
] as const satisfies readonly TakeOutRow[]

/** Old British tube near enough to a metric size for a compression joint, and only for that. */
const OLD_IN_METRIC = { '3/8': '12', '1/2': '15', '1': '28', '2': '54' } as const
/** Old sizes that enter the metric body but want their own olive or a converter. */
const OLD_WITH_OLIVE = { '3/4': '22', '1-1/4': '35', '1-1/2': '42' } as const

export const SOCKET_TABLES = [
  {
    method: 'compression',
    rows: SOCKETS,
    families: ['copper', 'bs7291', 'stainless'],
    sizing: 'en-od',
    rating: { rows: RATINGS, source: SOURCE },
  },
  { method: 'flare', rows: TYPE_B, families: ['copper'], sizing: 'en-od', rating: { rows: RATINGS, source: SOURCE } },
  {
    method: 'compression',
    rows: SOCKETS,
    families: ['copper'],
    sizing: 'bs-bore',
    rename: { ...OLD_IN_METRIC, ...OLD_WITH_OLIVE },
    withOlive: Object.keys(OLD_WITH_OLIVE),
    rating: { rows: RATINGS, source: SOURCE },
  },
] as const satisfies readonly SocketTable[]

/** Caps, plugs and stop ends, whole; makers differ. */
export const CAP_LENGTHS = [
  { nominal: '8', lengthMm: 21, loMm: 16, hiMm: 27 },
  { nominal: '10', lengthMm: 23, loMm: 17.6, hiMm: 30 },
  { nominal: '12', lengthMm: 24, loMm: 19.2, hiMm: 30 },
  { nominal: '15', lengthMm: 27, loMm: 20.8, hiMm: 36 },
  { nominal: '22', lengthMm: 32.5, loMm: 24.8, hiMm: 43 },
  { nominal: '28', lengthMm: 37, loMm: 28.8, hiMm: 48 },
  { nominal: '35', lengthMm: 44, loMm: 35, hiMm: 56 },
  { nominal: '42', lengthMm: 50, loMm: 40, hiMm: 62 },
  { nominal: '54', lengthMm: 58, loMm: 46, hiMm: 72 },
] as const satisfies readonly LengthRow[]
