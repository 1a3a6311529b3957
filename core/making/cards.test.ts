import { describe, expect, it } from 'vitest'
import { findWays, type Way } from '#core/joints'
import { inMakingOrder, makeCards } from '#core/making'

const PAIRS = [
  ['cu-en-x-22', 'cu-en-x-15'],
  ['cu-en-x-22', 'bs7291-22'],
  ['cu-en-x-15', 'pex-en-16'],
  ['cu-l-1_2', 'pex-cts-1_2'],
] as const
const waysOf = ([a, b]: readonly [string, string]): Way[] => {
  const answer = findWays({
    region: a.startsWith('cu-l') ? 'us' : 'gb',
    a: { pipe: a, temper: 'soft' },
    b: { pipe: b },
  })
  return answer.ok ? answer.value.ways : []
}

describe('what is looked at with the water on', () => {
  it.each(PAIRS)('stands once, on the end made last, of %s to %s', (...pair) => {
    let looked = 0
    for (const { joints, parts } of waysOf(pair)) {
      const cards = inMakingOrder(
        makeCards({
          joints,
          parts,
          region: 'gb',
          orientation: 'horizontal',
          a: { pipe: pair[0], temper: 'soft' },
          b: { pipe: pair[1] },
        }),
      )
      const steps = cards.map(({ answer }) => (answer.ok ? answer.value.steps : []))
      const at = steps.flatMap((own, i) => own.filter(({ isUnderWater }) => isUnderWater).map(() => i))
      const isAsked = cards.some(({ joint, answer }) => answer.ok && ['compression', 'flare'].includes(joint.method))
      expect(at).toEqual(isAsked ? [cards.length - 1] : [])
      looked += at.length
      for (const own of steps) expect(new Set(own.map(({ id }) => id)).size).toBe(own.length)
    }
    expect(looked).toBeGreaterThan(0)
  })
})
