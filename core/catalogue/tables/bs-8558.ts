import type { Source, SupportRow } from '../types'

export const SOURCE = {
  id: 'bs-8558',
  standard: 'BS 8558 with BS EN 806-4',
  subject: 'Greatest distance between fixings, British practice',
  checked: 'part',
} as const satisfies Source

/** Greatest spacing by family and nominal size, mm; sizes from and to are included. `verticalMm` null: the code speaks of storeys, not of a length. */
// prettier-ignore
export const SUPPORTS = [
  { family: 'copper', from: '6', to: '6', horizontalMm: 475, verticalMm: 650, midStorey: false, typical: true },
  { family: 'copper', from: '8', to: '8', horizontalMm: 600, verticalMm: 900, midStorey: false, typical: true },
  { family: 'copper', from: '10', to: '10', horizontalMm: 800, verticalMm: 1200, midStorey: false, typical: true },
  { family: 'copper', from: '12', to: '12', horizontalMm: 1000, verticalMm: 1450, midStorey: false, typical: true },
  { family: 'copper', from: '15', to: '15', horizontalMm: 1200, verticalMm: 1800, midStorey: false, typical: false },
  { family: 'stainless', from: '15', to: '15', horizontalMm: 1200, verticalMm: 1800, midStorey: false, typical: true },
  { family: 'copper', from: '22', to: '22', horizontalMm: 1800, verticalMm: 2400, midStorey: false, typical: false },
  { family: 'stainless', from: '18', to: '18', horizontalMm: 1200, verticalMm: 1800, midStorey: false, typical: true },
  { family: 'stainless', from: '22', to: '22', horizontalMm: 1800, verticalMm: 2400, midStorey: false, typical: true },
  { family: 'copper', from: '28', to: '28', horizontalMm: 1800, verticalMm: 2400, midStorey: false, typical: false },
  { family: 'stainless', from: '28', to: '28', horizontalMm: 1800, verticalMm: 2400, midStorey: false, typical: true },
  { family: 'copper', from: '35', to: '35', horizontalMm: 2400, verticalMm: 3000, midStorey: false, typical: true },
  { family: 'stainless', from: '35', to: '35', horizontalMm: 2400, verticalMm: 3000, midStorey: false, typical: true },
  { family: 'copper', from: '42', to: '42', horizontalMm: 2400, verticalMm: 3000, midStorey: false, typical: true },
  { family: 'stainless', from: '42', to: '42', horizontalMm: 2400, verticalMm: 3000, midStorey: false, typical: true },
  { family: 'copper', from: '54', to: '54', horizontalMm: 2700, verticalMm: 3000, midStorey: false, typical: true },
  { family: 'stainless', from: '54', to: '54', horizontalMm: 2700, verticalMm: 3000, midStorey: false, typical: true },
  { family: 'steel', from: '1/2', to: '1/2', horizontalMm: 1800, verticalMm: 2400, midStorey: false, typical: true },
  { family: 'steel', from: '3/4', to: '3/4', horizontalMm: 2400, verticalMm: 3000, midStorey: false, typical: true },
  { family: 'steel', from: '1', to: '1', horizontalMm: 2400, verticalMm: 3000, midStorey: false, typical: true },
  { family: 'steel', from: '1-1/4', to: '1-1/4', horizontalMm: 2700, verticalMm: 3000, midStorey: false, typical: true },
  { family: 'steel', from: '1-1/2', to: '1-1/2', horizontalMm: 3000, verticalMm: 3600, midStorey: false, typical: true },
  { family: 'steel', from: '2', to: '2', horizontalMm: 3000, verticalMm: 3600, midStorey: false, typical: true },
  { family: 'pex', from: '10', to: '16', horizontalMm: 300, verticalMm: 500, midStorey: false, typical: false },
  { family: 'pex', from: '18', to: '25', horizontalMm: 500, verticalMm: 800, midStorey: false, typical: false },
  { family: 'pex', from: '28', to: '28', horizontalMm: 800, verticalMm: 1000, midStorey: false, typical: true },
  { family: 'pb', from: '10', to: '16', horizontalMm: 300, verticalMm: 500, midStorey: false, typical: false },
  { family: 'pb', from: '18', to: '25', horizontalMm: 500, verticalMm: 800, midStorey: false, typical: false },
  { family: 'pb', from: '28', to: '28', horizontalMm: 800, verticalMm: 1000, midStorey: false, typical: true },
  { family: 'pe', from: '20', to: '20', horizontalMm: 500, verticalMm: 900, midStorey: false, typical: true },
  { family: 'pe', from: '25', to: '25', horizontalMm: 600, verticalMm: 1200, midStorey: false, typical: true },
  { family: 'pe', from: '32', to: '32', horizontalMm: 600, verticalMm: 1200, midStorey: false, typical: true },
  { family: 'pe', from: '40', to: '40', horizontalMm: 800, verticalMm: 1200, midStorey: false, typical: true },
  { family: 'pe', from: '50', to: '50', horizontalMm: 800, verticalMm: 1500, midStorey: false, typical: true },
  { family: 'pe', from: '63', to: '63', horizontalMm: 800, verticalMm: 1600, midStorey: false, typical: true },
] as const satisfies readonly SupportRow[]
