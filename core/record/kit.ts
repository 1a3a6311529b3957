import { z } from 'zod'
import { fail, ok, type Result } from '#core/base'
import { schemas } from '#core/contract'
import { METHODS, type Kit } from '#core/joints'
import type { JobRecord } from './types'

/** Day, ISO 8601. */
const day = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'a day such as 2026-11-26')

/** A tool of the van: what it joins, the sizes it has jaws or heads for, and until when its check or gauge holds. */
export const toolBody = z.strictObject({
  method: z.enum(METHODS),
  /** Sizes by nominal; none named means every size. */
  sizes: z.array(z.string().max(20)).max(40),
  /** Last day its check holds; null where none is asked for. */
  due: day.nullable(),
})

/** A fitting measured by hand, mm: its figures win over the tables. */
export const fittingBody = z.strictObject({
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

export const kitBody = z.strictObject({
  policy: schemas.policy,
  /** null: nothing was said, so every tool counts as there. */
  tools: z.array(toolBody).max(60).nullable(),
  fittings: z.array(fittingBody).max(400),
})
export const jobPatch = kitBody.partial().extend({ version: z.number().int().min(1) })

export type ToolRecord = z.output<typeof toolBody>
export type FittingRecord = z.output<typeof fittingBody>
export type KitBody = z.output<typeof kitBody>

/** The kit of a job as the rules of joints read it. */
export const kitOf = ({ tools, fittings }: Pick<JobRecord, 'tools' | 'fittings'>): Kit => ({
  ...(tools === null ? {} : { tools: tools.map(({ method, sizes }) => ({ method, ...(sizes.length > 0 ? { sizes } : {}) })) }),
  measured: fittings.map(({ method, nominal, fitting, insertion, takeOut }) => ({ method, nominal, fitting, ...(insertion === null ? {} : { insertion }), ...(takeOut === null ? {} : { takeOut }) })),
})

/** Tools whose check is over on a day. */
export const overdue = (tools: readonly ToolRecord[] | null, today: string): ToolRecord[] => (tools ?? []).filter(({ due }) => due !== null && due < today)

/** A job with some of its kit changed. Fails where one tool or one fitting is named twice. */
export function changeKit(job: JobRecord, changes: Partial<KitBody>): Result<JobRecord> {
  const twice = (keys: readonly string[]) => keys.find((key, i) => keys.indexOf(key) !== i)
  const tool = twice((changes.tools ?? []).map(({ method }) => method))
  if (tool !== undefined) return fail('impossible', 'tools', `tools: ${tool} is named twice. Put its sizes on one.`)
  const fitting = twice((changes.fittings ?? []).map(one => `${one.fitting} ${one.nominal}, ${one.method}`))
  if (fitting !== undefined) return fail('impossible', 'fittings', `fittings: ${fitting} is there already. Change its figures, or name it differently.`)
  return ok({ ...job, ...changes })
}
