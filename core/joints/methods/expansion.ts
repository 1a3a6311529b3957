import { formatLength } from '#core/units'
import { about, temperature as degrees } from '#core/speech'
import { ambient, cut, mark, system } from '../card/draft'
import { EXPANSION_HOLD_SECONDS, expansionShrink, EXPANSION_STROKES, RING_OVER_END_MM } from '../card/facts'
import { end, step, WEEPS_CUT_OUT } from '../card/remedy'
import type { Card, DraftStep } from '../card/types'
import { IN_GROUND, isInGround, isListed, noRoom } from '../rules/common'
import { care, held, note, refusal } from '../rules/rule'
import type { JointMethod } from './types'
import { cutOutApart } from '../card/apart'

/** How long a ring shrinks, in words; null: too cold for a figure. */
function shrinkWords(seconds: number | null): string {
  if (seconds === null) return "as long as the tool's own paper says"
  return seconds < 3600 ? '30 minutes' : `${seconds / 3600} hours`
}

function steps(card: Card): DraftStep[] {
  const air = ambient(card)
  const shrink = expansionShrink(air)
  const cold = air <= 4
  const long = shrinkWords(shrink)
  const strokes = EXPANSION_STROKES[card.pipe.nominal]
  return [
    cut(card),
    { code: 'clean', do: 'Wipe the end dry, inside and outside', why: 'Water or grease lets the ring creep.' },
    {
      code: 'ring',
      do: `Ring on, stop edge to the end: flush, or up to ${formatLength(RING_OVER_END_MM, system(card))} over`,
      why: 'It shrinks back with the tube and holds it.',
      check: 'Right way round.',
      ask: {
        what: 'ring-over-end',
        words: 'Ring over the pipe end',
        lo: 0,
        hi: RING_OVER_END_MM,
        unit: 'mm',
        source: 'ASTM F1960',
        isFirm: true,
      },
    },
    mark(card),
    {
      code: 'expand',
      do: strokes
        ? `Expand, turning the tool between strokes: ${strokes.lo} to ${strokes.hi}`
        : 'Expand, turning the tool between strokes: as many as its paper says',
      why: "By the tool's own paper. Unturned, it leaves grooves that leak.",
      caution: 'The head is greased: keep grease off the tube.',
    },
    {
      code: 'insert',
      do: 'Fitting straight in to its shoulder, at once',
      why: 'Left too long, it shrinks before it is in. Do not expand again at once.',
      check: 'Ring against the shoulder.',
    },
    {
      code: 'hold',
      do: cold ? 'Hold it there until it grips; in the cold that is longer' : 'Hold it there until it grips',
      seconds: EXPANSION_HOLD_SECONDS,
    },
    {
      code: 'wait',
      do: `No test until it has shrunk: ${long} at ${degrees(air)}`,
      seconds: shrink ?? undefined,
      why: "Makers differ; in frost the tool's own paper says how cold it may be.",
    },
    { code: 'check', do: 'Look again after five minutes: ring still at the shoulder. Tick it' },
  ]
}

export const expansion: JointMethod = {
  id: 'expansion',
  words: 'expansion',
  takes: 'PEX tube listed for it, in copper tube sizes',
  undo: 'cut out',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  listings: ['F1960'],
  rules: [
    refusal(
      'pex-type',
      'the tube is PEX b or c, or nobody has said which, and no F1960 is in its print',
      'Cold expansion wants tube that shrinks back: PEX a, or F1960 in its print.',
      'ASTM F876, F1960',
      ({ pexType, listing }) =>
        listing === undefined && (pexType === 'b' || pexType === 'c')
          ? `Cold expansion wants tube that shrinks back: PEX a, or F1960 in its print. This counts as PEX ${pexType}.`
          : null,
    ),
    noRoom(`The expander stands ${about(300, 450)} in line with the pipe. There is no room here.`),
  ],
  concerns: [
    held(
      'unknown-pex-type',
      'nobody has read which PEX it is',
      'Read the print: PEX a, or F1960 in it, takes an expansion fitting. b and c without it do not.',
      'ASTM F876, F1960',
      (tube) => tube.pexType === 'unknown' && !isListed(tube, ['F1960']),
    ),
    care('sleeve', IN_GROUND, 'In the ground only where listed, sleeved.', 'typical, trade practice', isInGround),
    note(
      'f1960',
      'F1960 has not been read on the tube',
      'Look for F1960 in the print: the letter alone does not list a tube.',
      'ASTM F876, F1960',
      (tube) => !isListed(tube, ['F1960']),
    ),
    note(
      'shrink',
      'an expansion fitting is made',
      `No test until it has shrunk: 30 minutes above ${degrees(4)}, hours in the cold. In frost only as cold as the tool's paper allows.`,
      'typical, makers differ',
    ),
  ],
  looseParts: (tube) => [{ kind: 'ring', name: 'expansion ring', size: tube.pipe.nominal, quantity: 1 }],
  order: 8,
  minutes: { work: 2.2, wait: 30 },
  price: { low: 1.1, high: 2.6 },
  spoken: ['expansion', 'expanded', 'expander'],
  goesByAir: true,
  isTicked: true,
  takesInsertPolicy: true,
  looks: ['mark', 'system'],
  weeps: WEEPS_CUT_OUT,
  apart: {
    ...cutOutApart('ring'),
    again: {
      what: 'the fitting, if it is brass',
      look: 'Freed with hot air, never a flame; barb unmarked under a thumbnail. A plastic one is scrap',
    },
    scrap: 'The ring and the tube it held: never expanded again',
  },
  drawing: { mouth: 'barb-expanded', material: 'brass', wall: 0.12 },
  closer: 'plug',
  valves: ['ball', 'angle', 'straight'],
  bareBetweenMm: 10,
  hasDropEar: true,
  transition: 'plastic',
  remedies: {
    ring: step('Slide the ring until its stop edge is flush with the end'),
    check: end(
      'It has crept off the shoulder: cut it off, expand a fresh end with a new ring; a brass fitting is used again if it is unmarked',
      true,
    ),
    insert: end(
      'Cut the end off square and expand a fresh one with a new ring; a brass fitting is used again if it is unmarked',
      true,
    ),
  },
  steps,
}
