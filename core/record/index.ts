export { findBody, findPatch, jobBody, jointBody, jointPatch, signoffBody, tickBody, timerBody } from './schema'
export type { FindBody, JobBody, JointBody } from './schema'
export { statusOf } from './types'
export type { FindRecord, JobRecord, JointRecord, JointStatus, MarkRecord, SignoffRecord, TickRecord, TimerRecord } from './types'
