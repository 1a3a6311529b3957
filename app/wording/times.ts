import { clockWords, dateWords } from '#core/speech'
import type { Region } from '#core/units'
import type { Entry } from '~/outbox/entry'

/* Times in words. */

/** When an entry was done; where the server's clock was not known, it is said whose time it is. */
export const entryTime = ({ at, clock }: Pick<Entry, 'at' | 'clock'>): string =>
  clock === 'server' ? clockWords(at) : `${clockWords(at)} by the tablet's clock`

/** A time on record, as day and hour, in the reader's order. */
export const dayTime = (iso: string, region: Region): string => dateWords(iso, 'time', region)

const HOUR_MS = 3_600_000

/** How long ago something was, of ms. */
export function agoWords(ms: number): string {
  const hours = Math.floor(ms / HOUR_MS)
  if (hours < 1) return 'less than an hour ago'
  return hours < 48 ? `${hours} hours ago` : `${Math.floor(hours / 24)} days ago`
}
