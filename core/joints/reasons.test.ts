import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { findWays, JOINT_METHODS, METHODS, type Way, type WaysQuestion } from '#core/joints'

const copper = { pipe: 'cu-en-x-15' }
const ask = (question: Partial<WaysQuestion>): Way[] => {
  const answer = findWays({ region: 'gb', a: copper, b: copper, ...question })
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.value.ways
}
const codes = (way: Way) => way.cautions.map(({ code }) => code)
const by = (ways: readonly Way[], method: string) =>
  ways.find(({ joints }) => joints.every((joint) => joint.method === method))!

describe('what a job minds', () => {
  it('is said at the ways it bears on, and nowhere else', () => {
    const pex = { pipe: 'pex-cts-1_2' }
    const ways = ask({ region: 'us', a: pex, b: pex, policy: { reasons: ['scale', 'flood'] } })
    expect(codes(by(ways, 'crimp'))).toContain('scale')
    expect(codes(by(ways, 'push-fit'))).not.toContain('scale')
    expect(codes(by(ways, 'push-fit'))).toContain('flood')
    expect(codes(by(ways, 'crimp'))).not.toContain('flood')
    // A wide bore is not closed first.
    const wide = { pipe: 'pex-cts-1' }
    expect(codes(by(ask({ region: 'us', a: wide, b: wide, policy: { reasons: ['scale'] } }), 'crimp'))).not.toContain(
      'scale',
    )
    expect(ask({ policy: { reasons: ['pinholes'] } }).every((way) => codes(way).includes('pinholes'))).toBe(true)
  })

  it('changes no verdict and refuses nothing', () => {
    fc.assert(
      fc.property(fc.constantFrom('cu-en-x-15', 'bs7291-15', 'pex-cts-1_2'), fc.boolean(), (pipe, hidden) => {
        const question = { a: { pipe }, b: copper, conditions: { hidden } }
        const shape = (ways: readonly Way[]) => ways.map(({ id, verdict }) => [id, verdict])
        const minded = { reasons: ['scale', 'pinholes', 'flood'] as const, years: { press: 25 } }
        expect(shape(ask({ ...question, policy: { ...minded, reasons: [...minded.reasons] } }))).toEqual(
          shape(ask(question)),
        )
      }),
      { numRuns: 12 },
    )
  })

  it('says years by the figures of the job', () => {
    const ways = ask({ policy: { years: { press: 25 } } })
    expect(by(ways, 'press').cautions.find(({ code }) => code === 'years')?.text).toBe(
      'By your figures: press 25 years.',
    )
    expect(codes(by(ways, 'compression'))).not.toContain('years')
  })
})

describe('British plastic pipe', () => {
  it('is held to one system, asked once', () => {
    const end = { pipe: 'bs7291-15' }
    const said = (policy: WaysQuestion['policy']) =>
      ask({ a: end, b: end, policy }).map((way) => way.cautions.find(({ code }) => code === 'one-system')?.text)
    expect(said({}).every((text) => text?.includes('Say once in Kit'))).toBe(true)
    expect(said({ plasticSystem: 'the grey one' }).every((text) => text?.includes('all of the grey one'))).toBe(true)
    expect(ask({}).some((way) => codes(way).includes('one-system'))).toBe(false)
  })
})

describe('hot work', () => {
  it('counts once in every way with a flame, whatever else is in it, and in no other', () => {
    // By hand: 10 to write the permit, 20 of watching, 4 in money.
    const kit = { hotWork: { minutes: 30, price: 4 } }
    const [before, after] = [ask({}), ask({ kit })]
    expect(before.length).toBe(after.length)
    for (const way of before) {
      const priced = after.find(({ id }) => id === way.id)!
      const isHot = way.joints.some(({ method }) => JOINT_METHODS[method as 'solder']?.needsFlame)
      expect([way.id, priced.minutes.work - way.minutes.work]).toEqual([way.id, isHot ? 30 : 0])
      expect(priced.cost.low - way.cost.low).toBeCloseTo(isHot ? 4 : 0)
      expect(priced.cost.high - way.cost.high).toBeCloseTo(isHot ? 4 : 0)
    }
    expect(METHODS.filter((one) => JOINT_METHODS[one as 'solder']?.needsFlame)).toContain('solder')
  })
})

describe('pipe that is not as new', () => {
  it('in copper never lies bare in British ground; soft K and L in American ground do', () => {
    const conditions = { service: 'buried' as const }
    const ways = ask({ conditions })
    expect(ways.length).toBeGreaterThan(0)
    expect(ways.every((way) => codes(way).includes('bare-buried') && way.verdict !== 'fits')).toBe(true)
    const k = { pipe: 'cu-k-1_2' }
    expect(ask({ region: 'us', a: k, b: k, conditions }).some((way) => codes(way).includes('bare-buried'))).toBe(false)
  })

  it('is cut back where it is scored, and the other school is said for plastic', () => {
    const scored = { pipe: 'pe-en-25', surface: 'scored' as const }
    const ways = ask({ a: scored, b: { pipe: 'pe-en-25' } })
    expect(ways.flatMap(codes).length === 0 || ways.every((way) => codes(way).includes('scored'))).toBe(true)
    const metal = ask({ a: { ...copper, surface: 'scored' } })
    expect(metal.some((way) => codes(way).includes('scored'))).toBe(false)
  })

  it('is cut back to sound metal where it is corroded, or made temporary', () => {
    const ways = ask({ a: { ...copper, surface: 'corroded' } })
    expect(ways.length).toBeGreaterThan(0)
    expect(ways.every((way) => codes(way).includes('sound-metal'))).toBe(true)
  })
})
