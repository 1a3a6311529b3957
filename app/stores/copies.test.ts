import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { openDB } from 'idb'
import fc from 'fast-check'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { JobRecord } from '#core/record'
import { aFind, aJob, aJoint, aLine } from '../../tests/records'
import { createCopies } from './copies'
import { changesOf, jobOfParts } from '~/outbox/parts'
import type { Entry } from '~/outbox/entry'
import { memoryStorage, openStorage } from '~/outbox/storage'

const job = (changes: Partial<JobRecord> = {}): JobRecord =>
  aJob({
    finds: [aFind({ id: 'find-a' }), aFind({ id: 'find-b' })],
    lines: [aLine({ id: 'line-a' })],
    joints: [aJoint({ id: 'joint-a' }), aJoint({ id: 'joint-b', number: 2 })],
    acts: 5,
    ...changes,
  })
const keys = (parts: readonly { key: string }[]) => parts.map(({ key }) => key)
beforeEach(() => {
  vi.stubGlobal('indexedDB', new IDBFactory())
})

describe('what is written of a copy', () => {
  it('is all of it the first time', () => {
    const one = job()
    expect(keys(changesOf(one, undefined, 1).put)).toHaveLength(5)
  })
  it('is then the record that was changed, and no other', () => {
    const before = job()
    const after = { ...before, joints: [before.joints[0]!, { ...before.joints[1]!, place: 'riser' }], acts: 6 }
    const { put, gone, head } = changesOf(after, before, 1)
    expect([keys(put), gone]).toEqual([[`${before.id}/joints/joint-b`], []])
    expect(head.own.acts).toBe(6)
  })
  it('is nothing but its head where a record was taken out', () => {
    const before = job()
    const { put, gone } = changesOf({ ...before, finds: before.finds.slice(1) }, before, 1)
    expect([put, gone]).toEqual([[], [`${before.id}/finds/find-a`]])
  })
  it('tells a find from a joint of the same id', () => {
    const both = job({ finds: [aFind({ id: 'same' })], joints: [aJoint({ id: 'same' })] })
    const { head, put } = changesOf(both, undefined, 1)
    expect(jobOfParts(head, put)).toEqual(both)
  })
  it('comes together again as it was, whatever was changed before', () => {
    const ids = fc.uniqueArray(fc.constantFrom('a', 'b', 'c', 'd', 'e'))
    fc.assert(
      fc.property(ids, ids, (was, now) => {
        const before = job({ finds: was.map((id) => aFind({ id })) })
        const kept = new Map(before.finds.map((find) => [find.id, find]))
        const after = { ...before, finds: now.map((id) => kept.get(id) ?? aFind({ id, place: 'new' })) }
        const store = new Map(changesOf(before, undefined, 1).put.map((part) => [part.key, part]))
        const { head, put, gone } = changesOf(after, before, 2)
        for (const key of gone) store.delete(key)
        for (const part of put) store.set(part.key, part)
        expect(jobOfParts(head, [...store.values()])).toEqual(after)
        expect(store.size).toBe(after.finds.length + 3)
      }),
    )
  })
})

describe('a copy in the browser', () => {
  it('is read as it was written, and goes whole', async () => {
    const storage = await openStorage('a')
    const one = job()
    expect(await storage.putCopy(changesOf(one, undefined, 10))).toBe(true)
    const after = { ...one, finds: one.finds.slice(0, 1), acts: 6 }
    await storage.putCopy(changesOf(after, one, 20))
    expect(await storage.copy(one.id)).toEqual({ id: one.id, at: 20, job: after })
    expect(await storage.looked()).toEqual([{ id: one.id, slug: one.slug, at: 20 }])
    await storage.dropCopy(one.id)
    expect([await storage.copy(one.id), await storage.looked()]).toEqual([undefined, []])
  })
  it('never mixes two jobs of which one id begins with the other', async () => {
    const storage = await openStorage('a')
    const [one, other] = [job({ id: 'job-1' }), job({ id: 'job-10', slug: 'other', finds: [] })]
    for (const each of [one, other]) await storage.putCopy(changesOf(each, undefined, 10))
    await storage.dropCopy('job-1')
    expect((await storage.copy('job-10'))?.job).toEqual(other)
  })
  it('of a page that is behind never takes the place of a later one', async () => {
    const [mine, theirs] = [await openStorage('a'), await openStorage('a')]
    const before = job()
    const after = { ...before, joints: [{ ...before.joints[0]!, place: 'riser' }, before.joints[1]!], acts: 6 }
    await mine.putCopy(changesOf(after, undefined, 10))
    expect(await theirs.putCopy(changesOf(before, undefined, 20))).toBe(false)
    expect((await mine.copy(before.id))?.job).toEqual(after)
  })
  it.each([1, 2])('of version %i, which kept it whole, is brought over with what is not sent', async (version) => {
    const one = job()
    const entry = { key: 'key-1', job: one.id }
    const db = await openDB('old', version, {
      upgrade(fresh) {
        fresh.createObjectStore('entries', { keyPath: 'seq', autoIncrement: true }).createIndex('key', 'key')
        fresh.createObjectStore('copies', { keyPath: 'id' })
        if (version < 2) return
        fresh.createObjectStore('looked', { keyPath: 'id' })
        fresh.createObjectStore('answers', { keyPath: 'name' })
      },
    })
    await db.put('copies', { id: one.id, job: one, at: 7 })
    await db.add('entries', entry)
    db.close()
    const storage = await openStorage('old')
    expect(await storage.copy(one.id)).toEqual({ id: one.id, at: 7, job: one })
    expect(await storage.looked()).toEqual([{ id: one.id, slug: one.slug, at: 7 }])
    expect(await storage.all()).toEqual([entry])
  })
})

describe('an answer to an act', () => {
  /** A line as so many acts left it, its version and its name telling which. */
  const lineAfter = (acts: number) => aLine({ id: 'line-a', version: acts, name: `after ${acts}` })
  const stateAfter = (acts: number) => ({ ...job({ lines: [lineAfter(acts)], acts }), gists: {} })
  const answerTo = (acts: number) =>
    ({ key: `k${acts}`, state: 'taken', seq: acts, acts, record: lineAfter(acts) }) as const
  const entry = { job: job().id, record: 'line-a', act: { name: 'line/change', body: {} } } as unknown as Entry
  const here = () => {
    const copies = createCopies({ storage: () => memoryStorage(), isHeld: () => true, onPut: () => undefined })
    copies.putWhole(stateAfter(1))
    return copies
  }

  it('never puts a record back behind what a quicker read gave, whichever comes when', () => {
    // Answers come in the order of their acts; reads, as new as the acts that were taken, between them.
    const reads = fc.array(fc.record({ before: fc.integer({ min: 2, max: 9 }), acts: fc.integer({ min: 1, max: 8 }) }))
    fc.assert(
      fc.property(reads, (reads) => {
        const copies = here()
        const check = () => {
          const { acts, lines } = copies.get(job().id)!
          expect(lines[0]!.version).toBeGreaterThanOrEqual(acts)
        }
        for (let acts = 2; acts <= 9; acts++) {
          for (const read of reads.filter(({ before }) => before === acts)) {
            copies.putWhole(stateAfter(read.acts))
            check()
          }
          if (acts === 9) break
          copies.take(entry, answerTo(acts))
          check()
        }
        expect(copies.get(job().id)!.lines[0]).toMatchObject({ name: 'after 8' })
      }),
    )
  })

  it('that is behind the copy asks for a read; after a backup was taken back the server is right', () => {
    const copies = here()
    copies.putWhole(stateAfter(8))
    expect(copies.take(entry, answerTo(8))).toBe(true)
    expect(copies.take(entry, answerTo(5))).toBe(false)
    copies.putWhole(stateAfter(5))
    expect(copies.get(job().id)!.acts).toBe(8)
    copies.putWhole(stateAfter(5), true)
    expect(copies.get(job().id)).toMatchObject({ acts: 5, lines: [{ name: 'after 5' }] })
  })
})

describe('the copies of a tablet', () => {
  it('are the last twenty jobs looked at, and those that are held', async () => {
    vi.useFakeTimers({ toFake: ['Date'] })
    const storage = await openStorage('a')
    const copies = createCopies({ storage: () => storage, isHeld: (id) => id === 'job-0', onPut: () => undefined })
    const look = async (n: number) => {
      vi.setSystemTime(Date.now() + 1000)
      copies.putWhole({ ...job({ id: `job-${n}`, slug: `yard-${n}` }), gists: {} })
      copies.look(`job-${n}`)
      await copies.write()
    }
    for (let n = 0; n < 21; n++) await look(n)
    // Looked at again, and nothing of it was changed since.
    await look(1)
    await look(21)
    const kept = (await storage.looked()).map(({ id }) => id)
    expect(kept.slice(0, 3)).toEqual(['job-21', 'job-1', 'job-20'])
    expect(kept).toHaveLength(21)
    expect([kept.includes('job-0'), kept.includes('job-2'), kept.includes('job-3')]).toEqual([true, false, true])
    vi.useRealTimers()
  })
})
