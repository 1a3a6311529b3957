import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import type { JobChanges, JobList } from '#core/acts'
import type { JobRecord } from '#core/record'
import { acting } from '../acts'
import { get } from './client'

const { act, begin, newJob, tryAct } = acting()
const list = async (query: Record<string, string>) =>
  (await get<JobList>(`/api/jobs?${new URLSearchParams(query)}`)).body
const idsOf = ({ jobs }: JobList) => jobs.map(({ id }) => id)
const one = async (job: JobRecord) => (await list({ q: job.name, shelf: 'all' })).jobs.find(({ id }) => id === job.id)
/** A word that no other test's jobs hold. */
const mark = () => `zz${randomUUID().slice(0, 8)}`

describe('the list of jobs', () => {
  it('says of each how it stands, what comes next, and whose hands were on it last', async () => {
    const job = await newJob(`List ${mark()}`)
    await begin(
      'joint/begin',
      job,
      { place: 'riser', a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-15' } },
      undefined,
      { by: 'Wyn' },
    )
    expect(await one(job)).toMatchObject({
      slug: job.slug,
      by: 'Wyn',
      shelf: 'open',
      made: 0,
      of: 1,
      next: { station: 'joint', words: 'Choose how to make J1', below: 'riser' },
      stations: { joint: { done: 0, of: 1, isBehind: false } },
    })
  })
  it('has the newest work first, whatever order it came in', async () => {
    const word = mark()
    const [a, b] = [await newJob(`A ${word}`), await newJob(`B ${word}`)]
    expect(idsOf(await list({ q: word }))).toEqual([b.id, a.id])
    await begin('find/begin', a, {})
    expect(idsOf(await list({ q: word }))).toEqual([a.id, b.id])
    // Work that a tablet had kept for an hour is no newer work.
    await begin('find/begin', b, {}, undefined, { at: new Date(Date.now() - 3_600_000).toISOString(), by: 'Ola' })
    expect(idsOf(await list({ q: word }))).toEqual([a.id, b.id])
    expect(idsOf(await list({ q: word, order: 'name' }))).toEqual([a.id, b.id])
  })
  it('is given a page at a time; every job stands on one page, once', async () => {
    const word = mark()
    const made: string[] = []
    for (let i = 0; i < 7; i++) made.push((await newJob(`Page ${word} ${i % 3}`)).id)
    for (const order of ['newest', 'name']) {
      const seen: string[] = []
      let cursor: string | null = ''
      while (cursor !== null) {
        const page: JobList = await list({ q: word, order, limit: '3', ...(cursor ? { cursor } : {}) })
        expect(page.jobs.length).toBeLessThanOrEqual(3)
        seen.push(...idsOf(page))
        cursor = page.cursor
      }
      expect([...seen].sort()).toEqual([...made].sort())
    }
  })
  it('is searched by place, pipe, hand and day', async () => {
    const word = mark()
    const job = await newJob(`Search ${word}`, 'gb', 'proving-room loop')
    await begin('find/begin', job, { place: 'under the stair', pipe: 'cu-en-x-54' }, undefined, { by: 'Rhun' })
    const day = new Date().toISOString().slice(0, 10)
    for (const q of ['proving-room', 'stair', '54 copper', 'rhun', 'RHUN', 'today', day])
      expect(idsOf(await list({ q: `${word} ${q}` })), q).toEqual([job.id])
    for (const q of ['Ola', 'yesterday', '2020-01-01', '%', '_', '💧', 'x'.repeat(150)])
      expect(idsOf(await list({ q: `${word} ${q}` })), q).toEqual([])
  })
  it('is taken apart by shelves: archived, waiting for a day, and open again on it', async () => {
    const word = mark()
    const job = await newJob(`Shelf ${word}`)
    const shelfOf = async () => (await list({ q: word })).jobs[0]!.shelf
    const counted = async () => (await list({ q: word })).counts
    expect([await shelfOf(), await counted()]).toEqual(['open', { open: 1, waiting: 0, handed: 0, archive: 0 }])
    await act('job/change', job, job.id, { waits: { for: 'a boiler', until: '2199-01-01' } })
    expect([await shelfOf(), (await counted()).waiting]).toEqual(['waiting', 1])
    expect(idsOf(await list({ q: word, shelf: 'open' }))).toEqual([])
    await act('job/change', job, job.id, { waits: { for: 'a boiler', until: '2020-01-01' } })
    expect([await shelfOf(), (await counted()).open]).toEqual(['open', 1])
    await act('job/archive', job, job.id, {})
    expect([await shelfOf(), (await counted()).archive]).toEqual(['archive', 1])
    await act('job/unarchive', job, job.id, {})
    expect(await shelfOf()).toBe('open')
  })
  it('has mine, by the hands that worked on a job', async () => {
    const word = mark()
    const [mine, other] = [await newJob(`Mine ${word}`), await newJob(`Other ${word}`)]
    await begin('find/begin', mine, {}, undefined, { by: 'Pim' })
    await begin('find/begin', other, {}, undefined, { by: 'Pimmie' })
    const answer = await list({ q: word, hand: 'Pim', mine: '1' })
    expect([idsOf(answer), answer.mine]).toEqual([[mine.id], 1])
  })
  it.each([
    ['q', { q: 'x'.repeat(1000) }],
    ['q', { q: 'a '.repeat(60) }],
    ['shelf', { shelf: 'attic' }],
    ['order', { order: 'size' }],
    ['limit', { limit: '100' }],
    ['cursor', { cursor: 'abc' }],
    ['cursor', { cursor: Buffer.from('["x","y","z"]').toString('base64url') }],
  ])('names %s where it is not understood', async (path, query: Record<string, string>) => {
    const reply = await get(`/api/jobs?${new URLSearchParams(query)}`)
    expect(reply).toMatchObject({ status: 422, body: { error: { path } } })
  })
  it('says of the cursor of another list that it is one', async () => {
    const word = mark()
    for (let i = 0; i < 3; i++) await newJob(`Cursor ${word}`)
    const { cursor } = await list({ q: word, limit: '1' })
    const reply = await get(`/api/jobs?${new URLSearchParams({ q: 'other', limit: '1', cursor: cursor! })}`)
    expect(reply).toMatchObject({
      status: 422,
      body: { error: { path: 'cursor', message: expect.stringMatching(/another list/) } },
    })
  })
  it('follows the gists of records that change, go and come', async () => {
    const job = await newJob(`Gist ${mark()}`)
    const line = await begin('line/begin', job, { pipe: 'cu-en-x-22', method: 'solder', legs: ['e 4000'] })
    expect((await one(job))!.stations).toMatchObject({ line: { of: 1 }, fix: { done: 0 } })
    await act('line/fix-support', job, line.id, { support: '0:1', mm: 900 })
    expect((await one(job))!.stations.fix).toMatchObject({ done: 1 })
    await act('line/free-support', job, line.id, { support: '0:1' })
    await act('line/drop', job, line.id, {})
    expect((await one(job))!.stations).toMatchObject({ line: { of: 0 }, fix: { of: 0 } })
    await begin('find/begin', job, { typed: '21.5' })
    const before = (await one(job))!
    expect(before.next).toMatchObject({ station: 'find', held: true, known: '21.5' })
    // The van's policies are what lines and joints are worked out by: all are worked out anew.
    await act('kit/change', job, job.id, { policy: { threadSeal: 'tape' } })
    expect((await one(job))!.next).toEqual(before.next)
  })
})

describe('what changed of a job', () => {
  it('is what acts after a number were on, and no more', async () => {
    const job = await newJob(`Since ${mark()}`)
    const find = await begin('find/begin', job, { place: 'wall' })
    const joint = await begin('joint/begin', job, {})
    const since = (n: number) => get<JobChanges>(`/api/jobs/${job.slug}?since=${n}`)
    expect((await since(3)).body).toMatchObject({ id: job.id, since: 3, acts: 3, own: null, records: [] })
    await act('find/change', job, find.id, { place: 'stair' })
    await act('joint/drop', job, joint.id, {})
    const { records, acts } = (await since(3)).body
    expect(acts).toBe(5)
    expect(records).toHaveLength(2)
    expect(records.find(({ id }) => id === find.id)).toMatchObject({
      kind: 'finds',
      record: { place: 'stair', version: 2 },
    })
    expect(records.find(({ id }) => id === joint.id)).toEqual({ kind: 'joints', id: joint.id, record: null })
    await act('job/change', job, job.id, { place: 'new place' })
    expect((await since(5)).body).toMatchObject({ own: { place: 'new place', acts: 6, clashes: [] }, records: [] })
  })
  it('after more acts than there are is told apart, so that the whole is read', async () => {
    const job = await newJob(`Future ${mark()}`)
    expect(await get(`/api/jobs/${job.slug}?since=99`)).toMatchObject({
      status: 422,
      body: { error: { path: 'since', code: 'range', message: expect.stringMatching(/1 act/) } },
    })
    for (const odd of ['-1', 'x', '1.5']) expect((await get(`/api/jobs/${job.slug}?since=${odd}`)).status).toBe(422)
  })
  it('is the whole where that is less', async () => {
    const job = await newJob(`Whole ${mark()}`)
    for (let i = 0; i < 70; i++) await begin('find/begin', job, {})
    expect((await get<{ whole: JobRecord }>(`/api/jobs/${job.slug}?since=0`)).body.whole.finds).toHaveLength(70)
  })
})

describe('a job itself', () => {
  it('is renamed, and keeps its address', async () => {
    const job = await newJob(`Old ${mark()}`)
    const name = `New ${mark()}`
    await act('job/change', job, job.id, { name })
    expect((await get<JobRecord>(`/api/jobs/${job.slug}`)).body.name).toBe(name)
    expect(await one({ ...job, name })).toMatchObject({ slug: job.slug, name })
  })
  it('renamed by two hands at once is one name, and both are told', async () => {
    const job = await newJob(`Two ${mark()}`)
    const seen = { version: job.version, seen: { name: job.name } }
    const answers = await Promise.all(
      ['Ola', 'Wyn'].map((by) => tryAct('job/change', job, job.id, { name: `By ${by}` }, { ...seen, by })),
    )
    expect(answers.map(({ state }) => state).sort()).toEqual(['met', 'taken'])
    const met = answers.find(({ state }) => state === 'met')!
    expect(met).toMatchObject({ clashes: [{ path: 'name', base: job.name }] })
    expect((await get<JobRecord>(`/api/jobs/${job.slug}`)).body.name).toBe(
      answers.find(({ state }) => state === 'taken')!.record.name,
    )
  })
  it('changes its country until something is measured in it', async () => {
    const job = await newJob(`Region ${mark()}`)
    await act('job/change', job, job.id, { region: 'us' })
    await begin('find/begin', job, { typed: '7/8' })
    const version = (await get<JobRecord>(`/api/jobs/${job.slug}`)).body.version
    expect(await tryAct('job/change', job, job.id, { region: 'gb' }, { version })).toMatchObject({
      state: 'refused',
      issue: { path: 'region' },
    })
  })
  it('is deleted with its name typed; what comes after is told who did it, and brings nothing back', async () => {
    const job = await newJob(`Gone ${mark()}`)
    const find = await begin('find/begin', job, {})
    expect(await tryAct('job/drop', job, job.id, { name: 'another' })).toMatchObject({
      state: 'refused',
      issue: { path: 'name' },
    })
    const about = { key: randomUUID(), at: new Date().toISOString(), by: 'Ola' }
    const drop = () => tryAct('job/drop', job, job.id, { name: job.name }, about)
    expect(await drop()).toMatchObject({ status: 200, state: 'taken', record: null })
    expect(await drop()).toMatchObject({ status: 200, state: 'taken', record: null })
    const told = { path: 'job', message: expect.stringMatching(/was deleted by Ola/) }
    expect(await tryAct('find/change', job, find.id, { typed: '22' }, { version: 1 })).toMatchObject({
      state: 'refused',
      issue: told,
    })
    expect(await tryAct('job/begin', job, job.id, { name: job.name, place: '', region: 'gb' })).toMatchObject({
      state: 'refused',
      issue: told,
    })
    expect(await get(`/api/jobs/${job.slug}`)).toMatchObject({ status: 404, body: { error: told } })
    expect(await one(job)).toBeUndefined()
  })
  it('frees what was promised to its sheets, and what came off it stays on the rack', async () => {
    const job = await newJob(`Rack ${mark()}`)
    const id = randomUUID()
    await begin('rack/put', job, { pipe: 'cu-en-x-42', length: 1500, place: 'van' }, id)
    await tryAct('job/drop', job, job.id, { name: job.name })
    const { rack } = (await get<JobRecord>('/api/rack')).body
    expect(rack.find((one) => one.id === id)).toMatchObject({ job: null, promised: null, from: job.name })
  })
  it('is given out as one file, with its log', async () => {
    const job = await newJob(`File ${mark()}`)
    await begin('find/begin', job, { place: 'wall' })
    expect((await get(`/api/jobs/${job.slug}/job.json`)).body).toMatchObject({
      format: 'jolvet-job',
      version: 1,
      job: { id: job.id, finds: [{ place: 'wall' }] },
      log: { format: 'jolvet-log', acts: 2, brokenAt: null },
    })
  })
})

describe('records begun by mistake', () => {
  it('are taken out while nothing rests on them, and named where something does', async () => {
    const job = await newJob(`Mistake ${mark()}`)
    const find = await begin('find/begin', job, { pipe: 'cu-en-x-22' })
    const line = await begin('line/begin', job, { pipe: 'cu-en-x-22', method: 'solder', legs: ['e 900'] })
    const joint = await begin('joint/begin', job, { a: { pipe: 'cu-en-x-22' }, findA: find.id })
    const cut = await begin('cut/begin', job, { pipe: 'cu-en-x-22', sources: [{ job: job.id, line: line.id }] })
    const drop = (name: 'find/drop' | 'line/drop' | 'joint/drop' | 'cut/drop', id: string) =>
      tryAct(name, job, id, {}, { version: 1 })
    expect(await drop('find/drop', find.id)).toMatchObject({
      state: 'refused',
      issue: { message: expect.stringMatching(/J1 rests/) },
    })
    expect(await drop('line/drop', line.id)).toMatchObject({
      state: 'refused',
      issue: { message: expect.stringMatching(/C1/) },
    })
    expect((await drop('joint/drop', joint.id)).state).toBe('taken')
    expect((await drop('cut/drop', cut.id)).state).toBe('taken')
    expect((await drop('find/drop', find.id)).state).toBe('taken')
    expect((await drop('line/drop', line.id)).state).toBe('taken')
    expect((await get(`/api/jobs/${job.slug}`)).body).toMatchObject({ finds: [], lines: [], joints: [], cuts: [] })
  })
})
