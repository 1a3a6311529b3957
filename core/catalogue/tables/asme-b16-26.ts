import { OUTSIDE_OF } from '../sizes'
import type { EndRow, SocketTable, Source } from '../types'

export const SOURCE = {
  id: 'asme-b16-26',
  standard: 'ASME B16.26',
  subject: 'Compression fittings by tube outside diameter in inches: depth met in the trade',
  checked: 'part',
} as const satisfies Source

export const SOCKETS = [
  { nominal: '1/4', depthMm: 13, loMm: 11, hiMm: 16, typical: true },
  { nominal: '3/8', depthMm: 15, loMm: 12, hiMm: 19, typical: true },
  { nominal: '1/2', depthMm: 18, loMm: 14, hiMm: 22, typical: true },
  { nominal: '5/8', depthMm: 20, loMm: 16, hiMm: 25, typical: true },
  { nominal: '7/8', depthMm: 24, loMm: 19, hiMm: 30, typical: true },
] as const satisfies readonly EndRow[]

export const SOCKET_TABLES = [
  {
    method: 'compression',
    rows: SOCKETS,
    families: ['copper', 'pex'],
    sizing: 'cts',
    // Bodies for inch tube are named by the tube's outside diameter.
    rename: OUTSIDE_OF,
    rating: null,
  },
] as const satisfies readonly SocketTable[]
