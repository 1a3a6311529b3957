import { care, held, note, some, type JointMethod } from './types'

export const crimp: JointMethod = {
  id: 'crimp',
  words: 'crimp',
  takes: 'PEX and PE-RT tube in copper tube sizes',
  undo: 'cut the ring',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  rules: {
    room: (_, { conditions }) => (conditions.room === 'tight' ? 'The handles open 400 to 600 and the tool must stand square. There is no room here.' : null),
  },
  concerns: (_, { conditions }) => some(
    conditions.service === 'recirculation' && held('chlorine-code', 'Read the print: the first digit of the four-figure code must be 5 for constant recirculation. Then it fits.'),
    conditions.service === 'buried' && care('sleeve', 'In the ground only where listed, sleeved.'),
    note('gauge', 'Gauge every ring: go passes, no-go does not. A bad ring is cut off, never squeezed again.'),
  ),
  looseParts: tube => [{ kind: 'ring', name: 'copper crimp ring', size: tube.pipe.nominal, quantity: 1 }],
}
