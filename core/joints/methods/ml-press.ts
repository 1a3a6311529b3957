import { care, note, some, type JointMethod } from './types'

export const mlPress: JointMethod = {
  id: 'ml-press',
  words: 'multilayer press',
  takes: 'multilayer pipe of its own system',
  undo: 'cut out',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  rules: {
    room: (_, { conditions }) => (conditions.room === 'tight' ? 'The jaw needs 15 to 30 from pipe to wall. It does not get round here.' : null),
  },
  concerns: (_, { conditions }) => some(
    conditions.service === 'buried' && care('wrap', 'In the ground only where the system lists it, wrapped.'),
    conditions.service === 'recirculation' && care('class', 'Constant recirculation: check the class printed on the pipe.'),
    note('one-system', 'Pipe, fitting and jaw profile of one system.'),
    note('calibrate', 'Calibrate and bevel every end, or the O-ring tears.'),
  ),
  looseParts: () => [],
}
