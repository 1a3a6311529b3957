import { describe, expect, it } from 'vitest'
import type { Result } from '#core/base'
import {
  gistOfJob,
  changeLine,
  fixLine,
  fixSettings,
  lineFlow,
  nextAction,
  fixSupport,
  freeSupport,
  moveSupport,
  supportOrder,
  type LineRecord,
} from '#core/record'
import { aJob, aLine } from '../../../tests/records'

const job = aJob()
/** Along a wall, up it and back: 22 copper with elbows. */
const line = (changes: Partial<LineRecord> = {}) =>
  aLine({ start: 'free', legs: ['e 4000', 'u 2000', 'e 3000 free'], ...changes })
const fixed = (changes: Partial<LineRecord> = {}) => fixLine(job, line(changes))!
const HAND = { at: '2026-11-26T09:00:00.000Z', by: 'Wyn' }
const value = (result: Result<LineRecord>): LineRecord => {
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}
/** What of a line is changed where one support is moved. */
const move = (support: string, mm: number) => ({ clips: value(moveSupport(job, line(), { support, mm }, HAND)).clips })

describe('a support', () => {
  const keys = fixed().supports.map(({ key }) => key)
  it('is fixed by a hand at a time, once, and freed again', () => {
    for (const support of keys) {
      const once = value(fixSupport(job, line(), { support, mm: 600 }, HAND))
      expect(once.clips).toEqual({ [support]: { mm: 600, ...HAND } })
      expect(value(fixSupport(job, once, { support, mm: 600 }, { at: '2026-12-01T00:00:00.000Z', by: 'Ola' }))).toBe(
        once,
      )
      expect(value(freeSupport(job, once, { support })).clips).toEqual({})
    }
  })
  it('moved by hand is not fixed there any more', () => {
    const once = value(fixSupport(job, line(), { support: '0:1', mm: 600 }, HAND))
    expect(value(moveSupport(job, once, { support: '0:1', mm: 700 }, HAND)).clips['0:1']).toMatchObject({
      mm: 700,
      at: null,
    })
  })
  it('that there is not is refused, and so is one past the end of its leg', () => {
    for (const support of ['999:99', '3:0', `0:${keys.length}`])
      for (const act of [fixSupport, moveSupport])
        expect(act(job, line(), { support, mm: 600 }, HAND)).toMatchObject({
          ok: false,
          error: { code: 'unknown-id', path: 'support' },
        })
    expect(freeSupport(job, line(), { support: '999:99' })).toMatchObject({ ok: false, error: { path: 'support' } })
    expect(fixSupport(job, line({ legs: ['x nonsense'] }), { support: '0:0', mm: 1 }, HAND).ok).toBe(false)
    expect(fixSupport(job, line(), { support: '1:0', mm: 2001 }, HAND)).toMatchObject({
      ok: false,
      error: { code: 'range', path: 'mm' },
    })
  })
  it('of a line that was drawn otherwise since can still be let go', () => {
    const old = line({ clips: { '7:0': { mm: 5, at: HAND.at } } })
    expect(value(freeSupport(job, old, { support: '7:0' })).clips).toEqual({})
  })
})

describe('a line that is held', () => {
  it('takes what is usual where nobody said, by its service and country', () => {
    expect(fixSettings(job, line())).toEqual({ service: 'cold', temperature: 20, installedAt: 15, code: 'gb' })
    expect(fixSettings(aJob({ region: 'us' }), line({ fix: { service: 'heating', installedAt: 8 } }))).toEqual({
      service: 'heating',
      temperature: 75,
      installedAt: 8,
      code: 'ipc',
    })
  })
  it('has its supports by the code, named along it, each from the left end of its own piece', () => {
    const { supports } = fixed()
    expect(supports.map(({ name, leg, kind }) => [name, leg, kind])).toEqual([
      ['S1', 0, 'clip'],
      ['S2', 0, 'clip'],
      ['S3', 0, 'clip'],
      ['S4', 1, 'clip'],
      ['S5', 2, 'clip'],
      ['S6', 2, 'clip'],
    ])
    expect(supports.every(({ broken }) => broken.length === 0)).toBe(true)
    // The first leg begins free: from its end and from the leg's start is the same.
    expect(supports[0]!.fromLeft).toBeCloseTo(supports[0]!.at, 9)
    // The second begins in an elbow, so the tube is shorter by the take-out there.
    expect(supports[3]!.piece).toBe('p2')
    expect(supports[3]!.fromLeft).toBeLessThan(supports[3]!.at)
    // Its strip has the same marks.
    const piece = fixed().tubes.find((one) => one.piece.id === 'p1')!.piece
    expect(piece.marks.filter(({ what }) => what === 'clip').map(({ at }) => Math.round(at))).toEqual(
      supports.filter((one) => one.piece === 'p1').map(({ fromLeft }) => Math.round(fromLeft!)),
    )
  })
  it('keeps a support where the hand put it, and says what that breaks', () => {
    const [first] = fixed().supports
    const moved = fixed(move(first!.key, 1500)).supports
    expect(moved[0]).toMatchObject({
      isMoved: true,
      at: 1500,
      fixedAt: null,
      broken: [{ code: 'far-end', text: expect.stringContaining('at most 900') }],
    })
    expect(moved[1]!.isMoved).toBe(false)
    const onJoint = fixed(move(fixed().supports[2]!.key, 3990)).supports
    expect(onJoint.flatMap(({ broken }) => broken.map(({ code }) => code))).toContain('on-joint')
    expect(value(freeSupport(job, line(move(first!.key, 1500)), { support: first!.key })).clips).toEqual({})
  })
  it('may sit where its neighbours let it: there it breaks nothing', () => {
    for (const support of fixed().supports) {
      for (const mm of [support.may!.from, (support.may!.from + support.may!.to) / 2, support.may!.to]) {
        const after = fixed(move(support.key, mm)).supports
        expect(
          after.flatMap(({ broken }) => broken),
          `${support.name} at ${mm}`,
        ).toEqual([])
      }
    }
  })
  it('leaves clips that were typed with a leg where they were typed', () => {
    expect(
      fixed({ legs: ['e 4000 clip 500 2000 3500', 'u 2000', 'e 3000 free'] })
        .supports.filter(({ leg }) => leg === 0)
        .map(({ at }) => at),
    ).toEqual([500, 2000, 3500])
  })
  it("goes by the maker's own distances where they are given, also where the code has none", () => {
    expect(fixed({ fix: { across: 1000 } }).supports.filter(({ leg }) => leg === 0)).toHaveLength(4)
    expect(fixed({ fix: { across: 1000 } }).groups[0]!.answer.source).toContain('maker')
    expect(fixed({ pipe: 'pert-cts-1_2' }).supports).toEqual([])
    expect(fixed({ pipe: 'pert-cts-1_2', fix: { across: 500, up: 800 } }).supports.length).toBeGreaterThan(15)
  })
  it('is what comes next once nothing else is open', () => {
    expect(nextAction(gistOfJob(aJob({ lines: [line({ name: 'loft' })] })))).toMatchObject({
      station: 'fix',
      words: 'Fix S1 of L1 at',
      mm: expect.closeTo(666.7, 0),
      below: 'loft',
    })
  })
  it('counts what is fixed, and orders by kind and size', () => {
    const one = line({ clips: { '0:0': { mm: 700, at: '2026-11-26T09:00:00.000Z' } } })
    expect(gistOfJob(aJob({ lines: [one] })).lines).toMatchObject([{ fixed: 1, supports: 6, isBroken: false }])
    expect(
      supportOrder(aJob({ lines: [one, line({ fix: { service: 'hot', temperature: 65, installedAt: 10 } })] })),
    ).toEqual([
      { quantity: 2, name: 'anchor bracket', size: '22 \u00d7 0.9 copper' },
      { quantity: 6, name: 'pipe clip', size: '22 \u00d7 0.9 copper' },
      { quantity: 4, name: 'sliding clip', size: '22 \u00d7 0.9 copper' },
    ])
  })
  it('has a bracket of its own for each valve and outlet', () => {
    const order = supportOrder(aJob({ lines: [line({ legs: ['e 1000 valve', 'e 1500 stop = tap'] })] }))
    expect(order.filter(({ name }) => name.endsWith('bracket'))).toMatchObject([
      { quantity: 1, name: 'outlet bracket' },
      { quantity: 1, name: 'valve bracket' },
    ])
  })
  // By hand: 1,000 to the outlet through a wall of 100: one sleeve, two screws, five plates as counted.
  it('orders what guards and carries it: plates, sleeves, screws, a stub-out its bracket', () => {
    const order = supportOrder(
      aJob({
        lines: [
          line({ legs: ['e 1000 drop-ear'], walls: ['e 400 100'], fix: { guards: 5 } }),
          line({ legs: ['e 1000 stub-out'], walls: ['e 950 100'] }),
        ],
      }),
    ).map(({ quantity, name, size }) => `${quantity} ${name} ${size}`.trim())
    expect(order).toEqual(
      expect.arrayContaining([
        '5 guard plate, steel',
        '2 screw into solid wood, for a wallplate elbow',
        '1 sleeve through a wall, one or two sizes larger for 22 \u00d7 0.9 copper, 100 mm of wall',
        '1 stub-out bracket 22 \u00d7 0.9 copper',
      ]),
    )
    // The second line ends inside its wall and goes through none.
    expect(order.filter((one) => one.includes('sleeve'))).toHaveLength(1)
  })
  it('has a bend support only for tube that springs back, bent tighter than it is laid free', () => {
    const bent = (pipe: string) => line({ pipe, method: 'expansion', legs: ['e 600 bend', 'u 600'] })
    const ordered = (pipe: string, radius?: number) => {
      const benders = radius === undefined ? [] : [{ pipe, radius, setback: null, springback: null, at: '2026-11-01' }]
      return supportOrder({ ...aJob({ lines: [bent(pipe)] }), benders } as unknown as Parameters<
        typeof supportOrder
      >[0])
        .filter(({ name }) => name === 'bend support')
        .map(({ quantity }) => quantity)
    }
    // By hand: 20 PEX is laid free at 8 x 20 = 160.
    expect(ordered('pex-en-20', 100)).toEqual([1])
    expect(ordered('pex-en-20', 160)).toEqual([])
    expect(ordered('pex-en-20')).toEqual([])
    expect(ordered('cu-en-x-22', 60)).toEqual([])
  })
  it('is told of arms that a clip stops', () => {
    const hot = fixed({
      fix: { service: 'heating', temperature: 75, installedAt: 14 },
      legs: ['e 12000', 'u 700 free'],
    })
    expect(hot.arms.find(({ across }) => across === 1)).toMatchObject({ leg: 0, end: 'end' })
    expect(hot.rules.filter(({ code }) => code === 'arm-short')).toMatchObject([
      { leg: 1, text: expect.stringContaining('A to B grows') },
    ])
  })
  it('is told of a wall that holds a moving leg, and of a branch that it bends', () => {
    const hot = { service: 'heating' as const, temperature: 75, installedAt: 14 }
    const rules = (changes: Partial<LineRecord>) => fixed(changes).rules.map(({ code }) => code)
    expect(rules({ walls: ['e 2000 100'], fix: hot })).toContain('wall-stops')
    expect(rules({ walls: ['e 2000 100'] })).not.toContain('wall-stops')
    expect(rules({ walls: ['e 9000 100'], fix: hot })).not.toContain('wall-stops')
    // By hand: 10 m from an anchor near its middle moves the tee by some 5 mm; 61 x root of 15 x 5 is over 500.
    const branch = { legs: ['e 10000 tee', 'n 400 on 15 free', 'from b e 3000 free'], fix: hot }
    expect(fixed(branch).rules.find(({ code }) => code === 'branch-arm')!.text).toMatch(
      /A to B moves the branch B to C by [\d.]+ mm: it wants [\d.]+ mm free from its tee and has [\d.]+ mm/,
    )
    expect(rules({ ...branch, fix: {} })).not.toContain('branch-arm')
  })
  it('is null while no leg can be laid; an unknown pipe is refused', () => {
    expect(fixLine(job, line({ legs: [] }))).toBeNull()
    expect(fixLine(job, line({ legs: ['sideways'] }))).toBeNull()
    expect(changeLine(line(), { pipe: 'x' }).ok).toBe(false)
  })
})

describe('the flow of a line', () => {
  const flow = (changes: Partial<LineRecord>) => lineFlow(job, line(changes))
  it('is summed leg by leg, with its elbows, and steps at them', () => {
    const answer = flow({ fix: { flow: '12 l/min' } })
    const value = answer.ok ? answer.value! : null
    expect(value!.legs.map(({ from, to }) => [from, to])).toEqual([
      [0, 4000],
      [4000, 6000],
      [6000, 9000],
    ])
    expect(value!.drop).toBeCloseTo(
      value!.legs.reduce((sum, { answer: { drop } }) => sum + drop, 0),
      12,
    )
    expect(value!.lost.at(-1)!.bar).toBeCloseTo(value!.drop, 12)
    // An elbow at 4000: two figures at one place.
    const [before, after] = value!.lost.filter(({ at }) => at === 4000)
    expect(after!.bar).toBeGreaterThan(before!.bar)
    for (let i = 1; i < value!.lost.length; i++)
      expect(value!.lost[i]!.bar).toBeGreaterThanOrEqual(value!.lost[i - 1]!.bar)
  })
  it('follows the longest way at a branch', () => {
    const answer = flow({ fix: { flow: '0.1' }, legs: ['e 1000 tee', 'n 300 free', 'from b e 5000 free'] })
    expect(answer.ok && answer.value!.legs.at(-1)!.to).toBeCloseTo(6000, 6)
  })
  it('sees the inserts of crimped ends', () => {
    const crimped = lineFlow(
      aJob({ region: 'us' }),
      line({
        pipe: 'pex-cts-1_2',
        method: 'crimp',
        fix: { flow: '3 gpm', service: 'hot' },
        legs: ['e 60', 'u 40', 'e 30 free'],
      }),
    )
    expect(crimped.ok && crimped.value!.inserts.length).toBe(4)
    expect(crimped.ok && crimped.value!.isOver).toBe(true)
  })
  it('is null without a flow, and an issue where it cannot be read or water is ice', () => {
    expect(flow({})).toEqual({ ok: true, value: null })
    expect(flow({ fix: { flow: 'much' } })).toMatchObject({ ok: false, error: { path: 'flow' } })
    expect(flow({ fix: { flow: '0.2', temperature: -4 } })).toMatchObject({
      ok: false,
      error: { path: 'temperature', message: expect.stringContaining('ice') },
    })
    expect(flow({ fix: { flow: '0' } })).toMatchObject({ ok: true, value: { drop: 0, isOver: false } })
  })
})
