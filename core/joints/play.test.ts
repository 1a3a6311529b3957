import { describe, expect, it } from 'vitest'
import { findSlipLength, getPipe } from '#core/catalogue'
import { findWays, JOINT_METHODS, type Conditions, type Kit, type Policy, type WaysAnswer } from '#core/joints'
import { makeJoint } from '#core/making'

const COPPER = { pipe: 'cu-en-x-22' }
function ask(conditions: Partial<Conditions>, policy: Partial<Policy> = {}, kit: Kit = {}): WaysAnswer {
  const answer = findWays({ region: 'gb', a: COPPER, b: COPPER, conditions, policy, kit })
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value
}
const kinds = (answer: WaysAnswer) => new Set(answer.ways.map(({ parts }) => parts[0]!.kind))
const isRefused = (answer: WaysAnswer, method: string) =>
  answer.refused.some((one) => one.method === method && one.code === 'play')

describe('how far each end moves', () => {
  it('counts along both together: a press of 21 to 26 deep goes in at 23 and not at 22', () => {
    // EN 1254-7 practice: 23 typical on 22 mm.
    expect(isRefused(ask({ play: { a: { along: 20 }, b: { along: 3 } } }), 'press')).toBe(
      isRefused(ask({ play: 23 }), 'press'),
    )
    expect(isRefused(ask({ play: { a: { along: 20 }, b: { along: 2 } } }), 'press')).toBe(
      isRefused(ask({ play: 22 }), 'press'),
    )
    expect([22, 23].map((play) => isRefused(ask({ play }), 'press'))).toEqual([true, false])
  })
  it.each([[{}], [{ a: {} }], [{ a: { along: null }, b: { along: 0 } }], [{ b: { along: 0, aside: 0 } }]])(
    'what is not said, or null, is enough: %j',
    (play) => {
      expect(isRefused(ask({ play }), 'press')).toBe(false)
      expect(kinds(ask({ play }))).toContain('coupling')
    },
  )
  it('aside lets a part be put over an end, and never stands in for along', () => {
    const none = { along: 0 }
    const aside = ask({ play: { a: { ...none, aside: 12 }, b: { ...none, aside: 10 } } })
    expect(isRefused(aside, 'press')).toBe(true)
    expect(kinds(aside)).toEqual(new Set(['slip']))
    // 21 together is less than the 22 of the pipe: nothing goes over its end.
    expect(ask({ play: { a: { ...none, aside: 11 }, b: { ...none, aside: 10 } } }).ways).toEqual([])
    expect(kinds(ask({ play: { a: { ...none, aside: 0 }, b: none } }))).toEqual(new Set(['slip']))
    // A bare number says nothing of aside.
    expect(kinds(ask({ play: 0 }))).toEqual(new Set(['slip']))
  })
})

describe('a coupling without a stop', () => {
  const slips = (conditions: Partial<Conditions>) =>
    ask(conditions).ways.filter(({ parts }) => parts[0]!.kind === 'slip')
  it('has no depth of its own: held until the gap is measured, and its length where none is held', () => {
    expect(slips({ play: 0 }).length).toBeGreaterThan(0)
    for (const { verdict, joints, because } of slips({ play: 0 })) {
      expect([verdict, joints.map(({ insertion }) => insertion.value)]).toEqual(['held', [null, null]])
      expect(because.map(({ code }) => code)).toContain('measure')
    }
    for (const { joints, verdict, because } of slips({ play: 0, gap: 20 })) {
      const { method, pipe, insertion } = joints[0]!
      const length = findSlipLength(method as 'press', getPipe(pipe!))
      expect(insertion.value, method).toEqual(length === null ? null : (length.value! - 20) / 2)
      if (length === null) {
        expect(verdict).toBe('held')
        expect(because.find(({ code }) => code === 'measure')!.text).toContain('(length - 20 mm) / 2')
      }
    }
  })
  it('is held where one of the usual length would hold too little', () => {
    for (const way of slips({ play: 0, gap: 79 }))
      expect([way.verdict, way.because.map(({ code }) => code)]).toEqual([
        'held',
        expect.arrayContaining([way.joints[0]!.insertion.value === null ? 'measure' : 'short']),
      ])
  })
  const make = (length: number, gap: number) =>
    makeJoint({ region: 'gb', orientation: 'horizontal', method: 'press', pipe: 'cu-en-x-22', slip: { length, gap } })
  it.each([
    [80, 20, 30],
    [80, 0, 40],
    [100, 45, 27.5],
  ])('of %s over a gap of %s is marked %s from each end', (length, gap, mark) => {
    const answer = make(length, gap)
    expect(answer.ok && answer.value.marks[0]).toEqual({
      what: 'half-coupling',
      fromEnd: mark,
      lo: mark,
      hi: mark,
      source: 'measured',
    })
    expect(answer.ok && answer.value.steps.find(({ id }) => id === 'insert')!.do).toMatch(/wholly onto one pipe/)
  })
  it('that holds less than the least depth is impossible', () => {
    const lo = (() => {
      const ordinary = makeJoint({ region: 'gb', orientation: 'horizontal', method: 'press', pipe: 'cu-en-x-22' })
      return ordinary.ok ? ordinary.value.marks[0]!.lo! : 0
    })()
    expect(make(2 * lo + 20, 20)).toMatchObject({ ok: true })
    expect(make(2 * lo + 19.9, 20)).toMatchObject({ ok: false, error: { code: 'impossible', path: 'slip' } })
    expect(make(10, 20)).toMatchObject({ ok: false, error: { path: 'slip' } })
  })
})

describe('what the job likes best', () => {
  const first = (policy: Partial<Policy>, kit: Kit = {}) => ask({}, policy, kit).ways[0]!
  it('comes before the number of joints and the minutes, within one verdict', () => {
    expect(first({}).joints[0]!.method).toBe('push-fit')
    for (const method of ['press', 'solder', 'compression'] as const)
      expect(first({ order: [method] }).joints.map((joint) => joint.method)).toEqual([method, method])
    const ranks = ask({}, { order: ['press', 'solder'] }).ways.map(({ verdict }) =>
      ['fits', 'care', 'held'].indexOf(verdict),
    )
    expect(ranks).toEqual([...ranks].sort())
  })
  it('what it puts last comes after all else of its verdict, whatever it saves', () => {
    for (const method of ['push-fit', 'solder', 'press'] as const) {
      const { ways } = ask({}, { last: [method] })
      const fitting = ways.filter(({ verdict }) => verdict === 'fits')
      const isLast = fitting.map(({ joints }) => joints.some((joint) => joint.method === method))
      expect(isLast).toContain(true)
      expect(isLast).toEqual([...isLast].sort())
    }
    expect(first({ last: ['push-fit'] }).joints[0]!.method).not.toBe('push-fit')
    expect(first({ last: ['push-fit'], order: ['push-fit'] }).joints[0]!.method).not.toBe('push-fit')
    expect(ask({}, { last: [], orderReason: 'the client' })).toEqual(ask({}))
  })
  it('at one cost and one time the wider bore comes first', () => {
    const answer = findWays({ region: 'gb', a: { pipe: 'cu-en-x-22' }, b: { pipe: 'pex-en-20' } })
    const ways = answer.ok ? answer.value.ways : []
    const sizes = ways
      .filter(({ joints }) => joints[0]!.method === 'press')
      .map(({ joints }) => joints[1]!.thread?.size)
    expect(sizes.slice(0, 4)).toEqual(['3/4', '3/4', '1/2', '1/2'])
  })
  it('an order of nothing changes nothing', () => expect(ask({}, { order: [] })).toEqual(ask({})))
})

describe("the user's own minutes and prices", () => {
  const press = (kit: Kit) => ask({}, {}, kit).ways.find(({ parts }) => parts[0]!.name === 'press coupling')!
  it('win over ours, by size before by method', () => {
    expect(press({ minutes: [{ method: 'press', work: 7, wait: 1 }] }).minutes).toEqual({ work: 14, wait: 1 })
    expect(
      press({
        minutes: [
          { method: 'press', work: 7, wait: 1 },
          { method: 'press', nominal: '22', work: 5, wait: 0 },
        ],
      }).minutes,
    ).toEqual({ work: 10, wait: 0 })
    expect(press({ minutes: [{ method: 'press', nominal: '15', work: 7, wait: 1 }] }).minutes).toEqual(
      press({}).minutes,
    )
  })
  it('are the cost where every part has one', () => {
    expect(press({ prices: [{ name: 'press coupling', size: '22', price: 6.5 }] }).cost).toEqual({
      low: 6.5,
      high: 6.5,
    })
    expect(press({ prices: [{ name: 'press coupling', size: '15', price: 6.5 }] }).cost).toEqual(press({}).cost)
  })
})

describe('an insert fitting between ends that do not move', () => {
  it('says what is done instead of a slip coupling, of every kind of barb and of no other', () => {
    const ways = findWays({
      region: 'us',
      a: { pipe: 'pex-cts-1_2' },
      b: { pipe: 'pex-cts-1_2' },
      conditions: { play: 0 },
    })
    if (!ways.ok) throw new Error(ways.error.message)
    const short = ways.value.refused.filter(({ code }) => code === 'play')
    expect(short.length).toBeGreaterThan(2)
    for (const { method, reason } of short)
      expect(/No slip coupling is made of it: flex an end aside/.test(reason), method).toBe(
        JOINT_METHODS[method as 'crimp'].drawing.mouth.startsWith('barb'),
      )
    expect(ways.value.ways.some(({ parts }) => parts[0]!.name === 'push-fit slip coupling')).toBe(true)
  })
})
