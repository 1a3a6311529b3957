import { cutBack, isInGround, isSoft, mayBeSoft, noRoom } from '../rules/common'
import { care, note, refusal } from '../rules/rule'
import type { JointMethod } from './types'

export const press: JointMethod = {
  id: 'press',
  words: 'press',
  takes: 'copper, stainless and thin carbon steel tube, each by its own fittings',
  undo: 'cut out',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  rules: [
    cutBack,
    refusal(
      'service',
      'stainless tube lies bare in the ground',
      'Stainless press is not for bare ground: chlorides in the soil pit it.',
      'EN 10312; typical',
      ({ pipe }, { conditions }) => pipe.family === 'stainless' && conditions.service === 'buried',
    ),
    noRoom('The jaw needs 20 to 35 from tube to wall. It does not get round here.'),
  ],
  concerns: [
    care(
      'soft-listing',
      'soft copper is pressed',
      'Soft tube: only where this fitting lists it.',
      'EN 1254-7, ASME B16.51; makers',
      isSoft,
    ),
    care(
      'unknown-temper',
      'nobody has said whether the copper is hard or soft',
      'Flex it: tube that bends by hand is soft, and is pressed only where this fitting lists it.',
      'EN 1057, ASTM B88',
      mayBeSoft,
    ),
    care(
      'wrap',
      'press fittings lie in the ground',
      'Below ground only with a fitting listed for it, wrapped.',
      'typical, makers',
      isInGround,
    ),
    note(
      'own-metal',
      'stainless or carbon steel tube is pressed',
      "Fittings made for the tube's own metal: copper ones look alike.",
      'EN 10312, EN 10305-3',
      ({ pipe }) =>
        pipe.family === 'copper'
          ? null
          : `Fittings made for ${pipe.family === 'stainless' ? 'stainless' : 'carbon steel'} tube: copper ones look alike.`,
    ),
    note(
      'tick',
      'a fitting is pressed',
      'Tick every press: the tick is the proof, an unpressed one may hold for months.',
      'typical, trade practice',
    ),
  ],
  looseParts: () => [],
}
