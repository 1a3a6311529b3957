import { gt, inArray, max } from 'drizzle-orm'
import { actOf, type ActName, type News } from '#core/acts'
import { reading, type Database } from '../db/client'
import { acts, droppedJobs, jobs } from '../db/schema'
import { forDatabase } from '../records/time'
import { isOnRack } from './acts'
import { onChanged } from './changes'
import { listed } from './job-list'
import { SeenRows } from './seen'

/*
 * What happens, told to those who listen: what this process takes at once, what another takes on the same database within
 * a second. Each process reads the log of acts for itself, and only while somebody listens.
 */

/** How often the log is read for what another process took, ms. */
const LOOK_EVERY_MS = 500
/** What comes within so long of one act of our own is told together, ms. */
const TOGETHER_MS = 40
/** Most rows read at once; more come with the next look. */
const MOST_ROWS = 500
/** A deletion is looked for so far back: the clock of its hand may differ, ms. */
const DROPPED_WITHIN_MS = 60_000

type Listener = (news: News) => void
const listeners = new Set<Listener>()
let seen: SeenRows | null = null
const told = new Set<string>()
let timer: ReturnType<typeof setTimeout> | undefined
let isLooking = false

const newestSeq = async (db: Database): Promise<number> => {
  const [row] = await db.select({ seq: max(acts.seq) }).from(acts)
  return Number(row?.seq ?? 0)
}

/** Jobs deleted of late that were not told yet. */
async function deleted(db: Database): Promise<string[]> {
  const rows = await db
    .select({ id: droppedJobs.id })
    .from(droppedJobs)
    .where(gt(droppedJobs.takenAt, forDatabase(new Date(Date.now() - DROPPED_WITHIN_MS))))
  const fresh = rows.filter(({ id }) => !told.has(id)).map(({ id }) => id)
  told.clear()
  for (const { id } of rows) told.add(id)
  return fresh
}

async function jobsNow(db: Database, ids: readonly string[]): Promise<News['jobs']> {
  if (ids.length === 0) return []
  const counts = await db
    .select({ id: jobs.id, acts: jobs.acts })
    .from(jobs)
    .where(inArray(jobs.id, [...ids]))
  const acted = new Map(counts.map(({ id, acts: n }) => [id, n]))
  return (await listed(db, ids)).map((job) => ({ ...job, acts: acted.get(job.id) ?? 0 }))
}

async function readNews(db: Database, rows: SeenRows): Promise<News> {
  const read = await db
    .select({ seq: acts.seq, job: acts.jobId, name: acts.name })
    .from(acts)
    .where(gt(acts.seq, rows.floor))
    .orderBy(acts.seq)
    .limit(MOST_ROWS)
  const fresh = rows.take(read, Date.now())
  return {
    jobs: await jobsNow(db, [...new Set(fresh.map(({ job }) => job))]),
    gone: await deleted(db),
    isRack: fresh.some(({ name }) => isOnRack(actOf(name as ActName))),
  }
}

async function look(): Promise<void> {
  if (isLooking || !seen) return
  isLooking = true
  try {
    const news = await reading((db) => readNews(db, seen!))
    if (news.jobs.length > 0 || news.gone.length > 0 || news.isRack) for (const listener of listeners) listener(news)
  } catch {
    // The database is away: what happened meanwhile is told once it is back.
  }
  isLooking = false
}

function lookIn(ms: number): void {
  clearTimeout(timer)
  if (listeners.size === 0) return
  timer = setTimeout(() => {
    void look().finally(() => lookIn(LOOK_EVERY_MS))
  }, ms)
  timer.unref()
}
onChanged(() => {
  if (!isLooking) lookIn(TOGETHER_MS)
})

/** Hears what happens from now on. Gives what stops it. */
export async function listen(listener: Listener): Promise<() => void> {
  if (listeners.size === 0) {
    seen = await reading(async (db) => new SeenRows(await newestSeq(db)))
    await reading(deleted)
  }
  listeners.add(listener)
  lookIn(LOOK_EVERY_MS)
  return () => {
    listeners.delete(listener)
    if (listeners.size === 0) clearTimeout(timer)
  }
}
