import { randomUUID } from 'node:crypto'
import DxfParser from 'dxf-parser'
import { describe, expect, it } from 'vitest'
import { ownBed } from '../bed'
import { centreLine, planLine, surveyLine } from '#core/line'
import {
  benderFor,
  draftLine,
  lineFields,
  readLineFile,
  type BenderRecord,
  type JobRecord,
  type LineInput,
  type LineRecord,
} from '#core/record'
import { readPdf } from '../pdf'
import { acting } from '../acts'
import { call, get } from './client'

const { act, begin, newJob: newJobIn, sendAll, toSend, tryAct } = acting()

const newJob = (region: 'eu' | 'gb' = 'eu') => newJobIn('Line yard', region, 'shed')
const LINE: LineInput = {
  name: 'hot',
  pipe: 'cu-en-x-22',
  method: 'solder',
  corners: 'fittings',
  start: 'valve take-out 24 depth 16 = valve',
  walls: [],
  legs: ['e 640', 'u 900', 'e 1140 offset s 65 @ 45 at 420', 'd 200 stop = sink'],
}
const BENDER: BenderRecord = {
  pipe: 'cu-en-x-22',
  radius: 76.887,
  setback: 77.3,
  springback: 3,
  test: { marks: [100, 500], hook: 250, measures: [227.3, 205.7], pulled: 93, angle: 90 },
  at: '2026-11-09',
}
const drawn = async (): Promise<{ job: JobRecord; line: LineRecord; at: string }> => {
  const begun = await newJob()
  await act('kit/change', begun, begun.id, { benders: [BENDER] })
  const line = await begin('line/begin', begun, LINE)
  return {
    job: (await get<JobRecord>(`/api/jobs/${begun.slug}`)).body,
    line,
    at: `/api/jobs/${begun.slug}/lines/${line.id}`,
  }
}

describe('the lines of a job', () => {
  it('are numbered, changed on the version that was seen, and kept wrong legs and all', async () => {
    const { job, line } = await drawn()
    expect(line).toMatchObject({ ...LINE, number: 1, version: 1 })
    expect((await begin('line/begin', job, LINE)).number).toBe(2)
    const about = { version: 1, by: 'Wyn' }
    const changed = await act('line/change', job, line.id, { legs: ['e 640', 'x nonsense'] }, about)
    expect(changed).toMatchObject({ version: 2, updatedBy: 'Wyn', legs: ['e 640', 'x nonsense'] })
    expect(await tryAct('line/change', job, line.id, { corners: 'bends' }, { version: 1 })).toMatchObject({
      status: 409,
      saved: { version: 2 },
    })
    expect((await get<JobRecord>(`/api/jobs/${job.slug}`)).body.lines[0]).toEqual(changed)
  })
  it.each([
    [{ pipe: 'cu-9' }, 422, 'pipe'],
    [{ method: 'nails' }, 422, 'method'],
    [{ corners: 'round' }, 422, 'corners'],
    [{ legs: Array.from({ length: 501 }, () => 'e 20') }, 422, 'legs'],
    [{ legs: ['e'.repeat(201)] }, 422, 'legs.0'],
    [{ colour: 'red' }, 422, 'colour'],
  ])('refuse %j', async (changes, status, path) => {
    const { job, line } = await drawn()
    expect(await tryAct('line/change', job, line.id, changes, { version: 1 })).toMatchObject({
      status,
      issue: { path },
    })
  })
  it('are taken out once, and again without fault; never from another job', async () => {
    const { job, line } = await drawn()
    const other = await newJob()
    const drop = (from: JobRecord, version: number) => tryAct('line/drop', from, line.id, {}, { version })
    expect(await drop(other, 1)).toMatchObject({ status: 422, issue: { code: 'unknown-id', path: 'line' } })
    expect((await get<JobRecord>(`/api/jobs/${job.slug}`)).body.lines).toHaveLength(1)
    for (let i = 0; i < 2; i++) expect(await drop(job, 1)).toMatchObject({ status: 200, record: null })
    expect((await get<JobRecord>(`/api/jobs/${job.slug}`)).body.lines).toEqual([])
  })
  it('that another hand has just changed are not taken out unseen; one that is gone says by whom', async () => {
    const { job, line } = await drawn()
    const drop = (version: number) => tryAct('line/drop', job, line.id, {}, { version, by: 'Ola' })
    await act('line/change', job, line.id, { name: 'cold' }, { by: 'Wyn' })
    expect(await drop(1)).toMatchObject({ status: 409, state: 'met', saved: { name: 'cold', version: 2 } })
    expect(await drop(2)).toMatchObject({ state: 'taken' })
    expect(await tryAct('line/change', job, line.id, { name: 'x' }, { version: 2 })).toMatchObject({
      status: 422,
      issue: { code: 'unknown-id', message: expect.stringContaining('taken out by Ola') },
    })
  })
  it('are counted as they are there: a hundred begun and taken out leave room for more', async () => {
    const job = await newJob()
    const ids = Array.from({ length: 99 }, () => randomUUID())
    for (const id of ids.slice(0, 50)) await begin('line/begin', job, LINE, id)
    for (const id of ids.slice(0, 50)) await act('line/drop', job, id, {}, { version: 1 })
    for (let i = 0; i < 100; i += 50)
      await sendAll(Array.from({ length: 50 }, () => toSend('line/begin', job, randomUUID(), LINE)))
    expect(await tryAct('line/begin', job, randomUUID(), LINE)).toMatchObject({
      status: 422,
      issue: { code: 'too-many', path: 'lines' },
    })
    const { lines } = (await get<JobRecord>(`/api/jobs/${job.slug}`)).body
    expect([lines.length, new Set(lines.map(({ number }) => number)).size]).toEqual([100, 100])
  })
  it('are not found in another job', async () => {
    const { line } = await drawn()
    const other = await newJob()
    expect(await tryAct('line/change', other, line.id, { name: 'x' }, { version: 1 })).toMatchObject({
      status: 422,
      issue: { path: 'line' },
    })
  })
})

describe('the benders of a kit', () => {
  it.each([
    [[{ ...BENDER, pipe: 'cu-9' }], 'benders.0.pipe'],
    [[{ ...BENDER, test: { ...BENDER.test, measures: [200, 200] } }], 'benders.0.test.measures'],
    [[BENDER, BENDER], 'benders'],
    [[{ ...BENDER, radius: -1 }], 'benders.0.radius'],
  ])('refuse %#', async (benders, path) => {
    const job = await newJob()
    expect(await tryAct('kit/change', job, job.id, { benders }, { version: job.version })).toMatchObject({
      status: 422,
      issue: { path },
    })
  })
})

describe('a line given out', () => {
  const entities = (text: string) =>
    new DxfParser().parseSync(text)!.entities as unknown as {
      type: string
      layer: string
      vertices?: { x: number; y: number; z: number }[]
      text?: string
    }[]
  it('as JSON reads back as the same question', async () => {
    const { job, line, at } = await drawn()
    const file = await call<object>('GET', `${at}/line.json`)
    const back = readLineFile(JSON.stringify(file.body), 'eu')
    expect(back.ok && draftLine(job, { ...lineFields.blank, ...back.value }).question).toEqual(
      draftLine(job, line).question,
    )
    expect(file.body).toMatchObject({
      format: 'jolvet-line',
      version: 1,
      worked: { pieces: [{ from: 'A', to: 'B' }, {}, { from: 'C', to: 'D' }, {}] },
    })
  })
  it('as DXF in space has the very points of its centre lines, by another reader', async () => {
    const { job, line, at } = await drawn()
    const survey = surveyLine(draftLine(job, line).question!)
    if (!survey.ok) throw new Error(survey.error.message)
    const intended = survey.value.runs.flatMap(({ legs }) => {
      const points = centreLine(
        legs.map((leg) => survey.value.laid[leg]!),
        benderFor(job, line.pipe)!.radius,
      )
      return points.slice(1).map((to, i) => [points[i]!, to])
    })
    const read = entities(String((await call('GET', `${at}/space.dxf`)).body)).filter(({ type }) => type === 'LINE')
    expect(read).toHaveLength(intended.length)
    read.forEach(({ vertices }, i) =>
      vertices!.forEach(({ x, y, z }, k) => {
        const [a, b, c] = intended[i]![k]!
        expect(Math.hypot(x - a, y - b, z - c)).toBeLessThan(0.001)
      }),
    )
  })
  it('as DXF of the marks has each mark where the verb puts it, by another reader', async () => {
    const { job, line, at } = await drawn()
    const answer = planLine(draftLine(job, line).question!)
    if (!answer.ok) throw new Error(answer.error.message)
    const read = entities(String((await call('GET', `${at}/marks.dxf`)).body)).filter(
      ({ type, layer }) => type === 'LINE' && layer.startsWith('MARK_'),
    )
    const at0 = read.map(({ vertices }) => vertices![0]!.x).sort((a, b) => a - b)
    const marks = answer.value.pieces
      .flatMap(({ marks: own, cut }) => (cut === null ? [] : own.map((mark) => mark.at)))
      .sort((a, b) => a - b)
    expect(at0).toHaveLength(marks.length)
    at0.forEach((x, i) => expect(x).toBeCloseTo(marks[i]!, 3))
  })
  it('as SVG, as isometric DXF with its letters, as CSV of legs and marks', async () => {
    const { at } = await drawn()
    const texts = entities(String((await call('GET', `${at}/isometric.dxf`)).body))
      .filter(({ type }) => type === 'TEXT')
      .map(({ text }) => text)
    expect(texts).toEqual(expect.arrayContaining(['A', 'B', 'E sink', '640 mm', '1140 mm']))
    for (const name of ['isometric.svg', 'marks.svg'])
      expect(String((await call('GET', `${at}/${name}`)).body)).toMatch(/^<svg [\s\S]*<polyline[\s\S]*<\/svg>\s*$/)
    expect(String((await call('GET', `${at}/legs.csv`)).body)).toContain('C,D,e 1140 offset s 65 @ 45 at 420,')
    const marks = String((await call('GET', `${at}/marks.csv`)).body).split('\r\n')
    expect(marks[0]).toBe('piece,from,to,pipe,cut (mm),what,at (mm),hook (mm),corner (mm),angle,turn,note')
    expect(marks.filter((row) => row.includes(',bend,'))).toHaveLength(2)
  })
  it('as PDF: table of marks, and a short piece at true size, by another reader', async () => {
    const { at } = await drawn()
    const bytes = new Uint8Array(await (await fetch(ownBed().baseUrl + `${at}/strips.pdf`)).arrayBuffer())
    const pages = await readPdf(bytes)
    const words = pages.flatMap((page) => page.words.map(({ text }) => text))
    expect(words).toEqual(
      expect.arrayContaining(['hook edge', 'corner', '1:5', 'true size: cut out, lay along the pipe']),
    )
    // D to E: 200 less its take-out, upright lines of its ends so far apart.
    const strip = pages.find((page) => page.words.some(({ text }) => text.startsWith('true size')))!
    const cut = Number(strip.words.find(({ text }) => /^p4, D to E/.test(text))!.text.match(/cut ([\d.]+)/)![1])
    const wide = strip.lines.filter(
      ({ y1, y2, x1, x2 }) => Math.abs(y1 - y2) < 0.01 && Math.abs(Math.abs(x2 - x1) - cut) < 0.6,
    )
    expect(wide.length).toBeGreaterThan(1)
  })
  it('says what is wrong where nothing can be drawn, and what it is given out as', async () => {
    const { job, line, at } = await drawn()
    await act('line/change', job, line.id, { legs: ['x 20'] })
    expect(await call('GET', `${at}/marks.dxf`)).toMatchObject({
      status: 422,
      body: { error: { code: 'not-understood' } },
    })
    expect(await call('GET', `${at}/legs.csv`)).toMatchObject({ status: 200 })
    expect(await call('GET', `${at}/line.docx`)).toMatchObject({
      status: 404,
      body: { error: { message: expect.stringContaining('line.json') } },
    })
  })
})
