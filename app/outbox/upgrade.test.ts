import { describe, expect, it } from 'vitest'
import { actOf, sent } from '#core/acts'
import { PLAN, wayBy } from '../../tests/act-samples'
import { aJob, aJoint, aLine } from '../../tests/records'
import { entryWords } from '~/wording/entry'
import { applyEntry, toSent, type Entry } from './entry'
import { fromEarlier } from './upgrade'

/* What an earlier version left in a browser: entries that said what they do, each with its own call. */

const NOW = { clock: 'server', by: 'Wyn' } as const
const AHEAD = 5000
const old = (act: object, changes: object = {}) => ({
  key: 'b3f1c0de-0000-4000-8000-000000000001',
  page: 'page-1',
  at: 1_000_000,
  job: 'job-1',
  record: 'record-0001',
  act,
  isSealed: false,
  state: 'waiting',
  ...changes,
})
const brought = (act: object, changes: object = {}): Entry[] => fromEarlier([old(act, changes)], NOW, AHEAD)[0]![1]
const place = { entry: 0, step: 4, way: 'w' }
const line = { name: '', pipe: 'cu-en-x-22', method: 'solder', corners: 'fittings', start: 'free', walls: [], legs: [] }
const change = (kind: string, changes: object, base: object = {}) => ({ do: 'change', kind, changes, base, version: 3 })

/** Every act of the earlier version, and what it is now. */
const EARLIER: readonly [object, string, object?][] = [
  [{ do: 'begin-job', body: { name: 'Yard', place: '', region: 'gb' } }, 'job/begin'],
  [{ do: 'begin-find', body: { place: 'wall', typed: '', by: 'rule', answers: {}, pipe: null } }, 'find/begin'],
  [{ do: 'begin-line', body: { ...line, pulled: {}, clips: {}, fix: {} }, number: 2 }, 'line/begin'],
  [{ do: 'drop-line' }, 'line/drop'],
  [{ do: 'begin-cut', body: { pipe: 'cu-en-x-22' }, number: 1 }, 'cut/begin'],
  [{ do: 'drop-cut' }, 'cut/drop'],
  [{ do: 'plan-cut', plan: PLAN }, 'cut/plan'],
  [{ do: 'cut', body: { id: 'done-0001', bar: 'b', piece: 'x:1', length: 640 } }, 'cut/enter'],
  [{ do: 'uncut', cut: 'done-0001' }, 'cut/take-back', { id: 'done-0001' }],
  [{ do: 'finish-cut', body: { kept: [] } }, 'cut/finish'],
  [{ do: 'put-offcut', body: { pipe: 'cu-en-x-22', length: 740, place: 'van' } }, 'rack/put'],
  [{ do: 'drop-offcut' }, 'rack/drop'],
  [{ do: 'begin-joint', body: { place: '', a: null, b: null }, number: 4 }, 'joint/begin'],
  [{ do: 'photo', body: { name: 'a.jpg', data: 'AAAA' }, width: 4, height: 3 }, 'find/photo'],
  [{ do: 'drop-photo', photo: 'photo-0001' }, 'find/drop-photo', { photo: 'photo-0001' }],
  [change('jobs', { policy: { threadSeal: 'tape' } }), 'kit/change'],
  [change('finds', { typed: '22' }, { typed: '' }), 'find/change', { typed: '22' }],
  [change('cuts', { kerf: '2' }), 'cut/change'],
  [change('joints', { place: 'riser' }), 'joint/change'],
  [change('lines', { legs: ['e 640'] }), 'line/change'],
  [{ do: 'tick', place: { ...place, reading: 3 }, done: true }, 'joint/tick', { ...place, reading: 3 }],
  [{ do: 'tick', place: { ...place, reading: 3 }, done: false }, 'joint/untick', place],
  [{ do: 'fault', place }, 'joint/fail', place],
  [{ do: 'reopen', body: { signoff: 's', reason: 'weeps' } }, 'joint/reopen'],
  [{ do: 'wait', place, running: true }, 'joint/wait', place],
  [{ do: 'wait', place, running: false }, 'joint/stop-wait', place],
  [{ do: 'bring-back' }, 'joint/bring-back', {}],
  [{ do: 'sign', body: { initials: 'OL' }, version: 2, seen: { depths: {} } }, 'joint/sign', { initials: 'OL' }],
  [
    {
      do: 'settle',
      body: {
        kind: 'joints',
        record: 'j',
        kept: 'mine',
        fields: [{ path: 'place', mine: { by: '', at: '', value: 1 }, theirs: { by: '', at: '', value: 2 } }],
      },
    },
    'job/settle',
  ],
]

describe('an entry of an earlier version', () => {
  it.each(EARLIER)('%j is %s now, under its own key and in its own time', (act, name, body) => {
    const [entry, ...more] = brought(act)
    expect(more).toEqual([])
    expect(entry).toMatchObject({
      key: 'b3f1c0de-0000-4000-8000-000000000001',
      at: 1_000_000 + AHEAD,
      by: 'Wyn',
      act: { name, ...(body ? { body } : {}) },
    })
    expect(sent.safeParse(toSent(entry!))).toMatchObject({ success: true })
    expect(actOf(entry!.act.name).body.safeParse(entry!.act.body)).toMatchObject({ success: true })
    expect(entryWords(entry!, aJob())).not.toMatch(/undefined|\[object/)
  })
  it('keeps what it rests on, what came back of it, and whether it was sent', () => {
    const issue = { code: 'range', path: 'typed', message: 'typed: too long.' }
    const about = { isSealed: true, state: 'refused', issue }
    expect(brought(change('finds', { typed: '22' }, { typed: '' }), about)[0]).toMatchObject({
      ...about,
      version: 3,
      seen: { typed: '' },
    })
  })
  it('that was refused since its address is gone is sent again', () => {
    const issue = { code: 'unknown-id', path: '', message: 'There is no such route.' }
    expect(brought({ do: 'tick', place, done: true }, { isSealed: true, state: 'refused', issue })[0]).toMatchObject({
      isSealed: false,
      state: 'waiting',
      issue: undefined,
    })
  })
  it('of the kit is on its job', () => {
    expect(brought(change('jobs', { tools: null }), { record: 'kit-job-1' })[0]!.record).toBe('job-1')
  })
  it('of supports and bends is one act for each, under keys of their own', () => {
    const made = brought(
      change(
        'lines',
        {
          name: 'hot',
          clips: {
            '0:1': { mm: 900, at: '2026-11-26T09:00:00Z' },
            '0:2': { mm: 5, at: null },
            '0:3': { mm: 1, at: null },
          },
          pulled: { 'p1:2': { at: 'x', marks: '1/2' } },
        },
        {
          name: '',
          clips: { '0:3': { mm: 1, at: null }, '1:0': { mm: 3, at: 'y' } },
          pulled: { 'p1:1': { at: 'x', marks: '1/2' } },
        },
      ),
    )
    expect(made.map(({ act }) => [act.name, act.body])).toEqual([
      ['line/change', { name: 'hot' }],
      ['line/fix-support', { support: '0:1', mm: 900 }],
      ['line/move-support', { support: '0:2', mm: 5 }],
      ['line/free-support', { support: '1:0' }],
      ['line/bend-step', { piece: 'p1', step: 2, marks: '1/2' }],
      ['line/unbend-step', { piece: 'p1', step: 1 }],
    ])
    expect(new Set(made.map(({ key }) => key)).size).toBe(6)
    for (const one of made) expect(sent.safeParse(toSent(one))).toMatchObject({ success: true })
  })
  it('of counts is a count, and each joint that was looked at', () => {
    const count = { item: 'olive 22', unit: 'piece', out: 10, back: 7, seen: ['a', 'b'] }
    const made = brought(change('jobs', { counts: [count] }, { counts: [{ ...count, back: null, seen: ['a'] }] }))
    expect(made.map(({ act }) => [act.name, act.body])).toEqual([
      ['kit/count', { item: 'olive 22', out: 10, back: 7 }],
      ['kit/found', { item: 'olive 22', joint: 'b' }],
    ])
  })
  it('that says nothing we know of is let go, and an entry of this version stays as it is', () => {
    expect(fromEarlier([old({ do: 'dance' })], NOW, 0)).toEqual([['b3f1c0de-0000-4000-8000-000000000001', []]])
    expect(fromEarlier([old({ name: 'joint/tick', body: place })], NOW, 0)).toEqual([])
  })
  it('names its steps by their place: each still means its own step', () => {
    const solder = wayBy('solder')
    const ends = { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } }
    const yard = aJob({
      joints: [aJoint({ id: 'joint-0001', ...ends, wayId: solder.id, way: solder })],
      lines: [aLine()],
    })
    const done = [
      { do: 'tick', place: { entry: 0, step: 4, way: solder.id }, done: true },
      { do: 'wait', place: { entry: 1, step: 11 }, running: true },
    ].reduce((job, act) => {
      const next = applyEntry(job, brought(act, { record: 'joint-0001' })[0]!)
      if (!next.ok) throw new Error(next.error.message)
      return next.value!
    }, yard)
    expect(done.joints[0]).toMatchObject({ ticks: [{ step: 'mark', code: 'mark' }], timers: [{ step: 'wait' }] })
    expect(entryWords(brought({ do: 'tick', place: { entry: 0, step: 4 }, done: true })[0]!, yard)).toBe('step 5 done')
  })
})
