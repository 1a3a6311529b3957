import { comingBack } from '#core/record'
import { comeBackCalendar } from '../exports/come-back'
import type { Export } from '../http/export'
import { getJob, listJobs } from './jobs'

/** The calendar of joints to come back to, of one job or of all. Problem 404 at `job`. */
export async function comeBackFile(slug?: string): Promise<Export> {
  const jobs = slug === undefined ? await listJobs() : [await getJob(slug)]
  const list = comingBack(jobs, new Date().toISOString().slice(0, 10))
  return {
    name: `${slug === undefined ? 'jolvet' : jobs[0]!.slug}-come-back.ics`,
    type: 'text/calendar; charset=utf-8',
    body: comeBackCalendar(list),
    isShown: false,
  }
}
