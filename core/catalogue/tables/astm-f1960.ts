import type { EndRow, SocketTable, Source } from '../types'

export const SOURCE = {
  id: 'astm-f1960',
  standard: 'ASTM F1960',
  subject: 'Cold expansion fittings with PEX reinforcing rings: tube to the shoulder',
  checked: 'part',
} as const satisfies Source

export const SOCKETS = [
  { nominal: '3/8', depthMm: null, loMm: 15, hiMm: 20, typical: true },
  { nominal: '1/2', depthMm: 18, loMm: 16, hiMm: 21, typical: true },
  { nominal: '3/4', depthMm: 24, loMm: 20, hiMm: 27, typical: true },
  { nominal: '1', depthMm: 30, loMm: 25, hiMm: 33, typical: true },
  { nominal: '1-1/4', depthMm: null, loMm: 32, hiMm: 40, typical: true },
  { nominal: '1-1/2', depthMm: null, loMm: 36, hiMm: 46, typical: true },
  { nominal: '2', depthMm: null, loMm: 42, hiMm: 58, typical: true },
] as const satisfies readonly EndRow[]

export const SOCKET_TABLES = [
  { method: 'expansion', rows: SOCKETS, families: ['pex'], sizing: 'cts', rating: 'as-tube' },
] as const satisfies readonly SocketTable[]
