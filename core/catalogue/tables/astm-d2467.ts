import type { EndRow, SocketTable, Source } from '../types'

export const SOURCE = {
  id: 'astm-d2467',
  standard: 'ASTM D2467',
  subject: 'PVC socket fittings, schedule 80: least socket depth',
  checked: 'one',
} as const satisfies Source

export const SOCKETS = [
  { nominal: '1/2', depthMm: 22.22, loMm: 22.22, hiMm: 22.22, typical: false },
  { nominal: '3/4', depthMm: 25.4, loMm: 25.4, hiMm: 25.4, typical: false },
  { nominal: '1', depthMm: 28.57, loMm: 28.57, hiMm: 28.57, typical: false },
  { nominal: '1-1/4', depthMm: 31.75, loMm: 31.75, hiMm: 31.75, typical: false },
  { nominal: '1-1/2', depthMm: 34.92, loMm: 34.92, hiMm: 34.92, typical: false },
  { nominal: '2', depthMm: 38.1, loMm: 38.1, hiMm: 38.1, typical: false },
] as const satisfies readonly EndRow[]

export const SOCKET_TABLES = [
  { method: 'solvent-cement', rows: SOCKETS, families: ['pvc'], sizing: 'ips', series: 'pvc-80', rating: 'as-tube' },
] as const satisfies readonly SocketTable[]
