import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Issue } from '#core/base'
import type { FindBody, FindRecord, JointRecord } from '#core/record'
import type { Act } from '#core/acts'
import { ActServer } from '../../tests/act-server'
import { aFind, aJoint, aLine, aSignoff } from '../../tests/records'
import type { About, Entry } from './entry'
import { createOutbox, type Outbox } from './outbox'
import type { Surroundings } from './surroundings'
import { memoryStorage, openStorage, type Storage } from './storage'

const AWAY: Issue = { code: 'impossible', path: '', message: 'the server does not answer.' }
const MET: Issue = { code: 'impossible', path: 'version', message: 'Someone else changed this.' }

let keys = 0
let server: ActServer
let entries: readonly Entry[]
let away: Issue | null
const taken: string[] = []

const HAND = { at: 1_000_000, clock: 'server', by: 'Wyn' } as const
const surroundings = (storage: Storage): Surroundings => ({
  storage,
  send: server.send,
  upload: async () => ({ ok: true, value: { digest: 'd'.repeat(64), width: 4, height: 3 } }),
  now: () => HAND,
  ahead: () => 0,
  newKey: () => `key-${++keys}`,
  onTaken: ({ key }) => taken.push(key),
  onSaved: () => undefined,
  onGone: ({ key }) => taken.push(key),
  onChange: (now, why) => {
    entries = now
    away = why
  },
})
const open = (storage: Storage): Outbox => createOutbox(surroundings(storage))
const change = (body: Partial<FindBody>, seen: Partial<FindBody>, version = 1): [Act, About] => [
  { name: 'find/change', body },
  { seen, version },
]
const depth = (mine: string, version = 1): [Act, About] => [
  { name: 'joint/change', body: { depths: { 0: mine } } },
  { seen: { depths: {} }, version },
]
const sign = (depths: Record<string, string>, version = 1): [Act, About] => [
  { name: 'joint/sign', body: { initials: 'WY' } },
  { version, seen: { depths, wayId: null } },
]
const TICK: Act = { name: 'joint/tick', body: { entry: 0, step: 0 } }
const by = { mine: 'Wyn', initials: 'WY' }
const find = () => server.records.get('f') as FindRecord
const joint = () => server.records.get('j') as JointRecord
const names = () => server.worked.map(({ name, record }) => `${name} ${record}`)

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  vi.stubGlobal('indexedDB', new IDBFactory())
  server = new ActServer(aFind(), aJoint())
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
    outbox.add('job', 'f', ...change({ typed: '2' }, { typed: '' }))
    outbox.add('job', 'f', ...change({ typed: '21' }, { typed: '2' }))
    const sending = outbox.flush()
    outbox.add('job', 'f', ...change({ typed: '21.5', place: 'wall' }, { typed: '21', place: '' }))
    await sending
    await outbox.flush()
    expect(find()).toMatchObject({ typed: '21.5', place: 'wall' })
    expect(entries).toEqual([])
    expect(server.worked.length).toBeLessThanOrEqual(2)
  })

  it('go out in order, and hold only their own record when one comes back', async () => {
    const outbox = open(await storage())
    server.refuse = ({ name }) =>
      name === 'joint/tick'
        ? { code: 'unknown-id', path: 'step', message: 'step: this joint has no such step.' }
        : undefined
    outbox.add('job', 'j', TICK)
    outbox.add('job', 'j', ...depth('22'))
    outbox.add('job', 'f', ...change({ typed: '15' }, { typed: '' }))
    await outbox.flush()
    expect(names()).toEqual(['find/change f'])
    expect(entries.map(({ state }) => state)).toEqual(['refused', 'waiting'])
    expect(entries[0]!.issue!.message).toContain('no such step')
    outbox.letGo(entries[0]!.key)
    await outbox.flush()
    expect(names()).toEqual(['find/change f', 'joint/change j'])
    expect(entries).toEqual([])
  })

  it('that came back can be sent again, once what was in the way is gone', async () => {
    const outbox = open(await storage())
    server.refuse = () => MET
    outbox.add('job', 'f', ...change({ typed: '15' }, { typed: '' }))
    await outbox.flush()
    server.refuse = undefined
    outbox.retry(entries[0]!.key)
    await outbox.flush()
    expect([find().typed, entries.length]).toEqual(['15', 0])
  })
})

it('meets nothing of its own, also where the screen lags behind it', async () => {
  const outbox = open(memoryStorage())
  for (const [place, before] of [
    ['a', ''],
    ['b', 'a'],
    ['c', 'b'],
  ] as const) {
    // Each is made on the version the page was opened with.
    outbox.add('job', 'f', ...change({ place }, { place: before }))
    await outbox.flush()
  }
  expect([find().place, entries.length]).toEqual(['c', 0])
})

it('takes a record out on the version its own acts before brought it to, never on that of another hand', async () => {
  server = new ActServer(aLine({ id: 'l', version: 1 }))
  const drop: [Act, About] = [{ name: 'line/drop', body: {} }, { version: 1 }]
  const outbox = open(memoryStorage())
  outbox.add('job', 'l', { name: 'line/change', body: { name: 'hot' } }, { seen: { name: '' }, version: 1 })
  outbox.add('job', 'l', ...drop)
  await outbox.flush()
  expect(server.worked.map(({ name, version }) => [name, version])).toEqual([
    ['line/change', 1],
    ['line/drop', 2],
  ])
  server = new ActServer(aLine({ id: 'l', name: 'cold', version: 2 }))
  const other = open(memoryStorage())
  other.add('job', 'l', ...drop)
  await other.flush()
  expect(entries).toMatchObject([{ state: 'refused', saved: { name: 'cold' } }])
  // Sent again it is done to the line as it is saved now.
  other.retry(entries[0]!.key)
  await other.flush()
  expect(server.worked.map(({ name, version }) => [name, version])).toEqual([['line/drop', 2]])
})

it('sends what waits together, at most fifty at once, each lane in its order', async () => {
  const outbox = open(memoryStorage())
  for (let i = 0; i < 120; i++) outbox.add('job', i % 2 ? 'j' : 'f', TICK)
  await outbox.flush()
  expect(server.calls.map((acts) => acts.length)).toEqual([50, 50, 20])
  expect(server.worked).toHaveLength(120)
})

it('sends a photo before its act, which says what the server made of it', async () => {
  const outbox = open(memoryStorage())
  const body = { name: 'a.jpg', digest: '0'.repeat(64), width: 9, height: 9 }
  outbox.add('job', 'f', { name: 'find/photo', body }, { photo: 'AAAA', key: 'photo-key' })
  await outbox.flush()
  expect(server.worked).toMatchObject([
    { key: 'photo-key', body: { name: 'a.jpg', digest: 'd'.repeat(64), width: 4, height: 3 } },
  ])
})

describe('a network that cuts', () => {
  it('takes nothing twice and loses nothing, wherever it cuts', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom('there', 'back'), { maxLength: 12 }),
        fc.array(fc.string({ maxLength: 4 }), { minLength: 1, maxLength: 6 }),
        async (faults, typed) => {
          server = new ActServer(aFind(), aJoint())
          server.faults = [...faults]
          const outbox = open(memoryStorage())
          let last = ''
          for (const text of typed) {
            outbox.add('job', 'f', ...change({ typed: text }, { typed: last }))
            outbox.add('job', 'j', TICK)
            last = text
            await outbox.flush()
          }
          for (let i = 0; i <= faults.length; i++) await outbox.flush()
          expect(entries).toEqual([])
          expect(find().typed).toBe(last)
          expect(new Set(server.worked.map(({ key }) => key)).size).toBe(server.worked.length)
          expect(server.worked.filter(({ name }) => name === 'joint/tick')).toHaveLength(typed.length)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('is tried again by itself, later each time, and says why it waits', async () => {
    const outbox = open(memoryStorage())
    server.faults = ['there', 'there', 'there']
    outbox.add('job', 'f', ...change({ typed: '15' }, { typed: '' }))
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
    first.add('job', 'f', ...change({ typed: '15' }, { typed: '' }))
    await first.flush()
    first.add('job', 'j', TICK)
    await first.kept()
    server.faults = []
    const next = open(await openStorage())
    await next.load()
    expect(entries.map(({ act }) => act.name)).toEqual(['find/change', 'joint/tick'])
    await next.flush()
    expect([find().typed, entries.length]).toEqual(['15', 0])
    expect(names()).toEqual(['find/change f', 'joint/tick j'])
  })

  it('and one still open never send the same twice, nor over each other', async () => {
    const one = open(await openStorage())
    const other = open(await openStorage())
    one.add('job', 'f', ...change({ typed: '15' }, { typed: '' }))
    await one.kept()
    await other.load()
    await Promise.all([one.flush(), other.flush()])
    expect(server.worked).toHaveLength(1)
    // Two pages of one browser: neither knew of the other's entry.
    one.add('job', 'j', ...depth('22'))
    other.add('job', 'j', ...depth('20'))
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
    outbox.add('job', 'f', ...change({ typed: '15' }, { typed: '' }))
    await outbox.flush()
    expect(outbox.isKept).toBe(false)
    expect([find().typed, entries.length]).toEqual(['15', 0])
  })
})

describe('two hands', () => {
  it('on different fields: both are kept', async () => {
    const outbox = open(memoryStorage())
    server.records.set('f', aFind({ place: 'north wall', version: 2 }))
    outbox.add('job', 'f', ...change({ typed: '22' }, { typed: '' }))
    await outbox.flush()
    expect(find()).toMatchObject({ typed: '22', place: 'north wall', version: 3 })
    expect(entries).toEqual([])
  })

  it('who set the same are not asked', async () => {
    const outbox = open(memoryStorage())
    server.records.set('f', aFind({ typed: '22', version: 2 }))
    outbox.add('job', 'f', ...change({ typed: '22' }, { typed: '' }))
    await outbox.flush()
    expect([entries.length, find().version]).toEqual([0, 2])
  })

  it.each([
    ['mine', '22'],
    ['theirs', '20'],
  ] as const)('on one field: both stand there till %s is picked, and both go on record', async (kept, stands) => {
    const outbox = open(memoryStorage())
    server.records.set('j', aJoint({ depths: { 0: '20' }, version: 2, updatedBy: 'Ola, phone' }))
    outbox.add('job', 'j', ...depth('22'))
    outbox.add('job', 'j', TICK)
    await outbox.flush()
    expect(entries.map(({ state }) => state)).toEqual(['clash', 'waiting'])
    expect(entries[0]!.clashes).toEqual([{ path: 'depths.0', mine: '22', theirs: '20' }])
    expect(server.worked).toEqual([])
    outbox.settle(entries[0]!.key, kept, by)
    await outbox.flush()
    expect(joint().depths).toEqual({ 0: stands })
    expect(entries).toEqual([])
    expect(names().sort()).toEqual(['job/settle job', ...(kept === 'mine' ? ['joint/change j'] : []), 'joint/tick j'])
    const log = server.worked.find(({ name }) => name === 'job/settle')!.body
    expect(log).toMatchObject({
      kind: 'joints',
      record: 'j',
      kept,
      fields: [{ path: 'depths.0', mine: { by: 'Wyn', value: '22' }, theirs: { by: 'Ola, phone', value: '20' } }],
    })
  })

  it("typing on over one's own entry is no clash", async () => {
    const outbox = open(memoryStorage())
    outbox.add('job', 'f', ...change({ typed: '2' }, { typed: '' }))
    await outbox.flush()
    outbox.add('job', 'f', ...change({ typed: '22' }, { typed: '2' }, 2))
    outbox.add('job', 'f', ...change({ typed: '22.' }, { typed: '22' }, 2))
    await outbox.flush()
    expect([find().typed, find().version, entries.length]).toEqual(['22.', 3, 0])
  })

  it('one signs what the other changed: held, till it is set back and signed, or let go', async () => {
    for (const kept of ['mine', 'theirs'] as const) {
      server = new ActServer(aJoint({ depths: { 0: '20' }, version: 2 }))
      const outbox = open(memoryStorage())
      outbox.add('job', 'j', ...sign({ 0: '22' }))
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
    outbox.add('job', 'j', ...sign({}))
    await outbox.flush()
    expect([joint().signoffs.length, entries.length]).toEqual([1, 0])
  })

  it.each(['mine', 'theirs'] as const)('both signed: what is signed stays, %s may only come after it', async (kept) => {
    server = new ActServer(
      aJoint({ depths: { 0: '20' }, version: 2, signoffs: [aSignoff({ id: 'first', initials: 'OL' })] }),
    )
    const outbox = open(memoryStorage())
    outbox.add('job', 'j', ...depth('22'))
    outbox.add('job', 'j', TICK)
    outbox.add('job', 'j', ...sign({ 0: '22' }))
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
    server = new ActServer(aFind({ id: 'f' }))
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
      entries.reduce((notes, { act }) => (act.name === 'find/change' ? (act.body.notes ?? notes) : notes), find().notes)
    let typed = ''
    for (const word of ['one', 'two', 'three', 'four']) {
      const before = shown()
      expect(before).toBe(typed)
      typed = `${before} ${word}`.trim()
      outbox.add('job', 'f', ...change({ notes: typed }, { notes: before }))
      void outbox.flush()
      await new Promise((resolve) => setTimeout(resolve, 22))
    }
    await outbox.flush()
    await outbox.flush()
    expect(shown()).toBe('one two three four')
    expect(find().notes).toBe('one two three four')
  })
})
