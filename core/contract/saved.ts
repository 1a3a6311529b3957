import * as z from 'zod/mini'
import { LOOK_PARTS } from '#core/inspect'
import { METHODS, REASONS, SERVICES } from '#core/joints'
import { REGIONS } from '#core/units'
import { end, facts, length, otherEnd, text } from './ends'

/* The pieces of a question that are also saved with a job: its records bring these alone, not every verb's schema. */

export const region = z.enum(REGIONS)
/** Whose words an answer is in: Britain's where nothing is said. */
export const words = z._default(region, 'gb')

/** How far one end moves along the pipe and aside, mm; null is enough. */
const moves = z.optional(z.nullable(z.number().check(z.minimum(0), z.maximum(100_000))))
const endPlay = z.optional(z.strictObject({ along: moves, aside: moves }))

export const conditions = z.partial(
  z.strictObject({
    service: z.enum(SERVICES),
    drinking: z.boolean(),
    temperature: z.number().check(z.minimum(-20), z.maximum(150)),
    pressure: z.number().check(z.minimum(0), z.maximum(100)),
    hidden: z.boolean(),
    combustibles: z.boolean(),
    wet: z.boolean(),
    mustUndo: z.boolean(),
    temporary: z.boolean(),
    noFlame: z.boolean(),
    play: z.union([
      z.number().check(z.minimum(0), z.maximum(100_000)),
      z.null(),
      z.strictObject({ a: endPlay, b: endPlay }),
    ]),
    gap: z.number().check(z.minimum(0), z.maximum(2000)),
    room: z.enum(['open', 'tight']),
    flowFrom: z.enum(['a', 'b']),
  }),
)

export const policy = z.partial(
  z.strictObject({
    pushFitHidden: z.enum(['allowed', 'reachable-only']),
    compressionHidden: z.enum(['never', 'temporary-only', 'allowed']),
    typeMDrinking: z.enum(['allowed', 'refused']),
    reuseLimit: z.number().check(z.int(), z.minimum(0), z.maximum(100)),
    threadSeal: z.enum(['tape', 'paste', 'both']),
    order: z.array(z.enum(METHODS)).check(z.maxLength(METHODS.length)),
    last: z.array(z.enum(METHODS)).check(z.maxLength(METHODS.length)),
    reasons: z.array(z.enum(REASONS)).check(z.maxLength(REASONS.length)),
    years: z.partialRecord(z.enum(METHODS), z.number().check(z.minimum(0), z.maximum(200))),
    plasticSystem: z.string().check(z.maxLength(60)),
    orderReason: z.string().check(z.maxLength(120)),
    insertFittings: z.enum(['brass', 'composite', 'either']),
    bendMark: z.enum(['hook', 'corner']),
  }),
)

export const inspectQuestion = z.strictObject({
  region: words,
  method: z.enum(METHODS),
  pipe: z.optional(text),
  part: z.optional(z.enum(LOOK_PARTS)),
  ...facts,
  service: z.optional(z.enum(SERVICES)),
  drinking: z.optional(z.boolean()),
  hidden: z.optional(z.boolean()),
  temporary: z.optional(z.boolean()),
  policy: z.optional(policy),
  seen: z.partial(
    z.strictObject({
      leak: z.enum(['dry', 'stain', 'weeps']),
      mark: z.enum(['at-edge', 'away', 'none']),
      liner: z.enum(['in', 'missing']),
      ringDistance: length,
      gauge: z.enum(['passes', 'fails']),
      pressed: z.boolean(),
      solderRing: z.enum(['all-round', 'gap']),
      flux: z.enum(['clean', 'green']),
      olive: z.enum(['even', 'pinched']),
      threads: z.number().check(z.int(), z.minimum(0), z.maximum(40)),
      support: z.number().check(z.minimum(0), z.maximum(100_000)),
      reach: z.enum(['reached', 'hidden']),
      inLine: z.boolean(),
      daylight: z.boolean(),
      deadLeg: z.number().check(z.minimum(0), z.maximum(100_000)),
      metals: z.enum(['no-zinc', 'brass-between', 'bare']),
      system: z.enum(['one', 'mixed']),
      pull: z.enum(['firm', 'turns', 'slides']),
      plastic: z.enum(['none', 'outside', 'inside']),
      cover: z.enum(['none', 'opens', 'closed']),
      turns: z.enum(['free', 'stiff', 'stuck', 'lets-by']),
      arrow: z.enum(['with', 'against', 'none']),
      gland: z.enum(['dry', 'weeps']),
      closed: z.enum(['stays', 'booked', 'not-booked']),
    }),
  ),
})

export const schemas = { region, end, otherEnd, conditions, policy, inspect: inspectQuestion } as const
