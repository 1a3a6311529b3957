import { care, held, note, some, type JointMethod } from './types'

export const slidingSleeve: JointMethod = {
  id: 'sliding-sleeve',
  words: 'sliding sleeve',
  takes: 'PEX and multilayer pipe of its own system',
  undo: 'cut out',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  rules: {
    room: (_, { conditions }) => (conditions.room === 'tight' ? 'The expander and the pulling tool need 120 to 180 beside the pipe. There is no room here.' : null),
  },
  concerns: (tube, { conditions }) => some(
    conditions.service === 'recirculation' && (tube.pipe.family === 'pex'
      ? held('chlorine-code', 'Read the print: class or chlorine digit for constant recirculation. Then it fits.')
      : care('class', 'Constant recirculation: check the class printed on the pipe.')),
    conditions.service === 'buried' && care('wrap', 'In the ground only where the system lists it, wrapped.'),
    note('one-system', 'Pipe, fitting, sleeve and expander head of one system.'),
    note('sleeve-first', 'Park the sleeve on the pipe first, right way round: it cannot follow.'),
  ),
  looseParts: tube => [{ kind: 'ring', name: 'sliding sleeve', size: tube.pipe.nominal, quantity: 1 }],
}
