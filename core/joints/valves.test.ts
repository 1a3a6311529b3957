import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { findValveTakeOut, getPipe, VALVES, type Valve } from '#core/catalogue'
import { ask } from '#core/contract'
import { hasMarks } from '#core/speech'
import type { Region } from '#core/units'
import type { Way, WaysAnswer, WaysQuestion } from './types'

const REGIONS: readonly Region[] = ['gb', 'us', 'eu']
const ways = (question: Partial<WaysQuestion> & Pick<WaysQuestion, 'a' | 'b'>): WaysAnswer => {
  const answer = ask('ways', { region: 'gb', ...question })
  if (!answer.ok) throw new Error(JSON.stringify(answer.error))
  return answer.value as WaysAnswer
}
const COPPER = { pipe: 'cu-en-x-22' }
const inLine = (valve: Valve, more: Partial<WaysQuestion> = {}) => ways({ a: COPPER, b: COPPER, valve, ...more })
const named = (answer: WaysAnswer, name: string): Way | undefined =>
  answer.ways.find(({ parts }) => parts[0]!.name === name)
const codes = (way: Way | undefined) => way?.cautions.map(({ code }) => code) ?? []
const valvesIn = ({ parts }: Way) => parts.filter(({ kind }) => kind === 'valve')

describe('a valve in line', () => {
  // By hand, out of the tables of depths: press 22.5, compression 23.5, solder 15.4 at each end.
  it('is joined at both ends by one method, or by threads between two adaptors', () => {
    const answer = inLine('ball')
    for (const [name, depth, verdict] of [
      ['press ball valve', 22.5, 'fits'],
      ['compression ball valve', 23.5, 'fits'],
      ['push-fit ball valve', 31, 'fits'],
      ['solder ball valve', 15.4, 'care'],
    ] as const) {
      const way = named(answer, name)!
      expect(way.joints.map(({ on, insertion }) => [on, insertion.value])).toEqual([
        ['a', depth],
        ['b', depth],
      ])
      expect(way.parts[0]).toMatchObject({ kind: 'valve', size: '22', quantity: 1 })
      expect(way.verdict, name).toBe(verdict)
    }
    const threaded = answer.ways.find(({ parts }) => parts[1]?.name === 'female BSP ball valve')!
    // A taper male is sealed into a parallel female: 12 of 3/4, no washer.
    expect(threaded.joints[1]).toMatchObject({ method: 'thread', on: 'between', insertion: { value: 12 } })
    expect(threaded.parts.map(({ kind }) => kind)).toEqual(['adapter', 'valve', 'adapter'])
  })
  it('goes by the outside of inch tube at the counter', () => {
    const copper = { pipe: 'cu-l-1_2' }
    const answer = ways({ region: 'us', a: copper, b: copper, valve: 'ball' })
    expect(named(answer, 'compression ball valve')!.parts[0]!.size).toBe('5/8 OD (1/2 nominal)')
    expect(named(answer, 'solder ball valve')!.joints[0]!.insertion.value).toBe(12.7)
    expect(named(answer, 'press ball valve')!.parts[0]!.size).toBe('1/2')
  })
  it('is opened and kept cool before the flame, and stays in reach', () => {
    expect(codes(named(inLine('ball'), 'solder ball valve'))).toContain('valve-heat')
    expect(codes(named(inLine('ball'), 'press ball valve'))).not.toContain('valve-heat')
    for (const way of inLine('ball', { conditions: { hidden: true } }).ways) {
      expect(way.verdict).toBe('held')
      expect(codes(way)).toContain('valve-reach')
    }
  })
  it('with a seat on one side goes by its arrow; a ball, a gate and a service valve have no side', () => {
    for (const valve of VALVES)
      for (const way of inLine(valve).ways)
        expect(codes(way).includes('flow-arrow'), valve).toBe(
          ['stop', 'check', 'regulator', 'angle', 'straight'].includes(valve),
        )
  })
  it('that cannot be turned round is held where the water comes in at its outlet', () => {
    const [pe, copper] = [{ pipe: 'pe-en-25' }, { pipe: 'cu-en-x-15' }]
    const entry = (flowFrom: 'a' | 'b' | undefined, isTurned: boolean) =>
      named(
        ways({
          a: isTurned ? copper : pe,
          b: isTurned ? pe : copper,
          valve: 'stop',
          conditions: flowFrom ? { flowFrom } : {},
        }),
        'entry stop valve with drain, PE x copper compression',
      )!.because[0]!.code
    expect(entry('a', false)).not.toBe('flow-arrow')
    expect(entry(undefined, false)).not.toBe('flow-arrow')
    expect(entry('b', false)).toBe('flow-arrow')
    expect(entry('b', true)).not.toBe('flow-arrow')
    expect(entry('a', true)).toBe('flow-arrow')
  })
  // By hand: 22 pressed 22.5 deep, 3/4 BSP taper made up 12 in its parallel female; 3/4 in copper 19.05, NPT 14.05.
  it.each([
    ['gb', 'cu-en-x-22', 'bspt', 'press x female BSP ball valve', '22 x 3/4', [22.5, 12]],
    ['us', 'cu-l-3_4', 'npt', 'solder x female NPT ball valve', '3/4 x 3/4', [19.05, 14.05]],
  ] as const)(
    '%s: takes a tube at one end and a threaded pipe at the other',
    (region, pipe, form, name, size, depths) => {
      const brass = { thread: { form, size: '3/4', gender: 'male', material: 'brass' } } as const
      const way = named(ways({ region, a: { pipe }, b: brass, valve: 'ball' }), name)!
      expect(way.parts[0]).toMatchObject({ kind: 'valve', size })
      expect(way.joints.map(({ insertion }) => insertion.value)).toEqual(depths)
    },
  )
  it('to a fixture has the tube at one end, the fixture at the other', () => {
    const stop = ways({
      region: 'us',
      a: { pipe: 'cu-l-1_2' },
      b: { pipe: 'cu-l-1_4', temper: 'soft' },
      valve: 'angle',
    })
    // 1/4 nominal is 9.525 mm, 3/8 outside.
    expect(named(stop, 'solder x compression angle valve')!.parts[0]!.size).toBe('1/2 x 3/8 OD (1/4 nominal)')
    const tap = ways({
      a: { pipe: 'cu-en-x-15' },
      b: { thread: { form: 'bspp', size: '1/2', gender: 'female', material: 'brass', seat: 'flat' } },
      valve: 'angle',
    })
    expect(named(tap, 'compression x male BSP parallel angle valve')!.parts[0]!.size).toBe('15 x 1/2')
  })
  it('of any kind stands once in each way, by its word in every region, and no other beside it', () => {
    const pipes = [
      'cu-en-x-15',
      'cu-en-x-22',
      'cu-l-3_4',
      'cu-l-1_4',
      'pex-cts-1_2',
      'pe-en-25',
      'st-en-3_4',
      'ml-en-16',
    ]
    fc.assert(
      fc.property(
        fc.constantFrom(...pipes),
        fc.constantFrom(...pipes),
        fc.constantFrom(...VALVES),
        fc.constantFrom(...REGIONS),
        fc.boolean(),
        (a, b, valve, region, isClosed) => {
          const answer = ways({ region, a: { pipe: a }, b: isClosed ? { cap: true } : { pipe: b }, valve })
          for (const way of answer.ways) {
            expect(valvesIn(way)).toHaveLength(1)
            expect(valvesIn(way)[0]!.name).toContain(valve)
            expect(hasMarks(JSON.stringify(way))).toBe(false)
            expect(way.parts.filter(({ kind }) => kind === 'cap' || kind === 'plug')).toHaveLength(isClosed ? 1 : 0)
          }
        },
      ),
      { numRuns: 60 },
    )
  })
  it('a word that is no valve is not known', () => {
    expect(ask('ways', { region: 'gb', a: COPPER, b: COPPER, valve: 'butterfly' })).toMatchObject({
      ok: false,
      error: { code: 'unknown-id', path: 'valve' },
    })
  })
})

describe('findValveTakeOut', () => {
  // Typed again from the lists of practice, middle to stop.
  it.each([
    ['ball', 'press', 'cu-en-x-22', 26.5, 19, 42],
    ['ball', 'solder', 'cu-l-3_4', 22.5, 15.9, 33],
    ['ball', 'clamp', 'pex-cts-1_2', 21, 15, 32],
    ['gate', 'compression', 'cu-en-x-28', 24.5, 17, 34],
    ['stop', 'pe-compression', 'pe-en-25', 38, 28, 52],
    ['service', 'push-fit', 'bs7291-15', 19, 13, 28],
    ['angle', 'compression', 'cu-l-1_2', 17.5, 10, 28],
    ['drain', 'compression', 'cu-en-x-22', 22, 16, 30],
    ['ball', 'solvent-cement', 'cpvc-cts-3_4', 27, 20, 37],
    ['ball', 'solvent-cement', 'pvc-40-1', 31, 23, 43],
  ] as const)('%s by %s on %s', (valve, method, pipe, value, lo, hi) => {
    expect(findValveTakeOut(valve, { method, pipe: getPipe(pipe) })).toMatchObject({ value, lo, hi })
  })
  it('of threads goes by their form and size', () => {
    expect(findValveTakeOut('gate', { method: 'thread', form: 'npt', size: '3/4' })).toMatchObject({ value: 13.5 })
    expect(findValveTakeOut('stop', { method: 'thread', form: 'bspp', size: '1-1/4' })).toMatchObject({ value: 39 })
  })
  it('is none where nobody has a figure: then it is measured', () => {
    for (const [valve, method, pipe] of [
      ['ball', 'press', 'ss-en-22'],
      ['straight', 'solder', 'cu-en-x-15'],
      ['regulator', 'compression', 'cu-en-x-15'],
      ['angle', 'compression', 'cu-l-3_8'],
      ['service', 'solder', 'cu-l-1_2'],
    ] as const)
      expect(findValveTakeOut(valve, { method, pipe: getPipe(pipe) }), `${valve} ${method} ${pipe}`).toBeNull()
  })
})
