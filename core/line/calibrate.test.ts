import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { calibrateBender, type Calibration, type TestBend } from '#core/line'

const TEST: TestBend = { marks: [100, 500], hook: 250, measures: [227.3, 205.7], pulled: 93, angle: 90 }
const calibrate = (test: Partial<TestBend>): Calibration => {
  const answer = calibrateBender({ ...TEST, ...test })
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value
}

describe('calibrateBender', () => {
  // By hand: 227.3 + 205.7 - 400 = 33.0 gained; 33 / 0.42920 = 76.9; corner at 327.3, hook at 250: 77.3; 93 - 90.
  it('finds radius, set-back and springback of a right angle', () => {
    const { gain, radius, setback, springback } = calibrate({})
    expect(gain).toBeCloseTo(33, 9)
    expect(radius).toBeCloseTo(76.887, 3)
    expect(setback).toBeCloseTo(77.3, 9)
    expect(springback).toBe(3)
  })
  // Half a millimetre in each of four readings: 1 in the gain, 1 / 0.4292 in the radius, 1 in a cut with one right
  // angle.
  it('says what error the readings leave', () => {
    const { left } = calibrate({})
    expect(left.radius).toBeCloseTo(2.33, 2)
    expect(left.cut).toBeCloseTo(1, 9)
    expect(calibrate({ error: 0.25 }).left.radius).toBeCloseTo(left.radius / 2, 9)
  })
  it('finds the bender that a test bend was made on, at any angle', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 120, noNaN: true }),
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.integer({ min: 45, max: 120 }),
        (radius, grip, angle) => {
          // A tube marked at 100 and 700, hook at 300, arc from there plus the grip: measured by the circle, not by the
          // formula under test.
          const half = (angle * Math.PI) / 360
          const start = 300 + grip
          const corner = start + (radius * Math.sin(half)) / Math.cos(half)
          const straightAfter = 700 - (start + radius * 2 * half)
          const measures = [corner - 100, straightAfter + (radius * Math.sin(half)) / Math.cos(half)] as const
          const found = calibrate({ marks: [100, 700], hook: 300, measures, angle, pulled: angle + 2 })
          expect(found.radius).toBeCloseTo(radius, 6)
          expect(found.setback).toBeCloseTo(radius + grip, 6)
        },
      ),
    )
  })
  it.each([
    ['a mark out of order', { marks: [500, 100] as const }, 'range', 'marks.1'],
    ['a hook beside the marks', { hook: 600 }, 'range', 'hook'],
    ['nothing gained', { measures: [200, 200] as const }, 'impossible', 'measures'],
    ['a bend hardly made', { angle: 10 }, 'range', 'angle'],
    ['a pull short of the angle', { pulled: 80 }, 'range', 'pulled'],
    ['a measure of nought', { measures: [0, 433] as const }, 'range', 'measures.0'],
  ])('refuses %s', (_, test, code, path) =>
    expect(calibrateBender({ ...TEST, ...test })).toMatchObject({ ok: false, error: { code, path } }),
  )
})
