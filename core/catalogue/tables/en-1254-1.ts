import type { EndRow, RatingRow, SocketTable, Source, TakeOutRow } from '../types'

export const SOURCE = {
  id: 'en-1254-1',
  standard: 'EN 1254-1',
  subject: 'Copper fittings with ends for capillary soldering: least engagement and male end',
  checked: 'part',
} as const satisfies Source

export const CUPS = [
  { nominal: '8', depthMm: 6.8, loMm: 6.8, hiMm: 6.8, maleEndMm: 8.8, typical: false },
  { nominal: '10', depthMm: 7.8, loMm: 7.8, hiMm: 7.8, maleEndMm: 9.8, typical: false },
  { nominal: '12', depthMm: 8.6, loMm: 8.6, hiMm: 8.6, maleEndMm: 10.6, typical: false },
  { nominal: '15', depthMm: 10.6, loMm: 10.6, hiMm: 10.6, maleEndMm: 12.6, typical: false },
  { nominal: '18', depthMm: 12.6, loMm: 12.6, hiMm: 12.6, maleEndMm: 14.6, typical: false },
  { nominal: '22', depthMm: 15.4, loMm: 15.4, hiMm: 15.4, maleEndMm: 17.4, typical: false },
  { nominal: '28', depthMm: 18.4, loMm: 18.4, hiMm: 18.4, maleEndMm: 20.4, typical: false },
  { nominal: '35', depthMm: 23, loMm: 23, hiMm: 23, maleEndMm: 25, typical: false },
  { nominal: '42', depthMm: 27, loMm: 27, hiMm: 27, maleEndMm: 29, typical: false },
  { nominal: '54', depthMm: 32, loMm: 32, hiMm: 32, maleEndMm: 34, typical: false },
] as const satisfies readonly EndRow[]

/** Soldered joint with a tin-silver or tin-copper solder, by size group in mm. */
export const RATINGS = [
  { of: '6-34', tempC: 30, maxBar: 25, typical: true },
  { of: '6-34', tempC: 65, maxBar: 25, typical: true },
  { of: '6-34', tempC: 110, maxBar: 16, typical: true },
  { of: '35-54', tempC: 30, maxBar: 25, typical: true },
  { of: '35-54', tempC: 65, maxBar: 16, typical: true },
  { of: '35-54', tempC: 110, maxBar: 10, typical: true },
] as const satisfies readonly RatingRow[]

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '15', takeOutMm: 10, loMm: 8, hiMm: 12 },
  { fitting: 'elbow-45', nominal: '15', takeOutMm: 5, loMm: 4, hiMm: 7 },
  { fitting: 'tee-run', nominal: '15', takeOutMm: 9, loMm: 8, hiMm: 11 },
  { fitting: 'tee-branch', nominal: '15', takeOutMm: 10, loMm: 8, hiMm: 13 },
  { fitting: 'coupling', nominal: '15', takeOutMm: 1, loMm: 0.5, hiMm: 1.25 },
  { fitting: 'elbow-90', nominal: '22', takeOutMm: 13.5, loMm: 11, hiMm: 16 },
  { fitting: 'elbow-45', nominal: '22', takeOutMm: 7, loMm: 5.5, hiMm: 9 },
  { fitting: 'tee-run', nominal: '22', takeOutMm: 13, loMm: 11, hiMm: 15 },
  { fitting: 'tee-branch', nominal: '22', takeOutMm: 13.5, loMm: 11, hiMm: 17 },
  { fitting: 'coupling', nominal: '22', takeOutMm: 1, loMm: 0.5, hiMm: 1.5 },
  { fitting: 'elbow-90', nominal: '28', takeOutMm: 17.5, loMm: 14, hiMm: 21 },
  { fitting: 'elbow-45', nominal: '28', takeOutMm: 9, loMm: 7, hiMm: 11 },
  { fitting: 'tee-run', nominal: '28', takeOutMm: 16, loMm: 14, hiMm: 19 },
  { fitting: 'tee-branch', nominal: '28', takeOutMm: 17, loMm: 14, hiMm: 21 },
  { fitting: 'coupling', nominal: '28', takeOutMm: 1, loMm: 0.5, hiMm: 1.5 },
] as const satisfies readonly TakeOutRow[]

export const SOCKET_TABLES = [
  {
    method: 'solder',
    rows: CUPS,
    families: ['copper'],
    sizing: 'en-od',
    rating: { rows: RATINGS, source: SOURCE },
    isRatedBySize: true,
  },
] as const satisfies readonly SocketTable[]
