import { eq } from 'drizzle-orm'
import type { ActDef, Rules } from '#core/acts'
import type { CutRecord, DoubtedFind } from '#core/record'
import type { Transaction } from '../db/client'
import { cuts, finds, joints } from '../db/schema'
import type { JobRow } from './job-rows'
import { ownFields } from './jobs'

/** What of a job an act is judged by; the finds for joints, since what they leave in doubt holds what rests on them. */
export async function rulesOf(
  tx: Transaction,
  job: JobRow,
  doubted: readonly DoubtedFind[],
  { does }: ActDef,
): Promise<Omit<Rules, 'rack'>> {
  const { id, name, region, year, policy, tools, fittings, benders, minutes, prices, hotWork, van } = ownFields(job)
  const resting = does === 'drops' ? await restingOn(tx, job) : { joints: [], cuts: [] }
  return {
    ...{ id, name, region, year, policy, tools, fittings, benders, minutes, prices, hotWork, van },
    finds: doubted,
    ...resting,
  }
}

/** The finds of a job, as far as joints rest on them. */
export const loadDoubted = async (tx: Transaction, jobId: string): Promise<DoubtedFind[]> =>
  (await tx
    .select({ id: finds.id, typed: finds.typed, by: finds.by, answers: finds.answers, pipe: finds.pipe })
    .from(finds)
    .where(eq(finds.jobId, jobId))) as DoubtedFind[]

/** What may rest on a record that is to be taken out. */
async function restingOn(tx: Transaction, { id }: JobRow): Promise<Pick<Rules, 'joints' | 'cuts'>> {
  const onFinds = await tx
    .select({ id: joints.id, number: joints.number, findA: joints.findA, findB: joints.findB })
    .from(joints)
    .where(eq(joints.jobId, id))
  const onLines = await tx
    .select({ id: cuts.id, number: cuts.number, sources: cuts.sources })
    .from(cuts)
    .where(eq(cuts.jobId, id))
  return { joints: onFinds, cuts: onLines as Pick<CutRecord, 'id' | 'number' | 'sources'>[] }
}
