import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { changeLine, otherCorners, type LineRecord } from '#core/record'
import { aJob, aLine } from '../../../tests/records'

const job = aJob()
const line = (changes: Partial<LineRecord> = {}) =>
  aLine({ start: 'stop', corners: 'fittings', legs: ['e 2000', 'u 1500', 'e 1000 stop'], ...changes })

describe('a line with its corners the other way', () => {
  it('by bends: two elbows, four ends and two pieces fewer, by hand', () => {
    expect(otherCorners(job, line())).toMatchObject({
      to: 'bends',
      fittings: 2,
      ends: [{ method: 'solder', fewer: 4 }],
      pieces: 2,
      cannot: null,
    })
  })

  it('is the same the other way about, with every sign turned', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 400, max: 3000 }), { minLength: 2, maxLength: 6 }), (lengths) => {
        const ways = ['e', 'u', 'e', 'n', 'd', 'e']
        const legs = lengths.map((mm, i) => `${ways[i]} ${mm}${i === lengths.length - 1 ? ' stop' : ''}`)
        const [by, back] = [line({ legs }), line({ legs, corners: 'bends' })]
        const [there, here] = [otherCorners(job, by)!, otherCorners(job, back)!]
        expect([there.fittings, there.pieces]).toEqual([-here.fittings, -here.pieces])
        expect(there.ends.map(({ fewer }) => fewer)).toEqual(here.ends.map(({ fewer }) => -fewer))
      }),
      { numRuns: 30 },
    )
  })

  it('says what is in the way where two bends have no room between them', () => {
    expect(otherCorners(job, line({ legs: ['e 2000', 'u 60', 'e 1000 stop'] }))!.cannot).not.toBeNull()
  })

  it('is none where there is no corner, or the pipe is not bent', () => {
    expect(otherCorners(job, line({ legs: ['e 2000 stop'] }))).toBeNull()
    const steel = changeLine(line(), { pipe: 'st-en-1_2' })
    expect(steel.ok && otherCorners(job, steel.value)).toBeNull()
  })
})
