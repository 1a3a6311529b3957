import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ageInWords, isDue } from './nightly.mjs'

const HOUR = 3_600_000
const day = (hour: number, date = 14) => new Date(2026, 4, date, hour).getTime()

describe('a nightly backup', () => {
  it('is due once after two each night', () => {
    expect(isDue(day(3), null)).toBe(true)
    expect(isDue(day(3), day(1))).toBe(true)
    expect(isDue(day(3), day(2))).toBe(false)
    expect(isDue(day(23), day(2))).toBe(false)
    expect(isDue(day(1, 15), day(2))).toBe(false)
    expect(isDue(day(3, 15), day(2))).toBe(true)
  })

  it('is never due again right after it was made, and always when the last is a day old', () => {
    fc.assert(
      fc.property(fc.integer({ min: day(0), max: day(0) + 300 * 24 * HOUR }), (now) => {
        expect(isDue(now, now)).toBe(false)
        // A day may have 25 hours.
        expect(isDue(now, now - 25 * HOUR - 1)).toBe(true)
      }),
    )
  })

  it('has an age in words', () => {
    expect([0.5, 1, 47.9, 48, 24 * 9].map((hours) => ageInWords(hours * HOUR))).toEqual([
      'less than an hour ago',
      '1 h ago',
      '47 h ago',
      '2 days ago',
      '9 days ago',
    ])
  })
})
