import { care, held, note, some, type JointMethod } from './types'

export const clamp: JointMethod = {
  id: 'clamp',
  words: 'clamp',
  takes: 'PEX and PE-RT tube in copper tube sizes',
  undo: 'nip the ear',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  rules: {
    room: (_, { conditions }) => (conditions.room === 'tight' ? 'The nose needs 25 to 35 on the ear\'s side. There is no room here.' : null),
  },
  concerns: (_, { conditions }) => some(
    conditions.service === 'recirculation' && held('chlorine-code', 'Read the print: the first digit of the four-figure code must be 5 for constant recirculation. Then it fits.'),
    conditions.service === 'buried' && care('wrap', 'In the ground only where listed, sleeved; chlorides eat the stainless band: wrap it.'),
    note('ear', 'Open the tool fully first; ear away from wall and pipe; close until it lets go by itself.'),
  ),
  looseParts: tube => [{ kind: 'ring', name: 'stainless clamp ring', size: tube.pipe.nominal, quantity: 1 }],
}
