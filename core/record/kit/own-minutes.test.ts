import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LAST_ENDS, LEAST_ENDS, measuredMinutes, minutesFrom, type MinutesRecord } from '#core/record'
import { findWays } from '#core/joints'
import { kitMinutes } from './own-minutes'

const end = (work: number, nominal = '22') => ({ method: 'press' as const, nominal, work, wait: 0 })
const typed = (changes: Partial<MinutesRecord> = {}): MinutesRecord => ({
  method: 'press',
  nominal: '22',
  work: 9,
  wait: 1,
  ...changes,
})

describe('own minutes', () => {
  it('are the middle of the ends signed, with the half around it', () => {
    expect(measuredMinutes([end(4), end(1), end(2), end(3), end(10)])).toEqual([
      { method: 'press', nominal: '22', work: 3, lo: 2, hi: 4, wait: 0, ends: 5 },
    ])
  })

  it('say nothing below three ends, and keep sizes apart', () => {
    expect(measuredMinutes([end(4), end(1)])).toEqual([])
    expect(measuredMinutes([end(4), end(1), end(2), end(7, '15')]).map(({ nominal }) => nominal)).toEqual(['22'])
  })

  it('rest on the last 20 only, whatever came before them', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 600 }), { minLength: LEAST_ENDS, maxLength: LAST_ENDS }),
        fc.array(fc.integer({ min: 1, max: 600 }), { maxLength: 10 }),
        (last, before) => {
          const full = [...last, ...Array.from({ length: LAST_ENDS - last.length }, () => last[0]!)]
          expect(measuredMinutes([...full, ...before].map((work) => end(work)))).toEqual(
            measuredMinutes(full.map((work) => end(work))),
          )
          const [one] = measuredMinutes(last.map((work) => end(work)))
          expect(one!.lo).toBeLessThanOrEqual(one!.work)
          expect(one!.work).toBeLessThanOrEqual(one!.hi)
          expect([Math.min(...last) <= one!.lo, one!.hi <= Math.max(...last)]).toEqual([true, true])
        },
      ),
    )
  })

  it('that were typed win over the measured, a size over every size', () => {
    const measured = measuredMinutes([end(4), end(1), end(2)])
    const at = { method: 'press', nominal: '22' }
    expect(minutesFrom(at, [], [])).toEqual({ from: 'ours' })
    expect(minutesFrom(at, [], measured).from).toBe('measured')
    expect(minutesFrom(at, [typed({ nominal: null })], measured).from).toBe('typed')
    const both = [typed({ nominal: null, work: 8 }), typed()]
    expect(minutesFrom(at, both, measured)).toEqual({ from: 'typed', typed: typed() })
    expect(kitMinutes(both, measured)).toEqual([
      { method: 'press', work: 8, wait: 1 },
      { method: 'press', nominal: '22', work: 9, wait: 1 },
    ])
  })

  it('are what a way counts: two ends pressed in 22 by hand', () => {
    const ask = (minutes: ReturnType<typeof kitMinutes>) => {
      const pipe = { pipe: 'cu-en-x-22' }
      const answer = findWays({ region: 'gb', a: pipe, b: pipe, kit: { minutes } })
      if (!answer.ok) throw new Error(answer.error.message)
      return answer.value.ways.find(({ joints }) => joints.length === 2 && joints.every((j) => j.method === 'press'))!
    }
    // Ours: 2 + 2; measured 3.5 each; typed 9 each.
    const measured = measuredMinutes([end(3.5), end(3.5), end(3.5)])
    expect(ask([]).minutes.work).toBe(4)
    expect(ask(kitMinutes([], measured)).minutes.work).toBe(7)
    expect(ask(kitMinutes([typed()], measured)).minutes).toEqual({ work: 18, wait: 1 })
  })
})
