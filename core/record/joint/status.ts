import { issue, type Issue } from '#core/base'
import type { JobGist } from '../gist'
import { doneOf, thereOf, type StationDef } from '../station'
import type { JointRecord, SignoffRecord } from './record'

/** Where a joint stands. A shape and a word, never a colour alone. */
export type JointStatus = 'planned' | 'dry-fitted' | 'made'

/** The sign-off that stands; undefined while there is none, or once the joint was opened again. */
export function standingSignoff({
  signoffs,
  reopenings,
}: Pick<JointRecord, 'signoffs' | 'reopenings'>): SignoffRecord | undefined {
  const last = signoffs.at(-1)
  return last && reopenings.some(({ signoff }) => signoff === last.id) ? undefined : last
}

/** Signed off, and so closed to change. */
export const isMade = (joint: Pick<JointRecord, 'signoffs' | 'reopenings'>): boolean =>
  standingSignoff(joint) !== undefined

export function statusOf(joint: Pick<JointRecord, 'ticks' | 'signoffs' | 'reopenings'>): JointStatus {
  if (isMade(joint)) return 'made'
  return joint.ticks.length > 0 ? 'dry-fitted' : 'planned'
}

/** Why signed work is not changed. */
export const SIGNED: Issue = issue('impossible', 'joint', 'This joint is signed off. Its entry stays as it was signed.')

const madeOf = ({ joints }: JobGist): number => joints.filter((joint) => joint.isMade).length
const chosenOf = ({ joints }: JobGist): number => joints.filter(({ isChosen }) => isChosen).length

export const jointStation: StationDef = {
  key: 3,
  name: 'Joint',
  progress: (job) => {
    const [done, of] = [chosenOf(job), job.joints.length]
    return { done, of, isBehind: of > 0 && done === of, isHeld: false }
  },
  counted: doneOf('chosen'),
}

export const makeStation: StationDef = {
  key: 7,
  name: 'Make',
  progress: (job) => {
    const [done, of] = [madeOf(job), chosenOf(job)]
    return { done, of, isBehind: of > 0 && done === of, isHeld: false }
  },
  counted: doneOf('made'),
}

export const handoverStation: StationDef = {
  key: 9,
  name: 'Hand over',
  progress: (job) => ({ done: null, of: madeOf(job), isBehind: job.handedOver !== null, isHeld: false }),
  counted: thereOf('joint'),
}
