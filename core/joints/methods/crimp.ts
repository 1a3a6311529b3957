import { IN_GROUND, isInGround, noRoom } from '../rules/common'
import { care, note } from '../rules/rule'
import type { JointMethod } from './types'

export const crimp: JointMethod = {
  id: 'crimp',
  words: 'crimp',
  takes: 'PEX and PE-RT tube in copper tube sizes',
  undo: 'cut the ring',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  listings: ['F1807', 'F2159'],
  rules: [noRoom('The handles open 400 to 600 and the tool must stand square. There is no room here.')],
  concerns: [
    care('sleeve', IN_GROUND, 'In the ground only where listed, sleeved.', 'typical, trade practice', isInGround),
    note(
      'gauge',
      'a crimp ring is closed',
      'Gauge every ring: go passes, no-go does not. A bad ring is cut off, never squeezed again.',
      'ASTM F1807',
    ),
  ],
  looseParts: (tube) => [{ kind: 'ring', name: 'copper crimp ring', size: tube.pipe.nominal, quantity: 1 }],
}
