import { describe, expect, it } from 'vitest'
import type { BenchPlan } from '#core/cutting'
import { findWays } from '#core/joints'
import { aCut, aJob, aJoint, anOffcut } from '../../tests/records'
import { entryWords, recordWords } from '~/wording/entry'
import { applyEntry, toRequest, type Act, type Entry } from './entry'

const PLAN: BenchPlan = {
  id: 'plan-0001',
  pieces: [{ key: 'x:1', name: 'flow', length: 1200, left: null, right: null, bends: [], line: null, job: null }],
  bars: [{ id: 'bar-0001', from: 'rack', stock: 'offcut-1', length: 1240, pieces: ['x:1'] }],
  kerf: 0,
  keep: 300,
  used: 0,
  bound: 0,
  optimal: true,
  how: '',
  slips: [],
  first: { taken: 1240, pieces: 1200, kept: 0, scrap: 40 },
}
const job = aJob({ cuts: [aCut()], rack: [anOffcut()] })
const entry = (act: Act, record = 'cut-0001'): Entry => ({
  key: 'key-00001',
  page: 'p',
  at: 0,
  job: job.id,
  record,
  act,
  isSealed: false,
  state: 'waiting',
})
const after = (acts: readonly [Act, string?][]) =>
  acts.reduce((now, [act, record]) => {
    const next = applyEntry(now, entry(act, record))
    if (!next.ok) throw new Error(next.error.message)
    return next.value
  }, job)
const CUT: Act = { do: 'cut', body: { id: 'done-0001', bar: 'bar-0001', piece: 'x:1', length: 1200 } }

describe('work at the bench, as the tablet sees it at once', () => {
  it('promises what a plan takes, and gives it free when the sheet goes', () => {
    expect(after([[{ do: 'plan-cut', plan: PLAN }]]).rack[0]!.promised).toMatchObject({ cut: 'cut-0001', number: 1 })
    expect(after([[{ do: 'plan-cut', plan: PLAN }], [{ do: 'drop-cut' }]])).toMatchObject({
      cuts: [],
      rack: [{ promised: null }],
    })
    expect(
      after([
        [{ do: 'plan-cut', plan: PLAN }],
        [{ do: 'change', kind: 'cuts', changes: { pipe: 'cu-en-x-15' }, base: {}, version: 1 }],
      ]),
    ).toMatchObject({ cuts: [{ plan: null }], rack: [{ promised: null }] })
  })
  it('takes a begun offcut off and puts the rest on when it is finished', () => {
    const done = after([
      [{ do: 'plan-cut', plan: PLAN }],
      [CUT],
      [{ do: 'finish-cut', body: { kept: [{ id: 'rest-0001', rest: 'bar-0001', length: 39, place: 'tin' }] } }],
    ])
    expect(done.rack).toMatchObject([{ id: 'rest-0001', length: 39, place: 'tin', promised: null }])
    expect(done.cuts[0]!.result!.sum).toEqual({ taken: 1240, pieces: 1200, kept: 39, scrap: 1 })
  })
  it('enters a cut once and takes it back', () => {
    expect(after([[{ do: 'plan-cut', plan: PLAN }], [CUT], [CUT]]).cuts[0]!.done).toHaveLength(1)
    expect(after([[{ do: 'plan-cut', plan: PLAN }], [CUT], [{ do: 'uncut', cut: 'done-0001' }]]).cuts[0]!.done).toEqual(
      [],
    )
  })
  it('puts offcuts on the rack and takes them off, not one that is promised', () => {
    const put: Act = { do: 'put-offcut', body: { pipe: 'cu-en-x-22', length: 700, place: 'van' } }
    expect(after([[put, 'offcut-2']]).rack.map(({ id }) => id)).toEqual(['offcut-2', 'offcut-1'])
    expect(
      after([
        [put, 'offcut-2'],
        [{ do: 'drop-offcut' }, 'offcut-2'],
      ]).rack.map(({ id }) => id),
    ).toEqual(['offcut-1'])
    expect(
      applyEntry(after([[{ do: 'plan-cut', plan: PLAN }]]), entry({ do: 'drop-offcut' }, 'offcut-1')),
    ).toMatchObject({ ok: false })
  })
  it.each<[Act, string, string, RegExp, string]>([
    [{ do: 'plan-cut', plan: PLAN }, 'PUT', '/api/jobs/job-1/cuts/cut-0001/plan', /planned, 1 pieces/, 'C1'],
    [CUT, 'PUT', '/api/jobs/job-1/cuts/cut-0001/done', /cut at 1200 mm/, 'C1'],
    [{ do: 'uncut', cut: 'done-0001' }, 'DELETE', '/api/jobs/job-1/cuts/cut-0001/done', /taken back/, 'C1'],
    [
      { do: 'finish-cut', body: { kept: [] } },
      'POST',
      '/api/jobs/job-1/cuts/cut-0001/finish',
      /rests to the rack/,
      'C1',
    ],
    [{ do: 'drop-cut' }, 'DELETE', '/api/jobs/job-1/cuts/cut-0001', /taken out/, 'C1'],
    [
      { do: 'put-offcut', body: { pipe: 'cu-en-x-22', length: 700, place: 'van' } },
      'PUT',
      '/api/jobs/job-1/rack/cut-0001',
      /offcut 700 mm, 22 × 0\.9 copper/,
      'C1',
    ],
    [{ do: 'drop-offcut' }, 'DELETE', '/api/jobs/job-1/rack/cut-0001', /taken off/, 'C1'],
  ])('%j goes out as %s %s', (act, method, url, words, record) => {
    expect(toRequest(entry(act))).toMatchObject({ method, url })
    expect(entryWords(entry(act), job)).toMatch(words)
    expect(recordWords(entry(act), job)).toBe(record)
  })
})

describe('work on a joint', () => {
  const ends = { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } }
  const found = findWays({ region: 'gb', ...ends })
  const wayOf = (method: string) =>
    found.ok ? found.value.ways.find(({ joints }) => joints.every((joint) => joint.method === method))! : null!
  const solder = wayOf('solder')
  const yard = aJob({ joints: [aJoint({ id: 'joint-0001', ...ends, wayId: solder.id, way: solder })] })
  const done = (acts: readonly Act[]) =>
    acts.reduce((now, act) => {
      const next = applyEntry(now, entry(act, 'joint-0001'))
      if (!next.ok) throw new Error(next.error.message)
      return next.value
    }, yard).joints[0]!
  const TAKE: Act = {
    do: 'change',
    kind: 'joints',
    changes: { wayId: wayOf('press').id },
    base: { wayId: solder.id },
    version: 1,
  }

  it('kept by an earlier version names its steps by their place: each still means its own step', () => {
    const old: Act[] = [
      { do: 'tick', place: { entry: 0, step: 4, way: solder.id }, done: true },
      { do: 'wait', place: { entry: 0, step: 11 }, running: true },
    ]
    expect(done(old)).toMatchObject({ ticks: [{ step: 'mark', code: 'mark' }], timers: [{ step: 'wait' }] })
    expect(done([...old, { do: 'tick', place: { entry: 0, step: 4 }, done: false }]).ticks).toEqual([])
    expect(toRequest(entry(old[0]!, 'joint-0001')).body).toEqual({ entry: 0, step: 4, way: solder.id })
    expect(entryWords(entry(old[0]!, 'joint-0001'), yard)).toBe('step 5 done')
  })
  it('names its steps by their ids now', () => {
    const ticked: Act = { do: 'tick', place: { entry: 0, step: 'mark' }, done: true }
    expect(done([ticked]).ticks).toMatchObject([{ step: 'mark' }])
    expect(entryWords(entry(ticked, 'joint-0001'), yard)).toBe('step "mark" done')
  })
  it('brings back what another way put aside', () => {
    const both: Act[] = [{ do: 'tick', place: { entry: 0, step: 'cut' }, done: true }, TAKE]
    expect(done(both)).toMatchObject({ ticks: [], aside: [{ ticks: [{ step: 'cut' }] }] })
    expect(done([...both, { do: 'bring-back' }])).toMatchObject({
      wayId: solder.id,
      ticks: [{ step: 'cut' }],
      aside: [],
    })
    expect(toRequest(entry({ do: 'bring-back' }, 'joint-0001'))).toMatchObject({
      method: 'DELETE',
      url: '/api/jobs/job-1/joints/joint-0001/aside',
    })
    expect(entryWords(entry({ do: 'bring-back' }, 'joint-0001'), yard)).toBe('steps brought back')
  })
})
