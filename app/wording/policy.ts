import { fillPolicy, type Method, type Policy, type Reason, type Way } from '#core/joints'
import { w } from '#core/speech'
import { methodWords } from './en'

interface PolicyWords {
  name: keyof Policy
  words: string
  why: string
  choices: readonly { value: Policy[keyof Policy]; words: string }[]
}

/** Where practitioners differ: the question, what rests on it, and the schools. */
export const POLICY_WORDS: readonly PolicyWords[] = [
  {
    name: 'pushFitHidden',
    words: 'Push-fit out of sight',
    why: 'Some lists allow it; many keep it where it is seen and reached.',
    choices: [
      { value: 'reachable-only', words: 'only where reached' },
      { value: 'allowed', words: 'listed ones, hidden' },
    ],
  },
  {
    name: 'compressionHidden',
    words: 'Compression out of sight',
    why: 'Its nut may weep and be nipped up only where it is reached.',
    choices: [
      { value: 'never', words: 'never' },
      { value: 'temporary-only', words: 'temporary, booked' },
      { value: 'allowed', words: 'allowed' },
    ],
  },
  {
    name: 'typeMDrinking',
    words: 'Type M for drinking water',
    why: 'Thin wall, wears under velocity; some codes forbid it, some list it.',
    choices: [
      { value: 'refused', words: 'type L instead' },
      { value: 'allowed', words: 'where the code does' },
    ],
  },
  {
    name: 'threadSeal',
    words: 'Threads',
    why: 'Tape, paste or both: each has its school.',
    choices: [
      { value: 'tape', words: 'tape' },
      { value: 'paste', words: 'paste' },
      { value: 'both', words: 'both' },
    ],
  },
  {
    name: 'insertFittings',
    words: 'Insert fittings',
    why: 'Scale sticks to brass over decades; composite is cheaper.',
    choices: [
      { value: 'brass', words: 'brass' },
      { value: 'composite', words: 'composite' },
      { value: 'either', words: 'either' },
    ],
  },
  {
    name: 'bendMark',
    words: 'First mark of a bend',
    why: 'Set back to the hook edge, or the corner sighted across the former with an offcut.',
    choices: [
      { value: 'hook', words: 'hook edge' },
      { value: 'corner', words: 'corner, sighted' },
    ],
  },
  {
    name: 'reuseLimit',
    words: 'A fitting that failed its check is used',
    why: 'Push-fit: once or twice, up to five with grease. Insert: the metal one again, its ring never. New at any doubt.',
    choices: [
      { value: 0, words: 'once' },
      { value: 1, words: 'twice' },
      { value: 5, words: 'up to six times' },
    ],
  },
]

/** Methods that a job may put last, in its words. */
export const LAST_WORDS: readonly { method: Method; words: string }[] = [
  { method: 'push-fit', words: 'push-fit last' },
  { method: 'solder', words: 'flame last' },
]

/** What a job may mind, in its words. */
export const REASON_WORDS: readonly { reason: Reason; words: string }[] = [
  { reason: 'scale', words: 'scale in small bores' },
  { reason: 'pinholes', words: 'pinholes in copper' },
  { reason: 'flood', words: 'a flood for a cheap part' },
]

/** The order that a job likes its methods in, as it stands over the ways; null where it likes none. */
export function orderWords({ order = [], last = [], orderReason }: Partial<Policy>): string | null {
  const parts = [
    ...order.slice(0, 1).map((method) => `${methodWords(method)} first`),
    ...LAST_WORDS.filter(({ method }) => last.includes(method)).map(({ words }) => words),
  ]
  if (parts.length === 0) return null
  const said = parts.join(', ')
  return `${said[0]!.toUpperCase()}${said.slice(1)}${orderReason ? `: ${orderReason}` : ''}`
}

/**
 * A point of a way on which practitioners differ: the schools, and which is in use; `policy` is the one of the job that
 * chose.
 */
export interface School {
  name: string
  schools: readonly { words: string; isInUse: boolean }[]
  policy: keyof Policy | null
}

const choice = (name: keyof Policy, given: Partial<Policy>): School => {
  const { words, choices } = POLICY_WORDS.find((one) => one.name === name)!
  const inUse = fillPolicy(given)[name]
  return {
    name: words.toLowerCase(),
    policy: name,
    schools: choices.map((one) => ({ words: one.words, isInUse: one.value === inUse })),
  }
}

/** The schools that bear on a way, by what it asks for and warns of. */
export function schoolsOf(way: Way, policy: Partial<Policy>): School[] {
  const codes = new Set([...way.because, ...way.cautions].map(({ code }) => code))
  const fixed = (name: string, one: string, other: string): School => ({
    name,
    policy: null,
    schools: [
      { words: one, isInUse: true },
      { words: other, isInUse: false },
    ],
  })
  return [
    ...(codes.has('converter-olive')
      ? [
          fixed(
            'old copper in a metric body',
            `Swap the ${w.olive}: one made for the old size closes the gap.`,
            'Use a converter fitting made for both sizes.',
          ),
        ]
      : []),
    ...(codes.has('listed-for-hiding') ? [choice('pushFitHidden', policy)] : []),
    ...(codes.has('temporary') ? [choice('compressionHidden', policy)] : []),
    ...(codes.has('thread-seal') ? [choice('threadSeal', policy)] : []),
    ...(codes.has('insert-fittings') ? [choice('insertFittings', policy)] : []),
    ...(codes.has('dry-olive')
      ? [fixed(`on the ${w.olive}`, "Dry, as the fitting's paper says.", 'A smear of potable paste, on metal only.')]
      : []),
  ]
}
