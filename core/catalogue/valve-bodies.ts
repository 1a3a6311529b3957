import type { Figure } from '#core/base'
import { BODIES, LEVERS, TYPICAL as SOURCE, WHEELS } from './tables/makers-valves'
import type { LengthRow, Pipe, Valve } from './types'

/* What a valve's body, lever and wheel take, typical: the valve in the hand is measured. */

/** Inch sizes that metric tube's valves are built as. */
const AS_INCH: Readonly<Record<string, string>> = {
  '15': '1/2',
  '16': '1/2',
  '18': '1/2',
  '20': '1/2',
  '22': '3/4',
  '25': '3/4',
  '26': '3/4',
  '28': '1',
  '32': '1',
  '35': '1-1/4',
  '54': '2',
}
const inchSize = ({ nominal }: Pick<Pipe, 'nominal'>): string => AS_INCH[nominal] ?? nominal

const asFigure = (row: LengthRow | undefined, share = 1): Figure | null =>
  row ? { value: row.lengthMm * share, lo: row.loMm * share, hi: row.hiMm * share, source: SOURCE } : null

/** Valves turned by a lever, and by a wheel. */
const BY_WHEEL: ReadonlySet<Valve> = new Set<Valve>(['gate', 'stop'])

/**
 * How far from its stem a valve reaches when it is turned, mm: a ball's lever, half of a wheel; null where it is turned
 * by a screwdriver, or no figure is held.
 */
export function turnReach(valve: Valve, pipe: Pipe): Figure | null {
  const rowOf = (rows: readonly LengthRow[]) => rows.find(({ nominal }) => nominal === inchSize(pipe))
  if (valve === 'ball') return asFigure(rowOf(LEVERS))
  return BY_WHEEL.has(valve) ? asFigure(rowOf(WHEELS), 0.5) : null
}

/** Weight, kg, height over the pipe's middle, mm, and turns from shut to open; null where no row is held. */
export function valveBody(
  valve: Valve,
  pipe: Pipe,
): { kg: number; height: number | null; turns: number | null; source: string } | null {
  const row = BODIES.find((one) => one.valve === valve && one.nominal === inchSize(pipe))
  return row ? { kg: row.kg, height: row.heightMm, turns: row.turns, source: SOURCE } : null
}
