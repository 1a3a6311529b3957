import fc from 'fast-check'
import { expect, it } from 'vitest'
import { compareText } from '#core/base'

it('orders by code unit, the same on every machine', () => {
  expect(['b', 'a', 'Z', '\u00e9', '10', '9', ''].sort(compareText)).toEqual(['', '10', '9', 'Z', 'a', 'b', '\u00e9'])
  fc.assert(
    fc.property(fc.string(), fc.string(), fc.string(), (a, b, c) => {
      expect(compareText(a, b)).toBe(compareText(b, a) === 0 ? 0 : -compareText(b, a))
      expect(compareText(a, b) === 0).toBe(a === b)
      const [x, y, z] = [a, b, c].sort(compareText)
      expect(compareText(x!, y!) <= 0 && compareText(y!, z!) <= 0 && compareText(x!, z!) <= 0).toBe(true)
    }),
  )
})
