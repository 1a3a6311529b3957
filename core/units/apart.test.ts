import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { decimalsApart, lengthsApart } from '.'

const number = (text: string): number => Number(text.replace('\u2212', '-'))
/** Inches of a text such as `4 5/32 in (106 mm)`. */
function inches(text: string): number {
  const [, whole, over, under, decimal] = /^(?:(\d+) )?(?:(\d+)\/(\d+)|([\d.]+)) in/.exec(text)!
  return Number(whole ?? 0) + (over ? Number(over) / Number(under) : Number(decimal))
}

describe('figures that stand against each other', () => {
  it('read in their order, whatever they are', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        (one, off) => {
          const other = one + Math.max(off, 0.0002)
          const words = decimalsApart([one, other], 1)
          expect(number(words(one))).toBeLessThan(number(words(other)))
        },
      ),
    )
  })
  it.each(['metric', 'inch'] as const)('read in their order as lengths, %s', (system) => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 500, noNaN: true }),
        fc.double({ min: 0.03, max: 50, noNaN: true }),
        (one, off) => {
          const words = lengthsApart([one, one + off], system)
          const read = system === 'inch' ? inches : (text: string) => number(text.replace(' mm', ''))
          expect(read(words(one))).toBeLessThan(read(words(one + off)))
        },
      ),
    )
  })
  it('are written as usual where that tells them apart', () => {
    expect(lengthsApart([3.175, 6.35, 12], 'metric')(6.35)).toBe('6.4 mm')
    expect(lengthsApart([3.175, 6.35, 12.7], 'inch')(6.35)).toBe('1/4 in (6.4 mm)')
    expect(decimalsApart([10, 12], 1)(10)).toBe('10')
  })
  it.each([
    [3.2, 'metric', '3.2 mm', '3.18 mm'],
    [2.9, 'metric', '2.9 mm', '3.2 mm'],
    [6.4, 'metric', '6.4 mm', '3.18 mm'],
    [3.2, 'inch', '0.126 in (3.2 mm)', '0.125 in (3.18 mm)'],
    [3.7, 'inch', '5/32 in (3.7 mm)', '1/8 in (3.2 mm)'],
    [3.5, 'inch', '9/64 in (3.5 mm)', '1/8 in (3.2 mm)'],
  ] as const)('%d mm in %s is %s beside %s', (mm, system, ...said) => {
    const words = lengthsApart([mm, 3.175, 6.35], system)
    expect([words(mm), words(3.175)]).toEqual(said)
  })
})
