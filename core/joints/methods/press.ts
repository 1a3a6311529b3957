import { cut, deburr, mark, ream, rounded } from '../card/draft'
import { end, step, WEEPS_CUT_OUT } from '../card/remedy'
import type { Card, DraftStep } from '../card/types'
import { cutBack, isInGround, isSoft, mayBeSoft, noRoom } from '../rules/common'
import { care, note, refusal } from '../rules/rule'
import type { JointMethod } from './types'
import { about } from '#core/speech'
import { cutOutApart } from '../card/apart'

const CUT_OUT = 'Cut it out: a press fitting is never used again. Begin on sound pipe with a new one'

function steps(card: Card): DraftStep[] {
  return [
    cut(card),
    ream,
    deburr('A burr cuts the seal.'),
    {
      code: 'clean',
      do: rounded(card, 'Wipe clean: no paint, score, print or oil'),
      check: 'Seal is in the fitting, black for water.',
    },
    mark(card),
    { code: 'insert', do: 'Push to the mark, turning a little', check: 'Mark at the edge of the fitting.' },
    { code: 'press', do: 'Jaw square on the bead, one full cycle to release', caution: 'Fingers clear of the jaw.' },
    {
      code: 'check',
      do: 'Look: mark still at the edge. Tick it with a pen',
      why: 'The tick is the proof that it was pressed. One that was missed is made to leak on test, and may hold for months all the same.',
    },
  ]
}

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
    noRoom(`The jaw needs ${about(20, 35)} from tube to wall. It does not get round here.`),
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
  order: 5,
  minutes: { work: 2, wait: 0 },
  price: { low: 1.4, high: 3.2 },
  spoken: ['press', 'pressed', 'press-fit', 'press fit', 'pressfit'],
  isSuggested: true,
  isTicked: true,
  hasSeal: true,
  looks: ['mark', 'pressed', 'metals'],
  weeps: WEEPS_CUT_OUT,
  apart: cutOutApart('fitting'),
  drawing: { mouth: 'bead', material: 'copper', wall: 0.09 },
  closer: 'cap',
  valves: ['ball', 'gate', 'stop', 'service', 'check', 'drain', 'angle', 'straight'],
  bareBetweenMm: 10,
  hasSwivel: true,
  slips: true,
  hasDropEar: true,
  transition: 'rigid',
  remedies: {
    insert: step('Draw it out, look for grit, an oval end or a rolled seal, then push to the mark'),
    press: end(CUT_OUT),
    check: end(CUT_OUT),
    gauge: end(CUT_OUT),
  },
  steps,
}
