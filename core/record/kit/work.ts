import { fail, ok, type Result } from '#core/base'
import { findPipe, getPipe } from '#core/catalogue'
import type { Kit } from '#core/joints'
import { calibrateBender, type Bender } from '#core/line'
import type { KitBody, ToolRecord } from './schema'
import type { JobRecord } from '../job/record'

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
