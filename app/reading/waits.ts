import { isAt, isMade, type JobRecord, type JointRecord, type TimerRecord } from '#core/record'

/** When a wait is over, ms of the server's clock. */
export const endOfWait = ({ startedAt, seconds }: Pick<TimerRecord, 'startedAt' | 'seconds'>): number =>
  Date.parse(startedAt) + seconds * 1000

/** Waits that run on a job, whichever joint they are of: begun, and their step not ticked yet. */
export const runningWaits = (job: JobRecord): { joint: JointRecord; timer: TimerRecord }[] =>
  job.joints
    .filter((joint) => !isMade(joint))
    .flatMap((joint) =>
      joint.timers.filter((timer) => !joint.ticks.some(isAt(timer))).map((timer) => ({ joint, timer })),
    )
