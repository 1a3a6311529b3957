import { peRatings } from '../pe-ratings'
import type { PipeRow, RatedBy, Source } from '../types'

export const SOURCE = {
  id: 'astm-d2737',
  standard: 'ASTM D2737',
  subject: 'Polyethylene tube, copper tube sizes, SDR 9, 11 and 13.5',
  checked: 'agreed',
} as const satisfies Source

export const ROWS = [
  { series: 'pe-cts', nominal: '1/2', odMm: 15.875, wallMm: 1.753, boreMm: 12.37, typical: true },
  { series: 'pe-cts', nominal: '3/4', odMm: 22.225, wallMm: 2.464, boreMm: 17.297, typical: false },
  { series: 'pe-cts', nominal: '1', odMm: 28.575, wallMm: 3.175, boreMm: 22.225, typical: false },
  { series: 'pe-cts', nominal: '1-1/4', odMm: 34.925, wallMm: 3.886, boreMm: 27.153, typical: false },
  { series: 'pe-cts', nominal: '1-1/2', odMm: 41.275, wallMm: 4.597, boreMm: 32.08, typical: false },
  { series: 'pe-cts', nominal: '2', odMm: 53.975, wallMm: 5.994, boreMm: 41.986, typical: false },
  { series: 'pe-cts-11', nominal: '1/2', odMm: 15.875, wallMm: 1.575, boreMm: 12.725, typical: true },
  { series: 'pe-cts-11', nominal: '3/4', odMm: 22.225, wallMm: 2.032, boreMm: 18.161, typical: false },
  { series: 'pe-cts-11', nominal: '1', odMm: 28.575, wallMm: 2.591, boreMm: 23.393, typical: false },
  { series: 'pe-cts-11', nominal: '1-1/4', odMm: 34.925, wallMm: 3.175, boreMm: 28.575, typical: false },
  { series: 'pe-cts-11', nominal: '1-1/2', odMm: 41.275, wallMm: 3.759, boreMm: 33.757, typical: false },
  { series: 'pe-cts-11', nominal: '2', odMm: 53.975, wallMm: 4.902, boreMm: 44.171, typical: false },
  { series: 'pe-cts-135', nominal: '1/2', odMm: 15.875, wallMm: 1.575, boreMm: 12.725, typical: true },
  { series: 'pe-cts-135', nominal: '3/4', odMm: 22.225, wallMm: 1.651, boreMm: 18.923, typical: true },
  { series: 'pe-cts-135', nominal: '1', odMm: 28.575, wallMm: 2.108, boreMm: 24.359, typical: true },
  { series: 'pe-cts-135', nominal: '1-1/4', odMm: 34.925, wallMm: 2.591, boreMm: 29.743, typical: true },
  { series: 'pe-cts-135', nominal: '1-1/2', odMm: 41.275, wallMm: 3.048, boreMm: 35.179, typical: true },
  { series: 'pe-cts-135', nominal: '2', odMm: 53.975, wallMm: 3.988, boreMm: 45.999, typical: true },
] as const satisfies readonly PipeRow[]

/** The lesser grade, since the grade is not asked. Cold water only. */
export const RATINGS = [...peRatings('pe-cts', 9), ...peRatings('pe-cts-11', 11), ...peRatings('pe-cts-135', 13.5)]

export const RATED_BY = 'own-series' satisfies RatedBy
