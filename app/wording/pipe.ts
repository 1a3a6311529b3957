import { SERIES, type Pipe } from '#core/catalogue'

/** A pipe's name where there is room for little: size and kind, without wall, type or schedule. */
export function shortName({ nominal, label, series }: Pick<Pipe, 'nominal' | 'label' | 'series'>): string {
  const kind = SERIES.find(({ id }) => id === series)!.words.split(',')[0]!
  return `${nominal}${label.startsWith(`${nominal} in`) ? ' in' : ''} ${kind}`
}
