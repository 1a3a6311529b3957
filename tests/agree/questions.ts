import fc from 'fast-check'
import {
  CHLORINE_DIGITS,
  LINE_FITTINGS,
  MADE_FOR,
  PEX_TYPES,
  PIPES,
  REGIONS,
  SUPPORT_CODES,
  SURFACES,
  TEMPERS,
  TRACED,
  type EndFacts,
} from '../../core/catalogue'
import { FLOW_FITTINGS } from '../../core/flow'
import { HEAT_TARGETS } from '../../core/heat'
import { COLOURS, FLEXES, HELD_BYS, INSTRUMENTS, LAGGINGS, SCRATCHES, STRIPES } from '../../core/identify'
import { METHODS, SERVICES, THREAD_FORMS, THREAD_MATERIALS, type Conditions, type End, type Kit, type Policy, type WaysQuestion, NEAR } from '../../core/joints'

/*
 * Questions of every verb, each field of the contract drawn: sound ones that the verbs have to agree on, and odd ones
 * that none may fall over.
 */

/** A seed and a number of runs: three seeds and 20,000 questions where it is asked for, fewer beside the other tests. */
export const SEEDS = [20261123, 20261127, 7] as const
export const isLong = process.env.JOLVET_LONG === '1'
export const runs = (short: number, long: number): number => Math.ceil((isLong ? long : short) / SEEDS.length)

/** Drawn once in so many times. */
const once = <T>(times: number, one: fc.Arbitrary<T>): fc.Arbitrary<T | undefined> =>
  fc.oneof({ weight: 1, arbitrary: one }, { weight: times - 1, arbitrary: fc.constant(undefined) })
const some = <T>(one: fc.Arbitrary<T>) => once(2, one)
const defined = <T extends object>(value: T): T =>
  Object.fromEntries(Object.entries(value).filter(([, one]) => one !== undefined)) as T
const record = <T extends object>(fields: { [K in keyof T]: fc.Arbitrary<T[K]> }): fc.Arbitrary<T> =>
  fc.record(fields).map(defined as (value: unknown) => T)

export const region = fc.constantFrom(...REGIONS)
export const pipe = fc.constantFrom(...PIPES.map(({ id }) => id))
export const facts: fc.Arbitrary<EndFacts> = record<EndFacts>({
  temper: some(fc.constantFrom(...TEMPERS)),
  pexType: some(fc.constantFrom(...PEX_TYPES)),
  barrier: some(fc.constantFrom(true, false, 'unknown' as const)),
  chlorine: some(fc.constantFrom(...CHLORINE_DIGITS, 'unknown' as const)),
  class: once(3, fc.constantFrom('1', '2', '5', 'S')),
  listing: once(3, fc.subarray(['F1960', 'F1807', 'F2159', 'F2098', 'F2080', 'ASTM F1960'])),
  surface: once(3, fc.constantFrom(...SURFACES)),
  traced: once(3, fc.constantFrom(...TRACED)),
  madeFor: once(6, fc.constantFrom(...MADE_FOR)),
})
const wall = once(6, fc.constantFrom(0.7, 1, 2.3))
const thread: fc.Arbitrary<End> = fc.record({
  thread: fc.record({
    form: fc.constantFrom(...THREAD_FORMS),
    size: fc.constantFrom('1/2', '3/4', '1'),
    gender: fc.constantFrom('male' as const, 'female' as const),
    material: fc.constantFrom(...THREAD_MATERIALS),
  }),
})
const pipeEnd: fc.Arbitrary<End> = fc
  .tuple(pipe, wall, facts)
  .map(([id, thick, known]) => defined({ pipe: id, wall: thick, ...known }))
export const end: fc.Arbitrary<End> = fc.oneof({ weight: 9, arbitrary: pipeEnd }, { weight: 1, arbitrary: thread })

export const conditions: fc.Arbitrary<Partial<Conditions>> = record<Partial<Conditions>>({
  service: some(fc.constantFrom(...SERVICES)),
  drinking: once(4, fc.boolean()),
  temperature: once(4, fc.constantFrom(5, 20, 60, 65, 82, 95, 120)),
  pressure: once(4, fc.constantFrom(0, 3, 6, 10, 20)),
  hidden: some(fc.boolean()),
  combustibles: some(fc.boolean()),
  wet: some(fc.boolean()),
  temporary: some(fc.boolean()),
  mustUndo: once(4, fc.boolean()),
  noFlame: some(fc.boolean()),
  play: once(
    4,
    fc.constantFrom(
      null,
      0,
      16,
      60,
      {},
      { a: { along: 0 }, b: { along: 20, aside: 0 } },
      { a: { along: 0, aside: 30 }, b: { along: 0, aside: null } },
      { a: { along: 0, aside: 0 }, b: { along: 0, aside: 0 } },
    ),
  ),
  gap: once(8, fc.constantFrom(0, 20)),
  room: once(4, fc.constantFrom('open' as const, 'tight' as const)),
})
export const policy: fc.Arbitrary<Partial<Policy>> = record<Partial<Policy>>({
  pushFitHidden: some(fc.constantFrom('allowed', 'reachable-only')),
  compressionHidden: some(fc.constantFrom('never', 'temporary-only', 'allowed')),
  typeMDrinking: some(fc.constantFrom('allowed', 'refused')),
  reuseLimit: some(fc.integer({ min: 0, max: 5 })),
  threadSeal: some(fc.constantFrom('tape', 'paste', 'both')),
  order: once(6, fc.subarray([...METHODS])),
  insertFittings: some(fc.constantFrom('brass', 'composite', 'either')),
  bendMark: some(fc.constantFrom('hook', 'corner')),
})
const kit: fc.Arbitrary<Kit | undefined> = once(
  6,
  record<Kit>({
    tools: once(
      3,
      fc.array(
        record<{ method: (typeof METHODS)[number]; sizes?: string[] }>({
          method: fc.constantFrom(...METHODS),
          sizes: some(fc.subarray(['15', '22', '1/2', '3/4'])),
        }),
        { maxLength: 6 },
      ),
    ),
    measured: once(
      3,
      fc.array(
        record<NonNullable<Kit['measured']>[number]>({
          method: fc.constantFrom(...METHODS),
          nominal: fc.constantFrom('22', '1/2'),
          fitting: fc.constantFrom('coupling'),
          insertion: some(fc.constantFrom(14, 20)),
          takeOut: some(fc.constant(12)),
        }),
        { maxLength: 2 },
      ),
    ),
    minutes: once(
      6,
      fc.array(
        record<NonNullable<Kit['minutes']>[number]>({
          method: fc.constantFrom(...METHODS),
          nominal: some(fc.constantFrom('22', '1/2')),
          work: fc.constantFrom(0.5, 9),
          wait: fc.constantFrom(0, 20),
        }),
        { maxLength: 3 },
      ),
    ),
    prices: once(
      6,
      fc.array(
        fc.record({
          name: fc.constantFrom('press coupling', 'solder coupling'),
          size: fc.constantFrom('22', '1/2'),
          price: fc.constantFrom(0, 3),
        }),
        { maxLength: 3 },
      ),
    ),
    parts: once(
      20,
      fc.array(
        fc.record({
          name: fc.constantFrom('press coupling', 'solder coupling'),
          size: fc.constantFrom('22', '1/2'),
          quantity: fc.integer({ min: 0, max: 3 }),
        }),
        { maxLength: 3 },
      ),
    ),
  }),
)

export const waysQuestion: fc.Arbitrary<WaysQuestion> = fc
  .record({ region, a: end, b: end, conditions, policy, kit })
  .map(defined as (value: unknown) => WaysQuestion)

// What follows is odd on purpose.
const words = fc.oneof(
  fc.constantFrom('', ' ', '\u0000', 'x'.repeat(60), '\u{1F527}', "'; drop", '-0'),
  fc.string({ maxLength: 60 }),
)
const number = fc.oneof(
  fc.constantFrom(0, -0, 1e-9, 0.1, 1, 3, 22, 90, 1e5),
  fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e6, max: 1e6 }),
)
const positive = fc.oneof(
  fc.constantFrom(1e-9, 0.5, 22, 1000, 99_999),
  fc.double({ noNaN: true, min: 1e-6, max: 99_999 }),
)
const anyPipe = fc.oneof({ weight: 5, arbitrary: pipe }, { weight: 1, arbitrary: words })
const odd = <T extends object>(fields: Record<string, fc.Arbitrary<unknown>>): fc.Arbitrary<T> =>
  fc.record(fields, { requiredKeys: [] }) as fc.Arbitrary<T>
const check = fc.oneof(
  fc.record({
    check: fc.constant('outside-diameter'),
    value: fc.oneof(fc.double({ min: 4, max: 120, noNaN: true }), number),
    by: fc.constantFrom(...INSTRUMENTS),
  }),
  fc.record({ check: fc.constantFrom('wall', 'bore'), value: positive }),
  fc.record({
    check: fc.constant('print'),
    text: fc.oneof(
      words,
      fc.constantFrom('PEX-A 3/4 F1960 0306', 'GAS D2513', 'EN 1057 R220 22x0,9', 'NSF-rfh', '\u00df\ufb03 22 x 1'),
    ),
  }),
  ...(
    [
      ['colour', COLOURS],
      ['stripe', STRIPES],
      ['flex', FLEXES],
      ['scratch', SCRATCHES],
      ['held-by', HELD_BYS],
      ['lagging', LAGGINGS],
      ['traced', TRACED],
    ] as const
  ).map(([name, values]) =>
    fc.record({ check: fc.constant(name), value: fc.constantFrom(...(values as readonly string[])) }),
  ),
  fc.record({ check: fc.constantFrom('magnet', 'warm'), value: fc.boolean() }),
)
const fitting = fc
  .record({
    kind: fc.constant('fitting'),
    fitting: fc.constantFrom(...LINE_FITTINGS),
    takeOut: some(positive.map((value) => Math.min(2000, value))),
    insertion: some(fc.constantFrom(0, 15, 2000)),
  })
  .map(defined)
const plain = fc.oneof(
  fc.constant({ kind: 'free' }),
  fc.record({ kind: fc.constantFrom('stop', 'face'), insertion: some(fc.constantFrom(0, 15, 2000)) }).map(defined),
)
const direction = fc.oneof(
  fc.constantFrom('right', 'left', 'up', 'down', 'away', 'toward'),
  fc.tuple(number, number, number),
)
const leg = fc
  .record({
    length: positive,
    to: direction,
    end: fc.oneof(fitting, plain, fc.constant({ kind: 'bend' })),
    name: some(words),
    from: once(6, fc.integer({ min: 0, max: 4 })),
    pipe: once(6, anyPipe),
  })
  .map(defined)

/** Any question of any verb: most are sound, some hardly. */
export const anyQuestion: fc.Arbitrary<readonly [string, unknown]> = fc.oneof(
  fc.tuple(fc.constant('pipes'), odd({ family: words, series: words, nominal: words, region })),
  fc.tuple(
    fc.constant('identify'),
    odd({
      region,
      year: fc.integer({ min: 1800, max: 2200 }),
      can: fc.subarray(['colour', 'print', 'wall', 'outside-diameter:rule']),
      checks: fc.array(check, { maxLength: 8 }),
    }),
  ),
  fc.tuple(
    fc.constant('ways'),
    fc.record(
      { region, a: fc.oneof(end, fc.record({ pipe: words })), b: end, conditions, policy },
      { requiredKeys: ['a', 'b'] },
    ),
  ),
  fc.tuple(
    fc.constant('make'),
    fc
      .tuple(
        odd<object>({
          method: fc.constantFrom(...METHODS),
          pipe: anyPipe,
          wall: positive,
          region,
          orientation: fc.constantFrom('horizontal', 'vertical'),
          nominal: fc.oneof(words, fc.constantFrom('1/2', '3/4')),
          conditions,
          policy,
          torch: fc.constantFrom('propane', 'propylene'),
          tool: words,
          ambient: fc.integer({ min: -40, max: 60 }),
          leastAmbient: fc.integer({ min: -40, max: 20 }),
          near: fc.subarray([...NEAR]),
          slip: fc.record({
            length: positive.map((value) => Math.min(2000, value)),
            gap: fc.constantFrom(0, 20, 2000),
          }),
        }),
        facts,
      )
      .map(([one, known]) => ({ orientation: 'horizontal', ...one, ...known })),
  ),
  fc.tuple(
    fc.constant('inspect'),
    fc
      .tuple(
        odd<object>({
          region,
          method: fc.constantFrom(...METHODS),
          pipe: anyPipe,
          service: fc.constantFrom(...SERVICES),
          drinking: fc.boolean(),
          hidden: fc.boolean(),
          temporary: fc.boolean(),
          policy,
        }),
        facts,
        odd({
          leak: fc.constantFrom('dry', 'stain', 'weeps'),
          mark: fc.constantFrom('at-edge', 'away', 'none'),
          liner: fc.constantFrom('in', 'missing'),
          ringDistance: positive,
          gauge: fc.constantFrom('passes', 'fails'),
          pressed: fc.boolean(),
          solderRing: fc.constantFrom('all-round', 'gap'),
          flux: fc.constantFrom('clean', 'green'),
          olive: fc.constantFrom('even', 'pinched'),
          threads: fc.integer({ min: 0, max: 40 }),
          support: positive,
          reach: fc.constantFrom('reached', 'hidden'),
          inLine: fc.boolean(),
          daylight: fc.boolean(),
          metals: fc.constantFrom('no-zinc', 'brass-between', 'bare'),
          system: fc.constantFrom('one', 'mixed'),
        }),
      )
      .map(([one, known, seen]) => ({ ...one, ...known, seen })),
  ),
  fc.tuple(fc.constant('offset'), odd({ set: positive, angle: positive, roll: positive, radius: positive })),
  fc.tuple(
    fc.constant('line'),
    fc
      .record({
        region,
        pipe: anyPipe,
        method: fc.constantFrom(...METHODS),
        start: fc.oneof(fitting, plain),
        legs: fc.array(leg, { minLength: 1, maxLength: 6 }),
        bender: some(fc.record({ radius: positive.map((value) => Math.min(value, 5000)) })),
        clips: some(fc.array(fc.record({ leg: fc.integer({ min: 0, max: 6 }), at: positive }), { maxLength: 4 })),
        walls: some(
          fc.array(fc.record({ to: fc.constantFrom('right', 'up', 'away'), at: number, thick: positive }), {
            maxLength: 2,
          }),
        ),
      })
      .map(defined),
  ),
  fc.tuple(
    fc.constant('cut'),
    fc
      .record({
        stock: fc.array(
          fc
            .record({
              id: words,
              length: positive,
              quantity: some(fc.integer({ min: 0, max: 5 })),
              offcut: some(fc.boolean()),
            })
            .map(defined),
          { minLength: 1, maxLength: 4 },
        ),
        kerf: fc.constantFrom(0, 1, 3, 50),
        pieces: fc.array(fc.record({ id: words, length: positive, quantity: fc.integer({ min: 0, max: 4 }) }), {
          maxLength: 5,
        }),
        keep: some(positive),
        seconds: fc.constant(0.05),
      })
      .map(defined),
  ),
  fc.tuple(
    fc.constant('fix'),
    fc
      .record({
        region,
        code: some(fc.constantFrom(...SUPPORT_CODES)),
        pipe: anyPipe,
        service: fc.constantFrom(...SERVICES),
        temperature: fc.integer({ min: -60, max: 150 }),
        installedAt: fc.integer({ min: -60, max: 60 }),
        legs: fc.array(
          fc
            .record({
              name: some(words),
              length: positive,
              run: fc.constantFrom('horizontal', 'vertical'),
              bends: some(fc.array(positive, { maxLength: 3 })),
              joints: some(fc.array(positive, { maxLength: 3 })),
            })
            .map(defined),
          { maxLength: 5 },
        ),
        given: some(odd({ horizontal: positive, vertical: positive })),
      })
      .map(defined),
  ),
  fc.tuple(
    fc.constant('flow'),
    fc
      .record({
        region,
        pipe: anyPipe,
        wall: some(positive),
        length: fc.nat(10_000),
        flow: fc.constantFrom(0, 1e-9, 0.2, 5, 1000),
        temperature: fc.integer({ min: -60, max: 150 }),
        fittings: some(
          fc.array(
            fc
              .record({
                fitting: fc.constantFrom(...FLOW_FITTINGS),
                quantity: fc.nat(9),
                k: some(fc.constantFrom(0, 2)),
                bore: some(positive),
              })
              .map(defined),
            { maxLength: 4 },
          ),
        ),
      })
      .map(defined),
  ),
  fc.tuple(
    fc.constant('heat'),
    fc
      .record({
        pipe: anyPipe,
        distance: fc.constantFrom(0, 5, 100, 5000),
        target: fc.oneof(fc.constantFrom(...HEAT_TARGETS), fc.constantFrom(30, 82, 250)),
        torch: fc.constantFrom('propane', 'propylene'),
        wrapped: some(fc.boolean()),
        wrapAt: some(fc.constantFrom(0, 40)),
        inside: some(fc.constantFrom('air', 'water')),
        ambient: fc.integer({ min: -30, max: 60 }),
        seconds: some(fc.constantFrom(0.5, 30)),
      })
      .map(defined),
  ),
  fc.tuple(
    fc.constant('ask'),
    fc.record({
      text: fc.oneof(
        words,
        fc.constantFrom(
          '22 copper to 15 copper hot wood',
          'od 21.5 copper',
          'depth 22 press',
          'depth 1/2 expansion',
          'offset 60 @ 45',
          'clips 22 copper',
          '22 copper 0.2 l/s 10 m',
        ),
      ),
      region,
    }),
  ),
  fc.tuple(fc.constant('rules'), odd({ verb: words, code: words })),
)
