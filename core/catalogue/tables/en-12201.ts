import type { RatedBy, PipeRow, RatingRow, Source } from '../types'

export const SOURCE = {
  id: 'en-12201',
  standard: 'EN 12201',
  subject: 'Polyethylene water pipe, SDR11: outside diameter and minimum wall',
  checked: 'agreed',
} as const satisfies Source

export const ROWS = [
  { series: 'pe-en', nominal: '20', odMm: 20, wallMm: 2, boreMm: 16, typical: false },
  { series: 'pe-en', nominal: '25', odMm: 25, wallMm: 2.3, boreMm: 20.4, typical: false },
  { series: 'pe-en', nominal: '32', odMm: 32, wallMm: 3, boreMm: 26, typical: false },
  { series: 'pe-en', nominal: '40', odMm: 40, wallMm: 3.7, boreMm: 32.6, typical: false },
  { series: 'pe-en', nominal: '50', odMm: 50, wallMm: 4.6, boreMm: 40.8, typical: false },
  { series: 'pe-en', nominal: '63', odMm: 63, wallMm: 5.8, boreMm: 51.4, typical: false },
] as const satisfies readonly PipeRow[]

/** PE80, the lesser grade, since the grade is not asked: PN 12.5 at 20 C, multiplied by 0.87 at 30 and 0.74 at 40. Cold water only. */
export const RATINGS = [
  { of: 'pe-en', tempC: 20, maxBar: 12.5, typical: false },
  { of: 'pe-en', tempC: 30, maxBar: 10.875, typical: false },
  { of: 'pe-en', tempC: 40, maxBar: 9.25, typical: false },
] as const satisfies readonly RatingRow[]

export const RATED_BY = 'series' satisfies RatedBy
