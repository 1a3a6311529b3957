import type { Source, SupportRow } from '../types'

export const SOURCE = {
  id: 'irc-p2605',
  standard: 'IRC Table P2605.1',
  subject: 'Piping support of the residential code',
  clause: 'Table P2605.1',
  checked: 'part',
} as const satisfies Source

/** Greatest spacing by family and nominal size, mm; sizes from and to are included. `verticalMm` null: the code speaks of storeys, not of a length. */
// prettier-ignore
export const SUPPORTS = [
  { family: 'copper', from: '1/4', to: '1-1/4', horizontalMm: 1829, verticalMm: 3048, midStorey: false, typical: false },
  { family: 'copper', from: '1-1/2', to: '2', horizontalMm: 3048, verticalMm: 3048, midStorey: false, typical: false },
  { family: 'pex', from: '1/4', to: '1', horizontalMm: 813, verticalMm: 3048, midStorey: true, typical: false },
  { family: 'pex', from: '1-1/4', to: '2', horizontalMm: 1219, verticalMm: 3048, midStorey: true, typical: false },
  { family: 'pert', from: '1/4', to: '1', horizontalMm: 813, verticalMm: 3048, midStorey: true, typical: false },
  { family: 'pert', from: '1-1/4', to: '2', horizontalMm: 1219, verticalMm: 3048, midStorey: true, typical: false },
  { family: 'multilayer', from: '3/8', to: '1', horizontalMm: 813, verticalMm: 1219, midStorey: false, typical: false },
  { family: 'cpvc', from: '1/2', to: '1', horizontalMm: 914, verticalMm: 3048, midStorey: true, typical: false },
  { family: 'cpvc', from: '1-1/4', to: '2', horizontalMm: 1219, verticalMm: 3048, midStorey: true, typical: false },
  { family: 'pvc', from: '1/2', to: '2', horizontalMm: 1219, verticalMm: 3048, midStorey: true, typical: false },
  { family: 'pb', from: '1/2', to: '1', horizontalMm: 813, verticalMm: 1219, midStorey: false, typical: true },
  { family: 'steel', from: '1/2', to: '2', horizontalMm: 3658, verticalMm: 4572, midStorey: false, typical: false },
  { family: 'stainless', from: '1/2', to: '2', horizontalMm: 3048, verticalMm: 3048, midStorey: false, typical: true },
] as const satisfies readonly SupportRow[]
