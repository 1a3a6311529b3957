import type { Source, SupportRow } from '../types'

export const SOURCE = {
  id: 'upc-313-3',
  standard: 'UPC Table 313.3',
  subject: 'Hangers and supports of the uniform plumbing code',
  clause: 'Table 313.3',
  checked: 'part',
} as const satisfies Source

/** Greatest spacing by family and nominal size, mm; sizes from and to are included. `verticalMm` null: the code speaks of storeys, not of a length. */
// prettier-ignore
export const SUPPORTS = [
  { family: 'copper', from: '1/4', to: '1-1/2', horizontalMm: 1829, verticalMm: 3048, midStorey: false, typical: false },
  { family: 'copper', from: '2', to: '2', horizontalMm: 3048, verticalMm: 3048, midStorey: false, typical: false },
  { family: 'steel', from: '1/2', to: '3/4', horizontalMm: 3048, verticalMm: 7620, midStorey: false, typical: false },
  { family: 'steel', from: '1', to: '2', horizontalMm: 3658, verticalMm: 7620, midStorey: false, typical: false },
  { family: 'cpvc', from: '1/2', to: '1', horizontalMm: 914, verticalMm: null, midStorey: true, typical: false },
  { family: 'cpvc', from: '1-1/4', to: '2', horizontalMm: 1219, verticalMm: null, midStorey: true, typical: false },
  { family: 'pex', from: '1/4', to: '1', horizontalMm: 813, verticalMm: null, midStorey: true, typical: false },
  { family: 'pex', from: '1-1/4', to: '2', horizontalMm: 1219, verticalMm: null, midStorey: true, typical: false },
  { family: 'pert', from: '1/4', to: '1', horizontalMm: 813, verticalMm: null, midStorey: true, typical: true },
  { family: 'pert', from: '1-1/4', to: '2', horizontalMm: 1219, verticalMm: null, midStorey: true, typical: true },
  { family: 'multilayer', from: '1/2', to: '1', horizontalMm: 2489, verticalMm: null, midStorey: true, typical: true },
  { family: 'pvc', from: '1/2', to: '2', horizontalMm: 1219, verticalMm: null, midStorey: true, typical: false },
] as const satisfies readonly SupportRow[]
