import { ambient, cut, deburr, mark } from '../card/draft'
import { CEMENT_AIR_C, CEMENT_HOLD_SECONDS, cementCure } from '../card/facts'
import { end, WEEPS_CUT_OUT } from '../card/remedy'
import type { Card, DraftStep } from '../card/types'
import { care, note, refusal } from '../rules/rule'
import type { JointMethod } from './types'
import { temperature as degrees } from '#core/speech'
import { cutOutApart } from '../card/apart'

function steps(card: Card): DraftStep[] {
  const plastic = card.pipe.family === 'cpvc' ? 'CPVC (F493)' : 'PVC (D2564)'
  return [
    cut(card),
    deburr('A square edge scrapes the cement off.'),
    { code: 'clean', do: 'Wipe dry and clean', why: 'Cement does not take on water or grease.' },
    { code: 'check', do: 'Dry fit: it stops a third to two thirds in', why: 'Loose to the stop means the wrong size.' },
    mark(card),
    {
      code: 'prime',
      do: 'Primer on both where the code asks for it',
      why: 'Purple shows the inspector that it is there.',
      caution: 'Fumes: air the place. No flame near.',
    },
    { code: 'cement', do: `Cement for ${plastic}: tube full, socket thin, both wet`, check: 'An even coat all round.' },
    {
      code: 'insert',
      do: 'Push in to the mark with a quarter turn, at once',
      check: 'Mark at the edge; an even bead all round.',
    },
    { code: 'hold', do: 'Hold it: it pushes back', seconds: CEMENT_HOLD_SECONDS },
    { code: 'wipe', do: 'Wipe off the bead' },
    {
      code: 'cure',
      do: 'Let it cure before water',
      seconds: cementCure(ambient(card)),
      why: 'By its own paper: warm and low pressure 15 to 30 minutes, cold or high 6 to 48 hours.',
      caution: 'Never test it with air or gas.',
    },
  ]
}

export const solventCement: JointMethod = {
  id: 'solvent-cement',
  words: 'cemented',
  takes: 'PVC to PVC and CPVC to CPVC',
  undo: 'cut out',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  rules: [
    refusal(
      'wet',
      'the end is wet',
      'Cement takes on dry plastic only. Drain it and dry the end.',
      'typical, makers',
      (_, { conditions }) => conditions.wet,
    ),
  ],
  concerns: [
    care(
      'inside',
      'PVC carries cold water in the United States',
      'Codes keep PVC outside, or to the entry of the building. Ask before it goes inside.',
      'IPC 605, UPC 604',
      ({ pipe }, { conditions, region }) => pipe.family === 'pvc' && conditions.service === 'cold' && region === 'us',
    ),
    note(
      'cement',
      'plastic is cemented',
      'Cement made for this plastic, primer F656 where the code asks for it.',
      'ASTM D2564, F493, F656',
      ({ pipe }) =>
        pipe.family === 'cpvc'
          ? 'Cement for CPVC (F493), primer F656 where the code asks for it.'
          : 'Cement for PVC (D2564), primer F656 where the code asks for it.',
    ),
    note(
      'cure',
      'plastic is cemented',
      'No water until it is cured: by its paper, 15 minutes to 48 hours by temperature and pressure. No air test.',
      'typical, makers',
    ),
    note(
      'weather',
      'plastic is cemented',
      `Not below ${degrees(CEMENT_AIR_C.lo)} nor above ${degrees(CEMENT_AIR_C.hi)} without a cement made for it, nor in rain.`,
      'typical, makers',
    ),
  ],
  looseParts: () => [],
  consumables: ({ pipe }) => [
    { item: pipe.family === 'cpvc' ? 'cement for CPVC' : 'cement for PVC', quantity: 1, unit: 'tin' },
  ],
  order: 3,
  minutes: { work: 3, wait: 30 },
  price: { low: 0.2, high: 0.7 },
  spoken: ['cement', 'cemented', 'glue', 'glued', 'solvent weld', 'solvent cement', 'solvent'],
  goesByAir: true,
  looks: ['mark'],
  weeps: WEEPS_CUT_OUT,
  apart: cutOutApart('fitting'),
  drawing: { mouth: 'cup', material: 'plastic', wall: 0.13 },
  closer: 'cap',
  valves: ['ball', 'check'],
  bareBetweenMm: 0,
  transition: 'rigid',
  remedies: {
    cement: end('Wipe it off while wet and begin again'),
    insert: end('It sets in seconds and cannot be moved: cut it out, a new fitting'),
  },
  steps,
}
