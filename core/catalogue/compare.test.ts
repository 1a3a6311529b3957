import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { comparePipes, getPipe, namedBy, PIPES } from '#core/catalogue'

const compare = (a: string, b: string) => comparePipes(getPipe(a), getPipe(b))

describe('comparePipes', () => {
  // Pairs the trade confuses; differences by hand from the standards' diameters.
  it.each([
    ['cu-en-x-22', 'cu-bs-imp-3_4', -0.51],
    ['cu-en-x-15', 'cu-l-1_2', 0.875],
    ['cu-en-x-22', 'cu-l-3_4', 0.225],
    ['pex-cts-1_2', 'pvc-40-1_2', 5.461],
    ['ml-astm-1_2', 'pex-cts-1_2', -0.125],
    ['cu-en-x-15', 'cu-bs-imp-1_2', 0.138],
  ])('%s and %s do not go into one mouth', (a, b, apart) =>
    expect(compare(a, b)).toMatchObject({ outside: expect.closeTo(apart, 2), isSameOutside: false }),
  )
  it.each([
    ['cu-l-1_2', 'pex-cts-1_2'],
    ['cu-k-3_4', 'cpvc-cts-3_4'],
    ['cu-en-x-15', 'bs7291-15'],
    ['cu-en-x-22', 'ss-en-22'],
    ['ml-en-20', 'pex-en-20'],
  ])('%s and %s do, whatever their bores', (a, b) => expect(compare(a, b).isSameOutside).toBe(true))

  it('is the same both ways but for the sign, and a pipe is like itself', () => {
    const pipe = fc.constantFrom(...PIPES)
    fc.assert(
      fc.property(pipe, pipe, (a, b) => {
        const [there, back] = [comparePipes(a, b), comparePipes(b, a)]
        expect(there.outside).toBeCloseTo(-back.outside, 9)
        expect([there.isSameOutside, there.area]).toEqual([back.isSameOutside, back.area])
        if (there.area !== null) expect(there.area).toBeLessThanOrEqual(1)
        expect(comparePipes(a, a)).toMatchObject({ outside: 0, isSameOutside: true })
        expect(namedBy(a)).not.toBe('')
      }),
    )
  })
})
