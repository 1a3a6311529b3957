import type { RatedBy, PipeRow, RatingRow, Source } from '../types'

export const SOURCE = {
  id: 'en-iso-21003',
  standard: 'EN ISO 21003',
  subject: 'Multilayer pipe: the trade sizes',
  checked: 'agreed',
} as const satisfies Source

export const ROWS = [
  { series: 'ml-en', nominal: '14', odMm: 14, wallMm: 2, boreMm: 10, typical: true },
  { series: 'ml-en', nominal: '16', odMm: 16, wallMm: 2, boreMm: 12, typical: true },
  { series: 'ml-en', nominal: '17', odMm: 17, wallMm: 2, boreMm: 13, typical: true },
  { series: 'ml-en', nominal: '18', odMm: 18, wallMm: 2, boreMm: 14, typical: true },
  { series: 'ml-en', nominal: '20', odMm: 20, wallMm: 2, boreMm: 16, typical: true },
  { series: 'ml-en', nominal: '25', odMm: 25, wallMm: 2.5, boreMm: 20, typical: true },
  { series: 'ml-en', nominal: '26', odMm: 26, wallMm: 3, boreMm: 20, typical: true },
  { series: 'ml-en', nominal: '32', odMm: 32, wallMm: 3, boreMm: 26, typical: true },
  { series: 'ml-en', nominal: '40', odMm: 40, wallMm: 3.5, boreMm: 33, typical: true },
  { series: 'ml-en', nominal: '50', odMm: 50, wallMm: 4, boreMm: 42, typical: true },
  { series: 'ml-en', nominal: '63', odMm: 63, wallMm: 4.5, boreMm: 54, typical: true },
] as const satisfies readonly PipeRow[]

/**
 * Design pressure by application class (ISO 10508): class 2 hot water, class 5 radiators. Pipes of 6 and of 10 bar are
 * sold in both: the lesser holds until the print is read.
 */
export const RATINGS = [
  { of: 'ml-en', tempC: 70, maxBar: 6, typical: true },
  { of: 'ml-en', tempC: 80, maxBar: 6, typical: true },
] as const satisfies readonly RatingRow[]

export const RATED_BY = 'series' satisfies RatedBy
