import { FetchError } from 'ofetch'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { FindRecord, JobRecord, JointRecord } from '#core/record'
import { useJobStore } from './jobs'

const find = (changes: Partial<FindRecord> = {}): FindRecord => ({ id: 'f', place: '', typed: '22', by: 'calliper', answers: {}, pipe: null, version: 1, updatedAt: '', ...changes })
const joint = (changes: Partial<JointRecord> = {}): JointRecord => ({
  id: 'j', number: 1, place: '', a: null, b: null, findA: null, conditions: {}, orientation: 'horizontal', wayId: null, depths: {}, version: 1, way: null, ticks: [], timers: [], signoffs: [], updatedAt: '', ...changes,
})
const job = (changes: Partial<JobRecord> = {}): JobRecord => ({ id: '1', slug: 'yard', name: 'Yard', place: '', region: 'gb', year: null, policy: {}, handedOver: null, version: 1, finds: [find()], joints: [joint()], ...changes })

interface Call { url: string, method: string, body: Record<string, unknown> | undefined }

/** A server of one job: answers by what a test puts in `reply`, and keeps every call. */
let calls: Call[]
let reply: (call: Call) => unknown

const failure = (status: number | undefined, data: unknown): FetchError => Object.assign(new FetchError('failed'), { status, data })
const away = () => failure(undefined, undefined)

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
  calls = []
  reply = () => job()
  vi.stubGlobal('$fetch', async (url: string, { method, body }: { method: string, body?: Record<string, unknown> }) => {
    const call = { url, method, body }
    calls.push(call)
    const answer = await reply(call)
    if (answer instanceof Error) throw answer
    return answer
  })
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
const saves = () => calls.filter(({ method }) => method === 'PATCH')

describe('what is typed', () => {
  it('shows at once, and goes out once after the last keystroke', async () => {
    const store = await loaded()
    reply = ({ body }) => find({ ...body, version: 2 } as Partial<FindRecord>)
    store.changeFind('yard', 'f', { typed: '2' })
    store.changeFind('yard', 'f', { typed: '21' })
    store.changeFind('yard', 'f', { typed: '21.5', place: 'wall' })
    expect(store.jobOf('yard')!.finds[0]!.typed).toBe('21.5')
    expect(store.unsaved).toBe(1)
    await vi.advanceTimersByTimeAsync(1000)
    expect(saves()).toEqual([{ url: '/api/jobs/yard/finds/f', method: 'PATCH', body: { typed: '21.5', place: 'wall', version: 1 } }])
    expect(store.unsaved).toBe(0)
    expect(store.jobOf('yard')!.finds[0]).toMatchObject({ typed: '21.5', version: 2 })
  })

  it('while a save is on its way is not put back by its answer, and goes out next with the new version', async () => {
    const store = await loaded()
    let answer: (value: unknown) => void = () => undefined
    reply = () => new Promise((resolve) => { answer = resolve })
    store.changeFind('yard', 'f', { typed: '21' })
    await vi.advanceTimersByTimeAsync(400)
    store.changeFind('yard', 'f', { typed: '21.5' })
    answer(find({ typed: '21', version: 2 }))
    await vi.advanceTimersByTimeAsync(1)
    expect(store.jobOf('yard')!.finds[0]).toMatchObject({ typed: '21.5', version: 2 })
    reply = ({ body }) => find({ ...body, version: 3 } as Partial<FindRecord>)
    await vi.advanceTimersByTimeAsync(1000)
    expect(saves().map(({ body }) => [body!.typed, body!.version])).toEqual([['21', 1], ['21.5', 2]])
  })

  it('is kept and tried again while no server answers', async () => {
    const store = await loaded()
    reply = away
    store.changeFind('yard', 'f', { typed: '21.5' })
    await vi.advanceTimersByTimeAsync(400)
    expect(store.problem).toContain('Not saved yet')
    expect([store.unsaved, store.jobOf('yard')!.finds[0]!.typed]).toEqual([1, '21.5'])
    store.changeFind('yard', 'f', { place: 'wall' })
    reply = ({ body }) => find({ ...body, version: 2 } as Partial<FindRecord>)
    await vi.advanceTimersByTimeAsync(3000)
    expect(saves().at(-1)!.body).toEqual({ typed: '21.5', place: 'wall', version: 1 })
    expect([store.unsaved, store.problem]).toEqual([0, null])
  })

  it('that is refused is said in words, and the saved record is read', async () => {
    const store = await loaded()
    reply = ({ method }) => (method === 'PATCH' ? failure(409, { error: { code: 'impossible', path: 'version', message: 'Someone else changed this find.' } }) : job({ finds: [find({ typed: '15', version: 4 })] }))
    store.changeFind('yard', 'f', { typed: '21.5' })
    await vi.advanceTimersByTimeAsync(400)
    expect(store.problem).toBe('Someone else changed this find. You had typed: 21.5.')
    expect(store.jobOf('yard')!.finds[0]).toMatchObject({ typed: '15', version: 4 })
  })

  it('leaves with the page that closes', async () => {
    const store = await loaded()
    const sent = vi.fn(async () => new Response())
    vi.stubGlobal('fetch', sent)
    store.changeJoint('yard', 'j', { place: 'riser' })
    store.flushOnLeave()
    expect(sent).toHaveBeenCalledWith('/api/jobs/yard/joints/j', expect.objectContaining({ keepalive: true, body: '{"place":"riser","version":1}' }))
    await vi.advanceTimersByTimeAsync(1000)
    expect(saves()).toEqual([])
  })
})

describe('what is read', () => {
  it('is waited for while no server answers', async () => {
    const store = useJobStore()
    reply = away
    const loading = store.loadJob('yard')
    await vi.advanceTimersByTimeAsync(1)
    expect(store.problem).toContain('Waiting')
    reply = () => job()
    await vi.advanceTimersByTimeAsync(3000)
    expect((await loading).ok).toBe(true)
    expect([store.problem, store.jobOf('yard')!.name]).toEqual([null, 'Yard'])
  })

  it('never goes over what was written while it was on its way', async () => {
    const store = await loaded()
    let first = true
    reply = async ({ method }) => {
      if (method === 'POST') return find({ id: 'new', typed: '' })
      if (!first) return job({ finds: [find(), find({ id: 'new', typed: '' })] })
      first = false
      // The read begins, then a find is written, then the old answer comes.
      await store.createFind('yard', { place: '', typed: '', by: 'calliper', answers: {}, pipe: null })
      return job()
    }
    await store.loadJob('yard')
    expect(store.jobOf('yard')!.finds.map(({ id }) => id)).toEqual(['f', 'new'])
  })

  it('says a job that is not there, without waiting', async () => {
    const store = useJobStore()
    reply = () => failure(404, { error: { code: 'unknown-id', path: 'job', message: 'there is no job "x" here.' } })
    expect(await store.loadJob('x')).toMatchObject({ ok: false, away: false, error: { path: 'job' } })
  })
})

describe('what is done', () => {
  it('goes out after what was typed before it', async () => {
    const store = await loaded()
    reply = ({ method, body }) => (method === 'PATCH' ? joint({ ...body, version: 2 } as Partial<JointRecord>) : joint({ version: 2, ticks: [{ entry: 0, step: 0, code: 'cut', at: '' }] }))
    store.changeJoint('yard', 'j', { place: 'riser' })
    await store.setTick('yard', 'j', { entry: 0, step: 0 }, true)
    expect(calls.map(({ method, url }) => `${method} ${url}`)).toEqual(['PATCH /api/jobs/yard/joints/j', 'PUT /api/jobs/yard/joints/j/ticks'])
    expect(store.jobOf('yard')!.joints[0]!.ticks).toHaveLength(1)
  })

  it('is told when it is refused', async () => {
    const store = await loaded()
    reply = () => failure(422, { error: { code: 'impossible', path: 'ticks', message: '3 steps to go before it is signed.' } })
    expect(await store.sign('yard', 'j', 'AB')).toMatchObject({ ok: false })
    expect(store.problem).toBe('3 steps to go before it is signed.')
  })
})
