import * as z from 'zod/mini'
import { ok } from '#core/base'
import { w } from '#core/speech'
import { begins, changed, changes, drops, setBack, undoneBy } from '../act'
import { clashBody, dropJobBody, jobBody, jobFields } from './schema'
import { archiveJob, beginJob, changeJob, dropJob, settleClash } from './work'

export const jobActs = {
  'job/begin': begins('jobs', {
    body: jobBody,
    means: `A job is begun; the ${w.van} goes on to it with what it has.`,
    says: () => 'job begun',
    apply: (_, body, { record }) => ok(beginJob(record, body)),
  }),
  'job/change': changes('jobs', {
    body: jobFields.patch,
    rests: 'fields',
    undo: setBack('job/change'),
    means: 'A job is called or placed otherwise, or waits. Its country changes until something is measured on it.',
    says: changed,
    apply: (_, job, body) => changeJob(job, body),
  }),
  'job/archive': changes('jobs', {
    body: z.strictObject({}),
    undo: undoneBy('job/unarchive'),
    means: 'A job goes to the archive, with everything on it.',
    says: () => 'to the archive',
    apply: (_, job, __, { at }) => archiveJob(job, at),
  }),
  'job/unarchive': changes('jobs', {
    body: z.strictObject({}),
    undo: undoneBy('job/archive'),
    means: 'A job comes back from the archive.',
    says: () => 'back from the archive',
    apply: (_, job) => archiveJob(job, null),
  }),
  'job/drop': drops('jobs', {
    body: dropJobBody,
    rests: null,
    means:
      'A job is deleted with all that is on it, its name typed. Who did it, when, and the last hash of its log stay.',
    says: ({ name }) => `deleted: ${name}`,
    apply: (_, job, { name }) => dropJob(job, name),
  }),
  'job/settle': changes('jobs', {
    body: clashBody,
    means: 'Two entries met on one record, and one was kept. Both stay on record.',
    says: () => 'two entries settled',
    apply: (_, job, body, hand) => settleClash(job, body, hand),
  }),
}
