export const TEMPERS = ['hard', 'soft', 'unknown'] as const
export const PEX_TYPES = ['a', 'b', 'c', 'unknown'] as const
export const CHLORINE_DIGITS = [0, 1, 3, 5] as const
export const SURFACES = ['bare', 'painted', 'plated', 'scored', 'corroded'] as const
export const TRACED = ['water', 'unknown'] as const
export const MADE_FOR = ['drinking', 'heating', 'reclaimed', 'sprinkler', 'gas'] as const
export type Temper = (typeof TEMPERS)[number]
export type PexType = (typeof PEX_TYPES)[number]
export type ChlorineDigit = (typeof CHLORINE_DIGITS)[number]
export type Surface = (typeof SURFACES)[number]
export type MadeFor = (typeof MADE_FOR)[number]

/**
 * What is known of a pipe end beside its size. "unknown": a find did not settle it. Not given: hard, b, and the rest not
 * asked unless the service needs it.
 */
export interface EndFacts {
  temper?: Temper
  /** Letter of PEX: how it was cross-linked. */
  pexType?: PexType
  /** Oxygen barrier. */
  barrier?: boolean | 'unknown'
  /** First digit of the four-figure PEX code: hot recirculation none, a quarter, half, all of the time. */
  chlorine?: ChlorineDigit | 'unknown'
  /** Class of use as printed, such as "2" or "S". */
  class?: string
  /** Fitting standards in its print, such as "F1960". A method whose standard is not there is not listed. */
  listing?: string[]
  surface?: Surface
  /** Whether it was followed to a water outlet. */
  traced?: (typeof TRACED)[number]
  /** What its print or colour says it carries. */
  madeFor?: MadeFor
}
