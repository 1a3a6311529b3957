import { findPipe, type Family } from '#core/catalogue'
import type { JobGist } from '../gist'
import { stationProgress, type Station, type StationProgress } from '../stations'
import { nextAction, type NextAction } from './next-action'
import type { Shelf } from './shelf'
import type { Region } from '#core/units'

/* A job as it stands in the list: what is read where nobody opens it. */

/** A shelf, and the day a waiting job is open again, ISO 8601. */
export interface Shelved {
  shelf: Shelf
  wakes: string | null
}

export interface JobSummary {
  id: string
  slug: string
  name: string
  place: string
  region: Region
  shelf: Shelf
  wakes: string | null
  /** What it waits for, where a hand said so. */
  waitsFor: string | null
  stations: Record<Station, StationProgress>
  next: NextAction
  /** Joints made, of all. */
  made: number
  of: number
  /** Pipe that most of it is made of; null while none is known. */
  pipe: string | null
  /** What that pipe is of, for its drawing. */
  family: Family | null
}

/** The shelf of a job. One that is made, with a joint that somebody comes back to, waits for that day. */
export function shelfOf({ archivedAt, handedOver, waits, joints }: JobGist, { station, held }: NextAction): Shelved {
  if (archivedAt !== null) return { shelf: 'archive', wakes: null }
  if (handedOver !== null) return { shelf: 'handed', wakes: null }
  if (waits) return { shelf: 'waiting', wakes: waits.until }
  const days = joints.flatMap(({ comeBack }) => comeBack ?? []).sort()
  if (station === 'handover' && !held && days.length > 0) return { shelf: 'waiting', wakes: days[0]! }
  return { shelf: 'open', wakes: null }
}

/** Every pipe on a job, those that stand there most often first. */
export function pipesOf({ finds, lines, cuts, joints }: JobGist): string[] {
  const counts = new Map<string, number>()
  const count = (pipe: string | null) => pipe !== null && counts.set(pipe, (counts.get(pipe) ?? 0) + 1)
  for (const { pipe } of [...finds, ...lines, ...cuts]) count(pipe)
  for (const { ends } of joints) for (const { pipe } of ends) count(pipe)
  return [...counts].sort((a, b) => b[1] - a[1]).map(([pipe]) => pipe)
}

export function summaryOf(job: JobGist): JobSummary {
  const { id, slug, name, place, region, waits, joints } = job
  const next = nextAction(job)
  const pipe = pipesOf(job)[0] ?? null
  return {
    ...{ id, slug, name, place, region },
    ...shelfOf(job, next),
    waitsFor: waits?.for ?? null,
    stations: stationProgress(job),
    next,
    made: joints.filter(({ isMade }) => isMade).length,
    of: joints.length,
    pipe,
    family: pipe === null ? null : familyOf(pipe),
  }
}

/** The family of a pipe; null of one that no list has any more. */
function familyOf(id: string): Family | null {
  const pipe = findPipe(id, 'pipe')
  return pipe.ok ? pipe.value.family : null
}

/** A pipe in words, as it is searched for; nothing of one that no list has any more. */
export function pipeWords(id: string): string {
  const pipe = findPipe(id, 'pipe')
  return pipe.ok ? `${pipe.value.label} ${pipe.value.family} ${pipe.value.nominal}` : ''
}
