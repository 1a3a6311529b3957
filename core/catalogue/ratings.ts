import { INCH_ORDER } from './sizes'
import type { Socket } from './sockets'
import { STANDARDS } from './tables'
import type { Pipe, PipeRatingRow, RatedBy, RatingRow, Ratings, Source } from './types'

/** `rated`: bar at the row used. `beyond`: rows exist, none at or above the temperature. `none`: no figure held. */
export type Rating =
  { kind: 'rated'; bar: number; tempC: number; source: string } | { kind: 'beyond' } | { kind: 'none' }

const ratingSource = ({ standard }: Source, typical: boolean): string => `${typical ? 'typical, ' : ''}${standard}`

/** The row at the next higher temperature; rows without a figure are skipped. */
function lookUp(ratings: Ratings | null, tempC: number): Rating {
  if (!ratings) return { kind: 'none' }
  const { rows, source } = ratings
  const known = rows.filter((row): row is RatingRow & { maxBar: number } => row.maxBar !== null)
  if (known.length === 0) return { kind: 'none' }
  const row = known.filter((candidate) => candidate.tempC >= tempC).sort((a, b) => a.tempC - b.tempC)[0]
  return row
    ? { kind: 'rated', bar: row.maxBar, tempC: row.tempC, source: ratingSource(source, row.typical) }
    : { kind: 'beyond' }
}

/** Standards of tube by the series they hold. */
const OF_SERIES = new Map(
  STANDARDS.flatMap((standard) => (standard.ROWS ?? []).map(({ series }) => [series, standard] as const)),
)

/**
 * Which of a standard's rows are a pipe's, at a temper. Metric copper's are for half-hard tube: none is held for soft.
 */
const IS_OF: Readonly<Record<RatedBy, (row: RatingRow, pipe: Pipe, temper: 'hard' | 'soft') => boolean>> = {
  series: () => true,
  'own-series': ({ of }, { series }) => of === series,
  pipe: ({ of }, { id }) => of === id,
  'hard-pipe': ({ of }, { id }, temper) => temper === 'hard' && of === id,
  'pipe-and-temper': ({ of }, { id }, temper) => of === `${id} ${temper === 'soft' ? 'annealed' : 'drawn'}`,
}
/** Rows that go by temper, so that hard and soft are told apart. */
const BY_TEMPER: ReadonlySet<RatedBy | undefined> = new Set(['hard-pipe', 'pipe-and-temper'])

/** The rows of a tube at a temper. */
function tubeRows(pipe: Pipe, temper: 'hard' | 'soft'): Ratings | null {
  const standard = OF_SERIES.get(pipe.series)
  if (!standard?.RATINGS || !standard.RATED_BY) return null
  const isOf = IS_OF[standard.RATED_BY]
  return { rows: standard.RATINGS.filter((row) => isOf(row, pipe, temper)), source: standard.SOURCE }
}

/** The lesser of two ratings; one without a figure says nothing against the other. */
const lesser = (one: Rating, other: Rating): Rating =>
  one.kind === 'rated' && other.kind === 'rated' && other.bar < one.bar ? other : one

/** Pressure the tube itself takes at a temperature; in a sealed heating circuit it may be less. */
export function pipeRating(pipe: Pipe, tempC: number, temper: 'hard' | 'soft', use: 'any' | 'heating' = 'any'): Rating {
  const own = lookUp(tubeRows(pipe, temper), tempC)
  const { HEATING_RATINGS: rows, SOURCE: source } = OF_SERIES.get(pipe.series) ?? {}
  return use === 'heating' && rows && source ? lesser(own, lookUp({ rows, source }, tempC)) : own
}

/** Every rating held of a tube, by temper and temperature. */
export function pipeRatings(pipe: Pipe): PipeRatingRow[] {
  const tempers = BY_TEMPER.has(OF_SERIES.get(pipe.series)?.RATED_BY) ? (['hard', 'soft'] as const) : [null]
  return tempers.flatMap((temper) => {
    const ratings = tubeRows(pipe, temper ?? 'hard')
    if (!ratings) return []
    const { rows, source } = ratings
    return rows
      .flatMap(({ tempC, maxBar, typical }): PipeRatingRow[] =>
        maxBar === null ? [] : [{ tempC, bar: maxBar, temper, source: ratingSource(source, typical) }],
      )
      .sort((x, y) => x.tempC - y.tempC)
  })
}

/** Size groups in inches, whose own names hold the dash that parts a metric group. */
const INCH_RANGES: Readonly<Record<string, readonly [string, string]>> = {
  '1/8-1': ['1/8', '1'],
  '1-1/4-2': ['1-1/4', '2'],
}
const inRange = (range: string, nominal: string): boolean => {
  const order = (size: string) => (/^\d+$/.test(size) && Number(size) > 2 ? Number(size) : INCH_ORDER.indexOf(size))
  const [from, to] = INCH_RANGES[range] ?? (range.split('-') as [string, string])
  return order(nominal) >= order(from) && order(nominal) <= order(to)
}

/** Pressure the joint takes at a temperature, whatever the tube. */
export function jointRating({ table, fittingNominal }: Socket, pipe: Pipe, tempC: number): Rating {
  if (table.rating === 'as-tube') return pipeRating(pipe, tempC, 'hard')
  if (table.rating === null || !table.isRatedBySize) return lookUp(table.rating, tempC)
  return lookUp({ ...table.rating, rows: table.rating.rows.filter((row) => inRange(row.of, fittingNominal)) }, tempC)
}
