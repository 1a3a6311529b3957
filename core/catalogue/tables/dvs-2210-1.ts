import type { Source, SupportRow } from '../types'

export const SOURCE = {
  id: 'dvs-2210-1',
  standard: 'DVS 2210-1',
  subject: "Greatest distance between fixings of PP-R pipe; makers' practice",
  checked: 'part',
} as const satisfies Source

/** Greatest spacing by outside diameter, mm; hot pipe sags and is held nearer. */
// prettier-ignore
export const SUPPORTS = [
  { family: 'pp-r', from: '16', to: '16', horizontalMm: 700, hotMm: 500, verticalMm: 900, midStorey: false, typical: true },
  { family: 'pp-r', from: '20', to: '20', horizontalMm: 800, hotMm: 600, verticalMm: 1050, midStorey: false, typical: true },
  { family: 'pp-r', from: '25', to: '25', horizontalMm: 900, hotMm: 700, verticalMm: 1150, midStorey: false, typical: true },
  { family: 'pp-r', from: '32', to: '32', horizontalMm: 1050, hotMm: 800, verticalMm: 1350, midStorey: false, typical: true },
  { family: 'pp-r', from: '40', to: '40', horizontalMm: 1200, hotMm: 900, verticalMm: 1550, midStorey: false, typical: true },
  { family: 'pp-r', from: '50', to: '50', horizontalMm: 1400, hotMm: 1100, verticalMm: 1800, midStorey: false, typical: true },
  { family: 'pp-r', from: '63', to: '63', horizontalMm: 1600, hotMm: 1300, verticalMm: 2100, midStorey: false, typical: true },
] as const satisfies readonly SupportRow[]
