import { step } from '../card/remedy'
import type { DraftStep } from '../card/types'
import type { MethodTraits } from './types'
import { nutApart } from '../card/apart'

/** After its threads: the faces of a union. */
export const UNION_STEPS: readonly DraftStep[] = [
  {
    code: 'check',
    do: 'Faces clean and parallel, a new washer where it has one',
    why: 'Nothing goes on the faces: no tape, no paste.',
  },
  {
    id: 'tighten-2',
    code: 'tighten',
    do: 'Bring the faces together by hand, then nip with two wrenches',
    check: 'The ends meet without being drawn.',
  },
]

export const union: MethodTraits = {
  id: 'union',
  order: 2,
  minutes: { work: 3, wait: 0 },
  price: { low: 2, high: 5 },
  spoken: ['union'],
  looks: ['threads', 'metals'],
  weeps: { then: 'Part it, clean both faces, new washer.' },
  apart: nutApart('The washer: new each time it is opened', 'Both faces clean and unmarked, nut runs free by hand'),
  drawing: { mouth: 'crests', material: 'brass', wall: 0.16 },
  remedies: { tighten: step('Open it, look at the faces, a new washer where it is flat, bring the ends in line') },
}
