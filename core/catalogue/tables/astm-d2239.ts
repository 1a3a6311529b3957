import { peRatings } from '../pe-ratings'
import type { PipeRow, RatedBy, Source } from '../types'

export const SOURCE = {
  id: 'astm-d2239',
  standard: 'ASTM D2239',
  subject: 'Polyethylene pipe held to its bore, SIDR 7 to 19',
  checked: 'agreed',
} as const satisfies Source

export const ROWS = [
  { series: 'pe-id-7', nominal: '1/2', odMm: 20.32, wallMm: 2.261, boreMm: 15.799, typical: false },
  { series: 'pe-id-7', nominal: '3/4', odMm: 26.924, wallMm: 2.997, boreMm: 20.93, typical: false },
  { series: 'pe-id-7', nominal: '1', odMm: 34.265, wallMm: 3.81, boreMm: 26.645, typical: false },
  { series: 'pe-id-7', nominal: '1-1/4', odMm: 45.06, wallMm: 5.004, boreMm: 35.052, typical: false },
  { series: 'pe-id-7', nominal: '1-1/2', odMm: 52.578, wallMm: 5.842, boreMm: 40.894, typical: false },
  { series: 'pe-id-7', nominal: '2', odMm: 67.488, wallMm: 7.493, boreMm: 52.502, typical: false },
  { series: 'pe-id-9', nominal: '1/2', odMm: 19.304, wallMm: 1.753, boreMm: 15.799, typical: false },
  { series: 'pe-id-9', nominal: '3/4', odMm: 25.603, wallMm: 2.337, boreMm: 20.93, typical: false },
  { series: 'pe-id-9', nominal: '1', odMm: 32.588, wallMm: 2.972, boreMm: 26.645, typical: false },
  { series: 'pe-id-9', nominal: '1-1/4', odMm: 42.824, wallMm: 3.886, boreMm: 35.052, typical: false },
  { series: 'pe-id-9', nominal: '1-1/2', odMm: 49.987, wallMm: 4.547, boreMm: 40.894, typical: false },
  { series: 'pe-id-9', nominal: '2', odMm: 64.186, wallMm: 5.842, boreMm: 52.502, typical: false },
  { series: 'pe-id-115', nominal: '1/2', odMm: 18.847, wallMm: 1.524, boreMm: 15.799, typical: false },
  { series: 'pe-id-115', nominal: '3/4', odMm: 24.587, wallMm: 1.829, boreMm: 20.93, typical: false },
  { series: 'pe-id-115', nominal: '1', odMm: 31.267, wallMm: 2.311, boreMm: 26.645, typical: false },
  { series: 'pe-id-115', nominal: '1-1/4', odMm: 41.148, wallMm: 3.048, boreMm: 35.052, typical: false },
  { series: 'pe-id-115', nominal: '1-1/2', odMm: 48.006, wallMm: 3.556, boreMm: 40.894, typical: false },
  { series: 'pe-id-115', nominal: '2', odMm: 61.646, wallMm: 4.572, boreMm: 52.502, typical: false },
  { series: 'pe-id-15', nominal: '1/2', odMm: 18.847, wallMm: 1.524, boreMm: 15.799, typical: false },
  { series: 'pe-id-15', nominal: '3/4', odMm: 23.978, wallMm: 1.524, boreMm: 20.93, typical: false },
  { series: 'pe-id-15', nominal: '1', odMm: 30.201, wallMm: 1.778, boreMm: 26.645, typical: false },
  { series: 'pe-id-15', nominal: '1-1/4', odMm: 39.726, wallMm: 2.337, boreMm: 35.052, typical: false },
  { series: 'pe-id-15', nominal: '1-1/2', odMm: 46.33, wallMm: 2.718, boreMm: 40.894, typical: false },
  { series: 'pe-id-15', nominal: '2', odMm: 59.512, wallMm: 3.505, boreMm: 52.502, typical: false },
  { series: 'pe-id-19', nominal: '1/2', odMm: 18.847, wallMm: 1.524, boreMm: 15.799, typical: false },
  { series: 'pe-id-19', nominal: '3/4', odMm: 23.978, wallMm: 1.524, boreMm: 20.93, typical: false },
  { series: 'pe-id-19', nominal: '1', odMm: 29.693, wallMm: 1.524, boreMm: 26.645, typical: false },
  { series: 'pe-id-19', nominal: '1-1/4', odMm: 38.76, wallMm: 1.854, boreMm: 35.052, typical: false },
  { series: 'pe-id-19', nominal: '1-1/2', odMm: 45.212, wallMm: 2.159, boreMm: 40.894, typical: false },
  { series: 'pe-id-19', nominal: '2', odMm: 58.039, wallMm: 2.769, boreMm: 52.502, typical: false },
] as const satisfies readonly PipeRow[]

/** The lesser grade, since the grade is not asked. Cold water only. */
export const RATINGS = [
  ...peRatings('pe-id-7', 9),
  ...peRatings('pe-id-9', 11),
  ...peRatings('pe-id-115', 13.5),
  ...peRatings('pe-id-15', 17),
  ...peRatings('pe-id-19', 21),
]

export const RATED_BY = 'own-series' satisfies RatedBy
