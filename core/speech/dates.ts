import dayjs from 'dayjs'
import type { Region } from '#core/units'

/** The tongue of a region, for what is read aloud. */
export const LOCALES: Readonly<Record<Region, string>> = { gb: 'en-GB', eu: 'en-GB', us: 'en-US' }

/** A moment: ms since 1970, or ISO 8601. */
type Moment = number | string

// How a region writes days and hours: 3 Dec and 15:05, or Dec 3 and 03:05 PM. The engine's own formatter is not asked: to
// make the first one holds a cheap phone for longer than a whole list of jobs takes to draw.
const DAY_FIRST = { day: 'D MMM', year: 'D MMM YYYY', weekday: 'ddd D MMM', time: 'D MMM, HH:mm', hour: 'ddd HH:mm' }
const FORMS = {
  gb: DAY_FIRST,
  eu: DAY_FIRST,
  us: { day: 'MMM D', year: 'MMM D, YYYY', weekday: 'ddd MMM D', time: 'MMM D, hh:mm A', hour: 'ddd hh:mm A' },
} as const satisfies Record<Region, object>

/** A moment, by the clock of this machine: its day, with the year, the weekday or the hour, or weekday and hour. */
export const dateWords = (at: Moment, form: keyof typeof DAY_FIRST, region: Region): string =>
  dayjs(at).format(FORMS[region][form])

/** Hour and minute of a moment, by the clock of this machine. */
export const clockWords = (at: Moment): string => dayjs(at).format('HH:mm')

/** The weekday of a moment, by the clock of this machine. */
export const weekdayWords = (at: Moment): string => dayjs(at).format('ddd')
