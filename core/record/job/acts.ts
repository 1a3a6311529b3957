import { ok } from '#core/base'
import { begins, changes } from '../act'
import { clashBody, jobBody } from './schema'
import { beginJob, settleClash } from './work'

export const jobActs = {
  'job/begin': begins('jobs', {
    body: jobBody,
    means: 'A job is begun at the end of the list; the van goes on to it with what it has.',
    says: () => 'job begun',
    apply: (_, body, { record }) => ok(beginJob(record, body)),
  }),
  'job/settle': changes('jobs', {
    body: clashBody,
    means: 'Two entries met on one record, and one was kept. Both stay on record.',
    says: () => 'two entries settled',
    apply: (_, job, body, hand) => settleClash(job, body, hand),
  }),
}
