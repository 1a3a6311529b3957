import { describe, expect, it } from 'vitest'
import {
  FAMILIES,
  findSocket,
  getPipe,
  HAZARDS,
  PIPES,
  seriesOf,
  type EndFacts,
  type Family,
  type SocketMethod,
} from '#core/catalogue'
import {
  concernsOn,
  fillSituation,
  findWays,
  JOINT_METHODS,
  METHODS,
  REFUSAL_CODES,
  refuse,
  toTube,
  type Conditions,
  type End,
  type Policy,
  type Service,
  type WaysQuestion,
} from '#core/joints'

const METHOD_IDS = Object.keys(JOINT_METHODS) as SocketMethod[]
/** Every pair of a method and a pipe that it has a socket for. */
const MADE = METHOD_IDS.flatMap((method) =>
  PIPES.filter((pipe) => findSocket(method, pipe)).map((pipe) => [method, pipe.id] as const),
)
const situation = (conditions: Partial<Conditions> = {}, policy: Partial<Policy> = {}, region: 'us' | 'gb' = 'gb') =>
  fillSituation({ region, conditions, policy: { typeMDrinking: 'allowed', ...policy } })
/** Tube of one temper that a method does not take: asked of nothing else. */
const isOfWrongTemper = (method: SocketMethod, pipe: string) =>
  (method === 'flare' && pipe.startsWith('cu-m')) || (method === 'push-fit' && pipe.startsWith('cu-od'))
const code = (method: SocketMethod, end: EndFacts & { pipe: string }, conditions: Partial<Conditions> = {}) =>
  refuse(method, toTube({ pexType: 'a', ...end }), situation(conditions))?.code ?? null
const asks = (method: SocketMethod, end: EndFacts & { pipe: string }, conditions: Partial<Conditions> = {}) =>
  concernsOn(method, toTube({ pexType: 'a', ...end }), situation(conditions))
/** What this pipe is made for (vinyl: no pressure), so that only the rule under test speaks. */
const fit = (pipe: string): Partial<Conditions> => {
  if (pipe.startsWith('cs-en')) return { service: 'heating' }
  return pipe.startsWith('vinyl') ? { pressure: 0 } : {}
}

const isCopper = (pipe: string) => getPipe(pipe).family === 'copper'

describe('what is known of an end, asked of every method and pipe it can touch', () => {
  it('soft copper: no push-fit, every other method goes on; type M is sold hard only', () => {
    for (const [method, pipe] of MADE.filter(([, id]) => isCopper(id))) {
      const isOneTemper = pipe.startsWith('cu-m')
      expect([method, pipe, code(method, { pipe, temper: 'soft' }) === 'temper']).toEqual([
        method,
        pipe,
        // Hard only, type M is what no flare takes.
        isOneTemper ? method === 'flare' : method === 'push-fit',
      ])
    }
  })
  // A cone's ring goes round soft tube as well: it asks nothing.
  const HELD_UNTIL_FLEXED = new Set(['push-fit', 'flare'])
  it('copper that nobody flexed: push-fit and flare are held for it, the others ask for care; known, nothing is asked', () => {
    for (const [method, pipe] of MADE.filter(
      ([by, id]) => isCopper(id) && !/^cu-(?:m|od)-/.test(id) && by !== 'cone',
    )) {
      const found = asks(method, { pipe, temper: 'unknown' }).find((one) => one.code === 'unknown-temper')
      expect([method, pipe, found?.verdict]).toEqual([method, pipe, HELD_UNTIL_FLEXED.has(method) ? 'held' : 'care'])
      expect(asks(method, { pipe, temper: 'hard' }).map((one) => one.code)).not.toContain('unknown-temper')
    }
  })
  it('a print that lists fittings: a method whose standard is not there is refused, one that is there is not, whatever the letter', () => {
    const STANDARD: Partial<Record<SocketMethod, string>> = {
      crimp: 'F1807',
      clamp: 'F2098',
      expansion: 'F1960',
      'sliding-sleeve': 'F2080',
    }
    for (const [method, pipe] of MADE.filter(([, id]) => id.startsWith('pex-cts') || id.startsWith('pert-cts'))) {
      const own = STANDARD[method]
      expect([method, pipe, code(method, { pipe, listing: [] }) === 'pex-type']).toEqual([
        method,
        pipe,
        own !== undefined,
      ])
      if (own)
        for (const pexType of ['a', 'b', 'c', 'unknown'] as const)
          expect(code(method, { pipe, pexType, listing: [`ASTM ${own}`] })).toBeNull()
    }
    // F2159 lists the same ring over another insert.
    expect(code('crimp', { pipe: 'pex-cts-1_2', listing: ['F2159'] })).toBeNull()
  })
  it.each([
    ['a', null],
    ['b', 'pex-type'],
    ['c', 'pex-type'],
    ['unknown', null],
  ] as const)('expansion without a listing on PEX %s: %s', (pexType, refused) => {
    expect(code('expansion', { pipe: 'pex-cts-3_4', pexType })).toBe(refused)
    expect(
      asks('expansion', { pipe: 'pex-cts-3_4', pexType }).some(
        (one) => one.code === 'unknown-pex-type' && one.verdict === 'held',
      ),
    ).toBe(pexType === 'unknown')
  })
  const CUT_BACK = new Set(['push-fit', 'press', 'flare'])
  it('scored or corroded: push-fit, press and flare are cut back; painted or plated: bare first, a nut grips on chrome', () => {
    for (const [method, pipe] of MADE.filter(([by, id]) => !isOfWrongTemper(by, id))) {
      const temper = method === 'flare' ? ('soft' as const) : undefined
      for (const surface of ['scored', 'corroded'] as const)
        expect([method, pipe, code(method, { pipe, surface, temper }, fit(pipe)) === 'surface']).toEqual([
          method,
          pipe,
          CUT_BACK.has(method),
        ])
      for (const surface of ['painted', 'plated'] as const) {
        expect(code(method, { pipe, surface }, fit(pipe))).not.toBe('surface')
        expect([
          method,
          surface,
          asks(method, { pipe, surface }, fit(pipe)).some((one) => one.code === 'surface' && one.verdict === 'care'),
        ]).toEqual([method, surface, !(method === 'compression' && surface === 'plated')])
      }
      expect(asks(method, { pipe, surface: 'bare' }, fit(pipe)).map((one) => one.code)).not.toContain('surface')
    }
  })
  it('not traced: held for gas in every method, whatever the pipe; traced or not asked, nothing', () => {
    for (const [method, pipe] of MADE) {
      expect(asks(method, { pipe, traced: 'unknown' }, fit(pipe))).toContainEqual({
        code: 'gas',
        text: HAZARDS.gas.text,
        verdict: 'held',
      })
      for (const traced of ['water', undefined] as const)
        expect(asks(method, { pipe, traced }, fit(pipe)).map((one) => one.code)).not.toContain('gas')
    }
  })
  it.each([
    ['gas', 'service'],
    ['sprinkler', 'service'],
    ['reclaimed', 'drinking'],
    ['heating', 'drinking'],
    ['drinking', null],
  ] as const)('marked for %s: refused by %s for drinking water, in every method', (madeFor, refused) => {
    // Thin carbon steel is refused by its own rule before.
    for (const [method, pipe] of MADE.filter(([, id]) => !id.startsWith('cs-en'))) {
      const end = { pipe, ...(method === 'flare' ? { temper: 'soft' as const } : {}) }
      if (isOfWrongTemper(method, pipe)) continue
      expect([method, pipe, code(method, { ...end, madeFor }, fit(pipe))]).toEqual([
        method,
        pipe,
        refused ?? code(method, end, fit(pipe)),
      ])
    }
  })
  it('marked for heating or reclaimed water is right where nobody drinks', () => {
    expect(code('crimp', { pipe: 'pex-cts-1_2', madeFor: 'heating', barrier: true }, { service: 'heating' })).toBeNull()
    expect(
      asks('crimp', { pipe: 'pex-cts-1_2', madeFor: 'reclaimed' }, { drinking: false }).map((one) => one.code),
    ).toContain('reclaimed')
  })
})

describe('what a pipe is used for, whatever joins it', () => {
  const plastics: readonly Family[] = FAMILIES.filter((family) =>
    PIPES.some((pipe) => pipe.family === family && seriesOf(pipe.series).plastic),
  )
  it('heating wants a barrier of every plastic: refused without, held unread; multilayer has it by nature', () => {
    for (const [method, pipe] of MADE.filter(([, id]) => plastics.includes(getPipe(id).family))) {
      const { family } = getPipe(pipe)
      const conditions = { service: 'heating', temperature: 50 } as const
      if (['pvc', 'pe', 'cpvc', 'vinyl'].includes(family))
        expect([pipe, code(method, { pipe, barrier: true }, conditions)]).toEqual([
          pipe,
          family === 'cpvc' ? 'service' : expect.stringMatching(/service|rating/),
        ])
      else {
        const isBarred = family !== 'multilayer'
        // SDR 11 of PP-R has no rating for hot water at all.
        const barred = pipe.startsWith('ppr-11') ? 'rating' : 'service'
        expect([method, pipe, code(method, { pipe, barrier: false }, conditions)]).toEqual([
          method,
          pipe,
          isBarred ? barred : null,
        ])
        for (const barrier of ['unknown', undefined] as const)
          expect(
            asks(method, { pipe, barrier }, conditions).some(
              (one) => one.code === 'unknown-barrier' && one.verdict === 'held',
            ),
          ).toBe(isBarred)
        expect(asks(method, { pipe, barrier: true }, conditions).map((one) => one.code)).not.toContain(
          'unknown-barrier',
        )
      }
    }
  })
  it.each([
    [5, null, undefined],
    [3, null, 'care'],
    [1, null, 'care'],
    [0, 'service', undefined],
  ] as const)(
    'recirculation in PEX and PE-RT with chlorine digit %s: refused %s, asks %s',
    (chlorine, refused, verdict) => {
      for (const [method, pipe] of MADE.filter(([, id]) => id.startsWith('pex-cts') || id.startsWith('pert-cts'))) {
        expect([method, pipe, code(method, { pipe, chlorine }, { service: 'recirculation' })]).toEqual([
          method,
          pipe,
          refused,
        ])
        if (!refused)
          expect(
            asks(method, { pipe, chlorine }, { service: 'recirculation' }).find((one) => one.code === 'chlorine-share')
              ?.verdict,
          ).toBe(verdict)
      }
    },
  )
  it('recirculation in tube whose code nobody read is held, push-fit too', () => {
    for (const [method, pipe] of MADE.filter(([, id]) => id.startsWith('pex-cts') || id.startsWith('pert-cts'))) {
      for (const chlorine of ['unknown', undefined] as const)
        expect(
          asks(method, { pipe, chlorine }, { service: 'recirculation' }).some(
            (one) => one.code === 'unknown-chlorine' && one.verdict === 'held',
          ),
        ).toBe(true)
    }
    expect(asks('push-fit', { pipe: 'cpvc-cts-3_4' }, { service: 'recirculation' }).map((one) => one.code)).toContain(
      'class',
    )
    expect(
      asks('sliding-sleeve', { pipe: 'pex-en-20', class: '2' }, { service: 'recirculation' }).map((one) => one.code),
    ).not.toContain('class')
  })
  it.each<[Family, Service, string]>([
    ['pvc', 'hot', 'service'],
    ['pe', 'hot', 'rating'],
    ['cpvc', 'heating', 'service'],
  ])('%s on %s is refused by %s in every method that takes it', (family, service, refused) => {
    const found = MADE.filter(([, id]) => getPipe(id).family === family).map(([method, pipe]) =>
      code(method, { pipe }, { service }),
    )
    expect(found.length).toBeGreaterThan(0)
    for (const one of found) expect(['rating', 'service']).toContain(one)
    expect(found).toContain(refused)
  })
})

describe('lead and failed polybutylene', () => {
  it('are joined by nothing, and every method says why in one voice', () => {
    for (const { id, family } of PIPES.filter((pipe) => pipe.family === 'lead' || pipe.series === 'pb-cts')) {
      for (const method of METHOD_IDS)
        expect(refuse(method, toTube({ pipe: id }), situation())).toEqual({
          code: 'family',
          reason: HAZARDS[family === 'lead' ? 'lead' : 'polybutylene'].refusal,
        })
      const answer = findWays({ region: 'us', a: { pipe: id }, b: { pipe: 'cu-l-1_2' } })
      expect(answer.ok && answer.value).toMatchObject({
        ways: [],
        cautions: [{ code: family === 'lead' ? 'lead' : 'polybutylene' }],
      })
    }
  })
})

describe('a union', () => {
  const thread: End = { thread: { form: 'npt', size: '3/4', gender: 'male', material: 'brass' } }
  const unions = (conditions: Partial<Conditions>, policy: Partial<Policy> = {}) => {
    const answer = findWays({ region: 'us', a: thread, b: { pipe: 'cu-l-3_4' }, conditions, policy } as WaysQuestion)
    if (!answer.ok) throw new Error(answer.error.message)
    return {
      offered: answer.value.ways.filter(
        ({ joints, parts }) =>
          joints.some(({ method }) => method === 'union') || parts.some(({ kind }) => kind === 'union'),
      ).length,
      refused: answer.value.refused.find(({ method, on }) => method === 'union' && on === 'a')?.code,
    }
  }
  it('is hidden by the policy of compression', () => {
    expect(unions({}).offered).toBeGreaterThan(0)
    expect(unions({ hidden: true })).toEqual({ offered: 0, refused: 'hidden' })
    expect(unions({ hidden: true, temporary: true }).offered).toBeGreaterThan(0)
    expect(unions({ hidden: true, temporary: true }, { compressionHidden: 'never' })).toEqual({
      offered: 0,
      refused: 'hidden',
    })
    expect(unions({ hidden: true }, { compressionHidden: 'allowed' }).offered).toBeGreaterThan(0)
  })
})

describe('the rules as they are written', () => {
  it('refuse by codes of the contract, and say when, why and by what in a sentence each', () => {
    for (const { rules, concerns } of Object.values(JOINT_METHODS)) {
      for (const rule of rules) expect(REFUSAL_CODES).toContain(rule.code)
      for (const { when, because, source } of [...rules, ...concerns])
        for (const text of [when, because, source]) expect(text.length).toBeGreaterThan(2)
    }
    expect(METHODS.filter((method) => !(method in JOINT_METHODS))).toEqual(['thread', 'union'])
  })
})
