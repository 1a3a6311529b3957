import { eq } from 'drizzle-orm'
import type { ActDef, Rules } from '#core/acts'
import type { DoubtedFind } from '#core/record'
import type { Transaction } from '../db/client'
import { finds } from '../db/schema'
import type { JobRow } from './job-rows'
import { ownFields } from './jobs'

/** What of a job an act is judged by; the finds for joints, since what they leave in doubt holds what rests on them. */
export async function rulesOf(tx: Transaction, job: JobRow, { on }: ActDef): Promise<Omit<Rules, 'rack'>> {
  const { id, name, region, year, policy, tools, fittings, benders } = ownFields(job)
  const rows =
    on === 'joints'
      ? await tx
          .select({ id: finds.id, typed: finds.typed, by: finds.by, answers: finds.answers, pipe: finds.pipe })
          .from(finds)
          .where(eq(finds.jobId, job.id))
      : []
  return { ...{ id, name, region, year, policy, tools, fittings, benders }, finds: rows as DoubtedFind[] }
}
