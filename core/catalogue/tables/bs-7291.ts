import type { RatedBy, PipeRow, RatingRow, Source } from '../types'

export const SOURCE = {
  id: 'bs-7291',
  standard: 'BS 7291',
  subject: 'Polybutylene and PEX tube in copper outside diameters',
  checked: 'part',
} as const satisfies Source

export const ROWS = [
  { series: 'bs7291', nominal: '10', odMm: 10, wallMm: 1.5, boreMm: 7, typical: true },
  { series: 'bs7291', nominal: '15', odMm: 15, wallMm: 1.7, boreMm: 11.6, typical: true },
  { series: 'bs7291', nominal: '22', odMm: 22, wallMm: 2, boreMm: 18, typical: true },
  { series: 'bs7291', nominal: '28', odMm: 28, wallMm: 2.6, boreMm: 22.8, typical: true },
] as const satisfies readonly PipeRow[]

/** Class S pipe; at 65 and 95 C makers differ and no figure is kept. */
export const RATINGS = [
  { of: 'bs7291', tempC: 20, maxBar: 12, typical: true },
  { of: 'bs7291', tempC: 65, maxBar: null, typical: true },
  { of: 'bs7291', tempC: 82, maxBar: 6, typical: true },
  { of: 'bs7291', tempC: 95, maxBar: null, typical: true },
] as const satisfies readonly RatingRow[]

/** In a sealed heating circuit, up to the heat it can run to: makers quote 3 to 6 bar, the least is taken. */
export const HEATING_RATINGS = [
  { of: 'bs7291', tempC: 95, maxBar: 3, typical: true },
] as const satisfies readonly RatingRow[]

export const RATED_BY = 'series' satisfies RatedBy
