import { IN_GROUND, isInGround, isListed, noRoom } from '../rules/common'
import { care, held, note, refusal } from '../rules/rule'
import type { JointMethod } from './types'

export const expansion: JointMethod = {
  id: 'expansion',
  words: 'expansion',
  takes: 'PEX tube listed for it, in copper tube sizes',
  undo: 'cut out',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  listings: ['F1960'],
  rules: [
    refusal(
      'pex-type',
      'the tube is PEX b or c, or nobody has said which, and no F1960 is in its print',
      'Cold expansion wants tube that shrinks back: PEX a, or F1960 in its print.',
      'ASTM F876, F1960',
      ({ pexType, listing }) =>
        listing === undefined && (pexType === 'b' || pexType === 'c')
          ? `Cold expansion wants tube that shrinks back: PEX a, or F1960 in its print. This counts as PEX ${pexType}.`
          : null,
    ),
    noRoom('The expander stands 300 to 450 in line with the pipe. There is no room here.'),
  ],
  concerns: [
    held(
      'unknown-pex-type',
      'nobody has read which PEX it is',
      'Read the print: PEX a, or F1960 in it, takes an expansion fitting. b and c without it do not.',
      'ASTM F876, F1960',
      (tube) => tube.pexType === 'unknown' && !isListed(tube, ['F1960']),
    ),
    care('sleeve', IN_GROUND, 'In the ground only where listed, sleeved.', 'typical, trade practice', isInGround),
    note(
      'f1960',
      'F1960 has not been read on the tube',
      'Look for F1960 in the print: the letter alone does not list a tube.',
      'ASTM F876, F1960',
      (tube) => !isListed(tube, ['F1960']),
    ),
    note(
      'shrink',
      'an expansion fitting is made',
      "No test until it has shrunk: 30 minutes above 4 °C, hours in the cold. In frost only as cold as the tool's paper allows.",
      'typical, makers differ',
    ),
  ],
  looseParts: (tube) => [{ kind: 'ring', name: 'expansion ring', size: tube.pipe.nominal, quantity: 1 }],
}
