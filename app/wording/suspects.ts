import type { DoubtCode, FindBody } from '#core/record'

/** One answer to what holds a cut: what its find knows then, or that the joint is made wet. */
export interface SuspectAnswer {
  words: string
  test: string
  find?: Partial<FindBody['answers']>
  isWet?: true
}

/** What is answered, by what holds the cut; the first is what is done first. */
export const SUSPECT_ANSWERS: Readonly<Record<DoubtCode, readonly SuspectAnswer[]>> = {
  gas: [{ words: 'I traced it: water', test: 'traced-water', find: { traced: 'water' } }],
  lead: [{ words: 'I scratched it: no lead', test: 'ruled-out', find: { 'ruled-out': ['lead'] } }],
  polybutylene: [{ words: 'I read it: not that one', test: 'ruled-out', find: { 'ruled-out': ['polybutylene'] } }],
  live: [
    { words: 'Shut and drained', test: 'drained', find: { water: 'drained' } },
    { words: 'Shut, still drips', test: 'drips', find: { water: 'drips' } },
  ],
  wet: [
    { words: 'It is dry now', test: 'drained', find: { water: 'drained' } },
    { words: 'It stays wet', test: 'stays-wet', isWet: true },
  ],
  earth: [{ words: 'I bridged it', test: 'bridged', find: { earth: 'bridged' } }],
}
