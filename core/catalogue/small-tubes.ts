import type { Figure } from '#core/base'
import type { Region } from '#core/units'
import { seriesOf } from './series'
import { APPLIANCES, INSERTS, NUTS, SOURCE } from './tables/small-tube'
import type { Pipe } from './types'

/** Tube called by its outside diameter: to stops, filters and appliances. */
export const isSmallTube = ({ series }: Pick<Pipe, 'series'>): boolean => seriesOf(series).calledBy === 'outside'
/** Of plastic: it wants an insert and a plastic sleeve in a compression body. */
export const isSmallPlastic = ({ series }: Pick<Pipe, 'series'>): boolean =>
  seriesOf(series).calledBy === 'outside' && seriesOf(series).plastic

/** How far an insert reaches into small plastic tube, mm, typical; null for other tube. */
export function tubeInsert(pipe: Pick<Pipe, 'series' | 'nominal'>): Figure | null {
  const row = isSmallPlastic(pipe) ? INSERTS.find(({ nominal }) => nominal === pipe.nominal) : undefined
  return row ? { value: row.lengthMm, lo: row.loMm, hi: row.hiMm, source: `typical for ${SOURCE.standard}` } : null
}

/** Thread and width across flats, mm, of the compression nut for tube of an outside diameter in inches; null where none is held. */
export const tubeNut = (outside: string): (typeof NUTS)[string] | null => NUTS[outside] ?? null

/** What fixtures and appliances of a country are screwed on by, typical. */
export const appliancesIn = (region: Region): { what: string; screwed: string }[] =>
  APPLIANCES.filter(({ countries }) => countries.includes(region)).map(({ what, screwed }) => ({ what, screwed }))
