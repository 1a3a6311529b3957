import type { FindBody } from './schema'
import type { FindRecord, JobRecord, JointRecord, LineRecord } from './types'

/** A find before anything is known of it. */
export const BLANK_FIND: FindBody = { place: '', notes: '', typed: '', by: 'calliper', answers: {}, cannot: [], pipe: null }

/** A job as an earlier version kept it on a tablet, with the fields it did not have yet. */
export const completeJob = (job: JobRecord): JobRecord => ({
  ...{ tools: null, fittings: [], benders: [], counts: [], lines: [], cuts: [], rack: [], updatedAt: '', updatedBy: '' },
  ...job,
  lines: (job.lines ?? []).map((line): LineRecord => ({ ...{ pulled: {}, fix: {}, clips: {} }, ...line })),
  finds: job.finds.map((find): FindRecord => ({ ...{ notes: '', cannot: [], photos: [], verdicts: [] }, ...find })),
  joints: job.joints.map((joint): JointRecord => ({ ...{ findB: null, comeBack: null, faults: [], reopenings: [], ambient: null, torch: null }, ...joint, ticks: joint.ticks.map(tick => ({ ...{ by: '', reading: null }, ...tick })) })),
})
