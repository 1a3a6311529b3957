import type { EndRow, Source, TakeOutRow, LengthRow } from '../types'

export const SOURCE = {
  id: 'en-10226-1',
  standard: 'EN 10226-1',
  subject: 'Taper pipe thread R and Rc: gauge length and wrenching',
  checked: 'one',
} as const satisfies Source

export const MADE_UP = [
  { nominal: '1/8', depthMm: 5.5, loMm: 4.91, hiMm: 6.5, typical: true },
  { nominal: '1/4', depthMm: 8, loMm: 7.34, hiMm: 9.7, typical: true },
  { nominal: '3/8', depthMm: 8.5, loMm: 7.74, hiMm: 10.1, typical: true },
  { nominal: '1/2', depthMm: 11, loMm: 10.01, hiMm: 13.2, typical: true },
  { nominal: '3/4', depthMm: 12, loMm: 11.31, hiMm: 14.5, typical: true },
  { nominal: '1', depthMm: 14, loMm: 12.71, hiMm: 16.8, typical: true },
  { nominal: '1-1/4', depthMm: 16, loMm: 15.01, hiMm: 19.1, typical: true },
  { nominal: '1-1/2', depthMm: 16, loMm: 15.01, hiMm: 19.1, typical: true },
  { nominal: '2', depthMm: 20.5, loMm: 18.21, hiMm: 23.4, typical: true },
] as const satisfies readonly EndRow[]

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. A tee as an elbow. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '1/4', takeOutMm: 11, loMm: 10.5, hiMm: 14 },
  { fitting: 'tee-run', nominal: '1/4', takeOutMm: 11, loMm: 10.5, hiMm: 14 },
  { fitting: 'tee-branch', nominal: '1/4', takeOutMm: 11, loMm: 10.5, hiMm: 14 },
  { fitting: 'coupling', nominal: '1/4', takeOutMm: 3.5, loMm: 2.5, hiMm: 7.5 },
  { fitting: 'elbow-90', nominal: '3/8', takeOutMm: 15, loMm: 14.5, hiMm: 18 },
  { fitting: 'elbow-45', nominal: '3/8', takeOutMm: 10, loMm: 9.5, hiMm: 13 },
  { fitting: 'tee-run', nominal: '3/8', takeOutMm: 15, loMm: 14.5, hiMm: 18 },
  { fitting: 'tee-branch', nominal: '3/8', takeOutMm: 15, loMm: 14.5, hiMm: 18 },
  { fitting: 'coupling', nominal: '3/8', takeOutMm: 5, loMm: 2.5, hiMm: 9 },
  { fitting: 'elbow-90', nominal: '1/2', takeOutMm: 15, loMm: 14.5, hiMm: 18 },
  { fitting: 'elbow-45', nominal: '1/2', takeOutMm: 9, loMm: 8.5, hiMm: 12 },
  { fitting: 'tee-run', nominal: '1/2', takeOutMm: 15, loMm: 14.5, hiMm: 18 },
  { fitting: 'tee-branch', nominal: '1/2', takeOutMm: 15, loMm: 14.5, hiMm: 18 },
  { fitting: 'coupling', nominal: '1/2', takeOutMm: 5, loMm: 2.5, hiMm: 9 },
  { fitting: 'elbow-90', nominal: '3/4', takeOutMm: 18, loMm: 17.5, hiMm: 21 },
  { fitting: 'elbow-45', nominal: '3/4', takeOutMm: 10, loMm: 9.5, hiMm: 13 },
  { fitting: 'tee-run', nominal: '3/4', takeOutMm: 18, loMm: 17.5, hiMm: 21 },
  { fitting: 'tee-branch', nominal: '3/4', takeOutMm: 18, loMm: 17.5, hiMm: 21 },
  { fitting: 'coupling', nominal: '3/4', takeOutMm: 4.5, loMm: 2, hiMm: 8.5 },
  { fitting: 'elbow-90', nominal: '1', takeOutMm: 21, loMm: 20.5, hiMm: 24 },
  { fitting: 'elbow-45', nominal: '1', takeOutMm: 11, loMm: 10.5, hiMm: 14 },
  { fitting: 'tee-run', nominal: '1', takeOutMm: 21, loMm: 20.5, hiMm: 24 },
  { fitting: 'tee-branch', nominal: '1', takeOutMm: 21, loMm: 20.5, hiMm: 24 },
  { fitting: 'coupling', nominal: '1', takeOutMm: 5.5, loMm: 3, hiMm: 9.5 },
  { fitting: 'elbow-90', nominal: '1-1/4', takeOutMm: 26, loMm: 25.5, hiMm: 29 },
  { fitting: 'elbow-45', nominal: '1-1/4', takeOutMm: 14, loMm: 13.5, hiMm: 17 },
  { fitting: 'tee-run', nominal: '1-1/4', takeOutMm: 26, loMm: 25.5, hiMm: 29 },
  { fitting: 'tee-branch', nominal: '1-1/4', takeOutMm: 26, loMm: 25.5, hiMm: 29 },
  { fitting: 'coupling', nominal: '1-1/4', takeOutMm: 6, loMm: 3.5, hiMm: 10 },
  { fitting: 'elbow-90', nominal: '1-1/2', takeOutMm: 31, loMm: 30.5, hiMm: 34 },
  { fitting: 'elbow-45', nominal: '1-1/2', takeOutMm: 17, loMm: 16.5, hiMm: 20 },
  { fitting: 'tee-run', nominal: '1-1/2', takeOutMm: 31, loMm: 30.5, hiMm: 34 },
  { fitting: 'tee-branch', nominal: '1-1/2', takeOutMm: 31, loMm: 30.5, hiMm: 34 },
  { fitting: 'coupling', nominal: '1-1/2', takeOutMm: 8.5, loMm: 6, hiMm: 12.5 },
  { fitting: 'elbow-90', nominal: '2', takeOutMm: 34, loMm: 33.5, hiMm: 37 },
  { fitting: 'elbow-45', nominal: '2', takeOutMm: 19, loMm: 18.5, hiMm: 22 },
  { fitting: 'tee-run', nominal: '2', takeOutMm: 34, loMm: 33.5, hiMm: 37 },
  { fitting: 'tee-branch', nominal: '2', takeOutMm: 34, loMm: 33.5, hiMm: 37 },
  { fitting: 'coupling', nominal: '2', takeOutMm: 8.5, loMm: 6, hiMm: 12.5 },
] as const satisfies readonly TakeOutRow[]

/** Caps over a male thread, whole. */
export const CAP_LENGTHS = [
  { nominal: '3/8', lengthMm: 17, loMm: 17, hiMm: 20 },
  { nominal: '1/2', lengthMm: 19, loMm: 19, hiMm: 22 },
  { nominal: '3/4', lengthMm: 22, loMm: 22, hiMm: 25 },
  { nominal: '1', lengthMm: 24, loMm: 24, hiMm: 27 },
  { nominal: '1-1/4', lengthMm: 27, loMm: 27, hiMm: 30 },
  { nominal: '1-1/2', lengthMm: 27, loMm: 27, hiMm: 30 },
  { nominal: '2', lengthMm: 32, loMm: 32, hiMm: 35 },
] as const satisfies readonly LengthRow[]

/** Plugs in a female thread, with their square or hexagon, whole. */
export const PLUG_LENGTHS = [
  { nominal: '3/8', lengthMm: 24, loMm: 22, hiMm: 28 },
  { nominal: '1/2', lengthMm: 26, loMm: 24, hiMm: 30 },
  { nominal: '3/4', lengthMm: 32, loMm: 30, hiMm: 36 },
  { nominal: '1', lengthMm: 36, loMm: 34, hiMm: 40 },
  { nominal: '1-1/4', lengthMm: 39, loMm: 37, hiMm: 43 },
  { nominal: '1-1/2', lengthMm: 41, loMm: 39, hiMm: 45 },
  { nominal: '2', lengthMm: 48, loMm: 46, hiMm: 52 },
] as const satisfies readonly LengthRow[]
