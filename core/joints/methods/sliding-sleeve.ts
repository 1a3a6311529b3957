import { cut, mark } from '../card/draft'
import { SLEEVE_GAP_MM } from '../card/facts'
import { end, step, WEEPS_CUT_OUT } from '../card/remedy'
import type { Card, DraftStep } from '../card/types'
import { IN_GROUND, isInGround, noRoom } from '../rules/common'
import { care, note } from '../rules/rule'
import type { JointMethod } from './types'
import { about } from '#core/speech'
import { cutOutApart } from '../card/apart'

function steps(card: Card): DraftStep[] {
  return [
    cut(card),
    { code: 'clean', do: 'Wipe the end; round, no score' },
    {
      code: 'ring',
      do: 'Park the sleeve on the pipe, the right way round',
      why: 'It cannot follow once the fitting is in.',
    },
    mark(card),
    {
      code: 'expand',
      do: 'Expand with the head of this pipe: twice, turned 30 degrees between',
      why: "By the system's own paper.",
    },
    {
      code: 'insert',
      do: 'Fitting in to its last rib, straight, turned the way it will face',
      why: 'It is not turned once the sleeve is on.',
      check: 'Mark where the paper says it stays.',
    },
    {
      code: 'press',
      do: 'Draw the sleeve up to the collar, tool parallel to the pipe',
      caution: 'Fingers clear of the jaws.',
    },
    {
      code: 'check',
      do: `Look: sleeve within ${about(1, 2)} of the collar. Tick it`,
      check: 'Straight, as far up all round.',
      ask: {
        what: 'sleeve-gap',
        words: 'Sleeve from the collar',
        lo: 0,
        hi: SLEEVE_GAP_MM,
        unit: 'mm',
        source: 'typical, by system',
        isFirm: false,
      },
    },
  ]
}

export const slidingSleeve: JointMethod = {
  id: 'sliding-sleeve',
  words: 'sliding sleeve',
  takes: 'PEX and multilayer pipe of its own system',
  undo: 'cut out',
  comesApart: false,
  needsFlame: false,
  byHand: false,
  listings: ['F2080'],
  rules: [noRoom(`The expander and the pulling tool need ${about(120, 180)} beside the pipe. There is no room here.`)],
  concerns: [
    care('wrap', IN_GROUND, 'In the ground only where the system lists it, wrapped.', 'typical, makers', isInGround),
    note(
      'one-system',
      'pipe and fitting come from a system',
      'Pipe, fitting, sleeve and expander head of one system.',
      'ASTM F2080, EN ISO 15875; makers',
    ),
    note(
      'sleeve-first',
      'a sliding sleeve is made',
      'Park the sleeve on the pipe first, right way round: it cannot follow.',
      'typical, trade practice',
    ),
  ],
  looseParts: (tube) => [{ kind: 'ring', name: 'sliding sleeve', size: tube.pipe.nominal, quantity: 1 }],
  order: 7,
  minutes: { work: 2.5, wait: 0 },
  price: { low: 1.4, high: 3.2 },
  spoken: ['sleeve', 'sliding sleeve', 'axial'],
  isTicked: true,
  narrowsBore: true,
  looks: ['mark', 'pressed', 'system'],
  weeps: WEEPS_CUT_OUT,
  apart: cutOutApart('sleeve'),
  drawing: { mouth: 'barb-sleeve', material: 'brass', wall: 0.12 },
  closer: 'plug',
  valves: ['ball'],
  bareBetweenMm: 20,
  hasDropEar: true,
  transition: 'plastic',
  remedies: {
    check: step('Draw the sleeve on, tool parallel to the pipe. If it does not go, cut it off behind the sleeve'),
    press: end('Cut it off behind the sleeve. A new sleeve; the fitting again only if its maker says so'),
  },
  steps,
}
