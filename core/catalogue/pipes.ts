import { compareText, fail, ok, type Result } from '#core/base'
import { namedBy } from './compare'
import { factsOf, SERIES, seriesOf } from './series'
import { STANDARDS } from './tables'
import { FAMILIES, type Family, type Pipe, type PipeRow, type SeriesFacts } from './types'
import { REGIONS, type Region } from '#core/units'
import { w } from '#core/speech'

/** Size as it is said: `22 × 0.9` by outside diameter and wall, `3/4 in` by a name. */
function sizeWords(row: PipeRow): string {
  const metric = /^\d+$/.test(row.nominal) && row.odMm === Number(row.nominal)
  if (!metric) return `${row.nominal} in`
  return row.wallMm === null ? row.nominal : `${row.nominal} × ${row.wallMm}`
}

function toPipe(row: PipeRow): Pipe {
  const series = seriesOf(row.series)
  return {
    id: `${row.series}-${row.nominal.replace('/', '_')}`,
    family: series.family,
    standard: series.standard,
    series: row.series,
    nominal: row.nominal,
    label: `${sizeWords(row)} ${series.words}`,
    od: row.odMm,
    wall: row.wallMm,
    bore: row.boreMm,
    typical: row.typical,
    regions: series.regions,
  }
}

/** Every pipe of the catalogue, by family, series, outside diameter, wall. */
export const PIPES: readonly Pipe[] = STANDARDS.flatMap(({ ROWS = [] }) => ROWS)
  .map(toPipe)
  .sort(
    (a, b) =>
      compareText(a.family, b.family) ||
      compareText(a.series, b.series) ||
      a.od - b.od ||
      (a.wall ?? 0) - (b.wall ?? 0),
  )

const BY_ID = new Map(PIPES.map((pipe) => [pipe.id, pipe]))

/** The pipe of an id. Issue `unknown-id` at `path`. */
export function findPipe(id: string, path: string): Result<Pipe> {
  const pipe = BY_ID.get(id)
  return pipe
    ? ok(pipe)
    : fail(
        'unknown-id',
        path,
        `${path}: no pipe "${id.slice(0, 40)}" in the ${w.catalogue}. Accepted: <series>-<nominal>, such as cu-en-x-22 or pex-cts-1_2.`,
      )
}

/** The pipe of an id known to be ours; throws otherwise. */
export function getPipe(id: string): Pipe {
  const pipe = BY_ID.get(id)
  if (!pipe) throw new Error(`no pipe ${id}`)
  return pipe
}

export interface PipesQuestion {
  family?: string
  series?: string
  nominal?: string
  region?: Region
}

/** A series that stands in an answer, with its facts. */
export interface SeriesAnswer extends SeriesFacts {
  id: string
  words: string
  named: string
}

/**
 * Catalogue rows that match every given field exactly, by family, series, outside diameter, wall; lengths in mm. Beside
 * them what is true of each of their series, in the same order.
 * Issue `unknown-id` at a family, series, nominal or region that no row of the catalogue has.
 */
export function findPipes(question: PipesQuestion): Result<{ pipes: Pipe[]; series: SeriesAnswer[] }> {
  const { family, series, nominal, region } = question
  const unknown = (path: string, accepted: readonly string[]) =>
    fail('unknown-id', path, `${path}: not in the ${w.catalogue}. Accepted: ${accepted.join(', ')}.`)
  if (family !== undefined && !FAMILIES.includes(family as Family)) return unknown('family', FAMILIES)
  if (series !== undefined && !SERIES.some((s) => s.id === series))
    return unknown(
      'series',
      SERIES.map((s) => s.id),
    )
  if (nominal !== undefined && !PIPES.some((p) => p.nominal === nominal))
    return unknown('nominal', [...new Set(PIPES.map((p) => p.nominal))])
  if (region !== undefined && !REGIONS.includes(region)) return unknown('region', REGIONS)
  const pipes = PIPES.filter(
    (pipe) =>
      (family === undefined || pipe.family === family) &&
      (series === undefined || pipe.series === series) &&
      (nominal === undefined || pipe.nominal === nominal) &&
      (region === undefined || pipe.regions.includes(region)),
  )
  const standing = pipes.filter((pipe, i) => pipes.findIndex((other) => other.series === pipe.series) === i)
  return ok({
    pipes,
    series: standing.map((pipe): SeriesAnswer => ({
      id: pipe.series,
      words: seriesOf(pipe.series).words,
      named: namedBy(pipe),
      ...factsOf(pipe.series),
    })),
  })
}

/** How far off a diameter may be to be looked up by it, mm: as far as a rule errs. */
const NEAR_MM = 0.6

/** Pipes of a region called by a size, or that measure near a diameter (mm; null for none), nearest first. */
export function pipesNear(size: string, odMm: number | null, region: Region): Pipe[] {
  const wanted = size
    .trim()
    .toLowerCase()
    .replace(/\s*(?:mm|in|inch|")$/, '')
    .replace(/^(\d+) (\d+\/\d+)$/, '$1-$2')
  const off = (pipe: Pipe) => (odMm === null ? Infinity : Math.abs(pipe.od - odMm))
  return PIPES.filter(
    (pipe) => pipe.regions.includes(region) && (pipe.nominal === wanted || off(pipe) <= NEAR_MM),
  ).sort((x, y) => off(x) - off(y) || compareText(x.id, y.id))
}
