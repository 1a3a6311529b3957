/* Jobs searched for by what a person knows of one: a name, a place, a pipe, a hand, a day. */

/** Letters as they are compared: small, without accents, one space between words. */
export const foldText = (text: string): string =>
  text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase().replace(/\s+/g, ' ').trim()

/** What is searched for: it stands in the text of a job, or there was work on that day. */
export interface SearchTerm {
  text: string
  day: string | null
}

const DAY_MS = 86_400_000
const isoDay = (ms: number): string => new Date(ms).toISOString().slice(0, 10)
const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat']
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']
/** Begins like a name of the list, of three letters at least: "thu", "thurs", "thursday". */
const WHOLE_WEEKDAYS = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday']
const WHOLE_MONTHS = [
  ...['january', 'february', 'march', 'april', 'may', 'june', 'july'],
  ...['august', 'september', 'october', 'november', 'december'],
]
const placeIn = (short: readonly string[], whole: readonly string[], word: string): number =>
  short.findIndex((name, i) => word.startsWith(name) && whole[i]!.startsWith(word))

/** A day of a month, the last one that was: without a year no day to come is meant. */
function lastDate(day: number, month: number, today: string): string | null {
  for (const year of [Number(today.slice(0, 4)), Number(today.slice(0, 4)) - 1]) {
    const ms = Date.UTC(year, month, day)
    if (new Date(ms).getUTCDate() === day && new Date(ms).getUTCMonth() === month && isoDay(ms) <= today)
      return isoDay(ms)
  }
  return null
}

/** The day a word means: a weekday is the last one that was. */
function dayOfWord(word: string, today: string): string | null {
  const now = Date.parse(today)
  if (word === 'today') return today
  if (word === 'yesterday') return isoDay(now - DAY_MS)
  if (/^\d{4}-\d\d-\d\d$/.test(word)) return word
  const weekday = placeIn(WEEKDAYS, WHOLE_WEEKDAYS, word)
  return weekday < 0 ? null : isoDay(now - ((new Date(now).getUTCDay() - weekday + 7) % 7) * DAY_MS)
}

/** The day two words mean together: "26 nov", "nov 26". */
function dayOfPair(a: string, b: string, today: string): string | null {
  for (const [number, name] of [
    [a, b],
    [b, a],
  ] as const) {
    const day = /^(\d{1,2})(?:st|nd|rd|th)?$/.exec(number)
    const month = placeIn(MONTHS, WHOLE_MONTHS, name)
    const date = day && month >= 0 ? lastDate(Number(day[1]), month, today) : null
    if (date) return date
  }
  return null
}

/** A search as it was typed; a job answers it where it answers every term. `today` is a day, ISO 8601. */
export function readSearch(typed: string, today: string): SearchTerm[] {
  const said = foldText(typed).split(' ').filter(Boolean)
  const terms: SearchTerm[] = []
  for (let i = 0; i < said.length; i++) {
    const [word, next] = [said[i]!, said[i + 1]]
    const pair = next === undefined ? null : dayOfPair(word, next, today)
    terms.push(pair ? { text: `${word} ${next}`, day: pair } : { text: word, day: dayOfWord(word, today) })
    if (pair) i++
  }
  return terms
}

/** Whether a job answers a search: by its folded text, its hands among it, and the days of its work. */
export const answers = (terms: readonly SearchTerm[], text: string, days: readonly string[]): boolean =>
  terms.every((term) => text.includes(term.text) || (term.day !== null && days.includes(term.day)))
