import { picked, type Fields } from '../act'
import { jointFields } from '../joint/schema'
import { kitFields } from '../kit/schema'
import { lineFields } from '../line/schema'
import type { OtherEnd } from '#core/joints'
import type { JobRecord } from './record'

/** One act of a copy, by its name. */
export interface CopyAct {
  name: 'kit/change' | 'line/begin' | 'joint/begin'
  body: Fields
}

/** A pipe end without what was learnt of that one pipe. */
const plainEnd = (end: OtherEnd | null): OtherEnd | null => (end && 'pipe' in end ? { pipe: end.pipe } : end)

/**
 * What makes a copy of a job, once another is begun in the same sizes: its van and policies, its lines as typed, its joints
 * with their ends, conditions and ways. Nothing that was measured, cut, fixed, ticked or signed there goes with it.
 */
export function copyActs(job: JobRecord): CopyAct[] {
  const fields = (record: object, table: object): Fields => picked(record, Object.keys(table))
  return [
    { name: 'kit/change', body: fields(job, kitFields.table) },
    // Which line another runs beside is the old job's.
    ...job.lines.map(({ fix: { beside: _, ...fix }, ...line }): CopyAct => ({
      name: 'line/begin',
      body: fields({ ...line, fix }, lineFields.table),
    })),
    ...job.joints.map((joint): CopyAct => ({
      name: 'joint/begin',
      body: {
        ...fields(joint, jointFields.table),
        ...{
          a: plainEnd(joint.a),
          b: plainEnd(joint.b),
          findA: null,
          findB: null,
          // Of a valve its kind goes along, not what was measured of it and of the room it has.
          valve: joint.valve.kind ? { kind: joint.valve.kind } : {},
          depths: {},
          comeBack: null,
          comeBackFor: '',
        },
      },
    })),
  ]
}
