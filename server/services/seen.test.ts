import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SeenRows } from './seen'

const rows = (...seqs: number[]) => seqs.map((seq) => ({ seq }))

describe('rows that were seen', () => {
  it('are told once, and one that comes late into a gap is told too', () => {
    const seen = new SeenRows(10)
    expect(seen.take(rows(11, 13), 0)).toEqual(rows(11, 13))
    expect(seen.floor).toBe(11)
    expect(seen.take(rows(12, 13), 100)).toEqual(rows(12))
    expect(seen.floor).toBe(13)
  })
  it('rise over a gap that nothing came into', () => {
    const seen = new SeenRows(0)
    seen.take(rows(2, 3), 0)
    expect(seen.floor).toBe(0)
    seen.take([], 60_000)
    expect(seen.floor).toBe(3)
  })
  it('are each told exactly once, in whatever order they come to be seen', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray([...Array(40).keys()], { minLength: 1 }),
        fc.integer({ min: 1, max: 7 }),
        (order, step) => {
          const seen = new SeenRows(-1)
          const told: number[] = []
          for (let i = 0; i < order.length + step; i += step) {
            const there = order.slice(0, i).filter((seq) => seq > seen.floor)
            told.push(...seen.take(rows(...there), i).map(({ seq }) => seq))
          }
          expect(told.sort((a, b) => a - b)).toEqual([...order].sort((a, b) => a - b))
        },
      ),
    )
  })
})
