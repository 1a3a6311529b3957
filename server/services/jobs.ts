import { and, eq, gt } from 'drizzle-orm'
import {
  actOf,
  type ActName,
  type JobChanges,
  type Kind,
  type LineGists,
  type SinceAnswer,
  type WholeJob,
} from '#core/acts'
import { issue } from '#core/base'
import type { JobRecord, OffcutRecord } from '#core/record'
import { reading, type Database } from '../db/client'
import { acts, jobs } from '../db/schema'
import { invalid } from '../http/problem'
import { findJobRow, type JobRow } from '../records/job-rows'
import { loadClashes, loadRecords, ownFields, toJob } from '../records/jobs'
import { loadRack } from '../records/rack'
import { loadLineGists } from '../records/gists'

/** Where more records than this have changed the whole is less to send. */
const MOST_CHANGED = 60

/** One job by the name in its address, with the rack. Problem 404 at `job`. */
export const getJob = (name: string): Promise<JobRecord> =>
  reading(async (db) => ({ ...(await toJob(db, await findJobRow(db, name))), rack: await loadRack(db) }))

/** Jobs by their ids, those that there are; a cut sheet takes in lines of others. */
export const getJobs = (ids: readonly string[]): Promise<JobRecord[]> =>
  reading(async (db) => {
    const found: JobRecord[] = []
    for (const id of new Set(ids)) {
      const [row] = await db.select().from(jobs).where(eq(jobs.id, id))
      if (row) found.push(await toJob(db, row))
    }
    return found
  })

/** Offcuts of every pipe, longest first. */
export const getRack = (): Promise<OffcutRecord[]> => reading(loadRack)

// A record saved while this is read is newer than its acts say: it comes again with the next change.
async function whole(db: Database, row: JobRow): Promise<WholeJob> {
  const { rack: _, ...job } = await toJob(db, row)
  return { ...job, gists: await loadLineGists(db, row.id) }
}

/** A job as a tablet reads it first. Problem 404 at `job`. */
export const getWhole = (name: string): Promise<WholeJob> =>
  reading(async (db) => whole(db, await findJobRow(db, name)))

/** The records that acts after a number of a job's log were on, by their kinds. */
async function changedAfter(db: Database, row: JobRow, since: number): Promise<Map<Kind, Set<string>>> {
  const rows = await db
    .selectDistinct({ id: acts.recordId, name: acts.name })
    .from(acts)
    .where(and(eq(acts.jobId, row.id), gt(acts.number, since)))
  const touched = new Map<Kind, Set<string>>()
  for (const { id, name } of rows) {
    const { on } = actOf(name as ActName)
    touched.set(on, (touched.get(on) ?? new Set()).add(id))
  }
  return touched
}

async function changesOf(db: Database, row: JobRow, since: number): Promise<JobChanges | null> {
  const touched = await changedAfter(db, row, since)
  if ([...touched.values()].reduce((sum, ids) => sum + ids.size, 0) > MOST_CHANGED) return null
  const records: JobChanges['records'][number][] = []
  for (const [kind, ids] of touched) {
    if (kind === 'jobs' || kind === 'rack') continue
    const found = await loadRecords(db, row.id, kind, [...ids])
    for (const id of ids) records.push({ kind, id, record: found.find((one) => one.id === id) ?? null })
  }
  const own = touched.has('jobs') ? { ...ownFields(row), clashes: await loadClashes(db, row.id) } : null
  return { id: row.id, since, acts: row.acts, own, records, gists: await gistsOf(db, row.id, records) }
}

async function gistsOf(db: Database, jobId: string, records: JobChanges['records']): Promise<LineGists> {
  const lines = new Set(records.filter(({ kind, record }) => kind === 'lines' && record).map(({ id }) => id))
  return lines.size === 0
    ? {}
    : Object.fromEntries(Object.entries(await loadLineGists(db, jobId)).filter(([id]) => lines.has(id)))
}

/**
 * What changed of a job after its first `since` acts. Problem 404 at `job`; 422 at `since` where the job has not so many,
 * as after a backup was taken back: the whole is to be read then.
 */
export const getSince = (name: string, since: number): Promise<SinceAnswer> =>
  reading(async (db) => {
    const row = await findJobRow(db, name)
    if (since > row.acts)
      throw invalid(
        issue('range', 'since', `since: this job has ${row.acts} acts. Up to that is accepted; read it whole.`),
      )
    const changes = await changesOf(db, row, since)
    return changes ?? { whole: await whole(db, row) }
  })
