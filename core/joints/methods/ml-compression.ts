import { care, note, some, type JointMethod } from './types'

export const mlCompression: JointMethod = {
  id: 'ml-compression',
  words: 'multilayer compression',
  takes: 'multilayer pipe by its own cone and insert',
  undo: 'unscrew',
  comesApart: true,
  needsFlame: false,
  byHand: true,
  rules: {
    service: (_, { conditions }) => (conditions.service === 'buried' ? 'A cone joint is not for the ground.' : null),
    hidden: (_, { conditions, policy }) => {
      if (!conditions.hidden || policy.compressionHidden === 'allowed') return null
      if (policy.compressionHidden === 'never') return 'The job hides no compression joint: its nut must stay in reach.'
      return conditions.temporary ? null : 'A cone joint stays in reach. Hidden only as a temporary repair that is booked.'
    },
    room: (_, { conditions }) => (conditions.room === 'tight' ? 'Two spanners need a 60 degree swing. There is no room here.' : null),
  },
  concerns: (_, { conditions }) => some(
    conditions.hidden && conditions.temporary && care('temporary', 'Temporary: book the date to come back, and say what will replace it.'),
    note('calibrate', 'Calibrate and bevel every end, or the O-ring tears.'),
    note('own-cone', 'Cone and insert of the pipe\'s own system, into a eurocone seat only.'),
    note('renip', 'Nip it again after the first heat.'),
  ),
  looseParts: tube => [{ kind: 'olive', name: 'multilayer cone and insert', size: tube.wall === null ? tube.pipe.nominal : `${tube.pipe.nominal} × ${tube.wall}`, quantity: 1 }],
}
