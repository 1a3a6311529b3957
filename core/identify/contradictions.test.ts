import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PIPES } from '#core/catalogue'
import { identifyPipe, type Check, type IdentifyAnswer } from '#core/identify'
import { sharesFor } from './likelihood'
import type { REGIONS } from '#core/units'

const ask = (checks: readonly Check[], region: (typeof REGIONS)[number] = 'gb'): IdentifyAnswer => {
  const result = identifyPipe({ region, checks })
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}
const od = (value: number, by: 'calliper' | 'rule' = 'calliper'): Check => ({ check: 'outside-diameter', value, by })
const magnet: Check = { check: 'magnet', value: true }
const copper: Check = { check: 'colour', value: 'copper' }

describe('checks that contradict each other', () => {
  it('are named in words with the one to make again', () => {
    const [one] = ask([magnet, copper]).contradictions
    expect(one).toMatchObject({
      code: 'contradiction',
      checks: [0, 1],
      again: 1,
      text: 'Hardly any pipe has both a magnet that holds and the colour copper. Make the colour check again first.',
    })
    // A diameter that speaks for copper turns the doubt to the magnet.
    expect(ask([magnet, copper, od(15)]).contradictions[0]).toMatchObject({ again: 0 })
  })

  it.each(['us', 'gb', 'eu'] as const)('are what a material never does, and paint is none of it (%s)', (region) => {
    const scratched = (value: 'copper' | 'plastic'): Check => ({ check: 'scratch', value })
    for (const never of [
      [magnet, scratched('copper')],
      [magnet, scratched('plastic')],
      [scratched('copper'), { check: 'flex', value: 'springy' }],
      [scratched('plastic'), { check: 'held-by', value: 'soldered' }],
    ] as Check[][])
      expect(ask(never, region).contradictions, JSON.stringify(never)).toHaveLength(1)
    for (const painted of [scratched('copper'), { check: 'held-by', value: 'soldered' } as Check])
      expect(ask([{ check: 'colour', value: 'white' }, painted], region).contradictions).toEqual([])
  })

  it('lower the certainty: more is left to none of them, and the first is less sure', () => {
    const [agreed, contradicted] = [ask([od(21.5), copper]), ask([od(21.5), copper, magnet])]
    expect(contradicted.unknown).toBeGreaterThan(agreed.unknown)
    expect(contradicted.candidates[0]!.probability).toBeLessThan(agreed.candidates[0]!.probability)
    expect(ask([magnet, copper]).unknown).toBeGreaterThan(ask([copper]).unknown)
  })

  it('may be two readings of one length', () => {
    const { contradictions, unknown } = ask([od(15), od(28, 'rule')])
    expect(contradictions[0]).toMatchObject({ checks: [0, 1], again: 1 })
    expect(unknown).toBeGreaterThan(0.9)
    expect(ask([od(22), od(22.4, 'rule')]).contradictions).toEqual([])
  })

  it('are not found where each pipe gives its own commonest answers', () => {
    for (const pipe of PIPES) {
      const region = pipe.regions[0]!
      const likeliest = (check: 'colour' | 'flex' | 'magnet' | 'scratch') => {
        const answers = {
          colour: [
            'copper',
            'grey',
            'white',
            'cream',
            'red',
            'blue',
            'black',
            'yellow',
            'orange',
            'green',
            'brass',
            'silver',
          ],
          flex: ['rigid', 'springy', 'soft'],
          magnet: [true, false],
          scratch: ['copper', 'bright-silver', 'dull-silver', 'plastic'],
        }[check]
        const { shares } = sharesFor(check, pipe)
        return { check, value: answers[shares.indexOf(Math.max(...shares))] } as Check
      }
      const checks = [od(pipe.od), likeliest('flex'), likeliest('magnet'), likeliest('scratch')]
      expect(ask(checks, region).contradictions.map(({ text }) => `${pipe.id}: ${text}`)).toEqual([])
    }
  })

  it('do not depend on the order they were made in', () => {
    const checks: Check[] = [magnet, copper, od(15), { check: 'flex', value: 'soft' }]
    fc.assert(
      fc.property(fc.shuffledSubarray(checks, { minLength: checks.length }), (shuffled) => {
        const pairs = (of: readonly Check[]) =>
          ask(of)
            .contradictions.map(
              ({ checks: [x, y], again }) => `${[of[x]!.check, of[y]!.check].sort().join()} ${of[again]!.check}`,
            )
            .sort()
        expect(pairs(shuffled)).toEqual(pairs(checks))
      }),
    )
  })
})

describe('lengths no pipe has together', () => {
  it.each([
    [[od(22), { check: 'bore', value: 22 }], 1, /bore of 22 mm does not go into 22 mm/],
    [[{ check: 'wall', value: 11 }, od(22)], 0, /wall of 11 mm does not go into 22 mm/],
  ] as const)('are an error at the one that does not go in', (checks, at, words) => {
    expect(identifyPipe({ checks: checks as readonly Check[] })).toMatchObject({
      ok: false,
      error: { code: 'impossible', path: `checks.${at}.value`, message: expect.stringMatching(words) },
    })
  })
  it('are taken where they do', () =>
    expect(
      identifyPipe({ checks: [od(22), { check: 'bore', value: 20.2 }, { check: 'wall', value: 0.9 }] }),
    ).toMatchObject({ ok: true }))
})

describe('what the answers of a next check would mean', () => {
  const { next } = ask([od(21.5)])
  it('stands by each answer that may come: how likely, and the pipe that would lead', () => {
    const scratch = next.find(({ check }) => check === 'scratch')!
    expect(scratch.means.map(({ answer, pipe }) => [answer, pipe]).slice(0, 2)).toEqual([
      ['copper', 'cu-bs-imp-3_4'],
      ['dull-silver', 'st-en-1_2'],
    ])
    for (const { means } of next)
      means.forEach(({ share }, i) => expect(share).toBeLessThanOrEqual(means[i - 1]?.share ?? 1))
  })
  it('comes true once the answer is given', () => {
    for (const { answer, pipe, probability } of next.find(({ check }) => check === 'scratch')!.means) {
      const then = ask([od(21.5), { check: 'scratch', value: answer as 'copper' }]).candidates[0]!
      expect([then.pipe, then.probability]).toEqual([pipe, expect.closeTo(probability, 4)])
    }
    const wall = next.find(({ check }) => check === 'wall')!.means[0]!
    expect(ask([od(21.5), { check: 'wall', value: Number(wall.answer) }]).candidates[0]!.probability).toBeCloseTo(
      wall.probability,
      4,
    )
  })
  it('is worth more where the answers part the candidates better', () => {
    const bits = (check: string) => next.find((one) => one.check === check)?.bits ?? 0
    expect(bits('scratch')).toBeGreaterThan(bits('flex'))
  })
})
