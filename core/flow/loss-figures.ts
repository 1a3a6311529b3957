import type { Family, Pipe } from '#core/catalogue'

/* Figures of the flow sum. "ours" are our own working assumptions; a K given in the question wins. */

/** Inside roughness, mm. Ours, from what hydraulic tables use. */
const ROUGHNESS_MM: Readonly<Record<'smooth' | 'steel' | 'galvanised', number>> = {
  smooth: 0.0015,
  steel: 0.045,
  galvanised: 0.15,
}
const STEEL: Readonly<Partial<Record<Family, number>>> = { steel: ROUGHNESS_MM.galvanised }
export const roughnessOf = (pipe: Pipe): number =>
  pipe.series === 'cs-en' ? ROUGHNESS_MM.steel : (STEEL[pipe.family] ?? ROUGHNESS_MM.smooth)

export const FLOW_FITTINGS = [
  'elbow-90',
  'elbow-45',
  'bend',
  'tee-run',
  'tee-branch',
  'coupling',
  'reducer',
  'valve',
  'insert',
  'stop-valve',
  'swept-90',
  'slip',
  'ball-valve',
  'gate-valve',
  'service-valve',
  'check-valve',
  'drain-valve',
  'angle-valve',
  'pressure-regulator',
  'slip-tee',
  'repair-sleeve',
  'flange',
  'drop-ear',
  'stub-out',
  'cap',
] as const
export type FlowFitting = (typeof FLOW_FITTINGS)[number]

/** Velocity heads lost in a fitting: k of k v2/2. Ours, middle of hydraulic handbooks; by the tube's own velocity. */
export const K: Readonly<Record<FlowFitting, { k: number; lo: number; hi: number }>> = {
  'elbow-90': { k: 0.9, lo: 0.7, hi: 1.5 },
  'elbow-45': { k: 0.4, lo: 0.3, hi: 0.6 },
  bend: { k: 0.3, lo: 0.2, hi: 0.5 },
  'tee-run': { k: 0.4, lo: 0.3, hi: 0.9 },
  'tee-branch': { k: 1.3, lo: 1, hi: 2 },
  coupling: { k: 0.1, lo: 0, hi: 0.2 },
  reducer: { k: 0.3, lo: 0.1, hi: 0.5 },
  valve: { k: 0.2, lo: 0.05, hi: 0.3 },
  // Of an insert the contraction and expansion are reckoned by its bore.
  insert: { k: 0, lo: 0, hi: 0 },
  'stop-valve': { k: 7, lo: 4, hi: 10 },
  'swept-90': { k: 0.3, lo: 0.2, hi: 0.5 },
  slip: { k: 0.1, lo: 0, hi: 0.2 },
  'ball-valve': { k: 0.08, lo: 0.05, hi: 0.2 },
  'gate-valve': { k: 0.2, lo: 0.1, hi: 0.35 },
  // Slots of its bore: full 0.2 to 1.5, reduced 2 to 12.
  'service-valve': { k: 2.5, lo: 0.3, hi: 6 },
  'check-valve': { k: 5, lo: 2, hi: 12 },
  // Past a drain the water runs as through a tee.
  'drain-valve': { k: 0.4, lo: 0.3, hi: 0.9 },
  'angle-valve': { k: 4, lo: 2, hi: 9 },
  'pressure-regulator': { k: 8, lo: 4, hi: 16 },
  'slip-tee': { k: 0.4, lo: 0.3, hi: 0.9 },
  'repair-sleeve': { k: 0.1, lo: 0, hi: 0.2 },
  flange: { k: 0.1, lo: 0, hi: 0.2 },
  // Tight elbows, as the others.
  'drop-ear': { k: 0.9, lo: 0.7, hi: 1.5 },
  'stub-out': { k: 0.9, lo: 0.7, hi: 1.5 },
  // Nothing runs through it.
  cap: { k: 0, lo: 0, hi: 0 },
}

/**
 * Share of their wall that minimum-wall plastics are over it on the mean: PEX 1/2 comes to 12.07 in hydraulic tables.
 */
export const MEAN_WALL = 1.07
const MINIMUM_WALL: ReadonlySet<string> = new Set([
  'pex-cts',
  'pert-cts',
  'pb-cts',
  'cpvc-cts',
  'pvc-40',
  'pvc-80',
  'pe-cts',
  'pe-cts-11',
  'pe-cts-135',
  'pe-ips-9',
  'pe-ips-11',
  'pe-ips-135',
  'pe-ips-17',
])
export const isMinimumWall = (pipe: Pipe): boolean => MINIMUM_WALL.has(pipe.series)
