import { fusionOf, fusionTool } from '#core/catalogue'
import { formatDecimal } from '#core/units'
import { temperature as degrees, temperatures, w } from '#core/speech'
import { ambient, cut, deburr, mark } from '../card/draft'
import { end, WEEPS_CUT_OUT } from '../card/remedy'
import type { Card, DraftStep } from '../card/types'
import { IN_GROUND, isInGround, noRoom } from '../rules/common'
import { care, note, refusal } from '../rules/rule'
import type { JointMethod } from './types'
import { cutOutApart } from '../card/apart'

/** Air under which it is heated half as long again, degC. DVS 2207-11. */
const FUSION_COLD_C = 5
const LONGER = 1.5

const CUT_OUT = 'Cut it out: a fused fitting is never used again. Begin on sound pipe with a new one'

function steps(card: Card): DraftStep[] {
  const { heat, change, hold, cool } = fusionOf(card.pipe.nominal)!
  const isCold = ambient(card) < FUSION_COLD_C
  const seconds = isCold ? heat * LONGER : heat
  const { value, lo, hi } = fusionTool
  return [
    cut(card),
    deburr('A ragged edge folds into the socket.'),
    {
      code: 'clean',
      do: `Wipe pipe and socket dry and clean; peel an ${w.aluminium} layer off to the depth`,
      why: 'It fuses plastic to plastic only, and dry.',
    },
    mark(card),
    {
      code: 'heat',
      do: `Tool at ${degrees(value)} (${temperatures(lo, hi)}). Pipe and fitting straight on, to mark and stop: ${formatDecimal(seconds, 1)} s`,
      why: isCold ? 'In the cold half as long again, out of the wind.' : 'Time runs once both are fully on.',
      seconds,
      caution: `Hot tool, ${degrees(value)}: gloves.`,
    },
    {
      code: 'insert',
      do: `Within ${change} s off the tool, push the pipe straight in to the mark, no twist`,
      why: 'Twisted or late, it does not fuse.',
      check: 'An even double bead all round.',
    },
    { code: 'hold', do: 'Hold it still; straighten by 5 degrees at most, in the first seconds', seconds: hold },
    {
      code: 'wait',
      do: 'Leave it before it carries anything',
      seconds: cool,
      why: 'No test for an hour after the last.',
    },
    {
      code: 'check',
      do: 'Look: a double bead, even all round. Tick it',
      why: 'One-sided it is crooked, none is cold.',
    },
  ]
}

export const socketFusion: JointMethod = {
  id: 'socket-fusion',
  words: 'fused',
  takes: 'PP-R pipe by its own fittings',
  undo: 'cut out',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  rules: [
    refusal(
      'wet',
      'the end is wet',
      'A wet end cannot be fused: drain and dry it, or repair by a mechanical joint.',
      'DVS 2207-11',
      (_, { conditions }) => conditions.wet,
    ),
    noRoom('The tool and both hands need the length of the fitting in line. There is no room here.'),
  ],
  concerns: [
    care(
      'sleeve',
      IN_GROUND,
      'In the ground only where listed, bedded and out of reach of traffic.',
      'typical, makers',
      isInGround,
    ),
    note(
      'one-system',
      'pipe and fitting come from a system',
      'Pipe and fittings of one material, and the tool at its heat before the first joint.',
      'DVS 2207-11',
    ),
    note('fusion-test', 'PP-R is fused', 'No test for an hour after the last joint.', 'DVS 2207-11; typical'),
  ],
  looseParts: () => [],
  order: 4,
  minutes: { work: 1.5, wait: 2 },
  price: { low: 0.2, high: 0.8 },
  spoken: ['fusion', 'fused', 'socket fusion', 'heat fusion'],
  goesByAir: true,
  isTicked: true,
  looks: ['mark', 'system'],
  weeps: WEEPS_CUT_OUT,
  apart: cutOutApart('fitting'),
  drawing: { mouth: 'cup', material: 'plastic', wall: 0.2 },
  closer: 'cap',
  valves: ['ball', 'stop'],
  bareBetweenMm: 10,
  remedies: { insert: end(CUT_OUT), check: end(CUT_OUT), heat: end(CUT_OUT), hold: end(CUT_OUT) },
  steps,
}
