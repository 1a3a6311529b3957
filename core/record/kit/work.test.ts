import { describe, expect, it } from 'vitest'
import { findWays } from '#core/joints'
import {
  BLANK_JOINT,
  beginJoint,
  benderFor,
  changeKit,
  kitOf,
  useBender,
  overdue,
  type FittingRecord,
  type ToolRecord,
} from '#core/record'
import { aJob } from '../../../tests/records'

const press: ToolRecord = { method: 'press', sizes: ['15'], due: '2026-11-12' }
const fitting: FittingRecord = {
  method: 'press',
  nominal: '22',
  fitting: 'coupling',
  insertion: 21,
  takeOut: null,
  at: '2026-11-20',
}

describe('benders of one size', () => {
  const bender = (name: string, radius: number) => ({
    ...(name === '' ? {} : { name }),
    pipe: 'cu-en-x-22',
    ...{ radius, setback: radius, springback: 3, at: '2026-11-20' },
    test: {
      marks: [100, 500] as [number, number],
      hook: 250,
      measures: [227.3, 205.7] as [number, number],
      pulled: 93,
      angle: 90,
    },
  })
  const [van, hired] = [bender('', 77), bender('hired', 88)]

  it('stand beside each other by their names, the first of them in use', () => {
    const job = aJob({ benders: [van, hired] })
    expect([benderFor(job, 'cu-en-x-22')?.radius, benderFor(job, 'cu-en-x-15')]).toEqual([77, undefined])
    const benders = useBender(job.benders, hired)
    expect(benderFor({ benders }, 'cu-en-x-22')?.radius).toBe(88)
    expect(benders).toHaveLength(2)
  })

  it('of one name are refused', () => {
    const twice = changeKit(aJob(), { benders: [hired, bender('hired', 90)] })
    expect(twice.ok ? null : twice.error.path).toBe('benders')
    expect(changeKit(aJob(), { benders: [van, hired] }).ok).toBe(true)
  })
})

describe('the kit of a job', () => {
  it('says nothing of tools until they are named; named without sizes means every size', () => {
    expect(kitOf({ tools: null, fittings: [] })).toEqual({ measured: [] })
    expect(kitOf({ tools: [], fittings: [] })).toEqual({ tools: [], measured: [] })
    expect(kitOf({ tools: [press, { method: 'crimp', sizes: [], due: null }], fittings: [fitting] })).toEqual({
      tools: [{ method: 'press', sizes: ['15'] }, { method: 'crimp' }],
      measured: [{ method: 'press', nominal: '22', fitting: 'coupling', insertion: 21 }],
    })
  })
  it('is over its date the day after, not on it', () => {
    expect(overdue([press], '2026-11-12')).toEqual([])
    expect(overdue([press, { ...press, method: 'crimp', due: null }], '2026-11-13')).toEqual([press])
    expect(overdue(null, '2026-11-13')).toEqual([])
  })
  it('names nothing twice', () => {
    expect(changeKit(aJob(), { tools: [press, press] })).toMatchObject({ ok: false, error: { path: 'tools' } })
    expect(changeKit(aJob(), { fittings: [fitting, fitting] })).toMatchObject({
      ok: false,
      error: { path: 'fittings', message: expect.stringContaining('coupling 22') },
    })
    expect(changeKit(aJob(), { tools: [press], policy: { threadSeal: 'tape' } })).toMatchObject({
      ok: true,
      value: { tools: [press], policy: { threadSeal: 'tape' } },
    })
  })
  const HAND = { at: '', by: '' }
  it('decides the ways of a joint: a size that is not there, a fitting that was measured', () => {
    const body = {
      ...BLANK_JOINT,
      a: { pipe: 'cu-en-x-22' },
      b: { pipe: 'cu-en-x-22' },
      wayId: 'press.en:22~press.en:22',
    }
    expect(beginJoint({ ...aJob(), tools: [press] }, 'j', 1, body, HAND)).toMatchObject({
      ok: false,
      error: { path: 'wayId' },
    })
    const begun = beginJoint({ ...aJob(), fittings: [fitting] }, 'j', 1, body, HAND)
    expect(begun).toMatchObject({
      ok: true,
      value: { way: { joints: [{ insertion: { value: 21, source: 'measured' } }, { insertion: { value: 21 } }] } },
    })
    const refused = findWays({ region: 'gb', a: body.a, b: body.b, kit: kitOf({ tools: [press], fittings: [] }) })
    expect(
      refused.ok && refused.value.refused.find(({ method, on }) => method === 'press' && on === 'a'),
    ).toMatchObject({ code: 'tool', reason: 'The press tool on the van has no 22. It has 15.' })
  })
})
