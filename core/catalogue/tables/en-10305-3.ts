import type { EndRow, PipeRow, SocketTable, Source } from '../types'
import { RATINGS as PRESS_RATINGS, SOURCE as EN_1254_7_SOURCE } from './en-1254-7'

export const SOURCE = {
  id: 'en-10305-3',
  standard: 'EN 10305-3',
  subject: 'Thin-wall carbon steel press tube',
  checked: 'part',
} as const satisfies Source

export const ROWS = [
  { series: 'cs-en', nominal: '12', odMm: 12, wallMm: 1.2, boreMm: 9.6, typical: true },
  { series: 'cs-en', nominal: '15', odMm: 15, wallMm: 1.2, boreMm: 12.6, typical: true },
  { series: 'cs-en', nominal: '18', odMm: 18, wallMm: 1.2, boreMm: 15.6, typical: true },
  { series: 'cs-en', nominal: '22', odMm: 22, wallMm: 1.5, boreMm: 19, typical: true },
  { series: 'cs-en', nominal: '28', odMm: 28, wallMm: 1.5, boreMm: 25, typical: true },
  { series: 'cs-en', nominal: '35', odMm: 35, wallMm: 1.5, boreMm: 32, typical: true },
  { series: 'cs-en', nominal: '42', odMm: 42, wallMm: 1.5, boreMm: 39, typical: true },
  { series: 'cs-en', nominal: '54', odMm: 54, wallMm: 1.5, boreMm: 51, typical: true },
] as const satisfies readonly PipeRow[]

/** Press fittings for this tube: insertion met in the trade. */
export const SOCKETS = [
  { nominal: '12', depthMm: 17.5, loMm: 16, hiMm: 20, typical: true },
  { nominal: '15', depthMm: 20, loMm: 18, hiMm: 25, typical: true },
  { nominal: '18', depthMm: 20, loMm: 18, hiMm: 25, typical: true },
  { nominal: '22', depthMm: 21.5, loMm: 20, hiMm: 26, typical: true },
  { nominal: '28', depthMm: 23, loMm: 22, hiMm: 27, typical: true },
  { nominal: '35', depthMm: 26, loMm: 25, hiMm: 30, typical: true },
  { nominal: '42', depthMm: 31.5, loMm: 29, hiMm: 38, typical: true },
  { nominal: '54', depthMm: 36.5, loMm: 34, hiMm: 43, typical: true },
] as const satisfies readonly EndRow[]

/** The joint is rated as one in copper is. */
const EN_1254_7 = { rows: PRESS_RATINGS, source: EN_1254_7_SOURCE }

export const SOCKET_TABLES = [
  { method: 'press', rows: SOCKETS, families: ['steel'], sizing: 'en-od', rating: EN_1254_7 },
] as const satisfies readonly SocketTable[]

/** Bodies as stainless ones. */
export { TAKE_OUTS } from './en-10312'
