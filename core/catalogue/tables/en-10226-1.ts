import type { EndRow, Source } from '../types'

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
