import { bevel, cut, mark } from '../card/draft'
import { step } from '../card/remedy'
import type { Card, DraftStep } from '../card/types'
import { BOOKED, CALIBRATE, CONE_RULES, RENIP } from '../rules/common'
import { note } from '../rules/rule'
import type { JointMethod } from './types'
import { nutApart } from '../card/apart'

function steps(card: Card): DraftStep[] {
  return [
    cut(card),
    bevel,
    {
      code: 'nut',
      do: 'Nut on, then the split ring',
      why: 'They cannot follow the insert.',
      check: 'The nut runs back freely: no bend or clip close behind it.',
    },
    mark(card),
    { code: 'insert', do: 'Push the insert in to its collar', check: 'O-rings whole, insulating ring there.' },
    {
      code: 'assemble',
      do: 'Set it straight in its eurocone seat, nut by hand',
      check: 'Pipe in line by itself: drawn in by the nut it leaks at the first heat.',
    },
    {
      code: 'tighten',
      do: "Hold the body; tighten firm, by the system's torque",
      why: 'Makers differ; 25 to 40 Nm is heard.',
      check: 'Draw a line across nut and body.',
    },
    { code: 'check', do: 'Nip it again after the first heat' },
  ]
}

export const mlCompression: JointMethod = {
  id: 'ml-compression',
  words: 'multilayer compression',
  takes: 'multilayer pipe by its own cone and insert',
  undo: 'unscrew',
  comesApart: true,
  needsFlame: false,
  byHand: true,
  rules: CONE_RULES,
  concerns: [
    BOOKED,
    CALIBRATE,
    note(
      'own-cone',
      'a cone joint is made',
      "Cone and insert of the pipe's own system, into a eurocone seat only.",
      'EN 16313',
    ),
    RENIP,
  ],
  looseParts: (tube) => [
    {
      kind: 'olive',
      name: 'multilayer cone and insert',
      size: tube.wall === null ? tube.pipe.nominal : `${tube.pipe.nominal} × ${tube.wall}`,
      quantity: 1,
    },
  ],
  consumables: ({ pipe }) => [
    { item: `cone and insert ${pipe.nominal}`, quantity: 1, unit: 'set' },
    { item: `O-ring for insert ${pipe.nominal}`, quantity: 2, unit: 'piece' },
  ],
  order: 14,
  minutes: { work: 3, wait: 0 },
  price: { low: 1.4, high: 3.2 },
  spoken: [],
  hasSeal: true,
  narrowsBore: true,
  alsoSaidAs: 'compression',
  looks: ['mark', 'system'],
  weeps: { once: 'Nip it once, body held.', then: 'Then new O-rings and split ring.' },
  apart: nutApart(
    'O-rings and split ring: new each time; calibrate and bevel the end again',
    'Insert straight and unmarked, seat of the body smooth',
  ),
  drawing: { mouth: 'barb-nut', material: 'brass', wall: 0.14 },
  closer: 'stop-end',
  valves: ['ball'],
  bareBetweenMm: 5,
  hasSwivel: true,
  remedies: {
    tighten: step('A quarter turn more. If it still weeps, a new split ring and new O-rings on a fresh end'),
  },
  steps,
}
