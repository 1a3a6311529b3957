import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { getPipe, PIPES } from '#core/catalogue'
import { speak } from '#core/speech'
import { ANSWERS, density, likelihood, shareOf, spreadOf, unknownDensity } from './likelihood'
import { entropy, rankNext, type Standing } from './next-check'
import type { INSTRUMENT_ERROR } from './likelihood-figures'
import { OTHER_REGION, regionWeight, sizeWeight, yearWeight } from './likelihood-figures'
import { reasonsFor } from './reasons'

const names = Object.keys(ANSWERS) as (keyof typeof ANSWERS)[]

describe('answers of a few words', () => {
  it('share one whole for every pipe of the catalogue, none impossible', () => {
    for (const pipe of PIPES) {
      for (const name of names) {
        const shares = ANSWERS[name].map((answer) => shareOf(name, answer, pipe))
        expect(
          shares.reduce((sum, share) => sum + share, 0),
          `${pipe.id} ${name}`,
        ).toBeCloseTo(1, 9)
        expect(Math.min(...shares), `${pipe.id} ${name}`).toBeGreaterThan(0)
      }
    }
  })

  it('are told apart the way a hand would', () => {
    const [copper, steel, lead, pex] = ['cu-en-x-22', 'st-en-1_2', 'lead-1_2', 'pex-cts-1_2'].map(getPipe) as [
      ReturnType<typeof getPipe>,
      ReturnType<typeof getPipe>,
      ReturnType<typeof getPipe>,
      ReturnType<typeof getPipe>,
    ]
    expect(shareOf('magnet', 'true', steel)).toBeGreaterThan(0.9)
    expect(shareOf('magnet', 'true', copper)).toBeLessThan(0.05)
    // Lead scratches bright and soft, zinc and steel dull; each keeps a share for the other.
    expect(shareOf('scratch', 'bright-silver', lead)).toBeGreaterThan(shareOf('scratch', 'dull-silver', lead))
    expect(shareOf('scratch', 'dull-silver', steel)).toBeGreaterThan(shareOf('scratch', 'bright-silver', steel))
    expect(shareOf('scratch', 'bright-silver', steel)).toBeGreaterThan(0.05)
    expect(shareOf('flex', 'springy', pex)).toBeGreaterThan(0.8)
    // A copper ring does not by itself tell PEX from the polybutylene that failed.
    expect(shareOf('held-by', 'copper-ring', getPipe('pb-cts-1_2'))).toBeGreaterThan(0.3)
    // ASTM B88: green K, blue L, red M.
    expect(
      ['cu-k-1_2', 'cu-l-1_2', 'cu-m-1_2'].map((id) =>
        ANSWERS.stripe.reduce(
          (best, answer) =>
            answer !== 'none' && shareOf('stripe', answer, getPipe(id)) > shareOf('stripe', best, getPipe(id))
              ? answer
              : best,
          'brown',
        ),
      ),
    ).toEqual(['green', 'blue', 'red'])
  })

  it('tell nothing of a pipe that is none of ours', () => {
    for (const name of names)
      expect(likelihood({ check: name, value: ANSWERS[name][0] } as never, null)).toBeCloseTo(
        1 / ANSWERS[name].length,
        12,
      )
  })
})

describe('lengths', () => {
  it('have a density that sums to one', () => {
    const spread = spreadOf(getPipe('cu-en-x-22'), 'outside-diameter')!
    let sum = 0
    for (let mm = 10; mm < 40; mm += 0.001) sum += density(mm, spread) * 0.001
    expect(sum).toBeCloseTo(1, 3)
  })

  it('lean to the large side: paint and solder only add', () => {
    const spread = spreadOf(getPipe('cu-en-x-22'), 'outside-diameter')!
    expect(density(22.6, spread)).toBeGreaterThan(density(21.4, spread))
  })

  it('are read closer by a calliper than by a rule, and by a stated error than by either', () => {
    const sigma = (by: keyof typeof INSTRUMENT_ERROR, error?: number) =>
      spreadOf(getPipe('cu-en-x-22'), 'outside-diameter', by, error)!.sigma
    expect(sigma('calliper')).toBeLessThan(sigma('tape-round'))
    expect(sigma('tape-round')).toBeLessThan(sigma('rule'))
    expect(sigma('rule', 0.01)).toBeLessThan(sigma('calliper'))
  })

  it('say nothing where the catalogue has no figure', () => {
    expect(spreadOf(getPipe('cu-m-5_8'), 'wall')).toBeNull()
    expect(likelihood({ check: 'wall', value: 1 }, getPipe('cu-m-5_8'))).toBe(unknownDensity('wall'))
  })
})

describe('priors', () => {
  it('weigh a pipe of another country less, never nothing', () => {
    expect(regionWeight(getPipe('cu-l-1_2'), 'gb')).toBe(OTHER_REGION)
    expect(regionWeight(getPipe('cu-l-1_2'), 'us')).toBe(1)
    expect(regionWeight(getPipe('cu-l-1_2'), undefined)).toBe(1)
  })
  it('turn with the year: old copper before 1971, metric after', () => {
    const [old, metric] = [getPipe('cu-bs-imp-3_4'), getPipe('cu-en-x-22')]
    expect(yearWeight(old, 1955) / yearWeight(metric, 1955)).toBeGreaterThan(
      yearWeight(old, 1985) / yearWeight(metric, 1985),
    )
  })
  it('favour the sizes buildings are plumbed in', () =>
    expect(sizeWeight(getPipe('cu-en-x-15'))).toBeGreaterThan(sizeWeight(getPipe('cu-en-x-54'))))
})

describe('the next check', () => {
  const even = (...ids: string[]): Standing[] => ids.map((id) => ({ pipe: getPipe(id), weight: 1 / ids.length }))

  it('measures doubt in bits', () => {
    expect(entropy(even('cu-en-x-22', 'st-en-1_2'))).toBeCloseTo(1, 12)
    expect(entropy(even('cu-en-x-22'))).toBeCloseTo(0, 12)
  })

  it('takes nearly one bit with a magnet between copper and steel, none between two coppers', () => {
    const bits = (standing: Standing[]) => rankNext(standing, [], ['magnet'])[0]?.bits ?? 0
    // Hand sum: two kinds answering alike 1 and 1.5 times in 100 leave about 0.9 bit to be told.
    expect(bits(even('cu-en-x-22', 'st-en-1_2'))).toBeGreaterThan(0.88)
    expect(bits(even('cu-en-x-22', 'cu-en-y-22'))).toBe(0)
  })

  it('tells two walls of one diameter apart by the wall, not by the diameter', () => {
    const next = rankNext(even('cu-l-3_4', 'cu-k-3_4'), [], ['wall', 'outside-diameter:calliper'])
    expect(next.map(({ check }) => check)).toEqual(['wall'])
    expect(next[0]!.bits).toBeGreaterThan(0.5)
  })

  it('never promises more than there is doubt', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...PIPES.map(({ id }) => id)), { minLength: 2, maxLength: 12 }),
        (ids) => {
          const standing = even(...ids)
          for (const { bits } of rankNext(standing, [], undefined))
            expect(bits).toBeLessThanOrEqual(entropy(standing) + 1e-9)
        },
      ),
      { numRuns: 50, seed: 20261123 },
    )
  })
})

describe('reasons', () => {
  it('are for where the answer is likelier than over all, against where it is not, silent between', () => {
    const check = { check: 'magnet', value: true } as const
    expect(reasonsFor(getPipe('st-en-1_2'), [check], [0.2]).for).toMatchObject([
      { code: 'magnet', text: 'The magnet holds.' },
    ])
    expect(reasonsFor(getPipe('cu-en-x-22'), [check], [0.2]).against).toHaveLength(1)
    expect(reasonsFor(getPipe('cu-en-x-22'), [check], [0.01])).toEqual({ for: [], against: [] })
  })
  it("say how far a measure is off, in the reader's units", () => {
    const [text] = reasonsFor(
      getPipe('cu-en-x-22'),
      [{ check: 'outside-diameter', value: 22.1, by: 'calliper' }],
      [0.01],
    ).for
    expect(speak(text!.text, 'gb')).toBe('22 mm outside, 0.1 mm under the measure.')
    expect(speak(text!.text, 'us')).toBe('0.866 in (22 mm) outside, 0.004 in (0.1 mm) under the measure.')
  })
})
