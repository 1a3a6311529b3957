import fc from 'fast-check'
import {
  CHLORINE_DIGITS,
  MADE_FOR,
  PEX_TYPES,
  PIPES,
  SURFACES,
  TEMPERS,
  TRACED,
  type EndFacts,
} from '../../core/catalogue'
import { REGIONS } from '../../core/units'
import {
  METHODS,
  SERVICES,
  THREAD_FORMS,
  THREAD_MATERIALS,
  type Conditions,
  type End,
  type Kit,
  type Policy,
  type WaysQuestion,
} from '../../core/joints'

/* Questions with each field of the contract drawn, that the verbs have to agree on. */

/**
 * A seed and a number of runs: three seeds and 20,000 questions where it is asked for, fewer beside the other tests.
 */
export const SEEDS = [20261123, 20261127, 7] as const
const isLong = process.env.JOLVET_LONG === '1'
export const runs = (short: number, long: number): number => Math.ceil((isLong ? long : short) / SEEDS.length)

/** Drawn once in so many times. */
export const once = <T>(times: number, one: fc.Arbitrary<T>): fc.Arbitrary<T | undefined> =>
  fc.oneof({ weight: 1, arbitrary: one }, { weight: times - 1, arbitrary: fc.constant(undefined) })
export const some = <T>(one: fc.Arbitrary<T>) => once(2, one)
export const defined = <T extends object>(value: T): T =>
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
