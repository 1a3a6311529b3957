import type { H3Event } from 'h3'
import type { z } from 'zod'
import { toIssue } from '#core/contract'
import { Problem } from './problem'

/** Largest body read, bytes: a job's longest form is far under it. */
const MOST_BYTES = 256 * 1024

/** Read and dropped at most before the connection is cut, bytes: a sender that is cut off early never sees why. */
const MOST_DROPPED = 32 * 1024 * 1024

/** The body as it came. Over the limit it is dropped as it comes and refused with 413. */
export async function readBytes(event: H3Event, most: number): Promise<Buffer> {
  const chunks: Buffer[] = []
  let bytes = 0
  for await (const chunk of event.node.req as AsyncIterable<Buffer>) {
    bytes += chunk.length
    if (bytes <= most) chunks.push(chunk)
    else if (bytes > MOST_DROPPED) break
  }
  if (bytes > most)
    throw new Problem(413, {
      code: 'too-many',
      path: '',
      message: `That is more than ${Math.round(most / 1024)} kB. Send less at once.`,
    })
  return Buffer.concat(chunks)
}

/** The body as text. */
export const readText = async (event: H3Event, most = MOST_BYTES): Promise<string> =>
  (await readBytes(event, most)).toString('utf8')

/** Text as JSON. Problem 400 where it is not readable. */
export function parseJson(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw new Problem(400, { code: 'json', path: '', message: 'The question is not readable JSON.' })
  }
}

function check<S extends z.ZodType>(given: unknown, schema: S): z.output<S> {
  const parsed = schema.safeParse(given)
  if (parsed.success) return parsed.data
  throw new Problem(422, toIssue(parsed.error.issues[0]!, given))
}

/** JSON checked against a schema. Problem 422 naming the field and what is accepted. */
export const parseAs = <S extends z.ZodType>(text: string, schema: S): z.output<S> => check(parseJson(text), schema)

/** What an address asks for, checked against a schema. Problem 422 naming the field and what is accepted. */
export const readQuery = <S extends z.ZodType>(query: object, schema: S): z.output<S> => check(query, schema)
