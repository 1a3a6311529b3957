import type { EndRow, Source } from '../types'

export const SOURCE = {
  id: 'astm-f2098',
  standard: 'ASTM F2098',
  subject: 'Stainless clamps over the insert fittings of F1807 and F2159: barb length, clamp position',
} as const satisfies Source

export const BARBS = [
  { nominal: '3/8', depthMm: 15.5, loMm: 13.5, hiMm: 18, typical: true },
  { nominal: '1/2', depthMm: 16, loMm: 14, hiMm: 18, typical: true },
  { nominal: '5/8', depthMm: 16, loMm: 14, hiMm: 19, typical: true },
  { nominal: '3/4', depthMm: 16.5, loMm: 14.5, hiMm: 20, typical: true },
  { nominal: '1', depthMm: 18, loMm: 15, hiMm: 23, typical: true },
] as const satisfies readonly EndRow[]

export const RING_POSITION = [
  { nominal: '3/8', depthMm: 5, loMm: 3.2, hiMm: 6.4, typical: true },
  { nominal: '1/2', depthMm: 5, loMm: 3.2, hiMm: 6.4, typical: true },
  { nominal: '5/8', depthMm: 5, loMm: 3.2, hiMm: 6.4, typical: true },
  { nominal: '3/4', depthMm: 5, loMm: 3.2, hiMm: 6.4, typical: true },
  { nominal: '1', depthMm: 5, loMm: 3.2, hiMm: 6.4, typical: true },
] as const satisfies readonly EndRow[]
