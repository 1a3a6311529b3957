import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { angleBetween, cross, distanceBetween, dot, size, squareTo, turnAbout, unit, type Vector } from './vector'

const part = fc.integer({ min: -200, max: 200 })
const vectors = fc.tuple(part, part, part).filter((v) => size(v) > 5) as fc.Arbitrary<Vector>

describe('directions', () => {
  it('right, away and up are right-handed', () => expect(cross([1, 0, 0], [0, 1, 0])).toEqual([0, 0, 1]))
  it('turn clockwise, looking along', () => {
    // Looking up from below, from left to toward is a quarter turn clockwise.
    expect(turnAbout([0, 0, 1], [-1, 0, 0], [0, -1, 0])).toBeCloseTo(90, 9)
    expect(turnAbout([0, 0, 1], [-1, 0, 0], [0, 1, 0])).toBeCloseTo(270, 9)
    expect(turnAbout([1, 0, 0], [0, 0, 1], [0, 0, 1])).toBe(0)
  })
  it('make a full turn there and back', () => {
    fc.assert(
      fc.property(vectors, vectors, vectors, (along, a, b) => {
        const way = unit(along)
        fc.pre(
          angleBetween(way, a) > 2 &&
            angleBetween(way, a) < 178 &&
            angleBetween(way, b) > 2 &&
            angleBetween(way, b) < 178,
        )
        const [p, q] = [squareTo(a, way), squareTo(b, way)]
        const [there, back] = [turnAbout(way, p, q), turnAbout(way, q, p)]
        expect((there + back) % 360 < 1e-6 || (there + back) % 360 > 360 - 1e-6).toBe(true)
        expect(Math.abs(dot(p, way))).toBeLessThan(1e-9)
      }),
    )
  })
  it('keep small angles exact', () =>
    expect(angleBetween([1, 0, 0], unit([1, 1e-7, 0]))).toBeCloseTo((1e-7 * 180) / Math.PI, 12))
})

describe('two stretches of pipe', () => {
  it.each([
    [
      'crossing',
      [
        [0, 0, 0],
        [10, 0, 0],
      ],
      [
        [5, -5, 0],
        [5, 5, 0],
      ],
      0,
    ],
    [
      'one over the other',
      [
        [0, 0, 0],
        [10, 0, 0],
      ],
      [
        [5, -5, 7],
        [5, 5, 7],
      ],
      7,
    ],
    [
      'side by side',
      [
        [0, 0, 0],
        [10, 0, 0],
      ],
      [
        [0, 3, 0],
        [10, 3, 0],
      ],
      3,
    ],
    [
      'end to end',
      [
        [0, 0, 0],
        [10, 0, 0],
      ],
      [
        [14, 3, 0],
        [20, 3, 0],
      ],
      5,
    ],
  ] as const)('%s', (_, one, other, apart) => expect(distanceBetween(one, other)).toBeCloseTo(apart, 9))
  it('are as far apart as the nearest of many places along them', () => {
    fc.assert(
      fc.property(vectors, vectors, vectors, vectors, (a, b, c, d) => {
        const along = (from: Vector, to: Vector, t: number) =>
          from.map((x, k) => x + (to[k]! - x) * t) as unknown as Vector
        let least = Infinity
        for (let i = 0; i <= 60; i++)
          for (let k = 0; k <= 60; k++)
            least = Math.min(
              least,
              size(along(a, b, i / 60).map((x, n) => x - along(c, d, k / 60)[n]!) as unknown as Vector),
            )
        const found = distanceBetween([a, b], [c, d])
        expect(found).toBeLessThanOrEqual(least + 1e-6)
        expect(found).toBeGreaterThan(least - 14)
      }),
      { numRuns: 40 },
    )
  })
})
