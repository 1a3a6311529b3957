import type { EndRow, PipeRow, SocketTable, Source, TakeOutRow } from '../types'
import { RATINGS as PRESS_RATINGS, SOURCE as EN_1254_7_SOURCE, TAKE_OUTS as COPPER_TAKE_OUTS } from './en-1254-7'

export const SOURCE = {
  id: 'en-10312',
  standard: 'EN 10312',
  subject: 'Thin-wall stainless steel tube, series 2',
  checked: 'part',
} as const satisfies Source

export const ROWS = [
  { series: 'ss-en', nominal: '15', odMm: 15, wallMm: 1, boreMm: 13, typical: false },
  { series: 'ss-en', nominal: '18', odMm: 18, wallMm: 1, boreMm: 16, typical: false },
  { series: 'ss-en', nominal: '22', odMm: 22, wallMm: 1.2, boreMm: 19.6, typical: false },
  { series: 'ss-en', nominal: '28', odMm: 28, wallMm: 1.2, boreMm: 25.6, typical: false },
  { series: 'ss-en', nominal: '35', odMm: 35, wallMm: 1.5, boreMm: 32, typical: true },
  { series: 'ss-en', nominal: '42', odMm: 42, wallMm: 1.5, boreMm: 39, typical: true },
  { series: 'ss-en', nominal: '54', odMm: 54, wallMm: 1.5, boreMm: 51, typical: true },
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
  { method: 'press', rows: SOCKETS, families: ['stainless'], sizing: 'en-od', rating: EN_1254_7 },
] as const satisfies readonly SocketTable[]

/** Centre to stop of an elbow; the standard leaves it to the maker, so all are typical. */
const ELBOWS = [
  { fitting: 'elbow-90', nominal: '12', takeOutMm: 24, loMm: 18, hiMm: 30 },
  { fitting: 'elbow-90', nominal: '15', takeOutMm: 27, loMm: 22, hiMm: 34 },
  { fitting: 'elbow-90', nominal: '18', takeOutMm: 30, loMm: 25, hiMm: 38 },
  { fitting: 'elbow-90', nominal: '22', takeOutMm: 36, loMm: 30, hiMm: 44 },
  { fitting: 'elbow-90', nominal: '28', takeOutMm: 43, loMm: 36, hiMm: 52 },
  { fitting: 'elbow-90', nominal: '35', takeOutMm: 52, loMm: 44, hiMm: 62 },
  { fitting: 'elbow-90', nominal: '42', takeOutMm: 62, loMm: 52, hiMm: 74 },
  { fitting: 'elbow-90', nominal: '54', takeOutMm: 78, loMm: 65, hiMm: 92 },
] as const satisfies readonly TakeOutRow[]

/** How much longer the other fittings are than copper's press of the same size, mm; about 5 either way. Typical. */
const LONGER: Readonly<Partial<Record<TakeOutRow['fitting'], number>>> = {
  'elbow-45': 7,
  'tee-run': 8,
  'tee-branch': 8,
  coupling: 2,
}
const SPREAD = 5

export const TAKE_OUTS: readonly TakeOutRow[] = [
  ...ELBOWS,
  ...COPPER_TAKE_OUTS.flatMap(({ fitting, nominal, takeOutMm }) => {
    const longer = LONGER[fitting]
    const mm = takeOutMm + (longer ?? 0)
    return longer === undefined
      ? []
      : [{ fitting, nominal, takeOutMm: mm, loMm: Math.max(0.5, mm - SPREAD), hiMm: mm + SPREAD }]
  }),
]
