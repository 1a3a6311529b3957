import type { EndRow, PipeRow, RatedBy, RatingRow, SocketTable, Source, TakeOutRow } from '../types'

export const SOURCE = {
  id: 'astm-d2846',
  standard: 'ASTM D2846',
  subject: 'CPVC tube, SDR11, copper tube sizes: outside diameter and minimum wall',
  checked: 'part',
} as const satisfies Source

export const ROWS = [
  { series: 'cpvc-cts', nominal: '1/2', odMm: 15.875, wallMm: 1.727, boreMm: 12.421, typical: false },
  { series: 'cpvc-cts', nominal: '3/4', odMm: 22.225, wallMm: 2.032, boreMm: 18.161, typical: false },
  { series: 'cpvc-cts', nominal: '1', odMm: 28.575, wallMm: 2.591, boreMm: 23.393, typical: false },
  { series: 'cpvc-cts', nominal: '1-1/4', odMm: 34.925, wallMm: 3.175, boreMm: 28.575, typical: false },
  { series: 'cpvc-cts', nominal: '1-1/2', odMm: 41.275, wallMm: 3.759, boreMm: 33.757, typical: false },
  { series: 'cpvc-cts', nominal: '2', odMm: 53.975, wallMm: 4.902, boreMm: 44.171, typical: false },
] as const satisfies readonly PipeRow[]

/** Pressure of the tube with water at temperature, bar. */
export const RATINGS = [
  { of: 'cpvc-cts', tempC: 23, maxBar: 27.6, typical: false },
  { of: 'cpvc-cts', tempC: 82, maxBar: 6.9, typical: false },
] as const satisfies readonly RatingRow[]

/** Cemented sockets of the same standard: least depth; a dry tube stops short of it. */
export const SOCKETS = [
  { nominal: '1/2', depthMm: 12.7, loMm: 12.7, hiMm: 14.7, typical: false },
  { nominal: '3/4', depthMm: 17.8, loMm: 17.8, hiMm: 19.8, typical: false },
  { nominal: '1', depthMm: 22.9, loMm: 22.9, hiMm: 24.9, typical: false },
  { nominal: '1-1/4', depthMm: 27.9, loMm: 27.9, hiMm: 29.9, typical: false },
  { nominal: '1-1/2', depthMm: 33, loMm: 33, hiMm: 35, typical: false },
  { nominal: '2', depthMm: 43.2, loMm: 43.2, hiMm: 45.2, typical: false },
] as const satisfies readonly EndRow[]

export const RATED_BY = 'series' satisfies RatedBy

export const SOCKET_TABLES = [
  { method: 'solvent-cement', rows: SOCKETS, families: ['cpvc'], sizing: 'cts', rating: 'as-tube' },
] as const satisfies readonly SocketTable[]

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. A tee as an elbow. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '1/2', takeOutMm: 9.7, loMm: 9.7, hiMm: 12.2 },
  { fitting: 'elbow-45', nominal: '1/2', takeOutMm: 4.6, loMm: 4.6, hiMm: 7.1 },
  { fitting: 'tee-run', nominal: '1/2', takeOutMm: 9.7, loMm: 9.7, hiMm: 12.2 },
  { fitting: 'tee-branch', nominal: '1/2', takeOutMm: 9.7, loMm: 9.7, hiMm: 12.2 },
  { fitting: 'coupling', nominal: '1/2', takeOutMm: 1.3, loMm: 0.8, hiMm: 2.5 },
  { fitting: 'elbow-90', nominal: '3/4', takeOutMm: 12.9, loMm: 12.9, hiMm: 15.4 },
  { fitting: 'elbow-45', nominal: '3/4', takeOutMm: 6, loMm: 6, hiMm: 8.5 },
  { fitting: 'tee-run', nominal: '3/4', takeOutMm: 12.9, loMm: 12.9, hiMm: 15.4 },
  { fitting: 'tee-branch', nominal: '3/4', takeOutMm: 12.9, loMm: 12.9, hiMm: 15.4 },
  { fitting: 'coupling', nominal: '3/4', takeOutMm: 1.3, loMm: 0.8, hiMm: 2.5 },
  { fitting: 'elbow-90', nominal: '1', takeOutMm: 16.1, loMm: 16.1, hiMm: 18.6 },
  { fitting: 'elbow-45', nominal: '1', takeOutMm: 7.3, loMm: 7.3, hiMm: 9.8 },
  { fitting: 'tee-run', nominal: '1', takeOutMm: 16.1, loMm: 16.1, hiMm: 18.6 },
  { fitting: 'tee-branch', nominal: '1', takeOutMm: 16.1, loMm: 16.1, hiMm: 18.6 },
  { fitting: 'coupling', nominal: '1', takeOutMm: 1.3, loMm: 0.8, hiMm: 2.5 },
  { fitting: 'elbow-90', nominal: '1-1/4', takeOutMm: 19.3, loMm: 19.3, hiMm: 21.8 },
  { fitting: 'elbow-45', nominal: '1-1/4', takeOutMm: 8.6, loMm: 8.6, hiMm: 11.1 },
  { fitting: 'tee-run', nominal: '1-1/4', takeOutMm: 19.3, loMm: 19.3, hiMm: 21.8 },
  { fitting: 'tee-branch', nominal: '1-1/4', takeOutMm: 19.3, loMm: 19.3, hiMm: 21.8 },
  { fitting: 'coupling', nominal: '1-1/4', takeOutMm: 1.3, loMm: 1, hiMm: 2.2 },
  { fitting: 'elbow-90', nominal: '1-1/2', takeOutMm: 22.5, loMm: 22.5, hiMm: 25 },
  { fitting: 'elbow-45', nominal: '1-1/2', takeOutMm: 9.9, loMm: 9.9, hiMm: 12.4 },
  { fitting: 'tee-run', nominal: '1-1/2', takeOutMm: 22.5, loMm: 22.5, hiMm: 25 },
  { fitting: 'tee-branch', nominal: '1-1/2', takeOutMm: 22.5, loMm: 22.5, hiMm: 25 },
  { fitting: 'coupling', nominal: '1-1/2', takeOutMm: 1.3, loMm: 1, hiMm: 2.2 },
  { fitting: 'elbow-90', nominal: '2', takeOutMm: 28.8, loMm: 28.8, hiMm: 31.3 },
  { fitting: 'elbow-45', nominal: '2', takeOutMm: 12.6, loMm: 12.6, hiMm: 15.1 },
  { fitting: 'tee-run', nominal: '2', takeOutMm: 28.8, loMm: 28.8, hiMm: 31.3 },
  { fitting: 'tee-branch', nominal: '2', takeOutMm: 28.8, loMm: 28.8, hiMm: 31.3 },
  { fitting: 'coupling', nominal: '2', takeOutMm: 1.3, loMm: 1, hiMm: 2.2 },
] as const satisfies readonly TakeOutRow[]
