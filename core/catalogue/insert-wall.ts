/**
 * Wall of an insert or barb, mm: it fills the tube's bore, so its own is smaller by two of these. Ours; a measured bore
 * wins.
 */
export const INSERT_WALL_MM = { value: 1.2, lo: 0.9, hi: 1.6, source: 'ours' } as const
