import type { EndRow, SocketTable, Source, TakeOutRow } from '../types'

export const SOURCE = {
  id: 'en-iso-15874-3',
  standard: 'EN ISO 15874-3, DVS 2207-11',
  subject: 'Socket fusion of PP-R: depth of the mark, from the least penetration to the whole socket',
  checked: 'part',
} as const satisfies Source

export const SOCKETS = [
  { nominal: '16', depthMm: 13, loMm: 9.8, hiMm: 13.3, typical: true },
  { nominal: '20', depthMm: 14, loMm: 11, hiMm: 14.5, typical: true },
  { nominal: '25', depthMm: 15, loMm: 12.5, hiMm: 16, typical: true },
  { nominal: '32', depthMm: 17, loMm: 14.6, hiMm: 18.1, typical: true },
  { nominal: '40', depthMm: 18, loMm: 17, hiMm: 20.5, typical: true },
  { nominal: '50', depthMm: 20, loMm: 20, hiMm: 23.5, typical: true },
  { nominal: '63', depthMm: 26, loMm: 23.9, hiMm: 27.4, typical: true },
] as const satisfies readonly EndRow[]

/** By outside diameter, s: on the hot tool, to join, held, and left before it is moved. DVS 2207-11. */
export const FUSION = [
  { nominal: '16', heat: 5, change: 4, hold: 6, cool: 120 },
  { nominal: '20', heat: 5, change: 4, hold: 6, cool: 120 },
  { nominal: '25', heat: 7, change: 4, hold: 10, cool: 120 },
  { nominal: '32', heat: 8, change: 6, hold: 10, cool: 240 },
  { nominal: '40', heat: 12, change: 6, hold: 20, cool: 240 },
  { nominal: '50', heat: 18, change: 6, hold: 20, cool: 240 },
  { nominal: '63', heat: 24, change: 8, hold: 30, cool: 360 },
] as const
/** Temperature of the tool, degC. */
export const TOOL_C = { value: 260, lo: 250, hi: 270 } as const

export const SOCKET_TABLES = [
  { method: 'socket-fusion', rows: SOCKETS, families: ['pp-r'], sizing: 'own', rating: 'as-tube' },
] as const satisfies readonly SocketTable[]

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. A tee as an elbow. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '16', takeOutMm: 9, loMm: 8, hiMm: 12 },
  { fitting: 'elbow-45', nominal: '16', takeOutMm: 4.8, loMm: 3.5, hiMm: 6.5 },
  { fitting: 'tee-run', nominal: '16', takeOutMm: 9, loMm: 8, hiMm: 12 },
  { fitting: 'tee-branch', nominal: '16', takeOutMm: 9, loMm: 8, hiMm: 12 },
  { fitting: 'coupling', nominal: '16', takeOutMm: 1.5, loMm: 1, hiMm: 2.5 },
  { fitting: 'elbow-90', nominal: '20', takeOutMm: 11, loMm: 10, hiMm: 14 },
  { fitting: 'elbow-45', nominal: '20', takeOutMm: 5, loMm: 4, hiMm: 7.5 },
  { fitting: 'tee-run', nominal: '20', takeOutMm: 11, loMm: 10, hiMm: 14 },
  { fitting: 'tee-branch', nominal: '20', takeOutMm: 11, loMm: 10, hiMm: 14 },
  { fitting: 'coupling', nominal: '20', takeOutMm: 1.5, loMm: 1, hiMm: 2.5 },
  { fitting: 'elbow-90', nominal: '25', takeOutMm: 14, loMm: 12.5, hiMm: 17 },
  { fitting: 'elbow-45', nominal: '25', takeOutMm: 6, loMm: 5, hiMm: 8.5 },
  { fitting: 'tee-run', nominal: '25', takeOutMm: 14, loMm: 12.5, hiMm: 17 },
  { fitting: 'tee-branch', nominal: '25', takeOutMm: 14, loMm: 12.5, hiMm: 17 },
  { fitting: 'coupling', nominal: '25', takeOutMm: 1.5, loMm: 1, hiMm: 2.5 },
  { fitting: 'elbow-90', nominal: '32', takeOutMm: 17, loMm: 16, hiMm: 21 },
  { fitting: 'elbow-45', nominal: '32', takeOutMm: 8, loMm: 6.5, hiMm: 11 },
  { fitting: 'tee-run', nominal: '32', takeOutMm: 17, loMm: 16, hiMm: 21 },
  { fitting: 'tee-branch', nominal: '32', takeOutMm: 17, loMm: 16, hiMm: 21 },
  { fitting: 'coupling', nominal: '32', takeOutMm: 1.5, loMm: 1, hiMm: 2.5 },
  { fitting: 'elbow-90', nominal: '40', takeOutMm: 21, loMm: 20, hiMm: 26 },
  { fitting: 'elbow-45', nominal: '40', takeOutMm: 10, loMm: 8.5, hiMm: 13 },
  { fitting: 'tee-run', nominal: '40', takeOutMm: 21, loMm: 20, hiMm: 26 },
  { fitting: 'tee-branch', nominal: '40', takeOutMm: 21, loMm: 20, hiMm: 26 },
  { fitting: 'coupling', nominal: '40', takeOutMm: 1.5, loMm: 1, hiMm: 2.5 },
  { fitting: 'elbow-90', nominal: '50', takeOutMm: 26, loMm: 25, hiMm: 32 },
  { fitting: 'elbow-45', nominal: '50', takeOutMm: 12, loMm: 10.5, hiMm: 16 },
  { fitting: 'tee-run', nominal: '50', takeOutMm: 26, loMm: 25, hiMm: 32 },
  { fitting: 'tee-branch', nominal: '50', takeOutMm: 26, loMm: 25, hiMm: 32 },
  { fitting: 'coupling', nominal: '50', takeOutMm: 1.5, loMm: 1, hiMm: 2.5 },
  { fitting: 'elbow-90', nominal: '63', takeOutMm: 32.5, loMm: 31, hiMm: 40 },
  { fitting: 'elbow-45', nominal: '63', takeOutMm: 14, loMm: 13, hiMm: 20 },
  { fitting: 'tee-run', nominal: '63', takeOutMm: 32.5, loMm: 31, hiMm: 40 },
  { fitting: 'tee-branch', nominal: '63', takeOutMm: 32.5, loMm: 31, hiMm: 40 },
  { fitting: 'coupling', nominal: '63', takeOutMm: 1.5, loMm: 1, hiMm: 2.5 },
] as const satisfies readonly TakeOutRow[]
