/*
 * Our own working assumptions, shown as "ours": prices, room and play. With the minutes and prices of each method they
 * order the ways; none of them decides whether a joint is right.
 */

export const SMALL_PART_PRICE = { low: 0.15, high: 0.6 } as const

/** Outside diameter at which the price of a method's end holds, mm. */
export const PRICE_OD = 15

/** Bare length of a tail between two fittings, mm: room for jaws and spanners. */
export const TAIL_BARE = 100

/**
 * How far a compression body has to be drawn back to let the tube in: only its socket, since nut and olive
 * wait on the pipe. mm by nominal size of the body; other sizes use the whole depth.
 */
export const COMPRESSION_PLAY: Readonly<Record<string, number>> = { '15': 14, '22': 18 }

/**
 * A stop-less coupling is dearer than one with a stop, an outlet elbow and an in-line valve more so, by these factors.
 */
export const DEARER: Readonly<Partial<Record<string, number>>> = { slip: 1.4, 'drop-ear': 1.6, valve: 3 }
