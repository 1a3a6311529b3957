import fc from 'fast-check'
import { LINE_FITTINGS, SUPPORT_CODES, TRACED } from '../../core/catalogue'
import { FLOW_FITTINGS } from '../../core/flow'
import { HEAT_TARGETS } from '../../core/heat'
import { COLOURS, FLEXES, HELD_BYS, INSTRUMENTS, LAGGINGS, SCRATCHES, STRIPES } from '../../core/identify'
import { METHODS, SERVICES, NEAR } from '../../core/joints'

import { once, some, defined, region, pipe, facts, end, conditions, policy } from './questions'

/* Questions of every verb, odd on purpose: none may make a verb fall over. */

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
