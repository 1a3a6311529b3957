import { seriesOf } from '#core/catalogue'
import { cutBack, IN_GROUND, isInGround, isSoft, mayBeSoft } from '../rules/common'
import { care, held, note, refusal } from '../rules/rule'
import type { JointMethod } from './types'

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
  rules: [
    refusal(
      'temper',
      'the copper is soft',
      'Soft copper goes out of round and the grip ring marks it. No push-fit.',
      'EN 1057, ASTM B88; makers',
      isSoft,
    ),
    cutBack,
    refusal(
      'service',
      IN_GROUND,
      'Not in the ground: soil works on the grip ring and the joint cannot be reached.',
      'typical, makers',
      isInGround,
    ),
    refusal(
      'hidden',
      'the joint is hidden, and the job keeps push-fit in reach',
      'The job keeps push-fit where it can be seen and reached.',
      "the job's policy",
      (_, { conditions, policy }) => conditions.hidden && policy.pushFitHidden === 'reachable-only',
    ),
  ],
  concerns: [
    held(
      'unknown-temper',
      'nobody has said whether the copper is hard or soft',
      'Flex it: tube that bends by hand is soft and takes no push-fit. Hard, it fits.',
      'EN 1057, ASTM B88',
      mayBeSoft,
    ),
    care(
      'listed-for-hiding',
      "a push-fit joint is hidden by the job's policy",
      "Hidden by the job's policy: only a fitting listed for it.",
      "the job's policy; makers",
      (_, { conditions }) => conditions.hidden,
    ),
    care(
      'boiler-metre',
      'plastic is joined on heating',
      'Plastic on heating: keep the first metre from the boiler in metal.',
      'typical, makers',
      (tube, { conditions }) => conditions.service === 'heating' && seriesOf(tube.pipe.series).plastic,
    ),
    note(
      'in-line',
      'a push-fit joint is made',
      'Keep the pipe in line: no side load on the grip ring.',
      'typical, makers',
    ),
  ],
  looseParts: (tube) =>
    SOFT_PLASTICS.has(tube.pipe.family)
      ? [{ kind: 'liner', name: 'pipe liner', size: tube.pipe.nominal, quantity: 1 }]
      : [],
}
