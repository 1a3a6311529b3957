import type { Tube } from '../types'
import { formatDecimal } from '#core/units'
import { w } from '#core/speech'
import { bevel, cut, deburr, mark, ream, turnsAsk } from '../card/draft'
import { CONE_TURNS } from '../card/facts'
import { step } from '../card/remedy'
import type { Card, DraftStep } from '../card/types'
import { BOOKED, CONE_RULES, RENIP } from '../rules/common'
import { care, note } from '../rules/rule'
import type { JointMethod } from './types'
import { nutApart } from '../card/apart'

const isMetal = ({ pipe }: Tube): boolean => pipe.family === 'copper'

function steps(card: Card): DraftStep[] {
  const { lo, hi } = CONE_TURNS
  const metal = isMetal(card.tube)
  return [
    cut(card),
    ...(metal ? [ream, deburr('A burr cuts the seal.')] : [bevel]),
    {
      code: 'nut',
      do: metal ? 'Nut on, then the sealing ring' : 'Nut on, then the split ring',
      why: 'They cannot follow once the cone is on.',
    },
    mark(card),
    {
      code: 'insert',
      do: metal ? 'Push the tube to the stop of the ring, through the cone' : 'Push the cone in to its shoulder',
      check: metal
        ? 'Straight in the ring.'
        : `O-rings whole, insulating ring there where the pipe has ${w.aluminium}.`,
    },
    {
      code: 'assemble',
      do: 'Set the cone in its seat, straight, and run the nut up by hand until it seats',
      why: 'It seals at the cone: nothing goes on the thread.',
    },
    {
      code: 'tighten',
      do: `Hold the body; then ${formatDecimal(lo, 2)} to ${formatDecimal(hi, 2)} turns, or by the system's torque`,
      why: 'Makers differ; until it is clearly firm.',
      check: 'Draw a line across nut and body.',
      ...turnsAsk('Turns past hand tight', { lo, hi }),
    },
    { code: 'check', do: 'Tighten it once more, cold, after the first heat, unless its maker forbids it' },
  ]
}

export const cone: JointMethod = {
  id: 'cone',
  words: 'cone',
  takes: 'PEX, multilayer and copper tube by a cone of its own size, on a G 3/4 seat',
  undo: 'unscrew',
  comesApart: true,
  needsFlame: false,
  byHand: true,
  rules: CONE_RULES,
  concerns: [
    BOOKED,
    care(
      'cone-drinking',
      'a cone joint carries drinking water',
      `A cone joint is made for heating: for drinking water only an ${w.adaptor} that is listed for it.`,
      'typical, practice of EN 16313',
      (_, { conditions }) => conditions.drinking,
    ),
    note(
      'own-cone',
      'a cone joint is made',
      'The cone fits any G 3/4 seat; its tube side goes by outside diameter and wall, of one maker.',
      'EN 16313; makers',
    ),
    RENIP,
  ],
  looseParts: (tube) => [
    {
      kind: 'ring',
      name: isMetal(tube) ? 'cone sealing ring' : 'cone insert',
      size: tube.wall === null || isMetal(tube) ? tube.pipe.nominal : `${tube.pipe.nominal} × ${tube.wall}`,
      quantity: 1,
    },
  ],
  order: 13,
  minutes: { work: 1.8, wait: 0 },
  price: { low: 1.4, high: 3.2 },
  spoken: ['cone', 'cone nut', 'manifold cone'],
  hasSeal: true,
  narrowsBore: true,
  looks: ['mark', 'system'],
  weeps: { once: 'Nip it once, body held.', then: 'Then a new cone on a fresh end.' },
  apart: nutApart('Cone and its rings: new on a fresh end', 'Seat of the body smooth, nut runs free by hand'),
  drawing: { mouth: 'barb-nut', material: 'brass', wall: 0.14 },
  valves: [],
  bareBetweenMm: 5,
  remedies: {
    tighten: step('A quarter turn more, once. If it still weeps, a new cone on a fresh end, the seat wiped clean'),
  },
  steps,
}
