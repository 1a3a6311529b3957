import { ringPosition, ringGauge, type Pipe } from '#core/catalogue'
import { about, w } from '#core/speech'
import { cut, mark, ringAsk, ringBand } from '../card/draft'
import { CUT_OFF_RING, end, step, WEEPS_CUT_OUT } from '../card/remedy'
import type { Ask, Card, DraftStep } from '../card/types'
import { IN_GROUND, isInGround, noRoom } from '../rules/common'
import { care, note } from '../rules/rule'
import type { JointMethod } from './types'
import { ringApart } from '../card/apart'

/** Outside diameter of a finished ring by calliper, where its gauge is known. */
function gaugeAsk(card: Card): { ask?: Ask } {
  const gauge = ringGauge(card.pipe)
  return gauge
    ? {
        ask: {
          what: 'ring-diameter',
          words: `Or with a ${w.calliper}, across the ring`,
          lo: gauge.noGoMm,
          hi: gauge.goMm,
          unit: 'mm',
          source: 'ASTM F1807',
          isFirm: true,
        },
      }
    : {}
}

const ringOf = (pipe: Pipe) => ringPosition('crimp', pipe)

function steps(card: Card): DraftStep[] {
  return [
    cut(card),
    { code: 'clean', do: 'Wipe the end; no kink, no dents of print under the ring' },
    {
      code: 'ring',
      do: 'Slide the ring on, squeezed a little oval so that it stays',
      why: 'It cannot go on after the fitting.',
    },
    mark(card),
    { code: 'insert', do: 'Push the fitting in to its shoulder', check: 'Mark at the shoulder.' },
    {
      code: 'assemble',
      do: `Set the ring ${ringBand(card, ringOf(card.pipe))} from the pipe end`,
      why: 'Over the barbs, not over the end. Some set 3, some the middle: both lie in the band.',
      check: 'Measure it before it is closed.',
      ...ringAsk(ringOf(card.pipe)),
    },
    {
      code: 'press',
      do: 'Tool square over the ring, one full closing',
      caution: 'Fingers clear. Never squeeze one ring twice.',
    },
    {
      code: 'gauge',
      do: 'Gauge it: go passes, no-go does not',
      check: 'All round. It may be turned in its ring to face right: it does not leak for it.',
      ...gaugeAsk(card),
    },
  ]
}

export const crimp: JointMethod = {
  id: 'crimp',
  words: 'crimp',
  takes: 'PEX and PE-RT tube in copper tube sizes',
  undo: 'cut the ring',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  listings: ['F1807', 'F2159'],
  rules: [noRoom(`The handles open ${about(400, 600)} and the tool must stand square. There is no room here.`)],
  concerns: [
    care('sleeve', IN_GROUND, 'In the ground only where listed, sleeved.', 'typical, trade practice', isInGround),
    note(
      'gauge',
      'a crimp ring is closed',
      'Gauge every ring: go passes, no-go does not. A bad ring is cut off, never squeezed again.',
      'ASTM F1807',
    ),
  ],
  looseParts: (tube) => [{ kind: 'ring', name: 'copper crimp ring', size: tube.pipe.nominal, quantity: 1 }],
  order: 9,
  minutes: { work: 1.5, wait: 0 },
  price: { low: 0.7, high: 1.8 },
  spoken: ['crimp', 'crimped', 'crimp ring'],
  isSuggested: true,
  narrowsBore: true,
  takesInsertPolicy: true,
  looks: ['mark', 'pressed', 'gauge', 'ringDistance', 'system'],
  weeps: WEEPS_CUT_OUT,
  apart: ringApart('Open the ring with a ring cutter, or two shallow cuts across it and a twist'),
  drawing: { mouth: 'barb-ring', material: 'brass', wall: 0.1 },
  closer: 'plug',
  valves: ['ball', 'angle', 'straight'],
  bareBetweenMm: 12,
  hasDropEar: true,
  transition: 'plastic',
  ringOf,
  gaugeOf: ringGauge,
  remedies: {
    assemble: step('Slide the ring into its band before it is closed'),
    insert: step('Push to the shoulder before the ring is closed'),
    gauge: end(CUT_OFF_RING, true),
    press: end(CUT_OFF_RING, true),
  },
  steps,
}
