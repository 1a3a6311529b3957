import type { JobSummary, Shelf } from '#core/record'
import { clockWords, dateWords, weekdayWords } from '#core/speech'
import type { Region } from '#core/units'

/** Words of the list of jobs. */
export const SHELF_WORDS: Readonly<Record<Shelf, string>> = {
  open: 'open',
  waiting: 'waiting',
  handed: 'handed over',
  archive: 'archive',
}

/** Said where a job is left without a name. */
export const NO_NAME = 'A job needs a name, such as its street or building.'

const DAY_MS = 86_400_000

/** When there was work last: the hour today, the weekday within a week, else the date. `now`: ms since 1970. */
export function workedWords(at: string, now: number, region: Region): string {
  const [then, today] = [new Date(at), new Date(now)]
  if (then.toDateString() === today.toDateString()) return clockWords(at)
  if (now - then.getTime() < 6 * DAY_MS) return weekdayWords(at)
  return dateWords(at, then.getFullYear() === today.getFullYear() ? 'day' : 'year', region)
}

/** How far a job is, in a few words. */
export function progressWords({ next, made, of }: Pick<JobSummary, 'next' | 'made' | 'of'>): string {
  if (next.held) return 'held'
  if (next.done) return 'done'
  return of === 0 ? 'none yet' : `${made} of ${of} made`
}
