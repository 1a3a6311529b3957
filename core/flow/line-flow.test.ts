import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { getPipe } from '#core/catalogue'
import { flowAlong, velocityIn, type LineFlow } from '#core/flow'
import { surveyLine, type LaidLeg } from '#core/line'
import type { Method } from '#core/joints'
import { draftRun } from '#core/run'

function lay(legs: string[], { pipe = 'cu-en-x-22', method = 'solder' as Method } = {}): readonly LaidLeg[] {
  const region = pipe.startsWith('cu-en') ? ('gb' as const) : ('us' as const)
  const head = { region, pipe, method, corners: 'fittings' as const, start: 'free', walls: [], legs }
  const draft = draftRun(head, legs, { bender: undefined, kit: {} })
  const survey = draft.question ? surveyLine(draft.question) : null
  if (!survey?.ok) throw new Error('the line cannot be laid')
  return survey.value.laid
}
function flowIn(legs: string[], flow: number, more: Parameters<typeof lay>[1] = {}): LineFlow {
  const answer = flowAlong({ region: 'gb', laid: lay(legs, more), names: [], flow, temperature: 10 })
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value
}
const WAYS = ['e', 'u', 'n'] as const
const lines = fc
  .array(fc.integer({ min: 200, max: 6000 }), { minLength: 1, maxLength: 5 })
  .map((lengths) => lengths.map((mm, i) => `${WAYS[i % WAYS.length]} ${mm}${i === lengths.length - 1 ? ' free' : ''}`))
const flows = fc.double({ min: 0.02, max: 0.6, noNaN: true })

describe('the flow along a line', () => {
  it('loses pressure all along, never gains it, and in the end what its legs lose together', () => {
    fc.assert(
      fc.property(lines, flows, (legs, flow) => {
        const { lost, drop, legs: parts } = flowIn(legs, flow)
        lost.slice(1).forEach(({ at, bar }, i) => {
          expect(at).toBeGreaterThanOrEqual(lost[i]!.at)
          expect(bar).toBeGreaterThanOrEqual(lost[i]!.bar)
        })
        expect(lost.at(-1)!.bar).toBeCloseTo(drop, 12)
        expect(parts.reduce((sum, { answer }) => sum + answer.drop, 0)).toBeCloseTo(drop, 12)
      }),
      { numRuns: 60 },
    )
  })
  it('is cut into its legs without a gap', () => {
    fc.assert(
      fc.property(lines, (legs) => {
        const laid = lay(legs)
        const { legs: parts } = flowIn(legs, 0.2)
        expect(parts.map(({ leg }) => leg)).toEqual(laid.map(({ index }) => index))
        parts.forEach(({ from, to }, i) => {
          expect(from).toBeCloseTo(parts[i - 1]?.to ?? 0, 9)
          expect(to - from).toBeCloseTo(laid[i]!.length, 9)
        })
      }),
      { numRuns: 40 },
    )
  })
  it('runs as fast as the bore says, and loses more the more flows', () => {
    fc.assert(
      fc.property(lines, flows, (legs, flow) => {
        const one = flowIn(legs, flow)
        for (const { answer } of one.legs)
          expect(answer.velocity).toBeCloseTo(velocityIn(flow, getPipe('cu-en-x-22').bore!), 9)
        expect(flowIn(legs, flow * 1.5).drop).toBeGreaterThan(one.drop)
      }),
      { numRuns: 40 },
    )
  })
  it('loses more by an elbow than straight, and at the elbow', () => {
    const [straight, bent] = [flowIn(['e 4000 free'], 0.2), flowIn(['e 2000', 'u 2000 free'], 0.2)]
    expect(bent.drop).toBeGreaterThan(straight.drop)
    const [before, after] = bent.lost.filter(({ at }) => Math.abs(at - 2000) < 1e-6)
    expect(after!.bar - before!.bar).toBeCloseTo(bent.drop - straight.drop, 6)
  })
  it('goes the longest way at a tee, whichever branch that is', () => {
    expect(flowIn(['e 1000 tee', 'n 300 free', 'from b e 5000 free'], 0.1).legs.at(-1)!.to).toBeCloseTo(6000, 6)
    expect(flowIn(['e 1000 tee', 'n 7000 free', 'from b e 5000 free'], 0.1).legs.at(-1)!.to).toBeCloseTo(8000, 6)
  })
  it('is narrowed where an insert is pushed in, at both ends of a tube, and nowhere in a soldered one', () => {
    const legs = ['e 600', 'u 400', 'e 300 free']
    expect(flowIn(legs, 0.1).inserts).toEqual([])
    const crimped = flowIn(['e 24', 'u 16', 'e 12 free'], 0.1, { pipe: 'pex-cts-1_2', method: 'crimp' })
    expect(crimped.inserts.map(({ at }) => Math.round(at))).toEqual([610, 610, 1016, 1016])
    for (const { bore, velocity } of crimped.inserts) {
      expect(bore).toBeLessThan(getPipe('pex-cts-1_2').bore!)
      expect(velocity).toBeCloseTo(velocityIn(0.1, bore), 9)
    }
  })
  it('is over where a leg runs too fast, and not where it dribbles', () => {
    expect(flowIn(['e 1000 free'], 0.05).isOver).toBe(false)
    expect(flowIn(['e 1000 free'], 2).isOver).toBe(true)
  })
  it('is nothing where there is no line, and an issue where water is ice', () => {
    expect(flowAlong({ region: 'gb', laid: [], names: [], flow: 0.1, temperature: 10 })).toMatchObject({
      ok: true,
      value: { drop: 0, legs: [], isOver: false },
    })
    expect(
      flowAlong({ region: 'gb', laid: lay(['e 1000 free']), names: [], flow: 0.1, temperature: -3 }),
    ).toMatchObject({ ok: false, error: { path: 'temperature' } })
  })
})
