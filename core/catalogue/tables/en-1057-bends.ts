import type { BendRow, Source } from '../types'

export const SOURCE = {
  id: 'en-1057-bends',
  standard: 'EN 1057 bend test and hand benders in use',
  subject: 'Centreline radii of copper in a hand bender',
  checked: 'part',
} as const satisfies Source

/** Copper by series family: metric by outside diameter, inch by nominal size. The least radii of 6 to 18 are EN 1057's bend test. */
export const METRIC_COPPER = [
  { series: 'cu-en', nominal: '6', radiusMm: 26, loMm: 18, hiMm: 30 },
  { series: 'cu-en', nominal: '8', radiusMm: 32.5, loMm: 25, hiMm: 36 },
  { series: 'cu-en', nominal: '10', radiusMm: 39, loMm: 30, hiMm: 45 },
  { series: 'cu-en', nominal: '12', radiusMm: 45, loMm: 38, hiMm: 52 },
  { series: 'cu-en', nominal: '14', radiusMm: 50, loMm: 50, hiMm: 50 },
  { series: 'cu-en', nominal: '15', radiusMm: 55, loMm: 45, hiMm: 65 },
  { series: 'cu-en', nominal: '16', radiusMm: 60, loMm: 60, hiMm: 60 },
  { series: 'cu-en', nominal: '18', radiusMm: 70, loMm: 60, hiMm: 75 },
  { series: 'cu-en', nominal: '22', radiusMm: 77, loMm: 70, hiMm: 95 },
  { series: 'cu-en', nominal: '28', radiusMm: 114, loMm: 100, hiMm: 125 },
] as const satisfies readonly BendRow[]

/** Over 1 in it is soft tube, laid over a form. */
export const INCH_COPPER = [
  { series: 'cu-us', nominal: '1/4', radiusMm: 19.05, loMm: 19.05, hiMm: 38 },
  { series: 'cu-us', nominal: '3/8', radiusMm: 38.1, loMm: 38, hiMm: 76 },
  { series: 'cu-us', nominal: '1/2', radiusMm: 57, loMm: 55, hiMm: 67 },
  { series: 'cu-us', nominal: '5/8', radiusMm: 70, loMm: 60, hiMm: 114 },
  { series: 'cu-us', nominal: '3/4', radiusMm: 76, loMm: 76, hiMm: 95 },
  { series: 'cu-us', nominal: '1', radiusMm: 101.6, loMm: 101.6, hiMm: 190 },
  { series: 'cu-us', nominal: '1-1/4', radiusMm: 229, loMm: 200, hiMm: 260 },
  { series: 'cu-us', nominal: '1-1/2', radiusMm: 351, loMm: 206, hiMm: 578 },
  { series: 'cu-us', nominal: '2', radiusMm: 459, loMm: 270, hiMm: 756 },
] as const satisfies readonly BendRow[]
