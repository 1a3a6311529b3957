import { z } from 'zod'
import { schemas } from '#core/contract'
import { METHODS } from '#core/joints'

/* What is saved of the van: tools, measured fittings, benders, parts counted out and back. */

export const countBody = z.strictObject({
  item: z.string().min(1).max(80),
  unit: z.string().max(20),
  /** Pieces; of wire mm. */
  out: z.number().min(0).max(1_000_000),
  /** null: not counted back yet. */
  back: z.number().min(0).max(1_000_000).nullable(),
  /** Joints that were looked at and have it. */
  seen: z.array(z.string().max(40)).max(500),
})
export type CountRecord = z.output<typeof countBody>

/** Day, ISO 8601. */
const day = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'a day such as 2026-11-26')

/** A tool of the van: what it joins, the sizes it has jaws or heads for, and until when its check or gauge holds. */
const toolBody = z.strictObject({
  method: z.enum(METHODS),
  /** Sizes by nominal; none named means every size. */
  sizes: z.array(z.string().max(20)).max(40),
  /** Least temperature an expander works at by its own paper, degC; not said where nobody read it. */
  leastAmbient: z.number().min(-60).max(40).nullable().optional(),
  /** Last day its check holds; null where none is asked for. */
  due: day.nullable(),
})

/** A fitting measured by hand, mm: its figures win over the tables. */
const fittingBody = z.strictObject({
  method: z.enum(METHODS),
  nominal: z.string().trim().min(1).max(20),
  fitting: z.string().trim().min(1).max(60),
  /** Face or nut to the stop. */
  insertion: z.number().positive().max(500).nullable(),
  /** Centre to the stop. */
  takeOut: z.number().positive().max(1000).nullable(),
  /** Day it was measured. */
  at: day,
})

/** A bender calibrated by one test bend, mm and degrees: its figures win over the typical radius. */
const benderBody = z.strictObject({
  /** Catalogue id of the pipe it bends. */
  pipe: z.string().min(1).max(60),
  radius: z.number().positive().max(5000),
  /** Hook edge to the corner of a right angle. */
  setback: z.number().positive().max(5000),
  springback: z.number().min(0).max(30),
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

const kitBody = z.strictObject({
  policy: schemas.policy,
  /** null: nothing was said, so every tool counts as there. */
  tools: z.array(toolBody).max(60).nullable(),
  fittings: z.array(fittingBody).max(400),
  benders: z.array(benderBody).max(40),
  /** Small parts counted out and back. */
  counts: z.array(countBody).max(100),
})
export const jobPatch = kitBody.partial().extend({ version: z.number().int().min(1) })

export type ToolRecord = z.output<typeof toolBody>
export type FittingRecord = z.output<typeof fittingBody>
export type BenderRecord = z.output<typeof benderBody>
export type KitBody = z.output<typeof kitBody>
