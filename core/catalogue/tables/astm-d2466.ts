import type { EndRow, SocketTable, Source, TakeOutRow } from '../types'

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

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. A tee as an elbow. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '1/2', takeOutMm: 12.7, loMm: 11.2, hiMm: 15.7 },
  { fitting: 'elbow-45', nominal: '1/2', takeOutMm: 6.3, loMm: 4.9, hiMm: 9.9 },
  { fitting: 'tee-run', nominal: '1/2', takeOutMm: 12.7, loMm: 11.2, hiMm: 15.7 },
  { fitting: 'tee-branch', nominal: '1/2', takeOutMm: 12.7, loMm: 11.2, hiMm: 15.7 },
  { fitting: 'coupling', nominal: '1/2', takeOutMm: 1.1, loMm: 0.8, hiMm: 2.5 },
  { fitting: 'elbow-90', nominal: '3/4', takeOutMm: 14.3, loMm: 12.8, hiMm: 17.3 },
  { fitting: 'elbow-45', nominal: '3/4', takeOutMm: 7.9, loMm: 6.4, hiMm: 11.4 },
  { fitting: 'tee-run', nominal: '3/4', takeOutMm: 14.3, loMm: 12.8, hiMm: 17.3 },
  { fitting: 'tee-branch', nominal: '3/4', takeOutMm: 14.3, loMm: 12.8, hiMm: 17.3 },
  { fitting: 'coupling', nominal: '3/4', takeOutMm: 1.1, loMm: 0.8, hiMm: 2.5 },
  { fitting: 'elbow-90', nominal: '1', takeOutMm: 17.5, loMm: 16, hiMm: 20.5 },
  { fitting: 'elbow-45', nominal: '1', takeOutMm: 7.9, loMm: 6.4, hiMm: 11.4 },
  { fitting: 'tee-run', nominal: '1', takeOutMm: 17.5, loMm: 16, hiMm: 20.5 },
  { fitting: 'tee-branch', nominal: '1', takeOutMm: 17.5, loMm: 16, hiMm: 20.5 },
  { fitting: 'coupling', nominal: '1', takeOutMm: 1.1, loMm: 0.8, hiMm: 2.5 },
  { fitting: 'elbow-90', nominal: '1-1/4', takeOutMm: 24.6, loMm: 23.1, hiMm: 27.6 },
  { fitting: 'elbow-45', nominal: '1-1/4', takeOutMm: 9.5, loMm: 8, hiMm: 13 },
  { fitting: 'tee-run', nominal: '1-1/4', takeOutMm: 24.6, loMm: 23.1, hiMm: 27.6 },
  { fitting: 'tee-branch', nominal: '1-1/4', takeOutMm: 24.6, loMm: 23.1, hiMm: 27.6 },
  { fitting: 'coupling', nominal: '1-1/4', takeOutMm: 1.2, loMm: 0.8, hiMm: 2.5 },
  { fitting: 'elbow-90', nominal: '1-1/2', takeOutMm: 27, loMm: 25.9, hiMm: 30.4 },
  { fitting: 'elbow-45', nominal: '1-1/2', takeOutMm: 11.1, loMm: 9.6, hiMm: 14.6 },
  { fitting: 'tee-run', nominal: '1-1/2', takeOutMm: 27, loMm: 25.9, hiMm: 30.4 },
  { fitting: 'tee-branch', nominal: '1-1/2', takeOutMm: 27, loMm: 25.9, hiMm: 30.4 },
  { fitting: 'coupling', nominal: '1-1/2', takeOutMm: 1.3, loMm: 0.8, hiMm: 2.5 },
  { fitting: 'elbow-90', nominal: '2', takeOutMm: 33.3, loMm: 32.5, hiMm: 37 },
  { fitting: 'elbow-45', nominal: '2', takeOutMm: 15.9, loMm: 14.4, hiMm: 19.4 },
  { fitting: 'tee-run', nominal: '2', takeOutMm: 33.3, loMm: 32.5, hiMm: 37 },
  { fitting: 'tee-branch', nominal: '2', takeOutMm: 33.3, loMm: 32.5, hiMm: 37 },
  { fitting: 'coupling', nominal: '2', takeOutMm: 1.3, loMm: 0.8, hiMm: 2.5 },
] as const satisfies readonly TakeOutRow[]
