import type { Note } from '#core/base'
import type { FindBody, FindRecord } from '#core/record'
import { w } from '#core/speech'

/** What is asked before a found pipe is scratched or cut, and its answers; the first is the usual one. */
export interface StopQuestion {
  code: 'gas' | 'earth-path'
  keys: readonly { words: string; test: string; answers: Partial<FindBody['answers']>; isStop?: true }[]
}
const GAS: StopQuestion = {
  code: 'gas',
  keys: [
    { words: 'It is water, I traced it', test: 'traced-water', answers: { traced: 'water' } },
    { words: 'Not sure', test: 'traced-unknown', answers: { traced: 'unknown' } },
    { words: 'Gas: stop', test: 'traced-gas', answers: { traced: 'gas' }, isStop: true },
  ],
}
const EARTH: StopQuestion = {
  code: 'earth-path',
  keys: [
    { words: 'No clamp on it', test: 'no-clamp', answers: { earth: 'none' } },
    { words: 'There is one', test: 'clamped', answers: { earth: 'clamped' } },
  ],
}
const BRIDGE: StopQuestion = {
  code: 'earth-path',
  keys: [{ words: 'I bridged it', test: 'bridged', answers: { earth: 'bridged' } }],
}

/** The next stop of a find: gas before anything else, then the earth clamp; null once both are answered. */
export function nextStop(cautions: readonly Note[], { answers }: Pick<FindRecord, 'answers'>): StopQuestion | null {
  const has = (code: string) => cautions.some((one) => one.code === code)
  if (has('gas') || answers.traced === 'gas') return answers.traced === 'gas' ? null : GAS
  if (!has('earth-path') || answers.earth === 'none' || answers.earth === 'bridged') return null
  return answers.earth === 'clamped' ? BRIDGE : EARTH
}

/** Answers of stops in a few words, and what takes them back. */
export const STOPS_SAID: readonly {
  words: string
  isSaid: (a: FindBody['answers']) => boolean
  back: 'traced' | 'earth'
}[] = [
  { words: 'traced to water', isSaid: ({ traced }) => traced === 'water', back: 'traced' },
  { words: 'it is gas', isSaid: ({ traced }) => traced === 'gas', back: 'traced' },
  { words: `no ${w.earth} clamp`, isSaid: ({ earth }) => earth === 'none', back: 'earth' },
  { words: `${w.earth} clamp, bridged over`, isSaid: ({ earth }) => earth === 'bridged', back: 'earth' },
  { words: `${w.earth} clamp`, isSaid: ({ earth }) => earth === 'clamped', back: 'earth' },
]
