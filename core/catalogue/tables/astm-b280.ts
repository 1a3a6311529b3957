import type { BendRow, PipeRow, RatedBy, RatingRow, Source, TubeSupportRow } from '../types'

export const SOURCE = {
  id: 'astm-b280',
  standard: 'ASTM B280',
  subject: 'Soft copper coil called by its outside diameter: diameter and wall; pressure by the stress of ASME B31',
  checked: 'agreed',
} as const satisfies Source

export const ROWS = [
  { series: 'cu-od', nominal: '1/4', odMm: 6.35, wallMm: 0.762, boreMm: 4.826, typical: false },
  { series: 'cu-od', nominal: '3/8', odMm: 9.525, wallMm: 0.813, boreMm: 7.899, typical: false },
  { series: 'cu-od', nominal: '1/2', odMm: 12.7, wallMm: 0.813, boreMm: 11.074, typical: false },
  { series: 'cu-od', nominal: '5/8', odMm: 15.875, wallMm: 0.889, boreMm: 14.097, typical: false },
] as const satisfies readonly PipeRow[]

/** What annealed copper keeps of its pressure at 38 degC, by temperature: the stresses that ASTM B88's rows go by. */
const KEEPS = [
  { tempC: 38, share: 1 },
  { tempC: 66, share: 0.85 },
  { tempC: 93, share: 0.816 },
] as const
const AT_38 = { '1/4': 97.8, '3/8': 67.7, '1/2': 50, '5/8': 43.5 } as const

/** Tube alone, with its wall 10 % under; its joint governs far below. */
export const RATINGS: readonly RatingRow[] = Object.entries(AT_38).flatMap(([nominal, maxBar]) =>
  KEEPS.map(({ tempC, share }) => ({
    of: `cu-od-${nominal.replace('/', '_')}`,
    tempC,
    maxBar: Math.floor(maxBar * share * 10) / 10,
    typical: true,
  })),
)
export const RATED_BY = 'pipe' satisfies RatedBy

/** Centreline radius of the lever benders that such tube has. */
export const BENDS = [
  { series: 'cu-od', nominal: '1/4', radiusMm: 14.2875, loMm: 14.2875, hiMm: 14.2875 },
  { series: 'cu-od', nominal: '3/8', radiusMm: 23.8125, loMm: 23.8125, hiMm: 23.8125 },
  { series: 'cu-od', nominal: '1/2', radiusMm: 38.1, loMm: 38.1, hiMm: 38.1 },
  { series: 'cu-od', nominal: '5/8', radiusMm: 57.15, loMm: 57.15, hiMm: 57.15 },
] as const satisfies readonly BendRow[]

/** Greatest distance between clips, mm: practice, since the codes' rows begin with stiffer tube. */
export const CLIPS = [
  { series: 'cu-od', nominal: '1/4', horizontalMm: 450, verticalMm: null },
  { series: 'cu-od', nominal: '3/8', horizontalMm: 600, verticalMm: null },
  { series: 'cu-od', nominal: '1/2', horizontalMm: 900, verticalMm: null },
  { series: 'cu-od', nominal: '5/8', horizontalMm: 1200, verticalMm: null },
] as const satisfies readonly TubeSupportRow[]
