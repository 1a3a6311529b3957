import { setResponseHeader, type H3Event } from 'h3'
import type * as z from 'zod/mini'
import { issue } from '#core/base'
import { toIssue } from '#core/contract'
import { Problem } from './problem'

/** Largest body read, bytes: a job's longest form is far under it. */
const MOST_BYTES = 256 * 1024

/** Read and dropped at most before the connection is cut, bytes: a sender that is cut off early never sees why. */
const MOST_DROPPED = 32 * 1024 * 1024

/** A body of which nothing comes for so long is given up, ms. */
const IDLE_MS = 10_000

/** What comes, or Problem 408 where nothing does. The connection is closed then. */
async function inTime<T>(event: H3Event, coming: Promise<T>): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => {
      setResponseHeader(event, 'Connection', 'close')
      reject(
        new Problem(408, issue('impossible', '', `Nothing more of it came for ${IDLE_MS / 1000} s. Send it again.`)),
      )
    }, IDLE_MS)
  })
  try {
    return await Promise.race([coming, late])
  } finally {
    clearTimeout(timer)
  }
}

/** The body as it came. Over the limit it is dropped as it comes and refused with 413; half sent, with 408. */
export async function readBytes(event: H3Event, most: number): Promise<Buffer> {
  const parts = (event.node.req as AsyncIterable<Buffer>)[Symbol.asyncIterator]()
  const chunks: Buffer[] = []
  let bytes = 0
  for (;;) {
    const { done, value } = await inTime(event, parts.next())
    if (done) break
    bytes += value.length
    if (bytes <= most) chunks.push(value)
    else if (bytes > MOST_DROPPED) break
  }
  if (bytes > most)
    throw new Problem(413, issue('too-many', '', `That is more than ${Math.round(most / 1024)} kB. Send less at once.`))
  return Buffer.concat(chunks)
}

/** The body as text. */
export const readText = async (event: H3Event, most = MOST_BYTES): Promise<string> =>
  (await readBytes(event, most)).toString('utf8')

/** Text as JSON. Problem 400 where it is not readable. */
function parseJson(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw new Problem(400, { code: 'json', path: '', message: 'The question is not readable JSON.' })
  }
}

function check<S extends z.ZodMiniType>(given: unknown, schema: S): z.output<S> {
  const parsed = schema.safeParse(given)
  if (parsed.success) return parsed.data
  throw new Problem(422, toIssue(parsed.error.issues[0]!, given))
}

/** JSON checked against a schema. Problem 422 naming the field and what is accepted. */
export const parseAs = <S extends z.ZodMiniType>(text: string, schema: S): z.output<S> => check(parseJson(text), schema)

/** What an address asks for, checked against a schema. Problem 422 naming the field and what is accepted. */
export const readQuery = <S extends z.ZodMiniType>(query: object, schema: S): z.output<S> => check(query, schema)
