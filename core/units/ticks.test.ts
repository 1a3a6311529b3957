import fc from 'fast-check'
import { expect, it } from 'vitest'
import { tickRank } from '#core/units'

it('is long at each so many, middle between them, and short else', () => {
  expect(Array.from({ length: 9 }, (_, i) => tickRank(i, 8, 4))).toEqual([
    'long',
    'short',
    'short',
    'short',
    'middle',
    'short',
    'short',
    'short',
    'long',
  ])
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 2, max: 5 }), fc.nat(1000), (middle, times, i) => {
      const long = middle * times
      expect(tickRank(i + long, long, middle)).toBe(tickRank(i, long, middle))
      expect(tickRank(i, long, middle) === 'long').toBe(i % long === 0)
    }),
  )
})
