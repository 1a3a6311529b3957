import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  DIRECTIONS,
  planLine,
  vectorOf,
  type Direction,
  type LineAnswer,
  type LineLeg,
  type LineQuestion,
  type Vector,
} from '#core/line'
import { bendTube, lengthOf } from '../../tests/bender'

const BASE: Omit<LineQuestion, 'legs'> = {
  region: 'gb',
  pipe: 'cu-en-x-22',
  method: 'solder',
  bender: { radius: 77 },
  start: { kind: 'free' },
}
const plan = (question: Partial<LineQuestion> & Pick<LineQuestion, 'legs'>): LineAnswer => {
  const answer = planLine({ ...BASE, ...question })
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value
}
const wrong = (question: Partial<LineQuestion> & Pick<LineQuestion, 'legs'>) => {
  const answer = planLine({ ...BASE, ...question })
  if (answer.ok) throw new Error('it was planned')
  return answer.error
}
const bend: LineLeg['end'] = { kind: 'bend' }
const free: LineLeg['end'] = { kind: 'free' }
const fitting = (
  name: 'elbow-90' | 'elbow-45' | 'tee-run' | 'tee-branch' | 'coupling' | 'reducer' | 'valve',
  more: object = {},
): LineLeg['end'] => ({ kind: 'fitting', fitting: name, ...more })
const leg = (to: LineLeg['to'], length: number, end: LineLeg['end'], more: Partial<LineLeg> = {}): LineLeg => ({
  to,
  length,
  end,
  ...more,
})
const bendsOf = (answer: LineAnswer, piece = 0) => answer.pieces[piece]!.marks.filter((mark) => mark.what === 'bend')
const codes = (answer: LineAnswer) => answer.warnings.map(({ code }) => code)

describe('a straight piece', () => {
  // By hand: 1140 less 31 and 30; the depth places the mark and is not added.
  it('is centre to centre less both take-outs', () => {
    const {
      pieces: [piece],
    } = plan({
      start: { kind: 'fitting', fitting: 'elbow-90', takeOut: 31, insertion: 16 },
      legs: [leg('right', 1140, fitting('tee-run', { takeOut: 30, insertion: 16 }))],
    })
    expect(piece).toMatchObject({
      cut: 1079,
      cutLo: 1079,
      cutHi: 1079,
      marks: [
        { what: 'insertion', at: 16 },
        { what: 'insertion', at: 1063 },
      ],
    })
  })
  // A short stub between tee and elbow, 22 solder, table rows 13 (11 to 15) and 13.5 (11 to 16): 60 - 26.5 = 33.5.
  it('shows what typical take-outs leave open', () => {
    const answer = plan({
      start: { kind: 'fitting', fitting: 'tee-run' },
      legs: [leg('right', 60, fitting('elbow-90'))],
    })
    expect(answer.pieces[0]).toMatchObject({ cut: 33.5, cutLo: 29, cutHi: 38 })
    expect(codes(answer)).toContain('typical')
  })
  it('takes a measured fitting before the table, and a given one before both', () => {
    const kit = { measured: [{ method: 'solder' as const, nominal: '22', fitting: 'elbow', takeOut: 14.2 }] }
    const cut = (end: LineLeg['end']) => plan({ kit, legs: [leg('right', 500, end)] }).pieces[0]!
    expect(cut(fitting('elbow-90'))).toMatchObject({ cut: 485.8, cutLo: 485.8, cutHi: 485.8 })
    expect(cut(fitting('elbow-90', { takeOut: 20 })).cut).toBe(480)
  })
  it.each([
    ['free', free, 500, 0],
    ['stop', { kind: 'stop', insertion: 18 }, 500, 1],
    ['face', { kind: 'face', insertion: 18 }, 518, 1],
  ] as const)('measured to a %s end', (_, end, cut, marks) => {
    const {
      pieces: [piece],
    } = plan({ legs: [leg('right', 500, end)] })
    expect(piece!.cut).toBe(cut)
    expect(piece!.marks).toHaveLength(marks)
  })
  // Measured to faces, a take-out no longer matters: 500 and two depths of 15.4 (EN 1254-1), and the centres lie 500 +
  // 2 × 28.9 apart.
  it('measured between faces adds the depths and does not need a take-out', () => {
    const answer = plan({
      start: { kind: 'fitting', fitting: 'elbow-90' },
      legs: [leg('right', 500, fitting('elbow-90'), { measured: { begin: 'face', end: 'face' } })],
    })
    expect(answer.pieces[0]!.cut).toBeCloseTo(530.8, 9)
    expect(answer.pieces[0]!.cutHi! - answer.pieces[0]!.cutLo!).toBe(0)
    expect(answer.points[1]![0]).toBeCloseTo(557.8, 9)
  })
  it('has no cut while a take-out is not known, and says what to measure', () => {
    const answer = plan({ legs: [leg('right', 500, fitting('valve'))] })
    expect(answer.pieces[0]).toMatchObject({ cut: null, cutLo: null, cutHi: null })
    expect(answer.total).toBeNull()
    expect(answer.warnings).toMatchObject([{ code: 'measure', text: expect.stringContaining('valve') }])
  })
  it('sets a crimp ring from the end of the tube', () => {
    const answer = plan({
      region: 'us',
      pipe: 'pex-cts-1_2',
      method: 'crimp',
      legs: [leg('right', 600, fitting('elbow-90'))],
    })
    expect(answer.pieces[0]!.marks.map(({ what }) => what)).toEqual(['insertion', 'ring'])
    expect(answer.pieces[0]!.marks[1]!.at).toBeLessThan(600 - 13 + 1)
  })
})

describe('fittings', () => {
  it('of a tee: the run goes on, the branch leaves square, each by its own take-out', () => {
    const answer = plan({
      legs: [leg('right', 500, fitting('tee-run')), leg('right', 400, free), leg('down', 300, free, { from: 0 })],
    })
    expect(answer.pieces.map(({ cut }) => cut)).toEqual([487, 387, 286.5])
    expect(answer.fittings).toEqual([{ name: 'solder tee', nominal: '22', quantity: 1 }])
    expect(answer.points[3]).toEqual([500, 0, -300])
  })
  it('of a tee entered by its branch: both runs are free, one each way', () => {
    expect(
      plan({
        legs: [leg('up', 500, fitting('tee-branch')), leg('right', 400, free), leg('left', 400, free, { from: 0 })],
      }).pieces.map(({ cut }) => cut),
    ).toEqual([486.5, 387, 387])
    // A 15 branch into a run of 22: the run by its own rows, the branch to be measured.
    expect(
      plan({
        pipe: 'cu-en-x-15',
        legs: [
          leg('up', 500, fitting('tee-branch')),
          leg('right', 400, free, { pipe: 'cu-en-x-22' }),
          leg('left', 400, free, { from: 0, pipe: 'cu-en-x-22' }),
        ],
      }).pieces.map(({ cut }) => cut),
    ).toEqual([null, 387, 387])
    expect(
      wrong({
        legs: [leg('up', 500, fitting('tee-branch')), leg('right', 400, free), leg('away', 400, free, { from: 0 })],
      }),
    ).toMatchObject({ code: 'impossible', path: 'legs.2' })
  })
  it('of another size by a branch have to be measured, and are named run, run, branch', () => {
    const answer = plan({
      legs: [
        leg('right', 500, fitting('tee-run')),
        leg('right', 400, free),
        leg('down', 300, free, { from: 0, pipe: 'cu-en-x-15' }),
      ],
    })
    expect(answer.pieces.map(({ cut }) => cut)).toEqual([487, 387, null])
    expect(answer.fittings).toEqual([{ name: 'solder tee', nominal: '22 x 22 x 15', quantity: 1 }])
    const kit = {
      measured: [
        { method: 'solder' as const, nominal: '22x22x15', fitting: 'tee, branch', takeOut: 17, insertion: 12 },
      ],
    }
    expect(
      plan({
        kit,
        legs: [
          leg('right', 500, fitting('tee-run')),
          leg('right', 400, free),
          leg('down', 300, free, { from: 0, pipe: 'cu-en-x-15' }),
        ],
      }).pieces[2],
    ).toMatchObject({ cut: 283, ends: [{ insertion: 12 }, {}] })
  })
  it.each([
    [
      'an elbow that should go straight on',
      [leg('right', 500, fitting('elbow-90')), leg('right', 500, free)],
      'legs.1',
    ],
    [
      'an elbow with two ways on',
      [leg('right', 500, fitting('elbow-90')), leg('up', 500, free), leg('down', 500, free, { from: 0 })],
      'legs.2',
    ],
    [
      'a tee with two legs in one mouth',
      [leg('right', 500, fitting('tee-run')), leg('up', 500, free), leg('down', 500, free, { from: 0 })],
      'legs.2',
    ],
    ['a turn straight back', [leg('right', 500, bend), leg('left', 500, free)], 'legs.1'],
    ['a bend that goes straight on', [leg('right', 500, bend), leg('right', 500, free)], 'legs.1'],
    ['a bend with no leg after it', [leg('right', 500, bend)], 'legs.0'],
    ['a leg after a free end', [leg('right', 500, free), leg('up', 500, free)], 'legs.1'],
    ['nothing left to cut', [leg('right', 20, fitting('elbow-90', { takeOut: 20 }))], 'legs.0'],
    ['bends that overlap', [leg('right', 500, bend), leg('up', 150, bend), leg('right', 500, free)], 'legs.1'],
    ['a bend longer than its leg', [leg('right', 70, bend), leg('up', 500, free)], 'legs.0'],
  ])('refuse %s', (_, legs, path) => expect(wrong({ legs })).toMatchObject({ code: 'impossible', path }))
  it('want the pipe after a reducer, and one pipe through a bend', () => {
    expect(wrong({ legs: [leg('right', 500, fitting('reducer')), leg('right', 500, free)] })).toMatchObject({
      code: 'missing',
      path: 'legs.1.pipe',
    })
    expect(wrong({ legs: [leg('right', 500, bend), leg('up', 500, free, { pipe: 'cu-en-x-15' })] })).toMatchObject({
      code: 'impossible',
      path: 'legs.1.pipe',
    })
    expect(wrong({ legs: [leg('right', 500, free, { pipe: 'nope' })] })).toMatchObject({
      code: 'unknown-id',
      path: 'legs.0.pipe',
    })
    expect(wrong({ legs: [leg([1, 1, 0], 500, free)] })).toMatchObject({ code: 'range', path: 'legs.0.to' })
    expect(wrong({ legs: [leg('right', 500, fitting('tee-run')), leg('up', 500, free, { from: 1 })] })).toMatchObject({
      code: 'range',
      path: 'legs.1.from',
    })
    expect(
      wrong({ pipe: 'cpvc-cts-1_2', bender: undefined, legs: [leg('right', 500, bend), leg('up', 500, free)] }),
    ).toMatchObject({ code: 'impossible', path: 'legs.0' })
  })
})

/** Distance of a place from a stretch of the tube, mm. */
function distanceTo(at: Vector, from: Vector, to: Vector): number {
  const way = to.map((x, k) => x - from[k]!)
  const t = Math.min(
    1,
    Math.max(0, way.reduce((sum, x, k) => sum + x * (at[k]! - from[k]!), 0) / way.reduce((sum, x) => sum + x * x, 0)),
  )
  return Math.hypot(...(at.map((x, k) => x - from[k]! - t * way[k]!) as [number, number, number]))
}

describe('bends', () => {
  // Two 90s in one plane by hand: 500 + 400 + 300 - 2 × 0.42920 × 77 = 1133.90; first arc begins at 500 - 77.
  it('in one plane: cut, starts and corners', () => {
    const answer = plan({ legs: [leg('right', 500, bend), leg('up', 400, bend), leg('right', 300, free)] })
    expect(answer.pieces[0]!.cut).toBeCloseTo(1133.903, 3)
    expect(bendsOf(answer)[0]).toMatchObject({ at: 423, corner: 500, hook: 423, angle: 90, turn: 0 })
    // 423 + 120.951 of arc + 400 - 154 straight.
    expect(bendsOf(answer)[1]!.at).toBeCloseTo(789.951, 3)
  })
  it.each([
    ['left', 0],
    ['right', 180],
    ['toward', 90],
    ['away', 270],
  ] as const)('right, up, %s turns %d', (to, turn) => {
    expect(
      bendsOf(plan({ legs: [leg('right', 500, bend), leg('up', 400, bend), leg(to, 300, free)] }))[1]!.turn,
    ).toBeCloseTo(turn, 9)
  })
  it('are marked for the hook by the set-back, and pulled past by the springback', () => {
    const [first] = bendsOf(
      plan({
        bender: { radius: 77, setback: 92, springback: 3 },
        legs: [leg('right', 500, bend), leg('up', 400, free)],
      }),
    )
    expect(first).toMatchObject({ at: 423, hook: 408, pull: 93 })
  })
  it('without a bender go by a typical radius with its range, and say so', () => {
    const answer = plan({ bender: undefined, legs: [leg('right', 500, bend), leg('up', 400, free)] })
    expect(codes(answer)).toContain('bender-typical')
    // Radius 70 to 95: gains 30.04 to 40.77.
    expect([answer.pieces[0]!.cutLo, answer.pieces[0]!.cutHi].map((value) => Math.round(value! * 100) / 100)).toEqual([
      859.23, 869.96,
    ])
  })

  const number = (min: number, max: number) => fc.double({ min, max, noNaN: true })
  const directions = fc
    .array(fc.constantFrom<Direction>(...DIRECTIONS), { minLength: 2, maxLength: 6 })
    .filter((list) =>
      list.every(
        (to, i) =>
          i === 0 || Math.abs(vectorOf(to).reduce((sum, x, k) => sum + x * vectorOf(list[i - 1]!)[k]!, 0)) < 0.5,
      ),
    )
  /** A run of right angles and slants with room for every bend. */
  const runs = fc
    .tuple(directions, fc.array(number(200, 900), { minLength: 6, maxLength: 6 }), number(30, 95), number(-40, 40))
    .map(([list, lengths, radius, tilt]) => {
      const radians = (tilt * Math.PI) / 180
      // Tilted about one slanted axis, so that no bend lies in a plane of the drawing.
      const turn = ([x, y, z]: Vector): Vector => [
        x * Math.cos(radians) - y * Math.sin(radians),
        x * Math.sin(radians) + y * Math.cos(radians),
        z,
      ]
      return {
        radius,
        legs: list.map((to, i) => leg(turn(vectorOf(to)), lengths[i]!, i === list.length - 1 ? free : bend)),
      }
    })

  it('replayed on a bender apart give the intended corners and ends within 0.1 mm, and the developed length', () => {
    fc.assert(
      fc.property(runs, ({ radius, legs }) => {
        const answer = plan({ bender: { radius }, legs })
        const piece = answer.pieces[0]!
        const [first, second] = [vectorOf(legs[0]!.to), vectorOf(legs[1]!.to)]
        const points = bendTube({
          length: piece.cut!,
          radius,
          pulls: bendsOf(answer),
          from: [0, 0, 0],
          along: first,
          up: second,
          step: 0.5,
        })
        const end = answer.points.at(-1)!
        expect(Math.hypot(...(points.at(-1)!.map((x, i) => x - end[i]!) as [number, number, number]))).toBeLessThan(0.1)
        // The chain of points is the tube: its length is the cut, as a sum along its centre line.
        expect(lengthOf(points)).toBeCloseTo(piece.cut!, 1)
        // Each leg's middle lies on the tube.
        answer.points.slice(0, -1).forEach((from, i) => {
          const to = answer.points[i + 1]!
          if (piece.straights[i]! < 1) return
          const before = i === 0 ? 0 : bendsOf(answer)[i - 1]!.corner - bendsOf(answer)[i - 1]!.at
          const length = Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2])
          const middle = from.map((x, k) => x + ((to[k]! - x) * (before + piece.straights[i]! / 2)) / length)
          expect(
            Math.min(...points.slice(1).map((p, k) => distanceTo(middle as unknown as Vector, points[k]!, p))),
          ).toBeLessThan(0.1)
        })
      }),
      { numRuns: 25, seed: 20261126 },
    )
  }, 60_000)
  it('always close: straights and arcs add up to the cut, and marks ascend', () => {
    fc.assert(
      fc.property(runs, ({ radius, legs }) => {
        const answer = plan({ bender: { radius }, legs })
        const piece = answer.pieces[0]!
        const arcs = bendsOf(answer).reduce((sum, { angle }) => sum + (radius * angle * Math.PI) / 180, 0)
        expect(piece.straights.reduce((sum, one) => sum + one, arcs)).toBeCloseTo(piece.cut!, 6)
        const places = piece.marks.map(({ at }) => at)
        expect([...places].sort((a, b) => a - b)).toEqual(places)
      }),
      { seed: 20261126 },
    )
  })
  // By hand at radius 55, set 100: travel S / sin A less one gain 2 R tan(A/2) - R A.
  it.each([
    [22.5, 261.313 - 0.282],
    [30, 200 - 0.677],
    [45, 141.421 - 2.367],
    [60, 115.47 - 5.913],
  ])('of an offset of 100 at %f degrees are %f apart', (angle, apart) => {
    const [c, s] = [Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)]
    const [one, other] = bendsOf(
      plan({
        pipe: 'cu-en-x-15',
        bender: { radius: 55 },
        legs: [leg('right', 400, bend), leg([c, 0, s], 100 / s, bend), leg('right', 400, free)],
      }),
    )
    expect(other!.at - one!.at).toBeCloseTo(apart, 2)
  })
  // An offset of 50 at 45: travel 70.711, arcs take 2 × 31.894: 6.92 stay straight.
  it('of an offset are the marks of the verb offset apart', () => {
    const slant = Math.SQRT1_2
    const answer = plan({
      legs: [leg('right', 420, bend), leg([slant, slant, 0], 50 / slant, bend), leg('right', 670, free)],
    })
    const [one, other] = bendsOf(answer)
    expect(other!.at - one!.at).toBeCloseTo(67.397, 3)
    expect(other!.turn).toBeCloseTo(180, 9)
    expect(codes(answer)).toContain('little-straight')
  })
})

describe('warnings', () => {
  const has = (question: Partial<LineQuestion> & Pick<LineQuestion, 'legs'>, code: string) =>
    expect(codes(plan(question))).toContain(code)
  const hasNot = (question: Partial<LineQuestion> & Pick<LineQuestion, 'legs'>, code: string) =>
    expect(codes(plan(question))).not.toContain(code)
  const elbow = { kind: 'fitting' as const, fitting: 'elbow-90' as const, takeOut: 13.5, insertion: 16 }
  it('a bend inside an insertion, or near one', () => {
    has({ start: elbow, legs: [leg('right', 100, bend), leg('up', 400, free)] }, 'bend-in-insertion')
    has({ start: elbow, legs: [leg('right', 120, bend), leg('up', 400, free)] }, 'bend-near-joint')
    hasNot({ start: elbow, legs: [leg('right', 200, bend), leg('up', 400, free)] }, 'bend-near-joint')
  })
  it('a stub too short for the jaws, and fittings that meet', () => {
    has({ method: 'press', start: elbow, legs: [leg('right', 60, elbow)] }, 'short-for-jaws')
    has({ method: 'press', start: elbow, legs: [leg('right', 50, elbow)] }, 'joints-meet')
    hasNot({ method: 'press', start: elbow, legs: [leg('right', 90, elbow)] }, 'short-for-jaws')
  })
  it('a clip on a bend, on a joint, over a mark', () => {
    const clipped = (at: number) => ({
      start: elbow,
      clips: [{ leg: 0, at }],
      legs: [leg('right', 400, bend), leg('up', 400, free)],
    })
    has(clipped(330), 'clip-on-bend')
    has(clipped(20), 'clip-on-joint')
    has(clipped(34), 'mark-hidden')
    for (const code of ['clip-on-bend', 'clip-on-joint', 'mark-hidden']) hasNot(clipped(200), code)
    expect(wrong({ clips: [{ leg: 0, at: 900 }], legs: [leg('right', 400, free)] })).toMatchObject({
      code: 'range',
      path: 'clips.0.at',
    })
  })
  it('a joint inside a wall, and pipe through pipe', () => {
    has(
      { walls: [{ to: 'right', at: 480, thick: 100 }], legs: [leg('right', 500, elbow), leg('up', 300, free)] },
      'joint-in-wall',
    )
    hasNot(
      { walls: [{ to: 'right', at: 200, thick: 100 }], legs: [leg('right', 500, elbow), leg('up', 300, free)] },
      'joint-in-wall',
    )
    const around = (down: number) => ({
      legs: [leg('right', 500, elbow), leg('up', 200, elbow), leg('left', 250, elbow), leg('down', down, free)],
    })
    has(around(400), 'crossing')
    hasNot(around(100), 'crossing')
  })
  it('a method that does not take the pipe', () =>
    has({ method: 'crimp', legs: [leg('right', 500, fitting('elbow-90', { takeOut: 10, insertion: 10 }))] }, 'method'))
})

it('answers 500 legs with a branch at each', () => {
  const legs = Array.from({ length: 500 }, (_, i) =>
    i % 2 === 0 ? leg('right', 300, fitting('tee-run'), i === 0 ? {} : { from: i - 2 }) : leg('up', 200, free),
  )
  expect(plan({ legs }).pieces).toHaveLength(500)
})
