import { fail, ok, type Result } from '#core/base'
import { inspectJoint } from '#core/inspect'
import type { Doing, Rules } from '../act'
import type { LookRecord } from './record'
import type { LookBody } from './schema'

/** Most looks of one job. */
const MOST_LOOKS = 500

/** What was seen of a joint, judged and kept. Fails at `seen` where nothing was looked at. */
export function keepLook(
  { region, policy }: Pick<Rules, 'region' | 'policy'>,
  look: LookBody,
  { record, next, at, by }: Pick<Doing, 'record' | 'next' | 'at' | 'by'>,
): Result<LookRecord> {
  if (next.count >= MOST_LOOKS)
    return fail('too-many', 'looks', `looks: ${MOST_LOOKS} are on this job. Begin another job.`)
  const { place: _, ...question } = look
  if (Object.keys(question.seen ?? {}).length === 0)
    return fail('missing', 'seen', 'seen: say what is seen of the joint first, then keep it.')
  const answer = inspectJoint({ ...question, region, policy } as Parameters<typeof inspectJoint>[0])
  if (!answer.ok) return answer
  const { verdict, findings } = answer.value
  return ok({
    id: record,
    number: next.number,
    look,
    verdict,
    found: findings.map(({ code, verdict: own, text }) => ({ code, verdict: own, text })),
    version: 1,
    updatedAt: at,
    updatedBy: by,
  })
}
