import { createPinia, setActivePinia } from 'pinia'
import { FetchError } from 'ofetch'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { SentAct } from '#core/acts'
import { findWays } from '#core/joints'
import { makeCards } from '#core/making'
import type { FindRecord, JobRecord, JointRecord } from '#core/record'
import { ActServer } from '../../tests/act-server'
import { aFind, aJob, aJoint, aLine, anOffcut } from '../../tests/records'
import { useJobStore } from './jobs'

const answered = findWays({ region: 'gb', a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } })
const way = answered.ok ? answered.value.ways[0]! : null!
const find = (changes: Partial<FindRecord> = {}) => aFind({ typed: '22', ...changes })
const joint = (changes: Partial<JointRecord> = {}) =>
  aJoint({ a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' }, ...changes })
const job = (changes: Partial<JobRecord> = {}): JobRecord => aJob({ finds: [find()], joints: [joint()], ...changes })

const failure = (status: number | undefined, data: unknown): FetchError =>
  Object.assign(new FetchError('failed'), { status, data })

/** A server of one job: acts go to `server`, reads are answered by `read`; nothing while it is away. */
let server: ActServer
let read: (url: string) => unknown
let isAway: boolean
let acts: SentAct[]
/** What the server says the time is. */
let heardAt: string | null
interface Options {
  method: string
  body?: string
  onResponse?: (context: { response: { headers: { get: () => string | null } } }) => void
}

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
  vi.stubGlobal('BroadcastChannel', undefined)
  heardAt = null
  server = new ActServer(find(), joint())
  read = () => job()
  isAway = false
  acts = []
  vi.stubGlobal('$fetch', async (url: string, { method, body, onResponse }: Options) => {
    if (isAway) throw failure(undefined, undefined)
    onResponse?.({ response: { headers: { get: () => heardAt } } })
    if (method === 'GET') {
      const answer = await read(url)
      if (answer instanceof Error) throw answer
      return answer
    }
    const sent = (JSON.parse(body!) as { acts: SentAct[] }).acts
    acts.push(...sent)
    return { acts: server.take(sent) }
  })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const loaded = async () => {
  const store = useJobStore()
  await store.loadJob('yard')
  acts = []
  return store
}
const theJoint = () => useJobStore().jobOf('yard')!.joints[0]!
const type = (typed: string, more = {}) => useJobStore().do('yard', 'find/change', 'f', { typed, ...more })

describe('what is typed', () => {
  it('shows at once, and goes out once after the last keystroke, with its key and who typed it', async () => {
    const store = await loaded()
    store.hand = 'Wyn, tablet'
    type('2')
    type('21')
    type('21.5', { place: 'wall' })
    expect([store.jobOf('yard')!.finds[0]!.typed, store.entries.length]).toEqual(['21.5', 1])
    await vi.advanceTimersByTimeAsync(1000)
    expect(acts).toMatchObject([
      {
        name: 'find/change',
        job: 'job-1',
        record: 'f',
        version: 1,
        seen: { typed: '22', place: '' },
        body: { typed: '21.5', place: 'wall' },
        by: 'Wyn, tablet',
        key: expect.stringMatching(/^[\w-]{36}$/),
      },
    ])
    expect(store.entries).toEqual([])
    expect(store.jobOf('yard')!.finds[0]).toMatchObject({ typed: '21.5', version: 2 })
  })

  it('while a save is on its way is not put back by its answer, and goes out next', async () => {
    const store = await loaded()
    let answer: () => void = () => undefined
    const { take } = server
    vi.stubGlobal('$fetch', async (_: string, { body }: { body?: string }) => {
      const sent = (JSON.parse(body!) as { acts: SentAct[] }).acts
      acts.push(...sent)
      if (acts.length === 1)
        await new Promise<void>((resolve) => {
          answer = resolve
        })
      return { acts: take.call(server, sent) }
    })
    type('21')
    await vi.advanceTimersByTimeAsync(400)
    type('21.5')
    answer()
    await vi.advanceTimersByTimeAsync(20)
    expect(store.jobOf('yard')!.finds[0]!.typed).toBe('21.5')
    await vi.advanceTimersByTimeAsync(1000)
    expect(acts.map(({ body, seen }) => [(body as { typed: string }).typed, seen!.typed])).toEqual([
      ['21', '22'],
      ['21.5', '21'],
    ])
    expect(server.records.get('f')).toMatchObject({ typed: '21.5', version: 3 })
  })

  it('is kept, shown and tried again while no server answers, with the time it was done', async () => {
    const store = await loaded()
    isAway = true
    type('21.5')
    const at = Date.now()
    await vi.advanceTimersByTimeAsync(400)
    expect([store.away?.message, store.entries.length, store.jobOf('yard')!.finds[0]!.typed]).toEqual([
      'the server does not answer.',
      1,
      '21.5',
    ])
    await vi.advanceTimersByTimeAsync(3_600_000)
    // The tablet's clock is put right by two days before it goes out: that moves nothing that was done.
    vi.setSystemTime(Date.now() + 2 * 24 * 3_600_000)
    isAway = false
    await vi.advanceTimersByTimeAsync(60_000)
    expect(Math.abs(Date.parse(acts.at(-1)!.at) - at)).toBeLessThan(2000)
    expect([store.entries.length, store.away]).toEqual([0, null])
  })

  it("says that it is by the tablet's clock where the server's was never heard", async () => {
    const store = await loaded()
    isAway = true
    type('21.5')
    expect(store.entries[0]!.clock).toBe('tablet')
    heardAt = new Date(Date.now() + 3_600_000).toUTCString()
    isAway = false
    await vi.advanceTimersByTimeAsync(5000)
    type('15')
    const [entry] = store.entries
    expect(entry!.clock).toBe('server')
    expect(entry!.at - Date.now()).toBeGreaterThan(3_500_000)
  })

  it('that is refused stays on the screen with its reason till it is changed or let go', async () => {
    const store = await loaded()
    server.refuse = () => ({ code: 'range', path: 'typed', message: 'typed: too long.' })
    type('21.5')
    await vi.advanceTimersByTimeAsync(400)
    expect(store.refused.map(({ issue }) => issue!.message)).toEqual(['typed: too long.'])
    expect(store.jobOf('yard')!.finds[0]!.typed).toBe('21.5')
    server.refuse = undefined
    type('15')
    await vi.advanceTimersByTimeAsync(1000)
    expect([store.entries.length, store.jobOf('yard')!.finds[0]!.typed]).toEqual([0, '15'])
  })

  it('that no schema takes is told at once, by its field', async () => {
    const store = await loaded()
    expect(type('x'.repeat(300))).toMatchObject({ ok: false, error: { code: 'range', path: 'typed' } })
    expect([store.entries.length, store.problem]).toEqual([0, expect.stringMatching(/^typed: at most 200/)])
  })

  it("meets another hand's entry: both stand there, and the one picked goes out over the other's version", async () => {
    const store = await loaded()
    server.records.set('f', find({ typed: '15', version: 4, updatedBy: 'Ola' }))
    type('21.5')
    await vi.advanceTimersByTimeAsync(400)
    expect(store.clashes[0]).toMatchObject({ clashes: [{ path: 'typed', base: '22', mine: '21.5', theirs: '15' }] })
    store.settle(store.clashes[0]!.key, 'mine', '')
    await vi.advanceTimersByTimeAsync(400)
    expect(acts.slice(1)).toMatchObject([
      { name: 'find/change', version: 4, body: { typed: '21.5' } },
      { name: 'job/settle', record: 'job-1', body: { kind: 'finds', record: 'f', kept: 'mine' } },
    ])
    expect(store.entries).toEqual([])
  })
})

describe('without a server', () => {
  it('a joint is begun, its way taken, every step ticked and signed, by the rules the server has', async () => {
    const store = await loaded()
    isAway = true
    const ends = { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } }
    const begun = store.begin('yard', 'joint/begin', { place: 'riser', ...ends })
    const id = begun.ok ? begun.value.id : ''
    const made = () => store.jobOf('yard')!.joints.find((one) => one.id === id)!
    expect(made().number).toBe(2)
    store.do('yard', 'joint/change', id, { wayId: way.id })
    expect(made().way?.id).toBe(way.id)
    const sign = () => store.do('yard', 'joint/sign', id, { initials: 'WY' })
    expect(sign()).toMatchObject({ ok: false, error: { path: 'ticks' } })
    for (const { entry, answer } of makeCards({ joints: way.joints, region: 'gb', orientation: 'horizontal' })) {
      if (answer.ok) answer.value.steps.forEach((_, step) => store.do('yard', 'joint/tick', id, { entry, step }))
    }
    expect(sign().ok).toBe(true)
    expect(made().signoffs).toMatchObject([{ initials: 'WY' }])
    expect(store.do('yard', 'joint/untick', id, { entry: 0, step: 0 })).toMatchObject({
      ok: false,
      error: { path: 'joint' },
    })
    expect(store.entries.map(({ act }) => act.name).slice(0, 2)).toEqual(['joint/begin', 'joint/change'])
    expect(store.entries.at(-1)).toMatchObject({ seen: { depths: {}, wayId: way.id } })
  })

  it('a job is begun and worked on, and takes its name in the address once the server has it', async () => {
    const store = await loaded()
    isAway = true
    const beginning = store.createJob({ name: 'Rope walk', place: '', region: 'us' })
    await vi.advanceTimersByTimeAsync(700)
    const begun = await beginning
    const id = begun.ok ? begun.value.id : ''
    store.begin(id, 'find/begin', { place: 'wall', typed: '5/8' })
    expect(store.jobOf(id)).toMatchObject({ slug: id, name: 'Rope walk', finds: [{ typed: '5/8' }] })
    const { take } = server
    server.take = (sent) => {
      const answers = take.call(server, sent)
      return answers.map((answer, i) =>
        sent[i]!.name === 'job/begin'
          ? { ...answer, record: aJob({ id, slug: 'rope-walk', name: 'Rope walk' }) }
          : answer,
      ) as typeof answers
    }
    isAway = false
    await vi.advanceTimersByTimeAsync(20_000)
    const own = acts.filter(({ job: on }) => on === id)
    expect(own.map(({ name, job: on }) => [name, on])).toEqual([
      ['job/begin', id],
      ['find/begin', id],
    ])
    expect(store.jobOf('rope-walk')!.finds).toHaveLength(1)
    expect(store.jobOf(id)!.slug).toBe('rope-walk')
  })
})

describe('what is read', () => {
  it('is waited for while no server answers', async () => {
    const store = useJobStore()
    isAway = true
    const loading = store.loadJob('yard')
    await vi.advanceTimersByTimeAsync(1)
    expect(store.away).not.toBeNull()
    isAway = false
    await vi.advanceTimersByTimeAsync(3000)
    expect((await loading).ok).toBe(true)
    expect([store.away, store.jobOf('yard')!.name]).toEqual([null, 'Yard'])
  })

  it('never goes over what was written while it was on its way', async () => {
    const store = await loaded()
    let first = true
    read = async () => {
      const now = store.jobOf('yard')!
      if (!first) return job({ finds: now.finds })
      first = false
      // The read begins, then a find is written, then the old answer comes.
      store.begin('yard', 'find/begin', {})
      await store.flush()
      return job()
    }
    await store.loadJob('yard')
    expect(store.jobOf('yard')!.finds).toHaveLength(2)
  })

  it('is heard once the server itself has answered, not by the copy', async () => {
    const store = useJobStore()
    isAway = true
    const loading = store.loadJob('yard')
    await vi.advanceTimersByTimeAsync(1)
    expect(store.isHeard(job().id)).toBe(false)
    isAway = false
    await vi.advanceTimersByTimeAsync(3000)
    await loading
    expect(store.isHeard(job().id)).toBe(true)
  })

  it('is asked for by the name of a job, not by its id; a job named like an id is that job', async () => {
    const urls: string[] = []
    read = (url) => {
      urls.push(url)
      return url.endsWith('/other') ? job({ id: 'job-2', slug: 'job-1', name: 'Named like an id' }) : job()
    }
    const store = await loaded()
    await store.loadJob('job-1')
    expect(urls).toEqual(['/api/jobs/yard', '/api/jobs/yard'])
    await store.loadJob('other')
    expect(store.jobOf('job-1')!.name).toBe('Named like an id')
    expect(store.jobOf('yard')!.id).toBe('job-1')
  })

  it('says a job that is not there, without waiting', async () => {
    const store = useJobStore()
    read = () => failure(404, { error: { code: 'unknown-id', path: 'job', message: 'there is no job "x" here.' } })
    expect(await store.loadJob('x')).toMatchObject({ ok: false, away: false, error: { path: 'job' } })
  })

  it('is only saved once what is kept here has been read', async () => {
    const store = useJobStore()
    expect(store.isRead).toBe(false)
    await store.loadJob('yard')
    expect(store.isRead).toBe(true)
  })
})

describe('what is done', () => {
  it('goes out together with what was typed before it, in order', async () => {
    read = () => job({ joints: [joint({ wayId: way.id, way })] })
    server = new ActServer(joint({ wayId: way.id, way }))
    const store = await loaded()
    store.do('yard', 'joint/change', 'j', { place: 'riser' })
    store.do('yard', 'joint/tick', 'j', { entry: 0, step: 'cut', way: way.id })
    expect(theJoint().ticks).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(10)
    expect(server.worked.map(({ name }) => name)).toEqual(['joint/change', 'joint/tick'])
    expect(server.worked[1]!.body).toEqual({ entry: 0, step: 'cut', way: way.id })
  })

  it('is told at once when it cannot be done', async () => {
    const store = await loaded()
    expect(store.do('yard', 'joint/sign', 'j', { initials: 'AB' })).toMatchObject({
      ok: false,
      error: { path: 'wayId' },
    })
    expect([store.problem, acts.length]).toEqual(['Take a way to join it first.', 0])
  })

  it('to a record takes it out here at once, and the rack is the same for every job', async () => {
    read = (url) => (url === '/api/rack' ? { rack: [anOffcut()] } : job({ lines: [aLine()] }))
    server = new ActServer(aLine(), anOffcut())
    const store = await loaded()
    await store.loadRack()
    store.do('yard', 'line/drop', 'l', {})
    store.do('yard', 'rack/drop', 'offcut-1', {})
    expect(store.jobOf('yard')).toMatchObject({ lines: [], rack: [] })
    await vi.advanceTimersByTimeAsync(10)
    expect(server.worked.map(({ name, version }) => [name, version])).toEqual([
      ['line/drop', 1],
      ['rack/drop', 1],
    ])
  })
})
