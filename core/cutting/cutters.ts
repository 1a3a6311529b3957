import type { Figure } from '#core/base'
import type { Pipe } from '#core/catalogue'
import { w } from '#core/speech'

export const CUTTERS = ['wheel', 'shears', 'hacksaw', 'fine-saw', 'power-saw'] as const
export type Cutter = (typeof CUTTERS)[number]

/** What a pipe is usually cut with. */
export function cutterFor({ family }: Pick<Pipe, 'family'>): Cutter {
  if (family === 'copper' || family === 'stainless') return 'wheel'
  return family === 'steel' ? 'hacksaw' : 'shears'
}

const PRACTICE = 'typical, practice'

/** What a cutter takes away at each cut, mm, and what is to be done to its end. */
export const CUTTER_KERF: Readonly<Record<Cutter, Figure & { leaves: string }>> = {
  wheel: {
    value: 0,
    lo: 0,
    hi: 0,
    source: 'practice',
    leaves: 'draws the end in 0.1 to 0.3 and leaves a burr inside: ream',
  },
  shears: { value: 0, lo: 0, hi: 0, source: 'practice', leaves: 'plastic only; square to the pipe' },
  hacksaw: {
    value: 1,
    lo: 0.8,
    hi: 1.3,
    source: PRACTICE,
    leaves: `${w.swarf} in and out: deburr both; square it with a file`,
  },
  'fine-saw': { value: 1.5, lo: 1, hi: 1.5, source: PRACTICE, leaves: 'strings of plastic: wipe and deburr' },
  'power-saw': {
    value: 2,
    lo: 1.6,
    hi: 2.5,
    source: PRACTICE,
    leaves: `hot ${w.swarf}: deburr both, no liner or seal until it is clean`,
  },
}
