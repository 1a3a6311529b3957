import { defineEventHandler, setResponseStatus, type H3Event } from 'h3'
import type { z } from 'zod'
import { toIssue } from '#core/contract'
import { Problem } from './problem'

/** Largest body read, bytes: a job's longest form is far under it. */
const MOST_BYTES = 256 * 1024

/** Read and dropped at most before the connection is cut, bytes: a sender that is cut off early never sees why. */
const MOST_DROPPED = 32 * 1024 * 1024

/** The body as text. Over the limit it is dropped as it comes and refused with 413. */
async function readText(event: H3Event, most: number): Promise<string> {
  const chunks: Buffer[] = []
  let bytes = 0
  for await (const chunk of event.node.req as AsyncIterable<Buffer>) {
    bytes += chunk.length
    if (bytes <= most) chunks.push(chunk)
    else if (bytes > MOST_DROPPED) break
  }
  if (bytes > most) throw new Problem(413, { code: 'too-many', path: '', message: `That is more than ${Math.round(most / 1024)} kB. Send less at once.` })
  return Buffer.concat(chunks).toString('utf8')
}

/** The body as JSON. Problem 400 where it is not readable. */
export async function readJson(event: H3Event, most = MOST_BYTES): Promise<unknown> {
  const text = await readText(event, most)
  try {
    return JSON.parse(text)
  } catch {
    throw new Problem(400, { code: 'json', path: '', message: 'The question is not readable JSON.' })
  }
}

/** The body checked against a schema. Problem 422 naming the field and what is accepted. */
export async function readBodyAs<S extends z.ZodType>(event: H3Event, schema: S): Promise<z.output<S>> {
  const body = await readJson(event)
  const parsed = schema.safeParse(body)
  if (parsed.success) return parsed.data
  throw new Problem(422, toIssue(parsed.error.issues[0]!, body))
}

const UNREACHABLE = new Set(['ECONNREFUSED', 'ECONNRESET', 'ETIMEDOUT', 'PROTOCOL_CONNECTION_LOST', 'ENOENT', 'EPIPE'])

/** The driver's code behind a failure, wherever it was wrapped. */
function driverCode(error: unknown): string | undefined {
  for (let at = error; at instanceof Error; at = at.cause) if ('code' in at && typeof at.code === 'string') return at.code
  return undefined
}

/**
 * A route that answers with what its handler returns, or with `{error}`. A failure of ours is logged without what was
 * typed and goes out as one plain sentence: a query's message holds its values, so only its code is written down.
 */
export const route = <T>(handle: (event: H3Event) => Promise<T> | T) => defineEventHandler(async (event) => {
  try {
    return await handle(event)
  } catch (error) {
    if (error instanceof Problem) {
      setResponseStatus(event, error.status)
      return { error: error.issue, ...error.extra }
    }
    const code = driverCode(error)
    console.error(`${event.method} ${event.path.split('?')[0]} failed: ${error instanceof Error ? error.name : 'unknown'}${code ? ` ${code}` : ''}`)
    const away = code !== undefined && UNREACHABLE.has(code)
    setResponseStatus(event, away ? 503 : 500)
    return { error: { code: 'impossible', path: '', message: away ? 'The database is away for a moment. Try again shortly; nothing was saved.' : 'The server could not do that. Nothing was saved.' } }
  }
})
