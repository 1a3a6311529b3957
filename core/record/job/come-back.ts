import type { JobRecord } from './record'
import type { JointRecord } from '../joint/record'

/** A temporary joint with the day it is come back to; `late` on the day and after. */
export interface ComingBack {
  job: JobRecord
  joint: JointRecord
  on: string
  late: boolean
}

/** Joints that someone has to come back to, soonest first. `today` is a day, ISO 8601. */
export const comingBack = (jobs: readonly JobRecord[], today: string): ComingBack[] =>
  jobs
    .flatMap((job) =>
      job.joints.flatMap((joint): ComingBack[] =>
        joint.comeBack ? [{ job, joint, on: joint.comeBack, late: joint.comeBack <= today }] : [],
      ),
    )
    .sort((a, b) => a.on.localeCompare(b.on) || a.job.name.localeCompare(b.job.name) || a.joint.number - b.joint.number)

const NEAR_DAYS: Readonly<Record<number, string>> = { [-1]: 'yesterday', 0: 'today', 1: 'tomorrow' }
const farOff = (days: number): string => NEAR_DAYS[days] ?? (days > 0 ? `in ${days} days` : `${-days} days ago`)

/** A day in words, and how far off it is. */
export function dayWords(day: string, today: string): string {
  const days = Math.round((Date.parse(day) - Date.parse(today)) / 86_400_000)
  const date = new Date(day)
    .toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' })
    .replace(',', '')
  return `${date}, ${farOff(days)}`
}
