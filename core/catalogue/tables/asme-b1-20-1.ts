import type { EndRow, Source } from '../types'

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
