import { seriesOf } from '#core/catalogue'
import { care, note, some, type JointMethod } from './types'

/** Plastics of the soft kind take a liner; rigid ones and copper do not. */
const SOFT_PLASTICS = new Set(['pex', 'pert', 'bs7291'])

export const pushFit: JointMethod = {
  id: 'push-fit',
  words: 'push-fit',
  takes: 'copper and plastic tube of one outside-diameter series',
  undo: 'by hand, pressure off',
  comesApart: true,
  needsFlame: false,
  byHand: true,
  rules: {
    temper: tube => (tube.pipe.family === 'copper' && tube.temper === 'soft' ? 'Soft copper goes out of round and the grip ring marks it. No push-fit.' : null),
    service: (_, { conditions }) => (conditions.service === 'buried' ? 'Not in the ground: soil works on the grip ring and the joint cannot be reached.' : null),
    hidden: (_, { conditions, policy }) => (conditions.hidden && policy.pushFitHidden === 'reachable-only' ? 'The job keeps push-fit where it can be seen and reached.' : null),
  },
  concerns: (tube, { conditions }) => some(
    conditions.hidden && care('listed-for-hiding', 'Hidden by the job\'s policy: only a fitting listed for it.'),
    conditions.service === 'heating' && seriesOf(tube.pipe.series).plastic && care('boiler-metre', 'Plastic on heating: keep the first metre from the boiler in metal.'),
    note('in-line', 'Keep the pipe in line: no side load on the grip ring.'),
  ),
  looseParts: tube => (SOFT_PLASTICS.has(tube.pipe.family) ? [{ kind: 'liner', name: 'pipe liner', size: tube.pipe.nominal, quantity: 1 }] : []),
}
