import type { RatedBy, PipeRow, RatingRow, Source } from '../types'

export const SOURCE = {
  id: 'astm-f1281',
  standard: 'ASTM F1281',
  subject: 'PEX-AL-PEX composite tube',
  checked: 'agreed',
} as const satisfies Source

export const ROWS = [
  { series: 'ml-astm', nominal: '3/8', odMm: 12, wallMm: 1.6, boreMm: 8.8, typical: true },
  { series: 'ml-astm', nominal: '1/2', odMm: 16, wallMm: 1.65, boreMm: 12.7, typical: true },
  { series: 'ml-astm', nominal: '5/8', odMm: 20, wallMm: 1.9, boreMm: 16.2, typical: true },
  { series: 'ml-astm', nominal: '3/4', odMm: 25, wallMm: 2.25, boreMm: 20.5, typical: true },
  { series: 'ml-astm', nominal: '1', odMm: 32, wallMm: 2.9, boreMm: 26.2, typical: true },
  { series: 'ml-astm', nominal: '1-1/4', odMm: 40, wallMm: 3.85, boreMm: 32.3, typical: true },
  { series: 'ml-astm', nominal: '1-1/2', odMm: 50, wallMm: 4.5, boreMm: 41, typical: true },
  { series: 'ml-astm', nominal: '2', odMm: 63, wallMm: 6, boreMm: 51, typical: true },
] as const satisfies readonly PipeRow[]

/**
 * Pressure of the tube with water at temperature, bar. PE-AL-PE (F1282) of the same sizes takes less when hot, 11.0 at 60
 * and 6.9 at 82 where PEX-AL-PEX takes 8.6: the lesser holds until the print is read.
 */
export const RATINGS = [
  { of: 'ml-astm', tempC: 23, maxBar: 13.8, typical: false },
  { of: 'ml-astm', tempC: 60, maxBar: 11, typical: true },
  { of: 'ml-astm', tempC: 82, maxBar: 6.9, typical: true },
] as const satisfies readonly RatingRow[]

export const RATED_BY = 'series' satisfies RatedBy
