import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PIPES } from '#core/catalogue'
import {
  COLOURS,
  FLEXES,
  identifyPipe,
  INSTRUMENTS,
  type Check,
  type IdentifyAnswer,
  type IdentifyQuestion,
} from '#core/identify'
import { REGIONS } from '#core/units'

const ask = (question: IdentifyQuestion): IdentifyAnswer => {
  const result = identifyPipe(question)
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}
const od = (value: number, by: (typeof INSTRUMENTS)[number] = 'calliper'): Check => ({
  check: 'outside-diameter',
  value,
  by,
})

const anyChecks = fc.array(
  fc.oneof(
    fc.record({
      check: fc.constant('outside-diameter' as const),
      value: fc.double({ min: 4, max: 120, noNaN: true }),
      by: fc.constantFrom(...INSTRUMENTS),
    }),
    fc.record({ check: fc.constant('colour' as const), value: fc.constantFrom(...COLOURS) }),
    fc.record({ check: fc.constant('flex' as const), value: fc.constantFrom(...FLEXES) }),
    fc.record({ check: fc.constant('magnet' as const), value: fc.boolean() }),
  ),
  { maxLength: 5 },
)

describe('identifyPipe', () => {
  it('names 21.5 by calliper in Britain as old 3/4 in copper before 1/2 in steel', () => {
    const answer = ask({ region: 'gb', checks: [od(21.5)] })
    expect(answer.candidates.slice(0, 2).map(({ pipe }) => pipe)).toEqual(['cu-bs-imp-3_4', 'st-en-1_2'])
    expect(answer.candidates.find(({ pipe }) => pipe === 'cu-en-x-22')!.probability).toBeLessThan(0.05)
  })

  it('lets a magnet turn it to steel', () => {
    const answer = ask({ region: 'gb', checks: [od(21.5), { check: 'magnet', value: true }] })
    expect(answer.candidates[0]).toMatchObject({ pipe: 'st-en-1_2' })
    expect(answer.candidates[0]!.probability).toBeGreaterThan(0.9)
  })

  it.each(
    PIPES.filter(({ series }) => ['cu-en-x', 'pe-en', 'ml-en'].includes(series)).map(
      ({ id, od: mm, family }) => [id, mm, family] as const,
    ),
  )('puts the family of %s first when its own diameter, colour, flex and magnet are given', (id, mm, family) => {
    const colour = { copper: 'copper', pe: 'blue', multilayer: 'white' }[family as 'copper'] as (typeof COLOURS)[number]
    const flex = ({ copper: 'rigid', pe: 'springy' } as const)[family as 'copper'] ?? 'soft'
    const top = ask({
      region: 'eu',
      checks: [
        od(mm),
        { check: 'colour', value: colour },
        { check: 'flex', value: flex },
        { check: 'magnet', value: false },
      ],
    }).candidates
    expect(
      top.slice(0, 3).map(({ pipe }) => PIPES.find((one) => one.id === pipe)!.family),
      id,
    ).toContain(family)
  })

  it('sums to one with the unknown, falls in probability, and never proposes a check already made', () => {
    fc.assert(
      fc.property(anyChecks, fc.constantFrom(...REGIONS), (checks, region) => {
        const { candidates, unknown, next, entropy } = ask({ region, checks })
        const sum = candidates.reduce((total, { probability }) => total + probability, unknown)
        expect(sum).toBeCloseTo(1, 9)
        expect(unknown).toBeGreaterThanOrEqual(0)
        candidates.forEach((candidate, i) => {
          if (i > 0) expect(candidate.probability).toBeLessThanOrEqual(candidates[i - 1]!.probability)
        })
        next.forEach((one, i) => {
          expect(one.bits).toBeGreaterThanOrEqual(0.01)
          expect(one.bits).toBeLessThanOrEqual(entropy + 1e-6)
          if (i > 0) expect(one.bits).toBeLessThanOrEqual(next[i - 1]!.bits)
          expect(
            checks.some(
              (made) => made.check === one.check && (made.check !== 'outside-diameter' || made.by === one.by),
            ),
          ).toBe(false)
        })
      }),
      { numRuns: 60, seed: 20261123 },
    )
  })

  it('is the same for the same question and does not mind the order of checks', () => {
    const checks: Check[] = [od(22.2), { check: 'colour', value: 'red' }, { check: 'magnet', value: false }]
    expect(ask({ region: 'us', checks })).toEqual(ask({ region: 'us', checks }))
    const turned = ask({ region: 'us', checks: [...checks].reverse() })
    expect(turned.candidates[0]!.probability).toBeCloseTo(ask({ region: 'us', checks }).candidates[0]!.probability, 9)
  })

  it('never rules out a pipe of another country altogether', () => {
    const abroad = ask({
      region: 'gb',
      checks: [od(15.88), { check: 'colour', value: 'red' }, { check: 'flex', value: 'springy' }],
    })
    expect(abroad.candidates.some(({ pipe }) => pipe === 'pex-cts-1_2')).toBe(true)
  })

  it('proposes only what the person can do', () => {
    expect(ask({ region: 'gb', checks: [od(21.5)], can: ['magnet'] }).next.map(({ check }) => check)).toEqual([
      'magnet',
    ])
    expect(ask({ region: 'gb', checks: [], can: ['outside-diameter:rule'] }).next).toMatchObject([
      { check: 'outside-diameter', by: 'rule' },
    ])
  })

  it('thinks a calliper tells more than a rule', () => {
    const { next } = ask({ region: 'gb', checks: [] })
    const bits = (by: string) => next.find((one) => one.by === by)!.bits
    expect(bits('calliper')).toBeGreaterThan(bits('tape-round'))
    expect(bits('tape-round')).toBeGreaterThan(bits('rule'))
  })

  describe('cautions', () => {
    const codes = (question: IdentifyQuestion) => ask(question).cautions.map(({ code }) => code)
    it('raise gas for metal until it is traced to water', () => {
      expect(codes({ region: 'gb', checks: [od(22)] })).toContain('gas')
      expect(codes({ region: 'gb', checks: [od(22), { check: 'traced', value: 'unknown' }] })).toContain('gas')
      expect(codes({ region: 'gb', checks: [od(22), { check: 'traced', value: 'water' }] })).not.toContain('gas')
    })
    it('raise gas for anything yellow', () =>
      expect(
        codes({
          region: 'us',
          checks: [
            { check: 'colour', value: 'yellow' },
            { check: 'flex', value: 'springy' },
          ],
        }),
      ).toContain('gas'))
    it('keep earth path after tracing', () =>
      expect(codes({ region: 'gb', checks: [od(22), { check: 'traced', value: 'water' }] })).toContain('earth-path'))
    it('name soft copper only when it was felt', () => {
      expect(
        codes({
          region: 'gb',
          checks: [od(10), { check: 'colour', value: 'copper' }, { check: 'flex', value: 'soft' }],
        }),
      ).toContain('soft-copper')
      expect(
        codes({
          region: 'gb',
          checks: [od(10), { check: 'colour', value: 'copper' }, { check: 'flex', value: 'rigid' }],
        }),
      ).not.toContain('soft-copper')
    })
    it('name lead and failed polybutylene', () => {
      expect(
        codes({
          region: 'gb',
          checks: [
            od(22.3, 'rule'),
            { check: 'colour', value: 'grey' },
            { check: 'flex', value: 'soft' },
            { check: 'scratch', value: 'bright-silver' },
          ],
        }),
      ).toContain('lead')
      expect(
        codes({
          region: 'us',
          checks: [
            od(22.2),
            { check: 'colour', value: 'grey' },
            { check: 'flex', value: 'springy' },
            { check: 'held-by', value: 'copper-ring' },
          ],
        }),
      ).toContain('polybutylene')
    })
    it('say so when nothing fits', () => expect(codes({ region: 'gb', checks: [od(97)] })).toContain('not-supply'))
  })

  it.each([0.875, 3.9, 121, 1e9])('questions a diameter of %f with what it would be in inches', (value) => {
    expect(identifyPipe({ checks: [od(value)] })).toMatchObject({
      ok: false,
      error: { code: 'range', path: 'checks.0.value', message: expect.stringContaining('inches') },
    })
  })
})
