import type { FindRecord } from '../find/record'
import type { JobRecord } from '../job/record'
import type { JointRecord } from './record'

/** An end that came from a find which is kept as something else by now; `now` null where the find is open again. */
export interface Shifted {
  on: 'a' | 'b'
  find: FindRecord
  was: string
  now: string | null
}

/** The ends of a joint whose finds were corrected after it was begun. */
export function shiftedEnds(
  job: Pick<JobRecord, 'finds'>,
  joint: Pick<JointRecord, 'a' | 'b' | 'findA' | 'findB'>,
): Shifted[] {
  return (
    [
      ['a', joint.findA],
      ['b', joint.findB],
    ] as const
  ).flatMap(([on, id]): Shifted[] => {
    const [end, find] = [joint[on], job.finds.find((one) => one.id === id)]
    return find && end && 'pipe' in end && end.pipe !== find.pipe ? [{ on, find, was: end.pipe, now: find.pipe }] : []
  })
}

/** The joints that rest on a find, by number. */
export const restingOn = <J extends Pick<JointRecord, 'findA' | 'findB'>>(
  job: { joints: readonly J[] },
  find: Pick<FindRecord, 'id'>,
): J[] => job.joints.filter(({ findA, findB }) => findA === find.id || findB === find.id)
