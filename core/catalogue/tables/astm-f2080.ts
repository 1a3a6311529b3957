import type { EndRow, SocketTable, Source } from '../types'

export const SOURCE = {
  id: 'astm-f2080',
  standard: 'ASTM F2080',
  subject: 'Cold expansion fittings with metal sleeves, inch tube: nobody has one figure, measure',
  checked: 'part',
} as const satisfies Source

export const SOCKETS = [
  { nominal: '1/2', depthMm: null, loMm: 18, hiMm: 25, typical: true },
  { nominal: '3/4', depthMm: null, loMm: 22, hiMm: 30, typical: true },
  { nominal: '1', depthMm: null, loMm: 26, hiMm: 36, typical: true },
] as const satisfies readonly EndRow[]

export const SOCKET_TABLES = [
  { method: 'sliding-sleeve', rows: SOCKETS, families: ['pex'], sizing: 'cts', rating: 'as-tube' },
] as const satisfies readonly SocketTable[]
