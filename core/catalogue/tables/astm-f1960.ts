import type { EndRow, SocketTable, Source, TakeOutRow, LengthRow } from '../types'

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

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '1/2', takeOutMm: 13.5, loMm: 10, hiMm: 18 },
  { fitting: 'elbow-45', nominal: '1/2', takeOutMm: 8.5, loMm: 6.1, hiMm: 13.5 },
  { fitting: 'tee-run', nominal: '1/2', takeOutMm: 13, loMm: 9, hiMm: 17 },
  { fitting: 'tee-branch', nominal: '1/2', takeOutMm: 13.5, loMm: 10, hiMm: 18 },
  { fitting: 'coupling', nominal: '1/2', takeOutMm: 1.9, loMm: 1, hiMm: 4 },
  { fitting: 'elbow-90', nominal: '3/4', takeOutMm: 17, loMm: 13, hiMm: 23 },
  { fitting: 'elbow-45', nominal: '3/4', takeOutMm: 11, loMm: 7.7, hiMm: 17.3 },
  { fitting: 'tee-run', nominal: '3/4', takeOutMm: 17, loMm: 12, hiMm: 22 },
  { fitting: 'tee-branch', nominal: '3/4', takeOutMm: 17, loMm: 13, hiMm: 23 },
  { fitting: 'coupling', nominal: '3/4', takeOutMm: 1.9, loMm: 1, hiMm: 4 },
  { fitting: 'elbow-90', nominal: '1', takeOutMm: 21, loMm: 17, hiMm: 29 },
  { fitting: 'elbow-45', nominal: '1', takeOutMm: 13.5, loMm: 9.4, hiMm: 21.8 },
  { fitting: 'tee-run', nominal: '1', takeOutMm: 20.5, loMm: 15, hiMm: 28 },
  { fitting: 'tee-branch', nominal: '1', takeOutMm: 21, loMm: 17, hiMm: 29 },
  { fitting: 'coupling', nominal: '1', takeOutMm: 2.1, loMm: 1, hiMm: 5 },
] as const satisfies readonly TakeOutRow[]

/** Caps, plugs and stop ends, whole; makers differ. */
export const CAP_LENGTHS = [
  { nominal: '1/2', lengthMm: 24, loMm: 20, hiMm: 30 },
  { nominal: '3/4', lengthMm: 30, loMm: 25, hiMm: 37 },
  { nominal: '1', lengthMm: 36, loMm: 30, hiMm: 44 },
] as const satisfies readonly LengthRow[]
