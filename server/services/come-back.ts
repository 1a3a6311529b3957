import { and, asc, eq, isNotNull, isNull } from 'drizzle-orm'
import { backOn, comingBack, gistOfJob, type ComingBack, type GistOf } from '#core/record'
import { reading } from '../db/client'
import { gists, jobs, joints } from '../db/schema'
import { comeBackCalendar } from '../exports/come-back'
import type { Export } from '../http/export'
import { isoToday } from '../records/time'
import { getJob } from './jobs'

/** Most joints that are come back to at once in the list; a calendar has them all. */
const MOST_LISTED = 60

/** Joints of all jobs that somebody comes back to, soonest first; none of jobs in the archive. */
export const listComingBack = (most: number = MOST_LISTED): Promise<ComingBack[]> =>
  reading(async (db) => {
    const rows = await db
      .select({
        job: { id: jobs.id, slug: jobs.slug, name: jobs.name, place: jobs.place },
        on: joints.comeBack,
        gist: gists.gist,
      })
      .from(joints)
      .innerJoin(jobs, eq(jobs.id, joints.jobId))
      .innerJoin(gists, and(eq(gists.jobId, joints.jobId), eq(gists.kind, 'joints'), eq(gists.recordId, joints.id)))
      .where(and(isNotNull(joints.comeBack), isNull(jobs.archivedAt)))
      .orderBy(asc(joints.comeBack), asc(jobs.name), asc(joints.number))
      .limit(most)
    return rows.map(({ job, on, gist }) => backOn(job, gist as GistOf['joints'], on!, isoToday()))
  })

/** The calendar of joints to come back to, of one job or of all. Problem 404 at `job`. */
export async function comeBackFile(slug?: string): Promise<Export> {
  const job = slug === undefined ? null : await getJob(slug)
  const list = job ? comingBack([gistOfJob(job)], isoToday()) : await listComingBack(Number.MAX_SAFE_INTEGER)
  return {
    name: `${job ? job.slug : 'jolvet'}-come-back.ics`,
    type: 'text/calendar; charset=utf-8',
    body: comeBackCalendar(list),
    isShown: false,
  }
}
