import type { EndRow, SocketTable, Source, TakeOutRow } from '../types'

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

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '1/2', takeOutMm: 16, loMm: 11, hiMm: 23 },
  { fitting: 'elbow-45', nominal: '1/2', takeOutMm: 10.5, loMm: 7.2, hiMm: 17.3 },
  { fitting: 'tee-run', nominal: '1/2', takeOutMm: 15, loMm: 10, hiMm: 22 },
  { fitting: 'tee-branch', nominal: '1/2', takeOutMm: 16, loMm: 11, hiMm: 23 },
  { fitting: 'coupling', nominal: '1/2', takeOutMm: 2.4, loMm: 1, hiMm: 6 },
  { fitting: 'elbow-90', nominal: '3/4', takeOutMm: 19.5, loMm: 14, hiMm: 27 },
  { fitting: 'elbow-45', nominal: '3/4', takeOutMm: 12.5, loMm: 8.8, hiMm: 20.3 },
  { fitting: 'tee-run', nominal: '3/4', takeOutMm: 18, loMm: 13, hiMm: 26 },
  { fitting: 'tee-branch', nominal: '3/4', takeOutMm: 19, loMm: 14, hiMm: 27 },
  { fitting: 'coupling', nominal: '3/4', takeOutMm: 2.4, loMm: 1, hiMm: 6 },
  { fitting: 'elbow-90', nominal: '1', takeOutMm: 24, loMm: 18, hiMm: 33 },
  { fitting: 'elbow-45', nominal: '1', takeOutMm: 15.5, loMm: 10.5, hiMm: 24.8 },
  { fitting: 'tee-run', nominal: '1', takeOutMm: 22.5, loMm: 16, hiMm: 32 },
  { fitting: 'tee-branch', nominal: '1', takeOutMm: 24, loMm: 18, hiMm: 33 },
  { fitting: 'coupling', nominal: '1', takeOutMm: 2.6, loMm: 1, hiMm: 7 },
] as const satisfies readonly TakeOutRow[]
