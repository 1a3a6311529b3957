import { createHash } from 'node:crypto'
import { getRequestHeader, type H3Event } from 'h3'
import { z } from 'zod'
import { toIssue } from '#core/contract'
import type { Write } from '../services/once'
import { parseAs, readText } from './body'
import { Problem } from './problem'
import { route } from './route'

/** A tablet that was away longer has its clock wrong rather than its work that old, ms. */
const MOST_AGO_MS = 400 * 24 * 3600 * 1000

const headers = z.object({
  'Idempotency-Key': z
    .string()
    .regex(/^[\w-]{8,40}$/, 'Idempotency-Key: 8 to 40 letters, digits, _ or -.')
    .nullable(),
  'Done-Ago': z.coerce
    .number('Done-Ago: milliseconds since it was done.')
    .int()
    .min(0)
    .transform((ago) => Math.min(ago, MOST_AGO_MS)),
  Hand: z.string().max(40),
})

const decoded = (text: string): string => {
  try {
    return decodeURIComponent(text)
  } catch {
    return text
  }
}

/**
 * Who, when and which, from the headers of a write. `Done-Ago` says how long ago it was done by the sender's own clock,
 * so that work done without a network has its true time, whatever that clock shows.
 */
function readWrite(event: H3Event, text: string): Write {
  const given = {
    'Idempotency-Key': getRequestHeader(event, 'idempotency-key') ?? null,
    'Done-Ago': getRequestHeader(event, 'done-ago') ?? '0',
    Hand: decoded(getRequestHeader(event, 'hand') ?? '').trim(),
  }
  const parsed = headers.safeParse(given)
  if (!parsed.success) throw new Problem(422, toIssue(parsed.error.issues[0]!, given))
  const request = createHash('sha256').update(`${event.method} ${event.path}\n${text}`).digest('hex')
  return {
    key: parsed.data['Idempotency-Key'],
    request,
    at: new Date(Date.now() - parsed.data['Done-Ago']),
    by: parsed.data.Hand,
  }
}

/**
 * A route that writes: its body, 256 kB or as given, checked, who and when read, and known by its key when it comes
 * again.
 */
export const writeRoute = <S extends z.ZodType, T>(
  schema: S,
  handle: (event: H3Event, body: z.output<S>, write: Write) => Promise<T>,
  mostBytes?: number,
) =>
  route(async (event) => {
    const text = await readText(event, mostBytes)
    const write = readWrite(event, text)
    return handle(event, parseAs(text, schema), write)
  })
