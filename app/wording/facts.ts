import { getPipe, seriesOf, type EndFacts } from '#core/catalogue'
import type { PipeEnd } from '#core/joints'

/** A fact of an end that a way waits for: whether it is open there, and its answers. */
export interface AskedFact {
  code: string
  isOpen: (end: PipeEnd) => boolean
  keys: readonly { words: string; says: EndFacts }[]
}

const isUnsaid = (value: unknown): boolean => value === undefined || value === 'unknown'
const isPlastic = (end: PipeEnd): boolean => seriesOf(getPipe(end.pipe).series).plastic
const isPex = (end: PipeEnd): boolean => ['pex', 'pert'].includes(getPipe(end.pipe).family)

/** Asked by the code a way is held for. */
export const ASKED_FACTS: readonly AskedFact[] = [
  {
    code: 'unknown-temper',
    isOpen: (end) => end.temper === 'unknown',
    keys: [
      { words: 'hard', says: { temper: 'hard' } },
      { words: 'soft', says: { temper: 'soft' } },
    ],
  },
  {
    code: 'unknown-pex-type',
    isOpen: (end) => end.pexType === 'unknown',
    keys: [
      { words: 'a', says: { pexType: 'a' } },
      { words: 'b', says: { pexType: 'b' } },
      { words: 'c', says: { pexType: 'c' } },
    ],
  },
  {
    code: 'unknown-barrier',
    isOpen: (end) => isPlastic(end) && getPipe(end.pipe).family !== 'multilayer' && isUnsaid(end.barrier),
    keys: [
      { words: 'barrier', says: { barrier: true } },
      { words: 'none', says: { barrier: false } },
    ],
  },
  {
    code: 'unknown-chlorine',
    isOpen: (end) => isPex(end) && isUnsaid(end.chlorine),
    keys: ([5, 3, 1, 0] as const).map((chlorine) => ({ words: String(chlorine), says: { chlorine } })),
  },
]

/** How each is asked at a joint that is there. */
export const FACT_ASKS: Readonly<Record<string, string>> = {
  'unknown-temper': 'Does the copper flex soft?',
  'unknown-pex-type': 'Which PEX is printed on it?',
  'unknown-barrier': 'Is an oxygen barrier printed on it?',
  'unknown-chlorine': 'First digit of its four-figure code?',
}
