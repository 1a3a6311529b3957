import { statusOf } from './types'
import { progressOf } from './cut-work'
import { fixProgress } from './fix-work'
import { isLineRight } from './line-work'
import type { Station } from './next-action'
import type { JobRecord } from './types'

/** How far a station of a job is: so many of so many, whether its work is behind, and whether something holds it. */
export interface StationProgress {
  /** How many are done; null where the station counts what is there, not what is done. */
  done: number | null
  of: number
  isBehind: boolean
  isHeld: boolean
}

/**
 * How far a job is at each station. What is there is counted at Find (finds), Line (legs) and Hand over (joints made).
 */
export function stationProgress(job: JobRecord): Record<Station, StationProgress> {
  const made = job.joints.filter((joint) => statusOf(joint) === 'made').length
  const chosen = job.joints.filter((joint) => joint.way).length
  const legs = job.lines.reduce((sum, line) => sum + line.legs.length, 0)
  const isRight = job.lines.every((line) => isLineRight(job, line))
  const cuts = job.cuts.flatMap((cut) => progressOf(cut) ?? [])
  const held = fixProgress(job)
  const none = { isHeld: false }
  return {
    find: {
      done: null,
      of: job.finds.length,
      isBehind: job.finds.length > 0 && job.finds.every((find) => find.pipe !== null),
      // It may be gas until it is followed to a water outlet.
      isHeld: job.finds.some((find) => find.pipe === null && find.answers.traced !== 'water'),
    },
    line: { done: null, of: legs, isBehind: job.lines.length > 0 && isRight, isHeld: !isRight && legs > 0 },
    joint: {
      ...none,
      done: chosen,
      of: job.joints.length,
      isBehind: job.joints.length > 0 && chosen === job.joints.length,
    },
    cut: {
      ...none,
      done: cuts.reduce((sum, one) => sum + one.made, 0),
      of: cuts.reduce((sum, one) => sum + one.of, 0),
      isBehind: job.cuts.length > 0 && job.cuts.every(({ result }) => result !== null),
    },
    fix: { done: held.fixed, of: held.of, isBehind: held.of > 0 && held.fixed === held.of, isHeld: held.isBroken },
    make: { ...none, done: made, of: chosen, isBehind: chosen > 0 && made === chosen },
    handover: { ...none, done: null, of: made, isBehind: job.handedOver !== null },
  }
}
