import { makeCards, type MakeCard } from '#core/making'
import type { JobRecord, JointRecord } from './types'

/** How a joint of a job is made, one card for each entry of its way; none while no way is taken. */
export const cardsOf = (job: Pick<JobRecord, 'region' | 'policy'>, joint: JointRecord): MakeCard[] => (joint.way
  ? makeCards({
      joints: joint.way.joints, parts: joint.way.parts, region: job.region, policy: job.policy,
      orientation: joint.orientation, conditions: joint.conditions, a: joint.a, b: joint.b, ambient: joint.ambient, torch: joint.torch,
    })
  : [])
