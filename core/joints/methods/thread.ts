import type { ThreadForm } from '#core/catalogue'
import { PLASTIC_TAPE, tapeTurns, THREADS_LEFT } from '../card/facts'
import { end, step } from '../card/remedy'
import type { DraftStep } from '../card/types'
import type { Policy } from '../types'
import type { MethodTraits } from './types'
import { EMPTIED } from '../card/apart'

/** What a thread is made up by beside its size. */
export interface ThreadCard {
  nominal: string
  form: ThreadForm
  seal: Policy['threadSeal']
  /** One of the two threads is plastic. */
  isPlastic: boolean
  /** Tube whose thread is cut here. */
  isCut: boolean
}

/** A thread that seals at its face, on a washer. */
const FLAT: readonly DraftStep[] = [
  {
    code: 'check',
    do: 'Look at both faces: flat, clean, whole; a new washer on the flat',
    why: 'It seals at its face, not on its thread: nothing goes on the thread.',
  },
  { code: 'assemble', do: 'Run the nut on by hand until the faces meet', check: 'It turns freely all the way.' },
  {
    code: 'tighten',
    do: 'Hold the body back, then a quarter turn',
    why: 'More only crushes the washer.',
    check: 'Dry to a tissue. If it weeps, a little more, once.',
  },
]

/** One to two turns past hand tight on plastic, whatever the size. ASTM F1498 threads, makers. */
const PLASTIC_TURNS = { lo: 1, hi: 2 } as const

/** A plastic thread in metal, or in plastic. */
function plasticSteps({ seal, isCut }: ThreadCard): DraftStep[] {
  const { lo, hi } = PLASTIC_TAPE
  return [
    ...(isCut
      ? [
          {
            code: 'cut',
            do: 'Cut the thread on schedule 80 with sharp dies for plastic, a plug in the bore',
            why: 'Schedule 40 is too thin. What is threaded carries half the pressure.',
          } as const,
        ]
      : []),
    { code: 'clean', do: 'Wipe both threads clean and dry; look for a crack' },
    seal === 'paste'
      ? {
          code: 'paste',
          do: 'Brush on a paste that says it is for this plastic, not on the first thread',
          why: 'Oil and solvent in other pastes crack it.',
        }
      : {
          code: 'tape',
          do: `${lo} to ${hi} turns of thin tape, clockwise seen from the open end`,
          why: 'No paste with it. More tape wedges the female open.',
        },
    { code: 'assemble', do: 'Start by hand, straight, and turn it snug', check: 'Snug by hand alone.' },
    {
      code: 'tighten',
      do: `Then ${PLASTIC_TURNS.lo} to ${PLASTIC_TURNS.hi} turns, with a strap wrench or smooth jaws`,
      why: 'Teeth notch it, and more turns split it.',
      check: 'Not under one turn, not over two.',
    },
  ]
}

/** Steps for a thread of a size; the direction is as seen from its open end. */
export function threadSteps(card: ThreadCard): DraftStep[] {
  const { nominal, form, seal, isPlastic } = card
  if (form === 'bspp') return [...FLAT]
  if (isPlastic) return plasticSteps(card)
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
      why: 'One wrench in each hand, jaws facing, pulled against each other: the pull must not reach the next joint.',
      check: `${threadsWords(THREADS_LEFT)} show.`,
    },
  ]
}

const COUNT_WORDS = ['No', 'One', 'Two', 'Three'] as const
const threadsWords = ({ lo, hi }: { lo: number; hi: number }): string =>
  `${COUNT_WORDS[lo] ?? lo} to ${(COUNT_WORDS[hi] ?? String(hi)).toLowerCase()} threads`

export const thread: MethodTraits = {
  id: 'thread',
  order: 1,
  minutes: { work: 4, wait: 0 },
  price: { low: 0.7, high: 1.8 },
  spoken: ['thread', 'threaded', 'screwed'],
  looks: ['threads', 'metals'],
  weeps: { once: 'A little more, once.', then: 'Take it apart, clean, seal anew. Never back a taper thread off.' },
  apart: {
    moves: [
      EMPTIED,
      {
        do: 'One wrench on each part; a few drops of penetrating oil on old steel, and wait',
        caution: 'No oil and no heat near plastic; no flame on a pipe that was not drained.',
      },
      { do: 'Unscrew from an open end or a union: one end of a fixed run cannot turn' },
      { do: 'Brush all of the old seal out of both threads' },
    ],
    again: { what: 'both parts', look: 'Threads whole for the length that was engaged, no crack in a female end' },
    scrap: 'Tape, paste and washer: sealed anew each time',
  },
  drawing: { mouth: 'crests', material: 'brass', wall: 0.16 },
  remedies: {
    assemble: step('Back it off at once: a crossed thread is chased or thrown away'),
    tighten: end('Never turned back to line up: take it apart, clean both threads, seal anew', true),
    check: step('A new washer, both faces clean; a face that is marked is replaced'),
  },
}
