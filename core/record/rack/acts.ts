import * as z from 'zod/mini'
import { getPipe } from '#core/catalogue'
import { formatLength, unitSystemOf } from '#core/units'
import { begins, begunAgain, changes, drops, setBack, undoneBy } from '../act'
import type { JobRecord } from '../job/record'
import { offcutBody, type OffcutBody } from './schema'
import { changeOffcut, offRack, putOffcut } from './work'

const offcutWords = ({ length, pipe }: OffcutBody, job: Pick<JobRecord, 'region'> | undefined): string =>
  `offcut ${formatLength(length, job ? unitSystemOf(job.region) : 'metric')}, ${getPipe(pipe).label}`

export const rackActs = {
  'rack/put': begins('rack', {
    body: offcutBody,
    undo: undoneBy('rack/drop'),
    means: 'An offcut is put on the rack by hand.',
    says: offcutWords,
    apply: (rules, body, doing) => putOffcut(rules, doing.record, body, doing),
  }),
  'rack/change': changes('rack', {
    body: offcutBody,
    rests: 'version',
    undo: setBack('rack/change'),
    means: 'An offcut is set right: its length, pipe or place.',
    says: offcutWords,
    apply: (_, offcut, body) => changeOffcut(offcut, body),
  }),
  'rack/drop': drops('rack', {
    body: z.strictObject({}),
    undo: begunAgain('rack/put', offcutBody.shape),
    means: 'An offcut is taken off the rack, as it was seen.',
    says: () => 'offcut taken off',
    apply: (_, offcut) => offRack(offcut),
  }),
}
