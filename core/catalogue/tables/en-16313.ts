import type { EndRow, RatingRow, SocketTable, Source } from '../types'
import { RATINGS as PRESS_RATINGS, SOURCE as PRESS_SOURCE } from './en-iso-21003-3'

export const SOURCE = {
  id: 'en-16313',
  standard: 'EN 16313',
  subject: 'Cone joints of manifolds and radiators, G 3/4: by system, insertion met in the trade',
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

/** Cone adaptor of a manifold, G 3/4: plastic tube end to the shoulder of the adaptor. */
export const SPIGOTS = [
  { nominal: '12', depthMm: 9.5, loMm: 7, hiMm: 13, typical: true },
  { nominal: '14', depthMm: 11, loMm: 8, hiMm: 14, typical: true },
  { nominal: '15', depthMm: 11, loMm: 9, hiMm: 14, typical: true },
  { nominal: '16', depthMm: 12, loMm: 9, hiMm: 16, typical: true },
  { nominal: '17', depthMm: 12, loMm: 9, hiMm: 16, typical: true },
  { nominal: '18', depthMm: 12, loMm: 9, hiMm: 16, typical: true },
  { nominal: '20', depthMm: 12.5, loMm: 10, hiMm: 18, typical: true },
] as const satisfies readonly EndRow[]

/** The same on copper: from the face of the nut, run up by hand; some bodies have no stop. */
export const METAL_ENDS = [
  { nominal: '8', depthMm: 18, loMm: 12, hiMm: 24, typical: true },
  { nominal: '10', depthMm: 18, loMm: 12, hiMm: 24, typical: true },
  { nominal: '12', depthMm: 19, loMm: 13, hiMm: 26, typical: true },
  { nominal: '14', depthMm: 19, loMm: 14, hiMm: 26, typical: true },
  { nominal: '15', depthMm: 19, loMm: 13, hiMm: 28, typical: true },
  { nominal: '16', depthMm: 19.5, loMm: 15, hiMm: 28, typical: true },
  { nominal: '18', depthMm: 19.5, loMm: 13, hiMm: 28, typical: true },
] as const satisfies readonly EndRow[]

/** On plastic, PEX 6 at 90 °C, multilayer 10; on metal with a soft seal 10. */
export const PEX_CONE = [{ of: 'cone', tempC: 90, maxBar: 6, typical: true }] as const satisfies readonly RatingRow[]
export const ML_CONE = [{ of: 'cone', tempC: 90, maxBar: 10, typical: true }] as const satisfies readonly RatingRow[]
export const METAL_CONE = [
  { of: 'cone', tempC: 110, maxBar: 10, typical: true },
] as const satisfies readonly RatingRow[]

export const SOCKET_TABLES = [
  {
    method: 'cone',
    rows: SPIGOTS,
    families: ['pex'],
    sizing: 'own',
    series: 'pex-en',
    rating: { rows: PEX_CONE, source: SOURCE },
  },
  {
    method: 'cone',
    rows: SPIGOTS,
    families: ['multilayer'],
    sizing: 'own',
    series: 'ml-en',
    rating: { rows: ML_CONE, source: SOURCE },
  },
  {
    method: 'cone',
    rows: METAL_ENDS,
    families: ['copper'],
    sizing: 'en-od',
    rating: { rows: METAL_CONE, source: SOURCE },
  },
  {
    method: 'ml-compression',
    rows: SOCKETS,
    families: ['multilayer'],
    sizing: 'own',
    series: 'ml-en',
    rating: ML_PRESS,
  },
] as const satisfies readonly SocketTable[]
