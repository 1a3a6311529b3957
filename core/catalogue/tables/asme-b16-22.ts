import type { EndRow, RatingRow, SocketTable, Source, ReducerRow, TakeOutRow, LengthRow } from '../types'

export const SOURCE = {
  id: 'asme-b16-22',
  standard: 'ASME B16.22',
  subject: 'Wrought copper solder-joint fittings: least cup depth and male end',
  checked: 'agreed',
} as const satisfies Source

export const CUPS = [
  { nominal: '1/4', depthMm: 7.87, loMm: 7.87, hiMm: 7.87, maleEndMm: 9.65, typical: false },
  { nominal: '3/8', depthMm: 9.65, loMm: 9.65, hiMm: 9.65, maleEndMm: 11.18, typical: false },
  { nominal: '1/2', depthMm: 12.7, loMm: 12.7, hiMm: 12.7, maleEndMm: 14.22, typical: false },
  { nominal: '5/8', depthMm: 15.75, loMm: 15.75, hiMm: 15.75, maleEndMm: 17.53, typical: false },
  { nominal: '3/4', depthMm: 19.05, loMm: 19.05, hiMm: 19.05, maleEndMm: 20.57, typical: false },
  { nominal: '1', depthMm: 23.11, loMm: 23.11, hiMm: 23.11, maleEndMm: 24.64, typical: false },
  { nominal: '1-1/4', depthMm: 24.64, loMm: 24.64, hiMm: 24.64, maleEndMm: 26.16, typical: false },
  { nominal: '1-1/2', depthMm: 27.69, loMm: 27.69, hiMm: 27.69, maleEndMm: 29.46, typical: false },
  { nominal: '2', depthMm: 34.04, loMm: 34.04, hiMm: 34.04, maleEndMm: 35.81, typical: false },
] as const satisfies readonly EndRow[]

/** Soldered joint with a lead-free tin-copper solder (alloy E), by size group in inches. Earlier editions gave about half. */
export const RATINGS = [
  { of: '1/8-1', tempC: 38, maxBar: 49, typical: true },
  { of: '1-1/4-2', tempC: 38, maxBar: 38.3, typical: true },
  { of: '1/8-1', tempC: 66, maxBar: 32.8, typical: true },
  { of: '1-1/4-2', tempC: 66, maxBar: 25.5, typical: true },
  { of: '1/8-1', tempC: 93, maxBar: 25.9, typical: true },
  { of: '1-1/4-2', tempC: 93, maxBar: 20, typical: true },
  { of: '1/8-1', tempC: 121, maxBar: 22.1, typical: true },
  { of: '1-1/4-2', tempC: 121, maxBar: 17.2, typical: true },
] as const satisfies readonly RatingRow[]

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '1/4', takeOutMm: 7, loMm: 5, hiMm: 11.4 },
  { fitting: 'elbow-45', nominal: '1/4', takeOutMm: 3.3, loMm: 2.4, hiMm: 5.5 },
  { fitting: 'tee-run', nominal: '1/4', takeOutMm: 6, loMm: 4.6, hiMm: 8.5 },
  { fitting: 'tee-branch', nominal: '1/4', takeOutMm: 6.5, loMm: 5, hiMm: 9 },
  { fitting: 'coupling', nominal: '1/4', takeOutMm: 0.8, loMm: 0.4, hiMm: 1.6 },
  { fitting: 'elbow-90', nominal: '3/8', takeOutMm: 8.5, loMm: 6.5, hiMm: 15.2 },
  { fitting: 'elbow-45', nominal: '3/8', takeOutMm: 4.1, loMm: 3, hiMm: 6.5 },
  { fitting: 'tee-run', nominal: '3/8', takeOutMm: 8, loMm: 6.1, hiMm: 10.5 },
  { fitting: 'tee-branch', nominal: '3/8', takeOutMm: 8.5, loMm: 6.6, hiMm: 11 },
  { fitting: 'coupling', nominal: '3/8', takeOutMm: 0.8, loMm: 0.4, hiMm: 1.6 },
  { fitting: 'elbow-90', nominal: '1/2', takeOutMm: 10.5, loMm: 8, hiMm: 13 },
  { fitting: 'elbow-45', nominal: '1/2', takeOutMm: 4.8, loMm: 4, hiMm: 6.5 },
  { fitting: 'tee-run', nominal: '1/2', takeOutMm: 10.5, loMm: 8, hiMm: 12 },
  { fitting: 'tee-branch', nominal: '1/2', takeOutMm: 11, loMm: 8, hiMm: 13 },
  { fitting: 'coupling', nominal: '1/2', takeOutMm: 0.8, loMm: 0.4, hiMm: 1.6 },
  { fitting: 'elbow-90', nominal: '5/8', takeOutMm: 13.5, loMm: 10, hiMm: 22.9 },
  { fitting: 'elbow-45', nominal: '5/8', takeOutMm: 6, loMm: 4, hiMm: 9.5 },
  { fitting: 'tee-run', nominal: '5/8', takeOutMm: 12, loMm: 9.1, hiMm: 16 },
  { fitting: 'tee-branch', nominal: '5/8', takeOutMm: 12.8, loMm: 9.9, hiMm: 16.5 },
  { fitting: 'coupling', nominal: '5/8', takeOutMm: 0.8, loMm: 0.4, hiMm: 1.6 },
  { fitting: 'elbow-90', nominal: '3/4', takeOutMm: 14, loMm: 11, hiMm: 17 },
  { fitting: 'elbow-45', nominal: '3/4', takeOutMm: 6.4, loMm: 5, hiMm: 8.5 },
  { fitting: 'tee-run', nominal: '3/4', takeOutMm: 13.5, loMm: 11, hiMm: 16 },
  { fitting: 'tee-branch', nominal: '3/4', takeOutMm: 14, loMm: 11, hiMm: 17 },
  { fitting: 'coupling', nominal: '3/4', takeOutMm: 0.8, loMm: 0.4, hiMm: 1.6 },
  { fitting: 'elbow-90', nominal: '1', takeOutMm: 19, loMm: 15, hiMm: 23 },
  { fitting: 'elbow-45', nominal: '1', takeOutMm: 8, loMm: 6.5, hiMm: 10.5 },
  { fitting: 'tee-run', nominal: '1', takeOutMm: 18, loMm: 14.5, hiMm: 20.5 },
  { fitting: 'tee-branch', nominal: '1', takeOutMm: 18, loMm: 14.5, hiMm: 21.5 },
  { fitting: 'coupling', nominal: '1', takeOutMm: 1, loMm: 0.4, hiMm: 1.6 },
  { fitting: 'elbow-90', nominal: '1-1/4', takeOutMm: 24.5, loMm: 19, hiMm: 41.9 },
  { fitting: 'elbow-45', nominal: '1-1/4', takeOutMm: 11, loMm: 8, hiMm: 17.5 },
  { fitting: 'tee-run', nominal: '1-1/4', takeOutMm: 21, loMm: 16.8, hiMm: 28 },
  { fitting: 'tee-branch', nominal: '1-1/4', takeOutMm: 23, loMm: 18.2, hiMm: 29.7 },
  { fitting: 'coupling', nominal: '1-1/4', takeOutMm: 1.1, loMm: 0.4, hiMm: 2.2 },
  { fitting: 'elbow-90', nominal: '1-1/2', takeOutMm: 29, loMm: 22.5, hiMm: 49.5 },
  { fitting: 'elbow-45', nominal: '1-1/2', takeOutMm: 13, loMm: 9.5, hiMm: 20.6 },
  { fitting: 'tee-run', nominal: '1-1/2', takeOutMm: 25, loMm: 19.8, hiMm: 32.2 },
  { fitting: 'tee-branch', nominal: '1-1/2', takeOutMm: 27, loMm: 21.5, hiMm: 35.1 },
  { fitting: 'coupling', nominal: '1-1/2', takeOutMm: 1.1, loMm: 0.4, hiMm: 2.2 },
  { fitting: 'elbow-90', nominal: '2', takeOutMm: 37, loMm: 29, hiMm: 64.8 },
  { fitting: 'elbow-45', nominal: '2', takeOutMm: 17, loMm: 12.5, hiMm: 27 },
  { fitting: 'tee-run', nominal: '2', takeOutMm: 31.5, loMm: 25.9, hiMm: 42.1 },
  { fitting: 'tee-branch', nominal: '2', takeOutMm: 34.5, loMm: 28.1, hiMm: 45.9 },
  { fitting: 'coupling', nominal: '2', takeOutMm: 1.1, loMm: 0.4, hiMm: 2.4 },
] as const satisfies readonly TakeOutRow[]

/** From stop to stop of a reducing coupling, mm: the whole gap between the two tube ends. */
export const REDUCERS = [
  { nominal: '1/2 x 3/8', gapMm: 3.6, loMm: 1.5, hiMm: 7.2 },
  { nominal: '3/4 x 1/2', gapMm: 6, loMm: 3, hiMm: 11 },
  { nominal: '1 x 1/2', gapMm: 10.5, loMm: 5, hiMm: 18.5 },
  { nominal: '1 x 3/4', gapMm: 5.5, loMm: 3, hiMm: 11 },
  { nominal: '1-1/4 x 3/4', gapMm: 11, loMm: 6, hiMm: 20 },
  { nominal: '1-1/4 x 1', gapMm: 6, loMm: 3, hiMm: 13 },
  { nominal: '1-1/2 x 1', gapMm: 10.5, loMm: 6, hiMm: 20 },
  { nominal: '1-1/2 x 1-1/4', gapMm: 6, loMm: 3, hiMm: 13 },
  { nominal: '2 x 1', gapMm: 19, loMm: 9, hiMm: 33.6 },
  { nominal: '2 x 1-1/2', gapMm: 10.5, loMm: 5, hiMm: 21 },
] as const satisfies readonly ReducerRow[]

export const SOCKET_TABLES = [
  {
    method: 'solder',
    rows: CUPS,
    families: ['copper'],
    sizing: 'cts',
    rating: { rows: RATINGS, source: SOURCE },
    isRatedBySize: true,
  },
] as const satisfies readonly SocketTable[]

/** Couplings without a stop, whole; makers differ widely, so the one in hand is measured. */
export const SLIP_LENGTHS = [
  { nominal: '1/4', lengthMm: 17.8, loMm: 16.3, hiMm: 21.3 },
  { nominal: '3/8', lengthMm: 21, loMm: 19.3, hiMm: 25.3 },
  { nominal: '1/2', lengthMm: 27.5, loMm: 25.4, hiMm: 31.4 },
  { nominal: '5/8', lengthMm: 33.6, loMm: 32.1, hiMm: 37.1 },
  { nominal: '3/4', lengthMm: 40.2, loMm: 38.1, hiMm: 44.1 },
  { nominal: '1', lengthMm: 48.3, loMm: 46.2, hiMm: 52.2 },
  { nominal: '1-1/4', lengthMm: 51.4, loMm: 49.2, hiMm: 55.2 },
  { nominal: '1-1/2', lengthMm: 57.5, loMm: 55.4, hiMm: 61.4 },
  { nominal: '2', lengthMm: 70.2, loMm: 68, hiMm: 74 },
] as const satisfies readonly LengthRow[]

/** Caps, plugs and stop ends, whole; makers differ. */
export const CAP_LENGTHS = [
  { nominal: '1/4', lengthMm: 9.4, loMm: 8.5, hiMm: 13 },
  { nominal: '3/8', lengthMm: 11.5, loMm: 10.5, hiMm: 15 },
  { nominal: '1/2', lengthMm: 14.5, loMm: 13.5, hiMm: 18 },
  { nominal: '5/8', lengthMm: 17.2, loMm: 16.5, hiMm: 20.7 },
  { nominal: '3/4', lengthMm: 21, loMm: 19.9, hiMm: 25 },
  { nominal: '1', lengthMm: 25, loMm: 23.9, hiMm: 30 },
  { nominal: '1-1/4', lengthMm: 27, loMm: 25.4, hiMm: 33 },
  { nominal: '1-1/2', lengthMm: 30, loMm: 28.5, hiMm: 37 },
  { nominal: '2', lengthMm: 36.5, loMm: 34.8, hiMm: 44 },
] as const satisfies readonly LengthRow[]
