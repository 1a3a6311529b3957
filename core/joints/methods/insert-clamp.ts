import { bandClampMm } from '#core/catalogue'
import { formatLength } from '#core/units'
import { cut, mark, system } from '../card/draft'
import { step } from '../card/remedy'
import type { Card, DraftStep } from '../card/types'
import { noRoom } from '../rules/common'
import { note } from '../rules/rule'
import type { JointMethod } from './types'
import { EMPTIED } from '../card/apart'

/** Clamps at each end, screws opposite. ASTM D2609 practice. */
const CLAMPS = 2

function steps(card: Card): DraftStep[] {
  const { lo, hi } = bandClampMm
  const words = (mm: number) => formatLength(mm, system(card))
  return [
    cut(card),
    { code: 'clean', do: 'Wipe the end inside and outside: no grit, no score', check: 'Smooth under the thumb.' },
    { code: 'ring', do: `Slide ${CLAMPS} all-stainless clamps on`, why: 'They cannot follow once the barb is in.' },
    mark(card),
    {
      code: 'insert',
      do: 'Push on to the shoulder. Stiff pipe: warm its end in hot water, never with a flame',
      check: 'Mark at the shoulder: every barb is covered.',
    },
    {
      code: 'assemble',
      do: `Set the clamps over the barbs, the first ${words(lo)} to ${words(hi)} from the end, screws on opposite sides`,
    },
    { code: 'tighten', do: 'Tighten both firm, in turn', why: "By the clamp's own paper: makers differ." },
    {
      code: 'check',
      do: 'Tighten both again after a quarter of an hour',
      why: 'The plastic gives way under them at first.',
    },
  ]
}

export const insertClamp: JointMethod = {
  id: 'insert-clamp',
  words: 'insert',
  takes: 'polyethylene pipe held to its bore',
  undo: 'unscrew the clamps',
  comesApart: true,
  needsFlame: false,
  byHand: true,
  rules: [noRoom('A screwdriver has to reach both clamps. There is no room here.')],
  concerns: [
    note(
      'two-clamps',
      'an insert fitting is clamped',
      'Two clamps an end, all stainless, screws opposite: one screw of plain steel rusts away in the ground.',
      'ASTM D2609; trade practice',
    ),
  ],
  looseParts: (tube) => [{ kind: 'ring', name: 'all-stainless clamp', size: tube.pipe.nominal, quantity: CLAMPS }],
  order: 11,
  minutes: { work: 2.3, wait: 0 },
  price: { low: 0.6, high: 1.8 },
  spoken: ['insert', 'barb', 'barbed', 'hose clamp'],
  narrowsBore: true,
  looks: ['mark', 'system'],
  weeps: { once: 'Tighten both clamps once.', then: 'Then cut back, new clamps.' },
  apart: {
    moves: [
      EMPTIED,
      { do: 'Undo both clamps and slide them back' },
      { do: 'Cut the pipe behind the barb, slit the rest off it', caution: 'Never with a blade along the barb.' },
    ],
    again: {
      what: 'the insert, and clamps that turn freely',
      look: 'Ridges of the insert unmarked; screw and band not rusted or stretched',
    },
    scrap: 'The pipe that was under the clamps',
    takesPipe: true,
  },
  drawing: { mouth: 'barb-ring', material: 'brass', wall: 0.1 },
  closer: 'plug',
  valves: ['ball'],
  bareBetweenMm: 20,
  remedies: {
    insert: step('Draw it off, warm the end, push to the shoulder'),
    check: step('Tighten both again; if it weeps, cut back and take new clamps'),
  },
  steps,
}
