import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { findSocket, getPipe, PIPES } from '#core/catalogue'
import {
  findWays,
  isLoose,
  JOINT_METHODS,
  type Conditions,
  type Refusal,
  type WaysAnswer,
  type WaysQuestion,
} from '#core/joints'

const ask = (question: WaysQuestion): WaysAnswer => {
  const result = findWays(question)
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}
const pair = (
  a: string,
  b: string,
  conditions: Partial<Conditions> = {},
  region: WaysQuestion['region'] = 'gb',
  more: Partial<WaysQuestion> = {},
): WaysAnswer => ask({ region, a: { pipe: a }, b: { pipe: b }, conditions, ...more })
const names = (answer: WaysAnswer) => answer.ways.map(({ parts }) => parts[0]!.name)
const refusal = (answer: WaysAnswer, method: string, on = 'a'): Refusal | undefined =>
  answer.refused.find((one) => one.method === method && one.on === on)
const methodsOn = (answer: WaysAnswer, on = 'a') =>
  new Set(answer.ways.flatMap(({ joints }) => joints.filter((joint) => joint.on === on).map(({ method }) => method)))

describe('plain couplings', () => {
  it("join copper to its own size four ways, the standard's cup depth for solder", () => {
    const answer = pair('cu-en-x-22', 'cu-en-x-22')
    expect(names(answer).slice(0, 4).sort()).toEqual([
      'compression coupling',
      'press coupling',
      'push-fit coupling',
      'solder coupling',
    ])
    const solder = answer.ways.find(({ parts }) => parts[0]!.name === 'solder coupling')!
    expect(solder.joints.map(({ insertion }) => insertion.value)).toEqual([15.4, 15.4])
    expect(solder.minutes.wait).toBeGreaterThan(0)
  })

  it('join multilayer by its own system only: press, sleeve, cone', () => {
    const answer = pair('ml-en-20', 'ml-en-20')
    // A cone joint wants a G 3/4 seat at the other end: two tubes have none.
    expect([...methodsOn(answer)].sort()).toEqual(['ml-compression', 'ml-press', 'sliding-sleeve'])
    // Of sleeve and cone nobody holds one depth.
    expect(answer.ways[0]!.joints[0]!.method).toBe('ml-press')
    for (const way of answer.ways)
      expect(way.verdict === 'held').toBe(way.joints.some(({ insertion }) => insertion.value === null))
  })

  it('join PE by compression and refuse it hot', () => {
    expect(pair('pe-en-25', 'pe-en-25').ways[0]!.parts[0]).toMatchObject({
      name: 'PE compression coupling',
      size: '25',
    })
    expect(refusal(pair('pe-en-25', 'pe-en-25', { service: 'hot' }), 'pe-compression')).toMatchObject({
      code: 'rating',
    })
  })

  it('count rings and liners with the parts', () => {
    const crimped = pair('pex-cts-3_4', 'pex-cts-1_2', {}, 'us').ways.find(
      ({ parts }) => parts[0]!.name === 'crimp reducing coupling',
    )!
    expect(crimped.parts.map(({ kind, size, quantity }) => `${kind} ${size} ${quantity}`)).toEqual([
      'reducer 3/4 x 1/2 1',
      'ring 3/4 1',
      'ring 1/2 1',
    ])
    const pushed = pair('cu-l-1_2', 'pex-cts-1_2', {}, 'us').ways.find(
      ({ parts }) => parts[0]!.name === 'push-fit coupling',
    )!
    // A metal body in copper tube sizes has its own stiffener; one in metric sizes takes a loose liner.
    expect(pushed.parts.filter(({ kind }) => kind === 'liner')).toEqual([])
    const metric = pair('cu-en-x-15', 'bs7291-15').ways.find(({ parts }) => parts[0]!.name === 'push-fit coupling')!
    expect(metric.parts.filter(({ kind }) => kind === 'liner')).toMatchObject([{ size: '15', quantity: 1 }])
  })
})

describe('transitions between the families', () => {
  it('copper inch to PEX: push-fit, press or solder to crimp, and thread pairs', () => {
    const all = names(pair('cu-l-3_4', 'pex-cts-3_4', {}, 'us'))
    expect(all).toEqual(
      expect.arrayContaining([
        'push-fit coupling',
        'press x crimp adapter',
        'solder x crimp adapter',
        'press x female NPT adapter',
      ]),
    )
  })

  it('copper metric to multilayer by a copper spigot', () => {
    const way = pair('cu-en-x-22', 'ml-en-20', { service: 'heating' }).ways.find(
      ({ parts }) => parts[0]!.name === 'press coupling',
    )!
    expect(way.joints.map(({ method, on }) => `${method} ${on}`)).toEqual(['press a', 'press between', 'ml-press b'])
  })

  it('PE to copper by one adaptor', () => {
    expect(pair('pe-en-25', 'cu-en-x-22').ways[0]!.parts[0]).toMatchObject({
      name: 'PE x copper compression adaptor',
      size: '25 x 22',
    })
  })

  it('inch to metric only through threads made for both', () => {
    const answer = pair('cu-l-1_2', 'cu-en-x-15')
    expect(answer.ways.length).toBeGreaterThan(0)
    for (const way of answer.ways) {
      expect(way.parts.some(({ name }) => /NPT.*BSP/.test(name))).toBe(true)
      expect(way.because.map(({ code }) => code)).toContain('npt-bsp')
    }
  })

  it('old 3/4 in: refused by solder, press and push-fit, half a millimetre under', () => {
    const answer = pair('cu-bs-imp-3_4', 'cu-en-x-22')
    for (const method of ['solder', 'press', 'push-fit'])
      expect(refusal(answer, method)).toMatchObject({ code: 'size', reason: expect.stringContaining('0.51 mm under') })
    const olive = answer.ways.find(({ parts }) => parts.some(({ kind }) => kind === 'olive'))!
    expect(olive).toMatchObject({ verdict: 'care' })
    const converter = answer.ways.find(({ parts }) => parts[0]!.name === 'compression converter coupling')!
    expect(converter).toMatchObject({ verdict: 'held', because: [{ code: 'measure' }] })
    expect(converter.joints[0]!.insertion.value).toBeNull()
  })

  it('old 1/2 in enters a 15 by compression without another olive', () => {
    const way = pair('cu-bs-imp-1_2', 'cu-en-x-15').ways[0]!
    expect(way.parts).toMatchObject([{ name: 'compression coupling', size: '15' }])
    expect(way.because[0]!.code).toBe('near-match')
  })
})

describe('what refuses a method', () => {
  const cases: [string, Partial<Conditions>, string, string][] = [
    ['water left in the pipe', { wet: true }, 'solder', 'wet'],
    ['no flame allowed', { noFlame: true }, 'solder', 'flame'],
    ['hidden, policy reachable only', { hidden: true }, 'push-fit', 'hidden'],
    ['hidden for good', { hidden: true }, 'compression', 'hidden'],
    ['has to come apart', { mustUndo: true }, 'press', 'undo'],
    ['no room for jaws', { room: 'tight' }, 'press', 'room'],
    ['no room for spanners', { room: 'tight' }, 'compression', 'room'],
    ['no play', { play: 0 }, 'press', 'play'],
    ['in the ground', { service: 'buried' }, 'push-fit', 'service'],
    ['more pressure than it takes', { pressure: 20 }, 'compression', 'rating'],
    ['hotter than any row', { temperature: 115 }, 'press', 'rating'],
  ]
  it.each(cases)('%s', (_, conditions, method, code) => {
    const answer = pair('cu-en-x-22', 'cu-en-x-22', conditions)
    expect(refusal(answer, method)).toMatchObject({ code })
    // Without play a coupling without a stop still goes in, where rule and method allow it.
    for (const { joints, parts } of answer.ways)
      if (joints.some((joint) => joint.method === method && joint.on !== 'between'))
        expect([code, parts[0]!.kind]).toEqual(['play', 'slip'])
  })

  it('soft copper and push-fit', () => {
    expect(
      refusal(ask({ region: 'us', a: { pipe: 'cu-l-1_2', temper: 'soft' }, b: { pipe: 'cu-l-1_2' } }), 'push-fit'),
    ).toMatchObject({ code: 'temper' })
  })

  it('type M for drinking, unless the job allows it; heating is no drinking water', () => {
    expect(refusal(pair('cu-m-1_2', 'cu-m-1_2', {}, 'us'), 'press')).toMatchObject({ code: 'drinking' })
    expect(refusal(pair('cu-m-1_2', 'cu-m-1_2', { service: 'heating' }, 'us'), 'press')).toBeUndefined()
    expect(
      refusal(pair('cu-m-1_2', 'cu-m-1_2', {}, 'us', { policy: { typeMDrinking: 'allowed' } }), 'press'),
    ).toBeUndefined()
  })

  it('plastic without a barrier on heating', () => {
    expect(
      refusal(
        ask({
          region: 'us',
          a: { pipe: 'pex-cts-1_2', barrier: false },
          b: { pipe: 'cu-l-1_2' },
          conditions: { service: 'heating' },
        }),
        'crimp',
      ),
    ).toMatchObject({ code: 'service' })
  })

  it('a tool that is not on the van, and one without the size; hand tools always are', () => {
    const none = pair('cu-en-x-22', 'cu-en-x-22', {}, 'gb', { kit: { tools: [] } })
    expect(refusal(none, 'press')).toMatchObject({ code: 'tool' })
    expect([...methodsOn(none)].sort()).toEqual(['compression', 'push-fit'])
    expect(
      refusal(
        pair('cu-en-x-22', 'cu-en-x-22', {}, 'gb', { kit: { tools: [{ method: 'press', sizes: ['15'] }] } }),
        'press',
      ),
    ).toMatchObject({ code: 'tool' })
  })

  it('other pipe altogether, for every method of the contract', () => {
    const refused = pair('cu-en-x-22', 'ml-en-20')
      .refused.filter(({ on }) => on === 'a')
      .map(({ method }) => method)
    expect(refused).toEqual([
      'crimp',
      'clamp',
      'expansion',
      'sliding-sleeve',
      'ml-press',
      'ml-compression',
      'solvent-cement',
      'thread',
      'pe-compression',
      'union',
      'flare',
      'socket-fusion',
      'insert-clamp',
      'cone',
    ])
  })
})

describe('policies, kit and temporary work', () => {
  it('follow the school on hiding', () => {
    expect(
      methodsOn(
        pair('cu-en-x-22', 'cu-en-x-22', { hidden: true }, 'eu', {
          policy: { pushFitHidden: 'allowed', compressionHidden: 'allowed' },
        }),
      ),
    ).toEqual(new Set(['solder', 'press', 'push-fit', 'compression']))
    expect(methodsOn(pair('cu-en-x-22', 'cu-en-x-22', { hidden: true, temporary: true }))).toContain('compression')
  })
  it('let a measured fitting win', () => {
    const answer = pair('cu-en-x-15', 'cu-en-x-15', {}, 'gb', {
      kit: { measured: [{ method: 'compression', nominal: '15', fitting: 'coupling', insertion: 16.2 }] },
    })
    const way = answer.ways.find(({ parts }) => parts[0]!.name === 'compression coupling')!
    expect(way.joints[0]!.insertion).toEqual({ value: 16.2, lo: 16.2, hi: 16.2, source: 'measured' })
  })
  it('offer only what is in stock when the stock is named', () => {
    const answer = pair('cu-en-x-22', 'cu-en-x-22', {}, 'gb', {
      kit: { parts: [{ name: 'press coupling', size: '22', quantity: 1 }] },
    })
    expect(names(answer)).toEqual(['press coupling'])
  })
  it('say what would have to change when no way is right', () => {
    const answer = pair('cu-en-x-22', 'cu-en-x-22', { noFlame: true, hidden: true, room: 'tight' })
    expect(answer.ways).toEqual([])
    expect(answer.instead!.length).toBeGreaterThan(1)
  })
  it('refuse a plastic female thread', () => {
    const answer = ask({
      region: 'us',
      a: { thread: { form: 'npt', size: '1/2', gender: 'female', material: 'plastic' } },
      b: { pipe: 'pex-cts-1_2' },
    })
    expect(answer.ways).toEqual([])
    expect(answer.instead![0]).toContain('splits')
  })
  it('put a female adaptor on a male thread, made up by its standard', () => {
    const answer = ask({
      region: 'us',
      a: { thread: { form: 'npt', size: '1/2', gender: 'male', material: 'brass' } },
      b: { pipe: 'pex-cts-1_2' },
    })
    expect(answer.ways[0]!.joints[0]).toMatchObject({
      method: 'thread',
      on: 'a',
      pipe: null,
      thread: { form: 'npt', size: '1/2' },
    })
    expect(answer.ways.every(({ parts }) => /female NPT|NPT (?:reducing )?socket|union/.test(parts[0]!.name))).toBe(
      true,
    )
  })
})

describe('any two ends under any conditions', () => {
  const pipe = fc.constantFrom(...PIPES.map(({ id }) => id))
  const conditions = fc.record({
    service: fc.constantFrom('cold' as const, 'hot' as const, 'heating' as const, 'buried' as const),
    hidden: fc.boolean(),
    wet: fc.boolean(),
    noFlame: fc.boolean(),
    mustUndo: fc.boolean(),
    combustibles: fc.boolean(),
    room: fc.constantFrom('open' as const, 'tight' as const),
    play: fc.constantFrom(null, 0, 20, 100),
  })
  const run = { numRuns: 120, seed: 20261123 }
  const isThreaded = (id: string) => id.startsWith('st-')

  it('chains have an end at each end, matching joints, and no depth beyond its table', () => {
    fc.assert(
      fc.property(pipe, pipe, conditions, (a, b, given) => {
        const { ways, refused, instead } = pair(a, b, given)
        expect(ways.length > 0 || (instead?.length ?? 0) > 0).toBe(true)
        expect(new Set(ways.map(({ id }) => id)).size).toBe(ways.length)
        for (const way of ways) {
          expect(way.joints[0]).toMatchObject({ on: 'a', pipe: isThreaded(a) ? null : a })
          expect(way.joints.at(-1)).toMatchObject({ on: 'b', pipe: isThreaded(b) ? null : b })
          expect(way.joints.length).toBeLessThanOrEqual(6)
          const fittings = way.parts.filter((part) => part.kind !== 'tail' && !isLoose(part)).length
          expect(fittings).toBeLessThanOrEqual(3)
          for (const { insertion } of way.joints) {
            if (insertion.value === null) expect(way.verdict).toBe('held')
            else if (insertion.lo !== null)
              expect(insertion.lo <= insertion.value && insertion.value <= insertion.hi!).toBe(true)
          }
          if (way.margin.bar !== null) expect(way.margin.bar).toBeGreaterThanOrEqual(0)
          // A method refused on an end is only met there in a fitting made for that end's own size.
          for (const joint of [way.joints[0]!, way.joints.at(-1)!]) {
            const no = refused.find((one) => one.on === joint.on && one.method === joint.method)
            if (no)
              expect(['size converter', 'play slip']).toContain(
                `${no.code} ${no.code === 'play' ? way.parts[0]!.kind : way.parts.find(({ kind }) => kind === 'converter')?.kind}`,
              )
          }
        }
      }),
      run,
    )
  })

  it('a restriction never adds a way', () => {
    fc.assert(
      fc.property(
        pipe,
        pipe,
        conditions,
        fc.constantFrom('hidden' as const, 'wet' as const, 'noFlame' as const, 'mustUndo' as const),
        (a, b, given, name) => {
          const free = new Set(pair(a, b, { ...given, [name]: false }).ways.map(({ id }) => id))
          for (const { id } of pair(a, b, { ...given, [name]: true }).ways) expect(free).toContain(id)
        },
      ),
      run,
    )
  })

  it('a tool never takes a way away, and the country changes none', () => {
    fc.assert(
      fc.property(pipe, pipe, conditions, (a, b, given) => {
        const all = new Set(pair(a, b, given).ways.map(({ id }) => id))
        for (const { id } of pair(a, b, given, 'gb', { kit: { tools: [{ method: 'press' }] } }).ways)
          expect(all).toContain(id)
        if (given.service !== 'buried') expect(new Set(pair(a, b, given, 'us').ways.map(({ id }) => id))).toEqual(all)
      }),
      run,
    )
  })

  it('is ordered by verdict, joints, minutes, cost, id', () => {
    const rank = { fits: 0, care: 1, held: 2 }
    fc.assert(
      fc.property(pipe, pipe, (a, b) => {
        const keys = pair(a, b).ways.map(
          (way) => [rank[way.verdict], way.joints.length, way.minutes.work + way.minutes.wait, way.cost.low] as const,
        )
        keys.forEach((key, i) => {
          if (i === 0) return
          const at = key.findIndex((value, n) => value !== keys[i - 1]![n])
          if (at >= 0) expect(key[at]!).toBeGreaterThan(keys[i - 1]![at]!)
        })
      }),
      run,
    )
  })

  it('every socket method has a module, and every module a socket somewhere', () => {
    for (const id of Object.keys(JOINT_METHODS))
      expect(PIPES.some((one) => findSocket(id as 'press', getPipe(one.id)))).toBe(true)
  })
})

describe('bad questions', () => {
  it('name the end', () => {
    expect(findWays({ region: 'gb', a: { pipe: 'cu-en-x-22' }, b: { pipe: 'nothing' } })).toMatchObject({
      ok: false,
      error: { code: 'unknown-id', path: 'b.pipe' },
    })
    expect(findWays({ region: 'gb', a: { pipe: 'cu-en-x-22', wall: 11 }, b: { pipe: 'cu-en-x-22' } })).toMatchObject({
      ok: false,
      error: { code: 'range', path: 'a.wall' },
    })
  })
})
