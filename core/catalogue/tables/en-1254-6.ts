import type { SocketTable, Source, LengthRow } from '../types'
import { RATINGS, SLIP_LENGTHS as SLIPS, SOCKETS as DEPTHS, TAKE_OUTS as BODIES } from './en-iso-15876-3'

export const SOURCE = {
  id: 'en-1254-6',
  standard: 'EN 1254-6',
  subject: 'Push-fit ends for metric copper tube: insertion met in the trade',
  checked: 'part',
} as const satisfies Source

/** One body takes copper and plastic of the same outside diameter. */
export const SOCKETS = DEPTHS

/** The lesser of what metal and plastic bodies are rated at. */
export const SOCKET_TABLES = [
  {
    method: 'push-fit',
    rows: SOCKETS,
    families: ['copper'],
    sizing: 'en-od',
    rating: { rows: RATINGS, source: SOURCE },
  },
] as const satisfies readonly SocketTable[]

export const TAKE_OUTS = BODIES
export const SLIP_LENGTHS = SLIPS

/** Caps, plugs and stop ends, whole; makers differ. */
export const CAP_LENGTHS = [
  { nominal: '10', lengthMm: 33, loMm: 26, hiMm: 42.5 },
  { nominal: '15', lengthMm: 40, loMm: 32, hiMm: 50 },
  { nominal: '22', lengthMm: 45.5, loMm: 36.8, hiMm: 57.5 },
  { nominal: '28', lengthMm: 55, loMm: 44.8, hiMm: 70 },
] as const satisfies readonly LengthRow[]
