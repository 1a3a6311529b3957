import { IN_GROUND, isInGround, noRoom } from '../rules/common'
import { care, note } from '../rules/rule'
import type { JointMethod } from './types'

export const mlPress: JointMethod = {
  id: 'ml-press',
  words: 'multilayer press',
  takes: 'multilayer pipe of its own system',
  undo: 'cut out',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  rules: [noRoom('The jaw needs 15 to 30 from pipe to wall. It does not get round here.')],
  concerns: [
    care('wrap', IN_GROUND, 'In the ground only where the system lists it, wrapped.', 'typical, makers', isInGround),
    note(
      'one-system',
      'pipe and fitting come from a system',
      'Pipe, fitting and jaw profile of one system.',
      'EN ISO 21003; makers',
    ),
    note(
      'calibrate',
      'multilayer pipe is joined',
      'Calibrate and bevel every end, or the O-ring tears.',
      'typical, makers',
    ),
  ],
  looseParts: () => [],
}
