import type { EndRow, SocketTable, Source } from '../types'

export const SOURCE = {
  id: 'en-iso-15875-3',
  standard: 'EN ISO 15875-3',
  subject: 'Sliding-sleeve fittings for PEX and multilayer: by system, measure',
  checked: 'part',
} as const satisfies Source

export const SOCKETS = [
  { nominal: '16', depthMm: null, loMm: 18, hiMm: 24, typical: true },
  { nominal: '20', depthMm: null, loMm: 20, hiMm: 27, typical: true },
  { nominal: '25', depthMm: null, loMm: 25, hiMm: 33, typical: true },
  { nominal: '32', depthMm: null, loMm: 27, hiMm: 38, typical: true },
] as const satisfies readonly EndRow[]

export const SOCKET_TABLES = [
  { method: 'sliding-sleeve', rows: SOCKETS, families: ['pex'], sizing: 'own', series: 'pex-en', rating: 'as-tube' },
  {
    method: 'sliding-sleeve',
    rows: SOCKETS,
    families: ['multilayer'],
    sizing: 'own',
    series: 'ml-en',
    rating: 'as-tube',
  },
] as const satisfies readonly SocketTable[]
