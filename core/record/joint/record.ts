import type { Note } from '#core/base'
import type { Conditions, Method, Way } from '#core/joints'
import type { JointBody } from './schema'

/**
 * A step done, by its id. `reading` is what was measured to prove it, in the unit its card asks in; `did` what the step said
 * then, null where an earlier version kept nothing of it.
 */
export interface TickRecord {
  entry: number
  step: string
  code: string
  at: string
  by: string
  reading: number | null
  did: string | null
}

/** A joint's steps as they stood when another way was taken, with all that they rest on. */
export interface AsideRecord extends Pick<JointBody, 'a' | 'b' | 'findA' | 'findB' | 'wayId' | 'depths'> {
  /** Not said by an earlier version. */
  flex?: JointBody['flex']
  valve?: JointBody['valve']
  conditions: Partial<Conditions>
  ticks: TickRecord[]
  timers: TimerRecord[]
}

export interface TimerRecord {
  entry: number
  step: string
  seconds: number
  startedAt: string
}

/**
 * A check that failed, an end that wept (code `weep`) or was taken apart (`apart`): what was done about it, in words,
 * and whether the fitting was used again. Only ever added.
 */
export interface FaultRecord {
  id: string
  entry: number
  step: string
  code: string
  method: string
  remedy: string
  reused: boolean
  at: string
  by: string
  reading?: number | null
}

/**
 * A signed joint opened again, with the reason; names the sign-off it puts aside, which stays on record. Only ever
 * added.
 */
interface ReopeningRecord {
  id: string
  signoff: string
  reason: string
  at: string
  by: string
}

/** What one end took by its ticks, minutes. `nominal` is the size of its pipe or thread. */
export interface EndMinutes {
  entry: number
  method: Method
  nominal: string
  work: number
  wait: number
}

/**
 * `corrects` is the id of the entry this one puts right; that entry stays. `remarks`: what was left, and how it was
 * ticked.
 */
export interface SignoffRecord {
  id: string
  initials: string
  at: string
  marks: MarkRecord[]
  corrects: string | null
  remarks: Note[]
  /** What each end took, by its ticks; nothing is held of earlier ones. */
  minutes: EndMinutes[]
}

/** Depth mark of one entry as it was signed, mm; `measured` where the user's own figure won. */
export interface MarkRecord {
  entry: number
  method: string
  pipe: string | null
  mm: number | null
  measured: boolean
}

export interface JointRecord extends Omit<JointBody, 'conditions'> {
  id: string
  number: number
  version: number
  conditions: Partial<Conditions>
  /** The way as it stood when it was taken. */
  way: Way | null
  ticks: TickRecord[]
  faults: FaultRecord[]
  timers: TimerRecord[]
  reopenings: ReopeningRecord[]
  signoffs: SignoffRecord[]
  /** What other ways put aside, the last first. */
  aside: AsideRecord[]
  updatedAt: string
  updatedBy: string
}
