import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { backwards, sleeve, socketed, sweep, tube } from './assembly'
import { DROP_SPARE_MM, planTee, takenApart, type TeePlan, type TeeSizes } from './tee-plan'

const PRESS_22: TeeSizes = { od: 22, bore: 20.2, depth: 22.5, between: 34, slip: 78, bare: 15.5, along: 0, aside: 15 }
const plan = (sizes: TeeSizes): TeePlan => {
  const answer = planTee(sizes)
  if (!answer.ok) throw new Error(answer.why)
  return answer.plan
}

describe('a tee into a fixed line, by hand', () => {
  it('22 press, nothing moves along, 15 aside: 123 out, a stub of 65, 24 under the coupling, 27 on both pipes', () => {
    const made = plan(PRESS_22)
    // Least gap 22.5, for the tee goes home by it; 24 with 1.5 to spare; (78 - 24) / 2 = 27; 22.5 + 15.5 + 27 = 65.
    expect(made.how).toBe('slip')
    expect(made.stub).toEqual({ length: 65, gap: 24, least: 22.5, most: 33, mark: 27 })
    expect([made.out, made.left, made.right]).toEqual([123, 17, 106])
    // 22.5 + 34 + 65 = 121.5 drops into 123.
    expect(made.out - (22.5 + 34 + 65)).toBe(DROP_SPARE_MM)
    expect(made.assembly.moves.map(({ words }) => words)).toEqual([
      'Coupling straight into the cut',
      'Slide all of it onto the right pipe',
      'Tee with its stub, straight in',
      'Push it left, home to the mark',
      'Slide the coupling back to both marks',
    ])
  })
  it('3/4 in press in inches: depth 7/8, tee 1-1/4, coupling 3, bare 5/8: 4-15/16 and a drop of spare out', () => {
    const inch = (value: number) => value * 25.4
    const made = plan({
      od: 22.22,
      bore: 19.94,
      depth: inch(7 / 8),
      between: inch(5 / 4),
      slip: inch(3),
      bare: inch(5 / 8),
      along: 0,
      aside: 0,
    })
    // gap 7/8 and spare; mark (3 - 7/8) / 2 = 1-1/16 less half the spare; stub 7/8 + 5/8 + 1-1/16 = 2-9/16 less the same.
    expect(made.stub!.length).toBeCloseTo(inch(2 + 9 / 16) - DROP_SPARE_MM / 2, 9)
    expect(made.out).toBeCloseTo(inch(5 / 4 + 2 + 9 / 16 + 7 / 8) + DROP_SPARE_MM / 2, 9)
  })
  it('an end that springs aside by a diameter lets the stub past: the gap is only what is to spare', () => {
    const made = plan({ ...PRESS_22, aside: 22 })
    expect(made.how).toBe('slip-aside')
    expect(made.stub!.gap).toBe(DROP_SPARE_MM)
    expect(made.out).toBeLessThan(plan(PRESS_22).out)
  })
  it('drawn apart by a depth, with an end aside, or by two depths in line, the tee goes in alone', () => {
    for (const play of [
      { along: 22.5, aside: 22 },
      { along: 46.5, aside: 0 },
      { along: Infinity, aside: Infinity },
    ]) {
      const made = plan({ ...PRESS_22, ...play })
      expect([made.how, made.out, made.left, made.right]).toEqual(['plain', 34, 17, 17])
    }
  })
  it('a coupling shorter than three depths and the spare: two of them, with a stub on both sides', () => {
    const made = plan({ ...PRESS_22, slip: 68 })
    // (68 - 1) / 2 = 33.5 on all four ends; 22.5 + 15.5 + 33.5 = 71.5; 34 + 2 x 72.5 = 179.
    expect(made.how).toBe('two-slips')
    expect(made.stub).toMatchObject({ mark: 33.5, length: 71.5, gap: 1 })
    expect(made.out).toBe(179)
    expect(plan({ ...PRESS_22, slip: 69 }).how).toBe('slip')
  })
  it('22 solder, couplings of 33, nothing moves: two couplings, 110.8 out', () => {
    // (33 - 1) / 2 = 16; 15.4 + 10 + 16 = 41.4; 26 + 2 x 42.4 = 110.8.
    const made = plan({ od: 22, bore: 20.2, depth: 15.4, between: 26, slip: 33, bare: 10, along: 0, aside: 0 })
    expect([made.how, made.out]).toEqual(['two-slips', expect.closeTo(110.8, 9)])
  })
  it('one that holds too little even so is refused with the length that would do; and where there is none', () => {
    expect(planTee({ ...PRESS_22, slip: 45 })).toEqual({ ok: false, why: 'slip-short', needs: 46 })
    expect(planTee({ ...PRESS_22, slip: null })).toEqual({ ok: false, why: 'no-slip', needs: null })
  })
})

const sizes: fc.Arbitrary<TeeSizes> = fc.record({
  od: fc.double({ min: 10, max: 54, noNaN: true }),
  bore: fc.constant(8),
  depth: fc.double({ min: 6, max: 45, noNaN: true }),
  between: fc.double({ min: 4, max: 120, noNaN: true }),
  slip: fc.option(fc.double({ min: 20, max: 220, noNaN: true }), { nil: null }),
  bare: fc.double({ min: 0, max: 60, noNaN: true }),
  along: fc.oneof(fc.constant(0), fc.double({ min: 0, max: 120, noNaN: true })),
  aside: fc.oneof(fc.constant(0), fc.double({ min: 0, max: 80, noNaN: true })),
})

describe('every tee that is planned', () => {
  it('can be put together move by move, and taken apart again', () => {
    fc.assert(
      fc.property(sizes, (given) => {
        const answer = planTee(given)
        if (!answer.ok) return
        const forth = sweep(answer.plan.assembly)
        expect(forth.ok).toBe(true)
        expect(sweep(takenApart(answer.plan)).ok).toBe(true)
      }),
      { seed: 20261201, numRuns: 200 },
    )
  })
  it('moves its ends no farther than they go, and ends with the line where it was', () => {
    fc.assert(
      fc.property(sizes, (given) => {
        const answer = planTee(given)
        if (!answer.ok) return
        const { places, assembly } = answer.plan
        const at = places.map((place) => place.right!)
        expect(Math.max(...at.map(({ x }) => x)) - at[0]!.x).toBeLessThanOrEqual(given.along + 1e-9)
        expect(Math.max(...at.map(({ y }) => y))).toBeLessThanOrEqual(given.aside + 1e-9)
        expect(at.at(-1)!.x).toBeCloseTo(at[0]!.x, 9)
        expect(at.at(-1)!.y).toBe(0)
        expect(places.every((place) => place.left!.x === assembly.start.left!.x)).toBe(true)
      }),
      { seed: 20261202, numRuns: 200 },
    )
  })
  it('holds a depth in every mouth once it stands: the tee on both pipes, the coupling on stub and line', () => {
    fc.assert(
      fc.property(sizes, (given) => {
        const answer = planTee(given)
        if (!answer.ok) return
        const { places, stub, how } = answer.plan
        const end = places.at(-1)!
        if (how === 'two-slips') {
          const [left, right] = [end['left stub']!.x, end['right stub']!.x + stub!.length]
          expect(end['left slip']!.x).toBeCloseTo(-stub!.mark, 9)
          expect(end['left slip']!.x + given.slip!).toBeCloseTo(left + stub!.mark, 9)
          expect(end['right slip']!.x).toBeCloseTo(right - stub!.mark, 9)
          expect(end.tee!.x + given.depth).toBeCloseTo(left + stub!.length, 9)
          expect(stub!.mark).toBeGreaterThanOrEqual(given.depth)
          return
        }
        expect(end.tee!.x).toBeCloseTo(-given.depth, 9)
        if (how === 'plain') expect(end.right!.x).toBeCloseTo(given.between, 9)
        else {
          expect(end.stub!.x).toBeCloseTo(given.between, 9)
          expect(end.right!.x - (end.stub!.x + stub!.length)).toBeCloseTo(stub!.gap, 9)
          expect(stub!.mark).toBeGreaterThanOrEqual(given.depth - 1e-9)
          expect(end.slip!.x).toBeCloseTo(end.stub!.x + stub!.length - stub!.mark, 9)
        }
      }),
      { seed: 20261203, numRuns: 200 },
    )
  })
})

describe('the sweep', () => {
  const round = { od: 22, bore: 20 }
  it('says which move meets what, and how far it gets', () => {
    const blocked = {
      solids: [
        tube('left', 100, round),
        tube('right', 100, round),
        socketed('tee', 'tee' as const, { depth: 20, between: 30, ...round }),
      ],
      start: { left: { x: -100, y: 0 }, right: { x: 60, y: 0 }, tee: { x: 0, y: -100 } },
      moves: [{ words: 'in', parts: ['tee'], by: { aside: 100 } }],
    }
    const swept = sweep(blocked)
    expect(swept.ok).toBe(false)
    // 70 long does not drop between ends 60 apart: it meets the right one under a diameter away.
    expect(!swept.ok && swept.stuck).toMatchObject({ move: 0, part: 'tee', against: 'right' })
    expect(!swept.ok && swept.stuck.after).toBe(78.5)
  })
  it('stops a tube at the stop and not before, forth and back', () => {
    const into = (by: number) => ({
      solids: [tube('pipe', 100, round), socketed('body', 'coupling' as const, { depth: 20, between: 2, ...round })],
      start: { pipe: { x: -100, y: 0 }, body: { x: 0, y: 0 } },
      moves: [{ words: 'push', parts: ['pipe'], by: { along: by } }],
    })
    const home = sweep(into(20))
    expect(home.ok).toBe(true)
    expect(sweep(into(20.5))).toMatchObject({ ok: false, stuck: { after: expect.closeTo(20.5, 6) } })
    expect(home.ok && sweep(backwards(into(20), home.places.at(-1)!)).ok).toBe(true)
  })
  it('lets a sleeve over a tube, and a tube past another a diameter aside, no less', () => {
    const over = {
      solids: [tube('pipe', 100, round), sleeve('slip', 60, round)],
      start: { pipe: { x: 0, y: 0 }, slip: { x: -60, y: 0 } },
      moves: [{ words: 'on', parts: ['slip'], by: { along: 60 } }],
    }
    expect(sweep(over).ok).toBe(true)
    const past = (aside: number) => ({
      solids: [tube('one', 100, round), tube('other', 100, round)],
      start: { one: { x: 0, y: 0 }, other: { x: -120, y: aside } },
      moves: [{ words: 'past', parts: ['other'], by: { along: 60 } }],
    })
    expect(sweep(past(22)).ok).toBe(true)
    expect(sweep(past(21.9)).ok).toBe(false)
  })
})
