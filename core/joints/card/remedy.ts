import type { Remedy } from './types'

/** The end is begun anew; its fitting is used again where that is said. */
export const end = (words: string, reuses = false): Remedy => ({ do: words, again: 'end', reuses })
/** The step is done again. */
export const step = (words: string): Remedy => ({ do: words, again: 'step', reuses: false })

/** A ring that is closed and wrong. */
export const CUT_OFF_RING =
  'Cut the pipe just behind the ring and open the ring with a cutter. The metal fitting is used again if it is unmarked, the ring never'
