import { describe, expect, it } from 'vitest'
import { findWays, orderList, type Conditions, type End, type Way, type WaysAnswer } from '#core/joints'

const ask = (
  a: End | string,
  b: End | string,
  conditions: Partial<Conditions> = {},
  region: 'gb' | 'us' = 'gb',
): WaysAnswer => {
  const end = (one: End | string): End => (typeof one === 'string' ? { pipe: one } : one)
  const result = findWays({ region, a: end(a), b: end(b), conditions })
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}
const named = (answer: WaysAnswer, name: string | RegExp): Way | undefined =>
  answer.ways.find(({ parts }) =>
    parts.some((part) => (typeof name === 'string' ? part.name === name : name.test(part.name))),
  )
const codes = (way: Way | undefined) => [...(way?.because ?? []), ...(way?.cautions ?? [])].map(({ code }) => code)

// The usual chains of the trade, one row a pair: ends, service, what has to be among the ways.
const CHAINS: [string, string, string | RegExp, Partial<Conditions>, 'gb' | 'us'][] = [
  ['cu-l-3_4', 'pex-cts-3_4', 'press x clamp adapter', {}, 'us'],
  ['cu-l-3_4', 'cpvc-cts-3_4', 'push-fit coupling', {}, 'us'],
  ['cu-l-3_4', 'cpvc-cts-3_4', /cemented x female NPT brass-insert adapter/, {}, 'us'],
  ['cu-l-3_4', 'pvc-40-3_4', /cemented x male NPT adapter/, {}, 'us'],
  ['cu-l-3_4', 'st-40-3_4', 'dielectric union, female NPT x solder', {}, 'us'],
  ['cu-en-x-22', 'st-en-3_4', /press x female BSP adaptor/, { service: 'heating' }, 'gb'],
  ['cu-en-x-22', 'ss-en-22', 'gunmetal press coupling, stainless x copper', {}, 'gb'],
  ['cu-en-x-22', 'cs-en-22', 'gunmetal press coupling, carbon steel x copper', { service: 'heating' }, 'gb'],
  ['cu-en-x-15', 'bs7291-15', 'push-fit coupling', {}, 'gb'],
  ['cpvc-cts-1_2', 'pex-cts-1_2', 'cemented x crimp adapter', {}, 'us'],
  ['pex-cts-1_2', 'st-40-1_2', /crimp x female NPT adapter/, {}, 'us'],
  ['pex-en-16', 'ml-en-16', /sliding sleeve x male BSP adaptor/, {}, 'gb'],
  ['pe-en-25', 'cu-en-x-15', 'entry stop valve with drain, PE x copper compression', {}, 'gb'],
  ['st-40-1', 'st-40-1', 'NPT union', {}, 'us'],
  ['st-40-1', 'st-40-1_2', 'NPT reducing socket', {}, 'us'],
  ['pvc-40-1', 'pvc-80-1', 'cemented coupling', {}, 'us'],
]

describe('the usual chains', () => {
  it.each(CHAINS)('%s to %s by %s', (a, b, name, conditions, region) =>
    expect(named(ask(a, b, conditions, region), name)).toBeDefined(),
  )
})

describe('what decides', () => {
  it('the kind of PEX for expansion: a is taken, b and c are refused', () => {
    const on = (pexType?: 'a' | 'b' | 'c') =>
      ask(
        { pipe: 'pex-cts-3_4', ...(pexType ? { pexType } : {}) },
        { pipe: 'pex-cts-3_4', ...(pexType ? { pexType } : {}) },
        {},
        'us',
      )
    expect(named(on('a'), 'expansion coupling')).toBeDefined()
    for (const type of ['b', 'c', undefined] as const)
      expect(on(type).refused.find(({ method }) => method === 'expansion')).toMatchObject({ code: 'pex-type' })
  })
  it('the schedule of a cemented socket: a 40 tube in an 80 fitting goes as deep as the 80', () => {
    // ASTM D2467, 1 in: 1.125 in is 28.57; D2466: 0.875 in is 22.2.
    const depths = new Set(
      ask('pvc-40-1', 'pvc-80-1', {}, 'us')
        .ways.filter(({ parts }) => parts[0]!.kind === 'coupling')
        .map(({ joints }) => joints.map(({ insertion }) => insertion.value).join()),
    )
    expect(depths).toEqual(new Set(['22.2,22.2', '28.57,28.57']))
  })
  it('galvanised in a recirculating line with copper: refused by its metals', () => {
    const loop = ask('st-en-3_4', 'cu-en-x-22', { service: 'recirculation' })
    expect(loop.ways).toEqual([])
    expect(loop.refused.find(({ method, on }) => method === 'thread' && on === 'a')).toMatchObject({ code: 'metals' })
    expect(codes(ask('st-en-3_4', 'cu-en-x-22').ways[0])).toContain('metals')
    // Nothing is asked in a closed heating circuit.
    expect(codes(ask('st-en-3_4', 'cu-en-x-22', { service: 'heating' }).ways[0])).not.toContain('metals')
  })
  it('a dielectric union cuts the earth path, and is said to', () =>
    expect(codes(named(ask('st-40-3_4', 'cu-l-3_4', {}, 'us'), /dielectric/))).toContain('earth-path'))
  it('no play: couplings without a stop go in, centred by their marks', () => {
    const fixed = ask('cu-en-x-22', 'cu-en-x-22', { play: 0 })
    expect(new Set(fixed.ways.map(({ parts }) => parts[0]!.kind))).toEqual(new Set(['slip']))
    expect(codes(fixed.ways[0])).toContain('slip')
    expect(fixed.refused.filter(({ on }) => on === 'a').map(({ method, code }) => `${method} ${code}`)).toEqual(
      expect.arrayContaining(['solder play', 'press play', 'push-fit play', 'compression play']),
    )
  })
  it('heating and drinking at once is said, not swallowed', () =>
    expect(codes(ask('cu-en-x-22', 'cu-en-x-22', { service: 'heating', drinking: true }).ways[0])).toContain(
      'heating-drinking',
    ))
  it('lead and failed polybutylene have their own answer', () => {
    for (const [pipe, words] of [
      ['lead-1_2', /Lead is not joined/],
      ['pb-cts-1_2', /do not join to it/],
    ] as const) {
      const { ways, instead } = ask(pipe, 'cu-en-x-15')
      expect(ways).toEqual([])
      expect(instead![0]).toMatch(words)
    }
  })
  it('a parallel male goes into a swivel on its washer, without tape', () => {
    const tap = ask({ thread: { form: 'bspp', size: '1/2', gender: 'male', material: 'brass' } }, 'cu-en-x-15')
    expect(tap.ways[0]!.parts[0]!.name).toContain('swivel')
    expect(codes(tap.ways[0])).toContain('washer')
    expect(codes(tap.ways[0])).not.toContain('thread-seal')
  })
  it('an outlet elbow holds an outlet, screwed to the wall: never steel pipe, never in the middle of a chain', () => {
    const outlet = ask('cu-en-x-15', { thread: { form: 'bspt', size: '1/2', gender: 'male', material: 'brass' } })
    const elbow = named(outlet, 'press x female BSP wallplate elbow')!
    expect(elbow.parts[0]).toMatchObject({ kind: 'elbow', size: '15 x 1/2' })
    expect(codes(elbow)).toContain('drop-ear')
    expect(
      outlet.ways.every(
        ({ joints, parts }) =>
          parts.every(({ kind }) => kind !== 'elbow') ||
          (joints.at(-1)!.method === 'thread' && joints.at(-1)!.on === 'b'),
      ),
    ).toBe(true)
    expect(named(ask('cu-en-x-22', 'st-en-3_4'), /wallplate/)).toBeUndefined()
    expect(
      named(
        ask('pex-cts-1_2', { thread: { form: 'npt', size: '1/2', gender: 'male', material: 'brass' } }, {}, 'us'),
        'crimp x female NPT drop-ear elbow',
      ),
    ).toBeDefined()
  })
  it('an end that is a thread meets a union as such', () =>
    expect(named(ask('st-en-1', 'st-en-1'), 'BSP union')!.joints.map(({ method }) => method)).toEqual([
      'union',
      'union',
    ]))
})

describe('the order list', () => {
  it('names things as they are ordered: large x small, tube x thread, a tail by its cut length', () => {
    const reducing = named(ask('cu-en-x-15', 'cu-en-x-22'), 'solder reducing coupling')!
    expect(orderList(reducing, 'gb')).toEqual([{ quantity: 1, name: 'solder reducing coupling', size: '22 x 15' }])
    // 100 mm bare and a 22 cup at each end, EN 1254-1: 15.4.
    const tailed = ask('cu-bs-imp-3_4', 'cu-bs-imp-3_4', { hidden: true }).ways.find(({ parts }) =>
      parts.some(({ kind }) => kind === 'tail'),
    )!
    expect(orderList(tailed, 'gb')).toContainEqual({ quantity: 1, name: '22 × 0.9 copper', size: '131 mm' })
    const crimped = named(ask('pex-cts-3_4', 'pex-cts-1_2', {}, 'us'), 'crimp reducing coupling')!
    expect(orderList(crimped, 'us')).toEqual([
      { quantity: 1, name: 'crimp reducing coupling', size: '3/4 x 1/2' },
      { quantity: 1, name: 'copper crimp ring', size: '3/4' },
      { quantity: 1, name: 'copper crimp ring', size: '1/2' },
    ])
  })
})
