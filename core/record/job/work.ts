import { fail, ok, type Result } from '#core/base'
import type { Doing } from '../act'
import type { JobRecord } from './record'
import type { ClashBody, JobBody } from './schema'

/** A job as it is begun; until a server has given it a name for its address it goes by its id. */
export const beginJob = (id: string, body: JobBody): JobRecord => ({
  ...body,
  id,
  slug: id,
  year: body.year ?? null,
  policy: {},
  tools: null,
  fittings: [],
  benders: [],
  counts: [],
  handedOver: null,
  version: 1,
  updatedAt: '',
  updatedBy: '',
  finds: [],
  lines: [],
  cuts: [],
  rack: [],
  joints: [],
  looks: [],
  clashes: [],
})

/**
 * Two entries that met, kept on record with whose was taken. Fails at `record` where this job has none such. Entered
 * twice it changes nothing.
 */
export function settleClash(
  job: JobRecord,
  body: ClashBody,
  { key, at }: Pick<Doing, 'key' | 'at'>,
): Result<JobRecord> {
  if (job.clashes.some(({ id }) => id === key)) return ok(job)
  const isThere = body.kind === 'jobs' ? body.record === job.id : job[body.kind].some(({ id }) => id === body.record)
  if (!isThere)
    return fail('unknown-id', 'record', 'record: this job has no such record. It may belong to another job.')
  return ok({ ...job, clashes: [...job.clashes, { ...body, id: key, at }] })
}
