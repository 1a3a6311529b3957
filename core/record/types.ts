import type { Region } from '#core/catalogue'
import type { Conditions, Policy, Way } from '#core/joints'
import type { FindBody, JointBody } from './schema'

export interface FindRecord extends FindBody { id: string, version: number, updatedAt: string }
export interface TickRecord { entry: number, step: number, code: string, at: string }
export interface TimerRecord { entry: number, step: number, seconds: number, startedAt: string }
export interface SignoffRecord { id: string, initials: string, at: string, marks: MarkRecord[] }
/** Depth mark of one entry as it was signed, mm; `measured` where the user's own figure won. */
export interface MarkRecord { entry: number, method: string, pipe: string | null, mm: number | null, measured: boolean }

export interface JointRecord extends Omit<JointBody, 'conditions'> {
  id: string
  number: number
  version: number
  conditions: Partial<Conditions>
  /** The way as it stood when it was taken. */
  way: Way | null
  ticks: TickRecord[]
  timers: TimerRecord[]
  signoffs: SignoffRecord[]
  updatedAt: string
}

export interface JobRecord {
  id: string
  slug: string
  name: string
  place: string
  region: Region
  year: number | null
  policy: Partial<Policy>
  handedOver: string | null
  version: number
  finds: FindRecord[]
  joints: JointRecord[]
}

/** Where a joint stands. A shape and a word, never a colour alone. */
export type JointStatus = 'planned' | 'dry-fitted' | 'made'

/** Signed off, and so closed to change. */
export const isMade = ({ signoffs }: Pick<JointRecord, 'signoffs'>): boolean => signoffs.length > 0

export const statusOf = (joint: Pick<JointRecord, 'ticks' | 'signoffs'>): JointStatus =>
  (isMade(joint) ? 'made' : joint.ticks.length > 0 ? 'dry-fitted' : 'planned')
