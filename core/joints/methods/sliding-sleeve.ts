import { IN_GROUND, isInGround, noRoom } from '../rules/common'
import { care, note } from '../rules/rule'
import type { JointMethod } from './types'

export const slidingSleeve: JointMethod = {
  id: 'sliding-sleeve',
  words: 'sliding sleeve',
  takes: 'PEX and multilayer pipe of its own system',
  undo: 'cut out',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  listings: ['F2080'],
  rules: [noRoom('The expander and the pulling tool need 120 to 180 beside the pipe. There is no room here.')],
  concerns: [
    care('wrap', IN_GROUND, 'In the ground only where the system lists it, wrapped.', 'typical, makers', isInGround),
    note(
      'one-system',
      'pipe and fitting come from a system',
      'Pipe, fitting, sleeve and expander head of one system.',
      'ASTM F2080, EN ISO 15875; makers',
    ),
    note(
      'sleeve-first',
      'a sliding sleeve is made',
      'Park the sleeve on the pipe first, right way round: it cannot follow.',
      'typical, trade practice',
    ),
  ],
  looseParts: (tube) => [{ kind: 'ring', name: 'sliding sleeve', size: tube.pipe.nominal, quantity: 1 }],
}
