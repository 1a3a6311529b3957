import { formatDecimal, lengthsApart } from '#core/units'
import { w } from '#core/speech'
import { cut, deburr, ream, rounded, system, turnsAsk } from '../card/draft'
import { FLARE_STANDS_MM, FLARE_TURNS } from '../card/facts'
import { end, step } from '../card/remedy'
import type { Card, DraftStep } from '../card/types'
import { BOOKED, cutBack, isInGround, mayBeSoft, noRoom, nutsInReach } from '../rules/common'
import { care, held, note, refusal, type RefusalRule } from '../rules/rule'
import type { JointMethod } from './types'
import { nutApart } from '../card/apart'

const NEW_END = 'Cut it off behind the flare and flare a fresh end; one end is flared twice at most'

function steps(card: Card): DraftStep[] {
  const { lo, hi } = FLARE_TURNS
  const stands = lengthsApart([FLARE_STANDS_MM.lo, FLARE_STANDS_MM.hi], system(card))
  return [
    cut(card),
    ream,
    deburr('A burr cuts the seat.'),
    { code: 'clean', do: rounded(card, 'Wipe clean: no grit on the end'), check: 'Round, no score.' },
    { code: 'nut', do: 'Slide the nut on, thread to the end', why: 'It cannot follow once the end is flared.' },
    {
      code: 'expand',
      do: `Clamp it in the die, ${stands(FLARE_STANDS_MM.lo)} to ${stands(FLARE_STANDS_MM.hi)} standing out by the tool's own paper; turn the cone in until the flare is full`,
      why: 'Too short leaves no face to hold, too long does not pass the nut.',
      check: 'Even all round, no crack, just through the nut.',
    },
    {
      code: 'assemble',
      do: 'Set the flare on the nose and run the nut up by hand',
      why: 'It seals at its face: no tape, no paste on the thread.',
    },
    {
      code: 'tighten',
      do: `Hold the body. Snug, then ${formatDecimal(lo, 2)} to ${formatDecimal(hi, 2)} turns`,
      check: 'Draw a line across nut and body.',
      ...turnsAsk('Turns past snug', { lo, hi }),
    },
    { code: 'check', do: 'Under pressure: if it weeps, a flat more, once', isUnderWater: true },
  ]
}

/** Out of reach indoors; in the ground it lies by its nature. */
const NUTS = nutsInReach('A flared joint stays in reach indoors. Hidden only as a temporary repair that is booked.')
const IN_REACH: RefusalRule = { ...NUTS, says: (...asked) => (isInGround(...asked) ? null : NUTS.says(...asked)) }

export const flare: JointMethod = {
  id: 'flare',
  words: 'flared',
  takes: 'soft copper tube',
  undo: 'unscrew',
  comesApart: true,
  needsFlame: false,
  byHand: false,
  sealsOnMetal: true,
  rules: [
    refusal(
      'temper',
      'the copper is hard',
      'Hard tube splits when it is flared: soft tube only, or an end that was annealed.',
      'EN 1057, ASTM B88',
      ({ temper }) => temper === 'hard',
    ),
    cutBack,
    IN_REACH,
    noRoom(`The die and two ${w.spanners} have to get round the end. There is no room here.`),
  ],
  concerns: [
    BOOKED,
    held(
      'unknown-temper',
      'nobody has said whether the copper is hard or soft',
      'Flex it: tube that bends by hand is soft and takes a flare. Hard, it splits.',
      'EN 1057, ASTM B88',
      mayBeSoft,
    ),
    care('wrap', 'copper lies in the ground', 'Wrap copper in the ground.', 'WS(WF)R 1999; typical', isInGround),
    note(
      'own-nut',
      'a flared joint is made',
      "Its nut goes with the fitting: tube threads and water service threads differ, and a compression nut's is another still.",
      'SAE J513, ASME B16.26',
    ),
  ],
  looseParts: () => [],
  order: 16,
  minutes: { work: 3, wait: 0 },
  price: { low: 0.8, high: 2.4 },
  spoken: ['flare', 'flared'],
  looks: ['mark', 'metals'],
  weeps: { once: 'A flat more, once, body held.', then: 'Then cut it off and flare a fresh end.' },
  apart: nutApart(
    'A flare with a crack or a ring pressed into it: cut off and made anew',
    'Nose of the body smooth. The flare even, no crack, no ring pressed in',
  ),
  drawing: { mouth: 'flared-nut', material: 'brass', wall: 0.22 },
  isNamedByOutside: true,
  closer: 'plug',
  valves: ['ball'],
  bareBetweenMm: 30,
  remedies: {
    expand: end(NEW_END, true),
    check: end(NEW_END, true),
    tighten: step('A flat more, once. If it still weeps, look at flare and nose: a fresh flare, or a new fitting'),
  },
  steps,
}
