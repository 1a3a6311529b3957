import type { EndRow, SocketTable, Source } from '../types'
import { RATINGS as RING_RATINGS, SOURCE as F1807_SOURCE, TAKE_OUTS as CRIMP_TAKE_OUTS } from './astm-f1807'

export const SOURCE = {
  id: 'astm-f2098',
  standard: 'ASTM F2098',
  subject: 'Stainless clamps over the insert fittings of F1807 and F2159: barb length, clamp position',
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
  { nominal: '3/8', depthMm: 4.7625, loMm: 3.175, hiMm: 6.35, typical: true },
  { nominal: '1/2', depthMm: 4.7625, loMm: 3.175, hiMm: 6.35, typical: true },
  { nominal: '5/8', depthMm: 4.7625, loMm: 3.175, hiMm: 6.35, typical: true },
  { nominal: '3/4', depthMm: 4.7625, loMm: 3.175, hiMm: 6.35, typical: true },
  { nominal: '1', depthMm: 4.7625, loMm: 3.175, hiMm: 6.35, typical: true },
] as const satisfies readonly EndRow[]

/** The joint is rated as a crimped one is. */
const F1807 = { rows: RING_RATINGS, source: F1807_SOURCE }

export const SOCKET_TABLES = [
  { method: 'clamp', rows: BARBS, families: ['pex', 'pert'], sizing: 'cts', rating: F1807 },
] as const satisfies readonly SocketTable[]

/** A clamp ring goes on the same bodies as a crimp ring. */
export const TAKE_OUTS = CRIMP_TAKE_OUTS
