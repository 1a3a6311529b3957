import type { Result } from '#core/base'
import type { Region } from '#core/catalogue'
import type { Conditions, Joint, Policy } from '#core/joints'
import { makeJoint } from './make'
import type { MadeMethod, MakeAnswer } from './types'

/** How one entry of a way is made: its place in the way's joints, and the answer of `make`. */
export interface MakeCard {
  entry: number
  joint: Joint
  answer: Result<MakeAnswer>
}

export interface CardsQuestion {
  joints: readonly Joint[]
  region: Region
  orientation: 'horizontal' | 'vertical'
  conditions?: Partial<Conditions>
  policy?: Partial<Policy>
}

/** One card for each entry of a way, in order from end a to end b. */
export const makeCards = ({ joints, region, orientation, conditions, policy }: CardsQuestion): MakeCard[] => joints.map((joint, entry) => ({
  entry,
  joint,
  answer: makeJoint({
    method: joint.method as MadeMethod,
    ...(joint.pipe === null ? { nominal: joint.thread!.size } : { pipe: joint.pipe }),
    // A thread's own form decides its tape and depth, whatever country the job is in.
    region: joint.thread ? (joint.thread.form === 'npt' ? 'us' : 'gb') : region,
    orientation,
    conditions,
    policy,
  }, joint.pipe === null ? undefined : joint.insertion),
}))
