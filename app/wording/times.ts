import { LOCALES } from '#core/speech'
import type { Region } from '#core/units'
import type { Entry } from '~/outbox/entry'

/* Times in words. */

// Kept: making one costs a phone more than a whole list of steps.
const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })
const DAYS = new Map(
  Object.values(LOCALES).map((locale) => [
    locale,
    new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' }),
  ]),
)
export const clockTime = (ms: number): string => CLOCK.format(ms)

/** When an entry was done; where the server's clock was not known, it is said whose time it is. */
export const entryTime = ({ at, clock }: Pick<Entry, 'at' | 'clock'>): string =>
  clock === 'server' ? clockTime(at) : `${clockTime(at)} by the tablet's clock`

/** A time on record, as day and hour, in the reader's order. */
export const dayTime = (iso: string, region: Region): string => DAYS.get(LOCALES[region])!.format(Date.parse(iso))

const HOUR_MS = 3_600_000

/** How long ago something was, of ms. */
export function agoWords(ms: number): string {
  const hours = Math.floor(ms / HOUR_MS)
  if (hours < 1) return 'less than an hour ago'
  return hours < 48 ? `${hours} hours ago` : `${Math.floor(hours / 24)} days ago`
}
