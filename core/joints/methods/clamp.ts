import { ringPosition, type Pipe } from '#core/catalogue'
import { about } from '#core/speech'
import { cut, mark, ringAsk, ringBand } from '../card/draft'
import { CUT_OFF_RING, end, step, WEEPS_CUT_OUT } from '../card/remedy'
import type { Card, DraftStep } from '../card/types'
import { IN_GROUND, isInGround, noRoom } from '../rules/common'
import { care, note } from '../rules/rule'
import type { JointMethod } from './types'
import { ringApart } from '../card/apart'

const ringOf = (pipe: Pipe) => ringPosition('clamp', pipe)

function steps(card: Card): DraftStep[] {
  return [
    cut(card),
    { code: 'clean', do: 'Wipe the end; no kink, no chalky or cold-stiff end' },
    { code: 'ring', do: 'Slide the clamp on, ear away from wall and pipe', why: 'It cannot go on after the fitting.' },
    mark(card),
    { code: 'insert', do: 'Push the fitting in to its shoulder', check: 'Mark at the shoulder.' },
    {
      code: 'assemble',
      do: `Set the clamp ${ringBand(card, ringOf(card.pipe))} from the pipe end`,
      why: 'Over the barbs, not over the end.',
      check: 'Measure it before it is closed.',
      ...ringAsk(ringOf(card.pipe)),
    },
    {
      code: 'press',
      do: 'Tool fully open first, over the ear, close until it lets go by itself',
      caution: 'Fingers clear. Never squeeze one ear twice.',
    },
    {
      code: 'check',
      do: "Look: the ear is closed, its gap as the fitting's paper says. Tick it",
      check: 'It may be turned in its ring to face right: it does not leak for it.',
    },
  ]
}

export const clamp: JointMethod = {
  id: 'clamp',
  words: 'clamp',
  takes: 'PEX and PE-RT tube in copper tube sizes',
  undo: 'nip the ear',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  listings: ['F2098'],
  rules: [noRoom(`The nose needs ${about(25, 35)} on the ear's side. There is no room here.`)],
  concerns: [
    care(
      'wrap',
      IN_GROUND,
      'In the ground only where listed, sleeved; chlorides eat the stainless band: wrap it.',
      'typical, trade practice',
      isInGround,
    ),
    note(
      'ear',
      'a clamp ring is closed',
      'Open the tool fully first; ear away from wall and pipe; close until it lets go by itself.',
      'ASTM F2098; trade practice',
    ),
  ],
  looseParts: (tube) => [{ kind: 'ring', name: 'stainless clamp ring', size: tube.pipe.nominal, quantity: 1 }],
  order: 10,
  minutes: { work: 1.1, wait: 0 },
  price: { low: 0.7, high: 1.8 },
  spoken: ['clamp', 'clamped', 'cinch', 'pinch clamp'],
  isTicked: true,
  narrowsBore: true,
  takesInsertPolicy: true,
  looks: ['mark', 'pressed', 'gauge', 'ringDistance', 'system'],
  weeps: WEEPS_CUT_OUT,
  apart: ringApart('Nip the ear of the clamp through with cutters and spread it'),
  drawing: { mouth: 'barb-ring', material: 'brass', wall: 0.1 },
  closer: 'plug',
  valves: ['ball', 'angle', 'straight'],
  bareBetweenMm: 12,
  hasDropEar: true,
  transition: 'plastic',
  ringOf,
  remedies: {
    assemble: step('Slide the clamp into its band before it is closed'),
    check: end(CUT_OFF_RING, true),
    insert: step('Push to the shoulder before the clamp is closed'),
    gauge: end(CUT_OFF_RING, true),
    press: end(CUT_OFF_RING, true),
  },
  steps,
}
