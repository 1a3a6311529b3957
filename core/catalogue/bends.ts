import type { Figure } from '#core/base'
import { about } from '#core/speech'
import { seriesOf } from './series'
import { BENDS as COILS } from './tables/astm-b280'
import { INCH_COPPER, METRIC_COPPER } from './tables/en-1057-bends'
import { BEND_TIMES } from './tables/small-tube'
import type { BendRow, Family, Pipe } from './types'

/** How a tube is bent on site: the centreline radius with its range, mm, and how. */
export interface Bend {
  radius: Figure
  how: string
  /** Whether it is pulled round a former; else it is laid by hand and held by clips or a support. */
  isPulled: boolean
  /** Degrees that a right angle opens again when let go; null where it springs back whole and is held. */
  springback: { lo: number; hi: number } | null
}

/** Multiples of the outside diameter by trade practice: typical, least, most; `null` is not bent on site. */
const MULTIPLES: Readonly<Record<Family, (Omit<Bend, 'radius'> & { times: number; lo: number; hi: number }) | null>> = {
  copper: {
    times: 4,
    lo: 3,
    hi: 4,
    how: 'pulled in a bender; not R290 or hard-drawn inch tube from 1/2',
    isPulled: true,
    springback: { lo: 1, hi: 5 },
  },
  pex: {
    times: 8,
    lo: 5,
    hi: 8,
    how: 'laid free with the coil; 5 times its outside diameter in a bend support',
    isPulled: false,
    springback: null,
  },
  pert: {
    times: 8,
    lo: 5,
    hi: 8,
    how: 'laid free with the coil; 5 times its outside diameter in a bend support',
    isPulled: false,
    springback: null,
  },
  bs7291: {
    times: 8,
    lo: 8,
    hi: 8,
    how: 'laid free, held by clips or a bend support',
    isPulled: false,
    springback: null,
  },
  pb: { times: 8, lo: 8, hi: 12, how: 'laid free', isPulled: false, springback: null },
  multilayer: {
    times: 5,
    lo: 3.5,
    hi: 5,
    how: `by hand to ${about(20)}; 4 times with a spring, 3.5 in a bender`,
    isPulled: true,
    springback: { lo: 0, hi: 5 },
  },
  'pp-r': { times: 8, lo: 8, hi: 8, how: 'cold, or with hot air', isPulled: false, springback: null },
  pe: {
    times: 25,
    lo: 25,
    hi: 35,
    how: 'laid in a sweep; 35 times its outside diameter in the cold',
    isPulled: false,
    springback: null,
  },
  stainless: {
    times: 3.5,
    lo: 3.5,
    hi: 3.5,
    how: `cold, in a bender, to ${about(28)}`,
    isPulled: true,
    springback: { lo: 1, hi: 5 },
  },
  steel: null,
  cpvc: null,
  pvc: null,
  lead: null,
  vinyl: { ...BEND_TIMES, how: 'laid by hand, no kink', isPulled: false, springback: null },
}

/** Thickest tube that is pulled by hand while it is hard, mm; soft inch tube over 1 in is laid over a form. Practice. */
const MOST_HARD_OD = 22.3
const MOST_INCH_BENDER_OD = 28.6
function copperHow(pipe: Pipe): string {
  const { od, series } = pipe
  if (isCoil(pipe)) return 'soft: in a lever bender of its size, or over a spring'
  if (od <= MOST_HARD_OD) return MULTIPLES.copper!.how
  const isInch = !series.startsWith('cu-en')
  return isInch && od > MOST_INCH_BENDER_OD
    ? `soft tube only, over a form; hard tube over ${about(22)} is not bent by hand`
    : `soft or half-hard, in a geared bender; hard tube over ${about(22)} is not bent by hand`
}

const isCoil = ({ series }: Pipe): boolean => series === 'cu-od'
function rowOf(pipe: Pipe): BendRow | undefined {
  if (pipe.family !== 'copper' || pipe.series === 'cu-bs-imp') return undefined
  if (isCoil(pipe)) return COILS.find(({ nominal }) => nominal === pipe.nominal)
  return [...METRIC_COPPER, ...INCH_COPPER].find(
    (row) => row.nominal === pipe.nominal && (row.series === 'cu-en') === pipe.series.startsWith('cu-en'),
  )
}

/** Tube of small outside diameters is laid tighter than service pipe of its plastic. */
function ruleOf({ series, family }: Pipe): (typeof MULTIPLES)[Family] {
  if (series === 'cs-en') return MULTIPLES.stainless
  return seriesOf(series).calledBy === 'outside' && family === 'pe' ? MULTIPLES.vinyl : MULTIPLES[family]
}

/**
 * How a pipe is bent and to what radius, typical; null where it is not bent on site. Carbon press tube bends as
 * stainless does.
 */
export function bendOf(pipe: Pipe): Bend | null {
  const rule = ruleOf(pipe)
  if (!rule) return null
  const { times, lo, hi, ...how } = rule
  const row = rowOf(pipe)
  if (pipe.family === 'copper') how.how = copperHow(pipe)
  const radius = row
    ? { value: row.radiusMm, lo: row.loMm, hi: row.hiMm, source: 'typical for hand benders; calibrate your own' }
    : { value: times * pipe.od, lo: lo * pipe.od, hi: hi * pipe.od, source: `typical, ${times} × outside diameter` }
  return { ...how, radius }
}
