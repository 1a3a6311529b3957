import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { getPipe, PIPES } from '#core/catalogue'
import { flexPlay, isFlexible } from '#core/joints'

describe('play of flexible tube by its radius', () => {
  it('is the bow and the S of its least radius: 16 PEX, 500 free, by hand', () => {
    // R = 8 x 16 = 128. Bow: 500 / (4 x 128) = 0.9766 rad, 4 x 128 x sin = 424.2, so 75.8 is over.
    // S: 500 / (2 x 128) is over a right angle: 2 x 128 + (500 - 128 pi) = 353.9.
    const play = flexPlay('pex-en-16', 500)!
    expect(play.radius).toBe(128)
    expect(play.along).toBeCloseTo(75.8, 1)
    expect(play.aside).toBeCloseTo(353.9, 1)
  })
  it('is that of coiled plastic and multilayer, and of no other tube', () => {
    const flexible = PIPES.filter(({ id }) => isFlexible(id)).map(({ family }) => family)
    expect([...new Set(flexible)].sort()).toEqual(['bs7291', 'multilayer', 'pb', 'pe', 'pert', 'pex', 'vinyl'].sort())
    expect(flexPlay('cu-en-x-22', 1000)).toBeNull()
    expect(flexPlay('pex-en-16', 0)).toBeNull()
  })
  it('grows with the free length, stays under it, and no arc of it is tighter than the radius', () => {
    const tubes = PIPES.filter(({ id }) => isFlexible(id)).map(({ id }) => id)
    fc.assert(
      fc.property(fc.constantFrom(...tubes), fc.double({ min: 1, max: 5000, noNaN: true }), (id, length) => {
        const [play, longer] = [flexPlay(id, length)!, flexPlay(id, length * 1.1)!]
        expect(play.along).toBeGreaterThanOrEqual(0)
        expect(play.along).toBeLessThan(length)
        expect(play.aside).toBeLessThanOrEqual(length)
        expect(longer.along).toBeGreaterThanOrEqual(play.along)
        expect(longer.aside).toBeGreaterThanOrEqual(play.aside)
        expect(play.radius).toBeGreaterThanOrEqual(3.5 * getPipe(id).od)
      }),
      { seed: 20261201 },
    )
  })
})
