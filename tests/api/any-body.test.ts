import { randomUUID } from 'node:crypto'
import { readdirSync } from 'node:fs'
import path from 'node:path'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ACT_NAMES } from '#core/acts'
import type { JobRecord } from '#core/record'
import { SAMPLES } from '../act-samples'
import { acting } from '../acts'
import { ownBed } from '../bed'

// Random bodies to every route: whatever comes, it is an answer in words and never a failure of ours.
// JOLVET_LONG=1: 20,000 of them.
const BODIES = process.env.JOLVET_LONG ? 20_000 : 600
/** So many at once, so that acts also meet each other. */
const AT_ONCE = 12
const { begin, job: jobOf, newJob, toSend } = acting()

/** Every route that ends, with names in the place of what it asks for; the stream has tests of its own. */
const routes = (readdirSync('server/api', { recursive: true }) as string[])
  .filter((file) => /\.(get|post|put)\.ts$/.test(file) && file !== 'stream.get.ts')
  .map((file) => {
    const [, at, method] = /^(.*)\.(get|post|put)\.ts$/.exec(file)! as unknown as [string, string, string]
    return {
      method: method.toUpperCase(),
      at: `/api/${at
        .split(path.sep)
        .join('/')
        .replace(/\/index$/, '')}`,
    }
  })

const odd = fc.oneof(
  fc.string({ unit: 'binary', maxLength: 60 }),
  fc.constantFrom('\ud800', 'x'.repeat(500), '\u0000', '2026-02-30', '__proto__', 'constructor', ''),
  fc.double(),
  fc.constantFrom(1e308, -1, 0.5, 2 ** 53, null, true),
  fc.object({ maxDepth: 3 }),
  fc.array(fc.anything({ maxDepth: 2 }), { maxLength: 4 }),
)

/** A body with one of its values, wherever it stands, replaced. */
function withOdd(body: unknown, where: readonly number[], value: unknown): unknown {
  if (typeof body !== 'object' || body === null || where.length === 0) return value
  const keys = Object.keys(body)
  if (keys.length === 0) return value
  const key = keys[where[0]! % keys.length]!
  const inside = withOdd((body as Record<string, unknown>)[key], where.slice(1), value)
  return Array.isArray(body) ? body.map((one, i) => (String(i) === key ? inside : one)) : { ...body, [key]: inside }
}

interface Ask {
  method: string
  url: string
  body?: string
}
const text = (value: unknown): string => JSON.stringify(value) ?? 'null'

/** An act of one kind on records that are there, with something odd in it, or in its frame. */
const anAct = (job: JobRecord, ids: readonly string[]) =>
  fc
    .record({
      name: fc.constantFrom(...ACT_NAMES),
      record: fc.oneof(fc.constantFrom(...ids), fc.string({ maxLength: 50 }), fc.uuid()),
      where: fc.array(fc.nat(8), { maxLength: 4 }),
      value: odd,
      isOdd: fc.constantFrom('body', 'body', 'body', 'frame', 'none'),
      version: fc.constantFrom(1, 2, null, undefined),
      seen: fc.option(fc.dictionary(fc.constantFrom('place', 'typed', 'depths', 'legs'), odd, { maxKeys: 2 })),
    })
    .map(({ name, record, where, value, isOdd, version, seen }): Ask => {
      const own = SAMPLES[name].act.body
      const act = toSend(name, job, record, isOdd === 'body' ? withOdd(own, where, value) : own, {
        ...(version === undefined ? {} : { version }),
        ...(seen ? { seen } : {}),
      })
      return {
        method: 'POST',
        url: '/api/acts',
        body: text({ acts: [isOdd === 'frame' ? withOdd(act, where.slice(0, 1), value) : act] }),
      }
    })

/** Any route, its names replaced by what is there, by what is not, and by what no name is. */
const anyRoute = (names: readonly string[]) =>
  fc
    .record({
      route: fc.constantFrom(...routes),
      part: fc.oneof(fc.constantFrom(...names), fc.string({ unit: 'binary', maxLength: 30 })),
      body: odd,
    })
    .map(({ route: { method, at }, part, body }): Ask => {
      const filled = at.replace(/\[[^\]]+\]/g, () => encodeURIComponent(part.isWellFormed() ? part : 'x'))
      return { method, url: filled, ...(method === 'GET' ? {} : { body: text(body) }) }
    })

/** The list and a job asked for by whatever words. */
const anyQuery = (slug: string) =>
  fc
    .record({
      at: fc.constantFrom('/api/jobs', '/api/jobs', `/api/jobs/${slug}`, '/api/lines'),
      said: fc.dictionary(
        fc.constantFrom('shelf', 'q', 'order', 'hand', 'mine', 'cursor', 'limit', 'since', 'region', 'jobs'),
        fc.oneof(
          fc.string({ unit: 'grapheme', maxLength: 40 }),
          fc.constantFrom('all', 'open', 'name', '1', '0', '-1', '1e9', '%', "'", '\\', 'W10', '💧', 'x'.repeat(1000)),
        ),
        { maxKeys: 5 },
      ),
    })
    .map(({ at, said }): Ask => ({ method: 'GET', url: `${at}?${new URLSearchParams(said)}` }))

async function send({ method, url, body }: Ask): Promise<{ status: number; text: string }> {
  const reply = await fetch(ownBed().baseUrl + url, {
    method,
    headers: { 'Content-Type': 'application/json' },
    ...(body === undefined ? {} : { body }),
  })
  return { status: reply.status, text: await reply.text() }
}

describe(`${BODIES} random bodies`, () => {
  it('to every route are answered in words, with field and reason; none is a failure of ours', async () => {
    expect(routes.length).toBeGreaterThan(12)
    const job = await newJob('Any body')
    const [find, joint, line] = [
      await begin('find/begin', job, {}),
      await begin('joint/begin', job, { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } }),
      await begin('line/begin', job, { pipe: 'cu-en-x-22', method: 'solder', legs: ['e 4000', 'u 900'] }),
    ]
    const cut = await begin('cut/begin', job, { pipe: 'cu-en-x-22' })
    const ids = [job.id, find.id, joint.id, line.id, cut.id, randomUUID()]
    const asks = fc.sample(
      fc.oneof(
        { arbitrary: anAct(job, ids), weight: 4 },
        anyRoute([job.slug, ...ids, 'cut', 'ways']),
        anyQuery(job.slug),
      ),
      BODIES,
    )
    const counts: Record<number, number> = {}
    for (let from = 0; from < asks.length; from += AT_ONCE) {
      const some = asks.slice(from, from + AT_ONCE)
      const replies = await Promise.all(some.map(send))
      for (const [i, reply] of replies.entries()) {
        counts[reply.status] = (counts[reply.status] ?? 0) + 1
        expect(reply.status, `${some[i]!.method} ${some[i]!.url} ${some[i]!.body}: ${reply.text}`).toBeLessThan(500)
        if (reply.status >= 400) expect(reply.text).toMatch(/"message":"(?:[^"\\]|\\.){8,}/)
      }
    }
    console.log(`any body: ${JSON.stringify(counts)}`)
    expect(counts[200]).toBeGreaterThan(BODIES / 50)
    expect(counts[422]).toBeGreaterThan(BODIES / 10)
    // It is still there, and its log is whole.
    expect((await jobOf(job.slug)).id).toBe(job.id)
    const chain = JSON.parse((await send({ method: 'GET', url: `/api/jobs/${job.slug}/chain` })).text) as {
      brokenAt: number | null
    }
    expect(chain.brokenAt).toBeNull()
  })
})
