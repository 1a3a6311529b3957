import type { RatedBy, PipeRow, RatingRow, Source } from '../types'

export const SOURCE = {
  id: 'astm-f876',
  standard: 'ASTM F876',
  subject: 'PEX tube, SDR9, copper tube sizes: outside diameter and minimum wall',
  checked: 'agreed',
} as const satisfies Source

export const ROWS = [
  { series: 'pex-cts', nominal: '3/8', odMm: 12.7, wallMm: 1.778, boreMm: 9.144, typical: false },
  { series: 'pex-cts', nominal: '1/2', odMm: 15.875, wallMm: 1.778, boreMm: 12.319, typical: false },
  { series: 'pex-cts', nominal: '5/8', odMm: 19.05, wallMm: 2.108, boreMm: 14.834, typical: false },
  { series: 'pex-cts', nominal: '3/4', odMm: 22.225, wallMm: 2.464, boreMm: 17.297, typical: false },
  { series: 'pex-cts', nominal: '1', odMm: 28.575, wallMm: 3.175, boreMm: 22.225, typical: false },
  { series: 'pex-cts', nominal: '1-1/4', odMm: 34.925, wallMm: 3.886, boreMm: 27.153, typical: false },
  { series: 'pex-cts', nominal: '1-1/2', odMm: 41.275, wallMm: 4.597, boreMm: 32.08, typical: false },
  { series: 'pex-cts', nominal: '2', odMm: 53.975, wallMm: 5.994, boreMm: 41.986, typical: false },
] as const satisfies readonly PipeRow[]

/** Pressure of the tube with water at temperature, bar. */
export const RATINGS = [
  { of: 'pex-cts', tempC: 23, maxBar: 11, typical: false },
  { of: 'pex-cts', tempC: 82, maxBar: 6.9, typical: false },
  { of: 'pex-cts', tempC: 93, maxBar: 5.5, typical: false },
] as const satisfies readonly RatingRow[]

export const RATED_BY = 'series' satisfies RatedBy
