import type { EndRow, RatingRow, RingGaugeRow, SocketTable, Source, TakeOutRow, LengthRow } from '../types'

export const SOURCE = {
  id: 'astm-f1807',
  standard: 'ASTM F1807',
  subject: 'Insert fittings with copper crimp rings: barb length, ring position and gauge',
  checked: 'part',
} as const satisfies Source

export const BARBS = [
  { nominal: '3/8', depthMm: 15.5, loMm: 13.5, hiMm: 18, typical: true },
  { nominal: '1/2', depthMm: 16, loMm: 14, hiMm: 18, typical: true },
  { nominal: '5/8', depthMm: 16, loMm: 14, hiMm: 19, typical: true },
  { nominal: '3/4', depthMm: 16.5, loMm: 14.5, hiMm: 20, typical: true },
  { nominal: '1', depthMm: 18, loMm: 15, hiMm: 23, typical: true },
] as const satisfies readonly EndRow[]

/** Near edge of the ring from the tube's end: 1/8 to 1/4 in, the middle 3/16. */
export const RING_POSITION = [
  { nominal: '3/8', depthMm: 4.7625, loMm: 3.175, hiMm: 6.35, typical: false },
  { nominal: '1/2', depthMm: 4.7625, loMm: 3.175, hiMm: 6.35, typical: false },
  { nominal: '5/8', depthMm: 4.7625, loMm: 3.175, hiMm: 6.35, typical: false },
  { nominal: '3/4', depthMm: 4.7625, loMm: 3.175, hiMm: 6.35, typical: false },
  { nominal: '1', depthMm: 4.7625, loMm: 3.175, hiMm: 6.35, typical: false },
] as const satisfies readonly EndRow[]

/** Outside diameter of a finished copper ring: the go side passes over `goMm`, the no-go side does not pass `noGoMm`. */
export const RING_GAUGE = [
  { nominal: '3/8', goMm: 15.113, noGoMm: 14.732, typical: true },
  { nominal: '1/2', goMm: 18.161, noGoMm: 17.78, typical: false },
  { nominal: '5/8', goMm: 21.082, noGoMm: 20.701, typical: true },
  { nominal: '3/4', goMm: 24.384, noGoMm: 24.003, typical: false },
  { nominal: '1', goMm: 30.226, noGoMm: 29.845, typical: false },
] as const satisfies readonly RingGaugeRow[]

/** As the tube. */
export const RATINGS = [
  { of: 'crimp', tempC: 23, maxBar: 11, typical: false },
  { of: 'crimp', tempC: 82, maxBar: 6.9, typical: false },
  { of: 'crimp', tempC: 93, maxBar: 5.5, typical: false },
] as const satisfies readonly RatingRow[]

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '3/8', takeOutMm: 10, loMm: 7, hiMm: 15 },
  { fitting: 'elbow-45', nominal: '3/8', takeOutMm: 5, loMm: 3.9, hiMm: 8.4 },
  { fitting: 'tee-run', nominal: '3/8', takeOutMm: 9, loMm: 5.5, hiMm: 14 },
  { fitting: 'tee-branch', nominal: '3/8', takeOutMm: 10, loMm: 7, hiMm: 15 },
  { fitting: 'coupling', nominal: '3/8', takeOutMm: 1.6, loMm: 0.8, hiMm: 3.5 },
  { fitting: 'elbow-90', nominal: '1/2', takeOutMm: 13, loMm: 10, hiMm: 17 },
  { fitting: 'elbow-45', nominal: '1/2', takeOutMm: 6, loMm: 4.4, hiMm: 10.5 },
  { fitting: 'tee-run', nominal: '1/2', takeOutMm: 12, loMm: 9, hiMm: 15 },
  { fitting: 'tee-branch', nominal: '1/2', takeOutMm: 13, loMm: 10, hiMm: 17 },
  { fitting: 'coupling', nominal: '1/2', takeOutMm: 2, loMm: 1, hiMm: 3.5 },
  { fitting: 'elbow-90', nominal: '5/8', takeOutMm: 13, loMm: 10, hiMm: 19 },
  { fitting: 'elbow-45', nominal: '5/8', takeOutMm: 7, loMm: 5.5, hiMm: 11.2 },
  { fitting: 'tee-run', nominal: '5/8', takeOutMm: 12.5, loMm: 8.5, hiMm: 18 },
  { fitting: 'tee-branch', nominal: '5/8', takeOutMm: 13, loMm: 10, hiMm: 19 },
  { fitting: 'coupling', nominal: '5/8', takeOutMm: 2, loMm: 0.8, hiMm: 4 },
  { fitting: 'elbow-90', nominal: '3/4', takeOutMm: 16, loMm: 13, hiMm: 21 },
  { fitting: 'elbow-45', nominal: '3/4', takeOutMm: 8, loMm: 6.1, hiMm: 12.6 },
  { fitting: 'tee-run', nominal: '3/4', takeOutMm: 15, loMm: 12, hiMm: 19 },
  { fitting: 'tee-branch', nominal: '3/4', takeOutMm: 16, loMm: 13, hiMm: 21 },
  { fitting: 'coupling', nominal: '3/4', takeOutMm: 2, loMm: 1, hiMm: 3.5 },
  { fitting: 'elbow-90', nominal: '1', takeOutMm: 18.5, loMm: 14, hiMm: 27 },
  { fitting: 'elbow-45', nominal: '1', takeOutMm: 10, loMm: 7.7, hiMm: 15.4 },
  { fitting: 'tee-run', nominal: '1', takeOutMm: 17.5, loMm: 12.5, hiMm: 25 },
  { fitting: 'tee-branch', nominal: '1', takeOutMm: 18.5, loMm: 14, hiMm: 27 },
  { fitting: 'coupling', nominal: '1', takeOutMm: 2, loMm: 0.8, hiMm: 5 },
] as const satisfies readonly TakeOutRow[]

export const SOCKET_TABLES = [
  { method: 'crimp', rows: BARBS, families: ['pex', 'pert'], sizing: 'cts', rating: { rows: RATINGS, source: SOURCE } },
] as const satisfies readonly SocketTable[]

/** Caps, plugs and stop ends, whole; makers differ. */
export const CAP_LENGTHS = [
  { nominal: '3/8', lengthMm: 22, loMm: 18, hiMm: 27 },
  { nominal: '1/2', lengthMm: 23, loMm: 19, hiMm: 28 },
  { nominal: '5/8', lengthMm: 23, loMm: 19, hiMm: 28 },
  { nominal: '3/4', lengthMm: 24, loMm: 20, hiMm: 29 },
  { nominal: '1', lengthMm: 26, loMm: 22, hiMm: 32 },
] as const satisfies readonly LengthRow[]
