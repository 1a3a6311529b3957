import { randomUUID } from 'node:crypto'
import mysql from 'mysql2/promise'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { WaysAnswer } from '#core/joints'
import type { FindRecord, JobRecord, JointRecord } from '#core/record'
import { url } from '../../scripts/db.mjs'
import { seeded } from '../random'
import { Running } from './running'

// Server, database and start are killed with -9 at random moments while writes are made and acknowledged.
// JOLVET_LONG=1: a whole storm.
const [WRITES, KILLS] = process.env.JOLVET_LONG ? [1500, 60] : [100, 4]
let run: Running
const random = seeded('kill test')
const below = (n: number) => Math.floor(random() * n)
const sleep = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

beforeAll(async () => {
  run = await Running.on()
  await run.begin()
})
afterAll(() => run.remove())

/** Sends a write with one key until it is acknowledged, as a tablet does. */
async function write<T>(method: string, path: string, body: object, key: string = randomUUID()): Promise<T> {
  for (;;) {
    try {
      const reply = await fetch(run.url + path, {
        method,
        body: JSON.stringify(body),
        headers: { 'Content-Type': 'application/json', 'Idempotency-Key': key, Connection: 'close' },
        signal: AbortSignal.timeout(15_000),
      })
      if (reply.ok) return (await reply.json()) as T
      if (reply.status !== 503) throw new Error(`${method} ${path}: ${reply.status} ${await reply.text()}`)
    } catch (error) {
      if (error instanceof Error && error.message.startsWith(method)) throw error
    }
    await sleep(60)
  }
}

describe('kill -9 while writing', () => {
  it(`loses none of ${WRITES} acknowledged writes, does none twice, leaves none half done`, async () => {
    const { slug } = await write<JobRecord>('POST', '/api/jobs', { name: 'Storm', place: '', region: 'gb' })
    const ends = { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } }
    const { ways } = (await (
      await fetch(`${run.url}/api/core/ways`, { method: 'POST', body: JSON.stringify({ region: 'gb', ...ends }) })
    ).json()) as WaysAnswer
    const finds = new Map<string, FindRecord>()
    const joints = new Map<string, JointRecord>()
    const sent = new Set<string>()
    const recoveries: number[] = []
    let done = 0
    let isOver = false

    const killing = (async () => {
      for (let n = 0; n < KILLS && !isOver; n++) {
        const at = Math.floor(((n + random()) * WRITES) / (KILLS + 1))
        while (done < at && !isOver) await sleep(5)
        await sleep(below(40))
        const from = Date.now()
        const before = done
        const what = (['database', 'server', 'database', 'start'] as const)[n % 4]!
        if (what === 'database') run.killDatabase()
        if (what === 'server') run.killServer()
        if (what === 'start') {
          run.killStart()
          await sleep(100)
          await run.begin()
        }
        while (done < before + 2 && !isOver) await sleep(5)
        if (what !== 'start') recoveries.push(Date.now() - from)
      }
    })()

    const once = async <T>(method: string, path: string, body: object): Promise<T> => {
      const key = randomUUID()
      sent.add(key)
      const value = await write<T>(method, path, body, key)
      done++
      return value
    }
    while (done < WRITES) {
      const kind = below(4)
      if (kind === 0 || finds.size === 0) {
        const find = await once<FindRecord>('POST', `/api/jobs/${slug}/finds`, {
          id: randomUUID(),
          place: `wall ${done}`,
          typed: '',
          by: 'calliper',
          answers: {},
          pipe: null,
        })
        finds.set(find.id, find)
      } else if (kind === 1) {
        const find = [...finds.values()][below(finds.size)]!
        finds.set(
          find.id,
          await once<FindRecord>('PATCH', `/api/jobs/${slug}/finds/${find.id}`, {
            version: find.version,
            typed: String(15 + below(20)),
            answers: { magnet: random() < 0.5 },
          }),
        )
      } else if (kind === 2 || joints.size === 0) {
        const joint = await once<JointRecord>('POST', `/api/jobs/${slug}/joints`, {
          id: randomUUID(),
          place: `joint ${done}`,
          ...ends,
          findA: null,
          conditions: {},
          orientation: 'horizontal',
          wayId: ways[0]!.id,
          depths: {},
        })
        joints.set(joint.id, joint)
      } else {
        const joint = [...joints.values()][below(joints.size)]!
        joints.set(
          joint.id,
          await once<JointRecord>('PUT', `/api/jobs/${slug}/joints/${joint.id}/ticks`, {
            entry: below(2),
            step: below(3),
            way: ways[0]!.id,
          }),
        )
      }
    }
    isOver = true
    await killing
    // A last start on what is left: what is on disk counts, not what a process remembers.
    run.killStart()
    run.killServer()
    run.killDatabase()
    await sleep(200)
    await run.begin()
    const saved = (await (await fetch(`${run.url}/api/jobs/${slug}`)).json()) as JobRecord
    expect(new Map(saved.finds.map((find) => [find.id, find]))).toEqual(finds)
    expect(new Map(saved.joints.map((joint) => [joint.id, joint]))).toEqual(joints)
    expect(saved.joints.map(({ number }) => number).sort((a, b) => a - b)).toEqual(saved.joints.map((_, i) => i + 1))

    const database = await mysql.createConnection(url(await run.connection()))
    const [receipts] = (await database.query('select write_key from receipts')) as unknown as [{ write_key: string }[]]
    const [[orphans]] = (await database.query(
      'select (select count(*) from ticks where joint_id not in (select id from joints)) + (select count(*) from joints where way_id is not null and way is null) n',
    )) as unknown as [[{ n: number }]]
    await database.end()
    for (const key of sent) expect(receipts.some((receipt) => receipt.write_key === key)).toBe(true)
    expect(Number(orphans.n)).toBe(0)
    recoveries.sort((a, b) => a - b)
    console.log(
      `kill test: ${done} writes acknowledged, ${recoveries.length + 3} kills; back after ${recoveries[0]} to ${recoveries.at(-1)} ms, median ${recoveries[Math.floor(recoveries.length / 2)]} ms`,
    )
  })

  it('leaves no write half done that nobody waited for', async () => {
    const { slug } = await write<JobRecord>('POST', '/api/jobs', { name: 'Blind', place: '', region: 'gb' })
    const keys = Array.from({ length: 40 }, () => randomUUID())
    const blind = keys.map((key, i) =>
      sleep(i * 8)
        .then(() =>
          fetch(`${run.url}/api/jobs/${slug}/finds`, {
            method: 'POST',
            body: JSON.stringify({ id: key, place: key, typed: '', by: 'rule', answers: {}, pipe: null }),
            headers: { 'Idempotency-Key': key },
          }),
        )
        .catch(() => undefined),
    )
    await sleep(120 + below(120))
    run.killDatabase()
    run.killServer()
    await Promise.all(blind)
    await write('POST', '/api/jobs', { name: 'Back again', place: '', region: 'gb' })
    const { finds } = (await (await fetch(`${run.url}/api/jobs/${slug}`)).json()) as JobRecord
    const database = await mysql.createConnection(url(await run.connection()))
    const [receipts] = (await database.query('select write_key from receipts')) as unknown as [{ write_key: string }[]]
    await database.end()
    const known = new Set(receipts.map(({ write_key }) => write_key))
    expect(keys.filter((key) => known.has(key)).sort()).toEqual(finds.map(({ id }) => id).sort())
  })
})
