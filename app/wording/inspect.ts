import type { Finding, Seen, SeenName } from '#core/inspect'

/** The answers offered for each thing to look at; a length or a count is typed. */
export const SEEN_CHOICES: {
  readonly [Name in SeenName]?: readonly { value: NonNullable<Seen[Name]>; words: string }[]
} = {
  leak: [
    { value: 'dry', words: 'dry' },
    { value: 'stain', words: 'a stain' },
    { value: 'weeps', words: 'it weeps' },
  ],
  mark: [
    { value: 'at-edge', words: 'at the edge' },
    { value: 'away', words: 'off the edge' },
    { value: 'none', words: 'none drawn' },
  ],
  pressed: [
    { value: true, words: 'all round' },
    { value: false, words: 'none' },
  ],
  gauge: [
    { value: 'passes', words: 'passes' },
    { value: 'fails', words: 'fails' },
  ],
  liner: [
    { value: 'in', words: 'in' },
    { value: 'missing', words: 'missing' },
  ],
  solderRing: [
    { value: 'all-round', words: 'all round' },
    { value: 'gap', words: 'a gap' },
  ],
  olive: [
    { value: 'even', words: 'even' },
    { value: 'pinched', words: 'pinched' },
  ],
  system: [
    { value: 'one', words: 'one system' },
    { value: 'mixed', words: 'mixed' },
  ],
  metals: [
    { value: 'no-zinc', words: 'no zinc there' },
    { value: 'brass-between', words: 'brass between' },
    { value: 'bare', words: 'bare' },
  ],
  reach: [
    { value: 'reached', words: 'reached' },
    { value: 'hidden', words: 'hidden' },
  ],
  inLine: [
    { value: true, words: 'straight' },
    { value: false, words: 'it pulls aside' },
  ],
  flux: [
    { value: 'clean', words: 'wiped' },
    { value: 'green', words: 'green' },
  ],
  pull: [
    { value: 'firm', words: 'nothing' },
    { value: 'turns', words: 'it turns' },
    { value: 'slides', words: 'it slides' },
  ],
  plastic: [
    { value: 'none', words: 'both metal' },
    { value: 'inside', words: 'plastic inside' },
    { value: 'outside', words: 'plastic outside' },
  ],
  cover: [
    { value: 'none', words: 'nothing' },
    { value: 'opens', words: 'what opens' },
    { value: 'closed', words: 'what does not' },
  ],
  turns: [
    { value: 'free', words: 'freely' },
    { value: 'stiff', words: 'stiffly' },
    { value: 'stuck', words: 'not at all' },
    { value: 'lets-by', words: 'water comes past' },
  ],
  arrow: [
    { value: 'with', words: 'with the water' },
    { value: 'against', words: 'against it' },
    { value: 'none', words: 'no arrow' },
  ],
  gland: [
    { value: 'dry', words: 'dry' },
    { value: 'weeps', words: 'it weeps' },
  ],
  closed: [
    { value: 'stays', words: 'it stays closed' },
    { value: 'booked', words: 'for a time, booked' },
    { value: 'not-booked', words: 'for a time, not booked' },
  ],
  daylight: [
    { value: true, words: 'in the sun' },
    { value: false, words: 'out of it' },
  ],
}

/** What is joined, as it is picked. */
export const PART_WORDS = { none: 'pipe to pipe', cap: 'a cap or plug', valve: 'a valve' } as const

/** What is typed as a length; the threads are counted. */
export const SEEN_LENGTHS: ReadonlySet<SeenName> = new Set(['deadLeg', 'ringDistance', 'support'])

export const FINDING_WORDS: Readonly<Record<Finding, string>> = { sound: 'sound', care: 'care', wrong: 'wrong' }
