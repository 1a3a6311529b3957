import type { JointGist } from '../joint/gist'
import type { JobRecord } from './record'
import type { JobGist } from '../gist'
import { compareText } from '#core/base'
import { dateWords } from '#core/speech'
import type { Region } from '#core/units'

/** A temporary joint with the day it is come back to; `late` on the day and after. */
export interface ComingBack {
  job: Pick<JobRecord, 'id' | 'slug' | 'name' | 'place'>
  joint: Pick<JointGist, 'id' | 'number' | 'place' | 'part'> & { pipes: string[] }
  on: string
  late: boolean
}

/** A joint that is come back to on a day, as it stands on another. Days are ISO 8601. */
export const backOn = (
  { id, slug, name, place }: ComingBack['job'],
  joint: JointGist,
  on: string,
  today: string,
): ComingBack => ({
  job: { id, slug, name, place },
  joint: {
    id: joint.id,
    number: joint.number,
    place: joint.place,
    part: joint.part,
    pipes: joint.ends.map(({ pipe }) => pipe),
  },
  on,
  late: on <= today,
})

const bySoonest = (a: ComingBack, b: ComingBack): number =>
  compareText(a.on, b.on) || a.job.name.localeCompare(b.job.name) || a.joint.number - b.joint.number

/** Joints that someone has to come back to, soonest first; none of jobs in the archive. `today` is a day, ISO 8601. */
export const comingBack = (
  jobs: readonly Pick<JobGist, 'id' | 'slug' | 'name' | 'place' | 'archivedAt' | 'joints'>[],
  today: string,
): ComingBack[] =>
  jobs
    .filter(({ archivedAt }) => archivedAt === null)
    .flatMap((job) =>
      job.joints.flatMap((joint) => (joint.comeBack ? [backOn(job, joint, joint.comeBack, today)] : [])),
    )
    .sort(bySoonest)

const NEAR_DAYS: Readonly<Record<number, string>> = { [-1]: 'yesterday', 0: 'today', 1: 'tomorrow' }
const farOff = (days: number): string => NEAR_DAYS[days] ?? (days > 0 ? `in ${days} days` : `${-days} days ago`)

/** A day in words, and how far off it is. */
export function dayWords(day: string, today: string, region: Region): string {
  const days = Math.round((Date.parse(day) - Date.parse(today)) / 86_400_000)
  return `${dateWords(day, 'weekday', region)}, ${farOff(days)}`
}
