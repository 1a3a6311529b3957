import { describe, expect, it } from 'vitest'
import { LINE_FITTINGS, LINE_VALVES } from '#core/catalogue'
import { ask } from '#core/contract'
import type { Region } from '#core/units'
import { isLineValve, type LineAnswer, type LineQuestion } from '.'

const lay = (question: Partial<LineQuestion> & Pick<LineQuestion, 'legs'>, region: Region = 'gb'): LineAnswer => {
  const asked = { region, pipe: 'cu-en-x-22', method: 'press', start: { kind: 'free' }, ...question }
  const answer = ask('line', asked)
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value as LineAnswer
}
const to = (length: number, fitting: string, more: object = {}) =>
  ({ length, to: 'right', end: { kind: 'fitting', fitting, ...more } }) as LineQuestion['legs'][number]
const free = (length: number) => ({ length, to: 'right', end: { kind: 'free' } }) as LineQuestion['legs'][number]

describe('a valve in a line', () => {
  // By hand: press ball valve 22, middle to stop 26.5. 600 to its middle, 400 on from there.
  it('takes half of itself out of each pipe', () => {
    const { pieces, fittings } = lay({ legs: [to(600, 'ball-valve'), free(400)] })
    expect(pieces.map(({ cut }) => cut)).toEqual([573.5, 373.5])
    expect(fittings).toEqual([{ name: 'press ball valve', nominal: '22', quantity: 1 }])
    expect(pieces[0]!.working.find(({ op }) => op === '-')!.text).toBe('take-out of the ball valve')
  })
  // By hand: solder gate valve 3/4, 17.9: 24 in (609.6) less that is 591.7.
  it('of inch tube by its own row', () => {
    const { pieces } = lay({ pipe: 'cu-l-3_4', method: 'solder', legs: [to(609.6, 'gate-valve'), free(300)] }, 'us')
    expect(pieces[0]!.cut).toBeCloseTo(591.7, 6)
    expect(pieces[0]!.ends[1]).toMatchObject({ insertion: 19.05, into: 'gate-valve' })
  })
  it('that nobody has a figure for is measured: given on the leg, or in the kit', () => {
    const none = lay({ legs: [to(600, 'pressure-regulator'), free(400)] })
    expect(none.pieces.map(({ cut }) => cut)).toEqual([null, null])
    const kit = { measured: [{ method: 'press', nominal: '22', fitting: 'regulator', takeOut: 40 }] as const }
    expect(lay({ kit, legs: [to(600, 'pressure-regulator'), free(400)] }).pieces[0]!.cut).toBe(560)
    expect(lay({ legs: [to(600, 'ball-valve', { takeOut: 31 }), free(400)] }).pieces[0]!.cut).toBe(569)
  })
  it('is every kind that the catalogue holds, in the order of no other fitting', () => {
    for (const name of Object.keys(LINE_VALVES)) expect(isLineValve(name), name).toBe(true)
    expect(LINE_FITTINGS.filter((name) => isLineValve(name))).toEqual(['valve', ...Object.keys(LINE_VALVES)])
  })
})

describe('a cap at the end of a line', () => {
  // By hand: press cap 22 is 33 long and takes 22.5, so 10.5 stand out beyond the pipe: 500 to its outside is 489.5.
  it('is measured to its outer end', () => {
    const [piece] = lay({ legs: [to(500, 'cap')] }).pieces
    expect(piece!.cut).toBe(489.5)
    expect(piece!.ends[1]).toMatchObject({ insertion: 22.5, takeOut: 10.5, into: 'cap' })
  })
  // By hand: solder cap 1/2 in is 14.5 long and takes 12.7: 1.8 out; 12 in is 304.8, cut 303.
  it('of inch tube alike', () => {
    expect(lay({ pipe: 'cu-l-1_2', method: 'solder', legs: [to(304.8, 'cap')] }, 'us').pieces[0]!.cut).toBeCloseTo(
      303,
      6,
    )
    // A 1/2 in NPT cap is 22.1 high and makes up 13.57.
    expect(lay({ pipe: 'st-40-1_2', method: 'thread', legs: [to(304.8, 'cap')] }, 'us').pieces[0]!.cut).toBeCloseTo(
      304.8 - (22.1 - 13.57),
      6,
    )
  })
  it('ends it: nothing goes on there', () => {
    expect(
      ask('line', {
        region: 'gb',
        pipe: 'cu-en-x-22',
        method: 'press',
        start: { kind: 'free' },
        legs: [to(500, 'cap'), free(300)],
      }),
    ).toMatchObject({
      ok: false,
      error: { code: 'impossible', path: 'legs.1', message: expect.stringContaining('ends the line') },
    })
  })
})

describe('an outlet at the end of a line', () => {
  const kit = { measured: [{ method: 'press', nominal: '15', fitting: 'wallplate elbow', takeOut: 21 }] } as const
  it.each([
    ['gb', 'cu-en-x-15', 'press wallplate elbow', '15 x 1/2'],
    ['us', 'cu-l-1_2', 'press drop-ear elbow', '1/2 x 1/2'],
    ['eu', 'cu-en-x-15', 'press wall-plate elbow', '15 x 1/2'],
  ] as const)('%s: a drop-ear elbow is ordered tube x thread and measured', (region, pipe, name, nominal) => {
    const { pieces, fittings } = lay({ pipe, legs: [to(500, 'drop-ear')] }, region)
    expect(fittings).toEqual([{ name, nominal, quantity: 1 }])
    expect(pieces[0]!.cut).toBeNull()
  })
  // By hand: 500 to its centre, 21 measured to its stop.
  it('takes what was measured of it', () => {
    expect(lay({ pipe: 'cu-en-x-15', kit, legs: [to(500, 'drop-ear')] }).pieces[0]!.cut).toBe(479)
  })
  it('ends the line, as a stub-out does', () => {
    for (const fitting of ['drop-ear', 'stub-out'])
      expect(() => lay({ legs: [to(500, fitting), free(200)] })).toThrow(/ends the line; nothing goes on there/)
  })
})

describe('a reducing coupling in a line', () => {
  // By hand: soldered 22 x 15 leaves 6 between the two ends, 3 of each: 600 - 3, 400 - 3.
  it('takes half of its gap from each pipe', () => {
    const legs = [to(600, 'reducer'), { ...free(400), pipe: 'cu-en-x-15' }]
    expect(lay({ method: 'solder', legs }).pieces.map(({ cut }) => cut)).toEqual([597, 397])
    // By hand: 3/4 x 1/2 leaves 6 as well: 24 in is 609.6, cut 606.6.
    const us = [to(609.6, 'reducer'), { ...free(304.8), pipe: 'cu-l-1_2' }]
    expect(lay({ pipe: 'cu-l-3_4', method: 'solder', legs: us }, 'us').pieces[0]!.cut).toBeCloseTo(606.6, 6)
  })
  it('is measured where no gap is held, and as a kit has it', () => {
    const legs = [to(600, 'reducer'), { ...free(400), pipe: 'cu-en-x-15' }]
    expect(lay({ legs }).pieces.map(({ cut }) => cut)).toEqual([null, null])
  })
})

describe('what is put into a line that stands', () => {
  it('a slip tee has no stop on its run: measured there, its branch by the rows of a tee', () => {
    const branch = { ...free(300), to: 'up', from: 0 } as LineQuestion['legs'][number]
    const { pieces, fittings } = lay({ legs: [to(600, 'slip-tee'), free(400), branch] })
    expect(fittings).toEqual([{ name: 'press slip tee', nominal: '22', quantity: 1 }])
    expect(pieces.map(({ cut }) => cut === null)).toEqual([true, true, false])
  })
  it.each(['repair-sleeve', 'flange'])('a %s lies in the line and is measured', (fitting) => {
    const { pieces, fittings } = lay({ legs: [to(600, fitting, { takeOut: 12 }), free(400)] })
    expect(pieces.map(({ cut }) => cut)).toEqual([588, 388])
    expect(fittings[0]!.name).toBe(`press ${fitting.replace('-', ' ')}`)
  })
})
