import { randomUUID } from 'node:crypto'
import mysql from 'mysql2/promise'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { WaysAnswer } from '#core/joints'
import type { FindRecord, JobRecord, JointRecord } from '#core/record'
import { url } from '../../scripts/db.mjs'
import { acting } from '../acts'
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

const { toSend } = acting(() => run.url)

/** Sends an act until it is acknowledged, as a tablet does. */
async function write<T>(act: ReturnType<typeof toSend>): Promise<T> {
  for (;;) {
    try {
      const reply = await fetch(`${run.url}/api/acts`, {
        method: 'POST',
        body: JSON.stringify({ acts: [act] }),
        headers: { 'Content-Type': 'application/json', Connection: 'close' },
        signal: AbortSignal.timeout(15_000),
      })
      if (reply.ok) return ((await reply.json()) as { acts: { record: T }[] }).acts[0]!.record
      if (reply.status !== 503) throw new Error(`${act.name}: ${reply.status} ${await reply.text()}`)
    } catch (error) {
      if (error instanceof Error && error.message.startsWith(act.name)) throw error
    }
    await sleep(60)
  }
}
const beginJob = (name: string) => {
  const id = randomUUID()
  return write<JobRecord>(toSend('job/begin', { id }, id, { name, place: '', region: 'gb' }))
}
/** How the log of a job stands, by the server. */
const chainOf = async (slug: string) =>
  (await (await fetch(`${run.url}/api/jobs/${slug}/chain`)).json()) as { acts: number; brokenAt: number | null }

describe('kill -9 while writing', () => {
  it(`loses none of ${WRITES} acknowledged writes, does none twice, leaves none half done, and the log is whole`, async () => {
    const job = await beginJob('Storm')
    const { slug } = job
    const ends = { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } }
    const { ways } = (await (
      await fetch(`${run.url}/api/core/ways`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ region: 'gb', ...ends }),
      })
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

    const once = async <T>(name: string, record: string, body: object, about = {}): Promise<T> => {
      const act = toSend(name, job, record, body, about)
      sent.add(act.key)
      const value = await write<T>(act)
      done++
      return value
    }
    while (done < WRITES) {
      const kind = below(4)
      if (kind === 0 || finds.size === 0) {
        const find = await once<FindRecord>('find/begin', randomUUID(), { place: `wall ${done}` })
        finds.set(find.id, find)
      } else if (kind === 1) {
        const find = [...finds.values()][below(finds.size)]!
        finds.set(
          find.id,
          await once<FindRecord>(
            'find/change',
            find.id,
            { typed: String(15 + below(20)), answers: { magnet: random() < 0.5 } },
            { version: find.version },
          ),
        )
      } else if (kind === 2 || joints.size === 0) {
        const body = { place: `joint ${done}`, ...ends, wayId: ways[0]!.id }
        const joint = await once<JointRecord>('joint/begin', randomUUID(), body)
        joints.set(joint.id, joint)
      } else {
        const joint = [...joints.values()][below(joints.size)]!
        joints.set(
          joint.id,
          await once<JointRecord>('joint/tick', joint.id, { entry: below(2), step: below(3), way: ways[0]!.id }),
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
    const [receipts] = (await database.query('select act_key from acts')) as unknown as [{ act_key: string }[]]
    const [[orphans]] = (await database.query(
      'select (select count(*) from ticks where joint_id not in (select id from joints)) + (select count(*) from joints where way_id is not null and way is null) n',
    )) as unknown as [[{ n: number }]]
    await database.end()
    const known = new Set(receipts.map(({ act_key: key }) => key))
    expect([...sent].filter((key) => !known.has(key))).toEqual([])
    // Every act that was acknowledged is in the log, once, and each row follows from the one before it.
    expect(await chainOf(slug)).toMatchObject({ acts: sent.size + 1, brokenAt: null })
    expect(Number(orphans.n)).toBe(0)
    recoveries.sort((a, b) => a - b)
    console.log(
      `kill test: ${done} writes acknowledged, ${recoveries.length + 3} kills; back after ${recoveries[0]} to ${recoveries.at(-1)} ms, median ${recoveries[Math.floor(recoveries.length / 2)]} ms`,
    )
  })

  it('leaves no write half done that nobody waited for', async () => {
    const job = await beginJob('Blind')
    const { slug } = job
    const keys = Array.from({ length: 40 }, () => randomUUID())
    const blind = keys.map((key, i) =>
      sleep(i * 8)
        .then(() =>
          fetch(`${run.url}/api/acts`, {
            method: 'POST',
            headers: { 'Content-Type': 'application/json' },
            body: JSON.stringify({ acts: [toSend('find/begin', job, key, { place: key }, { key })] }),
          }),
        )
        .catch(() => undefined),
    )
    await sleep(120 + below(120))
    run.killDatabase()
    run.killServer()
    await Promise.all(blind)
    await beginJob('Back again')
    const { finds } = (await (await fetch(`${run.url}/api/jobs/${slug}`)).json()) as JobRecord
    const database = await mysql.createConnection(url(await run.connection()))
    const [receipts] = (await database.query('select act_key from acts')) as unknown as [{ act_key: string }[]]
    await database.end()
    const known = new Set(receipts.map(({ act_key: key }) => key))
    expect(keys.filter((key) => known.has(key)).sort()).toEqual(finds.map(({ id }) => id).sort())
  })
})
