import { getPipe, seriesOf, type EndFacts, type Pipe } from '#core/catalogue'
import { hasOneTemper } from '#core/joints'
import type { KnownFact, ToldBy } from '#core/record'

type Name = Exclude<keyof EndFacts, 'traced' | 'madeFor'>
type Value = EndFacts[Name]

/** A fact of a pipe end that decides its joints, with what can be answered. */
export interface EndFact {
  name: Name
  words: string
  /** Of which pipe it is asked; of others it is shown only where it is known. */
  asks: (pipe: Pipe) => boolean
  choices: readonly { value: Value; words: string }[]
  /** What counts where nobody has said anything of tube that is brought. */
  usual?: string
  /** Several answers may stand together. */
  isMany?: true
}

const ofFamily =
  (...families: Pipe['family'][]) =>
  (pipe: Pipe): boolean =>
    families.includes(pipe.family)
const isCts = ({ series }: Pipe): boolean => seriesOf(series).sizing === 'cts'
const isPex = (pipe: Pipe): boolean => pipe.family === 'pex' && isCts(pipe)
const UNKNOWN = { value: 'unknown', words: 'not known' } as const
/** Fitting standards that tube in copper sizes names in its print. */
const LISTINGS = ['F1960', 'F1807', 'F2159', 'F2098', 'F2080', 'F2735'] as const

/** Every fact in the order it is shown. */
export const END_FACTS: readonly EndFact[] = [
  {
    name: 'temper',
    words: 'temper',
    asks: (pipe) => pipe.family === 'copper' && !hasOneTemper(pipe.series),
    choices: [{ value: 'hard', words: 'hard' }, { value: 'soft', words: 'soft' }, UNKNOWN],
    usual: 'hard',
  },
  {
    name: 'pexType',
    words: 'letter',
    asks: isPex,
    choices: [...(['a', 'b', 'c'] as const).map((value) => ({ value, words: value })), UNKNOWN],
    usual: 'b',
  },
  {
    name: 'listing',
    words: 'listed',
    asks: isPex,
    choices: LISTINGS.map((code) => ({ value: [code], words: code })),
    isMany: true,
  },
  {
    name: 'barrier',
    words: 'barrier',
    asks: ofFamily('pex', 'pert', 'bs7291'),
    choices: [{ value: true, words: 'it has one' }, { value: false, words: 'none' }, UNKNOWN],
  },
  {
    name: 'chlorine',
    words: 'chlorine digit',
    asks: (pipe) => ofFamily('pex', 'pert')(pipe) && isCts(pipe),
    choices: [...([5, 3, 1, 0] as const).map((value) => ({ value, words: String(value) })), UNKNOWN],
  },
  {
    name: 'class',
    words: 'class',
    asks: ofFamily('bs7291', 'multilayer', 'pp-r'),
    choices: ['2', '4', '5', 'S'].map((value) => ({ value, words: value })),
  },
  {
    name: 'surface',
    words: 'outside',
    asks: () => true,
    choices: (['bare', 'painted', 'plated', 'scored', 'corroded'] as const).map((value) => ({ value, words: value })),
  },
]

/** A fact as it stands at an end, in words. */
export interface ShownFact {
  fact: EndFact
  words: string
  isKnown: boolean
}

const wordsOf = ({ choices, isMany }: EndFact, value: Value): string => {
  if (isMany) return (value as string[]).join(', ')
  return choices.find((choice) => choice.value === value)?.words ?? String(value)
}

/** What stands under an end: what is known or open, and what its joints hang on; the rest is asked for. */
export function shownFacts(pipe: string, known: readonly KnownFact[], all: boolean): ShownFact[] {
  const own = getPipe(pipe)
  return END_FACTS.flatMap((fact): ShownFact[] => {
    const one = known.find(({ name }) => name === fact.name)
    if (one && one.value !== 'unknown' && one.value !== undefined)
      return [{ fact, words: wordsOf(fact, one.value as Value), isKnown: true }]
    if (!fact.asks(own)) return []
    if (one) return [{ fact, words: 'not known', isKnown: false }]
    if (fact.usual) return [{ fact, words: fact.usual, isKnown: true }]
    return all ? [{ fact, words: 'not said', isKnown: false }] : []
  })
}

/** What told a find, in words. */
const TOLD_WORDS: Readonly<Record<ToldBy, string>> = {
  'outside-diameter': 'its measure',
  wall: 'its wall',
  bore: 'its bore',
  print: 'its print',
  colour: 'how it looks',
  stripe: 'its stripe',
  flex: 'how it flexes',
  magnet: 'a magnet',
  scratch: 'a scratch',
  'held-by': 'what holds its joints',
  lagging: 'what is round it',
  warm: 'your hand',
  traced: 'traced',
  surface: 'looked at',
}
/** Where the facts shown come from, each source once. */
export function sourcesOf(known: readonly KnownFact[]): string {
  const shown = known.filter(({ name, from }) => from !== null && END_FACTS.some((fact) => fact.name === name))
  const told = shown.map(({ from, by }) => (from === 'find' && by ? TOLD_WORDS[by] : 'said here'))
  return [...new Set(told)].join('; ')
}
