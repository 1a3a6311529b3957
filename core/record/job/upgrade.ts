import { fillPolicy, type Policy, type Way } from '#core/joints'
import { stepAtPlace } from '#core/making'
import { BLANK_FIND } from '../find/schema'
import { BLANK_JOINT } from '../joint/schema'
import type { FindRecord } from '../find/record'
import type { CutRecord } from '../cut/record'
import type { JobRecord } from './record'
import type { JointRecord, SignoffRecord, TickRecord, TimerRecord } from '../joint/record'
import type { LineRecord } from '../line/record'
import type { OffcutRecord } from '../rack/record'

/** Where an earlier version named a step by its place on the card. */
type Numbered<T extends { step: string }> = Omit<T, 'step'> & { step: string | number }

/** First place at which a second tightening can stand: on a thread alone the last step stands before it. */
const SECOND_TIGHTEN = 5

/**
 * Id of a step that is on record by its code and its place: the code says what was ticked, whatever stood there since.
 */
export const idByCode = (code: string, place: number): string =>
  code === 'tighten' && place >= SECOND_TIGHTEN ? 'tighten-2' : code

function withId<T extends { step: string; code: string }>(one: Numbered<T>): T {
  return {
    ...one,
    step: typeof one.step === 'number' ? idByCode((one as { code: string }).code, one.step) : one.step,
  } as T
}

function timerWithId(policy: Partial<Policy>, way: Way | null, timer: Numbered<TimerRecord>): TimerRecord[] {
  const { step } = timer
  if (typeof step === 'string') return [{ ...timer, step }]
  const made = way?.joints[timer.entry]
  const id = made && stepAtPlace(made.method, made.pipe, fillPolicy(policy).threadSeal, step)
  return id ? [{ ...timer, step: id }] : []
}

function completeJoint(policy: Partial<Policy>, joint: JointRecord): JointRecord {
  return {
    ...BLANK_JOINT,
    ...{ reopenings: [], aside: [] },
    ...joint,
    ticks: joint.ticks.map((tick) => ({ ...{ by: '', reading: null, did: null }, ...withId<TickRecord>(tick) })),
    faults: (joint.faults ?? []).map((fault) => withId(fault)),
    timers: joint.timers.flatMap((timer) => timerWithId(policy, joint.way, timer)),
    signoffs: joint.signoffs.map((signoff): SignoffRecord => ({ ...{ remarks: [], minutes: [] }, ...signoff })),
  }
}

/** A job as an earlier version kept it on a tablet, with the fields it did not have yet and its steps by their ids. */
export const completeJob = (job: JobRecord): JobRecord => ({
  ...{
    tools: null,
    fittings: [],
    minutes: [],
    prices: [],
    van: [],
    hotWork: {},
    benders: [],
    counts: [],
    lines: [],
    cuts: [],
    rack: [],
    looks: [],
    updatedAt: '',
    updatedBy: '',
    archivedAt: null,
    waits: null,
    acts: 0,
  },
  ...job,
  lines: (job.lines ?? []).map((line): LineRecord => ({ ...{ pulled: {}, fix: {}, clips: {} }, ...line })),
  cuts: (job.cuts ?? []).map((cut): CutRecord => ({ ...{ printed: '' }, ...cut })),
  rack: (job.rack ?? []).map((offcut): OffcutRecord => ({ ...{ version: 1 }, ...offcut })),
  finds: job.finds.map((find): FindRecord => ({ ...BLANK_FIND, ...{ photos: [], verdicts: [] }, ...find })),
  joints: job.joints.map((joint) => completeJoint(job.policy, joint)),
})
