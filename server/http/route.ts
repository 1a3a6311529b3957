import { defineEventHandler, setResponseHeader, setResponseStatus, type H3Event } from 'h3'
import type { Issue } from '#core/base'
import { DatabaseBusy } from '../db/client'
import { driverFault } from '../db/fault'
import { answerInWords, isOpenedAsPage } from './in-words'
import { Problem } from './problem'

/** Codes of the driver for a database that cannot be reached. */
const AWAY: ReadonlySet<string> = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'ETIMEDOUT',
  'PROTOCOL_CONNECTION_LOST',
  'ENOENT',
  'EPIPE',
  'ER_SERVER_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
])
/** MariaDB's numbers for a wait that it ended itself: lock, deadlock, statement time, connection killed. */
const ENDED: ReadonlySet<number> = new Set([1205, 1213, 1969, 1927])
/** Its numbers for storage that takes no more: disk full, table full, read only. */
const FULL: ReadonlySet<number> = new Set([1021, 1114, 1026, 3, 14, 28, 1290, 1836])

type Trouble = 'away' | 'busy' | 'full' | 'ours'

const WORDS: Readonly<Record<Trouble, string>> = {
  away: 'The database is away for a moment. Try again shortly.',
  busy: 'The database is busy. Try again shortly.',
  full: "The server's disk takes no more. Make room there; nothing was saved.",
  ours: 'The server could not do that. Nothing was saved.',
}

function troubleOf(error: unknown): Trouble {
  if (error instanceof DatabaseBusy || (error instanceof Error && error.message === 'Queue limit reached.'))
    return 'busy'
  const { code, errno, fatal } = driverFault(error)
  if (errno !== undefined && FULL.has(errno)) return 'full'
  if (errno !== undefined && ENDED.has(errno)) return 'busy'
  return fatal || (code !== undefined && AWAY.has(code)) ? 'away' : 'ours'
}

/**
 * A route that answers with what its handler returns, or with `{error}`. A failure of ours is logged without what was
 * typed and goes out as one plain sentence: a query's message holds its values, so only its code is written down.
 */
export const route = <T>(handle: (event: H3Event) => Promise<T> | T) =>
  defineEventHandler(async (event) => {
    try {
      return await handle(event)
    } catch (error) {
      if (error instanceof Problem) {
        setResponseStatus(event, error.status)
        return isOpenedAsPage(event) ? answerInWords(event, error.issue) : { error: error.issue, ...error.extra }
      }
      const { code, errno } = driverFault(error)
      // The route as it is written, not as it was asked for: an address holds a job's name.
      console.error(
        [
          event.method,
          event.context.matchedRoute?.path ?? 'unknown route',
          'failed:',
          error instanceof Error ? error.name : 'unknown',
          code,
          errno,
        ]
          .filter((part) => part !== undefined)
          .join(' '),
      )
      const trouble = troubleOf(error)
      setResponseStatus(event, trouble === 'ours' ? 500 : 503)
      if (trouble !== 'ours') setResponseHeader(event, 'Retry-After', 2)
      const issue: Issue = { code: 'impossible', path: '', message: WORDS[trouble] }
      return isOpenedAsPage(event) ? answerInWords(event, issue) : { error: issue }
    }
  })
