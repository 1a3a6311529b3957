import type { EndRow, PipeRow, RatedBy, RatingRow, SocketTable, Source } from '../types'

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
