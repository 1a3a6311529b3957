import type { PipeRow, RatedBy, RatingRow, Source } from '../types'

export const SOURCE = {
  id: 'en-iso-15874',
  standard: 'EN ISO 15874',
  subject: 'PP-R pipe, SDR 6, 7.4 and 11',
  checked: 'part',
} as const satisfies Source

export const ROWS = [
  { series: 'ppr-74', nominal: '16', odMm: 16, wallMm: 2.2, boreMm: 11.6, typical: false },
  { series: 'ppr-74', nominal: '20', odMm: 20, wallMm: 2.8, boreMm: 14.4, typical: false },
  { series: 'ppr-74', nominal: '25', odMm: 25, wallMm: 3.5, boreMm: 18, typical: false },
  { series: 'ppr-74', nominal: '32', odMm: 32, wallMm: 4.4, boreMm: 23.2, typical: false },
  { series: 'ppr-74', nominal: '40', odMm: 40, wallMm: 5.5, boreMm: 29, typical: false },
  { series: 'ppr-74', nominal: '50', odMm: 50, wallMm: 6.9, boreMm: 36.2, typical: false },
  { series: 'ppr-74', nominal: '63', odMm: 63, wallMm: 8.6, boreMm: 45.8, typical: false },
  { series: 'ppr-6', nominal: '16', odMm: 16, wallMm: 2.7, boreMm: 10.6, typical: false },
  { series: 'ppr-6', nominal: '20', odMm: 20, wallMm: 3.4, boreMm: 13.2, typical: false },
  { series: 'ppr-6', nominal: '25', odMm: 25, wallMm: 4.2, boreMm: 16.6, typical: false },
  { series: 'ppr-6', nominal: '32', odMm: 32, wallMm: 5.4, boreMm: 21.2, typical: false },
  { series: 'ppr-6', nominal: '40', odMm: 40, wallMm: 6.7, boreMm: 26.6, typical: false },
  { series: 'ppr-6', nominal: '50', odMm: 50, wallMm: 8.3, boreMm: 33.4, typical: false },
  { series: 'ppr-6', nominal: '63', odMm: 63, wallMm: 10.5, boreMm: 42, typical: false },
  { series: 'ppr-11', nominal: '16', odMm: 16, wallMm: 1.8, boreMm: 12.4, typical: true },
  { series: 'ppr-11', nominal: '20', odMm: 20, wallMm: 1.9, boreMm: 16.2, typical: false },
  { series: 'ppr-11', nominal: '25', odMm: 25, wallMm: 2.3, boreMm: 20.4, typical: false },
  { series: 'ppr-11', nominal: '32', odMm: 32, wallMm: 2.9, boreMm: 26.2, typical: true },
  { series: 'ppr-11', nominal: '40', odMm: 40, wallMm: 3.7, boreMm: 32.6, typical: false },
  { series: 'ppr-11', nominal: '50', odMm: 50, wallMm: 4.6, boreMm: 40.8, typical: false },
  { series: 'ppr-11', nominal: '63', odMm: 63, wallMm: 5.8, boreMm: 51.4, typical: false },
] as const satisfies readonly PipeRow[]

/** Pressure by class from the design stress, stepped down to what is sold: cold, class 1 at 60 °C, class 2 at 70. */
export const RATINGS = [
  { of: 'ppr-6', tempC: 20, maxBar: 20, typical: true },
  { of: 'ppr-6', tempC: 60, maxBar: 10, typical: true },
  { of: 'ppr-6', tempC: 70, maxBar: 6, typical: true },
  { of: 'ppr-74', tempC: 20, maxBar: 16, typical: true },
  { of: 'ppr-74', tempC: 60, maxBar: 8, typical: true },
  { of: 'ppr-74', tempC: 70, maxBar: 6, typical: true },
  { of: 'ppr-11', tempC: 20, maxBar: 10, typical: true },
] as const satisfies readonly RatingRow[]

export const RATED_BY = 'own-series' satisfies RatedBy
