import { asc } from 'drizzle-orm'
import type { JobRecord } from '#core/record'
import { reading } from '../db/client'
import { jobs } from '../db/schema'
import { findJobRow } from '../records/job-rows'
import { toJob } from '../records/jobs'
import { loadRack } from '../records/rack'

/** Every job, whole, in the order they are worked. */
export const listJobs = (): Promise<JobRecord[]> =>
  reading(async (db) => {
    const rows = await db.select().from(jobs).orderBy(asc(jobs.position), asc(jobs.id))
    const records: JobRecord[] = []
    const rack = await loadRack(db)
    for (const row of rows) records.push(await toJob(db, row, rack))
    return records
  })

/** One job by the name in its address. Problem 404 at `job`. */
export const getJob = (name: string): Promise<JobRecord> => reading(async (db) => toJob(db, await findJobRow(db, name)))
