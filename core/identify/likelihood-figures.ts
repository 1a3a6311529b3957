import type { Family, Pipe } from '#core/catalogue'
import type { ChoiceName, Colour, Flex, HeldBy, Instrument, Scratch, Stripe } from './types'
import type { Region } from '#core/units'

/*
 * Our own working assumptions, shown as "ours": how often a pipe is met, how far instruments err,
 * how often each kind of pipe gives each answer. None of them comes from a standard.
 */

/** Share of pipes that are none of the catalogue's, before anything is checked. */
export const UNKNOWN_PRIOR = 0.05
/** Range over which an unknown pipe's outside diameter is equally likely, mm. */
export const DIAMETER_RANGE = { lo: 4, hi: 120 } as const
/** Range over which an unknown pipe's wall and bore are equally likely, mm. */
export const WALL_RANGE = { lo: 0.3, hi: 12 } as const
export const BORE_RANGE = { lo: 2, hi: 110 } as const

/** Error of one reading, mm (one standard deviation). */
export const INSTRUMENT_ERROR: Readonly<Record<Instrument, number>> = {
  calliper: 0.1,
  'tape-round': 0.2,
  rule: 0.6,
  gauge: 0.35,
}
/** A wall or bore read at a cut end, mm. */
export const CUT_END_ERROR = { wall: 0.12, bore: 0.3 } as const
/**
 * Share of readings spoilt by paint, dirt or a flattened end; how much wider they spread; how far they read over, mm.
 */
export const SPOILT = { share: 0.06, spread: 4, over: 0.15 } as const

/**
 * How often a print line can still be read, and how often a piece of it is as printed on the pipe it is on, on another,
 * or on one that is not in the catalogue.
 */
export const PRINT = { readable: 0.4, fits: 0.95, misfits: 0.02, unknown: 0.1 } as const

/**
 * Two checks contradict each other when both together are less than this many times as likely as by chance: between what
 * a material never does (a magnet that holds on copper, 0.12 at most) and what paint does (white on copper, from 0.20).
 */
export const CONTRADICTS = 0.15

/** Weight of a pipe sold in another region only. */
export const OTHER_REGION = 0.02

/** How often each series is met where it is sold, relative to the commonest. */
export const SERIES_WEIGHT: Readonly<Record<string, number>> = {
  'cu-k': 0.15,
  'cu-l': 1,
  'cu-m': 0.6,
  'cu-od': 0.12,
  'cu-en-x': 1,
  'cu-en-y': 0.08,
  'cu-en-10': 0.2,
  'cu-bs-imp': 0.3,
  'pex-cts': 1,
  'pert-cts': 0.15,
  'pb-cts': 0.12,
  'cpvc-cts': 0.4,
  'pvc-40': 0.3,
  'pvc-80': 0.05,
  'pe-cts': 0.06,
  'pe-cts-11': 0.02,
  'pe-cts-135': 0.01,
  'pe-ips-9': 0.01,
  'pe-ips-11': 0.02,
  'pe-ips-135': 0.005,
  'pe-ips-17': 0.005,
  'pe-id-7': 0.04,
  'pe-id-9': 0.03,
  'pe-id-115': 0.01,
  'pe-id-15': 0.03,
  'pe-id-19': 0.005,
  'pe-od': 0.2,
  'vinyl-od': 0.02,
  'st-40': 0.4,
  'ml-astm': 0.1,
  bs7291: 0.8,
  'pex-en': 0.3,
  'ml-en': 0.4,
  'pe-en': 0.3,
  'st-en': 0.3,
  'ss-en': 0.08,
  'cs-en': 0.1,
  'ppr-74': 0.05,
  'ppr-6': 0.08,
  'ppr-11': 0.02,
  lead: 0.06,
}

/** Supply in buildings runs mostly between 12 and 30 mm. */
export function sizeWeight({ od }: Pick<Pipe, 'od'>): number {
  if (od >= 12 && od <= 30) return 1
  return od < 44 ? 0.35 : 0.12
}

/** Weight in a year: that of the first span that ends after it, else that of all years after. */
const weightIn = (year: number, spans: readonly (readonly [until: number, weight: number])[], after: number): number =>
  spans.find(([until]) => year < until)?.[1] ?? after

/** The change from sizes by bore to metric sizes in Britain, and the years plastics came into use. */
export function yearWeight(pipe: Pipe, year: number): number {
  if (pipe.series === 'cu-bs-imp')
    return weightIn(
      year,
      [
        [1971, 3],
        [1978, 1],
      ],
      0.15,
    )
  if (pipe.series.startsWith('cu-en')) return year < 1969 ? 0.25 : 1
  if (pipe.family === 'lead')
    return weightIn(
      year,
      [
        [1950, 3],
        [1970, 1],
      ],
      0.05,
    )
  if (pipe.series === 'pb-cts')
    return weightIn(
      year,
      [
        [1976, 0.1],
        [1997, 2],
      ],
      0.2,
    )
  if (['pex', 'pert', 'multilayer', 'bs7291', 'pp-r'].includes(pipe.family)) return year < 1975 ? 0.3 : 1
  return 1
}

export const regionWeight = (pipe: Pipe, region: Region | undefined): number =>
  region === undefined || pipe.regions.includes(region) ? 1 : OTHER_REGION

type Shares<A extends string> = Readonly<Partial<Record<A, number>>>

const COLOUR: Readonly<Record<Family, Shares<Colour>>> = {
  copper: { copper: 0.78, white: 0.05, green: 0.04, grey: 0.03, brass: 0.03, black: 0.02, yellow: 0.02 },
  pex: { red: 0.3, blue: 0.28, white: 0.27, grey: 0.06, black: 0.03, orange: 0.02, purple: 0.02 },
  pert: { red: 0.3, blue: 0.3, white: 0.3 },
  bs7291: { white: 0.66, grey: 0.3 },
  multilayer: { white: 0.86, grey: 0.04, blue: 0.03, red: 0.02, yellow: 0.02 },
  pb: { grey: 0.78, blue: 0.1, black: 0.05, silver: 0.03 },
  cpvc: { cream: 0.88, white: 0.04, grey: 0.03, orange: 0.02 },
  pvc: { white: 0.75, grey: 0.2, purple: 0.02 },
  'pp-r': { green: 0.6, grey: 0.2, white: 0.15 },
  pe: { blue: 0.72, black: 0.2, yellow: 0.02, orange: 0.02, purple: 0.02 },
  steel: { silver: 0.42, grey: 0.33, black: 0.14, red: 0.02, white: 0.04, yellow: 0.02 },
  stainless: { silver: 0.9, grey: 0.06 },
  lead: { grey: 0.72, silver: 0.12, white: 0.08, black: 0.03 },
  vinyl: { white: 0.3, blue: 0.05, black: 0.05 },
}

const FLEX: Readonly<Record<Family, Shares<Flex>>> = {
  copper: { rigid: 0.93, springy: 0.02, soft: 0.05 },
  pex: { springy: 0.93, soft: 0.05, rigid: 0.02 },
  pert: { springy: 0.92, soft: 0.06, rigid: 0.02 },
  bs7291: { springy: 0.9, soft: 0.06, rigid: 0.04 },
  multilayer: { springy: 0.3, soft: 0.35, rigid: 0.35 },
  pb: { springy: 0.75, soft: 0.23, rigid: 0.02 },
  cpvc: { rigid: 0.97, springy: 0.02, soft: 0.01 },
  pvc: { rigid: 0.98, springy: 0.015, soft: 0.005 },
  'pp-r': { rigid: 0.93, springy: 0.06, soft: 0.01 },
  pe: { springy: 0.82, soft: 0.16, rigid: 0.02 },
  steel: { rigid: 0.996, springy: 0.002, soft: 0.002 },
  stainless: { rigid: 0.996, springy: 0.002, soft: 0.002 },
  lead: { soft: 0.7, rigid: 0.28, springy: 0.02 },
  vinyl: { soft: 0.9, springy: 0.09, rigid: 0.01 },
}

/** Types K and L are sold in coils too, K mostly for the ground; M is sold hard only. ASTM B88. */
const FLEX_OF_SERIES: Readonly<Record<string, Shares<Flex>>> = {
  'cu-k': { rigid: 0.68, springy: 0.02, soft: 0.3 },
  'cu-l': { rigid: 0.84, springy: 0.02, soft: 0.14 },
  'cu-m': { rigid: 0.985, springy: 0.012, soft: 0.003 },
  'cu-od': { soft: 0.93, rigid: 0.06, springy: 0.01 },
}

const SCRATCH: Readonly<Record<Family, Shares<Scratch>>> = {
  copper: { copper: 0.985 },
  steel: { 'dull-silver': 0.82, 'bright-silver': 0.17 },
  stainless: { 'bright-silver': 0.8, 'dull-silver': 0.19 },
  lead: { 'bright-silver': 0.86, 'dull-silver': 0.13 },
  pex: { plastic: 0.99 },
  pert: { plastic: 0.99 },
  bs7291: { plastic: 0.99 },
  multilayer: { plastic: 0.97 },
  pb: { plastic: 0.99 },
  cpvc: { plastic: 0.99 },
  pvc: { plastic: 0.99 },
  'pp-r': { plastic: 0.99 },
  pe: { plastic: 0.99 },
  vinyl: { plastic: 0.99 },
}

/** Stripe along US copper tells its wall: ASTM B88, green K, blue L, red M. Other pipes mostly have none. */
const STRIPE_OF_SERIES: Readonly<Record<string, Shares<Stripe>>> = {
  'cu-k': { green: 0.6, none: 0.38 },
  'cu-l': { blue: 0.6, none: 0.38 },
  'cu-m': { red: 0.6, none: 0.38 },
  'ppr-6': { none: 0.7, red: 0.2 },
  'ppr-74': { none: 0.7, red: 0.2 },
}

/** Thin-wall tube has no wall to cut a thread in. */
const NEVER = 0.0005

const HELD_BY: Readonly<Record<Family, Shares<HeldBy>>> = {
  copper: { soldered: 0.6, olive: 0.18, pressed: 0.12, collar: 0.08, thread: NEVER },
  pex: { 'copper-ring': 0.32, 'pinch-ring': 0.22, 'expansion-ring': 0.22, collar: 0.12, 'metal-sleeve': 0.1 },
  pert: { 'copper-ring': 0.42, 'pinch-ring': 0.35, collar: 0.15, 'metal-sleeve': 0.05 },
  bs7291: { collar: 0.82, olive: 0.16 },
  multilayer: { pressed: 0.6, 'metal-sleeve': 0.2, olive: 0.12, collar: 0.05 },
  pb: { 'copper-ring': 0.7, collar: 0.12, 'pinch-ring': 0.1 },
  cpvc: { cement: 0.86, collar: 0.08, thread: 0.04 },
  pvc: { cement: 0.88, thread: 0.08 },
  'pp-r': { cement: 0.7, thread: 0.2 },
  pe: { collar: 0.5, olive: 0.35, cement: 0.02 },
  steel: { thread: 0.94, pressed: 0.02 },
  stainless: { pressed: 0.86, olive: 0.08, thread: NEVER },
  lead: { wiped: 0.82, olive: 0.1 },
  vinyl: { olive: 0.6, collar: 0.3 },
}

/** Press tube of carbon steel is thin: it is pressed, where thick steel is threaded. */
const HELD_BY_OF_SERIES: Readonly<Record<string, Shares<HeldBy>>> = {
  'cs-en': { pressed: 0.95, olive: 0.03, thread: NEVER },
  'cu-od': { olive: 0.72, soldered: 0.12, pressed: 0.02, collar: 0.02, thread: NEVER },
  'pe-od': { olive: 0.6, collar: 0.38 },
}

/** How often a magnet holds, of those where it may. */
const MAGNET_HOLDS: Readonly<Partial<Record<Family, { true: number; false: number }>>> = {
  steel: { true: 0.985, false: 0.015 },
  stainless: { true: 0.25, false: 0.75 },
}

/** How often a pipe of the catalogue gives each answer; what is left over is shared by the answers not named. */
export function sharesOf(check: ChoiceName, pipe: Pipe): Readonly<Partial<Record<string, number>>> {
  switch (check) {
    case 'colour':
      return COLOUR[pipe.family]
    case 'flex':
      return FLEX_OF_SERIES[pipe.series] ?? FLEX[pipe.family]
    case 'scratch':
      return SCRATCH[pipe.family]
    case 'held-by':
      return HELD_BY_OF_SERIES[pipe.series] ?? HELD_BY[pipe.family]
    case 'stripe':
      return STRIPE_OF_SERIES[pipe.series] ?? { none: 0.95 }
    case 'magnet':
      return MAGNET_HOLDS[pipe.family] ?? { true: 0.01, false: 0.99 }
  }
}
