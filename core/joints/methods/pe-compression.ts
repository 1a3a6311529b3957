import { care, note, some, type JointMethod } from './types'

export const peCompression: JointMethod = {
  id: 'pe-compression',
  words: 'PE compression',
  takes: 'polyethylene service pipe in metric sizes',
  undo: 'unscrew',
  comesApart: true,
  needsFlame: false,
  byHand: true,
  rules: {
    service: (_, { conditions }) => (conditions.service === 'cold' || conditions.service === 'buried' ? null : 'PE carries cold water only.'),
    hidden: (_, { conditions, policy }) => (conditions.hidden && conditions.service !== 'buried' && policy.compressionHidden !== 'allowed' && !(policy.compressionHidden === 'temporary-only' && conditions.temporary)
      ? 'Indoors its nuts must stay in reach.'
      : null),
    room: (_, { conditions }) => (conditions.room === 'tight' ? 'A long spanner has to swing, and the pipe run straight for 300. There is no room here.' : null),
  },
  concerns: (_, { conditions }) => some(
    conditions.hidden && conditions.service !== 'buried' && care('temporary', 'Temporary: book the date to come back.'),
    note('scores', 'Feel round the end: cut back to unmarked pipe for the whole seal length.'),
    note('liner-by-wall', 'The liner goes by the wall of this pipe: SDR11 25 × 2.3 and the thicker 20 × 2.3 have their own.'),
  ),
  looseParts: tube => [{ kind: 'liner', name: 'PE liner', size: tube.wall === null ? tube.pipe.nominal : `${tube.pipe.nominal} × ${tube.wall}`, quantity: 1 }],
}
