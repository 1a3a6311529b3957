import { care, held, note, some, type JointMethod } from './types'

export const expansion: JointMethod = {
  id: 'expansion',
  words: 'expansion',
  takes: 'PEX tube listed for it, in copper tube sizes',
  undo: 'cut out',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  rules: {
    'pex-type': ({ pexType }) => (pexType === 'a' ? null : `Cold expansion wants tube that shrinks back: PEX a, or F1960 in its print. This counts as PEX ${pexType}.`),
    'room': (_, { conditions }) => (conditions.room === 'tight' ? 'The expander stands 300 to 450 in line with the pipe. There is no room here.' : null),
  },
  concerns: (_, { conditions }) => some(
    conditions.service === 'recirculation' && held('chlorine-code', 'Read the print: the first digit of the four-figure code must be 5 for constant recirculation. Then it fits.'),
    conditions.service === 'buried' && care('sleeve', 'In the ground only where listed, sleeved.'),
    note('f1960', 'Look for F1960 in the print: the letter alone does not list a tube.'),
    note('shrink', 'No test until it has shrunk: 30 minutes above 4 °C, 10 hours in frost. Not below about -15 °C.'),
  ),
  looseParts: tube => [{ kind: 'ring', name: 'expansion ring', size: tube.pipe.nominal, quantity: 1 }],
}
