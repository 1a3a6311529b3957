import { ringPosition, type Pipe } from '#core/catalogue'
import { about } from '#core/speech'
import { bevel, cut, mark, ringBand } from '../card/draft'
import { end, step, WEEPS_CUT_OUT } from '../card/remedy'
import type { Card, DraftStep } from '../card/types'
import { CALIBRATE, IN_GROUND, isInGround, noRoom } from '../rules/common'
import { care, note } from '../rules/rule'
import type { Tube } from '../types'
import type { JointMethod } from './types'
import { cutOutApart } from '../card/apart'

/** Composite of the inch series goes on inserts under a loose ring; metric fittings have their sleeve fixed. */
const hasRing = ({ pipe }: Pick<Tube, 'pipe'>): boolean => pipe.series === 'ml-astm'
const ringOf = (pipe: Pipe) => (hasRing({ pipe }) ? ringPosition('ml-press', pipe) : null)
const RING_FIRST = 'It cannot go on after the fitting.'

const byWindow: readonly DraftStep[] = [
  { code: 'insert', do: 'Push on to the stop, straight', check: 'Pipe seen in every window.' },
  { code: 'press', do: 'Jaw of this system, square, one full cycle', caution: 'Fingers clear of the jaw.' },
]

const byRing = (card: Card): DraftStep[] => [
  { code: 'insert', do: 'Push the fitting in to its shoulder, straight', check: 'Mark at the shoulder.' },
  {
    code: 'assemble',
    do: `Set the ring ${ringBand(card, ringOf(card.pipe))} from the pipe end; one that a collar places stands against it`,
    why: 'Over the O-rings and barbs, not over the end.',
  },
  {
    code: 'press',
    do: "Tool of this ring, square, one full closing; its own gauge, never PEX's",
    caution: 'Fingers clear. Never squeeze one ring twice.',
  },
]

function steps(card: Card): DraftStep[] {
  return [
    cut(card),
    bevel,
    { code: 'clean', do: 'Wipe clean; look that O-rings and insulating ring are there' },
    ...(hasRing(card.tube) ? [{ code: 'ring' as const, do: 'Slide the ring on', why: RING_FIRST }] : []),
    mark(card),
    ...(hasRing(card.tube) ? byRing(card) : byWindow),
    {
      code: 'check',
      do: `Look: ${hasRing(card.tube) ? 'ring square' : 'window still full'}, press marks all round. Tick it`,
      why: 'One that was missed may hold for months all the same: the tick is the proof.',
    },
  ]
}

export const mlPress: JointMethod = {
  id: 'ml-press',
  words: 'multilayer press',
  takes: 'multilayer pipe of its own system',
  undo: 'cut out',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  rules: [noRoom(`The jaw needs ${about(15, 30)} from pipe to wall. It does not get round here.`)],
  concerns: [
    care('wrap', IN_GROUND, 'In the ground only where the system lists it, wrapped.', 'typical, makers', isInGround),
    note(
      'one-system',
      'pipe and fitting come from a system',
      'Pipe, fitting and jaw profile of one system.',
      'EN ISO 21003; makers',
    ),
    CALIBRATE,
  ],
  looseParts: (tube) =>
    hasRing(tube) ? [{ kind: 'ring', name: 'ring for PEX-AL-PEX', size: tube.pipe.nominal, quantity: 1 }] : [],
  ringOf,
  order: 6,
  minutes: { work: 2, wait: 0 },
  price: { low: 1.6, high: 3.8 },
  spoken: [],
  isTicked: true,
  hasSeal: true,
  narrowsBore: true,
  alsoSaidAs: 'press',
  looks: ['mark', 'pressed', 'system'],
  weeps: WEEPS_CUT_OUT,
  apart: cutOutApart('fitting'),
  drawing: { mouth: 'barb-sleeve', material: 'brass', wall: 0.1 },
  closer: 'plug',
  valves: ['ball'],
  bareBetweenMm: 10,
  hasSwivel: true,
  hasDropEar: true,
  remedies: {
    check: end('Cut it off: never pressed twice, never used again. Calibrate a fresh end'),
    insert: step('Draw it off, calibrate and bevel again, look at both O-rings, then push until every window is full'),
    press: end('Cut it off: never pressed twice, never used again. Calibrate a fresh end'),
  },
  steps,
}
