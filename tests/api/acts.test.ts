import { createHash, randomUUID } from 'node:crypto'
import mysql from 'mysql2/promise'
import { describe, expect, it } from 'vitest'
import { ownBed } from '../bed'
import { acting } from '../acts'
import type { JobRecord } from '#core/record'
import { call, get, post } from './client'

const { act, begin, job: jobAt, newJob, sendAll, toSend, tryAct } = acting()
const ENDS = { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } }
const LINE = { pipe: 'cu-en-x-22', method: 'solder' as const, corners: 'bends' as const, legs: ['e 4000', 'u 2000'] }
const states = (answers: { state: string }[]) => answers.map(({ state }) => state)

describe('a call of acts', () => {
  it('takes them in order, each on what the one before left, and says where each stands in the log', async () => {
    const job = await newJob()
    const id = randomUUID()
    const answers = await sendAll([
      toSend('find/begin', job, id, { typed: '2' }),
      toSend('find/change', job, id, { typed: '21' }, { version: 1, seen: { typed: '2' } }),
      toSend('find/change', job, id, { typed: '21.5' }, { version: 1, seen: { typed: '21' } }),
      toSend('find/begin', job, randomUUID(), {}),
    ])
    expect(states(answers)).toEqual(['taken', 'taken', 'taken', 'taken'])
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 200])
    const seqs = answers.map(({ seq }) => seq!)
    expect([...seqs].sort((a, b) => a - b)).toEqual(seqs)
    expect(answers[2]!.record).toMatchObject({ typed: '21.5', version: 3 })
  })
  it('holds what comes behind one that did not go through, on its own record alone', async () => {
    const job = await newJob()
    const [one, other] = [await begin('find/begin', job, {}), await begin('find/begin', job, {})]
    const change = (id: string, typed: string) => toSend('find/change', job, id, { typed }, { version: 1 })
    const wrong = toSend('find/change', job, one.id, { pipe: 'bamboo' }, { version: 1 })
    const answers = await sendAll([wrong, change(one.id, '22'), change(other.id, '15')])
    expect(states(answers)).toEqual(['refused', 'held', 'taken'])
    // What was held was not tried: it may come again under its own key.
    expect(states(await sendAll([change(one.id, '22')]))).toEqual(['taken'])
  })
  it('holds all of a job that was not begun', async () => {
    const id = randomUUID()
    const job = { id }
    const answers = await sendAll([
      toSend('job/begin', job, id, { name: '', place: '', region: 'gb' }),
      toSend('find/begin', job, randomUUID(), {}),
      toSend('kit/change', job, id, { tools: null }, { version: 1 }),
    ])
    expect(states(answers)).toEqual(['refused', 'held', 'held'])
  })
  it('is of one to fifty acts', async () => {
    const job = await newJob()
    const acts = Array.from({ length: 51 }, () => toSend('find/begin', job, randomUUID(), {}))
    await expect(sendAll(acts)).rejects.toThrow(/at most 50/)
    await expect(sendAll([])).rejects.toThrow(/at least 1/)
    expect(states(await sendAll(acts.slice(1)))).toEqual(new Array(50).fill('taken'))
    expect((await get<JobRecord>(`/api/jobs/${job.slug}`)).body.finds).toHaveLength(50)
  })
  it('done again whole, because its answer was lost, does nothing twice', async () => {
    const job = await newJob()
    const id = randomUUID()
    const acts = [
      toSend('joint/begin', job, id, ENDS),
      toSend('joint/change', job, id, { place: 'riser' }, { version: 1, seen: { place: '' } }),
      toSend('line/begin', job, randomUUID(), LINE),
    ]
    const first = await sendAll(acts)
    const again = await sendAll(acts)
    expect(again.map(({ seq }) => seq)).toEqual(first.map(({ seq }) => seq))
    expect((await get<JobRecord>(`/api/jobs/${job.slug}`)).body).toMatchObject({
      joints: [{ number: 1, place: 'riser', version: 2 }],
      lines: [{ number: 1 }],
    })
  })
  it('from two hands on one record at once: each is done once, none is lost', async () => {
    const job = await newJob()
    const line = await begin('line/begin', job, LINE)
    const hands = Array.from({ length: 8 }, (_, i) => `hand ${i}`)
    const answers = await Promise.all(
      hands.flatMap((by, i) => [
        tryAct('line/move-support', job, line.id, { support: '0:1', mm: 600 + i }, { by }),
        tryAct('rack/put', job, randomUUID(), { pipe: 'cu-en-x-54', length: 700 + i, place: by }, { by }),
      ]),
    )
    expect(new Set(states(answers))).toEqual(new Set(['taken']))
    const { lines, rack } = await jobAt(job.slug)
    expect(lines[0]!.version).toBe(9)
    expect(rack.filter(({ pipe }) => pipe === 'cu-en-x-54')).toHaveLength(8)
    expect((await get(`/api/jobs/${job.slug}/chain`)).body).toMatchObject({ acts: 18, brokenAt: null })
  })
})

describe('rules of their own, over the network', () => {
  it('a support that there is not is not fixed, and one that is has its hand and time', async () => {
    const job = await newJob()
    const line = await begin('line/begin', job, LINE)
    const fix = (support: string, about = {}) => tryAct('line/fix-support', job, line.id, { support, mm: 900 }, about)
    expect(await fix('999:99', { at: '1066-10-14T09:00:00Z' })).toMatchObject({
      status: 422,
      issue: { code: 'unknown-id', path: 'support' },
    })
    const at = new Date(Date.now() - 60_000).toISOString()
    expect((await fix('0:1', { by: 'Wyn', at })).record.clips).toEqual({ '0:1': { mm: 900, at, by: 'Wyn' } })
    expect(await tryAct('line/change', job, line.id, { clips: {} }, { version: 2 })).toMatchObject({
      issue: { code: 'unknown-field', path: 'clips' },
    })
  })
  it('a step of no card, a clash of no record, a find of another job are refused by their field', async () => {
    const [job, other] = [await newJob(), await newJob()]
    const line = await begin('line/begin', job, LINE)
    const find = await begin('find/begin', other, {})
    const joint = await begin('joint/begin', job, ENDS)
    expect(await tryAct('line/bend-step', job, line.id, { piece: 'p1', step: 99, marks: '' })).toMatchObject({
      issue: { path: 'step' },
    })
    const side = { by: '', at: '', value: 1 }
    const clash = { kind: 'finds', kept: 'mine', fields: [{ path: 'typed', mine: side, theirs: side }] }
    expect(await tryAct('job/settle', job, job.id, { ...clash, record: find.id })).toMatchObject({
      issue: { path: 'record' },
    })
    expect(await tryAct('job/settle', other, other.id, { ...clash, record: find.id })).toMatchObject({ state: 'taken' })
    expect(await tryAct('joint/change', job, joint.id, { findA: find.id }, { version: 1 })).toMatchObject({
      status: 422,
      issue: { path: 'findA' },
    })
    expect(await tryAct('kit/count', job, job.id, { item: 'olive 22', out: 1, back: null })).toMatchObject({
      issue: { path: 'item' },
    })
  })
  it('what was looked at is kept with what it came to', async () => {
    const job = await newJob()
    const look = { place: 'sink', method: 'crimp' as const, pipe: 'pex-cts-1_2', seen: { gauge: 'fails' as const } }
    const kept = await begin('look/keep', job, look)
    expect(kept).toMatchObject({ number: 1, verdict: 'wrong', look, found: [{ code: 'gauge' }] })
    expect((await get<JobRecord>(`/api/jobs/${job.slug}`)).body.looks).toEqual([kept])
  })
})

describe('ids and names', () => {
  it('that are there already are refused with the reason, in this job or another', async () => {
    const [job, other] = [await newJob(), await newJob()]
    const { id } = await begin('joint/begin', job, ENDS)
    for (const of of [job, other])
      for (const own of [id, id.toUpperCase()])
        expect(await tryAct('joint/begin', of, own, ENDS)).toMatchObject({ status: 422, issue: { path: 'record' } })
    const again = await tryAct('job/begin', job, job.id, { name: 'x', place: '', region: 'gb' })
    expect(again).toMatchObject({ status: 422, issue: { path: 'record' } })
  })
  it.each(['short', 'has a space in it', 'x'.repeat(41), 'umlaut-ä-is-none', ''])('"%s" is no id', async (id) => {
    const job = await newJob()
    expect(await tryAct('find/begin', job, id, {})).toMatchObject({ status: 422, issue: { path: 'record' } })
  })
  it('a job named like the id of another takes none of its acts, and is found by its name alone', async () => {
    const one = await newJob('One')
    const named = await newJob(one.id)
    expect(named.slug).toBe(one.id)
    await begin('find/begin', one, { place: 'of one' })
    expect((await get<JobRecord>(`/api/jobs/${one.id}`)).body).toMatchObject({ id: named.id, finds: [] })
    expect((await get<JobRecord>(`/api/jobs/${one.slug}`)).body.finds).toHaveLength(1)
    expect(await tryAct('find/begin', { id: one.slug }, randomUUID(), {})).toMatchObject({ issue: { path: 'job' } })
    expect((await get(`/api/jobs/${named.id}`)).status).toBe(404)
    expect((await get(`/api/jobs/${one.slug.toUpperCase()}`)).status).toBe(404)
  })
})

describe('what no database keeps as it is', () => {
  it.each<[string, object, string]>([
    ['half a letter', { place: 'pipe \ud800' }, 'place'],
    ['half a letter deep in', { answers: { print: 'x\udc00' } }, 'answers.print'],
    ['a text too long', { place: 'x'.repeat(121) }, 'place'],
  ])('%s is refused by its field', async (_, body, path) => {
    const job = await newJob()
    expect(await tryAct('find/begin', job, randomUUID(), body)).toMatchObject({ status: 422, issue: { path } })
  })
  it('nesting without end is refused, and signs of two units are kept', async () => {
    const job = await newJob()
    const deep = (depth: number): unknown => (depth === 0 ? 1 : { a: deep(depth - 1) })
    const side = { by: '', at: '', value: deep(40) }
    const clash = {
      ...{ kind: 'jobs', record: job.id, kept: 'mine' },
      fields: [{ path: 'policy', mine: side, theirs: { ...side, value: null } }],
    }
    expect(await tryAct('job/settle', job, job.id, clash)).toMatchObject({
      status: 422,
      issue: { code: 'too-many', path: 'fields.0' },
    })
    const place = 'boiler room 🔧 ä\u0000ß'
    expect((await tryAct('find/begin', job, randomUUID(), { place })).record.place).toBe(place)
  })
  it('a call that is no call says so', async () => {
    for (const body of [{}, { acts: 1 }, [], null, { acts: [{}], more: 1 }])
      expect((await post('/api/acts', body)).status).toBe(422)
    expect((await post('/api/acts', '{"acts":')).status).toBe(400)
    for (const one of [null, 1, 'x', [], {}, { key: 5 }, { key: 'k'.repeat(80), name: 'joint/dance' }])
      expect((await sendAll([one]))[0]).toMatchObject({
        status: 422,
        state: 'refused',
        issue: { code: expect.any(String) },
      })
  })
})

describe('the log', () => {
  it('is given out whole, and can be checked by anybody', async () => {
    const job = await newJob('Chain yard')
    const find = await begin('find/begin', job, { place: 'wall' }, randomUUID(), { by: 'Wyn' })
    await act('find/change', job, find.id, { typed: '22' }, { by: 'Ola', clock: 'tablet' })
    const { body: log } = await call<{
      head: string
      rows: { number: number; hashedAt: string; text: string; hash: string; by: string; clock: string; act: string }[]
    }>('GET', `/api/jobs/${job.slug}/log.json`)
    expect(log.rows.map(({ act: name, by, clock }) => [name, by, clock])).toEqual([
      ['job/begin', '', 'server'],
      ['find/begin', 'Wyn', 'server'],
      ['find/change', 'Ola', 'tablet'],
    ])
    let before = '0'.repeat(64)
    for (const { number, hashedAt, text, hash } of log.rows) {
      before = createHash('sha256').update([before, number, hashedAt, text].join('\n')).digest('hex')
      expect(hash).toBe(before)
    }
    expect(log.head).toBe(before)
    expect((await get(`/api/jobs/${job.slug}/chain`)).body).toEqual({ acts: 3, head: before, brokenAt: null })
    const register = (await get<{ log: object }>(`/api/jobs/${job.slug}/register.json`)).body
    expect(register.log).toEqual({ acts: 3, head: before, isWhole: true })
  })
  it('of an act that was refused or met has no row', async () => {
    const job = await newJob()
    const find = await begin('find/begin', job, {})
    await tryAct('find/change', job, find.id, { pipe: 'bamboo' }, { version: 1 })
    await tryAct('find/change', job, find.id, { typed: 'x' }, { version: 9 })
    expect((await get(`/api/jobs/${job.slug}/chain`)).body).toMatchObject({ acts: 2 })
  })
  it('that was changed behind our back is seen to be broken', async () => {
    const job = await newJob()
    const find = await begin('find/begin', job, { place: 'wall' }, randomUUID(), { by: 'Wyn' })
    await act('find/change', job, find.id, { typed: '22' })
    const database = await mysql.createConnection(ownBed().databaseUrl)
    const [{ affectedRows }] = (await database.query(
      "update acts set act_text = replace(act_text, 'Wyn', 'Ola'), by_hand = 'Ola' where record_id = ? and number = 2",
      [find.id],
    )) as unknown as [{ affectedRows: number }]
    await database.end()
    expect(affectedRows).toBe(1)
    expect((await get(`/api/jobs/${job.slug}/chain`)).body).toMatchObject({ acts: 3, brokenAt: 2 })
    expect((await get<{ log: object }>(`/api/jobs/${job.slug}/register.json`)).body.log).toMatchObject({
      isWhole: false,
    })
  })
  it('is not asked for what an earlier version took: its key is known', async () => {
    const job = await newJob()
    const key = randomUUID()
    const database = await mysql.createConnection(ownBed().databaseUrl)
    await database.query('insert into receipts (write_key, request, at) values (?, ?, utc_timestamp(3))', [
      key,
      'r'.repeat(64),
    ])
    await database.end()
    expect(await tryAct('find/begin', job, randomUUID(), {}, { key })).toMatchObject({ state: 'taken', seq: null })
    expect((await get<JobRecord>(`/api/jobs/${job.slug}`)).body.finds).toEqual([])
  })
})
