import { and, desc, eq, inArray, isNotNull, isNull, or, sql } from 'drizzle-orm'
import type { FinishedSheet, LinesElsewhere } from '#core/acts'
import { measuredMinutes, type CutResult, type EndMinutes, type GistOf, type MeasuredMinutes } from '#core/record'
import { reading } from '../db/client'
import { cuts, gists, jobs, joints, signoffs, summaries } from '../db/schema'

/** Most lines of other jobs at once: of those worked on last. */
const MOST_LINES = 200
const MOST_SHEETS = 8
/** Sign-offs looked through for own minutes, the last ones. */
const MOST_SIGNOFFS = 1000

/** Lines of jobs in a country's sizes that are open or wait, and of jobs by their ids, those worked on last first. */
export const linesElsewhere = (region: string, ids: readonly string[]): Promise<LinesElsewhere[]> =>
  reading(async (db) => {
    const isOpen = and(eq(jobs.region, region), inArray(summaries.shelf, ['open', 'waiting']))
    const rows = await db
      .select({ job: { id: jobs.id, slug: jobs.slug, name: jobs.name }, gist: gists.gist })
      .from(gists)
      .innerJoin(jobs, eq(jobs.id, gists.jobId))
      .innerJoin(summaries, eq(summaries.jobId, gists.jobId))
      .where(and(eq(gists.kind, 'lines'), ids.length > 0 ? or(isOpen, inArray(jobs.id, [...ids])) : isOpen))
      .orderBy(desc(summaries.workedAt), gists.place)
      .limit(MOST_LINES)
    const found = new Map<string, LinesElsewhere>()
    for (const { job, gist } of rows) {
      const { id, number, name, pipe } = gist as GistOf['lines']
      const own = found.get(job.id) ?? { job, lines: [] }
      own.lines.push({ id, number, name, pipe })
      found.set(job.id, own)
    }
    return [...found.values()]
  })

/** The sheets finished last on every job, the last first. */
export const finishedSheets = (): Promise<FinishedSheet[]> =>
  reading(async (db) => {
    const rows = await db
      .select({ job: { id: jobs.id, name: jobs.name }, number: cuts.number, result: cuts.result })
      .from(cuts)
      .innerJoin(jobs, eq(jobs.id, cuts.jobId))
      .where(isNotNull(cuts.result))
      .orderBy(desc(sql`json_value(${cuts.result}, '$.at')`))
      .limit(MOST_SHEETS)
    return rows.map((row) => ({ ...row, result: row.result as CutResult }))
  })

/** Own minutes of a country's sizes, from the joints signed last on every job; a correction is no second joint. */
export const ownMinutes = (region: string): Promise<MeasuredMinutes[]> =>
  reading(async (db) => {
    const rows = await db
      .select({ minutes: signoffs.minutes })
      .from(signoffs)
      .innerJoin(joints, eq(joints.id, signoffs.jointId))
      .innerJoin(jobs, eq(jobs.id, joints.jobId))
      .where(and(eq(jobs.region, region), isNull(signoffs.corrects), sql`json_length(${signoffs.minutes}) > 0`))
      .orderBy(desc(signoffs.seq))
      .limit(MOST_SIGNOFFS)
    return measuredMinutes(rows.flatMap(({ minutes }) => minutes as EndMinutes[]))
  })
