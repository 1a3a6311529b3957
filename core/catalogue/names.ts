import { PIPES } from './pipes'
import { SERIES, seriesOf } from './series'
import type { Pipe } from './types'
import type { Region } from '#core/units'

/** A pipe's name where there is room for little: size and kind, without wall, type or schedule. */
export function shortName({ nominal, label, series }: Pick<Pipe, 'nominal' | 'label' | 'series'>): string {
  const kind = seriesOf(series).words.split(',')[0]!
  return `${nominal}${label.startsWith(`${nominal} in`) ? ' in' : ''} ${kind}`
}

/** Pipes in the order of the list of series, copper first: what the trade names first. */
const BY_SERIES = SERIES.flatMap(({ id }) => PIPES.filter(({ series }) => series === id))

/** The outside diameters of a region, mm, from small to large, each with the short names of the pipes that have it. */
export function namedDiameters(region: Region): { od: number; names: string[] }[] {
  const byDiameter = new Map<number, Set<string>>()
  for (const pipe of BY_SERIES) {
    if (!pipe.regions.includes(region)) continue
    const names = byDiameter.get(pipe.od) ?? new Set()
    byDiameter.set(pipe.od, names.add(shortName(pipe)))
  }
  return [...byDiameter].map(([od, names]) => ({ od, names: [...names] })).sort((a, b) => a.od - b.od)
}

/** Several names in the room of one. */
export const firstOf = (names: readonly string[]): string =>
  names.length > 1 ? `${names[0]}, ${names.length - 1} more` : (names[0] ?? '')
