import type { Remedy, Weep } from './types'

/** The end is begun anew; its fitting is used again where that is said. */
export const end = (words: string, reuses = false): Remedy => ({ do: words, again: 'end', reuses })
/** The step is done again. */
export const step = (words: string): Remedy => ({ do: words, again: 'step', reuses: false })

/** A ring that is closed and wrong. */
export const CUT_OFF_RING =
  'Cut the pipe just behind the ring and open the ring with a cutter. The metal fitting is used again if it is unmarked, the ring never'

/** An end that is not made to be tightened. */
export const WEEPS_CUT_OUT: Weep = { then: 'Cut it out and make it anew: it is not made to be tightened.' }

/** All that an end that weeps asks for, in order. */
export const weepWords = ({ once, then }: Weep): string => (once === undefined ? then : `${once} ${then}`)
