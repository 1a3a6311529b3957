import type { RatedBy, PipeRow, RatingRow, Source } from '../types'

export const SOURCE = {
  id: 'en-1057',
  standard: 'EN 1057',
  subject: 'Copper tube for water and gas: outside diameter and wall, the former Tables X and Y and the thick wall',
  checked: 'part',
} as const satisfies Source

export const ROWS = [
  { series: 'cu-en-x', nominal: '6', odMm: 6, wallMm: 0.6, boreMm: 4.8, typical: true },
  { series: 'cu-en-x', nominal: '8', odMm: 8, wallMm: 0.6, boreMm: 6.8, typical: true },
  { series: 'cu-en-x', nominal: '10', odMm: 10, wallMm: 0.6, boreMm: 8.8, typical: true },
  { series: 'cu-en-x', nominal: '12', odMm: 12, wallMm: 0.6, boreMm: 10.8, typical: true },
  { series: 'cu-en-x', nominal: '15', odMm: 15, wallMm: 0.7, boreMm: 13.6, typical: false },
  { series: 'cu-en-x', nominal: '18', odMm: 18, wallMm: 0.8, boreMm: 16.4, typical: true },
  { series: 'cu-en-x', nominal: '22', odMm: 22, wallMm: 0.9, boreMm: 20.2, typical: false },
  { series: 'cu-en-x', nominal: '28', odMm: 28, wallMm: 0.9, boreMm: 26.2, typical: false },
  { series: 'cu-en-x', nominal: '35', odMm: 35, wallMm: 1.2, boreMm: 32.6, typical: false },
  { series: 'cu-en-x', nominal: '42', odMm: 42, wallMm: 1.2, boreMm: 39.6, typical: false },
  { series: 'cu-en-x', nominal: '54', odMm: 54, wallMm: 1.2, boreMm: 51.6, typical: false },
  { series: 'cu-en-y', nominal: '6', odMm: 6, wallMm: 0.8, boreMm: 4.4, typical: false },
  { series: 'cu-en-y', nominal: '8', odMm: 8, wallMm: 0.8, boreMm: 6.4, typical: false },
  { series: 'cu-en-y', nominal: '10', odMm: 10, wallMm: 0.8, boreMm: 8.4, typical: false },
  { series: 'cu-en-y', nominal: '12', odMm: 12, wallMm: 0.8, boreMm: 10.4, typical: false },
  { series: 'cu-en-y', nominal: '15', odMm: 15, wallMm: 1, boreMm: 13, typical: false },
  { series: 'cu-en-y', nominal: '18', odMm: 18, wallMm: 1, boreMm: 16, typical: true },
  { series: 'cu-en-y', nominal: '22', odMm: 22, wallMm: 1.2, boreMm: 19.6, typical: false },
  { series: 'cu-en-y', nominal: '28', odMm: 28, wallMm: 1.2, boreMm: 25.6, typical: false },
  { series: 'cu-en-y', nominal: '35', odMm: 35, wallMm: 1.5, boreMm: 32, typical: false },
  { series: 'cu-en-y', nominal: '42', odMm: 42, wallMm: 1.5, boreMm: 39, typical: false },
  { series: 'cu-en-y', nominal: '54', odMm: 54, wallMm: 2, boreMm: 50, typical: false },
  { series: 'cu-en-10', nominal: '12', odMm: 12, wallMm: 1, boreMm: 10, typical: false },
  { series: 'cu-en-10', nominal: '14', odMm: 14, wallMm: 1, boreMm: 12, typical: true },
  { series: 'cu-en-10', nominal: '15', odMm: 15, wallMm: 1, boreMm: 13, typical: false },
  { series: 'cu-en-10', nominal: '16', odMm: 16, wallMm: 1, boreMm: 14, typical: true },
  { series: 'cu-en-10', nominal: '18', odMm: 18, wallMm: 1, boreMm: 16, typical: false },
  { series: 'cu-en-10', nominal: '22', odMm: 22, wallMm: 1, boreMm: 20, typical: false },
  { series: 'cu-en-10', nominal: '28', odMm: 28, wallMm: 1, boreMm: 26, typical: true },
] as const satisfies readonly PipeRow[]

/** Pressure of the half-hard tube alone at 65 C, bar; the joint usually governs. */
export const RATINGS = [
  { of: 'cu-en-x-15', tempC: 65, maxBar: 58, typical: true },
  { of: 'cu-en-x-22', tempC: 65, maxBar: 51, typical: true },
  { of: 'cu-en-x-28', tempC: 65, maxBar: 40, typical: true },
  { of: 'cu-en-x-35', tempC: 65, maxBar: 42, typical: true },
  { of: 'cu-en-x-42', tempC: 65, maxBar: 35, typical: true },
  { of: 'cu-en-x-54', tempC: 65, maxBar: 27, typical: true },
  { of: 'cu-en-y-15', tempC: 65, maxBar: 87, typical: true },
  { of: 'cu-en-y-22', tempC: 65, maxBar: 69, typical: true },
  { of: 'cu-en-y-28', tempC: 65, maxBar: 55, typical: true },
  { of: 'cu-en-y-35', tempC: 65, maxBar: 54, typical: true },
  { of: 'cu-en-y-42', tempC: 65, maxBar: 45, typical: true },
  { of: 'cu-en-y-54', tempC: 65, maxBar: 47, typical: true },
] as const satisfies readonly RatingRow[]

export const RATED_BY = 'hard-pipe' satisfies RatedBy
