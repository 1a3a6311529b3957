import { z } from 'zod'
import { LOOK_PARTS } from '#core/inspect'
import { LINE_FITTINGS, SUPPORT_CODES, VALVES } from '#core/catalogue'
import { FLOW_FITTINGS } from '#core/flow'
import { HEAT_TARGETS } from '#core/heat'
import { COLOURS, FLEXES, HELD_BYS, INSTRUMENTS, LAGGINGS, SCRATCHES, STRIPES, TRACES } from '#core/identify'
import { MADE_METHODS, METHODS, REASONS, NEAR, SEATS, SERVICES, THREAD_FORMS, THREAD_MATERIALS } from '#core/joints'
import { DIRECTIONS, MEASURED_TO } from '#core/line'
import { REGIONS } from '#core/units'
import { end, facts, length, otherEnd, text } from './ends'

/* The schema of each verb's question. */

const region = z.enum(REGIONS)
/** Whose words an answer is in: Britain's where nothing is said. */
const words = region.default('gb')

export const pipesQuestion = z.strictObject({
  family: text.optional(),
  series: text.optional(),
  nominal: text.optional(),
  region: region.optional(),
})

const check = z.discriminatedUnion('check', [
  z.strictObject({
    check: z.literal('outside-diameter'),
    value: z.number().finite(),
    by: z.enum(INSTRUMENTS),
    error: length.max(50).optional(),
  }),
  z.strictObject({ check: z.literal('wall'), value: length }),
  z.strictObject({ check: z.literal('bore'), value: length }),
  z.strictObject({ check: z.literal('print'), text: z.string().max(300) }),
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

export const CHECK_NAMES = check.options.map((option) => option.shape.check.value)
const canDo = z.enum([...CHECK_NAMES, ...INSTRUMENTS.map((by) => `outside-diameter:${by}` as const)] as [
  string,
  ...string[],
])

export const identifyQuestion = z.strictObject({
  region: region.optional(),
  year: z.number().int().min(1800).max(2200).optional(),
  can: z.array(canDo).max(50).optional(),
  checks: z.array(check).max(50),
})

/** How far one end moves along the pipe and aside, mm; null is enough. */
const moves = z.number().finite().min(0).max(100_000).nullable().optional()
const endPlay = z.strictObject({ along: moves, aside: moves }).optional()

const conditions = z
  .strictObject({
    service: z.enum(SERVICES),
    drinking: z.boolean(),
    temperature: z.number().finite().min(-20).max(150),
    pressure: z.number().finite().min(0).max(100),
    hidden: z.boolean(),
    combustibles: z.boolean(),
    wet: z.boolean(),
    mustUndo: z.boolean(),
    temporary: z.boolean(),
    noFlame: z.boolean(),
    play: z.union([z.number().finite().min(0).max(100_000), z.null(), z.strictObject({ a: endPlay, b: endPlay })]),
    gap: z.number().finite().min(0).max(2000),
    room: z.enum(['open', 'tight']),
    flowFrom: z.enum(['a', 'b']),
  })
  .partial()

const policy = z
  .strictObject({
    pushFitHidden: z.enum(['allowed', 'reachable-only']),
    compressionHidden: z.enum(['never', 'temporary-only', 'allowed']),
    typeMDrinking: z.enum(['allowed', 'refused']),
    reuseLimit: z.number().int().min(0).max(100),
    threadSeal: z.enum(['tape', 'paste', 'both']),
    order: z.array(z.enum(METHODS)).max(METHODS.length),
    last: z.array(z.enum(METHODS)).max(METHODS.length),
    reasons: z.array(z.enum(REASONS)).max(REASONS.length),
    years: z.partialRecord(z.enum(METHODS), z.number().min(0).max(200)),
    plasticSystem: z.string().max(60),
    orderReason: z.string().max(120),
    insertFittings: z.enum(['brass', 'composite', 'either']),
    bendMark: z.enum(['hook', 'corner']),
  })
  .partial()

const kit = z
  .strictObject({
    tools: z.array(z.strictObject({ method: z.enum(METHODS), sizes: z.array(text).max(100).optional() })).max(200),
    parts: z
      .array(z.strictObject({ name: text, size: text, quantity: z.number().int().min(0).max(1_000_000) }))
      .max(5000),
    measured: z
      .array(
        z.strictObject({
          method: z.enum(METHODS),
          nominal: text,
          fitting: text,
          insertion: length.optional(),
          takeOut: length.optional(),
        }),
      )
      .max(5000),
    minutes: z
      .array(
        z.strictObject({
          method: z.enum(METHODS),
          nominal: text.optional(),
          work: z.number().finite().min(0).max(10_000),
          wait: z.number().finite().min(0).max(100_000),
        }),
      )
      .max(500),
    hotWork: z.strictObject({
      minutes: z.number().finite().min(0).max(10_000),
      price: z.number().finite().min(0).max(1_000_000),
    }),
    prices: z
      .array(z.strictObject({ name: text, size: text, price: z.number().finite().min(0).max(1_000_000) }))
      .max(5000),
  })
  .partial()

export const waysQuestion = z.strictObject({
  region: words,
  a: end,
  b: otherEnd,
  valve: z.enum(VALVES).optional(),
  conditions: conditions.optional(),
  policy: policy.optional(),
  kit: kit.optional(),
})

export const makeQuestion = z.strictObject({
  method: z.enum(MADE_METHODS),
  pipe: text.optional(),
  wall: length.optional(),
  ...facts,
  region: words,
  orientation: z.enum(['horizontal', 'vertical']),
  nominal: text.optional(),
  form: z.enum(THREAD_FORMS).optional(),
  seat: z.enum(SEATS).optional(),
  material: z.enum(THREAD_MATERIALS).optional(),
  conditions: conditions.optional(),
  policy: policy.optional(),
  torch: z.enum(['propane', 'propylene']).optional(),
  tool: text.optional(),
  ambient: z.number().finite().min(-40).max(60).optional(),
  leastAmbient: z.number().finite().min(-60).max(60).optional(),
  near: z.array(z.enum(NEAR)).max(NEAR.length).optional(),
  slip: z.strictObject({ length: length.max(2000), gap: z.number().finite().min(0).max(2000) }).optional(),
})

export const inspectQuestion = z.strictObject({
  region: words,
  method: z.enum(METHODS),
  pipe: text.optional(),
  part: z.enum(LOOK_PARTS).optional(),
  ...facts,
  service: z.enum(SERVICES).optional(),
  drinking: z.boolean().optional(),
  hidden: z.boolean().optional(),
  temporary: z.boolean().optional(),
  policy: policy.optional(),
  seen: z
    .strictObject({
      leak: z.enum(['dry', 'stain', 'weeps']),
      mark: z.enum(['at-edge', 'away', 'none']),
      liner: z.enum(['in', 'missing']),
      ringDistance: length,
      gauge: z.enum(['passes', 'fails']),
      pressed: z.boolean(),
      solderRing: z.enum(['all-round', 'gap']),
      flux: z.enum(['clean', 'green']),
      olive: z.enum(['even', 'pinched']),
      threads: z.number().int().min(0).max(40),
      support: z.number().finite().min(0).max(100_000),
      reach: z.enum(['reached', 'hidden']),
      inLine: z.boolean(),
      daylight: z.boolean(),
      deadLeg: z.number().finite().min(0).max(100_000),
      metals: z.enum(['no-zinc', 'brass-between', 'bare']),
      system: z.enum(['one', 'mixed']),
      pull: z.enum(['firm', 'turns', 'slides']),
      plastic: z.enum(['none', 'outside', 'inside']),
      cover: z.enum(['none', 'opens', 'closed']),
      turns: z.enum(['free', 'stiff', 'stuck', 'lets-by']),
      arrow: z.enum(['with', 'against', 'none']),
      gland: z.enum(['dry', 'weeps']),
      closed: z.enum(['stays', 'booked', 'not-booked']),
    })
    .partial(),
})

const angle = z.number().finite().positive().max(90)
export const offsetQuestion = z.strictObject({
  region: region.optional(),
  set: length,
  angle,
  roll: z.number().finite().min(0).max(100_000).optional(),
  radius: length.optional(),
})

/** Most legs of one line: a typed run of the most legs, each with a crossover. */
const MOST_LEGS = 2000
const distance = z.number().finite().min(0).max(100_000)
const takeOut = distance.max(2000)
const direction = z.enum(DIRECTIONS)
const vector = z.tuple([z.number().finite(), z.number().finite(), z.number().finite()])
const given = { takeOut: takeOut.optional(), insertion: takeOut.optional() }
const atFitting = z.strictObject({
  kind: z.literal('fitting'),
  fitting: z.enum(LINE_FITTINGS),
  ...given,
  next: z.strictObject(given).optional(),
  method: z.enum(METHODS).optional(),
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
  wall: length.optional(),
  method: z.enum(METHODS),
  bender: z
    .strictObject({
      radius: length.max(5000),
      setback: length.max(5000).optional(),
      springback: z.number().finite().min(0).max(30).optional(),
    })
    .optional(),
  start: z.discriminatedUnion('kind', [atFitting, ...atPlain]),
  legs: z
    .array(
      z.strictObject({
        length,
        to: z.union([direction, vector]),
        end: z.discriminatedUnion('kind', [atFitting, z.strictObject({ kind: z.literal('bend') }), ...atPlain]),
        from: z.number().int().min(0).optional(),
        pipe: text.optional(),
        wall: length.optional(),
        method: z.enum(METHODS).optional(),
        name: z.string().max(60).optional(),
        measured: z.strictObject({ begin: measured.optional(), end: measured.optional() }).optional(),
      }),
    )
    .min(1)
    .max(MOST_LEGS),
  clips: z
    .array(z.strictObject({ leg: z.number().int().min(0), at: distance }))
    .max(2000)
    .optional(),
  walls: z
    .array(z.strictObject({ to: direction, at: z.number().finite().min(-100_000).max(100_000), thick: length }))
    .max(50)
    .optional(),
  kit: kit.optional(),
})

export const cutQuestion = z.strictObject({
  region: region.optional(),
  stock: z
    .array(
      z.strictObject({
        id: text,
        length,
        quantity: z.number().int().min(0).max(100_000).optional(),
        offcut: z.boolean().optional(),
      }),
    )
    .min(1)
    .max(500),
  kerf: z.number().finite().min(0).max(50),
  pieces: z.array(z.strictObject({ id: text, length, quantity: z.number().int().min(0).max(100_000) })).max(5000),
  keep: length.optional(),
  prefer: z.enum(['longest-left', 'least-waste']).optional(),
  seconds: z.number().finite().positive().max(120).optional(),
})

export const fixQuestion = z.strictObject({
  region: words,
  code: z.enum(SUPPORT_CODES).optional(),
  pipe: text,
  service: z.enum(SERVICES),
  temperature: z.number().finite().min(-60).max(150),
  installedAt: z.number().finite().min(-60).max(60),
  legs: z
    .array(
      z.strictObject({
        name: z.string().max(60).optional(),
        length,
        run: z.enum(['horizontal', 'vertical']),
        bends: z.array(distance).max(100).optional(),
        joints: z.array(distance).max(500).optional(),
      }),
    )
    .max(MOST_LEGS),
  given: z.strictObject({ horizontal: length.optional(), vertical: length.optional() }).optional(),
})

export const flowQuestion = z.strictObject({
  region: region.optional(),
  pipe: text,
  wall: length.optional(),
  length: z.number().finite().min(0).max(10_000_000),
  flow: z.number().finite().min(0).max(1000),
  temperature: z.number().finite().min(-60).max(150),
  service: z.enum(SERVICES).optional(),
  fittings: z
    .array(
      z.strictObject({
        fitting: z.enum(FLOW_FITTINGS),
        quantity: z.number().int().min(0).max(10_000),
        k: z.number().finite().min(0).max(1000).optional(),
        bore: length.optional(),
      }),
    )
    .max(200)
    .optional(),
})

export const heatQuestion = z.strictObject({
  region: region.optional(),
  pipe: text,
  distance: z.number().finite().min(0).max(5000),
  target: z.union([z.enum(HEAT_TARGETS), z.number().finite().min(30).max(250)]),
  torch: z.enum(['propane', 'propylene']),
  wrapped: z.boolean().optional(),
  wrapAt: z.number().finite().min(0).max(5000).optional(),
  inside: z.enum(['air', 'water']).optional(),
  ambient: z.number().finite().min(-30).max(60),
  seconds: z.number().finite().positive().max(600).optional(),
})

export const askQuestion = z.strictObject({
  text: z.string().max(200),
  region: words,
  job: z
    .strictObject({
      pipes: z.array(text).max(200),
      service: z.enum(SERVICES),
      methods: z.array(z.enum(METHODS)).max(METHODS.length),
    })
    .partial()
    .optional(),
})

export const rulesQuestion = z.strictObject({ region: region.optional(), verb: text.optional(), code: text.optional() })

/** The pieces of a question that are also saved with a job. */
export const schemas = { region, check, end, otherEnd, conditions, policy, kit, inspect: inspectQuestion } as const
