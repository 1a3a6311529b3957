import type { EndRow, SocketTable, Source } from '../types'

export const SOURCE = {
  id: 'astm-d2609',
  standard: 'ASTM D2609',
  subject: 'Insert fittings of polyethylene pipe held to its bore: barb length met in the trade',
  checked: 'part',
} as const satisfies Source

/** Pipe end to the shoulder; the clamps cover every barb. */
export const BARBS = [
  { nominal: '1/2', depthMm: 25, loMm: 19, hiMm: 33, typical: true },
  { nominal: '3/4', depthMm: 28.5, loMm: 22, hiMm: 37, typical: true },
  { nominal: '1', depthMm: 32.5, loMm: 25, hiMm: 42, typical: true },
  { nominal: '1-1/4', depthMm: 37.5, loMm: 30, hiMm: 47, typical: true },
  { nominal: '1-1/2', depthMm: 40.5, loMm: 32, hiMm: 52, typical: true },
  { nominal: '2', depthMm: 46, loMm: 36, hiMm: 60, typical: true },
] as const satisfies readonly EndRow[]

/** Edge of the first clamp from the pipe's end, mm: practice. */
export const CLAMP_MM = { value: 5.5, lo: 3, hi: 10 } as const

/** Barbs go by the bore, which every ratio of such pipe shares. */
export const SOCKET_TABLES: readonly SocketTable[] = ['pe-id-7', 'pe-id-9', 'pe-id-115', 'pe-id-15', 'pe-id-19'].map(
  (series) => ({ method: 'insert-clamp', rows: BARBS, families: ['pe'], sizing: 'own', series, rating: 'as-tube' }),
)
