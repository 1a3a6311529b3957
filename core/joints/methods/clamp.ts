import { IN_GROUND, isInGround, noRoom } from '../rules/common'
import { care, note } from '../rules/rule'
import type { JointMethod } from './types'

export const clamp: JointMethod = {
  id: 'clamp',
  words: 'clamp',
  takes: 'PEX and PE-RT tube in copper tube sizes',
  undo: 'nip the ear',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  listings: ['F2098'],
  rules: [noRoom("The nose needs 25 to 35 on the ear's side. There is no room here.")],
  concerns: [
    care(
      'wrap',
      IN_GROUND,
      'In the ground only where listed, sleeved; chlorides eat the stainless band: wrap it.',
      'typical, trade practice',
      isInGround,
    ),
    note(
      'ear',
      'a clamp ring is closed',
      'Open the tool fully first; ear away from wall and pipe; close until it lets go by itself.',
      'ASTM F2098; trade practice',
    ),
  ],
  looseParts: (tube) => [{ kind: 'ring', name: 'stainless clamp ring', size: tube.pipe.nominal, quantity: 1 }],
}
