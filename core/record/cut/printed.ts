import { getPipe, seriesOf } from '#core/catalogue'
import { parseLength, unitSystemOf } from '#core/units'
import type { JobRecord } from '../job/record'
import type { CutRecord } from './record'

/*
 * Marks that plastic pipe is printed with at even distances: a cut on one is square and known, and the next tells how far
 * in. How far apart they are is read off the pipe: makers differ, so none is held.
 */

/** Marks nearer than this to what is wanted serve as it, mm: the width of the print. Ours. */
const SERVES_MM = 1

export const mayBePrinted = (pipe: string): boolean => seriesOf(getPipe(pipe).series).plastic

/** How far apart the printed marks of a sheet's pipe are, mm; null where nobody typed it, or it cannot be read. */
export function printedEvery(
  { region }: Pick<JobRecord, 'region'>,
  { printed }: Pick<CutRecord, 'printed'>,
): number | null {
  if (printed.trim() === '') return null
  const read = parseLength(printed, unitSystemOf(region), 'printed')
  return read.ok && read.value.mm > 0 ? read.value.mm : null
}

/** How far apart the printed marks of a pipe are, by the last sheet that says so, mm. */
export const printedOn = (job: Pick<JobRecord, 'region' | 'cuts'>, pipe: string): number | null =>
  job.cuts
    .filter((sheet) => sheet.pipe === pipe)
    .map((sheet) => printedEvery(job, sheet))
    .findLast((every) => every !== null) ?? null

/** The printed mark nearest to a place, both mm from a cut that is on a mark. */
export interface NearestMark {
  at: number
  /** The mark less the place, mm. */
  off: number
  serves: boolean
}
export function nearestMark(place: number, every: number): NearestMark {
  const at = Math.max(1, Math.round(place / every)) * every
  return { at, off: at - place, serves: Math.abs(at - place) <= SERVES_MM }
}
