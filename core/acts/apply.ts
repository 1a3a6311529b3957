import { ok, type Result } from '#core/base'
import { rackAfter, type ActDef, type AnyRecord, type Hand, type JobRecord, type ListKind } from '#core/record'
import { ACTS, type Act, type ActName } from './registry'

/* What an act makes of a whole job, as a tablet has it. */

/**
 * What an act waits behind: the acts before it on the same record. Acts on a job's own fields are apart from the job, so
 * that its finds and joints never wait for its kit; those that wait for a job itself wait for its beginning.
 */
export function laneOf(name: ActName, job: string, record: string): string {
  const { on, does } = ACTS[name]
  if (on !== 'jobs') return record
  return does === 'begins' ? job : `kit-${job}`
}

const nextOf = (list: readonly AnyRecord[]) => ({
  count: list.length,
  number: Math.max(0, ...list.map((one) => ('number' in one ? one.number : 0))) + 1,
})

/** A new offcut stands first on the rack, every other record last in its list. */
function withRecord(list: readonly AnyRecord[], kind: ListKind, id: string, after: AnyRecord | null): AnyRecord[] {
  if (after === null) return list.filter((one) => one.id !== id)
  if (list.some((one) => one.id === id)) return list.map((one) => (one.id === id ? after : one))
  return kind === 'rack' ? [after, ...list] : [...list, after]
}

/**
 * A job once an act is done to it; the same where it was done already, or its record is not here; null where it is
 * deleted. Fails with what core says against it.
 */
export function applyToJob(
  job: JobRecord,
  { name, body }: Act,
  record: string,
  { key, at, by, clock }: Hand & { key: string },
): Result<JobRecord | null> {
  const { on: kind, does, touches, apply } = ACTS[name] as unknown as ActDef
  const doing = { key, at, by, clock, record, next: { number: 1, count: 0 } }
  if (kind === 'jobs') return does === 'begins' ? ok(job) : (apply(job, job, body, doing) as Result<JobRecord | null>)
  const list: readonly AnyRecord[] = job[kind]
  const before = list.find(({ id }) => id === record) ?? null
  if ((does === 'begins') === (before !== null)) return ok(job)
  const after = apply(job, before as never, body, { ...doing, next: nextOf(list) })
  if (!after.ok) return after
  return ok({
    ...job,
    [kind]: withRecord(list, kind, record, after.value),
    ...(touches === 'rack' && kind === 'cuts'
      ? { rack: rackAfter(job.rack, job, after.value as JobRecord['cuts'][number] | null, record) }
      : {}),
  })
}
