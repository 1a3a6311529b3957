import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { ownBed } from '../bed'
import type { Issue } from '#core/base'
import { BLANK_FIND, type FindRecord, type JobRecord, type JointRecord } from '#core/record'
import type { Entry } from '../../app/outbox/entry'
import { createOutbox } from '../../app/outbox/outbox'
import type { Reply } from '../../app/outbox/surroundings'
import { memoryStorage } from '../../app/outbox/storage'
import { openProxy, type Fate, type Proxy } from '../proxy'
import { seeded } from '../random'
import { post } from './client'

// The tablet's own outbox against the real server, through a network that loses, holds and doubles.
let network: Proxy
const random = seeded('network test')
beforeAll(async () => {
  network = await openProxy(ownBed().baseUrl)
})
afterAll(() => network.close())

const AWAY: Issue = { code: 'impossible', path: '', message: 'away' }

/** An outbox that sends through the network; `until` flushes it empty. */
function tablet() {
  let entries: readonly Entry[] = []
  const records = new Map<string, FindRecord | JointRecord>()
  const outbox = createOutbox({
    storage: memoryStorage(),
    now: Date.now,
    newKey: randomUUID,
    send: async ({ method, url, body }, { key, ago }): Promise<Reply> => {
      try {
        const reply = await fetch(network.url + url, {
          method,
          body: JSON.stringify(body),
          headers: { 'Content-Type': 'application/json', 'Idempotency-Key': key, 'Done-Ago': String(ago) },
        })
        const value = (await reply.json()) as { error: Issue; saved?: unknown }
        return reply.ok
          ? { ok: true, value }
          : { ok: false, error: value.error, away: reply.status === 503, saved: value.saved }
      } catch {
        return { ok: false, error: AWAY, away: true }
      }
    },
    onTaken: (entry, value) => records.set(entry.record, value as FindRecord),
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
    const job = (await post<JobRecord>('/api/jobs', { name: 'Bad line', place: '', region: 'gb' })).body
    const { outbox, records, entries, untilEmpty } = tablet()
    const ids = Array.from({ length: 8 }, () => randomUUID())
    for (const id of ids) outbox.add(job.id, id, { do: 'begin-find', body: BLANK_FIND })
    const last = new Map<string, string>()
    for (let n = 0; n < 232; n++) {
      const id = ids[Math.floor(random() * ids.length)]!
      const was = last.get(id) ?? ''
      const typed = String(n)
      outbox.add(job.id, id, {
        do: 'change',
        kind: 'finds',
        changes: { typed },
        base: { typed: was },
        version: (records.get(id) as FindRecord | undefined)?.version ?? 1,
      })
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
    for (const find of saved) expect(find.version).toBe((records.get(find.id) as FindRecord).version)
    for (const fate of fates) expect(network.dealt[fate]).toBeGreaterThan(10)
  }, 120_000)

  it('what was begun without an id of its own stands once', async () => {
    const job = (await post<JobRecord>('/api/jobs', { name: 'Lost answer', place: '', region: 'gb' })).body
    const key = randomUUID()
    const joint = {
      place: '',
      a: { pipe: 'pe-en-25' },
      b: { pipe: 'pe-en-25' },
      findA: null,
      conditions: {},
      orientation: 'horizontal',
      wayId: null,
      depths: {},
    }
    const both = await Promise.all(
      [1, 2, 3].map(() =>
        fetch(`${ownBed().baseUrl}/api/jobs/${job.slug}/joints`, {
          method: 'POST',
          body: JSON.stringify(joint),
          headers: { 'Idempotency-Key': key },
        }).then((reply) => reply.json() as Promise<JointRecord>),
      ),
    )
    expect(new Set(both.map(({ id }) => id)).size).toBe(1)
    const saved = (await (await fetch(`${ownBed().baseUrl}/api/jobs/${job.slug}`)).json()) as JobRecord
    expect(saved.joints).toHaveLength(1)
  })

  it('a key given to another write is refused by name', async () => {
    const key = randomUUID()
    const first = await fetch(`${ownBed().baseUrl}/api/jobs`, {
      method: 'POST',
      body: JSON.stringify({ name: 'One', place: '', region: 'gb' }),
      headers: { 'Idempotency-Key': key },
    })
    const other = await fetch(`${ownBed().baseUrl}/api/jobs`, {
      method: 'POST',
      body: JSON.stringify({ name: 'Two', place: '', region: 'gb' }),
      headers: { 'Idempotency-Key': key },
    })
    expect([first.status, other.status]).toEqual([200, 422])
    expect(await other.json()).toMatchObject({ error: { path: 'Idempotency-Key' } })
    for (const [header, value] of [
      ['Idempotency-Key', 'x y'],
      ['Done-Ago', 'yesterday'],
      ['Done-Ago', '-5'],
    ] as const) {
      const reply = await fetch(`${ownBed().baseUrl}/api/jobs`, {
        method: 'POST',
        body: JSON.stringify({ name: 'Three', place: '', region: 'gb' }),
        headers: { [header]: value },
      })
      expect([reply.status, ((await reply.json()) as { error: Issue }).error.path]).toEqual([422, header])
    }
  })

  it("work done without it has the time it was done, whatever the tablet's clock shows", async () => {
    const job = (await post<JobRecord>('/api/jobs', { name: 'Late', place: '', region: 'gb' })).body
    const hour = 3_600_000
    const find = (await (
      await fetch(`${ownBed().baseUrl}/api/jobs/${job.slug}/finds`, {
        method: 'POST',
        body: JSON.stringify({ place: '', typed: '', by: 'rule', answers: {}, pipe: null }),
        headers: { 'Done-Ago': String(hour), Hand: encodeURIComponent('Örn, tablet') },
      })
    ).json()) as FindRecord
    expect(Math.abs(Date.parse(find.updatedAt) - (Date.now() - hour))).toBeLessThan(5000)
    expect(find.updatedBy).toBe('Örn, tablet')
  })
})
