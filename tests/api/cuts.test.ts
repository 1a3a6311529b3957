import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { ownBed } from '../bed'
import { cutQuestion, cutRows, planCuts, restsOf, takeAnswer, type BenchPlan, type CutAnswer } from '#core/cutting'
import { piecesFor, rackFor, readSheet, type CutRecord, type JobRecord, type OffcutRecord } from '#core/record'
import { wrongWithPlan } from '../cuts'
import { readPdf } from '../pdf'
import { call, get, patch, post } from './client'

const put = <T>(path: string, body: object) => call<T>('PUT', path, body)
const BODY = {
  name: 'bench',
  pipe: 'cu-en-x-28',
  sources: [],
  extras: [
    { id: 'x', name: 'flow', length: '1310', quantity: 2 },
    { id: 'y', name: 'tail', length: '640', quantity: 1 },
  ],
  cutter: 'wheel',
  kerf: '',
  keep: '',
  spare: '',
  prefer: 'longest-left',
  stock: [{ id: 'three', length: '3 m', quantity: null, price: 12.5 }],
  leave: [],
}

const newJob = async (name = 'Cut yard') =>
  (await post<JobRecord>('/api/jobs', { name, place: 'shed', region: 'gb' })).body
const jobAt = async (slug: string) => (await get<JobRecord>(`/api/jobs/${slug}`)).body
const begun = async (changes: object = {}) => {
  const job = await newJob()
  const cut = (await post<CutRecord>(`/api/jobs/${job.slug}/cuts`, { ...BODY, ...changes })).body
  return { job, cut, at: `/api/jobs/${job.slug}/cuts/${cut.id}` }
}
/** The plan a tablet would make of what the server holds. */
async function planOf(slug: string, id: string): Promise<BenchPlan> {
  const job = await jobAt(slug)
  const sheet = job.cuts.find((cut) => cut.id === id)!
  const read = readSheet(job, sheet)
  if (!read.ok) throw new Error(read.error.message)
  const { stock, ...by } = read.value
  const { pieces } = piecesFor(job, sheet, [job])
  const answer = planCuts(cutQuestion(pieces, stock, rackFor(job, sheet), sheet.plan, sheet.done, by))
  if (!answer.ok) throw new Error(answer.error.message)
  return takeAnswer(randomUUID(), answer.value, pieces, stock, rackFor(job, sheet), sheet.plan, sheet.done, by)
}
async function planned(changes: object = {}) {
  const { job, cut, at } = await begun(changes)
  const saved = await put<CutRecord>(`${at}/plan`, await planOf(job.slug, cut.id))
  expect(saved.status).toBe(200)
  return { job, at, cut: saved.body as CutRecord & { plan: BenchPlan } }
}
/** An offcut of a size no other test cuts, so that the shared rack does not mix them. */
const rackOn = async (slug: string, pipe: string, length: number) => {
  const id = randomUUID()
  expect((await put(`/api/jobs/${slug}/rack/${id}`, { pipe, length, place: 'rack' })).status).toBe(200)
  return id
}
const offcut = async (slug: string, id: string): Promise<OffcutRecord | undefined> =>
  (await jobAt(slug)).rack.find((one) => one.id === id)

describe('cut sheets', () => {
  it('are numbered, changed on the version that was seen, and taken out once', async () => {
    const { job, cut, at } = await begun()
    expect(cut).toMatchObject({ ...BODY, number: 1, version: 1, plan: null, done: [], result: null })
    expect((await post<CutRecord>(`/api/jobs/${job.slug}/cuts`, BODY)).body.number).toBe(2)
    expect(await patch(at, { version: 1, kerf: 'thin' })).toMatchObject({
      status: 200,
      body: { version: 2, kerf: 'thin' },
    })
    expect(await patch(at, { version: 1, kerf: '2' })).toMatchObject({ status: 409, body: { saved: { version: 2 } } })
    for (let i = 0; i < 2; i++) expect(await call('DELETE', at, {})).toMatchObject({ status: 200 })
    expect((await jobAt(job.slug)).cuts).toHaveLength(1)
  })
  it.each([
    [{ pipe: 'cu-9' }, 'pipe'],
    [{ cutter: 'teeth' }, 'cutter'],
    [{ extras: [{ id: 'x', name: '', length: '1', quantity: 5000 }] }, 'extras.0.quantity'],
    [{ stock: [{ id: 'a', length: '3 m', quantity: -2, price: null }] }, 'stock.0.quantity'],
    [{ plan: null }, 'plan'],
  ])('refuse %j', async (changes, path) => {
    const { at } = await begun()
    expect(await patch(at, { version: 1, ...changes })).toMatchObject({ status: 422, body: { error: { path } } })
  })
  it('take a plan that holds, and no other', async () => {
    const { job, cut, at } = await begun()
    const plan = await planOf(job.slug, cut.id)
    expect(await put(`${at}/plan`, { ...plan, bars: [] })).toMatchObject({
      status: 422,
      body: { error: { path: 'plan' } },
    })
    expect(await put(`${at}/plan`, { ...plan, bars: plan.bars.map((bar) => ({ ...bar, length: 900 })) })).toMatchObject(
      { status: 422, body: { error: { message: expect.stringContaining('overfull') } } },
    )
    expect(await put(`${at}/plan`, { ...plan, kerf: -1 })).toMatchObject({
      status: 422,
      body: { error: { path: 'kerf' } },
    })
    // A plan leaves the sheet's own fields as they are, so no one typing there is told of another version.
    expect(await put(`${at}/plan`, plan)).toMatchObject({
      status: 200,
      body: { version: 1, plan: { used: 2, optimal: true } },
    })
  })
  it('count a cut once, refuse the piece twice, and one of a plan that is gone', async () => {
    const { at, cut } = await planned()
    const [row] = cutRows(cut.plan, [])
    const done = { id: randomUUID(), bar: row!.bar.id, piece: row!.piece.key, length: 1310 }
    for (let i = 0; i < 2; i++)
      expect(await put(`${at}/done`, done)).toMatchObject({ status: 200, body: { done: [{ length: 1310 }] } })
    expect(await put(`${at}/done`, { ...done, id: randomUUID(), length: 20 })).toMatchObject({
      status: 422,
      body: { error: { path: 'piece' } },
    })
    expect(await put(`${at}/done`, { ...done, id: randomUUID(), bar: 'gone' })).toMatchObject({
      status: 409,
      body: { error: { path: 'plan' }, saved: { id: cut.id } },
    })
    expect(await put(`${at}/done`, { ...done, id: randomUUID(), length: -4 })).toMatchObject({
      status: 422,
      body: { error: { path: 'length' } },
    })
    expect(await call('DELETE', `${at}/done`, { id: done.id })).toMatchObject({ status: 200, body: { done: [] } })
  })
  it('count two hands at one bench each once, at the same moment', async () => {
    const { at, cut } = await planned()
    const rows = cutRows(cut.plan, [])
    const both = await Promise.all(
      [...rows, ...rows].map((row) =>
        put(`${at}/done`, { id: randomUUID(), bar: row.bar.id, piece: row.piece.key, length: row.length }),
      ),
    )
    expect(both.map(({ status }) => status).sort()).toEqual([...rows.map(() => 200), ...rows.map(() => 422)])
    expect((await get<JobRecord>(at.split('/cuts')[0]!)).body.cuts[0]!.done).toHaveLength(rows.length)
  })
})

describe('the rack', () => {
  const PIPE = 'cu-en-x-35'
  const wanted = {
    pipe: PIPE,
    extras: [{ id: 'x', name: 'flow', length: '1800', quantity: 3 }],
    stock: [{ id: 'five', length: '5 m', quantity: null, price: null }],
  }
  it('is the same for every job; an offcut is promised to one plan, and the other is told to whom', async () => {
    const [first, second] = [await begun(wanted), await begun(wanted)]
    const id = await rackOn(first.job.slug, PIPE, 1850)
    expect(await offcut(second.job.slug, id)).toMatchObject({ length: 1850, from: 'Cut yard', promised: null })
    const [one, other] = [await planOf(first.job.slug, first.cut.id), await planOf(second.job.slug, second.cut.id)]
    expect([one, other].map(({ bars }) => bars.some((bar) => bar.stock === id))).toEqual([true, true])
    const answers = await Promise.all([
      put(`${first.at}/plan`, one),
      put<{ error: { message: string } }>(`${second.at}/plan`, other),
    ])
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 422])
    const refused = answers.find(({ status }) => status === 422)!.body as { error: { message: string } }
    expect(refused.error.message).toMatch(/1850 mm is promised to Cut yard, sheet C1\. Plan again without it/)
    // Planned again without it, it holds; taken out, the sheet gives it free.
    const loser = answers[0]!.status === 422 ? first : second
    const winner = loser === first ? second : first
    expect(
      (await put<CutRecord>(`${loser.at}/plan`, await planOf(loser.job.slug, loser.cut.id))).body.plan!.bars.some(
        (bar) => bar.stock === id,
      ),
    ).toBe(false)
    expect((await offcut(loser.job.slug, id))!.promised).toMatchObject({ cut: winner.cut.id, number: 1 })
    expect(await call('DELETE', `/api/jobs/${first.job.slug}/rack/${id}`, {})).toMatchObject({
      status: 422,
      body: { error: { path: 'offcut' } },
    })
    await call('DELETE', winner.at, {})
    expect((await offcut(loser.job.slug, id))!.promised).toBeNull()
    for (let i = 0; i < 2; i++)
      expect(await call('DELETE', `/api/jobs/${first.job.slug}/rack/${id}`, {})).toMatchObject({ status: 200 })
    expect(await offcut(loser.job.slug, id)).toBeUndefined()
  })
  it('gets what a finished sheet left, and loses what it began', async () => {
    const pipe = 'cu-en-x-42'
    const { job, cut, at } = await begun({
      ...wanted,
      pipe,
      extras: [
        { id: 'x', name: 'flow', length: '1800', quantity: 2 },
        { id: 'y', name: 'tail', length: '1600', quantity: 1 },
      ],
    })
    const id = await rackOn(job.slug, pipe, 1850)
    let sheet = (await put<CutRecord>(`${at}/plan`, await planOf(job.slug, cut.id))).body
    for (const row of cutRows(sheet.plan!, []))
      sheet = (
        await put<CutRecord>(`${at}/done`, {
          id: randomUUID(),
          bar: row.bar.id,
          piece: row.piece.key,
          length: row.length,
        })
      ).body
    const rest = restsOf(sheet.plan!, sheet.done).sort((a, b) => b.length - a.length)[0]!
    const kept = randomUUID()
    const closed = await post<CutRecord>(`${at}/finish`, {
      kept: [{ id: kept, rest: rest.id, length: rest.length, place: 'van' }],
    })
    expect(closed.body.result).toMatchObject({ uncut: 0, sum: { pieces: 5200, kept: rest.length } })
    expect(await offcut(job.slug, id)).toBeUndefined()
    expect(await offcut(job.slug, kept)).toMatchObject({
      pipe,
      length: rest.length,
      place: 'van',
      from: 'Cut yard, C1',
      promised: null,
    })
    expect(await patch(at, { version: closed.body.version, name: 'x' })).toMatchObject({
      status: 422,
      body: { error: { path: 'cut' } },
    })
    // Next time it is offered first.
    const next = await begun({
      ...wanted,
      pipe,
      extras: [{ id: 'x', name: 'short', length: String(rest.length - 10), quantity: 1 }],
    })
    expect(await planOf(next.job.slug, next.cut.id)).toMatchObject({ used: 0, bars: [{ from: 'rack', stock: kept }] })
  })
  it.each([
    [{ pipe: 'cu-9', length: 500, place: '' }, 'pipe'],
    [{ pipe: PIPE, length: 0, place: '' }, 'length'],
    [{ pipe: PIPE, length: -5, place: '' }, 'length'],
    [{ pipe: PIPE, length: 500, place: 'x'.repeat(90) }, 'place'],
  ])('refuses %j', async (body, path) => {
    const { slug } = await newJob()
    expect(await put(`/api/jobs/${slug}/rack/${randomUUID()}`, body)).toMatchObject({
      status: 422,
      body: { error: { path } },
    })
  })
})

describe('a sheet given out', () => {
  const raw = async (path: string) => fetch(ownBed().baseUrl + path)
  it('as the question of the verb gets an answer that holds', async () => {
    const { at } = await planned()
    const question = (await get<Parameters<typeof wrongWithPlan>[0]>(`${at}/question.json`)).body
    const answer = (await post<CutAnswer>('/api/core/cut', question)).body
    expect(wrongWithPlan(question, answer)).toEqual([])
    expect(answer).toMatchObject({ used: 2, optimal: true })
  })
  it('as CSV has every cut with its marks', async () => {
    const { at } = await planned()
    const text = await (await raw(`${at}/cuts.csv`)).text()
    expect(text.split('\r\n')).toEqual([
      'number,bar,barLength,piece,cut,from,to,left,right,bends,state',
      '1,length 1,3000,flow 1,1310,0,1310,,,,to cut',
      '2,length 1,3000,flow 2,1310,1310,2620,,,,to cut',
      '3,length 2,3000,tail,640,0,640,,,,to cut',
    ])
  })
  it('on paper stands on one page, bars to scale by another reader', async () => {
    const { at } = await planned()
    const [page, ...more] = await readPdf(new Uint8Array(await (await raw(`${at}/bench.pdf`)).arrayBuffer()))
    expect(more).toEqual([])
    const words = page!.words.map(({ text }) => text)
    expect(words).toEqual(
      expect.arrayContaining(['Cut sheet C1', 'length 1', '3000', 'length 2', 'flow 1', 'tail', 'keep 2360']),
    )
    // The cut at 1310 stands as far along the bar as 1310 of 3000.
    const [left, right] = [
      10,
      page!.lines
        .filter(({ y1, y2, x1, x2 }) => Math.abs(y1 - y2) < 0.01 && Math.abs(x2 - x1) > 150)
        .map(({ x1, x2 }) => Math.max(x1, x2))[0]!,
    ]
    expect(
      page!.lines.some(
        ({ x1, x2 }) => Math.abs(x1 - x2) < 0.01 && Math.abs(x1 - (left + ((right - left) * 1310) / 3000)) < 0.1,
      ),
    ).toBe(true)
  })
  it('goes on to more pages where one does not hold it, no row left out', async () => {
    const { at } = await planned({ extras: [{ id: 'x', name: 'rung', length: '700', quantity: 150 }] })
    const pages = await readPdf(new Uint8Array(await (await raw(`${at}/bench.pdf`)).arrayBuffer()))
    expect(pages.length).toBeGreaterThan(2)
    const words = pages.flatMap((page) => page.words.map(({ text }) => text))
    for (const n of [1, 77, 150]) expect(words).toContain(`rung ${n}`)
  })
  it('is refused before it is planned, and by a name there is not', async () => {
    const { at } = await begun()
    expect(await get(`${at}/bench.pdf`)).toMatchObject({ status: 422, body: { error: { path: 'plan' } } })
    expect(await get(`${at}/bench.doc`)).toMatchObject({ status: 404, body: { error: { path: 'export' } } })
    expect(await get(`${at.replace(/[^/]+$/, 'nothing')}/bench.pdf`)).toMatchObject({
      status: 404,
      body: { error: { path: 'cut' } },
    })
  })
})
