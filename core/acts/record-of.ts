import type { AnyRecord, JobRecord, Kind } from '#core/record'

/** A record of a job by its kind and id. */
export const recordOf = (job: JobRecord, kind: Kind, id: string): AnyRecord | undefined =>
  kind === 'jobs' ? job : job[kind].find((record) => record.id === id)
