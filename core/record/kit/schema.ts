import * as z from 'zod/mini'
import { schemas } from '#core/contract'
import { METHODS } from '#core/joints'
import { defineFields, field, type FieldsOf } from '../fields'
import { day, id, said } from '../texts'

/* What is saved of the van: tools, measured fittings, benders, parts counted out and back. */

/** Parts of one item counted out before the work and back after it: pieces; of wire mm. `back` null: not yet. */
export const countBody = z.strictObject({
  item: z.string().check(z.minLength(1), z.maxLength(80)),
  out: z.number().check(z.minimum(0), z.maximum(1_000_000)),
  back: z.nullable(z.number().check(z.minimum(0), z.maximum(1_000_000))),
})
export type CountBody = z.output<typeof countBody>
/** A joint that was looked at and has what may have been left out of it. */
export const foundBody = z.strictObject({ item: countBody.shape.item, joint: id })
export type FoundBody = z.output<typeof foundBody>
/** A count with the hand and the time of it; `seen` are the joints that were looked at since. */
export interface CountRecord extends CountBody {
  unit: string
  seen: string[]
  at: string
  by: string
}

/** A tool of the van: what it joins, the sizes it has jaws or heads for, and until when its check or gauge holds. */
const toolBody = z.strictObject({
  method: z.enum(METHODS),
  /** Sizes by nominal; none named means every size. */
  sizes: z.array(z.string().check(z.maxLength(20))).check(z.maxLength(40)),
  /** Least temperature an expander works at by its own paper, degC; not said where nobody read it. */
  leastAmbient: z.optional(z.nullable(z.number().check(z.minimum(-60), z.maximum(40)))),
  /** Last day its check holds; null where none is asked for. */
  due: z.nullable(day),
})

/** A fitting measured by hand, mm: its figures win over the tables. */
const fittingBody = z.strictObject({
  method: z.enum(METHODS),
  nominal: said(20),
  fitting: said(60),
  /** Face or nut to the stop. */
  insertion: z.nullable(z.number().check(z.positive(), z.maximum(500))),
  /** Centre to the stop. */
  takeOut: z.nullable(z.number().check(z.positive(), z.maximum(1000))),
  /** Day it was measured. */
  at: day,
})

/** A bender calibrated by one test bend, mm and degrees: its figures win over the typical radius. */
const benderBody = z.strictObject({
  /** What it is called, where there are several of one size; the first of a size is in use. */
  name: z.optional(z.string().check(z.maxLength(40))),
  /** Catalogue id of the pipe it bends. */
  pipe: z.string().check(z.minLength(1), z.maxLength(60)),
  radius: z.number().check(z.positive(), z.maximum(5000)),
  /** Hook edge to the corner of a right angle. */
  setback: z.number().check(z.positive(), z.maximum(5000)),
  springback: z.number().check(z.minimum(0), z.maximum(30)),
  /** The test bend it came from. */
  test: z.strictObject({
    marks: z.tuple([z.number(), z.number()]),
    hook: z.number(),
    measures: z.tuple([z.number(), z.number()]),
    pulled: z.number(),
    angle: z.number(),
  }),
  /** Day it was made. */
  at: day,
})

/** Minutes at one end as the hand says them; `nominal` null: every size of the method. */
const minutesBody = z.strictObject({
  method: z.enum(METHODS),
  nominal: z.nullable(said(20)),
  work: z.number().check(z.minimum(0), z.maximum(10_000)),
  wait: z.number().check(z.minimum(0), z.maximum(100_000)),
})

/** The price of a part as the supplier names it, in the money of the country. */
const priceBody = z.strictObject({
  name: said(80),
  size: said(80),
  price: z.number().check(z.minimum(0), z.maximum(1_000_000)),
})
/** What the van holds of a part, by its name and size as an order has them; of pipe and wire mm. */
const vanBody = z.strictObject({
  name: said(80),
  size: z.string().check(z.maxLength(80)),
  quantity: z.number().check(z.minimum(0), z.maximum(10_000_000)),
})
/** Most prices of a kit: a counter's list, not a catalogue. */
export const MOST_PRICES = 1000

export const HOT_WORK = ['permit', 'watch', 'mat', 'extinguisher', 'wetting'] as const
export type HotWork = (typeof HOT_WORK)[number]
/** What one use of a flame takes beside the joint, each as the hand says it: minutes of his, money of the country. */
const hotWorkBody = z.partialRecord(
  z.enum(HOT_WORK),
  z.strictObject({
    minutes: z.number().check(z.minimum(0), z.maximum(10_000)),
    price: z.number().check(z.minimum(0), z.maximum(1_000_000)),
  }),
)

/** What of the van a hand changes as a whole. */
export const kitFields = defineFields({
  policy: field(schemas.policy, 'policy', {}, { merge: 'keys' }),
  /** null: nothing was said, so every tool counts as there. */
  tools: field(z.nullable(z.array(toolBody).check(z.maxLength(60))), 'tools', null),
  fittings: field(z.array(fittingBody).check(z.maxLength(400)), 'my fittings', []),
  benders: field(z.array(benderBody).check(z.maxLength(40)), 'benders', []),
  minutes: field(z.array(minutesBody).check(z.maxLength(200)), 'my minutes', []),
  hotWork: field(hotWorkBody, 'hot work', {}, { merge: 'keys' }),
  prices: field(z.array(priceBody).check(z.maxLength(MOST_PRICES)), 'my prices', []),
  van: field(z.array(vanBody).check(z.maxLength(MOST_PRICES)), 'held in the van', []),
})

export type ToolRecord = z.output<typeof toolBody>
export type FittingRecord = z.output<typeof fittingBody>
export type MinutesRecord = z.output<typeof minutesBody>
export type HotWorkRecord = z.output<typeof hotWorkBody>
export type VanRecord = z.output<typeof vanBody>
export type PriceRecord = z.output<typeof priceBody>
export type BenderRecord = z.output<typeof benderBody>
export type KitBody = FieldsOf<typeof kitFields>
