import { inchesOf, seriesOf, type Pipe } from '#core/catalogue'
import type { Region } from '#core/units'
import { volume } from '#core/speech'

/*
 * How much hot pipe may stand between what is kept warm and an outlet. What stands in it goes cold, is run to waste and
 * grows bacteria.
 */

export interface DeadLeg {
  /** mm */
  longest: number
  source: string
}

const METRE = 1000
const FOOT = 304.8

/** Longest uninsulated hot branch by outside diameter, m. Water Regulations guidance, BS 8558. */
const BRITISH: readonly { mostOd: number; metres: number }[] = [
  { mostOd: 12, metres: 20 },
  { mostOd: 22.3, metres: 12 },
  { mostOd: 28.6, metres: 8 },
  { mostOd: Infinity, metres: 3 },
]

/** Longest pipe to a fixture by nominal size, ft. IECC C404.5.1. */
const AMERICAN: readonly { most: number; feet: number }[] = [
  { most: 3 / 8, feet: 50 },
  { most: 1 / 2, feet: 43 },
  { most: 5 / 8, feet: 32 },
  { most: 3 / 4, feet: 21 },
  { most: 7 / 8, feet: 16 },
  { most: 1, feet: 13 },
  { most: 5 / 4, feet: 8 },
  { most: 3 / 2, feet: 6 },
  { most: 2, feet: 4 },
]

/** Water in a pipe without circulation from heater to tap, l. DVGW W 551. */
const GERMAN_LITRES = 3

/** Longest hot branch that does not circulate; null where no rule is held for its size. */
export function longestDeadLeg(pipe: Pipe, region: Region): DeadLeg | null {
  if (region === 'us') {
    if (!['cts', 'ips'].includes(seriesOf(pipe.series).sizing)) return null
    const row = AMERICAN.find(({ most }) => inchesOf(pipe.nominal) <= most + 1e-9)
    return row ? { longest: row.feet * FOOT, source: 'IECC C404.5.1' } : null
  }
  if (region === 'gb') {
    const { metres } = BRITISH.find(({ mostOd }) => pipe.od <= mostOd)!
    return { longest: metres * METRE, source: 'Water Regulations guidance, BS 8558' }
  }
  if (pipe.bore === null) return null
  const squareMm = (Math.PI / 4) * pipe.bore ** 2
  return { longest: (GERMAN_LITRES * 1e6) / squareMm, source: `DVGW W 551: ${volume(GERMAN_LITRES)}` }
}
