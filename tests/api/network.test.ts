import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { ownBed } from '../bed'
import type { JobList } from '#core/acts'
import type { Issue } from '#core/base'
import { BLANK_FIND, type FindRecord, type JobRecord } from '#core/record'
import type { Entry } from '../../app/outbox/entry'
import { createOutbox } from '../../app/outbox/outbox'
import { bringRules } from '../../app/outbox/rules'
import type { Answer, Reply } from '../../app/outbox/surroundings'
import { memoryStorage } from '../../app/outbox/storage'
import { openProxy, type Fate, type Proxy } from '../proxy'
import { seeded } from '../random'
import { acting, type About } from '../acts'

const { newJob, read, sendAll, toSend, tryAct } = acting()

// The tablet's own outbox against the real server, through a network that loses, holds and doubles.
let network: Proxy
const random = seeded('network test')
beforeAll(async () => {
  await bringRules()
  network = await openProxy(ownBed().baseUrl)
})
afterAll(() => network.close())

const AWAY: Issue = { code: 'impossible', path: '', message: 'away' }

/** An outbox that sends through the network; `untilEmpty` flushes it empty. */
function tablet() {
  let entries: readonly Entry[] = []
  const records = new Map<string, FindRecord>()
  const outbox = createOutbox({
    storage: memoryStorage(),
    now: () => ({ at: Date.now(), clock: 'server', by: 'Wyn' }),
    ahead: () => 0,
    newKey: randomUUID,
    send: async (acts): Promise<Reply<readonly Answer[]>> => {
      try {
        const reply = await fetch(`${network.url}/api/acts`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({ acts }),
        })
        const value = (await reply.json()) as { error: Issue; acts?: Answer[] }
        return value.acts
          ? { ok: true, value: value.acts }
          : { ok: false, error: value.error, away: reply.status === 503 }
      } catch {
        return { ok: false, error: AWAY, away: true }
      }
    },
    upload: async () => ({ ok: false, error: AWAY, away: true }),
    onTaken: (entry, { record }) => records.set(entry.record, record as FindRecord),
    onSaved: () => undefined,
    onGone: () => undefined,
    onChange: (now) => {
      entries = now
    },
  })
  const untilEmpty = async () => {
    for (let i = 0; entries.length > 0 && i < 400; i++) await outbox.flush()
  }
  return { outbox, records, entries: () => entries, untilEmpty }
}

describe('a bad network', () => {
  it('loses, doubles and holds 240 writes: each is done once, in order', async () => {
    const fates: readonly Fate[] = ['pass', 'lose', 'lose-reply', 'delay', 'twice']
    network.fate = () => fates[Math.floor(random() * fates.length)]!
    const job = await newJob('Bad line')
    const { outbox, records, entries, untilEmpty } = tablet()
    const ids = Array.from({ length: 8 }, () => randomUUID())
    for (const id of ids) outbox.add(job.id, id, { name: 'find/begin', body: BLANK_FIND })
    const last = new Map<string, string>()
    for (let n = 0; n < 232; n++) {
      const id = ids[Math.floor(random() * ids.length)]!
      const was = last.get(id) ?? ''
      const typed = String(n)
      outbox.add(
        job.id,
        id,
        { name: 'find/change', body: { typed } },
        { seen: { typed: was }, version: records.get(id)?.version ?? 1 },
      )
      last.set(id, typed)
      // Now and then everything is let out, so that changes do not all fold into one.
      if (random() < 0.5) await outbox.flush()
    }
    await untilEmpty()
    network.fate = () => 'pass'
    expect(entries()).toEqual([])
    const saved = ((await (await fetch(`${ownBed().baseUrl}/api/jobs/${job.slug}`)).json()) as JobRecord).finds
    expect(saved).toHaveLength(ids.length)
    for (const find of saved) expect(find.typed).toBe(last.get(find.id) ?? '')
    // A write done twice would have raised its version twice.
    for (const find of saved) expect(find.version).toBe(records.get(find.id)!.version)
    for (const fate of fates) expect(network.dealt[fate]).toBeGreaterThan(10)
  }, 120_000)

  it('what comes five times at once stands once, whatever it is', async () => {
    for (let round = 0; round < 4; round++) {
      const [id, find, joint] = [randomUUID(), randomUUID(), randomUUID()]
      const ends = { a: { pipe: 'pe-en-25' }, b: { pipe: 'pe-en-25' } }
      const sent = (name: string, record: string, body: object, about: About = {}) =>
        toSend(name, { id }, record, body, about)
      for (const act of [
        sent('job/begin', id, { name: `Lost answer ${round}`, place: '', region: 'gb' }),
        sent('find/begin', find, { place: 'wall' }),
        sent('find/change', find, { typed: '25' }, { seen: { typed: '' } }),
        sent('joint/begin', joint, ends),
        sent('joint/change', joint, { place: 'riser' }, { seen: { place: '' } }),
        sent('joint/drop', joint, {}, { version: 2 }),
        sent('find/drop', find, {}, { version: 2 }),
        sent('job/archive', id, {}),
      ]) {
        const answers = (await Promise.all([1, 2, 3, 4, 5].map(() => sendAll([act])))).flat()
        expect([act.name, ...answers.map(({ state }) => state)]).toEqual([act.name, ...Array(5).fill('taken')])
        expect(new Set(answers.map(({ seq }) => seq)).size).toBe(1)
      }
      const { jobs } = await read<JobList>(`/api/jobs?q=Lost+answer+${round}`)
      expect(await read<{ acts: number; brokenAt: null }>(`/api/jobs/${jobs[0]!.slug}/chain`)).toMatchObject({
        acts: 8,
        brokenAt: null,
      })
    }
  })

  it('a key given to another act is refused by name', async () => {
    const job = await newJob('Two keys')
    const about = { key: randomUUID() }
    const first = await tryAct('find/begin', job, randomUUID(), { place: 'one' }, about)
    const other = await tryAct('find/begin', job, randomUUID(), { place: 'two' }, about)
    expect([first.status, other.status, other.issue.path]).toEqual([200, 422, 'key'])
    for (const [field, value] of [
      ['key', 'x y'],
      ['at', 'yesterday'],
      ['clock', 'church'],
      ['by', 'x'.repeat(41)],
      ['version', -5],
    ] as const)
      expect(await tryAct('find/begin', job, randomUUID(), {}, { [field]: value })).toMatchObject({
        status: 422,
        issue: { path: field },
      })
  })

  it('work done without it has the time it was done, which is never after now', async () => {
    const job = await newJob('Late')
    const hour = 3_600_000
    const at = (ms: number) => new Date(Date.now() + ms).toISOString()
    const late = await tryAct('find/begin', job, randomUUID(), {}, { at: at(-hour), by: 'Örn, tablet' })
    expect(Math.abs(Date.parse(late.record.updatedAt) - (Date.now() - hour))).toBeLessThan(5000)
    expect(late.record.updatedBy).toBe('Örn, tablet')
    const early = await tryAct('find/begin', job, randomUUID(), {}, { at: at(hour) })
    expect(Date.parse(early.record.updatedAt)).toBeLessThanOrEqual(Date.now())
    const ancient = await tryAct('find/begin', job, randomUUID(), {}, { at: '1066-10-14T09:00:00Z' })
    expect(Date.parse(ancient.record.updatedAt)).toBeGreaterThan(Date.now() - 401 * 24 * hour)
  })
})
