import { createPinia, setActivePinia } from 'pinia'
import { FetchError } from 'ofetch'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { JobList, ListedJob, News } from '#core/acts'
import { gistOfJob, summaryOf } from '#core/record'
import { aJob } from '../../tests/records'
import { useJobStore } from './jobs'
import { isNow, useListStore } from './list'

/** A server of a list: pages by their address, each answered when the test lets it. */
let answer: (url: URL) => unknown
let asked: URL[]
class Source extends EventTarget {
  static last: Source | undefined
  constructor() {
    super()
    Source.last = this
  }
}
const tell = (news: News) =>
  Source.last!.dispatchEvent(Object.assign(new Event('news'), { data: JSON.stringify(news) }))

const listed = (id: string, changes: Partial<ListedJob> = {}): ListedJob => ({
  ...summaryOf(gistOfJob(aJob({ id, slug: id, name: `Job ${id}` }))),
  by: 'Wyn',
  at: '2026-11-27T08:00:00.000Z',
  ...changes,
})
const counts = { open: 3, waiting: 1, handed: 0, archive: 0 }
const page = (jobs: ListedJob[], cursor: string | null = null): JobList => ({ jobs, cursor, counts, now: 1, mine: 2 })
const failure = (status: number | undefined, data?: unknown) =>
  Object.assign(new FetchError('failed'), { status, data })

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
  vi.stubGlobal('BroadcastChannel', undefined)
  vi.stubGlobal('EventSource', Source)
  vi.stubGlobal('navigator', { language: 'en-GB' })
  asked = []
  answer = () => page([listed('a'), listed('b')], 'next')
  vi.stubGlobal('$fetch', async (address: string) => {
    const url = new URL(address, 'http://here')
    if (url.pathname === '/api/rack') return { rack: [] }
    if (url.pathname === '/api/come-back') return { joints: [] }
    asked.push(url)
    const given = await answer(url)
    if (given instanceof Error) throw given
    return given
  })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})
async function loaded() {
  const list = useListStore()
  const loading = list.load()
  await vi.advanceTimersByTimeAsync(2000)
  await loading
  return list
}
const ids = (list: ReturnType<typeof useListStore>) => list.shown.map(({ id }) => id)

describe('the list of jobs', () => {
  it('comes page by page, and none stands there twice', async () => {
    answer = (url) =>
      url.searchParams.get('cursor') === 'next'
        ? page([listed('b'), listed('c')])
        : page([listed('a'), listed('b')], 'next')
    const list = await loaded()
    expect([ids(list), list.all]).toEqual([['a', 'b'], 4])
    await list.more()
    expect(ids(list)).toEqual(['a', 'b', 'c'])
    await list.more()
    expect(asked).toHaveLength(2)
  })
  it('looks on all shelves for what is searched, and lets an earlier answer that comes late go', async () => {
    const list = await loaded()
    let late: (value: JobList) => void = () => undefined
    answer = (url) =>
      url.searchParams.get('q') === 'kil'
        ? new Promise<JobList>((resolve) => {
            late = resolve
          })
        : page([listed('kiln')])
    list.ask({ q: 'kil' })
    list.ask({ q: 'kiln' })
    await vi.advanceTimersByTimeAsync(10)
    expect([ids(list), list.isAnswered]).toEqual([['kiln'], true])
    late(page([listed('kilt')]))
    await vi.advanceTimersByTimeAsync(10)
    expect(ids(list)).toEqual(['kiln'])
    expect(asked.at(-1)!.searchParams.get('shelf')).toBe('all')
  })
  it('brings a job that is worked on to the top, and takes out one that is deleted', async () => {
    const list = await loaded()
    tell({ jobs: [{ ...listed('b', { by: 'Ola' }), acts: 9 }], gone: [], isRack: false })
    expect(list.shown.map(({ id, by }) => [id, by])).toEqual([
      ['b', 'Ola'],
      ['a', 'Wyn'],
    ])
    tell({ jobs: [], gone: ['a'], isRack: false })
    expect(ids(list)).toEqual(['b'])
  })
  it('leaves a job on another shelf out of sight', async () => {
    const list = await loaded()
    tell({ jobs: [{ ...listed('b', { shelf: 'waiting' }), acts: 9 }], gone: [], isRack: false })
    expect(ids(list)).toEqual(['a'])
  })
  it('asks for the counts once for news in a row', async () => {
    await loaded()
    const before = asked.length
    for (const id of ['a', 'b', 'c']) tell({ jobs: [{ ...listed(id), acts: 2 }], gone: [], isRack: false })
    await vi.advanceTimersByTimeAsync(1000)
    expect(asked.slice(before).map((url) => url.searchParams.get('limit'))).toEqual(['1'])
  })
  it('has a job of this tablet that is not sent at its top, once', async () => {
    const list = await loaded()
    answer = () => failure(undefined)
    vi.stubGlobal('$fetch', async () => {
      throw failure(undefined)
    })
    const store = useJobStore()
    const making = store.createJob({ name: 'Far barn', place: '', region: 'gb' })
    await vi.advanceTimersByTimeAsync(2000)
    const made = await making
    expect(made.ok && ids(list)).toEqual([made.ok && made.value.id, 'a', 'b'])
  })
  it('keeps asking with longer pauses while no server answers, and says what is the matter', async () => {
    answer = () =>
      failure(503, { issues: [{ code: 'impossible', path: '', message: 'the database does not answer.' }] })
    const list = useListStore()
    const loading = list.load()
    await vi.advanceTimersByTimeAsync(60_000)
    expect(useJobStore().away?.message).toMatch(/does not answer/)
    // After 1, 2, 4, 8, 15 and then every 30 s, each a fifth sooner or later.
    expect(asked.length).toBeGreaterThanOrEqual(5)
    expect(asked.length).toBeLessThanOrEqual(7)
    answer = () => page([listed('a')])
    await vi.advanceTimersByTimeAsync(40_000)
    await loading
    expect([ids(list), useJobStore().away]).toEqual([['a'], null])
  })
})

describe('a hand on a job at this moment', () => {
  it('is one whose last mark is not ten minutes old', () => {
    const at = '2026-11-27T08:00:00.000Z'
    expect([9, 10, 11].map((minutes) => isNow({ at }, Date.parse(at) + minutes * 60_000))).toEqual([true, false, false])
  })
})
