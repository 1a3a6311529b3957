import { getRequestHeader, setResponseHeader, type H3Event } from 'h3'
import type { Issue } from '#core/base'

/** Whether an address was opened as a page, as a printed sheet is, and not asked for by the app. */
export const isOpenedAsPage = (event: H3Event): boolean =>
  event.method === 'GET' && getRequestHeader(event, 'sec-fetch-mode') === 'navigate'

/** What could not be given, in a sentence: whoever opened it reads words, not the inside of an answer. */
export function answerInWords(event: H3Event, { message }: Issue): string {
  setResponseHeader(event, 'Content-Type', 'text/plain; charset=utf-8')
  return `There is nothing to show here.\n\n${message}\n\nNothing was changed. Close this page.\n`
}
