import { z } from 'zod'
import { fail, ok, type Result } from '#core/base'
import { schemas } from '#core/contract'
import { findPipe, getPipe } from '#core/catalogue'
import { METHODS, type Kit } from '#core/joints'
import { calibrateBender, type Bender } from '#core/line'
import { countBody } from './counts'
import type { JobRecord } from './types'

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

/** The kit of a job as the rules of joints read it. */
export const kitOf = ({ tools, fittings }: Pick<JobRecord, 'tools' | 'fittings'>): Kit => ({
  ...(tools === null
    ? {}
    : { tools: tools.map(({ method, sizes }) => ({ method, ...(sizes.length > 0 ? { sizes } : {}) })) }),
  measured: fittings.map(({ method, nominal, fitting, insertion, takeOut }) => ({
    method,
    nominal,
    fitting,
    ...(insertion === null ? {} : { insertion }),
    ...(takeOut === null ? {} : { takeOut }),
  })),
})

/** The bender of a job for a pipe, by its outside diameter: a former fits every wall of one size. */
export function benderFor({ benders }: Pick<JobRecord, 'benders'>, pipe: string): Bender | undefined {
  const { od } = getPipe(pipe)
  const found = benders.find((one) => getPipe(one.pipe).od === od)
  return found && { radius: found.radius, setback: found.setback, springback: found.springback }
}

/** Tools whose check is over on a day. */
export const overdue = (tools: readonly ToolRecord[] | null, today: string): ToolRecord[] =>
  (tools ?? []).filter(({ due }) => due !== null && due < today)

/** A job with some of its kit changed. Fails where one tool or one fitting is named twice. */
export function changeKit(job: JobRecord, changes: Partial<KitBody>): Result<JobRecord> {
  const twice = (keys: readonly string[]) => keys.find((key, i) => keys.indexOf(key) !== i)
  const tool = twice((changes.tools ?? []).map(({ method }) => method))
  if (tool !== undefined) return fail('impossible', 'tools', `tools: ${tool} is named twice. Put its sizes on one.`)
  const fitting = twice((changes.fittings ?? []).map((one) => `${one.fitting} ${one.nominal}, ${one.method}`))
  if (fitting !== undefined)
    return fail(
      'impossible',
      'fittings',
      `fittings: ${fitting} is there already. Change its figures, or name it differently.`,
    )
  const count = twice((changes.counts ?? []).map(({ item }) => item))
  if (count !== undefined) return fail('impossible', 'counts', `counts: ${count} is counted twice. Put it on one.`)
  for (const [i, { item, out, back }] of (changes.counts ?? []).entries()) {
    if (back !== null && back > out)
      return fail(
        'range',
        `counts.${i}.back`,
        `counts.${i}.back: ${back} of ${item} came back, ${out} went out. Count again.`,
      )
  }
  for (const [i, { pipe, test }] of (changes.benders ?? []).entries()) {
    const found = findPipe(pipe, `benders.${i}.pipe`)
    if (!found.ok) return found
    const bend = calibrateBender(test)
    if (!bend.ok) return fail(bend.error.code, `benders.${i}.test.${bend.error.path}`, bend.error.message)
  }
  const bender = twice((changes.benders ?? []).map(({ pipe }) => getPipe(pipe).label))
  if (bender !== undefined)
    return fail(
      'impossible',
      'benders',
      `benders: one for ${bender} is there already. A new test bend takes its place.`,
    )
  return ok({ ...job, ...changes })
}
