import { seriesOf } from '#core/catalogue'
import { cut, deburr, hasLiner, liner, mark, ream } from '../card/draft'
import { end } from '../card/remedy'
import type { Card, DraftStep } from '../card/types'
import { cutBack, IN_GROUND, isInGround, isSoft, mayBeSoft } from '../rules/common'
import { care, held, note, refusal } from '../rules/rule'
import type { Part, Tube } from '../types'
import type { JointMethod } from './types'
import { EMPTIED } from '../card/apart'

/** Plastics of the soft kind are held from inside; rigid ones and copper are not. */
const SOFT_PLASTICS = new Set(['pex', 'pert', 'bs7291'])
const isSoftPlastic = ({ pipe }: Tube): boolean => SOFT_PLASTICS.has(pipe.family)
/** Metal bodies in copper tube sizes carry their own stiffener; those in metric sizes take a loose liner. */
const hasOwnStiffener = ({ pipe }: Tube): boolean => seriesOf(pipe.series).sizing === 'cts'

const GRIP =
  'Take it apart with the collar, pressure off. Cut back the pipe that the teeth scratched; a new fitting if seal or grip ring is marked'

const looseParts = (tube: Tube): Part[] =>
  isSoftPlastic(tube) && !hasOwnStiffener(tube)
    ? [{ kind: 'liner', name: 'pipe liner', size: tube.pipe.nominal, quantity: 1 }]
    : []

const ownStiffener: DraftStep = {
  code: 'liner',
  do: 'Look into the fitting: its own stiffener stays in for soft plastic. No loose liner beside it',
  why: 'Without it the soft pipe gives way under the grip.',
}

function steps(card: Card): DraftStep[] {
  return [
    { ...cut(card), check: 'Square. A factory end is cut off: it is often sharp or out of round.' },
    ...(card.pipe.family === 'copper' ? [ream] : []),
    deburr('A sharp edge tears the seal.'),
    {
      code: 'clean',
      do: 'Wipe clean: no dust, label or solder drip',
      why: card.pipe.family === 'copper' ? 'No liner in copper: take out one that lies in the fitting.' : undefined,
      check: 'Bare and round for the whole depth.',
    },
    ...(hasLiner(looseParts(card.tube)) ? [liner] : []),
    ...(isSoftPlastic(card.tube) && hasOwnStiffener(card.tube) ? [ownStiffener] : []),
    mark(card),
    {
      code: 'insert',
      do: 'Push past the seal to the mark, with a twist',
      why: 'Stiff: a little potable silicone grease. Never petroleum jelly, it swells the seal.',
      check: 'Mark at the edge of the collar, pipe and fitting in one line.',
      caution: 'Not against pressure or running water: the seal rolls.',
    },
    {
      code: 'lock',
      do: 'Turn the collar to lock, if it has one',
      why: 'A collar that came out with the pipe goes back in first.',
    },
    { code: 'tug', do: 'Tug it hard', check: 'The mark has not moved.' },
  ]
}

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
    note(
      'in-line',
      'a push-fit joint is made',
      'Keep the pipe in line: no side load on the grip ring.',
      'typical, makers',
    ),
  ],
  looseParts: looseParts,
  order: 12,
  minutes: { work: 1.5, wait: 0 },
  price: { low: 1.6, high: 4.5 },
  spoken: ['push-fit', 'pushfit', 'push fit', 'push', 'push-to-connect', 'push to connect'],
  isSuggested: true,
  hasSeal: true,
  looks: ['mark', 'liner', 'system'],
  weeps: { then: 'Take it off, cut back to clean pipe, new fitting at any doubt.' },
  apart: {
    moves: [
      EMPTIED,
      { do: 'Free the lock, press the collar home evenly with its release tool, square to the pipe' },
      {
        do: 'Twist the pipe a little and draw it straight out',
        caution: 'A collar pressed on one side only scores the pipe.',
      },
      { do: 'Cut back to pipe the teeth have not marked; the liner stays in plastic or is new' },
    ],
    again: {
      what: 'the fitting',
      look: 'Seal soft, whole and in its groove, every tooth straight, collar back out by itself',
    },
    scrap: 'Pipe that the teeth marked; the fitting at any doubt',
  },
  drawing: { mouth: 'grip', material: 'brass', wall: 0.24 },
  closer: 'stop-end',
  valves: ['ball', 'stop', 'service', 'check', 'drain', 'angle', 'straight'],
  bareBetweenMm: 2,
  hasSwivel: true,
  slips: true,
  hasDropEar: true,
  remedies: { insert: end(GRIP, true), tug: end(GRIP, true), check: end(GRIP, true), lock: end(GRIP, true) },
  steps,
}
