import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { findSocket, getPipe, PIPES, socketDepth, type SocketMethod } from '#core/catalogue'
import { inMakingOrder, makeCards, makeJoint, type MakeAnswer } from '#core/making'
import { judgeReading } from '#core/units'
import {
  findWays,
  MADE_METHODS,
  NEAR,
  solderByVolume,
  STEP_CODES,
  type MadeMethod,
  type MakeQuestion,
} from '#core/joints'

const make = (question: Partial<MakeQuestion> & Pick<MakeQuestion, 'method'>): MakeAnswer => {
  const result = makeJoint({
    region: 'gb',
    orientation: 'horizontal',
    ...fitFor(question.pipe, question.method),
    ...question,
  })
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}
const codes = (answer: MakeAnswer) => answer.steps.map(({ code }) => code)
/**
 * What a card is asked for where the test is of the steps alone: PEX a, type M by the job's policy, and a service its
 * pipe is made for.
 */
const FIT: Partial<MakeQuestion> = { pexType: 'a', policy: { typeMDrinking: 'allowed' } }
const fitFor = (pipe: string | undefined, method?: string): Partial<MakeQuestion> => ({
  ...FIT,
  ...(pipe?.startsWith('cs-en') ? { conditions: { service: 'heating' } } : {}),
  ...(method === 'flare' ? { temper: 'soft' } : {}),
})
/** One pipe each method is made on. */
const PIPE_OF: Record<string, string> = {
  solder: 'cu-en-x-22',
  press: 'cu-en-x-22',
  'push-fit': 'pex-cts-1_2',
  compression: 'cu-en-x-15',
  crimp: 'pex-cts-1_2',
  clamp: 'pex-cts-1_2',
  expansion: 'pex-cts-3_4',
  'sliding-sleeve': 'pex-en-20',
  'ml-press': 'ml-en-20',
  'ml-compression': 'ml-en-20',
  'solvent-cement': 'cpvc-cts-3_4',
  'pe-compression': 'pe-en-25',
  flare: 'cu-l-1_2',
  'socket-fusion': 'ppr-6-20',
  'insert-clamp': 'pe-id-7-3_4',
  cone: 'ml-en-16',
}
const made = MADE_METHODS.filter((method): method is SocketMethod => method !== 'thread' && method !== 'union')

describe('order of the steps', () => {
  // Each pair: the first comes before the second wherever both stand.
  const RULES = [
    ['cut', 'ream'],
    ['ream', 'flux'],
    ['ream', 'insert'],
    ['clean', 'flux'],
    ['clean', 'insert'],
    ['flux', 'heat'],
    ['protect', 'heat'],
    ['heat', 'feed'],
    ['feed', 'wait'],
    ['wait', 'flush'],
    ['ring', 'insert'],
    ['nut', 'olive'],
    ['olive', 'insert'],
    ['liner', 'insert'],
    ['mark', 'insert'],
    ['mark', 'assemble'],
    ['insert', 'press'],
    ['press', 'gauge'],
    ['insert', 'tighten'],
    ['insert', 'tug'],
    ['ring', 'expand'],
    ['expand', 'insert'],
    ['insert', 'hold'],
    ['prime', 'cement'],
    ['cement', 'insert'],
    ['hold', 'cure'],
    ['mark', 'cement'],
    ['mark', 'expand'],
  ] as const
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
      // A flare stands on a nose: nothing goes in.
      if (method !== 'flare') expect(order).toContain('mark')
      expect(order.every((code) => STEP_CODES.includes(code))).toBe(true)
    }
  })

  it('opens an outlet before heat', () => {
    const { steps } = make({ method: 'solder', pipe: 'cu-en-x-22' })
    expect(steps.find(({ code }) => code === 'protect')!.do).toContain('outlet')
  })
})

describe('marks', () => {
  it.each(
    PIPES.flatMap(({ id }) =>
      // Type M is sold hard only, which no flare takes; coil soft only, which no push-fit takes; vinyl holds no pressure.
      made.flatMap((method) =>
        findSocket(method, getPipe(id)) &&
        !(method === 'flare' && id.startsWith('cu-m')) &&
        !(method === 'push-fit' && id.startsWith('cu-od')) &&
        !id.startsWith('vinyl')
          ? [[method, id] as const]
          : [],
      ),
    ).filter((_, i) => i % 4 === 0),
  )("%s on %s equal the socket's depth", (method, id) => {
    const depth = socketDepth(findSocket(method, getPipe(id))!)
    // A flare stands on its nose and has no mark.
    const [mark] = make({ method, pipe: id }).marks
    if (depth.value === 0) return expect(mark).toBeUndefined()
    if (!mark) throw new Error('no mark')
    expect([mark.fromEnd, mark.lo, mark.hi]).toEqual([depth.value, depth.lo, depth.hi])
  })
  it('put the ring a band from the end, and give its gauge', () => {
    const answer = make({ method: 'crimp', pipe: 'pex-cts-3_4', region: 'us' })
    expect(answer.marks[1]).toMatchObject({ what: 'ring', lo: 3.175, hi: 6.35 })
    // ASTM F1807: 0.960 and 0.945 in.
    expect(answer.gauge!.go).toBe(24.384)
    expect(answer.gauge!.noGo).toBe(24.003)
    expect(make({ method: 'crimp', pipe: 'pex-cts-5_8', region: 'us' }).gauge).toEqual({ go: 21.082, noGo: 20.701 })
    expect(make({ method: 'clamp', pipe: 'pex-cts-3_4', region: 'us' }).marks[1]).toMatchObject({
      what: 'ring',
      lo: 3.175,
      hi: 6.35,
    })
  })
})

describe('what is needed', () => {
  it('wire as long as the nominal size, rings and liners one an end', () => {
    expect(make({ method: 'solder', pipe: 'cu-en-x-22' }).consumables).toEqual([
      { item: 'lead-free solder wire', quantity: 22, unit: 'mm' },
    ])
    expect(make({ method: 'push-fit', pipe: 'cu-en-x-22' }).consumables).toEqual([])
    expect(make({ method: 'push-fit', pipe: 'pex-cts-1_2' }).consumables).toEqual([])
    expect(make({ method: 'push-fit', pipe: 'bs7291-15' }).consumables).toEqual([
      { item: expect.stringMatching(/^liner for 15/), quantity: 1, unit: 'piece' },
    ])
    expect(codes(make({ method: 'push-fit', pipe: 'cu-en-x-22' }))).not.toContain('liner')
  })
  it('counts its waits', () => {
    const answer = make({ method: 'solder', pipe: 'cu-en-x-22' })
    expect(answer.seconds.wait).toBe(answer.steps.reduce((sum, { seconds = 0 }) => sum + seconds, 0))
    expect(answer.seconds.wait).toBeGreaterThanOrEqual(300)
    expect(make({ method: 'press', pipe: 'cu-en-x-22' }).seconds.wait).toBe(0)
  })
})

describe('what the place changes', () => {
  const step = (answer: MakeAnswer, code: string) => answer.steps.find((one) => one.code === code)!
  // ASTM F1960 makers: 30 min above 4, 3 h from -1 to 4, 10 h below; the gap is taken as the colder.
  it.each([
    [20, 1800],
    [5, 1800],
    [4, 10_800],
    [-1, 10_800],
    [-2, 36_000],
    [-12, 36_000],
    [-15, 36_000],
  ])('an expansion fitting at %s degC shrinks %s s', (ambient, seconds) => {
    expect(step(make({ method: 'expansion', pipe: 'pex-cts-3_4', region: 'us', ambient }), 'wait').seconds).toBe(
      seconds,
    )
  })
  it('cold never shortens a wait', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('expansion', 'solvent-cement', 'solder'),
        fc.double({ min: -15, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (method, warm, by) => {
          const wait = (ambient: number) =>
            make({ method: method as MadeMethod, pipe: PIPE_OF[method], region: 'us', ambient: Math.max(-15, ambient) })
              .seconds.wait
          expect(wait(warm - by)).toBeGreaterThanOrEqual(wait(warm))
        },
      ),
    )
  })
  it('cement cures 48 hours at most where it is cold', () => {
    expect(
      [20, 16, 15].map(
        (ambient) =>
          step(make({ method: 'solvent-cement', pipe: 'cpvc-cts-3_4', region: 'us', ambient }), 'cure').seconds,
      ),
    ).toEqual([1800, 1800, 172_800])
  })
  it('the steps stay the same in number, so that what is ticked stays ticked', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...made),
        fc.constantFrom('horizontal', 'vertical'),
        fc.constantFrom('hard', 'soft'),
        fc.integer({ min: -40, max: 60 }),
        fc.subarray([...NEAR]),
        (method, orientation, temper, ambient, near) => {
          // Soft tube has its support sleeve besides.
          const isSleeve = (code: string) => code === 'liner' && method === 'compression'
          expect(
            codes(
              make({
                method,
                pipe: PIPE_OF[method],
                orientation: orientation as 'vertical',
                temper: method === 'flare' ? 'soft' : (temper as 'soft'),
                ambient,
                near,
              }),
            ).filter((code) => !isSleeve(code)),
          ).toEqual(codes(make({ method, pipe: PIPE_OF[method] })))
        },
      ),
    )
  })
  it('a valve is opened before the flame, plastic comes after it', () => {
    const plain = make({ method: 'solder', pipe: 'cu-en-x-22' })
    expect(step(plain, 'protect').do).not.toMatch(/valve|until it is cold/)
    expect(step(make({ method: 'solder', pipe: 'cu-en-x-22', near: ['valve'] }), 'protect').do).toContain(
      'open the valve',
    )
    expect(step(make({ method: 'solder', pipe: 'cu-en-x-22', near: ['plastic'] }), 'protect').do).toContain(
      'plastic off until it is cold',
    )
  })
  it('a large tube is heated on opposite sides, a vertical one from below', () => {
    expect(step(make({ method: 'solder', pipe: 'cu-en-x-35' }), 'heat').do).toContain('opposite sides')
    expect(step(make({ method: 'solder', pipe: 'cu-en-x-28' }), 'heat').do).not.toContain('opposite sides')
    expect(step(make({ method: 'solder', pipe: 'cu-en-x-22', orientation: 'vertical' }), 'heat').do).toContain(
      'from below',
    )
    expect(step(make({ method: 'solder', pipe: 'cu-en-x-22', torch: 'propylene' }), 'heat').why).toContain('hotter')
  })
  it('soft tube is re-rounded before it is cleaned for a mouth', () => {
    expect(step(make({ method: 'press', pipe: 'cu-en-x-22', temper: 'soft' }), 'clean').do).toContain('Re-round')
    expect(step(make({ method: 'press', pipe: 'cu-en-x-22' }), 'clean').do).not.toContain('Re-round')
  })
})

describe('figures that prove a step', () => {
  const asks = (question: Parameters<typeof make>[0]) => make(question).steps.flatMap(({ ask }) => ask ?? [])
  it("are the standard's own where it has one", () => {
    expect(asks({ method: 'crimp', pipe: 'pex-cts-3_4', region: 'us' })).toMatchObject([
      { what: 'ring-distance', lo: 3.175, hi: 6.35, isFirm: true },
      { what: 'ring-diameter', lo: 24.003, hi: 24.384, isFirm: true },
    ])
    expect(asks({ method: 'expansion', pipe: 'pex-cts-3_4', region: 'us' })).toMatchObject([
      { what: 'ring-over-end', lo: 0, hi: 1.6 },
    ])
  })
  it('are typical where makers differ, by size', () => {
    expect(
      [15, 22, 28, 42].map(
        (size) => asks({ method: 'compression', pipe: `cu-en-${size > 35 ? 'y' : 'x'}-${size}` })[0],
      ),
    ).toMatchObject(
      [
        [0.75, 1.25],
        [0.75, 1],
        [0.5, 1],
        [0.5, 0.75],
      ].map(([lo, hi]) => ({ what: 'nut-turns', lo, hi, isFirm: false })),
    )
  })
  it('lie between their limits or outside, whatever is read', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 120, noNaN: true }),
        (lo, width, reading) => {
          expect(judgeReading({ lo, hi: lo + width }, reading) === 'within').toBe(
            reading >= lo - 1e-9 && reading <= lo + width + 1e-9,
          )
        },
      ),
    )
  })
})

describe('cautions stand with their condition and only then', () => {
  it.each([
    ['after-solder', { method: 'press', pipe: 'cu-en-x-22', near: ['solder'] }],
    ['valve', { method: 'solder', pipe: 'cu-en-x-22', near: ['valve'] }],
    ['seal-near', { method: 'solder', pipe: 'cu-en-x-22', near: ['seal'] }],
    ['plastic-near', { method: 'solder', pipe: 'cu-en-x-22', near: ['plastic'] }],
    ['cold', { method: 'expansion', pipe: 'pex-cts-1_2', ambient: -1 }],
    ['cement-air', { method: 'solvent-cement', pipe: 'cpvc-cts-3_4', ambient: 4 }],
    ['re-round', { method: 'solder', pipe: 'cu-en-x-22', temper: 'soft' }],
    ['drips', { method: 'press', pipe: 'cu-en-x-22', conditions: { wet: true } }],
    ['fire', { method: 'solder', pipe: 'cu-en-x-22', conditions: { combustibles: true } }],
  ] as const)('%s', (code, { method, pipe, ...condition }) => {
    const codesOf = (question: object) => make({ method, pipe, ...question }).cautions.map((one) => one.code)
    expect(codesOf(condition)).toContain(code)
    expect(codesOf({})).not.toContain(code)
  })
  const has = (answer: MakeAnswer, code: string) => answer.cautions.some((caution) => caution.code === code)
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
  it("seal by the job's school", () => {
    expect(codes(make({ method: 'thread', nominal: '1/2', policy: { threadSeal: 'tape' } }))).not.toContain('paste')
    expect(codes(make({ method: 'thread', nominal: '1/2', policy: { threadSeal: 'paste' } }))).not.toContain('tape')
    expect(codes(make({ method: 'thread', nominal: '1/2' }))).toEqual(['clean', 'tape', 'paste', 'assemble', 'tighten'])
  })
  it('of a union are followed by its faces, with nothing on them', () => {
    expect(codes(make({ method: 'union', nominal: '3/4', policy: { threadSeal: 'paste' } }))).toEqual([
      'clean',
      'paste',
      'assemble',
      'tighten',
      'check',
      'tighten',
    ])
  })
  it('ask for a size', () => {
    expect(makeJoint({ method: 'thread', region: 'gb', orientation: 'horizontal' })).toMatchObject({
      ok: false,
      error: { code: 'missing', path: 'nominal' },
    })
    expect(makeJoint({ method: 'thread', nominal: '7/8', region: 'gb', orientation: 'horizontal' })).toMatchObject({
      ok: false,
      error: { code: 'unknown-id', path: 'nominal' },
    })
  })
})

describe('what cannot be made', () => {
  it.each([
    ['solder', 'pex-cts-1_2'],
    ['press', 'cu-bs-imp-3_4'],
    ['crimp', 'ml-en-20'],
    ['pe-compression', 'cu-en-x-22'],
    ['solvent-cement', 'pex-cts-1_2'],
    ['expansion', 'pert-cts-1_2'],
  ] as const)('%s on %s is an error at method', (method, pipe) => {
    expect(makeJoint({ method, pipe, region: 'gb', orientation: 'horizontal' })).toMatchObject({
      ok: false,
      error: { path: 'method' },
    })
  })
  it('an unknown pipe is an error at pipe', () => {
    expect(makeJoint({ method: 'press', pipe: 'x', region: 'gb', orientation: 'horizontal' })).toMatchObject({
      ok: false,
      error: { code: 'unknown-id', path: 'pipe' },
    })
  })
})

describe('order of the ends', () => {
  const cards = (a: string, b: string, method: string) => {
    const ways = findWays({ region: 'us', a: { pipe: a, pexType: 'a' }, b: { pipe: b, pexType: 'a' } })
    if (!ways.ok) throw new Error(ways.error.message)
    const way = ways.value.ways.find(
      ({ joints }) => joints.some((one) => one.method === method) && joints.some((one) => one.method === 'solder'),
    )!
    return inMakingOrder(
      makeCards({
        joints: way.joints,
        parts: way.parts,
        region: 'us',
        orientation: 'horizontal',
        a: { pipe: a, pexType: 'a' },
        b: { pipe: b, pexType: 'a' },
      }),
    )
  }
  it.each([
    ['pex-cts-1_2', 'cu-l-1_2', 'crimp'],
    ['cu-l-1_2', 'pex-cts-1_2', 'crimp'],
    ['pex-cts-3_4', 'cu-l-3_4', 'expansion'],
  ])('%s to %s: the adaptor is soldered before the plastic goes on', (a, b, method) => {
    const order = cards(a, b, method)
    expect(order.map(({ joint }) => joint.method).indexOf('solder')).toBe(0)
    expect(order.findLast(({ joint }) => joint.method === 'solder')!.joint.method).toBe('solder')
    const plastic = order.find(({ joint }) => joint.method === method)!
    expect(plastic.answer.ok && plastic.answer.value.cautions.map(({ code }) => code)).toContain('after-solder')
    const soldered = order[0]!
    expect(soldered.answer.ok && soldered.answer.value.cautions.map(({ code }) => code)).toContain('plastic-near')
  })
  it('asks for all pen ticks at the last end that is pressed', () => {
    const ways = findWays({ region: 'gb', a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } })
    const way = ways.ok ? ways.value.ways.find(({ joints }) => joints.every(({ method }) => method === 'press'))! : null
    const last = inMakingOrder(makeCards({ joints: way!.joints, region: 'gb', orientation: 'horizontal' })).at(-1)!
    expect(last.answer.ok && last.answer.value.steps.at(-1)!.ask).toMatchObject({ what: 'ticks', lo: 2, hi: 2 })
  })
})

describe('cards', () => {
  it("stand for every entry of any way that is offered for the catalogue's pairs", () => {
    for (const [a, b] of [
      ['cu-en-x-22', 'ml-en-20'],
      ['pe-en-25', 'cu-bs-imp-3_4'],
      ['cu-l-1_2', 'pex-cts-1_2'],
      ['cu-l-1_2', 'cu-en-x-15'],
      ['cu-l-3_4', 'st-40-1_2'],
      ['cpvc-cts-3_4', 'pex-cts-1_2'],
      ['pvc-40-1', 'pvc-80-1'],
      ['ss-en-22', 'cu-en-x-22'],
      ['pex-en-16', 'ml-en-20'],
    ] as const) {
      const ways = findWays({ region: 'gb', a: { pipe: a }, b: { pipe: b } })
      if (!ways.ok) throw new Error(ways.error.message)
      for (const way of ways.value.ways)
        for (const card of makeCards({ joints: way.joints, region: 'gb', orientation: 'vertical' }))
          expect([way.id, card.answer.ok || card.answer.error.message]).toEqual([way.id, true])
    }
  })
})

describe('solder by the gap', () => {
  // Worked by hand: 3.1416 x OD x 0.1 x depth, twice, over the wire's section: 22 in 15.4 is 106.4 mm3, 30.1 mm of 3 mm
  // wire.
  it.each([
    [15, 10.6, 'metric', 14.1],
    [22, 15.4, 'metric', 30.1],
    [28, 18.4, 'metric', 45.8],
    [15.875, 12.7, 'inch', 16],
    [22.225, 19.05, 'inch', 33.6],
  ] as const)('%s in %s, %s, takes %s of wire', (od, depth, system, wire) => {
    expect(solderByVolume(od, depth, system)).toBeCloseTo(wire, 1)
  })
})
