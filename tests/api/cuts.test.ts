import { planAsTablet, wrongWithPlan } from '../cuts'
import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { ownBed } from '../bed'
import { cutRows, restsOf, type BenchPlan, type CutAnswer } from '#core/cutting'
import type { CutInput, CutRecord, JobRecord, OffcutRecord } from '#core/record'
import { readPdf } from '../pdf'
import { acting } from '../acts'
import { get } from './client'

const { act, ask, begin, job: jobAt, newJob: newJobIn, tryAct } = acting()
const BODY: CutInput = {
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

const newJob = () => newJobIn('Cut yard', 'gb', 'shed')
const begun = async (changes: Partial<CutInput> = {}) => {
  const job = await newJob()
  const cut = await begin('cut/begin', job, { ...BODY, ...changes })
  return { job, cut, at: `/api/jobs/${job.slug}/cuts/${cut.id}` }
}
const planOf = async (slug: string, id: string): Promise<BenchPlan> => planAsTablet(await jobAt(slug), id)
const takePlan = (job: JobRecord, id: string, plan: unknown) => tryAct('cut/plan', job, id, plan)
const enter = (job: JobRecord, id: string, done: object) => tryAct('cut/enter', job, id, { id: randomUUID(), ...done })
async function planned(changes: Partial<CutInput> = {}) {
  const { job, cut, at } = await begun(changes)
  const saved = await act('cut/plan', job, cut.id, await planOf(job.slug, cut.id))
  return { job, at, cut: saved as CutRecord & { plan: BenchPlan } }
}
/** An offcut of a size no other test cuts, so that the shared rack does not mix them. */
const rackOn = async (job: JobRecord, pipe: string, length: number) => {
  const id = randomUUID()
  await begin('rack/put', job, { pipe, length, place: 'rack' }, id)
  return id
}
const offcut = async (slug: string, id: string): Promise<OffcutRecord | undefined> =>
  (await jobAt(slug)).rack.find((one) => one.id === id)

describe('cut sheets', () => {
  it('are numbered, changed on the version that was seen, and taken out once', async () => {
    const { job, cut } = await begun()
    expect(cut).toMatchObject({ ...BODY, number: 1, version: 1, plan: null, done: [], result: null })
    expect((await begin('cut/begin', job, BODY)).number).toBe(2)
    const change = (kerf: string) => tryAct('cut/change', job, cut.id, { kerf }, { version: 1 })
    expect(await change('thin')).toMatchObject({ status: 200, record: { version: 2, kerf: 'thin' } })
    expect(await change('2')).toMatchObject({ status: 409, saved: { version: 2 } })
    const drop = (version: number) => tryAct('cut/drop', job, cut.id, {}, { version })
    expect(await drop(1)).toMatchObject({ status: 409, saved: { kerf: 'thin' } })
    for (let i = 0; i < 2; i++) expect(await drop(2)).toMatchObject({ status: 200, record: null })
    expect((await jobAt(job.slug)).cuts).toHaveLength(1)
  })
  it.each([
    [{ pipe: 'cu-9' }, 'pipe'],
    [{ cutter: 'teeth' }, 'cutter'],
    [{ extras: [{ id: 'x', name: '', length: '1', quantity: 5000 }] }, 'extras.0.quantity'],
    [{ stock: [{ id: 'a', length: '3 m', quantity: -2, price: null }] }, 'stock.0.quantity'],
    [{ plan: null }, 'plan'],
  ])('refuse %j', async (changes, path) => {
    const { job, cut } = await begun()
    expect(await tryAct('cut/change', job, cut.id, changes, { version: 1 })).toMatchObject({
      status: 422,
      issue: { path },
    })
  })
  it('take a plan that holds, and no other', async () => {
    const { job, cut } = await begun()
    const plan = await planOf(job.slug, cut.id)
    expect(await takePlan(job, cut.id, { ...plan, bars: [] })).toMatchObject({ status: 422, issue: { path: 'plan' } })
    const short = { ...plan, bars: plan.bars.map((bar) => ({ ...bar, length: 900 })) }
    expect(await takePlan(job, cut.id, short)).toMatchObject({
      status: 422,
      issue: { message: expect.stringContaining('overfull') },
    })
    expect(await takePlan(job, cut.id, { ...plan, kerf: -1 })).toMatchObject({ status: 422, issue: { path: 'kerf' } })
    expect(await takePlan(job, cut.id, plan)).toMatchObject({
      status: 200,
      record: { version: 2, plan: { used: 2, optimal: true } },
    })
    // A plan leaves the sheet's own fields as they are, so one typing there is told of nothing.
    const about = { version: 1, seen: { name: 'bench' } }
    expect(await tryAct('cut/change', job, cut.id, { name: 'yard' }, about)).toMatchObject({
      state: 'taken',
      record: { name: 'yard', plan: { used: 2 } },
    })
  })
  it('count a cut once, refuse the piece twice, and one of a plan that is gone', async () => {
    const { job, cut } = await planned()
    const [row] = cutRows(cut.plan, [])
    const of = { bar: row!.bar.id, piece: row!.piece.key }
    const done = { ...of, id: randomUUID(), length: 1310 }
    for (let i = 0; i < 2; i++)
      expect(await enter(job, cut.id, done)).toMatchObject({ status: 200, record: { done: [{ length: 1310 }] } })
    expect(await enter(job, cut.id, { ...of, length: 20 })).toMatchObject({ status: 422, issue: { path: 'piece' } })
    expect(await enter(job, cut.id, { ...of, length: 20, bar: 'gone' })).toMatchObject({
      status: 409,
      issue: { path: 'plan' },
      saved: { id: cut.id },
    })
    expect(await enter(job, cut.id, { ...of, length: -4 })).toMatchObject({ status: 422, issue: { path: 'length' } })
    expect(await act('cut/take-back', job, cut.id, { id: done.id })).toMatchObject({ done: [] })
  })
  it('count two hands at one bench each once, at the same moment', async () => {
    const { at, job, cut } = await planned()
    const rows = cutRows(cut.plan, [])
    const both = await Promise.all(
      [...rows, ...rows].map((row) =>
        enter(job, cut.id, { bar: row.bar.id, piece: row.piece.key, length: row.length }),
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
    const id = await rackOn(first.job, PIPE, 1850)
    expect(await offcut(second.job.slug, id)).toMatchObject({ length: 1850, from: 'Cut yard', promised: null })
    const [one, other] = [await planOf(first.job.slug, first.cut.id), await planOf(second.job.slug, second.cut.id)]
    expect([one, other].map(({ bars }) => bars.some((bar) => bar.stock === id))).toEqual([true, true])
    const answers = await Promise.all([
      takePlan(first.job, first.cut.id, one),
      takePlan(second.job, second.cut.id, other),
    ])
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 422])
    const refused = answers.find(({ status }) => status === 422)!
    expect(refused.issue.message).toMatch(/1850 mm is promised to Cut yard, sheet C1\. Plan again without it/)
    // Planned again without it, it holds; taken out, the sheet gives it free.
    const loser = answers[0]!.status === 422 ? first : second
    const winner = loser === first ? second : first
    const anew = await act('cut/plan', loser.job, loser.cut.id, await planOf(loser.job.slug, loser.cut.id))
    expect(anew.plan!.bars.some((bar) => bar.stock === id)).toBe(false)
    expect((await offcut(loser.job.slug, id))!.promised).toMatchObject({ cut: winner.cut.id, number: 1 })
    const drop = async () => {
      const { version } = (await offcut(loser.job.slug, id)) ?? { version: 1 }
      return tryAct('rack/drop', first.job, id, {}, { version })
    }
    expect(await drop()).toMatchObject({ status: 422, issue: { path: 'offcut' } })
    await act('cut/drop', winner.job, winner.cut.id, {})
    expect((await offcut(loser.job.slug, id))!.promised).toBeNull()
    for (let i = 0; i < 2; i++) expect(await drop()).toMatchObject({ status: 200 })
    expect(await offcut(loser.job.slug, id)).toBeUndefined()
  })
  it('gets what a finished sheet left, and loses what it began', async () => {
    const pipe = 'cu-en-x-42'
    const { job, cut } = await begun({
      ...wanted,
      pipe,
      extras: [
        { id: 'x', name: 'flow', length: '1800', quantity: 2 },
        { id: 'y', name: 'tail', length: '1600', quantity: 1 },
      ],
    })
    const id = await rackOn(job, pipe, 1850)
    let sheet = await act('cut/plan', job, cut.id, await planOf(job.slug, cut.id))
    for (const row of cutRows(sheet.plan!, []))
      sheet = (await enter(job, cut.id, { bar: row.bar.id, piece: row.piece.key, length: row.length })).record
    const rest = restsOf(sheet.plan!, sheet.done).sort((a, b) => b.length - a.length)[0]!
    const kept = randomUUID()
    const lies = { rest: rest.id, length: rest.length, place: 'van' }
    // An offcut that is there already is not put over, nor two under one id.
    for (const ids of [[id], [kept, kept]])
      expect(await tryAct('cut/finish', job, cut.id, { kept: ids.map((own) => ({ ...lies, id: own })) })).toMatchObject(
        { status: 422, issue: { path: `kept.${ids.length - 1}.id` } },
      )
    const closed = await act('cut/finish', job, cut.id, { kept: [{ ...lies, id: kept }] })
    expect(closed.result).toMatchObject({ uncut: 0, sum: { pieces: 5200, kept: rest.length } })
    expect(await offcut(job.slug, id)).toBeUndefined()
    expect(await offcut(job.slug, kept)).toMatchObject({
      pipe,
      length: rest.length,
      place: 'van',
      from: 'Cut yard, C1',
      promised: null,
    })
    expect(await tryAct('cut/change', job, cut.id, { name: 'x' }, { version: closed.version })).toMatchObject({
      status: 409,
      issue: { path: 'cut' },
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
    expect(await tryAct('rack/put', await newJob(), randomUUID(), body)).toMatchObject({ status: 422, issue: { path } })
  })
  it('has an offcut set right on the version that was seen, where it is not promised', async () => {
    const { job, cut } = await begun(wanted)
    const id = await rackOn(job, PIPE, 1911)
    const set = (length: number, version: number) =>
      tryAct('rack/change', job, id, { pipe: PIPE, length, place: 'van' }, { version })
    expect(await set(1910, 1)).toMatchObject({ state: 'taken', record: { length: 1910, place: 'van', version: 2 } })
    expect(await set(1909, 1)).toMatchObject({ status: 409, saved: { length: 1910 } })
    await act('cut/plan', job, cut.id, await planOf(job.slug, cut.id))
    expect((await offcut(job.slug, id))!.promised).toMatchObject({ cut: cut.id })
    expect(await set(1800, 2)).toMatchObject({ status: 422, issue: { path: 'length' } })
    await act('cut/drop', job, cut.id, {})
    await act('rack/drop', job, id, {})
  })
})

describe('a sheet given out', () => {
  const raw = async (path: string) => fetch(ownBed().baseUrl + path)
  it('as the question of the verb gets an answer that holds', async () => {
    const { at } = await planned()
    const question = (await get<Parameters<typeof wrongWithPlan>[0]>(`${at}/question.json`)).body
    const answer = await ask<CutAnswer>('cut', question)
    expect(wrongWithPlan(question, answer)).toEqual([])
    expect(answer).toMatchObject({ used: 2, optimal: true })
  })
  it('as CSV has every cut with its marks', async () => {
    const { at } = await planned()
    const text = await (await raw(`${at}/cuts.csv`)).text()
    expect(text.split('\r\n')).toEqual([
      'number,bar,bar length (mm),piece,cut (mm),from (mm),to (mm),left (mm),right (mm),bends (mm),state',
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
