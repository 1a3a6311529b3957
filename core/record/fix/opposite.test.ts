import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { besideOf, changeLine, fixLine, type LineRecord } from '#core/record'
import { aJob, aLine } from '../../../tests/records'
import { moveSupports } from './work'

const HAND = { at: '2026-11-26T09:00:00.000Z', by: 'Wyn' }
const cold = aLine({ id: 'line-0001', number: 1, start: 'free', legs: ['e 4000', 'u 2000', 'e 3000 free'] })
const hotBeside = (shift: { right?: number; away?: number; up?: number }, changes: Partial<LineRecord> = {}) =>
  aLine({
    id: 'line-0002',
    number: 2,
    start: 'free',
    legs: ['e 4060', 'u 1940', 'e 3000 free'],
    fix: { beside: { line: 'line-0001', right: 0, away: 0, up: 0, ...shift } },
    ...changes,
  })
const placesOf = (line: LineRecord, job = aJob()) => fixLine(job, line)!.supports.map(({ leg, at }) => [leg, at])

describe('a line beside another', () => {
  it('that begins where the other does and runs as it does stands opposite already', () => {
    const same = { ...hotBeside({ away: 60 }), legs: cold.legs }
    const beside = besideOf(aJob({ lines: [cold, same] }), same)!
    expect([beside.moves, beside.opposite]).toEqual([[], beside.supports.length])
  })

  it('brings its clips opposite, by hand: 60 in front, every clip of the first leg moves 60 back', () => {
    const hot = hotBeside({ right: 60, up: 60 }, { legs: cold.legs })
    const job = aJob({ lines: [cold, hot] })
    const beside = besideOf(job, hot)!
    const moved = moveSupports(job, hot, { supports: beside.moves }, HAND)
    if (!moved.ok) throw new Error(moved.error.message)
    const [before, after] = [placesOf(hot), placesOf(moved.value)]
    for (const [i, [leg, at]] of before.entries())
      if (leg === 0 && beside.supports[i]!.off !== null && Math.abs(beside.supports[i]!.off!) < 1)
        expect(after[i]![1]).toBeCloseTo(at! - 60, 6)
    expect(beside.opposite).toBeGreaterThan(beside.supports.length / 2)
  })

  it('breaks no distance that held before, and leaves what is fixed where it is', () => {
    const shift = fc.integer({ min: -300, max: 300 })
    fc.assert(
      fc.property(shift, shift, fc.boolean(), (right, up, isFixed) => {
        const clips: LineRecord['clips'] = isFixed
          ? { '0:0': { mm: placesOf(hotBeside({}))[0]![1]!, at: HAND.at, by: 'Wyn' } }
          : {}
        const hot = hotBeside({ right, up }, { clips })
        const job = aJob({ lines: [cold, hot] })
        const broken = (line: LineRecord) => fixLine(job, line)!.supports.flatMap((one) => one.broken).length
        const { moves, supports, opposite } = besideOf(job, hot)!
        expect(supports.filter(({ off }) => off !== null && Math.abs(off) < 1)).toHaveLength(opposite)
        expect(moves.some(({ support }) => support in clips)).toBe(false)
        if (moves.length === 0) return
        const moved = moveSupports(job, hot, { supports: moves }, HAND)
        expect(moved.ok && broken(moved.value)).toBeLessThanOrEqual(broken(hot))
        // A second time there is nothing left to move.
        expect(moved.ok && besideOf(aJob({ lines: [cold, moved.value] }), moved.value)!.moves).toEqual([])
      }),
      { numRuns: 40 },
    )
  })

  it('that is gone, or too far off, is no line beside it', () => {
    const hot = hotBeside({})
    expect(besideOf(aJob({ lines: [hot] }), hot)).toBeNull()
    const far = hotBeside({ up: 5000 })
    const beside = besideOf(aJob({ lines: [cold, far] }), far)!
    expect([beside.opposite, beside.moves]).toEqual([0, []])
    const none = changeLine(hot, { fix: { beside: null } })
    expect(none.ok && besideOf(aJob({ lines: [cold, none.value] }), none.value)).toBeNull()
  })
})
