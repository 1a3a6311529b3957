import { fail, ok, type Result } from '#core/base'
import { findPipe, getPipe } from '#core/catalogue'
import type { Kit } from '#core/joints'
import { calibrateBender, type Bender } from '#core/line'
import { kitMinutes, type MeasuredMinutes } from './own-minutes'
import type { BenderRecord, HotWorkRecord, KitBody, ToolRecord } from './schema'
import type { JobRecord } from '../job/record'

/** All that one use of a flame takes beside the joint. */
export function hotWorkSum(hotWork: HotWorkRecord): { minutes: number; price: number } {
  const things = Object.values(hotWork)
  return {
    minutes: things.reduce((sum, { minutes }) => sum + minutes, 0),
    price: things.reduce((sum, { price }) => sum + price, 0),
  }
}

/** What of a job says what the van has and what work on it costs. */
export type KitRules = Pick<JobRecord, 'tools' | 'fittings'> &
  Partial<Pick<JobRecord, 'minutes' | 'prices' | 'hotWork'>>

/** The kit of a job as the rules of joints read it; `measured` are own minutes from signed joints. */
export const kitOf = (
  { tools, fittings, minutes = [], prices = [], hotWork = {} }: KitRules,
  measured: readonly MeasuredMinutes[] = [],
): Kit => ({
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
  ...(minutes.length + measured.length > 0 ? { minutes: kitMinutes(minutes, measured) } : {}),
  ...(prices.length > 0 ? { prices: [...prices] } : {}),
  ...(Object.keys(hotWork).length > 0 ? { hotWork: hotWorkSum(hotWork) } : {}),
})

/** The benders of a job for a pipe, by its outside diameter: a former fits every wall of one size. The first is in use. */
export function bendersFor({ benders }: Pick<JobRecord, 'benders'>, pipe: string): BenderRecord[] {
  const { od } = getPipe(pipe)
  return benders.filter((one) => getPipe(one.pipe).od === od)
}

/** The bender in use for a pipe. */
export function benderFor(job: Pick<JobRecord, 'benders'>, pipe: string): Bender | undefined {
  const [found] = bendersFor(job, pipe)
  return found && { radius: found.radius, setback: found.setback, springback: found.springback }
}

/** Benders with another one of its size in use: every piece still to be bent is marked anew for it. */
export const useBender = (benders: readonly BenderRecord[], used: BenderRecord): BenderRecord[] => [
  used,
  ...benders.filter((one) => one !== used),
]

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
  const timed = twice((changes.minutes ?? []).map(({ method, nominal }) => `${method}, ${nominal ?? 'every size'}`))
  if (timed !== undefined)
    return fail('impossible', 'minutes', `minutes: ${timed} is there already. Take it out first, then type it anew.`)
  const priced = twice((changes.prices ?? []).map(({ name, size }) => `${name} ${size}`))
  if (priced !== undefined)
    return fail('impossible', 'prices', `prices: ${priced} is there twice. One price for each part and size.`)
  const held = twice((changes.van ?? []).map(({ name, size }) => `${name} ${size}`))
  if (held !== undefined)
    return fail('impossible', 'van', `van: ${held} is there twice. One line for each part and size.`)
  for (const [i, { pipe, test }] of (changes.benders ?? []).entries()) {
    const found = findPipe(pipe, `benders.${i}.pipe`)
    if (!found.ok) return found
    const bend = calibrateBender(test)
    if (!bend.ok) return fail(bend.error.code, `benders.${i}.test.${bend.error.path}`, bend.error.message)
  }
  const bender = twice(
    (changes.benders ?? []).map(({ pipe, name = '' }) => `${getPipe(pipe).label}${name === '' ? '' : `, ${name}`}`),
  )
  if (bender !== undefined)
    return fail(
      'impossible',
      'benders',
      `benders: one for ${bender} is there already. A new test bend takes its place; another bender has a name of its own.`,
    )
  return ok({ ...job, ...changes })
}
