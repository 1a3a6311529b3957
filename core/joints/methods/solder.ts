import { formatLength } from '#core/units'
import { about, w } from '#core/speech'
import { cut, deburr, depth, isNear, mark, ream, rounded, system } from '../card/draft'
import { SOLDER_SET_SECONDS, SOLDER_COOL_SECONDS, solderWire } from '../card/facts'
import { end, step } from '../card/remedy'
import type { Card, DraftStep } from '../card/types'
import { isInGround, isSoft, mayBeSoft } from '../rules/common'
import { care, note, refusal } from '../rules/rule'
import type { JointMethod } from './types'
import { EMPTIED } from '../card/apart'

/** What is kept from the heat, and what is opened, before the flame. */
function protection(card: Card): DraftStep {
  const wood = card.situation.conditions.combustibles
  return {
    code: 'protect',
    do: [
      card.question.closes ? `Leave ${w.aTap} on this pipe open` : 'Open an outlet on both sides',
      ...(isNear(card, 'valve') ? ['open the valve, its washer out or a wet cloth round it'] : []),
      wood ? 'mat behind, wood damped' : 'mat behind',
      isNear(card, 'plastic') ? 'plastic off until it is cold' : 'seals and plastic away',
    ].join('; '),
    why: isNear(card, 'valve')
      ? 'A closed pipe blows the joint; a closed valve traps steam and burns its washer.'
      : 'A closed pipe blows the joint.',
    ...(wood ? { caution: 'Wood near: mat, damp cloth and extinguisher before the flame.' } : {}),
  }
}

/** Both ends of one fitting are made in one heat; what is done once for both stands on the card of the last. */
const isBoth = (card: Card): boolean => card.question.oneHeat === 'both'

/** Which end first where both are made in one heat. */
function orderWords(card: Card): string {
  if (!isBoth(card)) return ''
  return card.question.orientation === 'vertical' ? ', the lower mouth first' : ', one mouth, then the other'
}

function heating(card: Card, vertical: boolean): DraftStep {
  const isLarge = card.pipe.od >= 35
  return {
    code: 'heat',
    do: `${[
      vertical ? 'Heat the fitting, from below, all round' : 'Heat the fitting, low first, all round',
      ...(isLarge ? ['opposite sides in turn'] : []),
    ].join(', ')}${orderWords(card)}`,
    why: [
      isLarge ? 'A large tube cools on the far side; two flames are quicker.' : 'Heat the fitting, not the solder.',
      ...(isBoth(card) ? ['A second heat would melt the first end again.'] : []),
      ...(vertical
        ? [
            'Some do the top mouth first, so that the lower does not melt again; heat rising from the lower helps the upper.',
          ]
        : []),
      ...(card.question.torch === 'propylene' ? ['This gas is hotter: keep the flame moving, or the flux burns.'] : []),
    ].join(' '),
    caution: 'Flame and hot metal.',
  }
}

/** What is done at the tube itself, before flux. */
function preparing(card: Card): DraftStep[] {
  return [
    cut(card),
    ream,
    deburr('A burr scrapes the flux off and holds the tube out of true.'),
    {
      code: 'clean',
      do: rounded(card, `Clean ${depth(card)} of tube and the cup to bright metal`),
      why: 'Solder takes only on bright copper. A worn brush bites again turned the other way.',
    },
    {
      ...mark(card),
      why: "This is the least the standard asks. Hold the tube beside the cup: where that is deeper, mark the cup's own depth.",
      ...(card.question.oneHeat === 'prepare' ? { check: 'Then the other end: both are soldered in one heat.' } : {}),
    },
  ]
}

/** From flux to flush: once for a fitting whose ends are made in one heat. */
function soldering(card: Card): DraftStep[] {
  const { region } = card.situation
  const vertical = card.question.orientation === 'vertical'
  const tubes = isBoth(card) ? 'both tubes' : 'the tube'
  return [
    {
      code: 'flux',
      do: region === 'us' ? `Flux ${tubes} and the cup${isBoth(card) ? 's' : ''}, thinly` : `Flux ${tubes}, thinly`,
      why:
        region === 'us'
          ? 'Some flux the tube only, to keep it out of the bore.'
          : 'Some flux the cup too; on the tube only it stays out of the bore.',
    },
    {
      code: 'assemble',
      do: `Push ${isBoth(card) ? 'both' : 'it'} to the stop with a twist, wipe off surplus`,
      check: `${isBoth(card) ? 'Each mark' : 'Mark'} at the edge of the cup, or under it. A frame on the bench: square, corner by corner.`,
    },
    protection(card),
    heating(card, vertical),
    {
      code: 'feed',
      do: `Feed solder opposite the flame, about ${formatLength(solderWire(card.pipe), system(card))} of wire${isBoth(card) ? ' at each end' : ''}`,
      why: vertical
        ? 'It draws upward by itself.'
        : 'Start low and follow up; more only runs inside, and breaks loose later.',
      check: `A ring shows all round${isBoth(card) ? ', at both ends' : ''}. Then stop.`,
    },
    {
      code: 'hold',
      do: 'Leave it still until the solder sets',
      seconds: SOLDER_SET_SECONDS,
      why: 'Moved while setting, it cracks.',
    },
    {
      code: 'wait',
      do: 'Let it go cold to the hand',
      seconds: SOLDER_COOL_SECONDS,
      why: 'No water and no seal near it until then.',
      caution: 'Hot surface. No water to cool it.',
    },
    { code: 'wipe', do: 'Wipe the flux off, outside', why: 'Left on, it eats the copper green.' },
    { code: 'flush', do: 'Flush the line the same day' },
  ]
}

const steps = (card: Card): DraftStep[] => [
  ...preparing(card),
  ...(card.question.oneHeat === 'prepare' ? [] : soldering(card)),
]

export const solder: JointMethod = {
  id: 'solder',
  words: 'solder',
  takes: "copper tube made to today's sizes",
  undo: 'heat, drained',
  comesApart: false,
  needsFlame: true,
  byHand: false,
  rules: [
    refusal(
      'service',
      'the joint lies below ground in the United States',
      'Under a slab soft solder is not accepted; below ground use an unbroken length or a listed joint.',
      'UPC 609.3',
      (_, { conditions, region }) => conditions.service === 'buried' && region === 'us',
    ),
    refusal(
      'wet',
      'water is left in the pipe',
      'Water left in the pipe boils off and keeps it too cold. Solder will not take.',
      'physics; trade practice',
      (_, { conditions }) => conditions.wet,
    ),
  ],
  concerns: [
    care(
      'fire',
      'things that burn are near',
      'Flame with wood near: mat behind, extinguisher in reach, and stay to watch for 60 minutes.',
      'hot-work practice: 30 or 60 minutes by edition, the longer is taken',
      (_, { conditions }) => conditions.combustibles,
    ),
    care(
      're-round',
      'soft copper is soldered',
      'Soft tube: re-round the end before it goes into the cup.',
      'ASTM B828',
      isSoft,
    ),
    care(
      'unknown-temper',
      'nobody has said whether the copper is hard or soft',
      'Flex it: tube that bends by hand is soft, and its end is re-rounded before it goes into the cup.',
      'EN 1057, ASTM B88',
      mayBeSoft,
    ),
    care(
      'see-behind',
      'there is little room',
      `Tight for a torch: keep ${about(25, 40)} behind, and a mirror to see the back of the joint.`,
      'typical, trade practice',
      (_, { conditions }) => conditions.room === 'tight',
    ),
    care('wrap', 'copper lies in the ground', 'Wrap copper in the ground.', 'WS(WF)R 1999; typical', isInGround),
    note(
      'lead-free',
      'the water is for drinking',
      'Lead-free solder only on drinking water.',
      'SDWA 1417; WS(WF)R 1999',
      (_, { conditions }) => conditions.drinking,
    ),
    note(
      'open-end',
      'a joint is soldered',
      'Leave an outlet open on both sides: a closed pipe blows the joint.',
      'physics',
    ),
  ],
  looseParts: () => [],
  consumables: ({ pipe }) => [{ item: 'lead-free solder wire', quantity: solderWire(pipe), unit: 'mm' }],
  order: 0,
  minutes: { work: 4.5, wait: 10 },
  price: { low: 0.3, high: 1 },
  spoken: ['solder', 'soldered', 'sweat', 'sweated', 'capillary', 'end feed', 'endfeed'],
  isSuggested: true,
  goesByAir: true,
  looks: ['solderRing', 'metals', 'flux'],
  weeps: { then: 'Drain and dry it, clean the cup, solder anew.' },
  apart: {
    moves: [
      EMPTIED,
      {
        do: 'Leave an outlet open on both sides; free the pipe so that it can be drawn',
        caution: 'Water or steam in a closed pipe blows the hot joint apart.',
      },
      {
        do: 'Mat behind, heat the fitting until the solder runs, draw it straight off with pliers',
        caution: 'Flame: extinguisher in reach, and stay to watch for 60 minutes.',
      },
      { do: 'Wipe pipe and cup with a dry cloth while both are hot' },
    ],
    again: {
      what: 'an end-feed fitting, once',
      look: 'Cup bright all round, no lump of old solder, not oval; a fitting with its own ring of solder is scrap',
    },
    scrap: 'A fitting that was soldered twice',
  },
  drawing: { mouth: 'cup', material: 'copper', wall: 0.06 },
  closer: 'cap',
  valves: ['ball', 'gate', 'stop', 'service', 'check', 'drain', 'angle', 'straight'],
  bareBetweenMm: 10,
  hasSwivel: true,
  slips: true,
  hasDropEar: true,
  transition: 'rigid',
  remedies: {
    assemble: step('Draw it out, look for a burr or a dent, mark again and push to the mark'),
    feed: end(
      'Heat it again while it is bright and feed the gap once. If it does not take, pull it apart hot, clean both, flux anew; a fitting is cleaned once at most',
      true,
    ),
  },
  steps,
}
