import type { EndRow, Source, TakeOutRow, LengthRow } from '../types'

export const SOURCE = {
  id: 'asme-b1-20-1',
  standard: 'ASME B1.20.1',
  subject: 'Taper pipe thread NPT: hand-tight engagement plus three turns by wrench',
  checked: 'one',
} as const satisfies Source

export const MADE_UP = [
  { nominal: '1/8', depthMm: 6.92, loMm: 5.51, hiMm: 6.92, typical: false },
  { nominal: '1/4', depthMm: 10.02, loMm: 7.9, hiMm: 10.02, typical: false },
  { nominal: '3/8', depthMm: 10.33, loMm: 8.21, hiMm: 10.33, typical: false },
  { nominal: '1/2', depthMm: 13.57, loMm: 10.85, hiMm: 13.57, typical: false },
  { nominal: '3/4', depthMm: 14.05, loMm: 11.33, hiMm: 14.05, typical: false },
  { nominal: '1', depthMm: 16.79, loMm: 13.47, hiMm: 16.79, typical: false },
  { nominal: '1-1/4', depthMm: 17.29, loMm: 13.98, hiMm: 17.29, typical: false },
  { nominal: '1-1/2', depthMm: 17.29, loMm: 13.98, hiMm: 17.29, typical: false },
  { nominal: '2', depthMm: 17.7, loMm: 14.39, hiMm: 17.7, typical: false },
] as const satisfies readonly EndRow[]

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. A tee as an elbow. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '1/4', takeOutMm: 10.6, loMm: 8.8, hiMm: 14.8 },
  { fitting: 'elbow-45', nominal: '1/4', takeOutMm: 8.5, loMm: 6.7, hiMm: 12.8 },
  { fitting: 'tee-run', nominal: '1/4', takeOutMm: 10.6, loMm: 8.8, hiMm: 14.8 },
  { fitting: 'tee-branch', nominal: '1/4', takeOutMm: 10.6, loMm: 8.8, hiMm: 14.8 },
  { fitting: 'coupling', nominal: '1/4', takeOutMm: 3.4, loMm: 1.6, hiMm: 7.7 },
  { fitting: 'elbow-90', nominal: '3/8', takeOutMm: 13.8, loMm: 12, hiMm: 18 },
  { fitting: 'elbow-45', nominal: '3/8', takeOutMm: 10, loMm: 8.2, hiMm: 14.2 },
  { fitting: 'tee-run', nominal: '3/8', takeOutMm: 13.8, loMm: 12, hiMm: 18 },
  { fitting: 'tee-branch', nominal: '3/8', takeOutMm: 13.8, loMm: 12, hiMm: 18 },
  { fitting: 'coupling', nominal: '3/8', takeOutMm: 4.4, loMm: 2.6, hiMm: 8.6 },
  { fitting: 'elbow-90', nominal: '1/2', takeOutMm: 14.9, loMm: 12.9, hiMm: 20.3 },
  { fitting: 'elbow-45', nominal: '1/2', takeOutMm: 8.8, loMm: 6.8, hiMm: 14.2 },
  { fitting: 'tee-run', nominal: '1/2', takeOutMm: 14.9, loMm: 12.9, hiMm: 20.3 },
  { fitting: 'tee-branch', nominal: '1/2', takeOutMm: 14.9, loMm: 12.9, hiMm: 20.3 },
  { fitting: 'coupling', nominal: '1/2', takeOutMm: 3.4, loMm: 1.4, hiMm: 8.9 },
  { fitting: 'elbow-90', nominal: '3/4', takeOutMm: 19.2, loMm: 17.2, hiMm: 24.7 },
  { fitting: 'elbow-45', nominal: '3/4', takeOutMm: 10.8, loMm: 8.8, hiMm: 16.3 },
  { fitting: 'tee-run', nominal: '3/4', takeOutMm: 19.2, loMm: 17.2, hiMm: 24.7 },
  { fitting: 'tee-branch', nominal: '3/4', takeOutMm: 19.2, loMm: 17.2, hiMm: 24.7 },
  { fitting: 'coupling', nominal: '3/4', takeOutMm: 5.3, loMm: 3.3, hiMm: 10.7 },
  { fitting: 'elbow-90', nominal: '1', takeOutMm: 21.3, loMm: 19.3, hiMm: 27.9 },
  { fitting: 'elbow-45', nominal: '1', takeOutMm: 11.7, loMm: 9.7, hiMm: 18.3 },
  { fitting: 'tee-run', nominal: '1', takeOutMm: 21.3, loMm: 19.3, hiMm: 27.9 },
  { fitting: 'tee-branch', nominal: '1', takeOutMm: 21.3, loMm: 19.3, hiMm: 27.9 },
  { fitting: 'coupling', nominal: '1', takeOutMm: 4.4, loMm: 2.4, hiMm: 11 },
  { fitting: 'elbow-90', nominal: '1-1/4', takeOutMm: 27.2, loMm: 25.2, hiMm: 33.8 },
  { fitting: 'elbow-45', nominal: '1-1/4', takeOutMm: 15.5, loMm: 13.5, hiMm: 22.1 },
  { fitting: 'tee-run', nominal: '1-1/4', takeOutMm: 27.2, loMm: 25.2, hiMm: 33.8 },
  { fitting: 'tee-branch', nominal: '1-1/4', takeOutMm: 27.2, loMm: 25.2, hiMm: 33.8 },
  { fitting: 'coupling', nominal: '1-1/4', takeOutMm: 7.2, loMm: 5.2, hiMm: 13.8 },
  { fitting: 'elbow-90', nominal: '1-1/2', takeOutMm: 32, loMm: 30, hiMm: 38.6 },
  { fitting: 'elbow-45', nominal: '1-1/2', takeOutMm: 19, loMm: 17, hiMm: 25.7 },
  { fitting: 'tee-run', nominal: '1-1/2', takeOutMm: 32, loMm: 30, hiMm: 38.6 },
  { fitting: 'tee-branch', nominal: '1-1/2', takeOutMm: 32, loMm: 30, hiMm: 38.6 },
  { fitting: 'coupling', nominal: '1-1/2', takeOutMm: 10, loMm: 8, hiMm: 16.6 },
  { fitting: 'elbow-90', nominal: '2', takeOutMm: 39.4, loMm: 37.4, hiMm: 46.1 },
  { fitting: 'elbow-45', nominal: '2', takeOutMm: 25, loMm: 23, hiMm: 31.6 },
  { fitting: 'tee-run', nominal: '2', takeOutMm: 39.4, loMm: 37.4, hiMm: 46.1 },
  { fitting: 'tee-branch', nominal: '2', takeOutMm: 39.4, loMm: 37.4, hiMm: 46.1 },
  { fitting: 'coupling', nominal: '2', takeOutMm: 14.4, loMm: 12.4, hiMm: 21.1 },
] as const satisfies readonly TakeOutRow[]

/** Caps over a male thread, whole. */
export const CAP_LENGTHS = [
  { nominal: '1/4', lengthMm: 16.3, loMm: 16.3, hiMm: 16.3 },
  { nominal: '3/8', lengthMm: 18.8, loMm: 18.8, hiMm: 18.8 },
  { nominal: '1/2', lengthMm: 22.1, loMm: 22.1, hiMm: 22.1 },
  { nominal: '3/4', lengthMm: 24.6, loMm: 24.6, hiMm: 24.6 },
  { nominal: '1', lengthMm: 29.5, loMm: 29.5, hiMm: 29.5 },
  { nominal: '1-1/4', lengthMm: 32.5, loMm: 32.5, hiMm: 32.5 },
  { nominal: '1-1/2', lengthMm: 33.8, loMm: 33.8, hiMm: 33.8 },
  { nominal: '2', lengthMm: 36.8, loMm: 36.8, hiMm: 36.8 },
] as const satisfies readonly LengthRow[]

/** Plugs in a female thread, with their square or hexagon, whole. */
export const PLUG_LENGTHS = [
  { nominal: '1/8', lengthMm: 13, loMm: 13, hiMm: 16 },
  { nominal: '1/4', lengthMm: 17.5, loMm: 17.5, hiMm: 20.5 },
  { nominal: '3/8', lengthMm: 18.3, loMm: 18.3, hiMm: 21.3 },
  { nominal: '1/2', lengthMm: 23.4, loMm: 23.4, hiMm: 26.4 },
  { nominal: '3/4', lengthMm: 25.1, loMm: 25.1, hiMm: 28.1 },
  { nominal: '1', lengthMm: 30.2, loMm: 30.2, hiMm: 33.2 },
] as const satisfies readonly LengthRow[]
