import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checksToGo, tellingWords } from '~/wording/find'

describe('the doubt of a find in words', () => {
  it.each([
    [0.1, 0.05, 'hardly a doubt left'],
    [2, 1.9, 'about 1 check to go'],
    [3, 1.5, 'about 2 checks to go'],
    [3, 0.01, 'no check left that tells more'],
    [3, undefined, 'no check left that tells more'],
  ] as const)('%d of %s is %s', (doubt, best, words) => expect(checksToGo(doubt, best)).toBe(words))
  it('never grows where a check tells more', () => {
    const count = (words: string) => Number(/about (\d)/.exec(words)?.[1] ?? 0)
    const bits = fc.double({ min: 0.06, max: 4, noNaN: true })
    fc.assert(
      fc.property(bits, bits, bits, (doubt, one, more) => {
        if (doubt < 0.3) return
        expect(count(checksToGo(doubt, one + more))).toBeLessThanOrEqual(count(checksToGo(doubt, one)))
      }),
    )
  })
})

it('a check is said to tell as much as it does beside the best', () => {
  expect([0, 0.2, 0.6, 1].map((bits) => tellingWords(bits, 1))).toEqual([
    'tells nothing more',
    'tells little',
    'tells some',
    'tells most',
  ])
})
