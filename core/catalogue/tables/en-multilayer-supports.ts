import type { Source, SupportRow } from '../types'

export const SOURCE = {
  id: 'en-multilayer-supports',
  standard: 'EN practice, multilayer',
  subject: 'Greatest distance between fixings of multilayer pipe; makers differ',
  checked: 'part',
} as const satisfies Source

/** Greatest spacing by family and nominal size, mm; sizes from and to are included. `verticalMm` null: the code speaks of storeys, not of a length. */
export const SUPPORTS = [
  { family: 'multilayer', from: '14', to: '14', horizontalMm: 1200, verticalMm: 1550, midStorey: false, typical: true },
  { family: 'multilayer', from: '16', to: '16', horizontalMm: 1200, verticalMm: 1550, midStorey: false, typical: true },
  { family: 'multilayer', from: '18', to: '18', horizontalMm: 1200, verticalMm: 1550, midStorey: false, typical: true },
  { family: 'multilayer', from: '20', to: '20', horizontalMm: 1300, verticalMm: 1700, midStorey: false, typical: true },
  { family: 'multilayer', from: '25', to: '25', horizontalMm: 1500, verticalMm: 1950, midStorey: false, typical: true },
  { family: 'multilayer', from: '26', to: '26', horizontalMm: 1500, verticalMm: 1950, midStorey: false, typical: true },
  { family: 'multilayer', from: '32', to: '32', horizontalMm: 1600, verticalMm: 2100, midStorey: false, typical: true },
  { family: 'multilayer', from: '40', to: '40', horizontalMm: 1700, verticalMm: 2200, midStorey: false, typical: true },
  { family: 'multilayer', from: '50', to: '50', horizontalMm: 2000, verticalMm: 2600, midStorey: false, typical: true },
  { family: 'multilayer', from: '63', to: '63', horizontalMm: 2200, verticalMm: 2850, midStorey: false, typical: true },
] as const satisfies readonly SupportRow[]
