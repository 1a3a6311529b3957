import type { RatedBy, PipeRow, RatingRow, Source } from '../types'

export const SOURCE = {
  id: 'astm-d1785',
  standard: 'ASTM D1785',
  subject: 'PVC pipe, schedules 40 and 80, iron pipe sizes',
  checked: 'agreed',
} as const satisfies Source

export const ROWS = [
  { series: 'pvc-40', nominal: '1/2', odMm: 21.336, wallMm: 2.769, boreMm: 15.799, typical: false },
  { series: 'pvc-40', nominal: '3/4', odMm: 26.67, wallMm: 2.87, boreMm: 20.93, typical: false },
  { series: 'pvc-40', nominal: '1', odMm: 33.401, wallMm: 3.378, boreMm: 26.645, typical: false },
  { series: 'pvc-40', nominal: '1-1/4', odMm: 42.164, wallMm: 3.556, boreMm: 35.052, typical: false },
  { series: 'pvc-40', nominal: '1-1/2', odMm: 48.26, wallMm: 3.683, boreMm: 40.894, typical: false },
  { series: 'pvc-40', nominal: '2', odMm: 60.325, wallMm: 3.912, boreMm: 52.502, typical: false },
  { series: 'pvc-80', nominal: '1/2', odMm: 21.336, wallMm: 3.734, boreMm: 13.868, typical: false },
  { series: 'pvc-80', nominal: '3/4', odMm: 26.67, wallMm: 3.912, boreMm: 18.847, typical: false },
  { series: 'pvc-80', nominal: '1', odMm: 33.401, wallMm: 4.547, boreMm: 24.308, typical: false },
  { series: 'pvc-80', nominal: '1-1/4', odMm: 42.164, wallMm: 4.851, boreMm: 32.461, typical: false },
  { series: 'pvc-80', nominal: '1-1/2', odMm: 48.26, wallMm: 5.08, boreMm: 38.1, typical: false },
  { series: 'pvc-80', nominal: '2', odMm: 60.325, wallMm: 5.537, boreMm: 49.251, typical: false },
] as const satisfies readonly PipeRow[]

/** Pressure of plain, unthreaded pipe at 23 degC, bar, by pipe id. */
const AT_23: Readonly<Record<string, number>> = {
  'pvc-40-1_2': 41.4,
  'pvc-40-3_4': 33.1,
  'pvc-40-1': 31,
  'pvc-40-1-1_4': 25.5,
  'pvc-40-1-1_2': 22.8,
  'pvc-40-2': 19.3,
  'pvc-80-1_2': 58.6,
  'pvc-80-3_4': 47.6,
  'pvc-80-1': 43.4,
  'pvc-80-1-1_4': 35.9,
  'pvc-80-1-1_2': 32.4,
  'pvc-80-2': 27.6,
}
/** What is left of it hotter (PVC 1120); nothing above 60 degC. At 43 and 54 two lists differ: the lesser stands. */
const DERATING = [
  [23, 1, false],
  [27, 0.88, false],
  [32, 0.75, false],
  [38, 0.62, false],
  [43, 0.5, true],
  [49, 0.4, false],
  [54, 0.3, true],
  [60, 0.22, false],
] as const

export const RATINGS: readonly RatingRow[] = Object.entries(AT_23).flatMap(([of, bar]) =>
  DERATING.map(([tempC, factor, typical]) => ({ of, tempC, maxBar: bar * factor, typical })),
)

export const RATED_BY = 'pipe' satisfies RatedBy
