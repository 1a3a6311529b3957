import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { mayBePrinted, nearestMark, printedOn } from '#core/record'
import { aCut, aJob } from '../../../tests/records'

describe('marks printed on plastic pipe', () => {
  it('are read as typed, off the last sheet of that pipe that says so', () => {
    const cuts = [
      aCut({ pipe: 'bs7291-15', printed: '52' }),
      aCut({ pipe: 'bs7291-15', printed: '' }),
      aCut({ pipe: 'bs7291-22', printed: '60' }),
      aCut({ pipe: 'bs7291-15', printed: 'often' }),
    ]
    expect(printedOn(aJob({ cuts }), 'bs7291-15')).toBe(52)
    expect(printedOn(aJob({ cuts }), 'bs7291-28')).toBeNull()
    const inches = aJob({ region: 'us', cuts: [aCut({ pipe: 'pex-cts-1_2', printed: '2' })] })
    expect(printedOn(inches, 'pex-cts-1_2')).toBeCloseTo(50.8)
    expect([mayBePrinted('bs7291-15'), mayBePrinted('cu-en-x-15')]).toEqual([true, false])
  })

  it('1500 with a mark every 52, by hand: the 29th, at 1508, is 8 over', () => {
    expect(nearestMark(1500, 52)).toEqual({ at: 1508, off: 8, serves: false })
    expect(nearestMark(26, 26)).toEqual({ at: 26, off: 0, serves: true })
    // There is none before the cut itself.
    expect(nearestMark(10, 52)).toEqual({ at: 52, off: 42, serves: false })
  })

  it('beyond the first the nearest is never farther than half of their distance', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 500 }), fc.integer({ min: 1, max: 6000 }), (every, place) => {
        const { at, off } = nearestMark(place, every)
        expect(at % every).toBe(0)
        if (place >= every) expect(Math.abs(off)).toBeLessThanOrEqual(every / 2)
      }),
    )
  })
})
