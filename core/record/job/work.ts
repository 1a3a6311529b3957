import { fail, ok, type Result } from '#core/base'
import type { Doing } from '../act'
import type { JobRecord } from './record'
import type { ClashBody, JobBody, JobFields } from './schema'

/** A job as it is begun; until a server has given it a name for its address it goes by its id. */
export const beginJob = (id: string, body: JobBody): JobRecord => ({
  ...body,
  id,
  slug: id,
  year: body.year ?? null,
  policy: {},
  tools: null,
  fittings: [],
  minutes: [],
  prices: [],
  van: [],
  hotWork: {},
  benders: [],
  counts: [],
  handedOver: null,
  archivedAt: null,
  waits: null,
  acts: 0,
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

/** What is measured on a job already, in words; null where nothing is. */
export function measuredOn({ finds, lines, joints, cuts }: JobRecord): string | null {
  const find = finds.find(
    ({ typed, pipe, answers }) => typed !== '' || pipe !== null || Object.keys(answers).length > 0,
  )
  if (find) return find.place ? `the pipe at ${find.place}` : 'a pipe'
  const line = lines.find(({ legs }) => legs.length > 0)
  if (line) return `L${line.number}`
  const joint = joints.find(({ a, b }) => a !== null || b !== null)
  if (joint) return `J${joint.number}`
  return cuts[0] ? `C${cuts[0].number}` : null
}

/** A job called or placed otherwise. Its country decides sizes and units: fails at `region` once something is measured. */
export function changeJob(job: JobRecord, changes: Partial<JobFields>): Result<JobRecord> {
  const measured = changes.region === undefined || changes.region === job.region ? null : measuredOn(job)
  if (measured !== null)
    return fail(
      'impossible',
      'region',
      `region: ${measured} is measured in the sizes this job has now. Copy it as a new job for another country's.`,
    )
  return ok({ ...job, ...changes })
}

/** A job put to the archive, or taken out of it. Twice it changes nothing. */
export const archiveJob = (job: JobRecord, at: string | null): Result<JobRecord> =>
  ok((job.archivedAt === null) === (at === null) ? job : { ...job, archivedAt: at })

/** A job deleted, its name typed as it stands. Fails at `name` where it is another. */
export const dropJob = ({ name }: JobRecord, typed: string): Result<null> =>
  typed.trim() === name.trim()
    ? ok(null)
    : fail('impossible', 'name', `name: type "${name}" to delete this job with all that is on it.`)
