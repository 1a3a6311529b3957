import type { Figure } from '#core/base'
import type { Family, Pipe } from './types'
import type { Region } from '#core/units'

/** How a pipe is sold: in straight lengths or in coils, mm. */
export interface SoldAs {
  length: Figure
  isCoil: boolean
}

/** Sold in coils for the most part in the United States. */
const COILED: ReadonlySet<Family> = new Set(['pex', 'pert', 'pb', 'pe', 'multilayer', 'vinyl'])
const FOOT_MM = 304.8
const typical = (value: number, lo: number, hi: number): Figure => ({
  value,
  lo,
  hi,
  source: 'typical, market practice',
})
const straight = (value: number, lo: number, hi: number): SoldAs => ({ length: typical(value, lo, hi), isCoil: false })
const coil = (value: number, lo: number, hi: number): SoldAs => ({ length: typical(value, lo, hi), isCoil: true })

/** The length a pipe is most often bought in, mm, typical; what is on the van is what counts. */
export function soldAs(pipe: Pipe, region: Region): SoldAs {
  if (region === 'us') {
    if (pipe.family === 'steel') return straight(21 * FOOT_MM, 10 * FOOT_MM, 21 * FOOT_MM)
    if (COILED.has(pipe.family)) return coil(100 * FOOT_MM, 100 * FOOT_MM, 1000 * FOOT_MM)
    if (pipe.series === 'cu-od') return coil(60 * FOOT_MM, 20 * FOOT_MM, 100 * FOOT_MM)
    return straight(10 * FOOT_MM, 10 * FOOT_MM, 20 * FOOT_MM)
  }
  switch (pipe.family) {
    case 'copper':
      return region === 'gb' ? straight(3000, 2000, 6000) : straight(5000, 3000, 6000)
    case 'bs7291':
      return straight(3000, 3000, 6000)
    case 'pp-r':
      return straight(4000, 4000, 4000)
    case 'steel':
    case 'stainless':
      return straight(6000, 6000, 6500)
    case 'multilayer':
      return coil(50_000, 25_000, 200_000)
    default:
      return coil(50_000, 25_000, 150_000)
  }
}
