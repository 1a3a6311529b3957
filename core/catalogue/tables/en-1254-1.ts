import type { EndRow, RatingRow, SocketTable, Source, ReducerRow, TakeOutRow, LengthRow } from '../types'

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
  { fitting: 'elbow-90', nominal: '8', takeOutMm: 6.5, loMm: 4.8, hiMm: 10.4 },
  { fitting: 'elbow-45', nominal: '8', takeOutMm: 3, loMm: 2, hiMm: 4.8 },
  { fitting: 'tee-run', nominal: '8', takeOutMm: 5.5, loMm: 4, hiMm: 8 },
  { fitting: 'tee-branch', nominal: '8', takeOutMm: 6, loMm: 4.4, hiMm: 8.5 },
  { fitting: 'coupling', nominal: '8', takeOutMm: 0.9, loMm: 0.5, hiMm: 1.5 },
  { fitting: 'elbow-90', nominal: '10', takeOutMm: 7.5, loMm: 6, hiMm: 13 },
  { fitting: 'elbow-45', nominal: '10', takeOutMm: 3.6, loMm: 2.5, hiMm: 6 },
  { fitting: 'tee-run', nominal: '10', takeOutMm: 6.5, loMm: 5, hiMm: 9.5 },
  { fitting: 'tee-branch', nominal: '10', takeOutMm: 7, loMm: 5.5, hiMm: 10 },
  { fitting: 'coupling', nominal: '10', takeOutMm: 0.9, loMm: 0.5, hiMm: 1.5 },
  { fitting: 'elbow-90', nominal: '12', takeOutMm: 9, loMm: 7, hiMm: 15.6 },
  { fitting: 'elbow-45', nominal: '12', takeOutMm: 4.3, loMm: 3, hiMm: 7.2 },
  { fitting: 'tee-run', nominal: '12', takeOutMm: 7.5, loMm: 6, hiMm: 10.5 },
  { fitting: 'tee-branch', nominal: '12', takeOutMm: 8.5, loMm: 6.6, hiMm: 11 },
  { fitting: 'coupling', nominal: '12', takeOutMm: 0.9, loMm: 0.5, hiMm: 1.5 },
  { fitting: 'elbow-90', nominal: '15', takeOutMm: 10, loMm: 8, hiMm: 12 },
  { fitting: 'elbow-45', nominal: '15', takeOutMm: 5, loMm: 4, hiMm: 7 },
  { fitting: 'tee-run', nominal: '15', takeOutMm: 9, loMm: 8, hiMm: 11 },
  { fitting: 'tee-branch', nominal: '15', takeOutMm: 10, loMm: 8, hiMm: 13 },
  { fitting: 'coupling', nominal: '15', takeOutMm: 1, loMm: 0.5, hiMm: 1.25 },
  { fitting: 'elbow-90', nominal: '18', takeOutMm: 13.5, loMm: 10, hiMm: 23.4 },
  { fitting: 'elbow-45', nominal: '18', takeOutMm: 6.5, loMm: 4.5, hiMm: 10.8 },
  { fitting: 'tee-run', nominal: '18', takeOutMm: 11.5, loMm: 9, hiMm: 14.5 },
  { fitting: 'tee-branch', nominal: '18', takeOutMm: 12, loMm: 9.5, hiMm: 15.5 },
  { fitting: 'coupling', nominal: '18', takeOutMm: 1, loMm: 0.5, hiMm: 1.5 },
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
  { fitting: 'elbow-90', nominal: '35', takeOutMm: 25, loMm: 19, hiMm: 45.5 },
  { fitting: 'elbow-45', nominal: '35', takeOutMm: 12, loMm: 9, hiMm: 21 },
  { fitting: 'tee-run', nominal: '35', takeOutMm: 21, loMm: 17.5, hiMm: 28 },
  { fitting: 'tee-branch', nominal: '35', takeOutMm: 22.5, loMm: 18, hiMm: 29.8 },
  { fitting: 'coupling', nominal: '35', takeOutMm: 1.2, loMm: 0.5, hiMm: 2 },
  { fitting: 'elbow-90', nominal: '42', takeOutMm: 30, loMm: 23, hiMm: 54.6 },
  { fitting: 'elbow-45', nominal: '42', takeOutMm: 14.5, loMm: 10.5, hiMm: 25.2 },
  { fitting: 'tee-run', nominal: '42', takeOutMm: 25, loMm: 21, hiMm: 33.6 },
  { fitting: 'tee-branch', nominal: '42', takeOutMm: 27, loMm: 21.5, hiMm: 35.7 },
  { fitting: 'coupling', nominal: '42', takeOutMm: 1.2, loMm: 0.5, hiMm: 2 },
  { fitting: 'elbow-90', nominal: '54', takeOutMm: 38.5, loMm: 29, hiMm: 70.2 },
  { fitting: 'elbow-45', nominal: '54', takeOutMm: 18.5, loMm: 13, hiMm: 32.4 },
  { fitting: 'tee-run', nominal: '54', takeOutMm: 32, loMm: 27, hiMm: 43.2 },
  { fitting: 'tee-branch', nominal: '54', takeOutMm: 34, loMm: 27.5, hiMm: 45.9 },
  { fitting: 'coupling', nominal: '54', takeOutMm: 1.2, loMm: 0.5, hiMm: 2.5 },
] as const satisfies readonly TakeOutRow[]

/** From stop to stop of a reducing coupling, mm: the whole gap between the two tube ends. */
export const REDUCERS = [
  { nominal: '10 x 8', gapMm: 3.5, loMm: 2.1, hiMm: 6 },
  { nominal: '12 x 10', gapMm: 3.2, loMm: 1.5, hiMm: 6 },
  { nominal: '15 x 10', gapMm: 4.9, loMm: 2, hiMm: 9.8 },
  { nominal: '15 x 12', gapMm: 3.6, loMm: 1.5, hiMm: 7.2 },
  { nominal: '18 x 15', gapMm: 3.6, loMm: 2, hiMm: 7.2 },
  { nominal: '22 x 15', gapMm: 6, loMm: 3, hiMm: 12.3 },
  { nominal: '22 x 18', gapMm: 4.2, loMm: 2, hiMm: 8.5 },
  { nominal: '28 x 15', gapMm: 10, loMm: 4, hiMm: 20 },
  { nominal: '28 x 22', gapMm: 6, loMm: 3, hiMm: 11 },
  { nominal: '35 x 22', gapMm: 10.5, loMm: 5, hiMm: 20 },
  { nominal: '35 x 28', gapMm: 6.5, loMm: 3, hiMm: 13 },
  { nominal: '42 x 28', gapMm: 11, loMm: 6, hiMm: 21.3 },
  { nominal: '42 x 35', gapMm: 6.5, loMm: 3, hiMm: 14 },
  { nominal: '54 x 35', gapMm: 14.5, loMm: 7, hiMm: 27.6 },
  { nominal: '54 x 42', gapMm: 10, loMm: 4, hiMm: 19 },
] as const satisfies readonly ReducerRow[]

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

/** Couplings without a stop, whole; makers differ widely, so the one in hand is measured. */
export const SLIP_LENGTHS = [
  { nominal: '8', lengthMm: 16, loMm: 13.6, hiMm: 80 },
  { nominal: '10', lengthMm: 18, loMm: 15.6, hiMm: 80 },
  { nominal: '12', lengthMm: 19.5, loMm: 17.2, hiMm: 80 },
  { nominal: '15', lengthMm: 23.5, loMm: 21.2, hiMm: 80 },
  { nominal: '18', lengthMm: 27.5, loMm: 25.2, hiMm: 80 },
  { nominal: '22', lengthMm: 33, loMm: 30.8, hiMm: 80 },
  { nominal: '28', lengthMm: 39, loMm: 36.8, hiMm: 85.4 },
  { nominal: '35', lengthMm: 48.5, loMm: 46, hiMm: 107.4 },
  { nominal: '42', lengthMm: 57, loMm: 54, hiMm: 125.4 },
  { nominal: '54', lengthMm: 67, loMm: 64, hiMm: 147.4 },
] as const satisfies readonly LengthRow[]

/** Caps, plugs and stop ends, whole; makers differ. */
export const CAP_LENGTHS = [
  { nominal: '8', lengthMm: 8, loMm: 7, hiMm: 10.8 },
  { nominal: '10', lengthMm: 9, loMm: 8, hiMm: 12 },
  { nominal: '12', lengthMm: 10.1, loMm: 9, hiMm: 13 },
  { nominal: '15', lengthMm: 12.5, loMm: 11.5, hiMm: 16 },
  { nominal: '18', lengthMm: 14.5, loMm: 13.5, hiMm: 18 },
  { nominal: '22', lengthMm: 17.5, loMm: 16.4, hiMm: 22 },
  { nominal: '28', lengthMm: 20.5, loMm: 19.4, hiMm: 26 },
  { nominal: '35', lengthMm: 25, loMm: 24, hiMm: 31 },
  { nominal: '42', lengthMm: 29, loMm: 28, hiMm: 36 },
  { nominal: '54', lengthMm: 34.5, loMm: 33, hiMm: 42 },
] as const satisfies readonly LengthRow[]
