import type { OfferedMethod } from './types'

/*
 * Our own working assumptions, shown as "ours": minutes at one reachable end of 15 to 22 mm, prices of a plain end,
 * room and play. They order the ways; none of them decides whether a joint is right.
 */

/** Minutes of work at one end (cut, ream, clean and mark with it), and of waiting after. Middle of the spread met. */
export const MINUTES: Readonly<Record<OfferedMethod, { work: number; wait: number }>> = {
  solder: { work: 4.5, wait: 10 },
  press: { work: 2, wait: 0 },
  'push-fit': { work: 1.5, wait: 0 },
  compression: { work: 3, wait: 0 },
  crimp: { work: 1.5, wait: 0 },
  clamp: { work: 1.1, wait: 0 },
  expansion: { work: 2.2, wait: 30 },
  'sliding-sleeve': { work: 2.5, wait: 0 },
  'ml-press': { work: 2, wait: 0 },
  'ml-compression': { work: 3, wait: 0 },
  'solvent-cement': { work: 3, wait: 30 },
  'pe-compression': { work: 4.5, wait: 0 },
  thread: { work: 4, wait: 0 },
  union: { work: 3, wait: 0 },
}

/** Price of one end of a fitting at 15 mm or 1/2 in, in the job's money; it grows with the outside diameter. */
export const PRICE: Readonly<Record<OfferedMethod, { low: number; high: number }>> = {
  solder: { low: 0.3, high: 1 },
  press: { low: 1.4, high: 3.2 },
  'push-fit': { low: 1.6, high: 4.5 },
  compression: { low: 0.8, high: 2.2 },
  crimp: { low: 0.7, high: 1.8 },
  clamp: { low: 0.7, high: 1.8 },
  expansion: { low: 1.1, high: 2.6 },
  'sliding-sleeve': { low: 1.4, high: 3.2 },
  'ml-press': { low: 1.6, high: 3.8 },
  'ml-compression': { low: 1.4, high: 3.2 },
  'solvent-cement': { low: 0.2, high: 0.7 },
  'pe-compression': { low: 2, high: 5 },
  thread: { low: 0.7, high: 1.8 },
  union: { low: 2, high: 5 },
}
export const SMALL_PART_PRICE = { low: 0.15, high: 0.6 } as const

/** Outside diameter at which `PRICE` holds, mm. */
export const PRICE_OD = 15

/** Bare length of a tail between two fittings, mm: room for jaws and spanners. */
export const TAIL_BARE = 100

/**
 * How far a compression body has to be drawn back to let the tube in: only its socket, since nut and olive
 * wait on the pipe. mm by nominal size of the body; other sizes use the whole depth.
 */
export const COMPRESSION_PLAY: Readonly<Record<string, number>> = { '15': 14, '22': 18 }

/** A stop-less coupling is dearer than one with a stop, an outlet elbow and an in-line valve more so, by these factors. */
export const SLIP_PRICE = 1.4
export const DROP_EAR_PRICE = 1.6
export const VALVE_PRICE = 3
