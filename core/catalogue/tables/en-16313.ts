import type { EndRow, Source } from '../types'

export const SOURCE = {
  id: 'en-16313',
  standard: 'EN 16313',
  subject: 'Cone and insert of multilayer pipe in a eurocone seat: by system, no figure held, measure',
} as const satisfies Source

export const SOCKETS = [
  { nominal: '14', depthMm: null, loMm: null, hiMm: null, typical: true },
  { nominal: '16', depthMm: null, loMm: null, hiMm: null, typical: true },
  { nominal: '18', depthMm: null, loMm: null, hiMm: null, typical: true },
  { nominal: '20', depthMm: null, loMm: null, hiMm: null, typical: true },
  { nominal: '25', depthMm: null, loMm: null, hiMm: null, typical: true },
  { nominal: '26', depthMm: null, loMm: null, hiMm: null, typical: true },
] as const satisfies readonly EndRow[]
