import type { BendRow, Source } from '../types'

export const SOURCE = {
  id: 'en-1057-bends',
  standard: 'EN 1057 bend test and hand benders in use',
  subject: 'Centreline radii of copper in a hand bender',
  checked: 'part',
} as const satisfies Source

/** Copper by series family: metric by outside diameter, inch by nominal size. The least radii of 6 to 18 are EN 1057's bend test. */
export const METRIC_COPPER = [
  { series: 'cu-en', nominal: '6', radiusMm: 30, loMm: 30, hiMm: 30 },
  { series: 'cu-en', nominal: '8', radiusMm: 35, loMm: 35, hiMm: 35 },
  { series: 'cu-en', nominal: '10', radiusMm: 40, loMm: 40, hiMm: 40 },
  { series: 'cu-en', nominal: '12', radiusMm: 45, loMm: 45, hiMm: 48 },
  { series: 'cu-en', nominal: '15', radiusMm: 55, loMm: 45, hiMm: 65 },
  { series: 'cu-en', nominal: '18', radiusMm: 70, loMm: 70, hiMm: 72 },
  { series: 'cu-en', nominal: '22', radiusMm: 77, loMm: 70, hiMm: 95 },
  { series: 'cu-en', nominal: '28', radiusMm: 114, loMm: 112, hiMm: 114 },
] as const satisfies readonly BendRow[]

export const INCH_COPPER = [
  { series: 'cu-us', nominal: '1/2', radiusMm: 57, loMm: 55, hiMm: 67 },
  { series: 'cu-us', nominal: '3/4', radiusMm: 76, loMm: 76, hiMm: 95 },
  { series: 'cu-us', nominal: '1', radiusMm: 102, loMm: 102, hiMm: 102 },
] as const satisfies readonly BendRow[]
