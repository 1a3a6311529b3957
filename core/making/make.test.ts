import { describe, expect, it } from 'vitest'
import { findSocket, getPipe, PIPES, socketDepth, type SocketMethod } from '#core/catalogue'
import { makeCards, makeJoint, MADE_METHODS, solderByVolume, STEP_CODES, type MakeAnswer, type MakeQuestion } from '#core/making'
import { findWays } from '#core/joints'

const make = (question: Partial<MakeQuestion> & Pick<MakeQuestion, 'method'>): MakeAnswer => {
  const result = makeJoint({ region: 'gb', orientation: 'horizontal', ...question })
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}
const codes = (answer: MakeAnswer) => answer.steps.map(({ code }) => code)
/** One pipe each method is made on. */
const PIPE_OF: Record<string, string> = { 'solder': 'cu-en-x-22', 'press': 'cu-en-x-22', 'push-fit': 'pex-cts-1_2', 'compression': 'cu-en-x-15', 'crimp': 'pex-cts-1_2', 'clamp': 'pex-cts-1_2', 'expansion': 'pex-cts-3_4', 'sliding-sleeve': 'pex-en-20', 'ml-press': 'ml-en-20', 'ml-compression': 'ml-en-20', 'solvent-cement': 'cpvc-cts-3_4', 'pe-compression': 'pe-en-25' }
const made = MADE_METHODS.filter((method): method is SocketMethod => method !== 'thread' && method !== 'union')

describe('order of the steps', () => {
  // Each pair: the first comes before the second wherever both stand.
  const RULES = [['cut', 'ream'], ['ream', 'flux'], ['ream', 'insert'], ['clean', 'flux'], ['clean', 'insert'], ['flux', 'heat'], ['protect', 'heat'], ['heat', 'feed'], ['feed', 'wait'], ['wait', 'flush'], ['ring', 'insert'], ['nut', 'olive'], ['olive', 'insert'], ['liner', 'insert'], ['mark', 'insert'], ['mark', 'assemble'], ['insert', 'press'], ['press', 'gauge'], ['insert', 'tighten'], ['insert', 'tug'], ['ring', 'expand'], ['expand', 'insert'], ['insert', 'hold'], ['prime', 'cement'], ['cement', 'insert'], ['hold', 'cure'], ['mark', 'cement'], ['mark', 'expand']] as const
  it.each(made)('%s', (method) => {
    for (const orientation of ['horizontal', 'vertical'] as const) {
      const order = codes(make({ method, pipe: PIPE_OF[method], orientation }))
      for (const [before, after] of RULES) {
        if (!order.includes(before) || !order.includes(after)) continue
        // A ring is set in its place after the fitting is in.
        if (before === 'mark' && after === 'assemble' && (method === 'crimp' || method === 'clamp')) continue
        expect(order.indexOf(before), `${before} before ${after}`).toBeLessThan(order.indexOf(after))
      }
      expect(order[0]).toBe('cut')
      expect(order).toContain('mark')
      expect(order.every(code => STEP_CODES.includes(code))).toBe(true)
    }
  })

  it('opens an outlet before heat', () => {
    const { steps } = make({ method: 'solder', pipe: 'cu-en-x-22' })
    expect(steps.find(({ code }) => code === 'protect')!.do).toContain('outlet')
  })
})

describe('marks', () => {
  it.each(PIPES.flatMap(({ id }) => made.flatMap(method => (findSocket(method, getPipe(id)) ? [[method, id] as const] : []))).filter((_, i) => i % 4 === 0))('%s on %s equal the socket\'s depth', (method, id) => {
    const depth = socketDepth(findSocket(method, getPipe(id))!)
    const mark = make({ method, pipe: id }).marks[0]!
    expect([mark.fromEnd, mark.lo, mark.hi]).toEqual([depth.value, depth.lo, depth.hi])
  })
  it('put the ring a band from the end, and give its gauge', () => {
    const answer = make({ method: 'crimp', pipe: 'pex-cts-3_4', region: 'us' })
    expect(answer.marks[1]).toMatchObject({ what: 'ring', lo: 3.2, hi: 6.4 })
    // ASTM F1807: 0.960 and 0.945 in.
    expect(answer.gauge!.go).toBeCloseTo(24.38, 2)
    expect(answer.gauge!.noGo).toBeCloseTo(24, 2)
    expect(make({ method: 'crimp', pipe: 'pex-cts-5_8', region: 'us' }).gauge).toBeUndefined()
    expect(make({ method: 'clamp', pipe: 'pex-cts-3_4', region: 'us' }).marks[1]).toMatchObject({ what: 'ring', lo: 3.2, hi: 6.4 })
  })
})

describe('what is needed', () => {
  it('wire as long as the tube is wide, rings and liners one an end', () => {
    expect(make({ method: 'solder', pipe: 'cu-en-x-22' }).consumables).toEqual([{ item: 'lead-free solder wire', quantity: 22, unit: 'mm' }])
    expect(make({ method: 'push-fit', pipe: 'cu-en-x-22' }).consumables).toEqual([])
    expect(make({ method: 'push-fit', pipe: 'pex-cts-1_2' }).consumables).toHaveLength(1)
    expect(codes(make({ method: 'push-fit', pipe: 'cu-en-x-22' }))).not.toContain('liner')
  })
  it('counts its waits', () => {
    const answer = make({ method: 'solder', pipe: 'cu-en-x-22' })
    expect(answer.seconds.wait).toBe(answer.steps.reduce((sum, { seconds = 0 }) => sum + seconds, 0))
    expect(answer.seconds.wait).toBeGreaterThanOrEqual(300)
    expect(make({ method: 'press', pipe: 'cu-en-x-22' }).seconds.wait).toBe(0)
  })
})

describe('cautions stand with their condition and only then', () => {
  const has = (answer: MakeAnswer, code: string) => answer.cautions.some(caution => caution.code === code)
  it('fire', () => {
    expect(has(make({ method: 'solder', pipe: 'cu-en-x-22', conditions: { combustibles: true } }), 'fire')).toBe(true)
    expect(has(make({ method: 'solder', pipe: 'cu-en-x-22' }), 'fire')).toBe(false)
    expect(has(make({ method: 'press', pipe: 'cu-en-x-22', conditions: { combustibles: true } }), 'fire')).toBe(false)
  })
  it('an unknown depth', () => {
    expect(has(make({ method: 'compression', pipe: 'cu-en-x-35' }), 'measure')).toBe(true)
    expect(has(make({ method: 'compression', pipe: 'cu-en-x-22' }), 'measure')).toBe(false)
  })
})

describe('threads', () => {
  it('seal by the job\'s school', () => {
    expect(codes(make({ method: 'thread', nominal: '1/2', policy: { threadSeal: 'tape' } }))).not.toContain('paste')
    expect(codes(make({ method: 'thread', nominal: '1/2', policy: { threadSeal: 'paste' } }))).not.toContain('tape')
    expect(codes(make({ method: 'thread', nominal: '1/2' }))).toEqual(['clean', 'tape', 'paste', 'assemble', 'tighten'])
  })
  it('of a union are followed by its faces, with nothing on them', () => {
    expect(codes(make({ method: 'union', nominal: '3/4', policy: { threadSeal: 'paste' } }))).toEqual(['clean', 'paste', 'assemble', 'tighten', 'check', 'tighten'])
  })
  it('ask for a size', () => {
    expect(makeJoint({ method: 'thread', region: 'gb', orientation: 'horizontal' })).toMatchObject({ ok: false, error: { code: 'missing', path: 'nominal' } })
    expect(makeJoint({ method: 'thread', nominal: '7/8', region: 'gb', orientation: 'horizontal' })).toMatchObject({ ok: false, error: { code: 'unknown-id', path: 'nominal' } })
  })
})

describe('what cannot be made', () => {
  it.each([['solder', 'pex-cts-1_2'], ['press', 'cu-bs-imp-3_4'], ['crimp', 'ml-en-20'], ['pe-compression', 'cu-en-x-22'], ['solvent-cement', 'pex-cts-1_2'], ['expansion', 'pert-cts-1_2']] as const)('%s on %s is an error at method', (method, pipe) => {
    expect(makeJoint({ method, pipe, region: 'gb', orientation: 'horizontal' })).toMatchObject({ ok: false, error: { path: 'method' } })
  })
  it('an unknown pipe is an error at pipe', () => {
    expect(makeJoint({ method: 'press', pipe: 'x', region: 'gb', orientation: 'horizontal' })).toMatchObject({ ok: false, error: { code: 'unknown-id', path: 'pipe' } })
  })
})

describe('cards', () => {
  it('stand for every entry of any way that is offered for the catalogue\'s pairs', () => {
    for (const [a, b] of [['cu-en-x-22', 'ml-en-20'], ['pe-en-25', 'cu-bs-imp-3_4'], ['cu-l-1_2', 'pex-cts-1_2'], ['cu-l-1_2', 'cu-en-x-15'], ['cu-l-3_4', 'st-40-1_2'], ['cpvc-cts-3_4', 'pex-cts-1_2'], ['pvc-40-1', 'pvc-80-1'], ['ss-en-22', 'cu-en-x-22'], ['pex-en-16', 'ml-en-20']] as const) {
      const ways = findWays({ region: 'gb', a: { pipe: a }, b: { pipe: b } })
      if (!ways.ok) throw new Error(ways.error.message)
      for (const way of ways.value.ways) for (const card of makeCards({ joints: way.joints, region: 'gb', orientation: 'vertical' })) expect([way.id, card.answer.ok || card.answer.error.message]).toEqual([way.id, true])
    }
  })
})

describe('solder by the gap', () => {
  // Worked by hand: 3.1416 x OD x 0.1 x depth, twice, over the wire's section: 22 in 15.4 is 106.4 mm3, 30.1 mm of 3 mm wire.
  it.each([[15, 10.6, 'metric', 14.1], [22, 15.4, 'metric', 30.1], [28, 18.4, 'metric', 45.8], [15.875, 12.7, 'inch', 16], [22.225, 19.05, 'inch', 33.6]] as const)('%s in %s, %s, takes %s of wire', (od, depth, system, wire) => {
    expect(solderByVolume(od, depth, system)).toBeCloseTo(wire, 1)
  })
})
