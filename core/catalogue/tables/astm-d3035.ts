import { peRatings } from '../pe-ratings'
import type { PipeRow, RatedBy, Source } from '../types'

export const SOURCE = {
  id: 'astm-d3035',
  standard: 'ASTM D3035',
  subject: 'Polyethylene pipe, iron pipe sizes outside, SDR 9 to 17',
  checked: 'agreed',
} as const satisfies Source

export const ROWS = [
  { series: 'pe-ips-9', nominal: '1/2', odMm: 21.336, wallMm: 2.362, boreMm: 16.612, typical: false },
  { series: 'pe-ips-9', nominal: '3/4', odMm: 26.67, wallMm: 2.972, boreMm: 20.726, typical: false },
  { series: 'pe-ips-9', nominal: '1', odMm: 33.401, wallMm: 3.708, boreMm: 25.984, typical: false },
  { series: 'pe-ips-9', nominal: '1-1/4', odMm: 42.164, wallMm: 4.674, boreMm: 32.817, typical: false },
  { series: 'pe-ips-9', nominal: '1-1/2', odMm: 48.26, wallMm: 5.359, boreMm: 37.541, typical: false },
  { series: 'pe-ips-9', nominal: '2', odMm: 60.325, wallMm: 6.706, boreMm: 46.914, typical: false },
  { series: 'pe-ips-11', nominal: '1/2', odMm: 21.336, wallMm: 1.93, boreMm: 17.475, typical: false },
  { series: 'pe-ips-11', nominal: '3/4', odMm: 26.67, wallMm: 2.413, boreMm: 21.844, typical: false },
  { series: 'pe-ips-11', nominal: '1', odMm: 33.401, wallMm: 3.048, boreMm: 27.305, typical: false },
  { series: 'pe-ips-11', nominal: '1-1/4', odMm: 42.164, wallMm: 3.835, boreMm: 34.493, typical: false },
  { series: 'pe-ips-11', nominal: '1-1/2', odMm: 48.26, wallMm: 4.394, boreMm: 39.472, typical: false },
  { series: 'pe-ips-11', nominal: '2', odMm: 60.325, wallMm: 5.486, boreMm: 49.352, typical: false },
  { series: 'pe-ips-135', nominal: '1/2', odMm: 21.336, wallMm: 1.575, boreMm: 18.186, typical: true },
  { series: 'pe-ips-135', nominal: '3/4', odMm: 26.67, wallMm: 1.981, boreMm: 22.708, typical: true },
  { series: 'pe-ips-135', nominal: '1', odMm: 33.401, wallMm: 2.464, boreMm: 28.473, typical: true },
  { series: 'pe-ips-135', nominal: '1-1/4', odMm: 42.164, wallMm: 3.124, boreMm: 35.916, typical: true },
  { series: 'pe-ips-135', nominal: '1-1/2', odMm: 48.26, wallMm: 3.581, boreMm: 41.097, typical: true },
  { series: 'pe-ips-135', nominal: '2', odMm: 60.325, wallMm: 4.47, boreMm: 51.384, typical: true },
  { series: 'pe-ips-17', nominal: '1/2', odMm: 21.336, wallMm: 1.575, boreMm: 18.186, typical: true },
  { series: 'pe-ips-17', nominal: '3/4', odMm: 26.67, wallMm: 1.575, boreMm: 23.52, typical: true },
  { series: 'pe-ips-17', nominal: '1', odMm: 33.401, wallMm: 1.956, boreMm: 29.489, typical: true },
  { series: 'pe-ips-17', nominal: '1-1/4', odMm: 42.164, wallMm: 2.489, boreMm: 37.186, typical: true },
  { series: 'pe-ips-17', nominal: '1-1/2', odMm: 48.26, wallMm: 2.845, boreMm: 42.57, typical: true },
  { series: 'pe-ips-17', nominal: '2', odMm: 60.325, wallMm: 3.556, boreMm: 53.213, typical: true },
] as const satisfies readonly PipeRow[]

/** The lesser grade, since the grade is not asked. Cold water only. */
export const RATINGS = [
  ...peRatings('pe-ips-9', 9),
  ...peRatings('pe-ips-11', 11),
  ...peRatings('pe-ips-135', 13.5),
  ...peRatings('pe-ips-17', 17),
]

export const RATED_BY = 'own-series' satisfies RatedBy
