import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { backwards, sweep } from './assembly'
import { planRepair, type RepairSizes } from './repair-plan'

const PRESS_22: RepairSizes = { od: 22, bore: 20.2, bad: 100, depth: 22.5, slip: 78, bare: 10, gap: 1 }

describe('a bad piece out of a line of which nothing moves', () => {
  it('by hand: 100 bad, couplings of 78: 98 goes in, marked 38.5 on all four ends', () => {
    const answer = planRepair(PRESS_22)
    // (78 - 1) / 2 = 38.5; 2 x 38.5 + 10 = 87 fits into 100 - 2 = 98.
    expect(answer.ok && answer.plan).toMatchObject({ out: 100, piece: 98, mark: 38.5 })
  })
  it('by hand in inches: 4 in bad, couplings of 3 in: 4 in out, 3.921 in goes in, marked 1.480 in', () => {
    const answer = planRepair({ ...PRESS_22, od: 22.22, bad: 101.6, depth: 22.2, slip: 76.2 })
    expect(answer.ok && [answer.plan.out, answer.plan.piece, answer.plan.mark]).toEqual([
      expect.closeTo(101.6, 9),
      expect.closeTo(99.6, 9),
      expect.closeTo(37.6, 9),
    ])
  })
  it('takes more out where two couplings would not find room, and refuses one that holds too little', () => {
    const small = planRepair({ ...PRESS_22, bad: 20 })
    expect(small.ok && small.plan).toMatchObject({ piece: 87, out: 89 })
    expect(planRepair({ ...PRESS_22, slip: 44 })).toEqual({ ok: false, needs: 46 })
  })
  it('can be put together move by move, and taken apart again; the couplings stand on both marks, not over each other', () => {
    const sizes = fc.record({
      od: fc.double({ min: 10, max: 54, noNaN: true }),
      bore: fc.constant(8),
      bad: fc.double({ min: 1, max: 400, noNaN: true }),
      depth: fc.double({ min: 6, max: 45, noNaN: true }),
      slip: fc.double({ min: 10, max: 150, noNaN: true }),
      bare: fc.double({ min: 0, max: 40, noNaN: true }),
      gap: fc.double({ min: 0.5, max: 3, noNaN: true }),
    })
    fc.assert(
      fc.property(sizes, (given) => {
        const answer = planRepair(given)
        if (!answer.ok) return
        const { assembly, places, out, mark } = answer.plan
        expect(sweep(assembly).ok).toBe(true)
        expect(sweep(backwards(assembly, places.at(-1)!)).ok).toBe(true)
        const end = places.at(-1)!
        expect(end.one!.x).toBeCloseTo(-mark, 9)
        expect(end.other!.x + given.slip).toBeCloseTo(out + mark, 9)
        expect(end.one!.x + given.slip).toBeLessThanOrEqual(end.other!.x + 1e-9)
        expect(out).toBeGreaterThanOrEqual(given.bad - 1e-9)
      }),
      { seed: 20261201, numRuns: 200 },
    )
  })
})
