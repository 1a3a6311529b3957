import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PIPES } from '#core/catalogue'
import { findWays, type Way } from '#core/joints'
import { layOutWay } from '~/drawing/joint-layout'
import { spreadMarks } from '~/drawing/materials'
import { wayTitle } from '~/wording/way'

const waysOf = (a: string, b: string): Way[] => {
  const answer = findWays({ region: 'gb', a: { pipe: a }, b: { pipe: b } })
  return answer.ok ? answer.value.ways : []
}
const SERIES = ['cu-l', 'cu-en-x', 'cu-bs-imp', 'pex-cts', 'ml-en', 'pe-en']
const pipe = fc.constantFrom(
  ...PIPES.filter(({ series, od }) => SERIES.includes(series) && od < 30).map(({ id }) => id),
)

describe('layOutWay', () => {
  it('draws every depth to its own length and every tube within the drawing', () => {
    fc.assert(
      fc.property(pipe, pipe, (a, b) => {
        for (const way of waysOf(a, b)) {
          const layout = layOutWay(way, { pipe: a }, { pipe: b })
          expect(layout.depths).toHaveLength(way.joints.length)
          for (const { from, to, joint } of layout.depths)
            if (joint.insertion.value !== null) expect(to - from).toBeCloseTo(joint.insertion.value, 9)
          for (const { from, to } of [...layout.tubes, ...layout.bodies, ...layout.threads]) {
            expect(from).toBeGreaterThanOrEqual(-1e-9)
            expect(to).toBeLessThanOrEqual(layout.length + 1e-9)
            expect(to).toBeGreaterThan(from)
          }
          expect(layout.bodies).toHaveLength(
            way.parts.filter(({ kind }) => !['tail', 'ring', 'liner', 'olive'].includes(kind)).length,
          )
        }
      }),
      { numRuns: 40, seed: 20261123 },
    )
  })

  it('puts the tube of each end into its own fitting by its own depth', () => {
    const way = waysOf('cu-en-x-22', 'cu-en-x-15').find(({ parts }) => parts[0]!.name.startsWith('solder'))!
    const { tubes, bodies } = layOutWay(way, { pipe: 'cu-en-x-22' }, { pipe: 'cu-en-x-15' })
    const left = tubes.find(({ on }) => on === 'a')!
    const right = tubes.find(({ on }) => on === 'b')!
    expect(left.to - bodies[0]!.from).toBeCloseTo(15.4, 9)
    expect(bodies[0]!.to - right.from).toBeCloseTo(10.6, 9)
  })
})

describe('marks of a plastic wall', () => {
  it('are whole and evenly spread', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 900 }), fc.integer({ min: 5, max: 20 }), (length, pitch) => {
        const at = spreadMarks(0, length, pitch)
        expect(at[0]!).toBeGreaterThanOrEqual(pitch / 2 - 1e-9)
        expect(at.at(-1)!).toBeLessThanOrEqual(length - pitch / 2 + 1e-9)
        at.forEach((x, i) => {
          if (i > 1) expect(x - at[i - 1]!).toBeCloseTo(at[1]! - at[0]!, 6)
        })
      }),
    )
  })
})

describe('words', () => {
  it("name a way by what is ordered, in the job's own trade words", () => {
    const [way] = waysOf('cu-l-1_2', 'pex-cts-1_2')
    expect(wayTitle(way!, 'us')).toBe('Push-fit coupling 1/2')
    expect(
      wayTitle(
        waysOf('cu-l-1_2', 'pex-cts-1_2').find(({ parts }) => parts[0]!.kind === 'adapter')!,
        'gb',
      ),
    ).toMatch(/adaptor/)
  })
})
