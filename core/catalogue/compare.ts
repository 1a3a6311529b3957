import { seriesOf } from './series'
import type { Pipe, SizingSystem } from './types'

/** How two ends differ, mm; `b` less `a`. Null where a size has no wall of its own. */
export interface Comparison {
  outside: number
  bore: number | null
  /** Only ends of one outside diameter go into the same mouth; a near miss is a miss. */
  isSameOutside: boolean
  /** Share of the wider bore's area that the narrower one has; null where a bore is not known. */
  area: number | null
}

/** Rounding of the tables, mm: inch figures are kept to a hundredth or better. */
const ROUNDING = 0.011

/** Two ends beside each other. */
export function comparePipes(a: Pipe, b: Pipe): Comparison {
  const outside = b.od - a.od
  const hasBores = a.bore !== null && b.bore !== null
  return {
    outside,
    bore: hasBores ? b.bore! - a.bore! : null,
    isSameOutside: Math.abs(outside) <= ROUNDING,
    area: hasBores ? (Math.min(a.bore!, b.bore!) / Math.max(a.bore!, b.bore!)) ** 2 : null,
  }
}

/** What the name of a size means, by how its series is sized. */
const NAMED: Readonly<Record<SizingSystem, string>> = {
  cts: 'copper tube size: the outside is the name and 1/8 in more',
  'en-od': 'named by its outside',
  'bs-bore': 'named by its bore',
  ips: 'named after old iron pipe: the name is neither outside nor bore',
  own: 'named by its outside, in a series of its own',
}

/** How a pipe comes by its name. */
export function namedBy(pipe: Pipe): string {
  if (pipe.family === 'lead') return 'named by its bore; the wall goes by weight'
  if (pipe.series === 'ml-astm') return 'named in inches, made to metric sizes: not a copper tube size'
  return NAMED[seriesOf(pipe.series).sizing]
}
