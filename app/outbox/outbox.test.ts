import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Issue } from '#core/base'
import { SIGNED, type FindRecord, type JointRecord } from '#core/record'
import { aFind, aJoint, aSignoff } from '../../tests/records'
import type { AnyRecord, Entry, Request } from './entry'
import { createOutbox, type Outbox } from './outbox'
import type { Reply } from './surroundings'
import { memoryStorage, openStorage, type Storage } from './storage'

const AWAY: Issue = { code: 'impossible', path: '', message: 'the server does not answer.' }
const MET: Issue = { code: 'impossible', path: 'version', message: 'Someone else changed this.' }

/** A server of finds and joints as ours is: versions checked, a key worked once, answers that can get lost. */
class Server {
  records = new Map<string, AnyRecord>()
  receipts = new Set<string>()
  /** Every write that was worked, in order. */
  worked: { key: string; request: Request }[] = []
  refuse: ((request: Request) => Issue | undefined) | undefined
  /** What happens to the next calls: lost on the way there, or on the way back. */
  faults: ('there' | 'back')[] = []

  constructor(...records: AnyRecord[]) {
    for (const record of records) this.records.set(record.id, record)
  }

  send = async (request: Request, { key }: { key: string }): Promise<Reply> => {
    const fault = this.faults.shift()
    if (fault === 'there') return { ok: false, error: AWAY, away: true }
    const reply = this.answer(request, key)
    return fault === 'back' ? { ok: false, error: AWAY, away: true } : reply
  }

  private answer({ method, url, body }: Request, key: string): Reply {
    const [, , , , kind, id, sub] = url.split('/')
    const record = this.records.get(id ?? (body as { id: string }).id)
    const done = () => ({ ok: true as const, value: this.records.get(id ?? (body as { id: string }).id) ?? body })
    if (this.receipts.has(key)) return done()
    const refusal = this.refuse?.({ method, url, body })
    if (refusal) return { ok: false, error: refusal, away: false }
    const { version, ...changes } = body as { version?: number }
    if (kind !== 'clashes') {
      if (record && 'signoffs' in record && record.signoffs.length > 0 && !(body as { corrects?: string }).corrects)
        return { ok: false, error: SIGNED, away: false, saved: record }
      if (record && version !== undefined && version !== record.version)
        return { ok: false, error: MET, away: false, saved: record }
    }
    this.receipts.add(key)
    this.worked.push({ key, request: { method, url, body } })
    if (method === 'PATCH' && record)
      this.records.set(record.id, { ...record, ...changes, version: record.version + 1 } as AnyRecord)
    if (method === 'POST' && kind !== 'clashes' && !sub)
      this.records.set((body as { id: string }).id, { ...body, version: 1 } as AnyRecord)
    if (sub === 'signoffs' && record)
      this.records.set(record.id, {
        ...record,
        signoffs: [...(record as JointRecord).signoffs, aSignoff(body as object)],
      } as JointRecord)
    return done()
  }
}

let keys = 0
let server: Server
let entries: readonly Entry[]
let away: Issue | null
const taken: string[] = []

const open = (storage: Storage): Outbox =>
  createOutbox({
    storage,
    send: server.send,
    now: () => 1_000_000,
    newKey: () => `key-${++keys}`,
    onTaken: ({ key }) => taken.push(key),
    onSaved: () => undefined,
    onGone: ({ key }) => taken.push(key),
    onChange: (now, why) => {
      entries = now
      away = why
    },
  })
const change = (changes: Partial<FindRecord>, base: Partial<FindRecord>, version = 1) => ({
  do: 'change' as const,
  kind: 'finds' as const,
  changes,
  base,
  version,
})
const depth = (mine: string, version = 1) => ({
  do: 'change' as const,
  kind: 'joints' as const,
  changes: { depths: { 0: mine } },
  base: { depths: {} },
  version,
})
const sign = (depths: Record<string, string>, version = 1) => ({
  do: 'sign' as const,
  body: { initials: 'WY' },
  version,
  seen: { depths, wayId: null },
})
const by = { mine: 'Wyn', initials: 'WY' }
const find = () => server.records.get('f') as FindRecord
const joint = () => server.records.get('j') as JointRecord
const methods = () =>
  server.worked.map(({ request }) => `${request.method} ${request.url.split('/').slice(4).join('/')}`)

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  vi.stubGlobal('indexedDB', new IDBFactory())
  server = new Server(aFind(), aJoint())
  entries = []
  taken.length = 0
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

/** Both places where entries may be kept do the same. */
describe.each([
  ["the browser's database", openStorage],
  ['memory', async () => memoryStorage()],
] as const)('entries kept in %s', (_, storage) => {
  it('fold keystrokes into one until it is sent, then begin another', async () => {
    const outbox = open(await storage())
    outbox.add('job', 'f', change({ typed: '2' }, { typed: '' }))
    outbox.add('job', 'f', change({ typed: '21' }, { typed: '2' }))
    const sending = outbox.flush()
    outbox.add('job', 'f', change({ typed: '21.5', place: 'wall' }, { typed: '21', place: '' }))
    await sending
    await outbox.flush()
    expect(find()).toMatchObject({ typed: '21.5', place: 'wall' })
    expect(entries).toEqual([])
    expect(server.worked.length).toBeLessThanOrEqual(2)
  })

  it('go out in order, and hold only their own record when one comes back', async () => {
    const outbox = open(await storage())
    server.refuse = ({ method }) =>
      method === 'PUT' ? { code: 'unknown-id', path: 'step', message: 'step: this joint has no such step.' } : undefined
    outbox.add('job', 'j', { do: 'tick', place: { entry: 0, step: 9 }, done: true })
    outbox.add('job', 'j', depth('22'))
    outbox.add('job', 'f', change({ typed: '15' }, { typed: '' }))
    await outbox.flush()
    expect(methods()).toEqual(['PATCH finds/f'])
    expect(entries.map(({ state }) => state)).toEqual(['refused', 'waiting'])
    expect(entries[0]!.issue!.message).toContain('no such step')
    outbox.letGo(entries[0]!.key)
    await outbox.flush()
    expect(methods()).toEqual(['PATCH finds/f', 'PATCH joints/j'])
    expect(entries).toEqual([])
  })

  it('that came back can be sent again, once what was in the way is gone', async () => {
    const outbox = open(await storage())
    server.refuse = () => MET
    outbox.add('job', 'f', change({ typed: '15' }, { typed: '' }))
    await outbox.flush()
    server.refuse = undefined
    outbox.retry(entries[0]!.key)
    await outbox.flush()
    expect([find().typed, entries.length]).toEqual(['15', 0])
  })
})

it('knows its own last write where the screen still lags behind it: nothing meets itself', async () => {
  const asked: (number | undefined)[] = []
  const { send } = server
  server.send = (request, about) => {
    asked.push((request.body as { version?: number }).version)
    return send(request, about)
  }
  const lagging = createOutbox({
    storage: memoryStorage(),
    send: server.send,
    now: () => 1_000_000,
    newKey: () => `key-${++keys}`,
    onTaken: () => undefined,
    onSaved: () => undefined,
    onGone: () => undefined,
    onChange: () => undefined,
  })
  for (const place of ['a', 'b', 'c']) {
    // Each is made on the version the page was opened with.
    lagging.add('job', 'f', change({ place }, { place: '' }, 1))
    await lagging.flush()
  }
  expect(asked).toEqual([1, 2, 3])
  expect(find().place).toBe('c')
})

describe('a network that cuts', () => {
  it('takes nothing twice and loses nothing, wherever it cuts', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom('there', 'back'), { maxLength: 12 }),
        fc.array(fc.string({ maxLength: 4 }), { minLength: 1, maxLength: 6 }),
        async (faults, typed) => {
          server = new Server(aFind(), aJoint())
          server.faults = [...faults]
          const outbox = open(memoryStorage())
          let last = ''
          for (const text of typed) {
            outbox.add('job', 'f', change({ typed: text }, { typed: last }))
            outbox.add('job', 'j', { do: 'tick', place: { entry: 0, step: 0 }, done: true })
            last = text
            await outbox.flush()
          }
          for (let i = 0; i <= faults.length; i++) await outbox.flush()
          expect(entries).toEqual([])
          expect(find().typed).toBe(last)
          expect(new Set(server.worked.map(({ key }) => key)).size).toBe(server.worked.length)
          expect(server.worked.filter(({ request }) => request.method === 'PUT')).toHaveLength(typed.length)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('is tried again by itself, later each time, and says why it waits', async () => {
    const outbox = open(memoryStorage())
    server.faults = ['there', 'there', 'there']
    outbox.add('job', 'f', change({ typed: '15' }, { typed: '' }))
    outbox.soon()
    await vi.advanceTimersByTimeAsync(400)
    expect([away?.message, entries.length]).toEqual([AWAY.message, 1])
    await vi.advanceTimersByTimeAsync(1100)
    expect(server.faults).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(7000)
    expect([away, entries.length, find().typed]).toEqual([null, 0, '15'])
  })
})

describe('a page that is closed', () => {
  it('leaves its entries to the next, in order, even one whose answer was lost', async () => {
    const first = open(await openStorage())
    server.faults = ['back', 'there', 'there', 'there']
    first.add('job', 'f', change({ typed: '15' }, { typed: '' }))
    await first.flush()
    first.add('job', 'j', { do: 'tick', place: { entry: 0, step: 0 }, done: true })
    await first.kept()
    server.faults = []
    const next = open(await openStorage())
    await next.load()
    expect(entries.map(({ act }) => act.do)).toEqual(['change', 'tick'])
    await next.flush()
    expect([find().typed, entries.length]).toEqual(['15', 0])
    expect(methods()).toEqual(['PATCH finds/f', 'PUT joints/j/ticks'])
  })

  it('and one still open never send the same twice, nor over each other', async () => {
    const one = open(await openStorage())
    const other = open(await openStorage())
    one.add('job', 'f', change({ typed: '15' }, { typed: '' }))
    await one.kept()
    await other.load()
    await Promise.all([one.flush(), other.flush()])
    expect(server.worked).toHaveLength(1)
    // Two pages of one browser: neither knew of the other's entry.
    one.add('job', 'j', depth('22'))
    other.add('job', 'j', depth('20'))
    await one.flush()
    await other.flush()
    expect(joint().depths).toEqual({ 0: '22' })
    expect(entries.map(({ state }) => state)).toEqual(['clash'])
  })

  it("keeps on in memory when the browser's database fails under it", async () => {
    const kept = await openStorage()
    const outbox = open({
      ...kept,
      add: async () => {
        throw new Error('QuotaExceededError')
      },
    })
    outbox.add('job', 'f', change({ typed: '15' }, { typed: '' }))
    await outbox.flush()
    expect(outbox.isKept).toBe(false)
    expect([find().typed, entries.length]).toEqual(['15', 0])
  })
})

describe('two hands', () => {
  it('on different fields: both are kept', async () => {
    const outbox = open(memoryStorage())
    server.records.set('f', aFind({ place: 'north wall', version: 2 }))
    outbox.add('job', 'f', change({ typed: '22' }, { typed: '' }))
    await outbox.flush()
    expect(find()).toMatchObject({ typed: '22', place: 'north wall', version: 3 })
    expect(entries).toEqual([])
  })

  it('who set the same are not asked', async () => {
    const outbox = open(memoryStorage())
    server.records.set('f', aFind({ typed: '22', version: 2 }))
    outbox.add('job', 'f', change({ typed: '22' }, { typed: '' }))
    await outbox.flush()
    expect([entries.length, find().version]).toEqual([0, 2])
  })

  it.each([
    ['mine', '22'],
    ['theirs', '20'],
  ] as const)('on one field: both stand there till %s is picked, and both go on record', async (kept, stands) => {
    const outbox = open(memoryStorage())
    server.records.set('j', aJoint({ depths: { 0: '20' }, version: 2, updatedBy: 'Ola, phone' }))
    outbox.add('job', 'j', depth('22'))
    outbox.add('job', 'j', { do: 'tick', place: { entry: 0, step: 0 }, done: true })
    await outbox.flush()
    expect(entries.map(({ state }) => state)).toEqual(['clash', 'waiting'])
    expect(entries[0]!.clashes).toEqual([{ path: 'depths.0', mine: '22', theirs: '20' }])
    expect(server.worked).toEqual([])
    outbox.settle(entries[0]!.key, kept, by)
    await outbox.flush()
    expect(joint().depths).toEqual({ 0: stands })
    expect(entries).toEqual([])
    expect(methods().sort()).toEqual([
      ...(kept === 'mine' ? ['PATCH joints/j'] : []),
      'POST clashes',
      'PUT joints/j/ticks',
    ])
    const log = server.worked.find(({ request }) => request.url.endsWith('clashes'))!.request.body
    expect(log).toMatchObject({
      kind: 'joints',
      record: 'j',
      kept,
      fields: [{ path: 'depths.0', mine: { by: 'Wyn', value: '22' }, theirs: { by: 'Ola, phone', value: '20' } }],
    })
  })

  it("typing on over one's own entry is no clash", async () => {
    const outbox = open(memoryStorage())
    outbox.add('job', 'f', change({ typed: '2' }, { typed: '' }))
    await outbox.flush()
    outbox.add('job', 'f', change({ typed: '22' }, { typed: '2' }, 2))
    outbox.add('job', 'f', change({ typed: '22.' }, { typed: '22' }, 2))
    await outbox.flush()
    expect([find().typed, find().version, entries.length]).toEqual(['22.', 3, 0])
  })

  it('one signs what the other changed: held, till it is set back and signed, or let go', async () => {
    for (const kept of ['mine', 'theirs'] as const) {
      server = new Server(aJoint({ depths: { 0: '20' }, version: 2 }))
      const outbox = open(memoryStorage())
      outbox.add('job', 'j', sign({ 0: '22' }))
      await outbox.flush()
      expect(entries[0]).toMatchObject({ state: 'clash', clashes: [{ path: 'depths.0', mine: '22', theirs: '20' }] })
      outbox.settle(entries[0]!.key, kept, by)
      await outbox.flush()
      expect([joint().depths['0'], joint().signoffs.length, entries.length]).toEqual(
        kept === 'mine' ? ['22', 1, 0] : ['20', 0, 0],
      )
    }
  })

  it('a sign-off over a joint changed elsewhere in fields it does not rest on goes through', async () => {
    const outbox = open(memoryStorage())
    server.records.set('j', aJoint({ place: 'riser', version: 4 }))
    outbox.add('job', 'j', sign({}))
    await outbox.flush()
    expect([joint().signoffs.length, entries.length]).toEqual([1, 0])
  })

  it.each(['mine', 'theirs'] as const)('both signed: what is signed stays, %s may only come after it', async (kept) => {
    server = new Server(
      aJoint({ depths: { 0: '20' }, version: 2, signoffs: [aSignoff({ id: 'first', initials: 'OL' })] }),
    )
    const outbox = open(memoryStorage())
    outbox.add('job', 'j', depth('22'))
    outbox.add('job', 'j', { do: 'tick', place: { entry: 0, step: 0 }, done: true })
    outbox.add('job', 'j', sign({ 0: '22' }))
    await outbox.flush()
    expect(entries.map(({ state }) => state)).toEqual(['clash', 'waiting', 'waiting'])
    outbox.settle(entries[0]!.key, kept, by)
    await outbox.flush()
    expect(entries).toEqual([])
    expect(joint().signoffs[0]).toMatchObject({ id: 'first', initials: 'OL' })
    expect(joint().signoffs.slice(1)).toMatchObject(
      kept === 'mine' ? [{ initials: 'WY', corrects: 'first', depths: { 0: '22' } }] : [],
    )
  })
})

describe('a storage that is slow', () => {
  it('never shows the record without what was typed while it was being sent, and keeps the order', async () => {
    vi.useRealTimers()
    server = new Server(aFind({ id: 'f' }))
    const memory = memoryStorage()
    const slow =
      <A extends unknown[], R>(work: (...given: A) => Promise<R>, ms: number) =>
      async (...given: A): Promise<R> => {
        await new Promise((resolve) => setTimeout(resolve, ms))
        return work(...given)
      }
    const outbox = open({
      ...memory,
      seal: slow(memory.seal, 15),
      replace: slow(memory.replace, 40),
      add: slow(memory.add, 10),
    })
    /** The notes as the screen has them: the server's with what waits over them. */
    const shown = () =>
      entries.reduce(
        (notes, { act }) => (act.do === 'change' && 'notes' in act.changes ? String(act.changes.notes) : notes),
        find().notes,
      )
    let typed = ''
    for (const word of ['one', 'two', 'three', 'four']) {
      const before = shown()
      expect(before).toBe(typed)
      typed = `${before} ${word}`.trim()
      outbox.add('job', 'f', change({ notes: typed }, { notes: before }))
      void outbox.flush()
      await new Promise((resolve) => setTimeout(resolve, 22))
    }
    await outbox.flush()
    await outbox.flush()
    expect(shown()).toBe('one two three four')
    expect(find().notes).toBe('one two three four')
  })
})
