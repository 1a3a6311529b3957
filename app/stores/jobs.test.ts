import { createPinia, setActivePinia } from 'pinia'
import { FetchError } from 'ofetch'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { findWays } from '#core/joints'
import { makeCards } from '#core/making'
import { BLANK_JOINT, BLANK_FIND, type FindRecord, type JobRecord, type JointRecord } from '#core/record'
import { aFind, aJob, aJoint, aTick } from '../../tests/records'
import { useJobStore } from './jobs'

const answered = findWays({ region: 'gb', a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } })
const way = answered.ok ? answered.value.ways[0]! : null!
const find = (changes: Partial<FindRecord> = {}) => aFind({ typed: '22', ...changes })
const joint = (changes: Partial<JointRecord> = {}) =>
  aJoint({ a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' }, ...changes })
const job = (changes: Partial<JobRecord> = {}): JobRecord => aJob({ finds: [find()], joints: [joint()], ...changes })

interface Call {
  url: string
  method: string
  body: Record<string, unknown> | undefined
  headers: Record<string, string>
}

/** A server of one job: answers by what a test puts in `reply`, and keeps every call. */
let calls: Call[]
let reply: (call: Call) => unknown

const failure = (status: number | undefined, data: unknown): FetchError =>
  Object.assign(new FetchError('failed'), { status, data })
const away = () => failure(undefined, undefined)

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
  vi.stubGlobal('BroadcastChannel', undefined)
  calls = []
  reply = () => job()
  vi.stubGlobal(
    '$fetch',
    async (
      url: string,
      { method, body, headers }: { method: string; body?: string; headers: Record<string, string> },
    ) => {
      const call: Call = {
        url,
        method,
        headers,
        body: body === undefined ? undefined : (JSON.parse(body) as Record<string, unknown>),
      }
      calls.push(call)
      const answer = await reply(call)
      if (answer instanceof Error) throw answer
      return answer
    },
  )
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const loaded = async () => {
  const store = useJobStore()
  await store.loadJob('yard')
  calls = []
  return store
}
const writes = () => calls.filter(({ method }) => method !== 'GET')
const theJoint = () => useJobStore().jobOf('yard')!.joints[0]!

describe('what is typed', () => {
  it('shows at once, and goes out once after the last keystroke, with its key and who typed it', async () => {
    const store = await loaded()
    store.hand = 'Wyn, tablet'
    reply = ({ body }) => find({ ...body, version: 2 } as Partial<FindRecord>)
    store.changeFind('yard', 'f', { typed: '2' })
    store.changeFind('yard', 'f', { typed: '21' })
    store.changeFind('yard', 'f', { typed: '21.5', place: 'wall' })
    expect([store.jobOf('yard')!.finds[0]!.typed, store.entries.length]).toEqual(['21.5', 1])
    await vi.advanceTimersByTimeAsync(1000)
    expect(writes()).toMatchObject([
      {
        url: '/api/jobs/job-1/finds/f',
        method: 'PATCH',
        body: { typed: '21.5', place: 'wall', version: 1 },
        headers: { Hand: 'Wyn%2C%20tablet', 'Idempotency-Key': expect.stringMatching(/^[\w-]{36}$/) },
      },
    ])
    expect(store.entries).toEqual([])
    expect(store.jobOf('yard')!.finds[0]).toMatchObject({ typed: '21.5', version: 2 })
  })

  it('while a save is on its way is not put back by its answer, and goes out next with the new version', async () => {
    const store = await loaded()
    let answer: (value: unknown) => void = () => undefined
    reply = () =>
      new Promise((resolve) => {
        answer = resolve
      })
    store.changeFind('yard', 'f', { typed: '21' })
    await vi.advanceTimersByTimeAsync(400)
    store.changeFind('yard', 'f', { typed: '21.5' })
    answer(find({ typed: '21', version: 2 }))
    await vi.advanceTimersByTimeAsync(1)
    expect(store.jobOf('yard')!.finds[0]).toMatchObject({ typed: '21.5', version: 2 })
    reply = ({ body }) => find({ ...body, version: 3 } as Partial<FindRecord>)
    await vi.advanceTimersByTimeAsync(1000)
    expect(writes().map(({ body }) => [body!.typed, body!.version])).toEqual([
      ['21', 1],
      ['21.5', 2],
    ])
  })

  it('is kept, shown and tried again while no server answers, and says how long ago it was done', async () => {
    const store = await loaded()
    reply = away
    store.changeFind('yard', 'f', { typed: '21.5' })
    await vi.advanceTimersByTimeAsync(400)
    expect([store.away?.message, store.entries.length, store.jobOf('yard')!.finds[0]!.typed]).toEqual([
      'the server does not answer.',
      1,
      '21.5',
    ])
    reply = ({ body }) => find({ ...body, version: 2 } as Partial<FindRecord>)
    await vi.advanceTimersByTimeAsync(60_000)
    expect(Number(writes().at(-1)!.headers['Done-Ago'])).toBeGreaterThan(1000)
    expect([store.entries.length, store.away]).toEqual([0, null])
  })

  it('that is refused stays on the screen with its reason till it is changed or let go', async () => {
    const store = await loaded()
    reply = ({ method }) =>
      method === 'PATCH'
        ? failure(422, { error: { code: 'range', path: 'typed', message: 'typed: too long.' } })
        : job()
    store.changeFind('yard', 'f', { typed: '21.5' })
    await vi.advanceTimersByTimeAsync(400)
    expect(store.refused.map(({ issue }) => issue!.message)).toEqual(['typed: too long.'])
    expect(store.jobOf('yard')!.finds[0]!.typed).toBe('21.5')
    reply = ({ body }) => find({ ...body, version: 2 } as Partial<FindRecord>)
    store.changeFind('yard', 'f', { typed: '15' })
    await vi.advanceTimersByTimeAsync(1000)
    expect([store.entries.length, store.jobOf('yard')!.finds[0]!.typed]).toEqual([0, '15'])
  })

  it("meets another hand's entry: both stand there, and the one picked goes out over the other's version", async () => {
    const store = await loaded()
    const theirs = find({ typed: '15', version: 4, updatedBy: 'Ola' })
    reply = ({ method, body }) =>
      method === 'PATCH' && body!.version !== 4
        ? failure(409, { error: { code: 'impossible', path: 'version', message: 'Someone else.' }, saved: theirs })
        : { ...theirs, ...body, version: 5 }
    store.changeFind('yard', 'f', { typed: '21.5' })
    await vi.advanceTimersByTimeAsync(400)
    expect(store.clashes[0]).toMatchObject({ clashes: [{ path: 'typed', base: '22', mine: '21.5', theirs: '15' }] })
    store.settle(store.clashes[0]!.key, 'mine', '')
    await vi.advanceTimersByTimeAsync(400)
    expect(writes().at(-2)!.body).toEqual({ typed: '21.5', version: 4 })
    expect(writes().at(-1)).toMatchObject({ url: '/api/jobs/job-1/clashes', body: { kept: 'mine' } })
    expect(store.entries).toEqual([])
  })
})

describe('without a server', () => {
  it('a joint is begun, its way taken, every step ticked and signed, by the rules the server has', async () => {
    const store = await loaded()
    reply = away
    const begun = store.createJoint('yard', {
      ...BLANK_JOINT,
      place: 'riser',
      a: { pipe: 'cu-en-x-22' },
      b: { pipe: 'cu-en-x-22' },
    })
    const id = begun.ok ? begun.value.id : ''
    const made = () => store.jobOf('yard')!.joints.find((one) => one.id === id)!
    expect(made().number).toBe(2)
    store.changeJoint('yard', id, { wayId: way.id })
    expect(made().way?.id).toBe(way.id)
    expect(store.sign('yard', id, { initials: 'WY' })).toMatchObject({ ok: false, error: { path: 'ticks' } })
    for (const { entry, answer } of makeCards({ joints: way.joints, region: 'gb', orientation: 'horizontal' })) {
      if (answer.ok) answer.value.steps.forEach((_, step) => store.setTick('yard', id, { entry, step }, true))
    }
    expect(store.sign('yard', id, { initials: 'WY' }).ok).toBe(true)
    expect(made().signoffs).toMatchObject([{ initials: 'WY' }])
    expect(store.setTick('yard', id, { entry: 0, step: 0 }, false)).toMatchObject({
      ok: false,
      error: { path: 'joint' },
    })
    expect(store.entries.map(({ act }) => act.do).slice(0, 2)).toEqual(['begin-joint', 'change'])
  })

  it('a job is begun and worked on, and takes its name in the address once the server has it', async () => {
    const store = await loaded()
    reply = away
    const beginning = store.createJob({ name: 'Rope walk', place: '', region: 'us' })
    await vi.advanceTimersByTimeAsync(700)
    const begun = await beginning
    const id = begun.ok ? begun.value.id : ''
    store.createFind(id, { ...BLANK_FIND, place: 'wall', typed: '5/8' })
    expect(store.jobOf(id)).toMatchObject({ slug: id, name: 'Rope walk', finds: [{ typed: '5/8' }] })
    reply = ({ url, body }) =>
      url === '/api/jobs' ? aJob({ id, slug: 'rope-walk', name: 'Rope walk' }) : { ...body, version: 1 }
    await vi.advanceTimersByTimeAsync(20_000)
    expect(
      writes()
        .map(({ url }) => url)
        .filter((url) => url === '/api/jobs' || url.includes(id))
        .slice(-2),
    ).toEqual(['/api/jobs', `/api/jobs/${id}/finds`])
    expect(store.jobOf('rope-walk')!.finds).toHaveLength(1)
    expect(store.jobOf(id)!.slug).toBe('rope-walk')
  })
})

describe('what is read', () => {
  it('is waited for while no server answers', async () => {
    const store = useJobStore()
    reply = away
    const loading = store.loadJob('yard')
    await vi.advanceTimersByTimeAsync(1)
    expect(store.away).not.toBeNull()
    reply = () => job()
    await vi.advanceTimersByTimeAsync(3000)
    expect((await loading).ok).toBe(true)
    expect([store.away, store.jobOf('yard')!.name]).toEqual([null, 'Yard'])
  })

  it('never goes over what was written while it was on its way', async () => {
    const store = await loaded()
    let first = true
    reply = async ({ method, body }) => {
      if (method === 'POST') return { ...body, version: 1 }
      const now = store.jobOf('yard')!
      if (!first) return job({ finds: now.finds })
      first = false
      // The read begins, then a find is written, then the old answer comes.
      store.createFind('yard', BLANK_FIND)
      await store.flush()
      return job()
    }
    await store.loadJob('yard')
    expect(store.jobOf('yard')!.finds).toHaveLength(2)
  })

  it('is heard once the server itself has answered, not by the copy', async () => {
    const store = useJobStore()
    reply = away
    const loading = store.loadJob('yard')
    await vi.advanceTimersByTimeAsync(1)
    expect(store.isHeard(job().id)).toBe(false)
    reply = () => job()
    await vi.advanceTimersByTimeAsync(3000)
    await loading
    expect(store.isHeard(job().id)).toBe(true)
  })

  it('says a job that is not there, without waiting', async () => {
    const store = useJobStore()
    reply = () => failure(404, { error: { code: 'unknown-id', path: 'job', message: 'there is no job "x" here.' } })
    expect(await store.loadJob('x')).toMatchObject({ ok: false, away: false, error: { path: 'job' } })
  })
})

describe('what is done', () => {
  it('goes out after what was typed before it, and names the way it was done by', async () => {
    reply = () => job({ joints: [joint({ wayId: way.id, way })] })
    const store = await loaded()
    reply = ({ method, body }) =>
      joint({
        wayId: way.id,
        way,
        version: 2,
        ...(method === 'PATCH' ? (body as Partial<JointRecord>) : { ticks: [aTick()] }),
      })
    store.changeJoint('yard', 'j', { place: 'riser' })
    store.setTick('yard', 'j', { entry: 0, step: 'cut' }, true)
    expect(theJoint().ticks).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(10)
    expect(writes().map(({ method, url }) => `${method} ${url}`)).toEqual([
      'PATCH /api/jobs/job-1/joints/j',
      'PUT /api/jobs/job-1/joints/j/ticks',
    ])
    expect(writes()[1]!.body).toEqual({ entry: 0, step: 'cut', way: way.id })
    expect(theJoint().ticks).toHaveLength(1)
  })

  it('is told at once when it cannot be done', async () => {
    const store = await loaded()
    expect(store.sign('yard', 'j', { initials: 'AB' })).toMatchObject({ ok: false, error: { path: 'wayId' } })
    expect([store.problem, writes().length]).toEqual(['Take a way to join it first.', 0])
  })
})
