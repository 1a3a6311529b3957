import type { CutResult, GistOf, JobRecord } from '#core/record'

/* What one job reads of others. */

/** Lines of another job that a cut sheet may take in. */
export interface LinesElsewhere {
  job: Pick<JobRecord, 'id' | 'slug' | 'name'>
  lines: Pick<GistOf['lines'], 'id' | 'number' | 'name' | 'pipe'>[]
}
/** A sheet that is finished, on any job, with what it came to. */
export interface FinishedSheet {
  job: Pick<JobRecord, 'id' | 'name'>
  number: number
  result: CutResult
}
