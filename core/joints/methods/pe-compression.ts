import { noRoom } from '../rules/common'
import { care, note, refusal } from '../rules/rule'
import type { JointMethod } from './types'

export const peCompression: JointMethod = {
  id: 'pe-compression',
  words: 'PE compression',
  takes: 'polyethylene service pipe in metric sizes',
  undo: 'unscrew',
  comesApart: true,
  needsFlame: false,
  byHand: true,
  rules: [
    refusal(
      'hidden',
      "its nuts would be out of reach indoors, against the job's policy of compression",
      'Indoors its nuts must stay in reach.',
      "the job's policy",
      (_, { conditions, policy }) =>
        conditions.hidden &&
        conditions.service !== 'buried' &&
        policy.compressionHidden !== 'allowed' &&
        !(policy.compressionHidden === 'temporary-only' && conditions.temporary),
    ),
    noRoom('A long spanner has to swing, and the pipe run straight for 300. There is no room here.'),
  ],
  concerns: [
    care(
      'temporary',
      'a joint with nuts is hidden',
      'Temporary: book the date to come back.',
      "the job's policy",
      (_, { conditions }) => conditions.hidden && conditions.service !== 'buried',
    ),
    note(
      'scores',
      'PE pipe is joined',
      'Feel round the end: cut back to unmarked pipe for the whole seal length.',
      'typical, PE water practice',
    ),
    note(
      'liner-by-wall',
      'PE pipe is joined',
      'The liner goes by the wall of this pipe: SDR11 25 × 2.3 and the thicker 20 × 2.3 have their own.',
      'EN 12201',
    ),
  ],
  looseParts: (tube) => [
    {
      kind: 'liner',
      name: 'PE liner',
      size: tube.wall === null ? tube.pipe.nominal : `${tube.pipe.nominal} × ${tube.wall}`,
      quantity: 1,
    },
  ],
}
