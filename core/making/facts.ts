/** Figures of practice used in the steps. All are typical with their range unless a standard is named. */

/** Turns past hand tight on a new metal joint by body size, mm. Trade practice; makers differ. */
export function nutTurns(metricNominal: number): { lo: number, hi: number } {
  if (metricNominal <= 15) return { lo: 0.75, hi: 1.25 }
  if (metricNominal <= 22) return { lo: 0.75, hi: 1 }
  if (metricNominal <= 28) return { lo: 0.5, hi: 1 }
  return { lo: 0.5, hi: 0.75 }
}
/** On inch tube stops, and on plastic with a liner. */
export const NUT_TURNS_INCH = { lo: 0.75, hi: 1.25 } as const
export const NUT_TURNS_PLASTIC = { lo: 0.5, hi: 1.5 } as const

/** Soldered joint: left alone until the solder sets, then cooled in air before water or a seal goes near, s. */
export const SOLDER_SET_SECONDS = 30
export const SOLDER_COOL_SECONDS = 300

/** Wraps of thin tape by thread size. NPT by two lists of practice; BSP by British practice, half as many of thick tape. */
export function tapeTurns(form: 'npt' | 'bspt', nominal: string): { lo: number, hi: number } {
  if (form === 'bspt') return { lo: 6, hi: 15 }
  const NPT: Readonly<Record<string, readonly [number, number]>> = {
    '1/8': [2, 5], '1/4': [2, 5], '3/8': [2, 5], '1/2': [3, 6], '3/4': [3, 7], '1': [4, 8], '1-1/4': [4, 8], '1-1/2': [4, 9], '2': [4, 10],
  }
  const [lo, hi] = NPT[nominal] ?? [2, 10]
  return { lo, hi }
}

/** Wire for a soldered joint: a length equal to the tube's outside diameter, rule of the trade, mm. */
export const solderWire = (odMm: number): number => odMm

/** Diameter of solder wire as it is sold, mm: 1/8 in in the United States. */
const WIRE_MM = { metric: 3, inch: 3.175 } as const
/** Widest gap that is still good, each side of the tube, mm; half of it takes half. Practice: 0.05 to 0.13. */
export const SOLDER_GAP_MM = { value: 0.1, lo: 0.05, hi: 0.13 } as const
/** For the fillet and what drips; practice 1.5 to 2. */
const SOLDER_SPARE = 2

/** Wire by the volume of the gap round a tube in a cup, mm, of the wire its country sells. */
export function solderByVolume(odMm: number, depthMm: number, system: 'metric' | 'inch'): number {
  const volume = Math.PI * odMm * SOLDER_GAP_MM.value * depthMm
  return SOLDER_SPARE * volume / (Math.PI / 4 * WIRE_MM[system] ** 2)
}

/** Expansion fitting: held until it grips, then left to shrink before a test, s. Makers differ: 3 to 15 s; 30 min above 4 degC, 10 h in frost. */
export const EXPANSION_HOLD_SECONDS = 15
export const EXPANSION_SHRINK_SECONDS = 1800
export const EXPANSION_COLD_SECONDS = 36_000

/** Cemented joint: held while it pushes back (10 to 30 s), and the least cure before water, warm and at low pressure, s. */
export const CEMENT_HOLD_SECONDS = 30
export const CEMENT_CURE_SECONDS = 1800
