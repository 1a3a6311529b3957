import { cut, liner, mark } from '../card/draft'
import { step } from '../card/remedy'
import type { Card, DraftStep } from '../card/types'
import { noRoom } from '../rules/common'
import { care, note, refusal } from '../rules/rule'
import type { Tube } from '../types'
import type { JointMethod } from './types'
import type { Region } from '#core/units'
import { about, w } from '#core/speech'
import { nutApart } from '../card/apart'

function steps(card: Card): DraftStep[] {
  return [
    cut(card),
    { code: 'deburr', do: 'Chamfer the end', why: 'A square edge drags the seal out of its seat.' },
    { code: 'clean', do: 'Feel round it: cut back any score for the whole depth', check: 'Smooth under the thumb.' },
    {
      code: 'nut',
      do: 'Nut and split grip ring on, the right way round',
      check: 'The nut runs back freely on the pipe.',
    },
    liner,
    mark(card),
    { code: 'insert', do: 'Push through the seal to the stop', check: 'Mark at the nut.' },
    {
      code: 'tighten',
      do: 'Body held in the one hand or its own strap, nut turned firm with the other, joint kept straight',
      why: "Follow the fitting's paper: makers differ.",
    },
    { code: 'check', do: 'Draw a line across nut and body; lay it straight in the trench' },
  ]
}

/** Blue service pipe of 20 mm is sold in Britain with a thicker wall than SDR 11, mm. BS 6572. */
const BRITISH_20 = 2.3

/** Wall that the liner goes by: as measured, else as sold. */
const wallOf = ({ pipe, wall }: Tube, region: Region): number | null =>
  region === 'gb' && pipe.series === 'pe-en' && pipe.nominal === '20' && wall === pipe.wall ? BRITISH_20 : wall

export const peCompression: JointMethod = {
  id: 'pe-compression',
  words: 'PE compression',
  takes: 'polyethylene service pipe in metric sizes',
  undo: 'unscrew',
  comesApart: true,
  needsFlame: false,
  byHand: true,
  rules: [
    refusal(
      'hidden',
      "its nuts would be out of reach indoors, against the job's policy of compression",
      'Indoors its nuts must stay in reach.',
      "the job's policy",
      (_, { conditions, policy }) =>
        conditions.hidden &&
        conditions.service !== 'buried' &&
        policy.compressionHidden !== 'allowed' &&
        !(policy.compressionHidden === 'temporary-only' && conditions.temporary),
    ),
    noRoom(`A long ${w.spanner} has to swing, and the pipe run straight for ${about(300)}. There is no room here.`),
  ],
  concerns: [
    care(
      'temporary',
      'a joint with nuts is hidden',
      'Temporary: book the date to come back.',
      "the job's policy",
      (_, { conditions }) => conditions.hidden && conditions.service !== 'buried',
    ),
    note(
      'scores',
      'PE pipe is joined',
      'Feel round the end: cut back to unmarked pipe for the whole seal length.',
      'typical, PE water practice',
    ),
    note(
      'liner-by-wall',
      'PE pipe is joined',
      'The liner goes by the wall of this pipe: SDR11 25 × 2.3 and the thicker 20 × 2.3 have their own.',
      'EN 12201',
    ),
  ],
  looseParts: (tube, region) => [
    { kind: 'liner', name: 'PE liner', size: `${tube.pipe.nominal} × ${wallOf(tube, region)}`, quantity: 1 },
  ],
  order: 15,
  minutes: { work: 4.5, wait: 0 },
  price: { low: 2, high: 5 },
  spoken: [],
  hasSeal: true,
  alsoSaidAs: 'compression',
  looks: ['mark', 'liner'],
  weeps: { then: 'Take it apart, feel for scores, cut back, new seal.' },
  apart: nutApart(
    'Grip ring and seal: new each time; pipe the ring has bitten is cut back',
    'Body not cracked, thread of the nut whole',
  ),
  drawing: { mouth: 'sealed-nut', material: 'brass', wall: 0.26 },
  closer: 'plug',
  valves: ['ball', 'stop'],
  bareBetweenMm: 20,
  hasSwivel: true,
  slips: true,
  remedies: { insert: step('Draw it out, chamfer and wet the end, push through the seal to the mark') },
  steps,
}
