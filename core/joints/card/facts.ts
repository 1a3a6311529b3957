import { inchesOf, seriesOf, type Pipe } from '#core/catalogue'
import { MM_PER_INCH } from '#core/units'

/** Figures of practice used in the steps. All are typical with their range unless a standard is named. */

/** Turns past hand tight on a new metal joint by body size, mm. Trade practice; makers differ. */
export function nutTurns(metricNominal: number): { lo: number; hi: number } {
  if (metricNominal <= 15) return { lo: 0.75, hi: 1.25 }
  if (metricNominal <= 22) return { lo: 0.75, hi: 1 }
  if (metricNominal <= 28) return { lo: 0.5, hi: 1 }
  return { lo: 0.5, hi: 0.75 }
}
/**
 * On supply stops and plumbing brass by tube outside diameter: start here, more only while it weeps. The SAE J512 chart
 * of industrial makers says more: 1-1/4 at 1/4 in, 1-3/4 at 5/16, 2-1/4 from 3/8 up.
 */
export const NUT_TURNS_INCH = { lo: 0.5, hi: 1.25 } as const
/** On plastic with a liner. */
export const NUT_TURNS_PLASTIC = { lo: 0.5, hi: 1.5 } as const

/** Soldered joint: left alone until the solder sets, then cooled in air before water or a seal goes near, s. */
export const SOLDER_SET_SECONDS = 30
export const SOLDER_COOL_SECONDS = 300

/**
 * Wraps of thin tape by thread size. NPT by two lists of practice; BSP by British practice, half as many of thick tape.
 */
export function tapeTurns(form: 'npt' | 'bspt', nominal: string): { lo: number; hi: number } {
  if (form === 'bspt') return { lo: 6, hi: 15 }
  const NPT: Readonly<Record<string, readonly [number, number]>> = {
    '1/8': [2, 5],
    '1/4': [2, 5],
    '3/8': [2, 5],
    '1/2': [3, 6],
    '3/4': [3, 7],
    '1': [4, 8],
    '1-1/4': [4, 8],
    '1-1/2': [4, 9],
    '2': [4, 10],
  }
  const [lo, hi] = NPT[nominal] ?? [2, 10]
  return { lo, hi }
}

/** Wraps of thin tape on a plastic male of 1/2 to 1 in: makers' lists, typical. */
export const PLASTIC_TAPE = { lo: 2, hi: 5 } as const

/** Threads of a taper joint left outside once it is made up. Trade practice, typical. */
export const THREADS_LEFT = { lo: 1, hi: 3 } as const

/**
 * Wire for a soldered joint, mm: as long as the tube's nominal size, rule of the trade: 1/2 in of wire on 1/2 in tube,
 * 15 mm on 15.
 */
export const solderWire = ({ nominal, series }: Pick<Pipe, 'nominal' | 'series'>): number =>
  seriesOf(series).sizing === 'en-od' ? Number(nominal) : inchesOf(nominal) * MM_PER_INCH

/** Diameter of solder wire as it is sold, mm: 1/8 in in the United States. */
const WIRE_MM = { metric: 3, inch: 3.175 } as const
/** Widest gap that is still good, each side of the tube, mm; half of it takes half. Practice: 0.05 to 0.13. */
export const SOLDER_GAP_MM = { value: 0.1, lo: 0.05, hi: 0.13 } as const
/** For the fillet and what drips; practice 1.5 to 2. */
const SOLDER_SPARE = 2

/** Wire by the volume of the gap round a tube in a cup, mm, of the wire its country sells. */
export function solderByVolume(odMm: number, depthMm: number, system: 'metric' | 'inch'): number {
  const volume = Math.PI * odMm * SOLDER_GAP_MM.value * depthMm
  return (SOLDER_SPARE * volume) / ((Math.PI / 4) * WIRE_MM[system] ** 2)
}

/** Expansion fitting: held until it grips, s; makers say 3 to 5 when warm, 15 and more in the cold. */
export const EXPANSION_HOLD_SECONDS = 15
/**
 * Air at and above which an expansion fitting is made whatever the tool, degC; below it only by the tool's own paper.
 */
export const EXPANSION_FROST_C = 0
/** Coldest air that a wait is held for, degC; some tools stop at 5. Typical. */
const EXPANSION_KNOWN_C = -15

/**
 * How long an expansion fitting shrinks before it is tested, s, by the air round it, degC. Makers: 30 minutes above 4,
 * 3 hours from -1 to 4, 10 hours below -9; what lies between is taken as the colder. null: colder than anyone has a figure for.
 */
export function expansionShrink(ambientC: number): number | null {
  if (ambientC < EXPANSION_KNOWN_C) return null
  if (ambientC > 4) return 30 * 60
  return (ambientC >= -1 ? 3 : 10) * 3600
}

/** Strokes of the expander by size, turned between them. Makers differ; larger sizes by the tool's own paper. */
export const EXPANSION_STROKES: Readonly<Record<string, { lo: number; hi: number }>> = {
  '3/8': { lo: 4, hi: 6 },
  '1/2': { lo: 4, hi: 7 },
  '3/4': { lo: 5, hi: 11 },
  '1': { lo: 6, hi: 16 },
}

/** How far the ring of an expansion fitting may reach over the tube's end, mm. ASTM F1960. */
export const RING_OVER_END_MM = 1.6

/** A sliding sleeve stands this near to its collar once it is drawn up, mm. Typical. */
export const SLEEVE_GAP_MM = 2

/** Flare nut past snug, turns: one to two flats. Typical. */
export const FLARE_TURNS = { lo: 0.12, hi: 0.5 } as const
/** Tube standing above the die of a rigid cone tool, mm; an eccentric one is flush. Typical, by the tool's own paper. */
export const FLARE_STANDS_MM = { lo: 0.5, hi: 1.5 } as const

/** Cone nut past hand tight where nobody has a torque wrench, turns. Typical; 20 to 40 N.m is heard. */
export const CONE_TURNS = { lo: 0.5, hi: 1.5 } as const

/** Cemented joint: held while it pushes back, s; practice 10 to 30. */
export const CEMENT_HOLD_SECONDS = 30
/** Air in which ordinary cement takes, degC, and the least at which its short cure holds. Practice. */
export const CEMENT_AIR_C = { lo: 5, hi: 43, warm: 16 } as const

/**
 * Least cure of a cemented joint before water, s: 15 to 30 minutes warm at low pressure, 6 to 48 hours cold. Practice;
 * its own paper first.
 */
export const cementCure = (ambientC: number): number => (ambientC >= CEMENT_AIR_C.warm ? 30 * 60 : 48 * 3600)
