import type { EndRow, SocketTable, Source, TakeOutRow } from '../types'

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

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '16', takeOutMm: 16, loMm: 12, hiMm: 23 },
  { fitting: 'tee-run', nominal: '16', takeOutMm: 15, loMm: 11, hiMm: 21 },
  { fitting: 'tee-branch', nominal: '16', takeOutMm: 16, loMm: 12, hiMm: 23 },
  { fitting: 'coupling', nominal: '16', takeOutMm: 3.5, loMm: 1.5, hiMm: 7 },
  { fitting: 'elbow-90', nominal: '20', takeOutMm: 18.5, loMm: 14, hiMm: 26 },
  { fitting: 'tee-run', nominal: '20', takeOutMm: 17, loMm: 13, hiMm: 24 },
  { fitting: 'tee-branch', nominal: '20', takeOutMm: 18, loMm: 14, hiMm: 26 },
  { fitting: 'coupling', nominal: '20', takeOutMm: 3.5, loMm: 1.5, hiMm: 7 },
  { fitting: 'elbow-90', nominal: '25', takeOutMm: 22, loMm: 17, hiMm: 30 },
  { fitting: 'tee-run', nominal: '25', takeOutMm: 21, loMm: 16, hiMm: 29 },
  { fitting: 'tee-branch', nominal: '25', takeOutMm: 22, loMm: 17, hiMm: 30 },
  { fitting: 'coupling', nominal: '25', takeOutMm: 4, loMm: 1.5, hiMm: 8 },
  { fitting: 'elbow-90', nominal: '32', takeOutMm: 27, loMm: 21, hiMm: 36 },
  { fitting: 'tee-run', nominal: '32', takeOutMm: 25, loMm: 20, hiMm: 35 },
  { fitting: 'tee-branch', nominal: '32', takeOutMm: 27, loMm: 21, hiMm: 36 },
  { fitting: 'coupling', nominal: '32', takeOutMm: 4.5, loMm: 1.5, hiMm: 9 },
] as const satisfies readonly TakeOutRow[]
