import type { Family } from '#core/catalogue'
import { w } from '#core/speech'

/* Figures of expansion, each with the range it is met in; and our own clearances. */

interface Range {
  value: number
  lo: number
  hi: number
  source: string
}

/** Mean linear expansion, mm/(m K). Handbooks; plastics differ by make; of vinyl no figure is held. */
export const EXPANSION: Readonly<Record<Exclude<Family, 'vinyl'>, Range> & { vinyl?: Range }> = {
  copper: { value: 0.0168, lo: 0.0165, hi: 0.017, source: 'handbooks' },
  pex: { value: 0.18, lo: 0.14, hi: 0.2, source: 'typical, handbooks' },
  pert: { value: 0.18, lo: 0.17, hi: 0.2, source: 'typical, handbooks' },
  // British plastic plumbing pipe is PEX or PB by its print.
  bs7291: { value: 0.18, lo: 0.12, hi: 0.2, source: 'typical, handbooks: PEX; PB is less' },
  multilayer: { value: 0.025, lo: 0.023, hi: 0.03, source: 'typical, handbooks' },
  pb: { value: 0.13, lo: 0.12, hi: 0.15, source: 'typical, handbooks' },
  cpvc: { value: 0.065, lo: 0.06, hi: 0.07, source: 'typical, handbooks' },
  pvc: { value: 0.054, lo: 0.052, hi: 0.08, source: 'typical, handbooks' },
  'pp-r': {
    value: 0.15,
    lo: 0.15,
    hi: 0.18,
    source: `typical, handbooks; with ${w.fibre} or ${w.aluminium} 0.03 to 0.05`,
  },
  pe: { value: 0.18, lo: 0.13, hi: 0.2, source: 'typical, handbooks' },
  steel: { value: 0.012, lo: 0.011, hi: 0.0125, source: 'handbooks' },
  stainless: { value: 0.0165, lo: 0.016, hi: 0.0175, source: 'handbooks, austenitic; ferritic 0.0105' },
  lead: { value: 0.029, lo: 0.028, hi: 0.0295, source: 'handbooks' },
}

/** C of a free cantilever arm, L = C sqrt(OD x change), all mm. Guides of EN 806-4 practice; makers differ. */
export const ARM_CONSTANT: Readonly<Partial<Record<Family, Range>>> = {
  copper: { value: 61, lo: 60, hi: 65, source: 'typical, EN 806-4 practice' },
  steel: { value: 58, lo: 45, hi: 60, source: 'typical, EN 806-4 practice' },
  stainless: { value: 60, lo: 45, hi: 62, source: 'typical, EN 806-4 practice' },
  pex: { value: 12, lo: 12, hi: 15, source: 'typical, EN 806-4 practice' },
  bs7291: { value: 12, lo: 10, hi: 15, source: 'typical, EN 806-4 practice: PEX 12 to 15, PB 10 to 12' },
  pb: { value: 10, lo: 10, hi: 12, source: 'typical, EN 806-4 practice' },
  pe: { value: 27, lo: 26, hi: 30, source: 'typical, EN 806-4 practice' },
  pvc: { value: 34, lo: 33, hi: 34, source: 'typical, EN 806-4 practice' },
  cpvc: { value: 34, lo: 33, hi: 35, source: 'typical, EN 806-4 practice' },
  multilayer: { value: 33, lo: 30, hi: 36, source: 'typical, EN 806-4 practice' },
  'pp-r': { value: 20, lo: 15, hi: 30, source: 'typical, EN 806-4 practice' },
}

/** Each leg of a U-loop against the free arm that the same growth needs; practice, 0.5 to 0.6. */
export const LOOP_SHARE = { value: 0.6, lo: 0.5, hi: 0.6, source: 'typical, practice' } as const

/** A support stands this far, in outside diameters, from a joint or a bend's arc. Ours. */
export const CLEAR_OD = 2
/** Pipe that is only swept, at a radius of this many outside diameters or more, is clipped along its sweep. Ours. */
export const SWEPT_OD = 20
/** A leg that grows less than this needs no anchor and no arm, mm. Ours. */
export const LEAST_GROWTH_MM = 1

/** No maker prints supports nearer than this, mm; and so many are worked out at once. */
export const LEAST_SPACING_MM = 50
export const MOST_SUPPORTS = 20_000
