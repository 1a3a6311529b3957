import { reading } from '../db/client'
import { findJobRow } from '../records/job-rows'
import { toIso } from '../records/time'
import { chainOf, readLog, type Chain } from './log'

/** Version of the exported log; it rises when a field changes its meaning. */
const LOG_VERSION = 1

/** How the log of a job stands. Problem 404 at `job`. */
export const getChain = (name: string): Promise<Chain> =>
  reading(async (db) => {
    const job = await findJobRow(db, name)
    return chainOf(await readLog(db, job.id), job)
  })

/**
 * The whole log of a job, first act first, with all that its hashes are made of: each is SHA-256, in hex, of the hash
 * before it (of the first: 64 zeros), its number, the time as it stands in `hashedAt` and its text, a line each.
 */
export const getLog = (name: string) =>
  reading(async (db) => {
    const job = await findJobRow(db, name)
    const rows = await readLog(db, job.id)
    return {
      format: 'jolvet-log',
      version: LOG_VERSION,
      job: { id: job.id, name: job.name, slug: job.slug },
      ...chainOf(rows, job),
      rows: rows.map(({ number, name: act, recordId, at, clock, by, takenAt, text, hash }) => ({
        number,
        act,
        record: recordId,
        at: toIso(at),
        clock,
        by,
        takenAt: toIso(takenAt),
        hashedAt: takenAt,
        text,
        hash,
      })),
    }
  })
