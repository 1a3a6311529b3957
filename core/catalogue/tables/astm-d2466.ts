import type { EndRow, SocketTable, Source } from '../types'

export const SOURCE = {
  id: 'astm-d2466',
  standard: 'ASTM D2466',
  subject: 'PVC socket fittings, schedule 40: least socket depth',
  checked: 'agreed',
} as const satisfies Source

export const SOCKETS = [
  { nominal: '1/2', depthMm: 17.5, loMm: 17.5, hiMm: 21.5, typical: false },
  { nominal: '3/4', depthMm: 18.3, loMm: 18.3, hiMm: 22.3, typical: false },
  { nominal: '1', depthMm: 22.2, loMm: 22.2, hiMm: 26.2, typical: false },
  { nominal: '1-1/4', depthMm: 23.8, loMm: 23.8, hiMm: 27.8, typical: false },
  { nominal: '1-1/2', depthMm: 27.8, loMm: 27.8, hiMm: 31.8, typical: false },
  { nominal: '2', depthMm: 29.4, loMm: 29.4, hiMm: 33.4, typical: false },
] as const satisfies readonly EndRow[]

export const SOCKET_TABLES = [
  { method: 'solvent-cement', rows: SOCKETS, families: ['pvc'], sizing: 'ips', series: 'pvc-40', rating: 'as-tube' },
] as const satisfies readonly SocketTable[]
