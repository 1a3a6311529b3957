import { issue, type Issue, type Note } from '#core/base'
import type { Region } from '#core/catalogue'
import type { BenchPlan, CutSum, DoneCut } from '#core/cutting'
import type { Conditions, Policy, Way } from '#core/joints'
import type { CutBody, FinishBody } from './cut-schema'
import type { BenderRecord, CountRecord, FittingRecord, ToolRecord } from './kit-schema'
import type { ClashBody, FindBody, JointBody, LineBody } from './schema'

/** `updatedBy` names the hand or tablet that wrote last; empty where it gave no name. */
export interface FindRecord extends FindBody {
  id: string
  version: number
  photos: PhotoRecord[]
  verdicts: VerdictRecord[]
  updatedAt: string
  updatedBy: string
}
/**
 * What a find was kept as, or null where it was opened again, with its probability by the checks made until then; only
 * ever added.
 */
export interface VerdictRecord {
  pipe: string | null
  probability: number | null
  at: string
  by: string
}
/** A photo as it is shown, px; `data` is its address on the tablet it was taken with, until the server has it. */
export interface PhotoRecord {
  id: string
  name: string
  width: number
  height: number
  at: string
  by: string
  data?: string
}
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
/** A check that failed: what was done about it, in words, and whether the fitting was used again. Only ever added. */
interface FaultRecord {
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
}
/** Lines are numbered within their job: L1, L2. */
export interface LineRecord extends LineBody {
  id: string
  number: number
  version: number
  updatedAt: string
  updatedBy: string
}
/** Cut sheets are numbered within their job: C1, C2. `done` holds what was really cut. */
export interface CutRecord extends CutBody {
  id: string
  number: number
  plan: BenchPlan | null
  done: DoneCut[]
  result: CutResult | null
  version: number
  updatedAt: string
  updatedBy: string
}
/** What a finished sheet came to beside what was planned, mm; `uncut` counts pieces that were left. */
export interface CutResult {
  at: string
  by: string
  sum: CutSum
  first: CutSum
  kept: FinishBody['kept']
  uncut: number
}
/**
 * An offcut on the rack, mm. The rack goes with the van: it is the same for every job. `from` says in words where it
 * came off.
 */
export interface OffcutRecord {
  id: string
  pipe: string
  length: number
  place: string
  job: string | null
  from: string
  at: string
  by: string
  promised: { job: string; name: string; cut: string; number: number } | null
}
/** Two entries that met, whichever was kept. */
export interface ClashRecord extends Omit<ClashBody, 'id'> {
  id: string
  at: string
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

export interface JobRecord {
  id: string
  slug: string
  name: string
  place: string
  region: Region
  year: number | null
  policy: Partial<Policy>
  /** Tools on the van; null while nothing was said of them. */
  tools: ToolRecord[] | null
  /** Fittings measured by hand. */
  fittings: FittingRecord[]
  /** Benders calibrated by a test bend. */
  benders: BenderRecord[]
  counts: CountRecord[]
  handedOver: string | null
  version: number
  updatedAt: string
  updatedBy: string
  finds: FindRecord[]
  lines: LineRecord[]
  cuts: CutRecord[]
  /** Offcuts of every pipe, whichever job they came off. */
  rack: OffcutRecord[]
  joints: JointRecord[]
  clashes: ClashRecord[]
}

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
