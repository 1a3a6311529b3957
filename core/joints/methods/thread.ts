import { tapeTurns } from '../card/facts'
import { end, step } from '../card/remedy'
import type { DraftStep } from '../card/types'
import type { Policy } from '../types'
import type { MethodTraits } from './types'

/** Steps for a thread of a size; the direction is as seen from its open end. */
export function threadSteps(nominal: string, form: 'npt' | 'bspt', seal: Policy['threadSeal']): DraftStep[] {
  const { lo, hi } = tapeTurns(form, nominal)
  return [
    { code: 'clean', do: 'Brush both threads clean; look for thin or torn ones' },
    ...(seal === 'paste'
      ? []
      : [
          {
            code: 'tape',
            do: `${lo} to ${hi} turns of thin tape, clockwise seen from the open end`,
            why: 'Screwing on then tightens it. More to the rear, few on the first thread.',
          } as const,
        ]),
    ...(seal === 'tape' ? [] : [{ code: 'paste', do: 'Brush on potable paste, not on the first thread' } as const]),
    { code: 'assemble', do: 'Start by hand, straight', check: 'Three to five turns by hand.' },
    {
      code: 'tighten',
      do: 'Hold the fitting back with a second wrench, then 1.5 to 3 turns',
      why: 'The pull must not reach the next joint.',
      check: 'One to three threads show.',
    },
  ]
}

export const thread: MethodTraits = {
  id: 'thread',
  order: 1,
  minutes: { work: 4, wait: 0 },
  price: { low: 0.7, high: 1.8 },
  spoken: ['thread'],
  looks: ['threads', 'metals'],
  weeps: 'Take it apart, clean, seal anew. Never back a taper thread off.',
  drawing: { mouth: 'crests', material: 'brass', wall: 0.16 },
  remedies: {
    assemble: step('Back it off at once: a crossed thread is chased or thrown away'),
    tighten: end('Never turned back to line up: take it apart, clean both threads, seal anew', true),
  },
}
