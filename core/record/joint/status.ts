import { issue, type Issue } from '#core/base'
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
