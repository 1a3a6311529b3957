import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { findWays, type Way } from '#core/joints'
import { inMakingOrder, makeCards, makeJoint, slipOf, type MakeCard } from '#core/making'
import type { Region } from '#core/units'

const FIXED = { play: { a: { along: 0 }, b: { along: 0 } } }
function slipWay(pipe: string, method: string, region: Region = 'gb'): Way {
  const answer = findWays({ region, a: { pipe }, b: { pipe }, conditions: FIXED })
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value.ways.find(
    ({ joints, parts }) =>
      parts.some(({ kind }) => kind === 'slip') && joints.every((joint) => joint.method === method),
  )!
}
function cardsFor(
  pipe: string,
  method: string,
  { length, gap, on }: { length: number; gap: number; on?: 'a' | 'b' },
  region: Region = 'gb',
): MakeCard[] {
  const { joints, parts } = slipWay(pipe, method, region)
  const conditions = { ...FIXED, gap }
  return inMakingOrder(
    makeCards({
      joints,
      parts,
      region,
      orientation: 'horizontal',
      conditions,
      slip: { length, on },
      a: { pipe },
      b: { pipe },
    }),
  )
}
const stepsOf = ({ answer }: MakeCard) => (answer.ok ? answer.value.steps : [])
const says = (card: MakeCard) => stepsOf(card).map((step) => step.do)

describe('a coupling without a stop', () => {
  it('by hand: 78 long over a gap of 24 stands 27 on both pipes, may have 38 at most by the least depth', () => {
    // (78 - 24) / 2 = 27; the press table's least for 22 is 20: 78 - 2 x 20 = 38.
    const { joints, parts } = slipWay('cu-en-x-22', 'press')
    expect(slipOf({ joints, parts, slip: { length: 78 }, gap: 24 })).toMatchObject({
      mark: 27,
      least: 20,
      most: 38,
      bare: 85,
      on: 'a',
      isOwn: true,
    })
  })

  it('by hand in inches: 3 in over 1/2 in stands 1-1/4 in on both pipes', () => {
    const cards = cardsFor('cu-l-3_4', 'press', { length: 76.2, gap: 12.7 }, 'us')
    for (const { joint } of cards) expect(joint.insertion.value).toBeCloseTo(31.75, 6)
    expect(says(cards[0]!).join('; ')).toMatch(/Clean it bare, bright and round 3 1\/4 in/)
    expect(says(cards[1]!).join('; ')).toMatch(/gap must read 1\/2 in/)
  })

  it('is made in three moves, closed only once it stands on both marks', () => {
    const [first, last] = cardsFor('cu-en-x-22', 'press', { length: 78, gap: 24 }) as [MakeCard, MakeCard]
    expect(first.joint.on).toBe('a')
    for (const card of [first, last]) {
      const ids = stepsOf(card).map(({ id }) => id)
      expect(new Set(ids).size).toBe(ids.length)
    }
    expect(says(first)).toEqual(
      expect.arrayContaining([
        'Clean it bare, bright and round 85 mm from its end, right round',
        'All of the coupling onto this pipe, past the mark',
      ]),
    )
    expect(stepsOf(first).some(({ code }) => code === 'press')).toBe(false)
    const words = says(last)
    const at = (pattern: RegExp) => words.findIndex((one) => pattern.test(one))
    expect(at(/Bring the ends in line: the gap must read 24 mm/)).toBeGreaterThan(-1)
    expect(at(/Slide the coupling back until both marks show, 27 mm/)).toBe(at(/gap must read/) + 1)
    expect(at(/Press one end, look at both marks, press the other/)).toBeGreaterThan(at(/Slide the coupling back/))
    const ask = stepsOf(last).find((step) => step.ask?.what === 'gap')!.ask!
    expect([ask.lo, ask.hi]).toEqual([23, 25])
  })

  it('is slid onto the pipe that was picked, which is then made ready first', () => {
    const cards = cardsFor('cu-en-x-22', 'press', { length: 78, gap: 24, on: 'b' })
    expect(cards.map(({ joint }) => joint.on)).toEqual(['b', 'a'])
    expect(says(cards[0]!)).toContain('All of the coupling onto this pipe, past the mark')
  })

  it('is soldered in one heat, after it stands', () => {
    const [first, last] = cardsFor('cu-en-x-22', 'solder', { length: 60, gap: 10 }) as [MakeCard, MakeCard]
    expect(stepsOf(first).some(({ code }) => code === 'heat')).toBe(false)
    expect(says(first).at(-1)).toBe('All of the coupling onto this pipe, past the mark')
    expect(says(last).findIndex((one) => one.startsWith('Slide the coupling back'))).toBeLessThan(
      stepsOf(last).findIndex(({ code }) => code === 'heat'),
    )
  })

  it('holds the same of both pipes, whatever the gap, or is refused; and no gap is off by more than its marks stand', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 160, noNaN: true }),
        fc.double({ min: 0, max: 80, noNaN: true }),
        (length, gap) => {
          const { joints, parts } = slipWay('cu-en-x-22', 'press')
          const slip = slipOf({ joints, parts, slip: { length }, gap })!
          expect(2 * slip.mark! + gap).toBeCloseTo(length, 9)
          const made = makeJoint({
            method: 'press',
            pipe: 'cu-en-x-22',
            region: 'gb',
            orientation: 'horizontal',
            slip: { length, gap },
          })
          expect(made.ok).toBe(slip.mark! >= slip.least && slip.mark! > 0)
          expect(gap <= slip.most!).toBe(slip.mark! >= slip.least - 1e-9)
        },
      ),
      { seed: 20261201, numRuns: 60 },
    )
  })

  it('without its gap is measured first: no mark is made up', () => {
    const { joints, parts } = slipWay('cu-en-x-22', 'press')
    expect(slipOf({ joints, parts })).toMatchObject({ mark: null, gap: null })
    expect(slipOf({ joints: slipWay('cu-en-x-22', 'press').joints, parts: [] })).toBeNull()
  })
})
