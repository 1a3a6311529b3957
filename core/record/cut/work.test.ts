import { describe, expect, it } from 'vitest'
import { speakAll } from '#core/speech'
import { ACTS } from '#core/acts'
import { cutQuestion, cutRows, planCuts, restsOf, takeAnswer, type BenchPlan } from '#core/cutting'
import { BEND_SPARE } from '#core/line'
import {
  bentPieces,
  gistOfJob,
  beginCut,
  changeCut,
  completeJob,
  changeOffcut,
  cutFields,
  enterCut,
  finishCut,
  FINISHED,
  nextAction,
  offRack,
  OTHER_PLAN,
  piecesFor,
  planCut,
  progressOf,
  putOffcut,
  rackAfter,
  rackFor,
  readSheet,
  staleness,
  takeBackCut,
  usualStock,
  type CutRecord,
  type JobRecord,
} from '#core/record'
import { aCut, aJob, aLine, anOffcut } from '../../../tests/records'

const HAND = { at: '2026-11-26T09:00:00.000Z', by: 'Wyn' }
// A line of three pieces: valve to elbow to elbow with a step aside to an open end.
const LINE = aLine({
  id: 'line-1',
  start: 'valve take-out 24 depth 16 = valve',
  legs: ['e 640', 'u 900', 'e 1140 offset s 65 @ 45 at 420'],
})
const JOB = aJob({
  lines: [LINE],
  benders: [
    {
      pipe: 'cu-en-x-22',
      radius: 76.887,
      setback: 77.3,
      springback: 3,
      test: { marks: [100, 500], hook: 250, measures: [227.3, 205.7], pulled: 93, angle: 90 },
      at: '2026-11-09',
    },
  ],
})
const SHEET = aCut({ sources: [{ job: JOB.id, line: 'line-1' }], spare: '0' })
/** One piece more than a new length holds, so that an offcut is taken. */
const LONG = { ...SHEET, extras: [{ id: 'x', name: 'riser', length: '1000', quantity: 1 }] }

function planFor(job: JobRecord, sheet: CutRecord): BenchPlan {
  const read = readSheet(job, sheet)
  if (!read.ok) throw new Error(read.error.message)
  const { stock, ...by } = read.value
  const { pieces } = piecesFor(job, sheet, [job])
  const rack = rackFor(job, sheet)
  const answer = planCuts(cutQuestion(pieces, stock, rack, sheet.plan, sheet.done, by))
  if (!answer.ok) throw new Error(answer.error.message)
  return takeAnswer('plan-1', answer.value, pieces, stock, rack, sheet.plan, sheet.done, by)
}
const value = <T>(result: { ok: true; value: T } | { ok: false; error: { message: string } }): T => {
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}

describe('pieces of a sheet', () => {
  it("come from its lines as they are, with depths and the bends' marks by the school in use", () => {
    const { pieces, waiting, issues } = piecesFor(JOB, SHEET, [JOB])
    expect([waiting, issues]).toEqual([[], []])
    expect(pieces.map(({ key, name, left, right, bends }) => [key, name, left, right, bends.length])).toEqual([
      ['line-1:p1', 'L1 p1', 16, 15.4, 0],
      ['line-1:p2', 'L1 p2', 15.4, 15.4, 0],
      ['line-1:p3', 'L1 p3', 15.4, null, 2],
    ])
    const corner = piecesFor({ ...JOB, policy: { bendMark: 'corner' } }, SHEET, [JOB]).pieces[2]!.bends[0]!
    // The hook edge stands 77.3 - 76.887 before the arc; the corner R tan 22.5 after its start.
    expect(corner - pieces[2]!.bends[0]!).toBeCloseTo(77.3 - 76.887 + 76.887 * Math.tan(Math.PI / 8), 1)
  })
  it('are not cut while a length they hang on is not measured, the others are', () => {
    const guessed = { ...LINE, legs: ['e 640', 'u ~900', 'e 1140 offset s 65 @ 45 at 420'] }
    const { pieces, waiting } = piecesFor({ ...JOB, lines: [guessed] }, SHEET, [JOB])
    expect(pieces.map(({ name }) => name)).toEqual(['L1 p1', 'L1 p3'])
    expect(waiting).toEqual([{ name: 'L1 p2', why: expect.stringMatching(/not measured yet/), line: 'line-1' }])
  })
  it('typed at the bench are counted out; a wrong length is named and the others stay', () => {
    const { pieces, issues } = piecesFor(
      JOB,
      aCut({
        extras: [
          { id: 'x', name: 'stub', length: '2\' 6"', quantity: 2 },
          { id: 'y', name: '', length: '12 apples', quantity: 1 },
        ],
      }),
      [],
    )
    expect(pieces.map(({ key, name, length }) => [key, name, length])).toEqual([
      ['x:1', 'stub 1', 762],
      ['x:2', 'stub 2', 762],
    ])
    expect(issues).toMatchObject([{ path: 'extras.1.length' }])
  })
  it('of other pipe want a sheet of their own; those of another job carry its name', () => {
    const other = aJob({
      id: 'job-2',
      name: 'Boat shed',
      lines: [aLine({ id: 'line-2', legs: ['e 500 22 tee', 'n 300 on 15', 'from b e 400'] })],
    })
    const found = piecesFor(JOB, aCut({ sources: [{ job: 'job-2', line: 'line-2' }] }), [JOB, other])
    expect(found.pieces.map(({ name }) => name).every((name) => name.startsWith('Boat L1 p'))).toBe(true)
    expect(found.others.concat(found.waiting.map(({ name }) => name)).length).toBeGreaterThan(0)
  })
  it('of a line that is gone, or of a job that is not here, are said to be missing', () => {
    expect(
      piecesFor(
        JOB,
        aCut({
          sources: [
            { job: JOB.id, line: 'gone' },
            { job: 'far', line: 'x' },
          ],
        }),
        [JOB],
      ).issues.map(({ path }) => path),
    ).toEqual(['sources.0', 'sources.1'])
  })
  it('with bends are longer by what is trimmed after', () => {
    const [straight, , bent] = piecesFor(JOB, { ...SHEET, spare: '20' }, [JOB]).pieces
    const [was, , bentWas] = piecesFor(JOB, SHEET, [JOB]).pieces
    expect([straight!.length - was!.length, bent!.length - bentWas!.length]).toEqual([0, 20])
  })
  it('with bends are as long on the sheet as Make says, where nothing is typed', () => {
    const [straight, , bent] = piecesFor(JOB, { ...SHEET, spare: '' }, [JOB]).pieces
    const [was, , bentWas] = piecesFor(JOB, SHEET, [JOB]).pieces
    expect([straight!.length - was!.length, bent!.length - bentWas!.length]).toEqual([0, BEND_SPARE])
    const card = bentPieces(JOB).find(({ line, piece }) => `${line.id}:${piece.id}` === bent!.key)!.card
    expect(bent!.length).toBeCloseTo(card.steps.find(({ code }) => code === 'cut')!.figure!.value, 9)
  })
  it('that cannot be made wait with the reason', () => {
    const bad = aJob({ lines: [aLine({ id: 'line-1', legs: ['e 640', 'zz'] })] })
    expect(piecesFor(bad, SHEET, [bad]).waiting).toMatchObject([{ name: 'L1', line: 'line-1' }])
  })
})

describe("a sheet's figures", () => {
  it('go by the cutter and the usual where nothing is typed', () =>
    expect(readSheet(JOB, aCut({ cutter: 'hacksaw' }))).toMatchObject({
      ok: true,
      value: { kerf: 1, keep: 300, stock: [{ length: 3000, quantity: null }] },
    }))
  it('typed ones win, nought too', () =>
    expect(readSheet(JOB, aCut({ cutter: 'hacksaw', kerf: '0', keep: '450' }))).toMatchObject({
      ok: true,
      value: { kerf: 0, keep: 450 },
    }))
  it.each<[Partial<CutRecord>, string]>([
    [{ kerf: 'thin' }, 'kerf'],
    [{ kerf: '60' }, 'kerf'],
    [{ keep: '-3' }, 'keep'],
    [{ stock: [{ id: 'a', length: '', quantity: 1, price: null }] }, 'stock.0.length'],
    [{ stock: [{ id: 'a', length: '120 m', quantity: 1, price: null }] }, 'stock.0.length'],
  ])('refuse %j', (changes, path) =>
    expect(readSheet(JOB, aCut(changes))).toMatchObject({ ok: false, error: { path } }),
  )
  it('begin with the stock of the last sheet of the pipe, else with how it is sold', () => {
    expect(usualStock(JOB, 'cu-en-x-22', () => 'new')).toEqual([
      { id: 'new', length: '3 m', quantity: null, price: null },
    ])
    expect(usualStock(aJob({ region: 'us' }), 'pex-cts-3_4', () => 'new')).toMatchObject([{ length: '100 ft' }])
    expect(
      usualStock(
        { ...JOB, cuts: [aCut({ stock: [{ id: 'own', length: '5 m', quantity: 2, price: 31 }] })] },
        'cu-en-x-22',
        () => 'new',
      ),
    ).toMatchObject([{ length: '5 m', quantity: 2, price: 31 }])
  })
})

describe('a plan and its rack', () => {
  const rack = [
    anOffcut({ id: 'offcut-1', length: 1240 }),
    anOffcut({ id: 'offcut-2', length: 650, pipe: 'cu-en-x-15' }),
  ]
  const job = { ...JOB, rack, cuts: [LONG] }
  const plan = planFor(job, LONG)
  it('takes its offcuts of the pipe, and they are promised to it', () => {
    expect(plan.bars.map(({ from, stock }) => [from, stock])).toContainEqual(['rack', 'offcut-1'])
    const sheet = value(planCut(job, LONG, plan))
    const after = rackAfter(rack, job, sheet, sheet.id)
    expect(after[0]!.promised).toEqual({ job: job.id, name: job.name, cut: sheet.id, number: 1 })
    expect(after[1]!.promised).toBeNull()
    // Taken out again, it is free.
    expect(rackAfter(after, job, null, sheet.id)[0]!.promised).toBeNull()
    expect(ACTS['cut/plan'].body.safeParse(JSON.parse(JSON.stringify(plan))).success).toBe(true)
  })
  it('is refused in words where an offcut is promised elsewhere, gone, or another length', () => {
    const promised = { job: 'job-2', name: 'Boat-shed', cut: 'cut-9', number: 3 }
    expect(speakAll(planCut({ rack: [{ ...rack[0]!, promised }] }, LONG, plan), 'gb')).toMatchObject({
      ok: false,
      error: { message: expect.stringMatching(/1240 mm is promised to Boat-shed, sheet C3\. Plan again without it/) },
    })
    expect(planCut({ rack: [] }, LONG, plan)).toMatchObject({
      ok: false,
      error: { message: expect.stringContaining('not on the rack any more') },
    })
    expect(planCut({ rack: [{ ...rack[0]!, length: 1200 }] }, LONG, plan)).toMatchObject({
      ok: false,
      error: { message: expect.stringContaining('1200') },
    })
    expect(rackFor({ rack: [{ ...rack[0]!, promised }] }, LONG)).toEqual([])
    expect(rackFor({ rack }, { ...LONG, leave: ['offcut-1'] })).toEqual([])
  })
  it('that does not hold is refused, and one without the bars that were begun', () => {
    expect(planCut(job, LONG, { ...plan, bars: [] })).toMatchObject({ ok: false, error: { path: 'plan' } })
    const sheet = value(planCut(job, LONG, plan))
    const [row] = cutRows(plan, [])
    const begun = value(
      enterCut(sheet, { id: 'cut-key-1', bar: row!.bar.id, piece: row!.piece.key, length: row!.length }, HAND),
    )
    expect(planCut(job, begun, { ...plan, bars: plan.bars.map((bar) => ({ ...bar, id: `x${bar.id}` })) })).toEqual({
      ok: false,
      error: OTHER_PLAN,
    })
  })
})

describe('cutting', () => {
  const job = { ...JOB, rack: [anOffcut()] }
  const sheet = value(planCut(job, LONG, planFor(job, LONG)))
  const rows = cutRows(sheet.plan!, [])
  const enter = (to: CutRecord, n: number, length = rows[n]!.length) =>
    enterCut(to, { id: `cut-key-${n}`, bar: rows[n]!.bar.id, piece: rows[n]!.piece.key, length }, HAND)
  it('is entered once, however often it comes; the same piece twice is refused', () => {
    const once = value(enter(sheet, 0))
    expect(value(enter(once, 0))).toBe(once)
    expect(progressOf(once)).toEqual({ made: 1, of: 4 })
    expect(
      enterCut(once, { id: 'other-key', bar: rows[0]!.bar.id, piece: rows[0]!.piece.key, length: 10 }, HAND),
    ).toMatchObject({ ok: false, error: { path: 'piece' } })
    expect(enterCut(sheet, { id: 'other-key', bar: 'no bar', piece: rows[0]!.piece.key, length: 10 }, HAND)).toEqual({
      ok: false,
      error: OTHER_PLAN,
    })
    expect(enter(sheet, 0, 9000)).toMatchObject({
      ok: false,
      error: { path: 'length', message: expect.stringContaining('longer than what is left') },
    })
  })
  it('is taken back unless the rest is planned from it', () => {
    const once = value(enter(sheet, 0))
    expect(value(takeBackCut(once, 'cut-key-0')).done).toEqual([])
    const wrong = value(enter(sheet, 0, rows[0]!.length - 60))
    expect(staleness(wrong.plan!, wrong.plan!.pieces, wrong.done, null, 'gb')).toEqual(['a cut came out wrong'])
    expect(value(takeBackCut(wrong, 'cut-key-0')).done).toEqual([])
    const again = value(planCut(job, wrong, planFor(job, wrong)))
    expect(staleness(again.plan!, again.plan!.pieces, again.done, null, 'gb')).toEqual([])
    expect(takeBackCut(again, 'cut-key-0')).toMatchObject({ ok: false })
  })
  it("done, its rests go to the rack with their place, what was begun is gone, and the true sum stands beside the plan's", () => {
    let all = sheet
    for (let n = 0; n < rows.length; n++) all = value(enter(all, n))
    const rest = all.plan!.bars.find(({ from }) => from === 'new')!
    const rests = restsOf(all.plan!, all.done)
    const before = rackAfter(job.rack, job, all, all.id)
    expect(
      finishCut(job, all, { kept: [{ id: 'rest-id-1', rest: rest.id, length: 9000, place: '' }] }, HAND),
    ).toMatchObject({ ok: false, error: { path: 'kept.0.length' } })
    expect(
      finishCut(job, all, { kept: [{ id: 'rest-id-1', rest: 'nothing', length: 9, place: '' }] }, HAND),
    ).toMatchObject({ ok: false, error: { path: 'kept.0.rest' } })
    expect(finishCut(job, sheet, { kept: [] }, HAND)).toMatchObject({ ok: false, error: { path: 'done' } })
    const closed = value(
      finishCut(
        job,
        all,
        {
          kept: [
            {
              id: 'rest-id-1',
              rest: rest.id,
              length: rests.find((one) => one.id === rest.id)!.length - 2,
              place: 'van',
            },
          ],
        },
        HAND,
      ),
    )
    const { sum, first, uncut } = closed.result!
    expect(sum.taken - sum.pieces - sum.kept - sum.scrap).toBeCloseTo(0, 9)
    expect([uncut, first.taken]).toEqual([0, sum.taken])
    const after = rackAfter(before, job, closed, closed.id)
    expect(after).toMatchObject([{ id: 'rest-id-1', place: 'van', from: 'Yard, C1', promised: null }])
    expect(changeCut(closed, { name: 'x' })).toEqual({ ok: false, error: FINISHED })
    expect(value(finishCut(job, closed, { kept: [] }, HAND))).toBe(closed)
  })
  it('stops early: what was not begun goes back', () => {
    const some = value(enter(sheet, 0))
    const closed = value(finishCut(job, some, { kept: [] }, HAND))
    expect(closed.result!.uncut).toBe(3)
    expect(closed.result!.sum.taken).toBe(3000)
    expect(rackAfter(job.rack, job, closed, closed.id).map(({ id, promised }) => [id, promised])).toEqual([
      ['offcut-1', null],
    ])
  })
  it('is the next thing to do, then its rests', () => {
    expect(nextAction(gistOfJob({ ...job, cuts: [sheet] }))).toMatchObject({
      station: 'cut',
      words: `Cut ${rows[0]!.piece.name} at`,
      mm: rows[0]!.length,
      id: sheet.id,
    })
    let all = sheet
    for (let n = 0; n < rows.length; n++) all = value(enter(all, n))
    expect(nextAction(gistOfJob({ ...job, cuts: [all] }))).toMatchObject({
      station: 'cut',
      words: 'Put what C1 left on the rack',
    })
  })
})

describe('a plan and a line that changed', () => {
  it('says which pieces, and that a done one is wanted anew', () => {
    const sheet = value(planCut({ rack: [] }, SHEET, planFor(JOB, SHEET)))
    const changed = { ...JOB, lines: [{ ...LINE, legs: ['e 700', ...LINE.legs.slice(1)] }] }
    const { pieces } = piecesFor(changed, SHEET, [changed])
    expect(staleness(sheet.plan!, pieces, [], null, 'gb')).toEqual([expect.stringMatching(/^L1 p1 is .* now, was /)])
    expect(staleness(sheet.plan!, pieces.slice(0, 2), [], null, 'gb')).toContain('L1 p3 is not wanted any more')
    expect(staleness(sheet.plan!, sheet.plan!.pieces, [], { kerf: 2, keep: 300 }, 'gb')).toEqual([
      'a cut takes 2 mm now, was 0 mm',
    ])
  })
})

describe('the rack by hand', () => {
  it('takes an offcut, moves it, and holds on to one that is promised', () => {
    const job = { ...JOB, rack: [anOffcut({ promised: { job: 'job-2', name: 'Boat-shed', cut: 'cut-9', number: 1 } })] }
    expect(value(putOffcut(job, 'new-offcut', { pipe: 'cu-en-x-22', length: 700, place: 'van' }, HAND))).toMatchObject({
      from: 'Yard',
      by: 'Wyn',
      promised: null,
    })
    expect(value(changeOffcut(job.rack[0]!, { pipe: 'cu-en-x-22', length: 1240, place: 'van' })).place).toBe('van')
    expect(changeOffcut(job.rack[0]!, { pipe: 'cu-en-x-22', length: 900, place: 'van' })).toMatchObject({
      ok: false,
      error: { path: 'length' },
    })
    expect(putOffcut(job, 'new-offcut', { pipe: 'cu-9', length: 700, place: 'van' }, HAND)).toMatchObject({
      ok: false,
      error: { path: 'pipe' },
    })
    expect(offRack(job.rack[0]!)).toMatchObject({ ok: false })
    expect(
      putOffcut(
        { ...job, rack: Array.from({ length: 500 }, (_, i) => anOffcut({ id: `o${i}` })) },
        'new-offcut',
        { pipe: 'cu-en-x-22', length: 700, place: '' },
        HAND,
      ),
    ).toMatchObject({ ok: false, error: { code: 'too-many' } })
  })
})

const NEXT = { number: 2, count: 1 }
describe('a sheet as it is begun and kept', () => {
  it('is refused past a hundred that are there, whatever their numbers', () => {
    const { pipe } = aCut()
    const begin = (number: number, count: number) =>
      beginCut('cut-0002', { number, count }, { ...cutFields.blank, pipe }, HAND)
    expect(begin(900, 99).ok).toBe(true)
    expect(begin(101, 100)).toMatchObject({ ok: false, error: { code: 'too-many', path: 'cuts' } })
  })
  it('needs a pipe of the catalogue; once cut, not another', () => {
    const {
      id: _,
      number: __,
      plan: ___,
      done: ____,
      result: _____,
      version: ______,
      updatedAt: _______,
      updatedBy: ________,
      ...body
    } = aCut()
    expect(value(beginCut('cut-0002', NEXT, body, HAND))).toMatchObject({ number: 2, done: [], plan: null })
    expect(beginCut('cut-0002', NEXT, { ...body, pipe: 'cu-9' }, HAND)).toMatchObject({
      ok: false,
      error: { path: 'pipe' },
    })
    expect(
      changeCut(aCut({ done: [{ id: 'a', bar: 'b', piece: 'c', length: 1, at: '', by: '' }] }), { pipe: 'cu-en-x-15' }),
    ).toMatchObject({ ok: false, error: { path: 'pipe' } })
  })
  it('is there in a job that an earlier version kept', () => {
    const { cuts: _, rack: __, ...old } = JOB
    expect(completeJob(old as JobRecord)).toMatchObject({ cuts: [], rack: [] })
  })
  it.each<[object, string]>([
    [{ stock: [{ id: 'a', length: '3 m', quantity: -1, price: null }] }, 'stock.0.quantity'],
    [{ extras: [{ id: 'a', name: '', length: '1', quantity: 0 }] }, 'extras.0.quantity'],
    [{ extras: [{ id: 'a', name: '', length: '1', quantity: 5000 }] }, 'extras.0.quantity'],
    [{ cutter: 'teeth' }, 'cutter'],
  ])('refuses %j', (changes, path) => {
    const read = cutFields.patch.safeParse(changes)
    expect(read.success ? '' : read.error.issues[0]!.path.join('.')).toBe(path)
  })
})
