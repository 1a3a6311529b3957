import type { EndRow, SocketTable, Source } from '../types'
import { RATINGS as PRESS_RATINGS, SOURCE as PRESS_SOURCE } from './en-iso-21003-3'

export const SOURCE = {
  id: 'en-16313',
  standard: 'EN 16313',
  subject: 'Cone and insert of multilayer pipe in a eurocone seat: by system, no figure held, measure',
  checked: 'part',
} as const satisfies Source

export const SOCKETS = [
  { nominal: '14', depthMm: null, loMm: null, hiMm: null, typical: true },
  { nominal: '16', depthMm: null, loMm: null, hiMm: null, typical: true },
  { nominal: '18', depthMm: null, loMm: null, hiMm: null, typical: true },
  { nominal: '20', depthMm: null, loMm: null, hiMm: null, typical: true },
  { nominal: '25', depthMm: null, loMm: null, hiMm: null, typical: true },
  { nominal: '26', depthMm: null, loMm: null, hiMm: null, typical: true },
] as const satisfies readonly EndRow[]

/** The joint is rated as a pressed one is. */
const ML_PRESS = { rows: PRESS_RATINGS, source: PRESS_SOURCE }

export const SOCKET_TABLES = [
  {
    method: 'ml-compression',
    rows: SOCKETS,
    families: ['multilayer'],
    sizing: 'own',
    series: 'ml-en',
    rating: ML_PRESS,
  },
] as const satisfies readonly SocketTable[]
