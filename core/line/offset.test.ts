import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planOffset, type OffsetAnswer, type OffsetQuestion } from '#core/line'

const plan = (question: OffsetQuestion): OffsetAnswer => {
  const result = planOffset(question)
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}

describe('planOffset', () => {
  // Multipliers of the trade: 1.414 at 45, 2 at 30, 1.155 at 60; shrink of 60 is 24.85 at 45, by hand.
  it.each([
    [45, 84.853, 24.853],
    [30, 120, 16.077],
    [60, 69.282, 34.641],
    [90, 60, 60],
  ])('of 60 at %f degrees travels %f and shrinks %f', (angle, travel, shrink) => {
    const answer = plan({ set: 60, angle })
    expect(answer.travel).toBeCloseTo(travel, 2)
    expect(answer.shrink).toBeCloseTo(shrink, 2)
    expect(answer.markSpacing).toBe(answer.travel)
  })
  it('rolls by the root of both squares: 30 and 40 make 50', () =>
    expect(plan({ set: 30, roll: 40, angle: 45 }).trueSet).toBeCloseTo(50, 12))
  it('gains on a bend: radius 72 at 45 degrees is 59.647 of tangent less 56.549 of arc', () => {
    const answer = plan({ set: 60, angle: 45, radius: 72 })
    expect(answer.markSpacing).toBeCloseTo(84.853 - (59.647 - 56.549), 2)
  })
  it('is impossible where the arcs overlap, and says what is', () => {
    expect(planOffset({ set: 30, angle: 45, radius: 72 })).toMatchObject({
      ok: false,
      error: { code: 'impossible', path: 'radius', message: expect.stringContaining('59.6') },
    })
    expect(plan({ set: 45, angle: 45, radius: 72 }).warnings).toMatchObject([{ code: 'little-straight' }])
  })
  it('closes: along the run, travel by its cosine and the shrink are the travel', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 2000, noNaN: true }),
        fc.double({ min: 1, max: 90, noNaN: true }),
        (set, angle) => {
          const { travel, shrink } = plan({ set, angle })
          expect(travel * Math.cos((angle * Math.PI) / 180) + shrink).toBeCloseTo(travel, 6)
        },
      ),
    )
  })
})
