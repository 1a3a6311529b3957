import type { EndRow, SocketTable, Source } from '../types'

export const SOURCE = {
  id: 'astm-f1974',
  standard: 'ASTM F1974',
  subject: 'Insert fittings of PEX-AL-PEX with rings or nuts: insertion met in the trade',
  checked: 'part',
} as const satisfies Source

/** Tube end to the shoulder, under a ring. */
export const INSERTS = [
  { nominal: '3/8', depthMm: 15.5, loMm: 12, hiMm: 19, typical: true },
  { nominal: '1/2', depthMm: 17.5, loMm: 14, hiMm: 22, typical: true },
  { nominal: '5/8', depthMm: 19.5, loMm: 16, hiMm: 24, typical: true },
  { nominal: '3/4', depthMm: 21.5, loMm: 17, hiMm: 27, typical: true },
  { nominal: '1', depthMm: 25.5, loMm: 20, hiMm: 32, typical: true },
] as const satisfies readonly EndRow[]

/** From the face of the nut, run up by hand. */
export const NUTS = [
  { nominal: '3/8', depthMm: 20, loMm: 15, hiMm: 27, typical: true },
  { nominal: '1/2', depthMm: 22, loMm: 17, hiMm: 30, typical: true },
  { nominal: '5/8', depthMm: 24, loMm: 18, hiMm: 32, typical: true },
  { nominal: '3/4', depthMm: 26, loMm: 20, hiMm: 34, typical: true },
  { nominal: '1', depthMm: 30, loMm: 23, hiMm: 39, typical: true },
] as const satisfies readonly EndRow[]

/** Near edge of the ring from the tube's end; a ring that a collar places stands at 0. */
export const RING_POSITION = [
  { nominal: '3/8', depthMm: 3.2, loMm: 1.6, hiMm: 6.4, typical: true },
  { nominal: '1/2', depthMm: 3.2, loMm: 1.6, hiMm: 6.4, typical: true },
  { nominal: '5/8', depthMm: 3.2, loMm: 1.6, hiMm: 6.4, typical: true },
  { nominal: '3/4', depthMm: 3.2, loMm: 1.6, hiMm: 6.4, typical: true },
  { nominal: '1', depthMm: 3.2, loMm: 1.6, hiMm: 6.4, typical: true },
] as const satisfies readonly EndRow[]

export const SOCKET_TABLES = [
  { method: 'ml-press', rows: INSERTS, families: ['multilayer'], sizing: 'own', series: 'ml-astm', rating: 'as-tube' },
  {
    method: 'ml-compression',
    rows: NUTS,
    families: ['multilayer'],
    sizing: 'own',
    series: 'ml-astm',
    rating: 'as-tube',
  },
] as const satisfies readonly SocketTable[]
