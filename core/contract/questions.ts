import * as z from 'zod/mini'
import { LINE_FITTINGS, SUPPORT_CODES, VALVES } from '#core/catalogue'
import { FLOW_FITTINGS } from '#core/flow'
import { HEAT_TARGETS } from '#core/heat'
import { COLOURS, FLEXES, HELD_BYS, INSTRUMENTS, LAGGINGS, SCRATCHES, STRIPES, TRACES } from '#core/identify'
import { MADE_METHODS, METHODS, NEAR, SEATS, SERVICES, THREAD_FORMS, THREAD_MATERIALS } from '#core/joints'
import { DIRECTIONS, MEASURED_TO } from '#core/line'
import { CHECK_NAMES } from './check-names'
import { end, facts, length, otherEnd, text } from './ends'
import { conditions, policy, region, words } from './saved'

/* The schema of each verb's question. */

export const pipesQuestion = z.strictObject({
  family: z.optional(text),
  series: z.optional(text),
  nominal: z.optional(text),
  region: z.optional(region),
})

const check = z.discriminatedUnion('check', [
  z.strictObject({
    check: z.literal('outside-diameter'),
    value: z.number(),
    by: z.enum(INSTRUMENTS),
    error: z.optional(length.check(z.maximum(50))),
  }),
  z.strictObject({ check: z.literal('wall'), value: length }),
  z.strictObject({ check: z.literal('bore'), value: length }),
  z.strictObject({ check: z.literal('print'), text: z.string().check(z.maxLength(300)) }),
  z.strictObject({ check: z.literal('colour'), value: z.enum(COLOURS) }),
  z.strictObject({ check: z.literal('stripe'), value: z.enum(STRIPES) }),
  z.strictObject({ check: z.literal('flex'), value: z.enum(FLEXES) }),
  z.strictObject({ check: z.literal('magnet'), value: z.boolean() }),
  z.strictObject({ check: z.literal('scratch'), value: z.enum(SCRATCHES) }),
  z.strictObject({ check: z.literal('held-by'), value: z.enum(HELD_BYS) }),
  z.strictObject({ check: z.literal('lagging'), value: z.enum(LAGGINGS) }),
  z.strictObject({ check: z.literal('warm'), value: z.boolean() }),
  z.strictObject({ check: z.literal('traced'), value: z.enum(TRACES) }),
])

const canDo = z.enum([...CHECK_NAMES, ...INSTRUMENTS.map((by) => `outside-diameter:${by}` as const)] as [
  string,
  ...string[],
])

export const identifyQuestion = z.strictObject({
  region: z.optional(region),
  year: z.optional(z.number().check(z.int(), z.minimum(1800), z.maximum(2200))),
  can: z.optional(z.array(canDo).check(z.maxLength(50))),
  checks: z.array(check).check(z.maxLength(50)),
})

const kit = z.partial(
  z.strictObject({
    tools: z
      .array(z.strictObject({ method: z.enum(METHODS), sizes: z.optional(z.array(text).check(z.maxLength(100))) }))
      .check(z.maxLength(200)),
    parts: z
      .array(
        z.strictObject({
          name: text,
          size: text,
          quantity: z.number().check(z.int(), z.minimum(0), z.maximum(1_000_000)),
        }),
      )
      .check(z.maxLength(5000)),
    measured: z
      .array(
        z.strictObject({
          method: z.enum(METHODS),
          nominal: text,
          fitting: text,
          insertion: z.optional(length),
          takeOut: z.optional(length),
        }),
      )
      .check(z.maxLength(5000)),
    minutes: z
      .array(
        z.strictObject({
          method: z.enum(METHODS),
          nominal: z.optional(text),
          work: z.number().check(z.minimum(0), z.maximum(10_000)),
          wait: z.number().check(z.minimum(0), z.maximum(100_000)),
        }),
      )
      .check(z.maxLength(500)),
    hotWork: z.strictObject({
      minutes: z.number().check(z.minimum(0), z.maximum(10_000)),
      price: z.number().check(z.minimum(0), z.maximum(1_000_000)),
    }),
    prices: z
      .array(z.strictObject({ name: text, size: text, price: z.number().check(z.minimum(0), z.maximum(1_000_000)) }))
      .check(z.maxLength(5000)),
  }),
)

export const waysQuestion = z.strictObject({
  region: words,
  a: end,
  b: otherEnd,
  valve: z.optional(z.enum(VALVES)),
  conditions: z.optional(conditions),
  policy: z.optional(policy),
  kit: z.optional(kit),
})

export const makeQuestion = z.strictObject({
  method: z.enum(MADE_METHODS),
  pipe: z.optional(text),
  wall: z.optional(length),
  ...facts,
  region: words,
  orientation: z.enum(['horizontal', 'vertical']),
  nominal: z.optional(text),
  form: z.optional(z.enum(THREAD_FORMS)),
  seat: z.optional(z.enum(SEATS)),
  material: z.optional(z.enum(THREAD_MATERIALS)),
  conditions: z.optional(conditions),
  policy: z.optional(policy),
  torch: z.optional(z.enum(['propane', 'propylene'])),
  tool: z.optional(text),
  ambient: z.optional(z.number().check(z.minimum(-40), z.maximum(60))),
  leastAmbient: z.optional(z.number().check(z.minimum(-60), z.maximum(60))),
  near: z.optional(z.array(z.enum(NEAR)).check(z.maxLength(NEAR.length))),
  slip: z.optional(
    z.strictObject({ length: length.check(z.maximum(2000)), gap: z.number().check(z.minimum(0), z.maximum(2000)) }),
  ),
})

const angle = z.number().check(z.positive(), z.maximum(90))

export const offsetQuestion = z.strictObject({
  region: z.optional(region),
  set: length,
  angle,
  roll: z.optional(z.number().check(z.minimum(0), z.maximum(100_000))),
  radius: z.optional(length),
})

/** Most legs of one line: a typed run of the most legs, each with a crossover. */
const MOST_LEGS = 2000
const distance = z.number().check(z.minimum(0), z.maximum(100_000))
const takeOut = distance.check(z.maximum(2000))
const direction = z.enum(DIRECTIONS)
const vector = z.tuple([z.number(), z.number(), z.number()])
const given = { takeOut: z.optional(takeOut), insertion: z.optional(takeOut) }
const atFitting = z.strictObject({
  kind: z.literal('fitting'),
  fitting: z.enum(LINE_FITTINGS),
  ...given,
  next: z.optional(z.strictObject(given)),
  method: z.optional(z.enum(METHODS)),
})
const atPlain = [
  z.strictObject({ kind: z.literal('free') }),
  z.strictObject({ kind: z.literal('stop'), insertion: given.insertion }),
  z.strictObject({ kind: z.literal('face'), insertion: given.insertion }),
] as const
const measured = z.enum(MEASURED_TO)
export const lineQuestion = z.strictObject({
  region: words,
  pipe: text,
  wall: z.optional(length),
  method: z.enum(METHODS),
  bender: z.optional(
    z.strictObject({
      radius: length.check(z.maximum(5000)),
      setback: z.optional(length.check(z.maximum(5000))),
      springback: z.optional(z.number().check(z.minimum(0), z.maximum(30))),
    }),
  ),
  start: z.discriminatedUnion('kind', [atFitting, ...atPlain]),
  legs: z
    .array(
      z.strictObject({
        length,
        to: z.union([direction, vector]),
        end: z.discriminatedUnion('kind', [atFitting, z.strictObject({ kind: z.literal('bend') }), ...atPlain]),
        from: z.optional(z.number().check(z.int(), z.minimum(0))),
        pipe: z.optional(text),
        wall: z.optional(length),
        method: z.optional(z.enum(METHODS)),
        name: z.optional(z.string().check(z.maxLength(60))),
        measured: z.optional(z.strictObject({ begin: z.optional(measured), end: z.optional(measured) })),
      }),
    )
    .check(z.minLength(1), z.maxLength(MOST_LEGS)),
  clips: z.optional(
    z.array(z.strictObject({ leg: z.number().check(z.int(), z.minimum(0)), at: distance })).check(z.maxLength(2000)),
  ),
  walls: z.optional(
    z
      .array(
        z.strictObject({ to: direction, at: z.number().check(z.minimum(-100_000), z.maximum(100_000)), thick: length }),
      )
      .check(z.maxLength(50)),
  ),
  kit: z.optional(kit),
})

export const cutQuestion = z.strictObject({
  region: z.optional(region),
  stock: z
    .array(
      z.strictObject({
        id: text,
        length,
        quantity: z.optional(z.number().check(z.int(), z.minimum(0), z.maximum(100_000))),
        offcut: z.optional(z.boolean()),
      }),
    )
    .check(z.minLength(1), z.maxLength(500)),
  kerf: z.number().check(z.minimum(0), z.maximum(50)),
  pieces: z
    .array(z.strictObject({ id: text, length, quantity: z.number().check(z.int(), z.minimum(0), z.maximum(100_000)) }))
    .check(z.maxLength(5000)),
  keep: z.optional(length),
  prefer: z.optional(z.enum(['longest-left', 'least-waste'])),
  seconds: z.optional(z.number().check(z.positive(), z.maximum(120))),
})

export const fixQuestion = z.strictObject({
  region: words,
  code: z.optional(z.enum(SUPPORT_CODES)),
  pipe: text,
  service: z.enum(SERVICES),
  temperature: z.number().check(z.minimum(-60), z.maximum(150)),
  installedAt: z.number().check(z.minimum(-60), z.maximum(60)),
  legs: z
    .array(
      z.strictObject({
        name: z.optional(z.string().check(z.maxLength(60))),
        length,
        run: z.enum(['horizontal', 'vertical']),
        bends: z.optional(z.array(distance).check(z.maxLength(100))),
        joints: z.optional(z.array(distance).check(z.maxLength(500))),
      }),
    )
    .check(z.maxLength(MOST_LEGS)),
  given: z.optional(z.strictObject({ horizontal: z.optional(length), vertical: z.optional(length) })),
})

export const flowQuestion = z.strictObject({
  region: z.optional(region),
  pipe: text,
  wall: z.optional(length),
  length: z.number().check(z.minimum(0), z.maximum(10_000_000)),
  flow: z.number().check(z.minimum(0), z.maximum(1000)),
  temperature: z.number().check(z.minimum(-60), z.maximum(150)),
  service: z.optional(z.enum(SERVICES)),
  fittings: z.optional(
    z
      .array(
        z.strictObject({
          fitting: z.enum(FLOW_FITTINGS),
          quantity: z.number().check(z.int(), z.minimum(0), z.maximum(10_000)),
          k: z.optional(z.number().check(z.minimum(0), z.maximum(1000))),
          bore: z.optional(length),
        }),
      )
      .check(z.maxLength(200)),
  ),
})

export const heatQuestion = z.strictObject({
  region: z.optional(region),
  pipe: text,
  distance: z.number().check(z.minimum(0), z.maximum(5000)),
  target: z.union([z.enum(HEAT_TARGETS), z.number().check(z.minimum(30), z.maximum(250))]),
  torch: z.enum(['propane', 'propylene']),
  wrapped: z.optional(z.boolean()),
  wrapAt: z.optional(z.number().check(z.minimum(0), z.maximum(5000))),
  inside: z.optional(z.enum(['air', 'water'])),
  ambient: z.number().check(z.minimum(-30), z.maximum(60)),
  seconds: z.optional(z.number().check(z.positive(), z.maximum(600))),
})

export const askQuestion = z.strictObject({
  text: z.string().check(z.maxLength(200)),
  region: words,
  job: z.optional(
    z.partial(
      z.strictObject({
        pipes: z.array(text).check(z.maxLength(200)),
        service: z.enum(SERVICES),
        methods: z.array(z.enum(METHODS)).check(z.maxLength(METHODS.length)),
      }),
    ),
  ),
})

export const rulesQuestion = z.strictObject({
  region: z.optional(region),
  verb: z.optional(text),
  code: z.optional(text),
})
