import type { EndRow, RatingRow, SocketTable, Source, TakeOutRow } from '../types'

export const SOURCE = {
  id: 'asme-b16-22',
  standard: 'ASME B16.22',
  subject: 'Wrought copper solder-joint fittings: least cup depth and male end',
  checked: 'agreed',
} as const satisfies Source

export const CUPS = [
  { nominal: '1/4', depthMm: 7.87, loMm: 7.87, hiMm: 7.87, maleEndMm: 9.65, typical: false },
  { nominal: '3/8', depthMm: 9.65, loMm: 9.65, hiMm: 9.65, maleEndMm: 11.18, typical: false },
  { nominal: '1/2', depthMm: 12.7, loMm: 12.7, hiMm: 12.7, maleEndMm: 14.22, typical: false },
  { nominal: '5/8', depthMm: 15.75, loMm: 15.75, hiMm: 15.75, maleEndMm: 17.53, typical: false },
  { nominal: '3/4', depthMm: 19.05, loMm: 19.05, hiMm: 19.05, maleEndMm: 20.57, typical: false },
  { nominal: '1', depthMm: 23.11, loMm: 23.11, hiMm: 23.11, maleEndMm: 24.64, typical: false },
  { nominal: '1-1/4', depthMm: 24.64, loMm: 24.64, hiMm: 24.64, maleEndMm: 26.16, typical: false },
  { nominal: '1-1/2', depthMm: 27.69, loMm: 27.69, hiMm: 27.69, maleEndMm: 29.46, typical: false },
  { nominal: '2', depthMm: 34.04, loMm: 34.04, hiMm: 34.04, maleEndMm: 35.81, typical: false },
] as const satisfies readonly EndRow[]

/** Soldered joint with a lead-free tin-copper solder (alloy E), by size group in inches. Earlier editions gave about half. */
export const RATINGS = [
  { of: '1/8-1', tempC: 38, maxBar: 49, typical: true },
  { of: '1-1/4-2', tempC: 38, maxBar: 38.3, typical: true },
  { of: '1/8-1', tempC: 66, maxBar: 32.8, typical: true },
  { of: '1-1/4-2', tempC: 66, maxBar: 25.5, typical: true },
  { of: '1/8-1', tempC: 93, maxBar: 25.9, typical: true },
  { of: '1-1/4-2', tempC: 93, maxBar: 20, typical: true },
  { of: '1/8-1', tempC: 121, maxBar: 22.1, typical: true },
  { of: '1-1/4-2', tempC: 121, maxBar: 17.2, typical: true },
] as const satisfies readonly RatingRow[]

/** Centre to stop; the standard leaves it to the maker, so all are typical. A coupling: half the width of its stop. */
export const TAKE_OUTS = [
  { fitting: 'elbow-90', nominal: '1/2', takeOutMm: 10.5, loMm: 8, hiMm: 13 },
  { fitting: 'elbow-45', nominal: '1/2', takeOutMm: 4.8, loMm: 4, hiMm: 6.5 },
  { fitting: 'tee-run', nominal: '1/2', takeOutMm: 10.5, loMm: 8, hiMm: 12 },
  { fitting: 'tee-branch', nominal: '1/2', takeOutMm: 11, loMm: 8, hiMm: 13 },
  { fitting: 'coupling', nominal: '1/2', takeOutMm: 0.8, loMm: 0.4, hiMm: 1.6 },
  { fitting: 'elbow-90', nominal: '3/4', takeOutMm: 14, loMm: 11, hiMm: 17 },
  { fitting: 'elbow-45', nominal: '3/4', takeOutMm: 6.4, loMm: 5, hiMm: 8.5 },
  { fitting: 'tee-run', nominal: '3/4', takeOutMm: 13.5, loMm: 11, hiMm: 16 },
  { fitting: 'tee-branch', nominal: '3/4', takeOutMm: 14, loMm: 11, hiMm: 17 },
  { fitting: 'coupling', nominal: '3/4', takeOutMm: 0.8, loMm: 0.4, hiMm: 1.6 },
  { fitting: 'elbow-90', nominal: '1', takeOutMm: 19, loMm: 15, hiMm: 23 },
  { fitting: 'elbow-45', nominal: '1', takeOutMm: 8, loMm: 6.5, hiMm: 10.5 },
  { fitting: 'tee-run', nominal: '1', takeOutMm: 18, loMm: 14.5, hiMm: 20.5 },
  { fitting: 'tee-branch', nominal: '1', takeOutMm: 18, loMm: 14.5, hiMm: 21.5 },
  { fitting: 'coupling', nominal: '1', takeOutMm: 1, loMm: 0.4, hiMm: 1.6 },
] as const satisfies readonly TakeOutRow[]

export const SOCKET_TABLES = [
  {
    method: 'solder',
    rows: CUPS,
    families: ['copper'],
    sizing: 'cts',
    rating: { rows: RATINGS, source: SOURCE },
    isRatedBySize: true,
  },
] as const satisfies readonly SocketTable[]
