import type { Family } from '#core/catalogue'

/**
 * How a wall is drawn when cut: metals as a hatch, plastics as a row of whole marks, multilayer as a foil line between
 * marks.
 */
export interface Material {
  hatch?: string
  mark?: 'cross' | 'dot' | 'ring' | 'dash' | 'dash-dot' | 'wave'
  foil?: boolean
  /** px between marks. */
  pitch: number
  /** px of the outline: stiff pipe is drawn heavier than coil. */
  edge: number
}

const MATERIALS: Readonly<Record<Family, Material>> = {
  copper: { hatch: 'hatch-copper', pitch: 5, edge: 2 },
  steel: { hatch: 'hatch-steel', pitch: 10, edge: 2 },
  stainless: { hatch: 'hatch-stainless', pitch: 9, edge: 2 },
  lead: { hatch: 'hatch-thin', pitch: 5, edge: 2 },
  pex: { mark: 'cross', pitch: 12, edge: 1.25 },
  pert: { mark: 'dot', pitch: 7, edge: 1.25 },
  pb: { mark: 'ring', pitch: 12, edge: 1.25 },
  bs7291: { mark: 'ring', pitch: 12, edge: 1.25 },
  multilayer: { mark: 'dot', foil: true, pitch: 7, edge: 1.25 },
  cpvc: { mark: 'dash-dot', pitch: 20, edge: 2 },
  pvc: { mark: 'dash', pitch: 15, edge: 2 },
  'pp-r': { mark: 'dash', pitch: 15, edge: 2 },
  vinyl: { mark: 'dash', pitch: 12, edge: 1 },
  pe: { mark: 'wave', pitch: 18, edge: 1.25 },
}

export const materialOf = (family: Family): Material => MATERIALS[family]

/** Centres of whole marks spread evenly over a length, none cut in half. px. */
export function spreadMarks(from: number, to: number, pitch: number): number[] {
  const count = Math.max(1, Math.floor((to - from) / pitch))
  const step = (to - from) / count
  return Array.from({ length: count }, (_, i) => from + step * (i + 0.5))
}
