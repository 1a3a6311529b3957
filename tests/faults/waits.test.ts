import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { FindRecord, JobRecord } from '#core/record'
import mysql from 'mysql2/promise'
import { url } from '../../scripts/db.mjs'
import { acting } from '../acts'
import { Running } from './running'

// A database that hangs, that holds a row, that has no room: bounded waits, plain words, and on again afterwards.
/** Far over the server's own bounds, so that a busy machine passes and a wait without an end does not. */
const LONGEST_MS = 60_000
let run: Running
let job: JobRecord
const { newJob, toSend } = acting(() => run.url)

beforeAll(async () => {
  run = await Running.on()
  await run.begin()
  job = await newJob('Waits at the mill')
})
afterAll(() => run.remove())

const timed = async (call: () => Promise<Response>) => {
  const from = Date.now()
  const reply = await call()
  return {
    status: reply.status,
    retry: reply.headers.get('retry-after'),
    body: await reply.text(),
    ms: Date.now() - from,
  }
}
const send = (name: string, record: string, body: object, about = {}) =>
  timed(() =>
    fetch(`${run.url}/api/acts`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ acts: [toSend(name, job, record, body, about)] }),
    }),
  )
const write = (place = '') => send('find/begin', randomUUID(), { place })

describe('a database that hangs', () => {
  it('is waited for within bounds, by many at once, and works on when it comes back', async () => {
    const pid = Number(readFileSync(path.join(run.database, 'mariadbd.pid'), 'utf8'))
    process.kill(pid, 'SIGSTOP')
    const replies = await Promise.all(
      Array.from({ length: 100 }, (_, i) => (i % 2 ? write() : timed(() => fetch(`${run.url}/api/jobs/${job.slug}`)))),
    )
    const sums = await timed(() =>
      fetch(`${run.url}/api/core/ways`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ region: 'gb', a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } }),
      }),
    )
    process.kill(pid, 'SIGCONT')
    expect(new Set(replies.map(({ status }) => status))).toEqual(new Set([503]))
    for (const { ms, retry, body } of replies) {
      expect(ms).toBeLessThan(LONGEST_MS)
      expect(retry).toBe('2')
      expect(body).toMatch(/database is (busy|away)/)
    }
    // What needs no database answers meanwhile.
    expect(sums.status).toBe(200)
    let after = await write()
    for (let i = 0; after.status !== 200 && i < 20; i++) after = await write()
    expect(after.status).toBe(200)
  })
})

describe('a row that another holds', () => {
  it('is waited for a few seconds, then the caller is told; other rows go on', async () => {
    const [{ record: created }] = (JSON.parse((await write()).body) as { acts: [{ record: FindRecord }] }).acts
    const change = () => send('find/change', created.id, { typed: '22' }, { version: 1 })
    const other = await mysql.createConnection(url(await run.connection()))
    await other.query('start transaction')
    await other.query('select * from finds where id = ? for update', [created.id])
    const held = change()
    expect((await write()).status).toBe(200)
    const reply = await held
    await other.query('rollback')
    await other.end()
    expect(reply.status).toBe(503)
    expect(reply.ms).toBeLessThan(LONGEST_MS)
    expect((await change()).status).toBe(200)
  })
})

describe('what goes to the log and to the caller', () => {
  it('is neither typed text, nor SQL, nor a stack', async () => {
    const secret = 'behind-the-blue-door'
    await write(secret)
    run.killDatabase()
    const replies = await Promise.all([1, 2, 3].map(() => write(secret)))
    for (let i = 0; (await write()).status !== 200 && i < 40; i++)
      await new Promise((resolve) => setTimeout(resolve, 100))
    for (const { body } of replies) expect(body).not.toMatch(/insert|select |at \/|node_modules/i)
    expect(run.output).not.toMatch(/behind-the-blue-door|waits-at-the-mill/)
    expect(run.output).toMatch(/POST \/api\/acts failed/)
    expect(run.output).toMatch(/the database stopped; it is started again/)
  })
})
